namespace Ingegno.Core.Exercises;

/// <summary>Which part of the body an exercise moves.</summary>
public enum BodyModel
{
    /// <summary>None: the load in the hands is all there is.</summary>
    None,
    TwoLegs,
    OneLeg,
    Hands,
    Hinge,
    Bridge,
    ProneExtension,
    CalfBoth,
    CalfOne,
    SlidingLegCurl,
    PushUp,
    KneelingPushUp,
    Pike,
    RowUnderGrip,
    RowUnderGripKneesBent,

    /// <summary>Standing, leaning back about 60 degrees from the horizontal.</summary>
    StandingLeanRow,

    /// <summary>Nothing that can be told as a load (plank, bird dog): dosed by its own log.</summary>
    Unmodelled,
}

/// <summary>What the muscles meet: part of the body, and the external load with the part of it that arrives.</summary>
/// <param name="Body">Which share of body mass is moved.</param>
/// <param name="LoadCounts">The part of an external load that counts where the body presses or pulls; 1 unless it sits away from there.</param>
public sealed record LoadLaw(BodyModel Body, double LoadCounts = 1);
