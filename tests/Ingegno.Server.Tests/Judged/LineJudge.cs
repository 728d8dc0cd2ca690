using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Ingegno.Server.Tests.Judged;

public enum VerdictKind
{
    Sensible,
    Debatable,
    Wrong,

    /// <summary>An exercise younger than the cases: a person has to read it.</summary>
    New,
}

/// <param name="About">Case, line and answer.</param>
public sealed record Verdict(VerdictKind Kind, string About, IReadOnlyList<string> Why);

/// <summary>
/// Judges the lines of one answer by what the case says of each: what stays, which stand-ins are accepted, debatable or never sent, the window of
/// counts, what may be left, what must be said. All fields but expect, accept, debatable, never and reps are optional.
/// </summary>
internal sealed class LineJudge(IReadOnlySet<string> known, IReadOnlyDictionary<string, string> sides)
{
    private static readonly Dictionary<string, string> CountedAs = new()
    {
        ["asManyAsPossible"] = "repetitions",
        ["upTo"] = "repetitions",
        ["untilEffort"] = "repetitions",
        ["untilGrip"] = "seconds",
    };

    internal IEnumerable<Verdict> Of(JsonNode about, JsonNode answer)
    {
        string[] texts = about["programme"]!.GetValue<string>().Split('\n');
        int[] numbers = [.. Enumerable.Range(1, texts.Length).Where(n => texts[n - 1].Trim() is { Length: > 0 } t && t[0] != '#' && t[^1] != ':')];
        JsonNode[][] sessions = [.. answer["sessions"]!.AsArray().Select(s => s!["lines"]!.AsArray().Select(l => l!).ToArray())];
        foreach (var line in about["lines"]!.AsArray().Select(l => l!))
        {
            int number = numbers[line["line"]!.GetValue<int>() - 1];
            var session = sessions.FirstOrDefault(s => s.Any(l => Number(l) == number)) ?? [];
            var row = session.FirstOrDefault(l => Number(l) == number);
            var verdict = Judge(line, row, answer["review"]);
            if (row?["chosen"] is { } chosen && about["session"]?["noRepeats"]?.GetValue<bool>() == true && Text(line, "expect") != "keep" && Repeats(session, row, Text(chosen["prescription"]!, "exercise")))
            {
                verdict = (verdict.Kind == VerdictKind.Sensible ? VerdictKind.Debatable : verdict.Kind, [.. verdict.Why, "stands twice in the session"]);
            }

            yield return new(verdict.Kind, $"{about["id"]} | {texts[number - 1]} | {row?["chosen"]?["prescription"]?["exercise"]} {row?["chosen"]?["prescription"]?["countInWords"]}", verdict.Why);
        }

        if (about["session"]?["maxMinutes"]?.GetValue<double>() is { } most)
        {
            foreach (double minutes in answer["sessions"]!.AsArray().Select(s => s!["whole"]!.GetValue<double>() / 60))
            {
                yield return new(minutes <= most ? VerdictKind.Sensible : VerdictKind.Debatable, $"{about["id"]} {minutes:0} min", [$"over {most} minutes"]);
            }
        }
    }

    private static bool Repeats(JsonNode[] session, JsonNode row, string exercise)
    {
        string? written = row["written"]!["exercise"]?.GetValue<string>();
        return session.Where(l => l != row).Any(l =>
            (l["written"]!["exercise"]?.GetValue<string>() == exercise && written != exercise)
            || (l["chosen"]?["prescription"]?["exercise"]?.GetValue<string>() == exercise && l["written"]!["exercise"]?.GetValue<string>() != written));
    }

