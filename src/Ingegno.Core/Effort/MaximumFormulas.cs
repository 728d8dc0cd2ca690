using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// Published one-repetition-maximum formulas, shown beside our own estimate for external loads and fresh plain
/// sets of 2 to 10 only. Collected in LeSuer et al. 1997, J Strength Cond Res 11:211-213 (from memory).
/// </summary>
public static class MaximumFormulas
{
    public static Mass Epley(Mass load, int repetitions) => load * (1 + (repetitions / 30.0));

    public static Mass Brzycki(Mass load, int repetitions) => load * (36.0 / (37 - repetitions));

    public static Mass Lombardi(Mass load, int repetitions) => load * Math.Pow(repetitions, 0.10);

    public static Mass OConner(Mass load, int repetitions) => load * (1 + (0.025 * repetitions));

    public static Mass Wathan(Mass load, int repetitions) => load * (100 / (48.8 + (53.8 * Math.Exp(-0.075 * repetitions))));

    public static Mass Mayhew(Mass load, int repetitions) => load * (100 / (52.2 + (41.9 * Math.Exp(-0.055 * repetitions))));
}
