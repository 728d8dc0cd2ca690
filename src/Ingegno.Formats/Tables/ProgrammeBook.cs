using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Clients;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tables;

/// <summary>A workbook with a session or a week on each sheet, read as one programme.</summary>
public static class ProgrammeBook
{
    /// <summary>Sheets that are the weeks of a block: the same sessions again and again, of which one week is trained at a time.</summary>
    public static bool IsWeekByWeek(ImmutableArray<Table> sheets) => sheets.Length > 1 && sheets.Count(s => WeekHeading.Of(s.Name) is not null) > 1;

    /// <param name="like">The sheet whose columns were put right; sheets that name theirs alike are taken like it, others as guessed.</param>
    /// <param name="guess">As guessed or as put right for it.</param>
    /// <param name="unit">Of a load without one.</param>
    /// <returns>All sheets, each under its own name, in the workbook's order; those without a line, and beside weeks those that are none, are passed over.</returns>
    public static string ToText(ImmutableArray<Table> sheets, Table like, ColumnGuess guess, MassUnit unit)
    {
        var text = new StringBuilder();
        bool weeks = IsWeekByWeek(sheets);
        foreach (var sheet in sheets.Where(s => !weeks || WeekHeading.Of(s.Name) is not null))
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

    /// <summary>A sheet with sessions of its own names them all, "Block one, Monday"; one that is a week stands over them.</summary>
    private static string Named(string lines, string sheet)
    {
        string[] each = lines.Split('\n');
        return WeekHeading.Of(sheet) is not null ? $"# {sheet}\n{lines}"
            : each.Any(l => l.StartsWith("# ", StringComparison.Ordinal))
            ? string.Join('\n', each.Select(l => l.StartsWith("# ", StringComparison.Ordinal) ? $"# {sheet}, {l[2..]}" : l))
            : $"# {sheet}\n{lines}";
    }
}
