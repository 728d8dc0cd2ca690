using System.Collections.Immutable;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tables;

/// <summary>Columns that are read together.</summary>
/// <param name="Title">Of the day or week; empty where the sheet has no others beside it.</param>
/// <param name="Columns">One role a column of the sheet: those of the other blocks are passed over.</param>
internal sealed record ColumnBlock(string Title, ImmutableArray<ColumnRole> Columns);

/// <summary>Finds days or weeks that stand side by side in a sheet by the columns that come again and again.</summary>
internal static class ColumnBlocks
{
    private static readonly ImmutableArray<ColumnRole> Dose =
        [ColumnRole.Sets, ColumnRole.Repetitions, ColumnRole.Load, ColumnRole.Percent, ColumnRole.Rpe, ColumnRole.Reserve];

    /// <returns>At least one; all columns in one where nothing comes again.</returns>
    internal static ImmutableArray<ColumnBlock> Of(Table table, int? headerRow, ImmutableArray<ColumnRole> roles)
    {
        var counts = roles.Where(r => r is not (ColumnRole.Nothing or ColumnRole.Whole)).CountBy(r => r).ToDictionary();
        if (headerRow is not { } header || Again(counts) is not { } again)
        {
            return [new("", roles)];
        }

        // What stands before the exercise, as its letter, begins the block where it comes as often.
        int blocks = counts[again];
        var first = roles.First(r => counts.GetValueOrDefault(r) == blocks);
        int[] starts = [.. Enumerable.Range(0, roles.Length).Where(c => roles[c] == first)];
        bool days = again == ColumnRole.Exercise;
        string[]? titles = Titles(table, header, starts);
        if (titles is null && !days && Dose.Count(r => counts.GetValueOrDefault(r) == blocks) < 2)
        {
            // One column again and again without a word over it: repetitions of set after set, or a slip.
            return [new("", roles)];
        }

        return
        [
            .. starts.Select((start, k) =>
            {
                int end = k + 1 < starts.Length ? starts[k + 1] : roles.Length;
                return new ColumnBlock(
                    titles?[k] ?? $"{(days ? "Day" : "Week")} {k + 1}",
                    [.. roles.Select((role, c) => (c >= start && c < end) || c < starts[0] || (!days && counts.GetValueOrDefault(role) == 1) ? role : ColumnRole.Nothing)]);
            }),
        ];
    }

    /// <summary>The role that makes a block: the exercise, else the first of the dose.</summary>
    private static ColumnRole? Again(Dictionary<ColumnRole, int> counts) =>
        Dose.Prepend(ColumnRole.Exercise).Select(r => (ColumnRole?)r).FirstOrDefault(r => counts.GetValueOrDefault(r!.Value) > 1);

    /// <summary>What the columns are named by, else what stands above them; null where not every block has a name.</summary>
    private static string[]? Titles(Table table, int header, int[] starts)
    {
        for (int row = header; row >= 0; row--)
        {
            string[] named =
            [
                .. starts.Select((start, k) => table.Rows[row].Skip(start).Take((k + 1 < starts.Length ? starts[k + 1] : table.Columns) - start)
                    .FirstOrDefault(c => c.Length > 0 && (row < header || WeekHeading.Of(c) is not null || DayHeading.Is(c)), "")),
            ];
            if (named.All(n => n.Length > 0) && named.Distinct(StringComparer.OrdinalIgnoreCase).Count() == named.Length)
            {
                return named;
            }
        }

        return null;
    }
}
