using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>
/// What sets come to in figures that compare though the repetitions are of unlike kinds, all sets of one side together: time under load
/// and path before number.
/// </summary>
/// <param name="UnderLoad">Lowering, lifting, loaded pauses, pulses and holds; unloaded pauses left out.</param>
/// <param name="Effective">Repetitions that count.</param>
/// <param name="WholeMovements">Repetitions in path: a whole and a half is one and a half, a lowering alone a half.</param>
/// <param name="Volume">Resistance met times whole movements, the body's part counted.</param>
public sealed record SetTotals(Duration UnderLoad, double Effective, double WholeMovements, Mass Volume)
{
    /// <param name="effective">From the forecast of the same plan.</param>
    public static SetTotals Of(SetPlan plan, ExerciseEffort effort, double effective)
    {
        int repetitions = plan.Repetitions.Sum();
        double held = plan.Form == SetForm.HoldToFatigue ? plan.Forecast(effort).Sum(s => s.HeldSeconds) : 0;
        double whole = repetitions * effort.PathOf(plan.Style);
        return new(
            Duration.FromSeconds((repetitions * LoadedSeconds(plan.Style, effort.Exercise)) + held),
            effective,
            whole,
            effort.ResistanceOf(plan.Load) * whole);
    }

    private static double LoadedSeconds(RepetitionStyle style, Exercise exercise) =>
        style.Lasts.Seconds
        - (exercise.LoadedAfterLowering ? 0 : style.Tempo.AfterLowering)
        - (exercise.LoadedAfterLifting ? 0 : style.Tempo.AfterLifting);
}
