using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients;

namespace Ingegno.Formats.Tables;

/// <summary>
/// Writes a programme laid out in a sheet as the text the editor reads. Nothing is judged here: what a cell means is read by
/// <see cref="ProgrammeText.ProgrammeReader"/>, with its own marks and questions, before anything is kept.
/// </summary>
public static partial class ProgrammeTable
{
    /// <summary>A rest of so much and less, without a unit, is told in minutes.</summary>
    private const double MostMinutes = 10;

    /// <param name="guess">As guessed or as put right; columns it does not name are passed over.</param>
    /// <param name="unit">Of a load without one.</param>
    public static string ToText(Table table, ColumnGuess guess, MassUnit unit)
    {
        var rows = table.Rows.Skip((guess.HeaderRow ?? -1) + 1).ToArray();
        var text = new StringBuilder();
        if (guess.DaysAcross && guess.HeaderRow is { } header)
        {
            foreach (int column in Enumerable.Range(0, table.Columns).Where(c => Role(guess, c) == ColumnRole.Whole))
            {
                Heading(text, table.Rows[header][column]);
                foreach (string[] lines in rows.Select(r => Lines(r[column])))
                {
                    text.AppendJoin("", lines.Select(l => l + "\n"));
                }
            }

            return text.ToString().Trim() + "\n";
        }

        bool inPounds = guess.HeaderRow is { } named && table.Rows[named].Where((_, c) => Role(guess, c) == ColumnRole.Load).Any(IsInPounds);
        var blocks = ColumnBlocks.Of(table, guess.HeaderRow, guess.Columns);
        foreach (var block in blocks)
        {
            if (block.Title.Length > 0)
            {
                Heading(text, block.Title);
            }

            Below(text, blocks.Length == 1 ? rows : [.. rows.Where(r => !IsOfOthers(r, block, guess))], guess with { Columns = block.Columns }, inPounds ? MassUnit.Pound : unit);
        }

        return text.ToString().Trim() + "\n";
    }

    /// <summary>An exercise this week has no dose for, though another has.</summary>
    private static bool IsOfOthers(ImmutableArray<string> row, ColumnBlock block, ColumnGuess guess) =>
        Enumerable.Range(0, row.Length).Any(c => IsDose(Role(guess, c)) && row[c].Length > 0) && !Enumerable.Range(0, row.Length).Any(c => IsDose(block.Columns[c]) && row[c].Length > 0);

    private static bool IsDose(ColumnRole role) => role is ColumnRole.Sets or ColumnRole.Repetitions;

    private static void Below(StringBuilder text, ImmutableArray<string>[] rows, ColumnGuess guess, MassUnit unit)
    {
        string week = "", session = "";
        foreach (var row in rows)
        {
            string inWeek = Cells(row, guess, ColumnRole.Week), day = Cells(row, guess, ColumnRole.Session);
            if (inWeek.Length > 0 && inWeek != week)
            {
                (week, session) = (inWeek, "");
                Heading(text, Number(inWeek) is null ? inWeek : $"Week {inWeek}");
            }

            if (day.Length > 0 && day != session)
            {
                Heading(text, session = day);
            }

            foreach (string line in LinesOf(row, guess, unit))
            {
                text.Append(line).Append('\n');
            }
        }
    }

    private static ColumnRole Role(ColumnGuess guess, int column) => column < guess.Columns.Length ? guess.Columns[column] : ColumnRole.Nothing;

    /// <summary>The cells of a role, one after the other.</summary>
    private static string Cells(ImmutableArray<string> row, ColumnGuess guess, ColumnRole role) =>
        string.Join(' ', row.Where((cell, c) => cell.Length > 0 && Role(guess, c) == role)).ReplaceLineEndings(" ");

    private static void Heading(StringBuilder text, string title) => text.Append(text.Length > 0 ? "\n" : "").Append("# ").Append(title.ReplaceLineEndings(" ").TrimStart('#').Trim()).Append('\n');

    private static string[] Lines(string cell) => [.. cell.ReplaceLineEndings("\n").Split('\n').Select(l => l.Trim()).Where(l => l.Length > 0)];

