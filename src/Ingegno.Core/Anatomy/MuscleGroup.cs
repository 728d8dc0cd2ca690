using System.Collections.Immutable;
using System.Runtime.CompilerServices;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// What weekly sets are counted by. In contrast, <see cref="Muscle"/> tells the parts of these groups apart: nobody does ten weekly
/// sets for the upper chest alone.
/// </summary>
public enum MuscleGroup
{
    Chest,
    FrontShoulder,
    SideShoulder,
    RearShoulder,
    UpperBack,
    Lats,
    Biceps,
    Triceps,
    Forearm,
    Abdominals,
    LowerBack,
    Buttocks,
    HipSide,
    Quadriceps,
    Hamstrings,
    Adductors,
    Calves,
    Shins,

    /// <summary>Hip flexors, cuff and serratus: trained for health, not counted towards size.</summary>
    Small,
}

/// <summary>Which group a muscle counts for, and how much an exercise counts for a group.</summary>
public static class MuscleGroups
{
    /// <summary>A set counts whole for prime movers and half for helpers (common practice).</summary>
    public const double PrimeMover = 1, Helper = 0.5;

    /// <summary>From these weights on a muscle is a prime mover, or a helper worth counting.</summary>
    private const double PrimeFrom = 0.8, HelperFrom = 0.3;

    public static MuscleGroup Of(Muscle muscle) => muscle switch
    {
        Muscle.ChestUpper or Muscle.ChestMiddle or Muscle.ChestLower => MuscleGroup.Chest,
        Muscle.FrontDeltoid => MuscleGroup.FrontShoulder,
        Muscle.SideDeltoid => MuscleGroup.SideShoulder,
        Muscle.RearDeltoid => MuscleGroup.RearShoulder,
        Muscle.TrapeziusUpper or Muscle.TrapeziusMiddle or Muscle.TrapeziusLower or Muscle.Rhomboids => MuscleGroup.UpperBack,
        Muscle.Lats => MuscleGroup.Lats,
        Muscle.Biceps => MuscleGroup.Biceps,
        Muscle.Triceps => MuscleGroup.Triceps,
        Muscle.Forearm => MuscleGroup.Forearm,
        Muscle.TrunkFront or Muscle.TrunkSide or Muscle.TrunkDeep => MuscleGroup.Abdominals,
        Muscle.TrunkBack => MuscleGroup.LowerBack,
        Muscle.GluteusMaximus => MuscleGroup.Buttocks,
        Muscle.GluteusMedius => MuscleGroup.HipSide,
        Muscle.Quadriceps => MuscleGroup.Quadriceps,
        Muscle.HamstringsHip or Muscle.HamstringsKnee => MuscleGroup.Hamstrings,
        Muscle.Adductors => MuscleGroup.Adductors,
        Muscle.Gastrocnemius or Muscle.Soleus => MuscleGroup.Calves,
        Muscle.TibialisAnterior => MuscleGroup.Shins,
        Muscle.HipFlexors or Muscle.Serratus or Muscle.RotatorCuff => MuscleGroup.Small,
        _ => throw new ArgumentOutOfRangeException(nameof(muscle)),
    };

    /// <summary>Asked for hundreds of times when a week is looked over, and always the same for an exercise.</summary>
    private static readonly ConditionalWeakTable<MuscleShares, ImmutableDictionary<MuscleGroup, double>> Counts = [];

    /// <summary>What one effective set of an exercise counts for each group; groups it does not touch are left out.</summary>
    public static ImmutableDictionary<MuscleGroup, double> CountsOf(MuscleShares muscles) => Counts.GetValue(muscles, Counted);

    private static ImmutableDictionary<MuscleGroup, double> Counted(MuscleShares muscles)
    {
        double most = muscles.Weights.Values.Max();
        return muscles.Weights
            .GroupBy(w => Of(w.Key), w => w.Value / most)
            .Select(g => (Group: g.Key, Weight: g.Max()))
            .Where(g => g.Weight >= HelperFrom)
            .ToImmutableDictionary(g => g.Group, g => g.Weight >= PrimeFrom ? PrimeMover : Helper);
    }
}
