using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Figures;

/// <summary>What a load looks like.</summary>
public enum HeldThing
{
    Dumbbell,
    Kettlebell,
    Bar,
    Bag,
    Jug,
}

/// <summary>A fixture as it is used: how high, and what kind of thing.</summary>
public sealed record FixtureUsed(Length Height, FixtureKind Kind);

/// <summary>All a set-up is drawn from beside the exercise itself.</summary>
/// <param name="Fixtures">By what they are for.</param>
/// <param name="Held">Null for nothing in the hands.</param>
/// <param name="WithBand">A band gives the load, or part of it.</param>
/// <param name="FeetOut">Of a lean: heels in front of the point under the grip.</param>
/// <param name="Ceiling">Where it is so near that it belongs to the set-up; null elsewhere.</param>
public sealed record FigureSetting(
    Length Stature, Sex Sex, IReadOnlyDictionary<FixtureRole, FixtureUsed> Fixtures, Hold? Hold = null, HeldThing? Held = null, bool WithBand = false, Length? FeetOut = null,
    Length? Ceiling = null)
{
    /// <summary>Less air than this over what an exercise needs, and the ceiling is drawn.</summary>
    private static readonly Length NearTheCeiling = Length.FromCentimetres(20);

    /// <summary>An exercise as the catalogue knows it: fixtures at the height it is best at, the usual thing in the hands.</summary>
    public static FigureSetting Usual(Exercise exercise, Length stature, Sex sex)
    {
        var hold = exercise.NeedsLoad && !exercise.Holds.IsEmpty ? exercise.Holds[0] : (Hold?)null;
        return new(
            stature, sex,
            exercise.Fixtures.Where(f => !f.Kinds.IsEmpty).DistinctBy(f => f.Role).ToDictionary(f => f.Role, f => new FixtureUsed(UsualHeight(f, stature), f.Kinds[0])),
            hold, hold is { } h and not (Loads.Hold.FootOnScale or Loads.Hold.Band) ? UsualThing(h, exercise.Wants) : null, exercise.Band is not null && hold is null);
    }

    /// <summary>A line as it is prescribed in a home.</summary>
    public static FigureSetting Of(Prescription line, Exercise exercise, Home home, ClientProfile client)
    {
        var kit = home.Kit.FirstOrDefault(k => k.Id == line.Kit);
        return new(
            client.Stature, client.Sex,
            line.Supports.DistinctBy(s => s.Role).ToDictionary(
                s => s.Role, s => new FixtureUsed(s.Height, home.Fixtures.FirstOrDefault(f => f.Id == s.Fixture)?.Kind ?? FixtureKind.Chair)),
            line.Hold, kit is null || line.Load <= Mass.Zero ? null : Thing(kit), kit is Band || (exercise.Band is not null && exercise.Holds.IsEmpty), line.Geometry.FeetOut,
            home.Room is { Outdoors: false, Headroom: { } ceiling } && ceiling - (client.Stature * exercise.Room.HeadroomOfStature.Fraction) < NearTheCeiling ? ceiling : null);
    }

    private static Length UsualHeight(FixtureNeed need, Length stature) => need.Zone is { } zone
        ? AnchorHeights.Wanted(zone, new Landmarks(stature))
        : stature * (need.WantedOfStature ?? Share.Of(Math.Clamp((need.LowestOfStature.Fraction + need.HighestOfStature.Fraction) / 2, 0, 1.3))).Fraction;

    private static HeldThing UsualThing(Hold hold, KitWanted wants) => (hold, wants) switch
    {
        (Loads.Hold.Bar, _) => HeldThing.Bar,
        (Loads.Hold.OnBack, _) or (_, KitWanted.Bag) => HeldThing.Bag,
        _ => HeldThing.Dumbbell,
    };

    private static HeldThing? Thing(KitItem kit) => kit switch
    {
        FixedWeights { Shape: FixedWeightShape.Kettlebell } => HeldThing.Kettlebell,
        FixedWeights or PlateLoadedHandles => HeldThing.Dumbbell,
        PlateLoadedBar => HeldThing.Bar,
        Container => HeldThing.Bag,
        Vessels => HeldThing.Jug,
        _ => null,
    };
}
