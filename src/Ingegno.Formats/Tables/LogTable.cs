using System.Collections.Immutable;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Formats.Tables;

/// <summary>A row of a log that could not be taken, or was taken with a question.</summary>
/// <param name="Row">In the file, from 1.</param>
/// <param name="Left">It was left out; else taken as said.</param>
public sealed record LogDoubt(int Row, string Words, bool Left);

/// <summary>A log as read from a file. Nothing is kept.</summary>
/// <param name="Sets">With ids that follow from what they say: the same file read twice gives the same sets.</param>
/// <param name="Unknown">Names that are not in the catalogue, each once, with how many rows have it.</param>
public sealed record ReadLog(ImmutableArray<SetLog> Sets, ImmutableArray<LogDoubt> Doubts, ImmutableArray<(string Name, int Rows)> Unknown);

/// <summary>
/// Reads a training log laid out in a sheet: a set a row, or an exercise a row with "8/8/7" and "60/60/55" in its cells. Columns are found by the words
/// over them: date, exercise, set, load or weight, repetitions, RPE or repetitions left.
/// </summary>
public static partial class LogTable
{
    /// <summary>Lines of the log that belong to no line of a plan are numbered from here, an exercise each; those added to a line begin at 1000.</summary>
    private const int FirstLine = 500;

    private const int MostDoubts = 200;

    private enum Column
    {
        Date,
        Exercise,

        /// <summary>How many sets a row stands for; one where it is not named, or numbered.</summary>
        Sets,
        Load,
        Repetitions,
        Rpe,
        Reserve,
    }

    private static readonly (Column Column, string[] Words)[] Words =
    [
        (Column.Date, ["date", "day", "on", "performed", "when", "time"]), (Column.Exercise, ["exercise", "exercisename", "movement", "lift", "name"]),
        (Column.Sets, ["sets", "noofsets", "numberofsets"]), (Column.Load, ["load", "weight", "kg", "lb", "lbs", "loadkg", "weightkg", "loadlb", "weightlb", "weightlbs", "loadlbs"]),
        (Column.Repetitions, ["reps", "rep", "repetitions", "count"]), (Column.Rpe, ["rpe", "effort"]), (Column.Reserve, ["rir", "left", "reserve", "repsleft", "repsinreserve"]),
    ];

