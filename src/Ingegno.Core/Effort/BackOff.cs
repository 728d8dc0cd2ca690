using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// Finishing a set on an easier variation: seven full push-ups, four kneeling. Failing at demand x means that of the
/// strength there was just x is left; an easier variation at demand x' goes on until just x' is left. With strength falling evenly
/// as the budget drains, failing at x has drained (1 - x) / (1 - x') of the easier one's budget (our own step; the log
/// corrects it).
/// </summary>
public static class BackOff
{
    /// <summary>What is left of the easier variation's budget, 0 to 1; 0 where it is no easier.</summary>
    /// <param name="failed">Demand at which the set came to failure, under 1.</param>
    /// <param name="easier">Demand of the easier variation.</param>
    public static double BudgetLeft(Demand failed, Demand easier) =>
        easier >= failed || easier.Value >= 1 ? 0 : (failed.Value - easier.Value) / (1 - easier.Value);

    /// <summary>Repetitions of the easier variation after failure, fractions kept.</summary>
    /// <param name="costOfEasier">Of one repetition of it when rested.</param>
    public static double Repetitions(Demand failed, Demand easier, double costOfEasier) =>
        BudgetLeft(failed, easier) / costOfEasier;
}
