using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Plans;

/// <summary>A rebuilt programme as text that reads back the same: a line an exercise, by the name the catalogue has for it.</summary>
public static class PlanText
{
    /// <param name="plan">Lines without a prescription are written as they were typed.</param>
    public static string Of(Plan plan, Catalogue catalogue)
    {
        var text = new StringBuilder();
        foreach (var session in plan.Sessions)
        {
            text.Append(text.Length > 0 ? "\n" : "").Append("# ").Append(session.Title.Length > 0 ? session.Title : "Session").Append('\n');
            var places = new Dictionary<string, int>(StringComparer.Ordinal);
            foreach (var line in session.Lines)
            {
                int place = line.Group is { } group ? places[group] = places.GetValueOrDefault(group) + 1 : 0;
                text.Append(line.Prescription is { } given ? PlainLine.Of(Written(given, line.Group, place), catalogue) + Behind(given) : line.Written.Trim()).Append('\n');
            }
        }

        return text.ToString();
    }

    /// <summary>More left than this is no effort to write down (common practice).</summary>
    private const double MostTold = 10;

    private static WrittenLine Written(Prescription given, string? group, int place) => new()
    {
        Number = 1,
        Text = "",
        Group = group,
        PlaceInGroup = place,
        ExerciseName = given.Name,
        Exercise = given.Exercise,
        Sets = [.. given.Counts.Select(c => new SetTarget(given.Count, c, c))],
        OptionalSets = given.OptionalSets,
        Intensity = new(Load: IsWeight(given) ? given.Load : null, Reserve: given.Reserve is <= MostTold and var left ? Math.Round(left) : null),
        Tempo = given.Tempo,
        Rest = given.Rest,
        PerSide = given.PerSide,
        Alternating = given.Alternating,
        Techniques = [.. Techniques(given)],
        Purpose = given.Purpose,
    };

    /// <summary>A band's pull is no weight somebody could pick up: its words stand behind the line.</summary>
    private static bool IsWeight(Prescription given) => given.Load > Mass.Zero && given.Hold is not (Hold.Band or null);

    /// <summary>What it is done with and where things stand, for whoever reads it; read back it is a note.</summary>
    private static string Behind(Prescription given)
    {
        string[] words = [.. (given.Load != Mass.Zero ? [given.LoadInWords] : ImmutableArray<string>.Empty).Concat(given.Placement).Select(w => w.ReplaceLineEndings(" ").TrimEnd('.'))];
        return words.Length == 0 ? "" : $" // {string.Join(". ", words)}";
    }

    private static IEnumerable<WrittenTechnique> Techniques(Prescription given)
    {
        if (given.Form is not SetForm.Straight)
        {
            yield return new(given.Form switch
            {
                SetForm.RestPause => TechniqueKind.RestPause,
                SetForm.PushFirst => TechniqueKind.HoldFirst,
                _ => TechniqueKind.HoldLast,
            });
        }

        if (given.Partial != PartialPart.None)
        {
            yield return new(given.Partial switch
            {
                PartialPart.AndAQuarter => TechniqueKind.OneAndAQuarter,
                PartialPart.AndAHalf => TechniqueKind.OneAndAHalf,
                _ => TechniqueKind.Partials,
            });
        }

        if (given.Pulses > 0)
        {
            yield return new(TechniqueKind.Pulses, given.Pulses);
        }
    }
}