    /// <param name="names">Reads what exercises are called.</param>
    /// <param name="lineOf">The line of the plan an exercise is logged on; null where it is on none.</param>
    /// <param name="unit">Of loads whose column names none.</param>
    /// <param name="today">Nothing is logged after it.</param>
    /// <exception cref="UnreadableFileException">No row names date, exercise and repetitions.</exception>
    public static ReadLog Read(Table table, NameReader names, Catalogue catalogue, Func<string, int?> lineOf, MassUnit unit, DateOnly today, string client)
    {
        var (header, columns) = Header(table);
        var position = catalogue.Exercises.Select((e, i) => (e.Id, i)).ToDictionary(p => p.Id, p => p.i, StringComparer.Ordinal);
        bool pounds = columns.TryGetValue(Column.Load, out int loadAt) && ColumnGuess.Letters(table.Rows[header][loadAt]) is var over
            && (over.Contains("lb", StringComparison.Ordinal) || (unit == MassUnit.Pound && !over.Contains("kg", StringComparison.Ordinal)));
        bool dayFirst = DayFirst(table.Rows.Skip(header + 1).Select(r => r[columns[Column.Date]]));
        var sets = ImmutableArray.CreateBuilder<SetLog>();
        var doubts = new List<LogDoubt>();
        var unknown = new Dictionary<string, int>(StringComparer.OrdinalIgnoreCase);
        var counted = new Dictionary<(DateOnly, string), int>();
        DateOnly? above = null;
        string nameAbove = "";
        for (int i = header + 1; i < table.Rows.Length; i++)
        {
            var row = table.Rows[i];
            string dated = Cell(Column.Date), called = Cell(Column.Exercise), done = Cell(Column.Repetitions);
            // An empty day or name goes on with the one above.
            above = dated.Length > 0 ? Day(dated, dayFirst) : above;
            nameAbove = called.Length > 0 ? called : nameAbove;
            if (done.Length == 0 || nameAbove.Length == 0)
            {
                continue;
            }

            if (above is not { } on)
            {
                Doubt(i, $"\"{dated}\" is no date: write 2026-11-23 or 23.11.2026.", left: true);
                continue;
            }

            if (on > today)
            {
                Doubt(i, $"{on:d MMM yyyy} is still to come.", left: true);
                continue;
            }

            if (names.Read(nameAbove) is not { } read || read.Exercise.IsSlot)
            {
                unknown[nameAbove] = unknown.GetValueOrDefault(nameAbove) + 1;
                continue;
            }

            if (read.Sureness == NameSureness.Guessed)
            {
                Doubt(i, $"\"{nameAbove}\" is taken as {PlainWords.InSentence(read.Exercise.Name)}.", left: false);
            }

            if (Counts(done, Cell(Column.Sets)) is not { Length: > 0 } counts)
            {
                Doubt(i, $"\"{done}\" is no count of repetitions.", left: true);
                continue;
            }

            if (Loads(Cell(Column.Load), counts.Length) is not { } loads)
            {
                Doubt(i, $"\"{Cell(Column.Load)}\" is no load.", left: true);
                continue;
            }

            var left = Left(Cell(Column.Rpe), Cell(Column.Reserve), out string? odd);
            if (odd is not null)
            {
                Doubt(i, odd, left: false);
            }

            for (int s = 0; s < counts.Length; s++)
            {
                var key = (on, read.Exercise.Id);
                int number = counted[key] = counted.GetValueOrDefault(key) + 1;
                var load = pounds ? Mass.FromPounds(loads[s]) : Mass.FromKilograms(loads[s]);
                var set = new SetLog(
                    IdOf(client, on, read.Exercise.Id, number), lineOf(read.Exercise.Id) ?? FirstLine + position[read.Exercise.Id], read.Exercise.Id, on, number, load, counts[s],
                    s == counts.Length - 1 ? left : null);
                if (SetLogProblems.Of(set, "", catalogue).FirstOrDefault() is { } problem)
                {
                    Doubt(i, problem.Message, left: true);
                    counted[key]--;
                    continue;
                }

                sets.Add(set);
            }

            string Cell(Column column) => columns.TryGetValue(column, out int at) ? row[at] : "";
        }

        return new(sets.ToImmutable(), [.. doubts], [.. unknown.OrderByDescending(u => u.Value).Select(u => (u.Key, u.Value))]);

        void Doubt(int row, string words, bool left)
        {
            if (doubts.Count < MostDoubts)
            {
                doubts.Add(new(row + 1, words, left));
            }
        }
    }

    private static (int Row, Dictionary<Column, int> Columns) Header(Table table)
    {
        for (int i = 0; i < Math.Min(15, table.Rows.Length); i++)
        {
            var columns = new Dictionary<Column, int>();
            for (int c = 0; c < table.Columns; c++)
            {
                string word = ColumnGuess.Letters(table.Rows[i][c]);
                foreach (var (column, words) in Words)
                {
                    if (words.Contains(word))
                    {
                        columns.TryAdd(column, c);
                        break;
                    }
                }
            }

            if (columns.ContainsKey(Column.Date) && columns.ContainsKey(Column.Exercise) && columns.ContainsKey(Column.Repetitions))
            {
                return (i, columns);
            }
        }

        throw new UnreadableFileException("No row names the columns: put Date, Exercise and Reps over them (and Weight, RPE or RIR where there are any), then try again.");
    }

    /// <summary>Where any date can only be one way round, all are; else the day stands first.</summary>
    private static bool DayFirst(IEnumerable<string> cells) =>
        !cells.Select(c => Numbers().Match(c)).Any(m => m.Success && int.Parse(m.Groups[2].Value, CultureInfo.InvariantCulture) is > 12 and <= 31);

