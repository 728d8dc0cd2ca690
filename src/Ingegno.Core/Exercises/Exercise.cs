using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Loads;

namespace Ingegno.Core.Exercises;

/// <summary>
/// One exercise with every attribute the choice of a substitute asks about. The name is unambiguous within the
/// catalogue; what coaches also call it stands under <see cref="Synonyms"/>.
/// </summary>
public sealed record Exercise
{
    /// <summary>Lower case, hyphens; stable for ever, as logs refer to it.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    public ImmutableArray<string> Synonyms { get; init; } = [];

    public required Setting Setting { get; init; }

    public required Pattern Pattern { get; init; }

    public required Plane Plane { get; init; }

    public required LineOfForce Line { get; init; }

    public required MovementKind Kind { get; init; }

    public Sides Sides { get; init; } = Sides.Together;

    public required MuscleShares Muscles { get; init; }

    public Grip Grip { get; init; } = Grip.None;

    public required HardestRange Range { get; init; }

    public required LoadLaw Load { get; init; }

    /// <summary>Ways an external load can be held here; empty when none is used.</summary>
    public ImmutableArray<Hold> Holds { get; init; } = [];

    /// <summary>A band or a foot takes weight off: its loads are negative.</summary>
    public bool IsAssisted => Holds.Contains(Hold.FootOnScale) || Band is { Assists: true };

    /// <summary>How a band runs, where one is used; null otherwise.</summary>
    public BandRun? Band { get; init; }

    /// <summary>Joint angles at start and end; null where no model stands behind it, and it is dosed by its own log or by load alone.</summary>
    public PosePair? Poses { get; init; }

    /// <summary>The load goes over the head or the face: then it wants a handle and a lid, and a bag or basket is no choice.</summary>
    public bool OverHead { get; init; }

    /// <summary>True when the exercise is nothing without a load.</summary>
    public bool NeedsLoad { get; init; }

    public ImmutableArray<FixtureNeed> Fixtures { get; init; } = [];

    public RoomNeed Room { get; init; } = new();

    public ImmutableArray<Screen> Screens { get; init; } = [];

    public ImmutableArray<JointStress> Joints { get; init; } = [];

    /// <summary>1 anybody, 2 after some weeks, 3 trained, 4 very trained.</summary>
    public int Skill { get; init; } = 1;

    /// <summary>How much balance it takes, 1 to 4 like <see cref="Skill"/>.</summary>
    public int Steadiness { get; init; } = 1;

    /// <summary>How its maximum follows from another lift's. Null: a root of its family, or no anchor at all.</summary>
    public StrengthLink? Strength { get; init; }

    public required EnduranceClass Endurance { get; init; }

    /// <summary>The muscle works during a pause at the end of the lowering.</summary>
    public bool LoadedAfterLowering { get; init; } = true;

    /// <summary>The muscle works during a pause at the end of the lifting.</summary>
    public bool LoadedAfterLifting { get; init; }

    /// <summary>Where a pause is hardest.</summary>
    public PausePosition HardestPause => LoadedAfterLowering ? PausePosition.AfterLowering : PausePosition.AfterLifting;

    /// <summary>Off unless the coach's house rules allow it; the reason is shown.</summary>
    public string? OffByDefault { get; init; }

    /// <summary>Known cautions in plain words.</summary>
    public ImmutableArray<string> Cautions { get; init; } = [];

    public ImmutableArray<string> SetUp { get; init; } = [];

    public ImmutableArray<string> Cues { get; init; } = [];
}

/// <summary>What a strength ratio compares.</summary>
public enum RatioBasis
{
    /// <summary>External maximum over external maximum.</summary>
    External,

    /// <summary>Body share plus load over the reference's external maximum.</summary>
    Total,
}

/// <summary>The maximum of this exercise is <paramref name="Ratio"/> times that of <paramref name="Reference"/>.</summary>
/// <param name="Spread">Standard deviation of the logarithm that the transfer adds.</param>
/// <param name="HoldLimit">
/// The most that can be held, over the reference's maximum, where the arms give out before the legs (goblet squat).
/// It bounds the load; it does not make a light load heavier for the legs. Null: holding is no limit.
/// </param>
public sealed record StrengthLink(
    string Reference, double Ratio, RatioBasis Basis = RatioBasis.External, double Spread = 0.08, double? HoldLimit = null);
