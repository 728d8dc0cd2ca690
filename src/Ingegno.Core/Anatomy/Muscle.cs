namespace Ingegno.Core.Anatomy;

/// <summary>
/// The muscles and parts of muscles coaches steer by. Parts are split only where an exercise can favour one:
/// three of the chest, three deltoids, three of the trapezius, hamstrings by the joint they move.
/// </summary>
public enum Muscle
{
    ChestUpper,
    ChestMiddle,
    ChestLower,
    FrontDeltoid,
    SideDeltoid,
    RearDeltoid,
    TrapeziusUpper,
    TrapeziusMiddle,
    TrapeziusLower,
    Rhomboids,
    Lats,
    GluteusMaximus,

    /// <summary>Gluteus medius with minimus.</summary>
    GluteusMedius,
    Quadriceps,

    /// <summary>Hamstrings as hip extensors (hinges).</summary>
    HamstringsHip,

    /// <summary>Hamstrings as knee flexors (curls).</summary>
    HamstringsKnee,
    Adductors,
    HipFlexors,
    Gastrocnemius,
    Soleus,
    TibialisAnterior,
    TrunkFront,
    TrunkSide,
    TrunkBack,
    TrunkDeep,
    Serratus,
    Biceps,
    Triceps,
    Forearm,
    RotatorCuff,
}
