using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>A line as its group sees it.</summary>
/// <param name="Name">Of the exercise as written.</param>
/// <param name="Group">Letter; null where it stands alone.</param>
/// <param name="Needs">Null where nothing is done on it.</param>
public sealed record GroupedLine(string Name, string? Group, SetUpNeeds? Needs);

/// <summary>Where a line ends up.</summary>
/// <param name="Why">What was changed and why; null where it stays.</param>
public sealed record Regrouped(string? Group, string? Why);

/// <summary>
/// Supersets kept, or re-paired or broken where two halves fight over a band, bag, fixture or floor: one thing is never wanted two ways at
/// once.
/// </summary>
public static class Grouping
{
    /// <returns>One entry a line, in order.</returns>
    public static ImmutableArray<Regrouped> Of(IReadOnlyList<GroupedLine> lines)
    {
        string?[] groups = [.. lines.Select(l => l.Group)];
        string?[] why = new string?[lines.Count];
        while (FirstClash(lines, groups) is { } clash)
        {
            if (Swap(lines, groups, clash.Later) is { } with)
            {
                (groups[clash.Later], groups[with]) = (groups[with], groups[clash.Later]);
                why[clash.Later] = why[with] =
                    $"{lines[clash.Later].Name} and {PlainWords.InSentence(lines[with].Name)} change partners: of {PlainWords.InSentence(lines[clash.First].Name)} and {PlainWords.InSentence(lines[clash.Later].Name)} {clash.Why}.";
                continue;
            }

            why[clash.Later] = $"Done after the {PlainWords.InSentence(lines[clash.First].Name)}, not back to back: {clash.Why}.";
            groups[clash.Later] = null;
        }

        foreach (var alone in Enumerable.Range(0, lines.Count).Where(i => groups[i] is not null).GroupBy(i => groups[i]!)
            .Where(g => g.Count() == 1 && lines.Count(l => l.Group == g.Key) > 1).SelectMany(g => g))
        {
            groups[alone] = null;
        }

        return [.. groups.Select((g, i) => new Regrouped(g, why[i]))];
    }

    private static (int First, int Later, string Why)? FirstClash(IReadOnlyList<GroupedLine> lines, string?[] groups)
    {
        for (int a = 0; a < lines.Count; a++)
        {
            for (int b = a + 1; b < lines.Count; b++)
            {
                if (groups[a] is not null && groups[a] == groups[b] && Clash(lines[a], lines[b]) is { } why)
                {
                    return (a, b, why);
                }
            }
        }

        return null;
    }

    /// <summary>A line of another group with which this one can change places so that both groups are at peace.</summary>
    private static int? Swap(IReadOnlyList<GroupedLine> lines, string?[] groups, int place)
    {
        for (int other = 0; other < lines.Count; other++)
        {
            if (groups[other] is null || groups[other] == groups[place] || lines[other].Needs is null)
            {
                continue;
            }

            string?[] swapped = [.. groups];
            (swapped[place], swapped[other]) = (swapped[other], swapped[place]);
            if (AtPeace(lines, swapped, swapped[place]) && AtPeace(lines, swapped, swapped[other]))
            {
                return other;
            }
        }

        return null;
    }

    private static bool AtPeace(IReadOnlyList<GroupedLine> lines, string?[] groups, string? group)
    {
        int[] members = [.. Enumerable.Range(0, lines.Count).Where(i => groups[i] == group)];
        return members.All(a => members.All(b => a == b || Clash(lines[a], lines[b]) is null));
    }

    private static string? Clash(GroupedLine a, GroupedLine b) => a.Needs is null || b.Needs is null ? null : a.Needs.Against(b.Needs);
}
