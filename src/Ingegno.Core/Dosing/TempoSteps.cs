using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Dosing;

/// <summary>Slower and paused versions of a tempo within the house rules, least added time first.</summary>
internal static class TempoSteps
{
    /// <summary>
    /// Slower lowering is preferred to a pause, a pause to slow lifting, at equal length. Pauses are added only where
    /// the exercise is loaded.
    /// </summary>
    internal static IEnumerable<Tempo> From(Tempo start, Exercise exercise, HouseRules rules)
    {
        bool pauseLow = exercise.LoadedAfterLowering, pauseHigh = !pauseLow && exercise.LoadedAfterLifting;
        return
            from lowering in Span(start.Lowering, rules.SlowestLowering)
            from low in Span(start.AfterLowering, pauseLow ? rules.LongestPause : start.AfterLowering)
            from lifting in Span(start.Lifting, start.FastLifting ? start.Lifting : rules.SlowestLifting)
            from high in Span(start.AfterLifting, pauseHigh ? rules.LongestPause : start.AfterLifting)
            let tempo = start with { Lowering = lowering, AfterLowering = low, Lifting = lifting, AfterLifting = high }
            where tempo != start && rules.Allows(tempo)
            orderby tempo.Seconds, lifting, low + high
            select tempo;
    }

    private static IEnumerable<int> Span(int from, int to) => Enumerable.Range(from, Math.Max(1, to - from + 1));
}
