using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Core.Exercises;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>What one exercise of a line is read from.</summary>
/// <param name="Text">As long as the line, all that belongs to the others blank, so that columns stay; sets that stand for the whole line may follow behind it.</param>
/// <param name="TakesSets">The sets stand beside another exercise of the line: they hold for this one, its load and rest do not.</param>
/// <param name="InTurn">Done in turn with the others, not after them.</param>
internal readonly record struct SharedPart(string Text, bool TakesSets, bool InTurn = true);

/// <summary>
/// Several exercises on one line: done in turn ("push-up 3x10 superset with row 3x10", "curl / pushdown 3x12", "3 rounds: 10 push-ups, 15
/// squats"), or listed ("push-up 3x10, plank 3x30 s").
/// </summary>
internal static partial class SharedLine
{
    private const int Most = 10;

    /// <summary>The parts of a line; one where it holds one exercise or cannot be told apart without a doubt.</summary>
    /// <param name="plain">The line made plain, letter for letter.</param>
    /// <param name="hasSets">Whether the text reads as an exercise with sets.</param>
    /// <param name="names">A part is one only where its name is known.</param>
    internal static ImmutableArray<SharedPart> Parts(string plain, int begins, Func<string, bool> hasSets, NameReader names)
    {
        ImmutableArray<SharedPart> whole = [new(plain, false)];
        if (Rounds(plain, begins, names) is { Length: > 1 } circuit)
        {
            return circuit;
        }

        // Words that can mean nothing else first; then marks, which only part names that stand alone.
        foreach (var (joint, isPlain, isList) in new[] { (Words(), true, false), (Tags(), true, false), (Marks(), false, false), (Commas(), false, true) })
        {
            var found = Between(plain, begins, joint);
            if (found.Count is < 2 or > Most)
            {
                continue;
            }

            string[] texts = [.. found.Select(f => Only(plain, f.From, f.To))];
            bool[] sets = [.. texts.Select(hasSets)];
            // With sets on either side of a mark it parts two exercises, whatever is said beside their names.
            bool each = !isList && !sets.Contains(false);
            bool named = texts.All(text => IsName(text, isPlain || each, names));
            if (!sets.Contains(true) || !named || (isList ? sets.Contains(false) : !isPlain && !each && IsOne(plain, begins, names)))
            {
                continue;
            }

            return [.. texts.Select((text, i) => sets[i] ? new SharedPart(text, false, !isList) : With(text, texts[Giver(sets, i)]))];
        }

        return whole;
    }

    /// <summary>The nearest part with sets: the one behind before the one ahead.</summary>
    private static int Giver(bool[] sets, int of) =>
        Enumerable.Range(of + 1, sets.Length - of - 1).Concat(Enumerable.Range(0, of).Reverse()).First(i => sets[i]);

    /// <summary>The words of one part with the sets of another, whose name is blanked.</summary>
    private static SharedPart With(string text, string giver)
    {
        string sets = Name(giver) is { Length: > 0 } name && giver.IndexOf(name, StringComparison.Ordinal) is >= 0 and var at
            ? giver[..at] + new string(' ', name.Length) + giver[(at + name.Length)..]
            : giver;
        return new(new string([.. text.Select((c, i) => c != ' ' ? c : sets[i])]), true);
    }

    /// <summary>"3 rounds: 10 push-ups, 15 squats, plank 30 s": every part with a count of its own, as often as rounds are done.</summary>
    private static ImmutableArray<SharedPart>? Rounds(string plain, int begins, NameReader names)
    {
        if (RoundsFirst().Match(plain, begins) is not { Success: true } head)
        {
            return null;
        }

        var parts = ImmutableArray.CreateBuilder<SharedPart>();
        foreach (var (from, to) in Between(plain, head.Index + head.Length, Items()))
        {
            string item = plain[from..to];
            if (string.IsNullOrWhiteSpace(item))
            {
                continue;
            }

            if (ItemCount().Match(item) is not { Success: true } count || !IsName(Outside(item, count), alsoModified: true, names))
            {
                return null;
            }

            string rounds = head.Groups["rounds"].Value, range = count.Groups["count"].Value, unit = count.Groups["unit"].Value;
            string blank = Only(plain, from, to);
            parts.Add(new(blank[..(from + count.Index)] + new string(' ', count.Length) + blank[(from + count.Index + count.Length)..] + $" {rounds} x {range} {unit}", false));
        }

        return parts.Count is < 2 or > Most ? null : parts.ToImmutable();
    }

