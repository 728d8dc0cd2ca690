using System.Collections.Immutable;
using System.Text;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients;

namespace Ingegno.Formats.Tables;

/// <summary>A workbook with a session on each sheet, read as one programme.</summary>
public static partial class ProgrammeBook
{
    /// <summary>Sheets that are the weeks of a block: the same sessions again and again, of which one week is rebuilt.</summary>
    public static bool IsWeekByWeek(ImmutableArray<Table> sheets) => sheets.Length > 1 && sheets.Count(s => Week().IsMatch(s.Name)) > 1;

    /// <param name="like">The sheet whose columns were put right; sheets that name theirs alike are taken like it, others as guessed.</param>
    /// <param name="guess">As guessed or as put right for it.</param>
    /// <param name="unit">Of a load without one.</param>
    /// <returns>All sheets, each under its own name, in the workbook's order; those without a line are passed over.</returns>
    public static string ToText(ImmutableArray<Table> sheets, Table like, ColumnGuess guess, MassUnit unit)
    {
        var text = new StringBuilder();
        foreach (var sheet in sheets)
        {
            var own = ColumnGuess.Of(sheet);
            string lines = ProgrammeTable.ToText(sheet, sheet == like || NamesAlike(sheet, own) ? guess with { HeaderRow = sheet == like ? guess.HeaderRow : own.HeaderRow } : own, unit).Trim();
            if (lines.Length > 0)
            {
                text.Append(text.Length > 0 ? "\n" : "").Append(Named(lines, sheet.Name)).Append('\n');
            }
        }

        return text.ToString();

        bool NamesAlike(Table sheet, ColumnGuess own) =>
            guess.HeaderRow is { } there && own.HeaderRow is { } here && sheet.Columns == like.Columns
            && sheet.Rows[here].SequenceEqual(like.Rows[there], StringComparer.OrdinalIgnoreCase);
    }

    /// <summary>A sheet with sessions of its own names them all: "Block one, Monday".</summary>
    private static string Named(string lines, string sheet)
    {
        string[] each = lines.Split('\n');
        return each.Any(l => l.StartsWith("# ", StringComparison.Ordinal))
            ? string.Join('\n', each.Select(l => l.StartsWith("# ", StringComparison.Ordinal) ? $"# {sheet}, {l[2..]}" : l))
            : $"# {sheet}\n{lines}";
    }

    [GeneratedRegex(@"^\s*(week|wk|w)\s*\d", RegexOptions.IgnoreCase)]
    private static partial Regex Week();
}
