using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.RegularExpressions;

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

    private static readonly FrozenSet<string> Days = new[]
    {
        "monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday", "mon", "tue", "wed", "thu", "fri", "sat", "sun",
    }.ToFrozenSet(StringComparer.Ordinal);

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
                // The first column of a kind counts; one named twice, as week by week, is passed over.
                var seen = new HashSet<ColumnRole>();
                return new(i, [.. named.Select(r => r is { } role && seen.Add(role) ? role : ColumnRole.Nothing)], false);
            }

            if (rows[i].Count(IsDay) >= 2 && rows[i].All(c => c.Length == 0 || IsDay(c)) && rows.Skip(i + 1).Any(r => r.Any(c => Doses().IsMatch(c))))
            {
                return new(i, [.. rows[i].Select(c => c.Length > 0 ? ColumnRole.Whole : ColumnRole.Nothing)], true);
            }
        }

        return WithoutHeader(table);
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
            ? new(null, [.. Enumerable.Range(0, table.Columns).Select(c => c == whole ? ColumnRole.Whole : c < whole && table.Rows.Any(r => IsDay(r[c])) ? ColumnRole.Session : ColumnRole.Nothing)], false)
            : new(null, [.. Enumerable.Repeat(ColumnRole.Whole, table.Columns)], false);
    }

    private static ColumnRole? RoleOf(string cell) =>
        cell.Contains('%', StringComparison.Ordinal) ? ColumnRole.Percent
        : Words.TryGetValue(Letters(cell), out var role) ? role
        : null;

    private static bool IsDay(string cell) =>
        cell.Length is > 0 and < 40 && cell.Split(' ', ',', ':', '-')[0].ToLowerInvariant() is var first
        && (Days.Contains(first) || ((first is "day" or "session" or "workout") && cell.Any(char.IsLetterOrDigit) && cell.Length > first.Length) || DayNumber().IsMatch(cell));

    [GeneratedRegex(@"^(day|session|workout)\s*[0-9a-d]$", RegexOptions.IgnoreCase)]
    private static partial Regex DayNumber();

    internal static string Letters(string cell) => string.Concat(cell.Where(char.IsAsciiLetter)).ToLowerInvariant();
}
