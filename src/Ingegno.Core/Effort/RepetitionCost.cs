using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// What one repetition drains from a budget of 1. A plain repetition (2-0-1-0) costs one over the fresh
/// repetitions; other tempos cost by the second, each phase with its weight.
/// </summary>
public static class RepetitionCost
{
    /// <summary>Lowering strength over lifting strength (common practice).</summary>
    private const double LoweringStrength = 1.3;

    /// <summary>Demands under this are "no resistance" and not computed.</summary>
    public static Demand LeastDemand { get; } = Demand.Of(0.05);

    /// <param name="curve">The exercise's endurance curve for this client.</param>
    /// <param name="demand">At least <see cref="LeastDemand"/>.</param>
    /// <param name="tempo">Lowering and lifting count at least a second each.</param>
    /// <param name="exercise">Says whether the pauses are loaded.</param>
    /// <returns>Part of the budget, above 0; never under half a plain repetition.</returns>
    public static double Of(EnduranceCurve curve, Demand demand, Tempo tempo, Exercise exercise)
    {
        double plain = 1 / curve.FreshRepetitions(demand);
        double lowering = LoweringWeight(demand);
        double weighted = (lowering * Math.Max(1, tempo.Lowering))
            + (exercise.LoadedAfterLowering ? tempo.AfterLowering : 0)
            + Math.Max(1, tempo.FastLifting ? 1 : tempo.Lifting)
            + (exercise.LoadedAfterLifting ? tempo.AfterLifting : 0);
        double reference = (lowering * Tempo.Reference.Lowering) + Tempo.Reference.Lifting;
        return plain * Math.Max(0.5, weighted / reference);
    }

    /// <summary>
    /// A second of lowering against a second of lifting: the muscle lowers at a smaller part of what it could, so
    /// it could hold on longer. hold(x) / hold(x / 1.3), under 1.
    /// </summary>
    public static double LoweringWeight(Demand demand) =>
        HoldingTime.At(demand).Seconds / HoldingTime.At(Demand.Of(demand.Value / LoweringStrength)).Seconds;
}