    private static DateOnly? Day(string cell, bool dayFirst)
    {
        string day = cell.Split('T', ' ')[0];
        if (DateOnly.TryParseExact(day, ["yyyy-MM-dd", "yyyy/MM/dd", "yyyy.MM.dd", "yyyyMMdd"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var iso))
        {
            return Sensible(iso);
        }

        if (Numbers().Match(cell) is { Success: true } parts)
        {
            int first = Number(1), second = Number(2), year = Number(3);
            year += year < 100 ? 2000 : 0;
            var (d, m) = dayFirst ? (first, second) : (second, first);
            return m is >= 1 and <= 12 && d >= 1 && year is > 1900 and < 3000 && d <= DateTime.DaysInMonth(year, m) ? Sensible(new(year, m, d)) : null;

            int Number(int group) => int.Parse(parts.Groups[group].Value, CultureInfo.InvariantCulture);
        }

        // A workbook's own count of days, from 1900.
        if (double.TryParse(cell, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out double serial) && serial is > 20_000 and < 80_000)
        {
            return Sensible(DateOnly.FromDateTime(DateTime.FromOADate(serial)));
        }

        return DateTime.TryParseExact(cell, ["d MMM yyyy", "d MMMM yyyy", "MMM d, yyyy", "MMMM d, yyyy", "d. MMM yyyy"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var words)
            ? Sensible(DateOnly.FromDateTime(words))
            : null;

        static DateOnly? Sensible(DateOnly day) => day.Year is >= 1950 and <= 2200 ? day : null;
    }

    /// <summary>"8", "8/8/7", "8, 8, 7", "3x8"; and "8" where a column says 3 sets.</summary>
    private static int[]? Counts(string done, string sets)
    {
        if (Times().Match(done) is { Success: true } times)
        {
            int each = int.Parse(times.Groups[1].Value, CultureInfo.InvariantCulture);
            return each is >= 1 and <= 50 ? [.. Enumerable.Repeat(int.Parse(times.Groups[2].Value, CultureInfo.InvariantCulture), each)] : null;
        }

        string[] parts = done.Split(['/', ',', ';', '-'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        int[] counts = [.. parts.Select(p => Whole(p) ?? -1)];
        return counts.Length is 0 or > 50 || counts.Contains(-1) ? null
            : counts.Length == 1 && Whole(sets) is { } many and >= 1 and <= 50 ? [.. Enumerable.Repeat(counts[0], many)]
            : counts;
    }

    private static double[]? Loads(string cell, int sets)
    {
        if (cell.Length == 0 || cell is "-" or "BW" or "bw" or "bodyweight")
        {
            return new double[sets];
        }

        string[] parts = [.. cell.Split(['/', ';'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(p => Unit().Replace(p, "").Replace(',', '.').Trim())];
        double[] loads = [.. parts.Select(p => double.TryParse(p, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out double load) && double.IsFinite(load) ? load : double.NaN)];
        return loads.Any(double.IsNaN) || loads.Length == 0 ? null
            : loads.Length == sets ? loads
            : loads.Length == 1 ? [.. Enumerable.Repeat(loads[0], sets)]
            : null;
    }

    private static SaidReserve? Left(string rpe, string reserve, out string? odd)
    {
        odd = null;
        if (reserve.Length > 0)
        {
            var said = SaidReserve.Read(reserve.Replace(',', '.'));
            odd = said is null or { Least: < 0 or > 20 } ? $"\"{reserve}\" says nothing of what was left; it is passed over." : null;
            return odd is null ? said : null;
        }

        if (rpe.Length == 0)
        {
            return null;
        }

        if (double.TryParse(rpe.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out double effort) && effort is >= 4 and <= 10)
        {
            return 10 - effort;
        }

        odd = $"RPE \"{rpe}\" lies outside 4 to 10; it is passed over.";
        return null;
    }

    private static int? Whole(string text) => int.TryParse(text.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out int whole) ? whole
        : double.TryParse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out double figure) && figure == Math.Floor(figure) && figure < 10_000 ? (int)figure
        : null;

    /// <summary>The same row is the same set whenever it is read.</summary>
    private static Guid IdOf(string client, DateOnly on, string exercise, int number) =>
        new(SHA256.HashData(Encoding.UTF8.GetBytes(string.Create(CultureInfo.InvariantCulture, $"{client}|{on:yyyyMMdd}|{exercise}|{number}"))).AsSpan(0, 16));

    [GeneratedRegex(@"^\s*(\d{1,2})[./-](\d{1,2})[./-](\d{2,4})")]
    private static partial Regex Numbers();

    [GeneratedRegex(@"^\s*(\d{1,2})\s*[xX\u00d7]\s*(\d{1,4})\s*$")]
    private static partial Regex Times();

    [GeneratedRegex(@"\s*(kgs?|lbs?)\.?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Unit();
}
