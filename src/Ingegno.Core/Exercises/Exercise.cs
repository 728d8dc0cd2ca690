using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
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

    /// <summary>
    /// Words that some coaches use for this exercise and most for another one ("leg press" for a push lying on the floor).
    /// They never find it; they make an import ask which was meant.
    /// </summary>
    public ImmutableArray<string> SharedNames { get; init; } = [];

    /// <summary>The family whose ladder it stands on; the file it is kept in.</summary>
    public ExerciseFamily Family { get; init; }

    /// <summary>How soon a coach thinks of it; of stand-ins alike the usual one comes first.</summary>
    public Usualness Usual { get; init; } = Usualness.Common;

    public required Setting Setting { get; init; }

    /// <summary>A slot of intent: it asks for a movement and is never done itself.</summary>
    [JsonIgnore]
    public bool IsSlot { get; init; }

    /// <summary>An own exercise that is given no more; what was written and done with it keeps its name.</summary>
    [JsonIgnore]
    public bool IsRetired { get; init; }

    public required Pattern Pattern { get; init; }

    public required Plane Plane { get; init; }

    public required LineOfForce Line { get; init; }

    public required MovementKind Kind { get; init; }

    public Sides Sides { get; init; } = Sides.Together;

    /// <summary>What is counted in a set of it.</summary>
    public Counted Counted { get; init; } = Counted.Repetitions;

    /// <summary>Seconds one repetition takes at its own pace (common practice); a get-up is no curl.</summary>
    public int RepetitionSeconds { get; init; } = 3;

    /// <summary>Its steps lead nowhere, each leg's are counted: no distance can be written for it.</summary>
    public bool OnTheSpot { get; init; }

    public required MuscleShares Muscles { get; init; }

    public Grip Grip { get; init; } = Grip.None;

    /// <summary>The arm is turned in under load, thumbs down: off for sore shoulders unless a coach allows it.</summary>
    public bool ThumbsDown { get; init; }

    public required HardestRange Range { get; init; }

    public required LoadLaw Load { get; init; }

    /// <summary>Ways an external load can be held here; empty when none is used.</summary>
    public ImmutableArray<Hold> Holds { get; init; } = [];

    /// <summary>A band or a foot takes weight off: its loads are negative.</summary>
    public bool IsAssisted => Holds.Contains(Hold.FootOnScale) || Band is { Assists: true };

    /// <summary>Done for speed alone; slow repetitions with a load are another thing.</summary>
    public bool IsBallistic => Techniques is [Technique.FastIntent];

    /// <summary>A clean or a snatch: a bar thrown, which tiredness makes dangerous before it makes it hard.</summary>
    public bool IsOlympicLift => IsBallistic && Holds.Contains(Hold.Bar);

    /// <summary>Two weights are what it is done with: a load is written for one hand.</summary>
    public bool IsLoadedPerHand => Holds.Contains(Hold.Pair) && !Holds.Contains(Hold.OneHand);

    /// <summary>Only the lowering is done; for those whom one whole repetition is too much.</summary>
    public bool IsLoweringOnly => Techniques is [Technique.SlowLowering, Technique.LoweringOnly];

    /// <summary>Its repetitions can be forecast from a maximum; otherwise it is dosed by its own log.</summary>
    public bool IsForecast => Endurance != EnduranceClass.OwnLogOnly;

    /// <summary>How a band runs, where one is used; null otherwise.</summary>
    public BandRun? Band { get; init; }

    /// <summary>How a band runs beside the weight that is held, where one can be added to it; null otherwise.</summary>
    public BandRun? AddedBand { get; init; }

    /// <summary>What it is nothing without, beside a load of any kind.</summary>
    public KitWanted Wants { get; init; }

    /// <summary>A mini band round the thighs belongs to it, beside what is held.</summary>
    public bool WantsMiniBand { get; init; }

    /// <summary>Joint angles at start and end; null where no model stands behind it, and it is dosed by its own log or by load alone.</summary>
    public PosePair? Poses { get; init; }

    /// <summary>How it looks from the front, where the side shows nothing of it; it is then drawn from there.</summary>
    public FrontPair? FrontPoses { get; init; }

    /// <summary>The bar lies in the crook of the elbows, not in the hands.</summary>
    public bool InElbows { get; init; }

    /// <summary>The load goes over the head or the face: then it wants a handle and a lid, and a bag or basket is no choice.</summary>
    public bool OverHead { get; init; }

    /// <summary>True when the exercise is nothing without a load.</summary>
    public bool NeedsLoad { get; init; }

    public ImmutableArray<FixtureNeed> Fixtures { get; init; } = [];

    public RoomNeed Room { get; init; } = new();

    public ImmutableArray<Screen> Screens { get; init; } = [];

    public ImmutableArray<JointStress> Joints { get; init; } = [];

    /// <summary>Answers of the health screen with which it is not given, whoever cleared the rest.</summary>
    public ImmutableArray<HealthQuestion> Conditions { get; init; } = [];

    /// <summary>1 anybody, 2 after some weeks, 3 trained, 4 very trained.</summary>
    public int Skill { get; init; } = 1;

    /// <summary>How much balance it takes, 1 to 4 like <see cref="Skill"/>.</summary>
    public int Steadiness { get; init; } = 1;

    /// <summary>How its maximum follows from another lift's. Null: a root of its family, or no anchor at all.</summary>
    public StrengthLink? Strength { get; init; }

    public required EnduranceClass Endurance { get; init; }

    /// <summary>The class its repetitions are read from: of leg work one leg alone lasts no longer than arms do, a squat longer than a hinge.</summary>
    [JsonIgnore]
    public EnduranceClass LastsAs => Endurance != EnduranceClass.Lower ? Endurance
        : Sides == Sides.OneAtATime ? EnduranceClass.OneLeg
        : Pattern == Pattern.Squat ? EnduranceClass.Squat
        : Endurance;

    /// <summary>Its maximum counts the part of the body that moves.</summary>
    [JsonIgnore]
    public bool IsInTotal => Strength is { Basis: not RatioBasis.External };

    /// <summary>The muscle works during a pause at the end of the lowering.</summary>
    public bool LoadedAfterLowering { get; init; } = true;

    /// <summary>The muscle works during a pause at the end of the lifting.</summary>
    public bool LoadedAfterLifting { get; init; }

    /// <summary>Where a pause is hardest.</summary>
    public PausePosition HardestPause => LoadedAfterLowering ? PausePosition.AfterLowering : PausePosition.AfterLifting;

    /// <summary>Techniques it lends itself to; pauses, pulses and partial repetitions belong at <see cref="HardestPause"/>.</summary>
    public ImmutableArray<Technique> Techniques { get; init; } = [];

    /// <summary>Changes of the set-up that shift the work between its muscles.</summary>
    public ImmutableArray<Emphasis> Emphasis { get; init; } = [];

    /// <summary>Its harder neighbours on the ladder, and what the step to each changes.</summary>
    public ImmutableArray<HarderNeighbour> Harder { get; init; } = [];

    /// <summary>Off unless the coach's house rules allow it; the reason is shown.</summary>
    public string? OffByDefault { get; init; }

    /// <summary>Known cautions in plain words.</summary>
    public ImmutableArray<string> Cautions { get; init; } = [];

    public ImmutableArray<string> SetUp { get; init; } = [];

    public ImmutableArray<string> Cues { get; init; } = [];

    /// <summary>A knee is on the floor.</summary>
    public bool Kneels { get; init; }

    /// <summary>The knees travel well past the toes; out where a coach keeps them behind.</summary>
    public bool KneesForward { get; init; }

    /// <summary>What usually goes wrong, for the coach's eye.</summary>
    public ImmutableArray<string> Faults { get; init; } = [];
}

/// <summary>How soon a coach thinks of an exercise (common practice).</summary>
public enum Usualness
{
    Staple,
    Common,

    /// <summary>For a reason of its own, not first.</summary>
    Rare,
}

/// <summary>What a strength ratio compares.</summary>
public enum RatioBasis
{
    /// <summary>External maximum over external maximum.</summary>
    External,

    /// <summary>Body share plus load over the reference's external maximum.</summary>
    Total,

    /// <summary>Body share plus load over the reference's own body share plus load: what one leg carries of what two do.</summary>
    TotalOverTotal,
}

/// <summary>The maximum of this exercise is <paramref name="Ratio"/> times that of <paramref name="Reference"/>.</summary>
/// <param name="Spread">Standard deviation of the logarithm that the transfer adds.</param>
/// <param name="HoldLimit">
/// The most that can be held, over the reference's maximum, where the arms give out before the legs (goblet squat).
/// It bounds the load; it does not make a light load heavier for the legs. Null: holding is no limit.
/// </param>
public sealed record StrengthLink(
    string Reference, double Ratio, RatioBasis Basis = RatioBasis.External, double Spread = 0.08, double? HoldLimit = null);
