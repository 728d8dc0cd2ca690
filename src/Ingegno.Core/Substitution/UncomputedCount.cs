using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>
/// Counts of a line whose dose is not computed: as written where the exercise is counted that way or goes across, else turned into
/// what it is counted in by the time both take.
/// </summary>
internal static class UncomputedCount
{
    /// <summary>Shortest hold, most repetitions and most steps a turned count comes to (common practice).</summary>
    private const int ShortestHold = 10, MostRepetitions = 20, MostSteps = 40, FewestEasy = 12;

    /// <summary>Lowerings of the whole body begin with sets of five and six (Mjolsnes et al. 2004, its second and third week; from memory).</summary>
    private const int MostLowerings = 6;

    internal static CountKind KindOf(Exercise exercise, Exercise written, WrittenLine line) =>
        IsKept(exercise, written, line) ? line.Sets[0].Kind : exercise.Counted switch
        {
            Counted.Seconds => CountKind.Seconds,
            Counted.Steps => CountKind.Steps,
            _ => CountKind.Repetitions,
        };

    internal static ImmutableArray<int> Of(Exercise exercise, Exercise written, WrittenLine line) =>
        [.. line.Sets.SelectMany(s => s.Planned).Select(count => Eased(Turned(count, exercise, written, line), exercise, written, line))];

    internal static int TopOf(Exercise exercise, Exercise written, WrittenLine line) =>
        line.Sets.Max(s => Turned(s.Kind == CountKind.Total ? s.Planned.Max() : Math.Max(s.Middle, s.High), exercise, written, line));

    private static bool IsKept(Exercise exercise, Exercise written, WrittenLine line) => exercise.Id == line.Exercise || (exercise.Counted, line.Sets[0].Kind) switch
    {
        (Counted.Repetitions, var kind) => kind.IsRepetitions() && exercise.RepetitionSeconds == written.RepetitionSeconds,
        (Counted.Seconds, var kind) => kind is CountKind.Seconds or CountKind.Breaths or CountKind.UntilGrip,
        (Counted.Steps, CountKind.Metres or CountKind.Trips) => !exercise.OnTheSpot,
        (Counted.Steps, CountKind.Repetitions) => exercise.RepetitionSeconds == written.RepetitionSeconds,
        (Counted.Steps, var kind) => kind is CountKind.Steps or CountKind.UntilGrip && !HalvedFor(exercise, line),
        _ => false,
    };

    /// <summary>Steps on the spot are counted for each leg, those of a walk for both.</summary>
    private static bool HalvedFor(Exercise exercise, WrittenLine line) => exercise.OnTheSpot && exercise.Sides == Sides.OneAtATime && !line.PerSide;

    /// <summary>What stands in without a load for work with one is done for more easy repetitions, never for a heavy triple's (common practice).</summary>
    private static int Eased(int count, Exercise exercise, Exercise written, WrittenLine line) =>
        exercise.IsLoweringOnly && exercise.Id != line.Exercise && !written.IsLoweringOnly ? Math.Min(count, MostLowerings)
        : exercise.Id != line.Exercise && !exercise.IsForecast && KindOf(exercise, written, line) == CountKind.Repetitions && IsHeavy(written, line) ? Math.Max(count, FewestEasy) : count;

    private static bool IsHeavy(Exercise written, WrittenLine line) => written is { IsForecast: true, IsBallistic: false } && !Purposes.IsCapped(line.Purpose);

    private static int Turned(int count, Exercise exercise, Exercise written, WrittenLine line)
    {
        if (IsKept(exercise, written, line))
        {
            return count;
        }

        bool repetitions = line.Sets[0].Kind.IsRepetitions();
        int seconds = count * (repetitions ? written.RepetitionSeconds : line.Sets[0].Kind.SecondsEach());
        return exercise.Counted switch
        {
            Counted.Repetitions => Math.Clamp(seconds / exercise.RepetitionSeconds, 1, MostRepetitions),
            Counted.Steps when HalvedFor(exercise, line) => Math.Max(ShortestHold, (seconds + 1) / 2),
            Counted.Steps when repetitions => Math.Clamp(seconds, ShortestHold, MostSteps),
            _ => Math.Max(ShortestHold, seconds),
        };
    }
}
