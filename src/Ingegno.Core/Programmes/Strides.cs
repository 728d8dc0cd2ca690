using Ingegno.Core.Exercises;

namespace Ingegno.Core.Programmes;

/// <summary>Walked strength work is written in steps or metres; what a leg does of it are its repetitions.</summary>
public static class Strides
{
    /// <summary>What a step of a walking lunge covers (common practice).</summary>
    private const double Metre = 0.75;

    /// <summary>The line in repetitions a side; the line itself where it is written in them, or nothing of it can be forecast.</summary>
    public static WrittenLine AsRepetitions(WrittenLine line, Exercise exercise) =>
        exercise is { Counted: Counted.Steps, Sides: Sides.OneAtATime, IsForecast: true } && line.Sets.All(s => s.Kind is CountKind.Steps or CountKind.Metres)
            ? line with { Sets = [.. line.Sets.Select(s => s with { Kind = CountKind.Repetitions, Low = OfOneLeg(s.Kind, s.Low, line), High = OfOneLeg(s.Kind, s.High, line) })], PerSide = true }
            : line;

    private static int OfOneLeg(CountKind kind, int count, WrittenLine line) =>
        Math.Max(1, (int)Math.Round(count / (kind == CountKind.Metres ? Metre : 1) / (line.PerSide ? 1 : 2), MidpointRounding.AwayFromZero));
}
