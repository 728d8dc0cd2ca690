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
    /// <summary>Shortest hold and most repetitions a turned count comes to (common practice).</summary>
    private const int ShortestHold = 10, MostRepetitions = 20, FewestEasy = 12;

    /// <summary>Lowerings of the whole body begin with sets of five and six (Mjolsnes et al. 2004, its second and third week; from memory).</summary>
    private const int MostLowerings = 6;

    internal static CountKind KindOf(Exercise exercise, WrittenLine line) =>
        IsKept(exercise, line) ? line.Sets[0].Kind : exercise.Counted switch
        {
            Counted.Seconds => CountKind.Seconds,
            Counted.Steps => CountKind.Steps,
            _ => CountKind.Repetitions,
        };

    internal static ImmutableArray<int> Of(Exercise exercise, Exercise written, WrittenLine line) =>
        [.. line.Sets.SelectMany(s => s.Planned).Select(count => Eased(Turned(count, exercise, line), exercise, written, line))];

    internal static int TopOf(Exercise exercise, WrittenLine line) =>
        line.Sets.Max(s => Turned(s.Kind == CountKind.Total ? s.Planned.Max() : Math.Max(s.Middle, s.High), exercise, line));

    private static bool IsKept(Exercise exercise, WrittenLine line) => exercise.Id == line.Exercise || (exercise.Counted, line.Sets[0].Kind) switch
    {
        (Counted.Repetitions, var kind) => kind.IsRepetitions(),
        (Counted.Seconds, var kind) => kind is CountKind.Seconds or CountKind.Breaths or CountKind.UntilGrip,
        (Counted.Steps, var kind) => kind is CountKind.Steps or CountKind.Metres or CountKind.Trips or CountKind.UntilGrip or CountKind.Repetitions,
        _ => false,
    };

    /// <summary>What stands in without a load for work with one is done for more easy repetitions, never for a heavy triple's (common practice).</summary>
    private static int Eased(int count, Exercise exercise, Exercise written, WrittenLine line) =>
        exercise.IsLoweringOnly && exercise.Id != line.Exercise && !written.IsLoweringOnly ? Math.Min(count, MostLowerings)
        : exercise.Id != line.Exercise && !exercise.IsForecast && KindOf(exercise, line) == CountKind.Repetitions && IsHeavy(written, line) ? Math.Max(count, FewestEasy) : count;

    private static bool IsHeavy(Exercise written, WrittenLine line) => written is { IsForecast: true, IsBallistic: false } && !Purposes.IsCapped(line.Purpose);

    private static int Turned(int count, Exercise exercise, WrittenLine line)
    {
        if (IsKept(exercise, line))
        {
            return count;
        }

        int seconds = count * line.Sets[0].Kind.SecondsEach();
        return exercise.Counted == Counted.Repetitions
            ? Math.Clamp(seconds / CountKind.Repetitions.SecondsEach(), 1, MostRepetitions)
            : Math.Max(ShortestHold, seconds);
    }
}
