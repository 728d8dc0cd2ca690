using System.Collections.Frozen;
using System.Globalization;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>Logs judged by hand: what a coach would let stand as the next step, and within which bounds (common practice).</summary>
public class JudgedLogsTests
{
    /// <summary>Trained with the coach for some weeks: endurance and recovery are known to a tenth.</summary>
    private static readonly ClientProfile Known = People.Man with { Learned = Learned.Nothing with { Endurance = new(1, 0.1), Recovery = new(1, 0.1) } };

    public static TheoryData<string> Logs =>
        [.. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Progression", "judged-logs.tsv")).Where(l => l.Length > 0 && l[0] != '#').Skip(1)];

    [Theory]
    [MemberData(nameof(Logs))]
    public void The_step_is_one_a_coach_would_accept(string row)
    {
        string[] cells = row.Split('\t');
        string sets = cells[3].Split('x')[0], rest = cells[3].Split('x')[1];
        int count = Whole(rest.Split('@')[0]);
        double load = Figure(rest.Split('@')[1].Split(',')[0]), reserve = Figure(rest.Split(',')[1]);
        var exercise = People.Exercise(cells[1] == "row" ? "one-arm-dumbbell-row" : "dumbbell-floor-press");
        var hold = cells[1] == "row" ? Hold.OneHand : Hold.Pair;
        var line = new Prescription
        {
            Exercise = exercise.Id,
            Name = exercise.Name,
            Count = CountKind.Repetitions,
            Counts = [.. Enumerable.Repeat(count, Whole(sets))],
            TopOfRange = count,
            PerSide = exercise.Sides == Sides.OneAtATime,
            Load = Mass.FromKilograms(load),
            Kit = "handles",
            Hold = hold,
            LoadInWords = $"{load} kg",
            Tempo = Tempo.Reference,
            Rest = Duration.FromSeconds(120),
            Reserve = reserve,
            Geometry = new(),
        };
        var implement = new HeldImplement("handles", "Handles", hold, LoadLadder.From(cells[2].Split(' ').Select(l => new Rung(Mass.FromKilograms(Figure(l)), new Recipe([], $"{l} kg")))));
        SetLog[][] sessions = [.. cells[6].Split('|').Select(s => Session(s, line))];
        var about = new LineCase(
            line, exercise, implement, Known, Believed(line, exercise, Figure(cells[4])), HouseRules.Default,
            [.. sessions.SelectMany(s => s).Where(s => s.Load == line.Load)])
        {
            Start = line,
            Today = People.Today,
            AskedAs = sessions.SelectMany(s => s).ToFrozenDictionary(s => s.Id, _ => line),
            Otherwise = [.. sessions[0].Where(s => s.Load != line.Load)],
        };
        var step = NextStep.For(about)!;
        cells[7].Split('/').ShouldContain(step.Kind.ToString(), step.Sentence);
        if (cells[8] == "-")
        {
            return;
        }

        step.Next.ShouldNotBeNull(step.Sentence);
        step.Next.Load.Kilograms.ShouldBeInRange(Bounds(cells[8]).Low, Bounds(cells[8]).High, step.Sentence);
        step.Next.Counts.ShouldAllBe(c => c >= Bounds(cells[9]).Low && c <= Bounds(cells[9]).High, step.Sentence);
    }

    /// <summary>The maximum at which a rested set goes so far.</summary>
    private static StrengthAnchor Believed(Prescription line, Exercise exercise, double foreseen)
    {
        var anchor = StrengthAnchors.Of(Known, Catalogue.Shipped).For(exercise)! with { Spread = 0.05 };
        double low = line.Load.Kilograms, high = line.Load.Kilograms * 20;
        for (int i = 0; i < 60; i++)
        {
            double middle = (low + high) / 2;
            (low, high) = Foreseen.Of(line, exercise, Known, anchor.At(Mass.FromKilograms(middle)))[0].Middle < foreseen ? (middle, high) : (low, middle);
        }

        return anchor.At(Mass.FromKilograms(high));
    }

    private static SetLog[] Session(string text, Prescription line)
    {
        int days = Whole(text.Split(':')[0]);
        return [.. text.Split(':')[1].Split(',').Select((set, i) => Set(set, i, days, line))];
    }

    private static SetLog Set(string text, int place, int days, Prescription line)
    {
        string figures = text.TrimEnd('L', 'g', 'b', 'f');
        int pain = Marked(ref figures, 'p') is { } hurt ? (int)hurt : 0;
        double load = Marked(ref figures, 'k') ?? line.Load.Kilograms;
        string[] parts = figures.Split('@');
        return new SetLog(
            Guid.NewGuid(), 1, line.Exercise, People.Today.AddDays(-days), place + 1, Mass.FromKilograms(load), Whole(parts[0]),
            parts.Length > 1 ? SaidReserve.Read(parts[1]) : null, pain)
        {
            ToLimit = text.EndsWith('L'),
            Stopped = text[^1] switch { 'g' => StopReason.Grip, 'b' => StopReason.Breath, 'f' => StopReason.Form, _ => null },
        };
    }

    private static double? Marked(ref string text, char mark)
    {
        int at = text.IndexOf(mark, StringComparison.Ordinal);
        if (at < 0)
        {
            return null;
        }

        string number = new([.. text[(at + 1)..].TakeWhile(c => char.IsDigit(c) || c == '.')]);
        text = text.Remove(at, number.Length + 1);
        return Figure(number);
    }

    private static (double Low, double High) Bounds(string text) => (Figure(text.Split("..")[0]), Figure(text.Split("..")[1]));

    private static int Whole(string text) => int.Parse(text, CultureInfo.InvariantCulture);

    private static double Figure(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
