namespace Ingegno.Simulation;

/// <summary>Where the working muscles cross, which decides how fast they tire and recover.</summary>
public enum MuscleRegion
{
    /// <summary>Shoulder and elbow share the work: presses and pulls.</summary>
    Arms,
    Elbow,
    Knee,

    /// <summary>Hip and trunk: hinges and thrusts.</summary>
    Hip,
    Ankle,
    Trunk,
}

/// <summary>Rates of the three-compartment model, a second.</summary>
/// <param name="Fatigue">Active to fatigued.</param>
/// <param name="Recovery">Fatigued to resting, while anything is active.</param>
internal readonly record struct FatigueRates(double Fatigue, double Recovery)
{
    /// <summary>While nothing is active recovery runs so many times faster (Looft et al. 2018, J Biomech 77:16-25; from memory).</summary>
    internal const double RestMultiplier = 15;

    /// <summary>
    /// Frey-Law, Looft and Heitsman 2012 (J Biomech 45:1803-1808) on the model of Xia and Frey-Law 2008 (J Biomech 41:3046-3052), from
    /// memory: shoulder 0.0182 and 0.00168, elbow 0.00912 and 0.00094, knee 0.015 and 0.00149, ankle 0.00589 and 0.00058, trunk 0.00755 and
    /// 0.00075. Where two joints share the work, their mean.
    /// </summary>
    internal static FatigueRates Of(MuscleRegion region) => region switch
    {
        MuscleRegion.Arms => new((0.0182 + 0.00912) / 2, (0.00168 + 0.00094) / 2),
        MuscleRegion.Elbow => new(0.00912, 0.00094),
        MuscleRegion.Knee => new(0.015, 0.00149),
        MuscleRegion.Hip => new((0.015 + 0.00755) / 2, (0.00149 + 0.00075) / 2),
        MuscleRegion.Ankle => new(0.00589, 0.00058),
        MuscleRegion.Trunk => new(0.00755, 0.00075),
        _ => throw new ArgumentOutOfRangeException(nameof(region)),
    };
}