    private (VerdictKind Kind, List<string> Why) Judge(JsonNode line, JsonNode? row, JsonNode? review)
    {
        if (row is null || Text(row, "outcome") == "unknown")
        {
            return (VerdictKind.Wrong, ["the line was not read"]);
        }

        List<string> wrong = [], doubt = [];
        string words = Said(row, review);
        doubt.AddRange(Strings(line["mustSay"]).Where(says => !Has(says, words)).Select(says => $"does not say {says}"));
        bool keep = Text(line, "expect") == "keep";
        if (row["chosen"] is not { } chosen)
        {
            return Text(line, "expect") == "none" ? (doubt.Count > 0 ? VerdictKind.Debatable : VerdictKind.Sensible, doubt) : (VerdictKind.Wrong, ["nothing was chosen"]);
        }

        var given = chosen["prescription"]!;
        string exercise = Text(given, "exercise");
        string[] accept = Strings(line["accept"]), never = Strings(line["never"]);
        wrong.AddRange(new[] { exercise }.Concat(row["added"]?.AsArray().Select(a => Text(a!["prescription"]!, "exercise")) ?? []).Where(never.Contains).Select(x => $"{x} is never sent"));
        if (!accept.Contains(exercise))
        {
            if (keep)
            {
                wrong.Add("should have been kept");
            }
            else if (wrong.Count == 0)
            {
                if (!known.Contains(exercise))
                {
                    return (VerdictKind.New, [$"{exercise} is younger than the cases"]);
                }

                doubt.Add(Strings(line["debatable"]).Contains(exercise) ? "debatable choice" : "on no list");
            }
        }

        Sides(line, row, given, exercise, wrong);
        Counts(line, given, words, wrong, doubt);
        Load(line, given, doubt);
        if (keep)
        {
            Kept(line, row, given, doubt);
        }

        return wrong.Count > 0 ? (VerdictKind.Wrong, [.. wrong, .. doubt]) : (doubt.Count > 0 ? VerdictKind.Debatable : VerdictKind.Sensible, doubt);
    }

    private void Sides(JsonNode line, JsonNode row, JsonNode given, string exercise, List<string> wrong)
    {
        bool one = sides.GetValueOrDefault(exercise) == "oneAtATime", perSide = Is(given, "perSide");
        if (perSide && !one && !(Is(row["written"]!, "perSide") && exercise == row["written"]!["exercise"]!.GetValue<string>()))
        {
            wrong.Add("two-limb work counted a side");
        }

        if (line["perSide"]?.GetValue<bool>() is { } asked && ((asked && one && !perSide && !Is(given, "alternating")) || (!asked && perSide)))
        {
            wrong.Add(asked ? "one-limb work not counted a side" : "counted a side");
        }
    }

    private static void Counts(JsonNode line, JsonNode given, string words, List<string> wrong, List<string> doubt)
    {
        string unit = CountedAs.GetValueOrDefault(Text(given, "count"), Text(given, "count"));
        int[] counts = [.. given["counts"]!.AsArray().Select(c => c!.GetValue<int>())];
        var window = unit == (line["unit"]?.GetValue<string>() ?? "repetitions") ? line["reps"] : line["otherReps"]?[unit];
        if (line["reps"] is not null && window is null)
        {
            doubt.Add($"counted in {unit}");
        }
        else if (window is not null && (window[0]!.GetValue<int>(), window[1]!.GetValue<int>()) is var (least, most))
        {
            if (counts.Min() < 0.5 * least || counts.Max() > 1.6 * most)
            {
                wrong.Add($"counts far outside {least}-{most}");
            }
            else if (counts.Min() < least || counts.Max() > most)
            {
                doubt.Add($"counts outside {least}-{most}");
            }
        }

        if (unit == "repetitions" && line["sayAbove"] is { } above && counts.Max() > above[0]!.GetValue<double>() && !Has(above[1]!.GetValue<string>(), words))
        {
            doubt.Add("the loss is not said");
        }

        if (unit == "repetitions" && line["techniqueAbove"] is { } without && counts.Max() > without.GetValue<double>() && !HasTechnique(given))
        {
            doubt.Add($"over {without} without a technique");
        }

        double? left = given["reserve"]?.GetValue<double>();
        if (line["maxLeft"] is { } mostLeft && line["light"]?.GetValue<bool>() != true && left > mostLeft.GetValue<double>() + 0.05)
        {
            doubt.Add($"{left} left");
        }

        if (line["minLeft"] is { } leastLeft && left < leastLeft.GetValue<double>() - 0.5)
        {
            doubt.Add($"only {left} left");
        }

        if (line["tempoSlower"]?.GetValue<bool>() is { } slower && slower != Seconds(given) > 3)
        {
            doubt.Add(slower ? "not slower" : "slower");
        }
    }