    private static string[] LinesOf(ImmutableArray<string> row, ColumnGuess guess, MassUnit unit)
    {
        if (guess.Columns.Contains(ColumnRole.Whole))
        {
            string[] cells = [.. row.Where((cell, c) => cell.Length > 0 && Role(guess, c) == ColumnRole.Whole)];
            return cells.Length == 1 ? Lines(cells[0]) : cells.Length == 0 ? [] : [string.Join(' ', cells).ReplaceLineEndings(" ")];
        }

        string exercise = Of(ColumnRole.Exercise);
        if (exercise.Length == 0)
        {
            return [];
        }

        string sets = Of(ColumnRole.Sets), repetitions = Of(ColumnRole.Repetitions);
        // A name without a dose is a heading of its own: "Lower body", "Week 2".
        if (sets.Length == 0 && repetitions.Length == 0 && Enumerable.Range(0, row.Length).All(c => row[c].Length == 0 || Role(guess, c) is ColumnRole.Exercise or ColumnRole.Nothing or ColumnRole.Session or ColumnRole.Week))
        {
            return ["", $"# {exercise}"];
        }

        var line = new StringBuilder();
        string group = Of(ColumnRole.Group);
        if (GroupMark().IsMatch(group))
        {
            // A letter alone would be read with the name.
            line.Append(group).Append(group.Length == 1 ? ". " : " ");
        }

        line.Append(exercise);
        string dose = sets.Length == 0 ? repetitions
            : repetitions.Length == 0 ? Number(sets) is null ? sets : $"{sets} sets"
            : repetitions.Contains('x', StringComparison.OrdinalIgnoreCase) ? repetitions : $"{sets} x {repetitions}";
        Add(line, " ", dose);
        string load = Of(ColumnRole.Load);
        Add(line, " @ ", Number(load) is { } plain ? string.Create(CultureInfo.InvariantCulture, $"{plain:0.###} {(unit == MassUnit.Pound ? "lb" : "kg")}") : Point(load));
        string percent = Of(ColumnRole.Percent);
        Add(line, ", ", Number(percent.TrimEnd('%', ' ')) is { } part ? string.Create(CultureInfo.InvariantCulture, $"{(part <= 1.2 ? part * 100 : part):0.#} %") : Point(percent));
        Add(line, ", RPE ", Without("RPE", Point(Of(ColumnRole.Rpe))));
        Add(line, ", RIR ", Without("RIR", Point(Of(ColumnRole.Reserve))));
        Add(line, ", tempo ", Without("tempo", Of(ColumnRole.Tempo)));
        string rest = Without("rest", Of(ColumnRole.Rest));
        Add(line, ", rest ", Number(rest) is { } number ? string.Create(CultureInfo.InvariantCulture, $"{(number <= MostMinutes ? number * 60 : number):0} s") : rest);
        Add(line, " // ", Of(ColumnRole.Notes));
        return [line.ToString()];

        string Of(ColumnRole role) => Cells(row, guess, role);
    }

    private static void Add(StringBuilder line, string before, string part)
    {
        if (part.Length > 0 && part is not ("-" or "–" or "n/a"))
        {
            line.Append(before).Append(part);
        }
    }

    private static string Without(string word, string cell) =>
        cell.Replace(word, "", StringComparison.OrdinalIgnoreCase).Trim(' ', ':');

    /// <summary>Decimal commas as points: "72,5".</summary>
    private static string Point(string cell) => DecimalComma().Replace(cell, "$1.$2");

    private static double? Number(string cell) =>
        double.TryParse(Point(cell), NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out double number) ? number : null;

    private static bool IsInPounds(string header) => ColumnGuess.Letters(header) is var letters && (letters.EndsWith("lb", StringComparison.Ordinal) || letters.EndsWith("lbs", StringComparison.Ordinal));

    [GeneratedRegex(@"(\d),(\d)")]
    private static partial Regex DecimalComma();

    [GeneratedRegex("^[A-Za-z][0-9]?[.)]?$|^[0-9][A-Za-z]$")]
    private static partial Regex GroupMark();
}
