namespace Ingegno.Core.Exercises;

/// <summary>Exercises that lead into one another; one catalogue file each, and one connected ladder.</summary>
public enum ExerciseFamily
{
    PushUps,
    Overhead,
    Dips,
    PressesAndFlies,
    Rows,
    PullsFromAbove,
    RearShoulders,
    Squats,
    LungesAndSteps,
    Jumps,
    Hinges,
    BridgesAndThrusts,
    LegCurls,
    Hips,
    Arms,
    Raises,
    CalvesAndShins,
    Trunk,
    Carries,
}

/// <summary>What makes the next exercise of a ladder harder than this one.</summary>
public enum LadderStep
{
    /// <summary>Hands lower or feet higher.</summary>
    Height,

    /// <summary>Less to hold on to, a smaller base.</summary>
    Support,

    /// <summary>More of it on one limb.</summary>
    Limb,
    Load,

    /// <summary>A longer or less favourable lever.</summary>
    Lever,

    /// <summary>A band added, or a helping band taken away.</summary>
    Band,
    Range,
    Speed,
}

/// <summary>A harder neighbour on the ladder.</summary>
/// <param name="Exercise">Catalogue id.</param>
/// <param name="By">What changes.</param>
public sealed record HarderNeighbour(string Exercise, LadderStep By);