    private static List<(int From, int To)> Between(string plain, int begins, Regex joint)
    {
        var found = new List<(int, int)>();
        int from = begins;
        foreach (Match match in joint.Matches(plain, begins))
        {
            found.Add((from, match.Index));
            from = match.Index + match.Length;
        }

        found.Add((from, plain.Length));
        return found;
    }

    private static string Only(string plain, int from, int to) =>
        new string(' ', from) + plain[from..to] + new string(' ', plain.Length - to);

    private static string Outside(string text, Match match) => (text[..match.Index] + " " + text[(match.Index + match.Length)..]).Trim();

    /// <summary>The words before or behind the figures.</summary>
    private static string Name(string text) => NameWords().Match(text) is { Success: true } name ? name.Groups["name"].Value.Trim() : "";

    private static bool IsName(string text, bool alsoModified, NameReader names) =>
        Name(text) is { Length: > 1 } name && names.Read(name) is { } read
        && (read.Sureness == NameSureness.Known || (alsoModified && read.Sureness == NameSureness.Modified));

    /// <summary>"Clean and jerk 3x3": the whole of it is a name.</summary>
    private static bool IsOne(string plain, int begins, NameReader names) =>
        Joined().Match(plain, begins) is { Success: true } joined && names.Read(joined.Value) is { Sureness: NameSureness.Known };

    [GeneratedRegex(@"\s*,?\s+(?:super-?\s?set(?:ted)?\s+(?:with|w/)|s/?s\s+(?:with|w/)?|paired with|back to back with|alternat(?:e|ed|ing)\s+with|giant set with)\s*", RegexOptions.IgnoreCase)]
    private static partial Regex Words();

    [GeneratedRegex(@"\s+(?=[A-H][1-9][.):]?\s+\p{L})")]
    private static partial Regex Tags();

    [GeneratedRegex(@"\s+(?:\+|&|and)\s+|\s*/\s*(?=\p{L}{3})", RegexOptions.IgnoreCase)]
    private static partial Regex Marks();

    [GeneratedRegex(@"\s*[,;]\s+|\s+then\s+")]
    private static partial Regex Commas();

    [GeneratedRegex(@"\G(?:circuit\s*(?:of|:|-)?\s*)?(?<rounds>\d{1,2}(?:\s*-\s*\d{1,2})?)\s*(?:x\s*)?(?:rounds?|circuits?|rds?)\s*(?:of|for time)?\s*[:,-]?\s*\(?", RegexOptions.IgnoreCase)]
    private static partial Regex RoundsFirst();

    [GeneratedRegex(@"\s*[,;+/&]\s*|\s+(?:and|then)\s+|\)\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Items();

    [GeneratedRegex(@"^\s*(?<count>\d{1,3}(?:\s*-\s*\d{1,3})?)\s*(?<unit>s|secs?|seconds?|m|metres?|steps?)?(?:\s*x)?\s+(?=\p{L})|\s*x?\s*(?<count>\d{1,3}(?:\s*-\s*\d{1,3})?)\s*(?<unit>s|secs?|seconds?|m|metres?|steps?)?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex ItemCount();

    [GeneratedRegex(@"^\s*(?:[A-H]\d?[.):]?\s+)?(?>(?:[\d\s×*]|(?:x|sets?|of|reps?)(?!\p{L}))*)(?<name>\p{L}[^\d,;:|(@]*)", RegexOptions.IgnoreCase)]
    private static partial Regex NameWords();

    [GeneratedRegex(@"\G(?>(?:[\d\s×*]|(?:x|sets?|of|reps?)(?!\p{L}))*)\p{L}[^\d,;:|(@]*", RegexOptions.IgnoreCase)]
    private static partial Regex Joined();
}
