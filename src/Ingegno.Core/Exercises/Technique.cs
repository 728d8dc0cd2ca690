namespace Ingegno.Core.Exercises;

/// <summary>Ways to make a set harder without load.</summary>
public enum Technique
{
    /// <summary>Lowering over 3 to 5 s.</summary>
    SlowLowering,
    SlowBothWays,

    /// <summary>Held at the hardest position, 2 to 5 s.</summary>
    Pause,

    /// <summary>Small movements at the hardest position.</summary>
    Pulses,
    OneAndAHalf,
    LoweringOnly,
    RestPause,

    /// <summary>A hard push or pull against something immovable, then straight into the set.</summary>
    IsometricFirst,
    HoldToFatigue,
    Squeeze,
    WeightPlusBand,
    OneLimb,
    ShortRangePartials,
    FastIntent,

    /// <summary>Finishing on an easier variation.</summary>
    BackOff,
    LongSet,
}

/// <summary>What a set of an exercise counts.</summary>
public enum Counted
{
    Repetitions,
    Seconds,
    Steps,
}
