using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>
/// Counts of a line whose dose is not computed: as written, or turned from repetitions to seconds and back where a held
/// exercise stands in for a moved one. A repetition at the reference tempo takes three seconds.
/// </summary>
internal static class UncomputedCount
{
    private const int SecondsARepetition = 3;

    /// <summary>Shortest hold and most repetitions a turned count comes to (common practice).</summary>
    private const int ShortestHold = 10, MostRepetitions = 20;

    internal static CountKind KindOf(Exercise exercise, WrittenLine line) => exercise.Counted switch
    {
        Counted.Seconds => CountKind.Seconds,
        _ when line.Sets[0].Kind == CountKind.Seconds => CountKind.Repetitions,
        _ => line.Sets[0].Kind,
    };

    internal static ImmutableArray<int> Of(Exercise exercise, WrittenLine line) =>
        [.. line.Sets.Select(s => Turned(Math.Max(1, s.Middle), exercise, line))];

    internal static int TopOf(Exercise exercise, WrittenLine line) => line.Sets.Max(s => Turned(Math.Max(1, s.High), exercise, line));

    private static int Turned(int count, Exercise exercise, WrittenLine line)
    {
        bool held = exercise.Counted == Counted.Seconds, writtenHeld = line.Sets[0].Kind == CountKind.Seconds;
        return held == writtenHeld ? count
            : held ? Math.Max(ShortestHold, count * SecondsARepetition)
            : Math.Clamp(count / SecondsARepetition, 1, MostRepetitions);
    }
}