    private static void Load(JsonNode line, JsonNode given, List<string> doubt)
    {
        double all = given["load"]!.GetValue<double>(), load = given["hold"]?.GetValue<string>() == "pair" ? all / 2 : all;
        string words = Text(given, "loadInWords");
        if (line["noLoad"]?.GetValue<bool>() == true && all > 0.05)
        {
            doubt.Add($"a load nobody wrote: {words}");
        }

        if (line["load"] is { } window && (load < window[0]!.GetValue<double>() - 0.06 || load > window[1]!.GetValue<double>() + 0.06))
        {
            doubt.Add($"load {load}");
        }

        if (line["loadSays"] is { } says && !Has(says.GetValue<string>(), words))
        {
            doubt.Add($"held otherwise: {words}");
        }

        if (Has(@"\bempty\b", words))
        {
            doubt.Add("an empty bag or can is no load");
        }
    }

    private static void Kept(JsonNode line, JsonNode row, JsonNode given, List<string> doubt)
    {
        string? tempo = given["tempo"]?.GetValue<string>();
        if (line["tempo"] is { } written ? tempo is not null && tempo != written.GetValue<string>() : row["written"]!["tempo"] is null && Seconds(given) > 3)
        {
            doubt.Add($"tempo {tempo}");
        }

        if (given["counts"]!.AsArray().Count != row["written"]!["sets"]!.AsArray().Count)
        {
            doubt.Add("other sets than written");
        }

        if (Text(given, "form") != "straight" || Text(given, "partial") != "none" || given["pulses"]!.GetValue<int>() > 0)
        {
            doubt.Add("a technique nobody wrote");
        }

        if (row["added"]?.AsArray().Count > 0)
        {
            doubt.Add("a second exercise nobody asked for");
        }
    }

    /// <summary>Everything the answer says about this line.</summary>
    private static string Said(JsonNode row, JsonNode? review)
    {
        var chosen = row["chosen"];
        JsonNode?[] parts =
        [
            chosen?["reason"], chosen?["decided"], chosen?["loss"], chosen?["loses"], chosen?["leanings"], chosen?["prescription"]?["cautions"], row["gap"]?["sentence"],
            row["closeness"]?["sentence"], row["wouldOpen"], row["moved"], row["intent"]?["notes"], chosen?["bridge"]?["parts"], row["added"],
            .. review?["findings"]?.AsArray().Where(f => f!["lines"]!.AsArray().Any(l => l!.GetValue<int>() == Number(row))).Select(f => f!["sentence"]) ?? [],
        ];
        return string.Join(" | ", parts.SelectMany(Texts));
    }

    private static IEnumerable<string> Texts(JsonNode? node) => node switch
    {
        JsonValue value when value.TryGetValue(out string? text) => [text],
        JsonArray array => array.SelectMany(Texts),
        JsonObject fields => fields.SelectMany(f => Texts(f.Value)),
        _ => [],
    };

    private static bool HasTechnique(JsonNode given) =>
        Seconds(given) > 3 || Text(given, "partial") != "none" || given["pulses"]!.GetValue<int>() > 0 || Text(given, "form") != "straight" || given["finishOn"] is not null
        || (Text(given, "loadInWords").Contains("band", StringComparison.OrdinalIgnoreCase) && given["hold"]?.GetValue<string>() != "band");

    /// <summary>Of a whole repetition; 0 without a tempo.</summary>
    private static int Seconds(JsonNode given)
    {
        int[] phases = [.. (given["tempo"]?.GetValue<string>() ?? "").Split('-', StringSplitOptions.RemoveEmptyEntries).Select(p => p is "X" ? 0 : int.Parse(p, System.Globalization.CultureInfo.InvariantCulture))];
        return phases.Length == 4 ? phases[0] + phases[1] + Math.Max(phases[2], 1) + phases[3] : 0;
    }

    private static bool Has(string pattern, string text) => Regex.IsMatch(text, pattern, RegexOptions.IgnoreCase);

    private static int Number(JsonNode row) => row["written"]!["number"]!.GetValue<int>();

    private static string Text(JsonNode node, string field) => node[field]!.GetValue<string>();

    private static bool Is(JsonNode node, string field) => node[field]?.GetValue<bool>() == true;

    private static string[] Strings(JsonNode? node) => [.. node?.AsArray().Select(n => n!.GetValue<string>()) ?? []];
}
