using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// What one repetition drains from a budget of 1. A plain repetition (2-0-1-0) costs one over the fresh
/// repetitions; others cost by the second, each phase with its weight: lifting 1, lowering less, a loaded pause, a pulse
/// or a partial movement at the hard end 1, an unloaded pause nothing.
/// </summary>
public static class RepetitionCost
{
    /// <summary>Lowering strength over lifting strength (common practice).</summary>
    internal const double LoweringStrength = 1.3;

    /// <summary>No repetition costs less than this part of a plain one.</summary>
    private const double LeastOfPlain = 0.5;

    /// <summary>Demands under this are "no resistance" and not computed.</summary>
    public static Demand LeastDemand { get; } = Demand.Of(0.05);

    /// <summary>The heaviest a lowering is still controlled; over it nothing is prescribed (common practice).</summary>
    public static Demand MostLowering { get; } = Demand.Of(1.25);

    /// <param name="curve">The exercise's endurance curve for this client.</param>
    /// <param name="demand">At least <see cref="LeastDemand"/>.</param>
    /// <param name="style">Lowering and lifting count at least a second each.</param>
    /// <param name="exercise">Says whether the pauses are loaded, and whether only the lowering is done.</param>
    /// <returns>Part of the budget, above 0; never under half a plain repetition.</returns>
    public static double Of(EnduranceCurve curve, Demand demand, RepetitionStyle style, Exercise exercise)
    {
        if (exercise.IsLoweringOnly)
        {
            return OfLowering(demand, style.Tempo);
        }

        double lowering = LoweringWeight(demand);
        return OfPlain(curve, demand) * Math.Max(LeastOfPlain, Weighted(style, exercise, lowering) / Reference(lowering));
    }

    /// <summary>Lowering only: the muscle holds on as long as at a demand 1.3 times smaller, whatever it could lift.</summary>
    private static double OfLowering(Demand demand, Tempo tempo) =>
        Math.Max(1, tempo.Lowering) / HoldingTime.At(Demand.Of(demand.Value / LoweringStrength)).Seconds;

    private static double OfPlain(EnduranceCurve curve, Demand demand) => 1 / curve.FreshRepetitions(demand);

    /// <summary>What a second of holding still under load drains: a pure hold lasts until the budget is spent.</summary>
    public static double OfHeldSecond(EnduranceCurve curve, Demand demand) =>
        OfPlain(curve, demand) / Reference(LoweringWeight(demand));

    private static double Weighted(RepetitionStyle style, Exercise exercise, double lowering)
    {
        var tempo = style.Tempo;
        double down = Math.Max(1, tempo.Lowering), up = tempo.FastLifting ? 1 : Math.Max(1, tempo.Lifting);
        double moved = style.Partial == PartialPart.ShortHalf ? 0.5 * (down + up) : (lowering * down) + up;
        return moved
            + style.ExtraSeconds
            + style.Pulses
            + (exercise.LoadedAfterLowering ? tempo.AfterLowering : 0)
            + (exercise.LoadedAfterLifting ? tempo.AfterLifting : 0);
    }

    private static double Reference(double lowering) => (lowering * Tempo.Reference.Lowering) + Tempo.Reference.Lifting;

    /// <summary>
    /// A second of lowering against a second of lifting: the muscle lowers at a smaller part of what it could, so
    /// it could hold on longer. hold(x) / hold(x / 1.3), under 1. Over the maximum nothing is held: there it stays at its
    /// value for the maximum.
    /// </summary>
    public static double LoweringWeight(Demand demand)
    {
        double x = Math.Min(1, demand.Value);
        return HoldingTime.At(Demand.Of(x)).Seconds / HoldingTime.At(Demand.Of(x / LoweringStrength)).Seconds;
    }
}
