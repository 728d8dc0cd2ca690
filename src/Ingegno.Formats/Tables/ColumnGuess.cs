using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tables;

/// <summary>How a sheet is taken to be laid out, for the coach to put right.</summary>
/// <param name="HeaderRow">From 0; null where no row names the columns.</param>
/// <param name="Columns">One role a column.</param>
/// <param name="DaysAcross">Each column is a session of its own, named by the header.</param>
public sealed partial record ColumnGuess(int? HeaderRow, ImmutableArray<ColumnRole> Columns, bool DaysAcross)
{
    /// <summary>The row that names the columns stands among the first so many.</summary>
    private const int HeaderWithin = 15;

    /// <summary>The trade's words for columns, letters only (common practice).</summary>
    private static readonly FrozenDictionary<string, ColumnRole> Words = new (ColumnRole Role, string Words)[]
    {
        (ColumnRole.Week, "week wk"),
        (ColumnRole.Session, "day session workout training"),
        (ColumnRole.Group, "group superset order pair"),
        (ColumnRole.Exercise, "exercise exercises movement lift name"),
        (ColumnRole.Sets, "sets set"),
        (ColumnRole.Repetitions, "reps rep repetitions repsset setsxreps setsreps prescription scheme"),
        (ColumnRole.Load, "load weight kg lb lbs loadkg weightkg loadlb weightlb loadlbs weightlbs"),
        (ColumnRole.Percent, "percent rm ofrm intensity"),
        (ColumnRole.Rpe, "rpe effort"),
        (ColumnRole.Reserve, "rir reserve left"),
        (ColumnRole.Tempo, "tempo"),
        (ColumnRole.Rest, "rest rests resttime pause recovery"),
        (ColumnRole.Notes, "notes note comments comment cues"),
        (ColumnRole.Whole, "programme program"),
    }.SelectMany(r => r.Words.Split(' ').Select(word => (word, r.Role))).ToFrozenDictionary(p => p.word, p => p.Role, StringComparer.Ordinal);

    [GeneratedRegex(@"\d\s*[x\u00d7*]\s*\d|\d\s*(reps|sets|s\b)|\d+/\d+/\d+", RegexOptions.IgnoreCase)]
    private static partial Regex Doses();

    public static ColumnGuess Of(Table table)
    {
        var rows = table.Rows;
        for (int i = 0; i < Math.Min(HeaderWithin, rows.Length); i++)
        {
            ColumnRole?[] named = [.. rows[i].Select(RoleOf)];
            if (named.Count(r => r is not null) >= 2 && named.Contains(ColumnRole.Exercise))
            {
                return new(i, Named(table, i, named), false);
            }

            bool isOverHeader = i + 1 < rows.Length && rows[i + 1].Any(c => RoleOf(c) == ColumnRole.Exercise);
            if (!isOverHeader && rows[i].Count(DayHeading.Is) >= 2 && rows[i].All(c => c.Length == 0 || DayHeading.Is(c)) && rows.Skip(i + 1).Any(r => r.Any(c => Doses().IsMatch(c))))
            {
                return new(i, [.. rows[i].Select(c => c.Length > 0 ? ColumnRole.Whole : ColumnRole.Nothing)], true);
            }
        }

        return WithoutHeader(table);
    }

    /// <summary>Columns that come again and again are the days or weeks of a sheet side by side; else the first of a kind counts, and another is passed over.</summary>
    private static ImmutableArray<ColumnRole> Named(Table table, int header, ColumnRole?[] named)
    {
        ImmutableArray<ColumnRole> roles = [.. named.Select((r, c) => r ?? InWeek(table, header, c, named) ?? ColumnRole.Nothing)];
        if (ColumnBlocks.Of(table, header, roles).Length > 1)
        {
            return roles;
        }

        var seen = new HashSet<ColumnRole>();
        return [.. roles.Select(r => seen.Add(r) ? r : ColumnRole.Nothing)];
    }

    /// <summary>
    /// What the column of a week holds: doses, or where sets and repetitions stand by themselves, loads. Doses beside those are what is to come of
    /// them, worked out, and an empty one is for writing down what was done.
    /// </summary>
    private static ColumnRole? InWeek(Table table, int header, int column, ColumnRole?[] named)
    {
        if (WeekHeading.Of(table.Rows[header][column]) is null)
        {
            return null;
        }

        string[] cells = [.. table.Rows.Skip(header + 1).Select(r => r[column]).Where(c => c.Length > 0)];
        int doses = cells.Count(c => Doses().IsMatch(c)), loads = cells.Count(c => Loads().IsMatch(c));
        return doses * 2 > cells.Length ? named.Contains(ColumnRole.Repetitions) ? null : ColumnRole.Repetitions
            : loads * 2 <= cells.Length || !named.Contains(ColumnRole.Repetitions) ? null
            : cells.Count(c => c.Contains('%', StringComparison.Ordinal)) * 2 > cells.Length ? ColumnRole.Percent
            : ColumnRole.Load;
    }

    /// <summary>
    /// No row names the columns. Where one holds whole lines it is taken, with the days before it; else a row is read as one line, cell after cell,
    /// as it is when pasted.
    /// </summary>
    private static ColumnGuess WithoutHeader(Table table)
    {
        int[] doses = [.. Enumerable.Range(0, table.Columns).Select(c => table.Rows.Count(r => Doses().IsMatch(r[c]) && r[c].Any(char.IsLetter) && r[c].Length > 8))];
        int most = doses.Length == 0 ? 0 : doses.Max();
        int whole = Array.IndexOf(doses, most);
        return most >= Math.Max(1, table.Rows.Length / 3)
            ? new(null, [.. Enumerable.Range(0, table.Columns).Select(c => c == whole ? ColumnRole.Whole : c < whole && table.Rows.Any(r => DayHeading.Is(r[c])) ? ColumnRole.Session : ColumnRole.Nothing)], false)
            : new(null, [.. Enumerable.Repeat(ColumnRole.Whole, table.Columns)], false);
    }

    private static ColumnRole? RoleOf(string cell) =>
        cell.Contains('%', StringComparison.Ordinal) ? ColumnRole.Percent
        : WeekHeading.Of(cell) is null && Words.TryGetValue(Letters(cell), out var role) ? role
        : null;

    [GeneratedRegex(@"^@?\s*\d+([.,]\d+)?\s*(kg|lbs?|%)?$", RegexOptions.IgnoreCase)]
    private static partial Regex Loads();

    internal static string Letters(string cell) => string.Concat(cell.Where(char.IsAsciiLetter)).ToLowerInvariant();
}
