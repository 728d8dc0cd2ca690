namespace Ingegno.Core.Exercises;

/// <summary>Where an exercise is done.</summary>
public enum Setting
{
    /// <summary>Needs a gym: a machine, a rack, a loaded bar.</summary>
    Gym,

    /// <summary>Made for the home.</summary>
    Home,

    /// <summary>The same exercise in both, so a written line may go across unchanged.</summary>
    Both,
}

/// <summary>The movement pattern: what a session should not lose when its exercises are swapped.</summary>
public enum Pattern
{
    HorizontalPress,
    VerticalPress,
    Dip,
    Fly,
    HorizontalPull,
    VerticalPull,
    RearFly,
    ShoulderRaise,
    Squat,
    KneeExtension,
    Hinge,
    HipThrust,
    HipAbduction,
    KneeFlexion,
    CalfRaise,
    ElbowFlexion,
    ElbowExtension,
    TrunkBrace,
    TrunkFlexion,
    TrunkRotation,
    HipExtension,
    HipAdduction,
    Jump,
    Shrug,

    /// <summary>The blades move or hold, the arms stay straight or slide.</summary>
    ShoulderBlade,
    CuffRotation,

    /// <summary>Wrist and grip.</summary>
    Forearm,
    ShinRaise,
    Carry,
}

/// <summary>Plane of the movement.</summary>
public enum Plane
{
    Sagittal,
    Frontal,
    Transverse,
}

/// <summary>Where the resistance pulls or presses from, seen from the body.</summary>
public enum LineOfForce
{
    IntoTheChest,
    IntoTheUpperChest,
    FromOverhead,
    FromBelow,
    FromTheFront,
    FromTheFrontHigh,
    FromAbove,
    AlongTheSpine,
    OnEachLeg,
    BehindTheHips,
    AcrossTheHips,
    AtTheShin,
    AtTheHands,
    FromTheSide,
    AgainstTheTrunk,
}

/// <summary>How many joints share the work.</summary>
public enum MovementKind
{
    Compound,
    Isolation,

    /// <summary>A position held or kept steady; no load asked.</summary>
    Steadiness,
}

/// <summary>Both limbs together, or one at a time (then every repetition count is per side).</summary>
public enum Sides
{
    Together,
    OneAtATime,
}

/// <summary>How the hands hold.</summary>
public enum Grip
{
    None,
    Pronated,
    Neutral,
    Supinated,
}

/// <summary>The muscle length at which the exercise is hardest.</summary>
public enum HardestRange
{
    Long,
    Middle,
    Short,
}

/// <summary>Which endurance curve tells how many repetitions a demand allows.</summary>
public enum EnduranceClass
{
    /// <summary>Pressing and pulling: the base curve.</summary>
    Upper,

    /// <summary>Squat, lunge, step, hinge, thrust, calf.</summary>
    Lower,
    LegExtension,
    LegCurl,
    ArmCurl,
    SitUp,

    /// <summary>Squats on both legs; of the catalogue's data never, it follows from the pattern.</summary>
    Squat,

    /// <summary>Leg work on one leg; it follows from the sides.</summary>
    OneLeg,

    /// <summary>No anchor (plank, bird dog): forecast from its own log only.</summary>
    OwnLogOnly,
}

/// <summary>The end of the lowering or of the lifting: where a pause is hardest.</summary>
public enum PausePosition
{
    AfterLowering,
    AfterLifting,
}

/// <summary>A screen of movement that must not have failed before the exercise is given.</summary>
public enum Screen
{
    ShoulderExtension,
    DeepSquat,
    Wrist,
    HamstringRange,
    OverheadReach,
}

/// <summary>How much a landing or a drop is heard below.</summary>
public enum Noise
{
    Quiet,
    Loud,
}
