using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>What a fixture is for in an exercise.</summary>
public enum FixtureRole
{
    Hands,
    Feet,
    Seat,
    RearFoot,
    ShouldersRaised,
    Step,
    Grip,
    Support,

    /// <summary>What a band or strap is tied to.</summary>
    Anchor,

    /// <summary>What a bar is taken from, and what catches it when a repetition fails.</summary>
    Catch,
}

/// <summary>A thing an exercise is done with and with no other.</summary>
public enum KitWanted
{
    Anything,

    /// <summary>A bag or sack: worn, hugged or held by its sides.</summary>
    Bag,

    /// <summary>Straps or rings with handles.</summary>
    Straps,

    /// <summary>A bar, a bell, a dumbbell or a jug: what keeps its shape.</summary>
    Rigid,

    /// <summary>Dumbbells or bells that stand flat and bear a hand: no jug, no bag, nothing that rolls on round plates.</summary>
    LeanedOn,
}

/// <summary>How the body loads the fixture; the dynamic factors of section 3.</summary>
public enum FixtureMotion
{
    Still,
    Moving,
    Explosive,
}

/// <summary>A fixture an exercise needs.</summary>
public sealed record FixtureNeed
{
    public required FixtureRole Role { get; init; }

    public required ImmutableArray<FixtureKind> Kinds { get; init; }

    /// <summary>Lowest usable height over stature.</summary>
    public required Share LowestOfStature { get; init; }

    /// <summary>Highest usable height over stature.</summary>
    public required Share HighestOfStature { get; init; }

    /// <summary>
    /// The height it is best at, over stature: the breastbone for a first incline, the knee for a seat. How far a fixture
    /// is off it is told with its sign. Null: any height within the bounds is as good.
    /// </summary>
    public Share? WantedOfStature { get; init; }

    /// <summary>For an anchor, the zone it is tied in; the bounds are then the zone's own.</summary>
    public AnchorZone? Zone { get; init; }

    /// <summary>How many of equal height.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Share of body and load all of them together bear. Null: the share the hands press with, from the geometry.</summary>
    public Share? Bears { get; init; }

    public FixtureMotion Motion { get; init; } = FixtureMotion.Moving;
}

/// <summary>What the room must give.</summary>
public sealed record RoomNeed
{
    /// <summary>Headroom over stature; 1.02 to stand, about 1.27 to press a dumbbell overhead standing.</summary>
    public Share HeadroomOfStature { get; init; } = Share.Of(0.8);

    /// <summary>Clear floor over stature; lying takes a little more than 1.</summary>
    public Share FloorOfStature { get; init; } = Share.Of(0.6);

    public Noise Noise { get; init; } = Noise.Quiet;

    public bool SlidingFloor { get; init; }
}

/// <summary>How much an exercise asks of a joint: 1 a little, 2 clearly, 3 hard.</summary>
public sealed record JointStress(Joint Joint, int Level);
