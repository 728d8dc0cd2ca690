using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>One thing a line uses, and how it is set for it.</summary>
/// <param name="Thing">Id of a kit item or fixture.</param>
/// <param name="Name">As the client calls it.</param>
/// <param name="Setting">Two lines with another setting cannot use it at once; empty where it is used one way only.</param>
/// <param name="Load">What it is packed or plated to; zero for things that are only leant on.</param>
/// <param name="Kind">What changing it means.</param>
public sealed record SetThing(string Thing, string Name, string Setting, Mass Load, SetKind Kind);

/// <summary>How a thing is changed from one line to the next.</summary>
public enum SetKind
{
    /// <summary>Packed and emptied: heavier takes longer than lighter.</summary>
    Packed,

    /// <summary>Plates, fills, band settings.</summary>
    Adjusted,

    /// <summary>Put up at a height.</summary>
    Anchored,
}

/// <summary>What a line needs to be put up, read from its prescription.</summary>
/// <param name="FloorSlides">A pad or cloth has to glide.</param>
/// <param name="FloorGrips">The feet have to hold: jumps, and standing on one leg.</param>
public sealed record SetUpNeeds(ImmutableArray<SetThing> Things, bool FloorSlides, bool FloorGrips)
{
    public static SetUpNeeds Of(Prescription line, Exercise exercise, Home home) => new(
        [.. Kit(line, home), .. Fixtures(line, home)],
        exercise.Room.SlidingFloor,
        exercise.Pattern == Pattern.Jump || (exercise is { Pattern: Pattern.Squat, Sides: Sides.OneAtATime } && !exercise.Room.SlidingFloor));

    /// <summary>Why two lines cannot be done back to back; null where they can.</summary>
    public string? Against(SetUpNeeds other)
    {
        foreach (var thing in Things)
        {
            if (other.Things.FirstOrDefault(t => t.Thing == thing.Thing && t.Setting != thing.Setting) is not null)
            {
                return $"both want {thing.Name}, set two ways";
            }
        }

        return (FloorSlides && other.FloorGrips) || (other.FloorSlides && FloorGrips) ? "one wants the floor to slide, the other to grip" : null;
    }

    private static IEnumerable<SetThing> Kit(Prescription line, Home home) =>
        from used in UsedThings.Of(line, home)
        let kind = used.Item switch
        {
            // Weights that are what they are stand side by side, and so do two bands.
            FixedWeights => null,
            Band { Count: > 1 } => null,
            Vessels { Count: > 1 } => null,
            Container => SetKind.Packed,
            _ => (SetKind?)SetKind.Adjusted,
        }
        where kind is not null
        select new SetThing(used.Item.Id, used.Item.Name, used.Setting, line.Load, kind.Value);

    private static IEnumerable<SetThing> Fixtures(Prescription line, Home home) =>
        from support in line.Supports
        where support.Role is FixtureRole.Anchor or FixtureRole.Grip
        let fixture = home.Fixtures.FirstOrDefault(f => f.Id == support.Fixture)
        where fixture is not null
        select new SetThing(fixture.Id, fixture.Name, $"{support.Height.Metres:0.00}", Mass.Zero, SetKind.Anchored);
}
