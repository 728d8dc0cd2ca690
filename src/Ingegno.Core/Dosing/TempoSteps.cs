using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Dosing;

/// <summary>Slower and paused versions of a tempo within the house rules, least added time first.</summary>
internal static class TempoSteps
{
    /// <summary>
    /// Slower lowering is preferred to a pause, a pause to slow lifting, at equal length. Pauses are added only where
    /// the exercise is loaded, and no more phases change than the house rules allow techniques.
    /// </summary>
    internal static IEnumerable<Tempo> From(Tempo start, Exercise exercise, HouseRules rules)
    {
        bool pauseLow = exercise.LoadedAfterLowering;
        bool pauseHigh = !pauseLow && exercise.LoadedAfterLifting && rules.Teaches(Teaching.PauseAtHardest);
        int most = rules.MostTechniques(exercise);
        return
            from lowering in Span(start.Lowering, rules.SlowestLowering)
            from low in Span(start.AfterLowering, pauseLow ? rules.LongestPause : start.AfterLowering)
            from lifting in Span(start.Lifting, start.FastLifting ? start.Lifting : rules.SlowestLifting)
            from high in Span(start.AfterLifting, pauseHigh ? rules.LongestPause : start.AfterLifting)
            let tempo = start with { Lowering = lowering, AfterLowering = low, Lifting = lifting, AfterLifting = high }
            where tempo != start && rules.Allows(tempo) && Changed(start, tempo) <= most
            orderby tempo.Seconds, lifting, low + high
            select tempo;
    }

    /// <summary>Phases that differ: each is one technique.</summary>
    private static int Changed(Tempo start, Tempo tempo) =>
        (start.Lowering == tempo.Lowering ? 0 : 1) + (start.AfterLowering == tempo.AfterLowering ? 0 : 1)
        + (start.Lifting == tempo.Lifting ? 0 : 1) + (start.AfterLifting == tempo.AfterLifting ? 0 : 1);

    private static IEnumerable<int> Span(int from, int to) => Enumerable.Range(from, Math.Max(1, to - from + 1));
}
