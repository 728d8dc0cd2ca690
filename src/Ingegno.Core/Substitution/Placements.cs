using System.Globalization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>
/// Where on the fixtures of a home one need of an exercise can be met. A wrong height is the normal case: a strap brings a
/// rail down, a knot slides along a post, two chairs of nearly one height make a pair. Strength is not judged here.
/// </summary>
internal static class Placements
{
    /// <summary>Heights a strap is offered at, between the lowest and the highest usable one.</summary>
    private const int StrapHeights = 4;

    /// <summary>A fixture nearer than this to the height wanted is called right.</summary>
    private const double NearEnough = 0.05;

    /// <summary>Placements, or why this fixture gives none.</summary>
    internal readonly record struct Found(IReadOnlyList<PlacedFixture> Places, string? Misfit);

    internal static Found On(Fixture fixture, FixtureNeed need, ClientProfile client, PreparedHome home)
    {
        if (fixture.Kind == FixtureKind.Wall)
        {
            return new([new PlacedFixture(need.Role, fixture, fixture.Height), .. Lower(fixture, need, client)], null);
        }

        if (need.Zone is { } zone)
        {
            return Anchored(fixture, zone, need, client);
        }

        Fixture? partner = null;
        if (fixture.Count < need.Count && (partner = PartnerOf(fixture, need, home)) is null)
        {
            return new([], $"needs {need.Count} of {fixture.Name} at one height, there is {fixture.Count}");
        }

        return AtHeight(fixture, partner, need, client, home);
    }

    /// <summary>The further back the feet, the lower the hands on a wall: half way to the lowest that still holds them, and there.</summary>
    private static IEnumerable<PlacedFixture> Lower(Fixture wall, FixtureNeed need, ClientProfile client) =>
        need.HighestOfStature.Fraction >= 1 ? []
        : new[] { (need.LowestOfStature.Fraction + need.HighestOfStature.Fraction) / 2, need.LowestOfStature.Fraction }
            .Select(part => new PlacedFixture(need.Role, wall, Length.FromCentimetres(Math.Round((client.Stature * part).Centimetres))));

    private static Found Anchored(Fixture fixture, AnchorZone zone, FixtureNeed need, ClientProfile client)
    {
        var body = new Landmarks(client.Stature);
        if (AnchorHeights.On(fixture, zone, body) is not { } at)
        {
            return new([], $"{fixture.Name} gives no {zone.ToString().ToLowerInvariant()} anchor");
        }

        string? note = FixtureKinds.AnchorSlides(fixture.Kind) ? $"tie it at {at}" : null;
        return new([new PlacedFixture(need.Role, fixture, at, at - AnchorHeights.Wanted(zone, body), Note: note)], null);
    }

    private static Found AtHeight(Fixture fixture, Fixture? partner, FixtureNeed need, ClientProfile client, PreparedHome home)
    {
        var lowest = client.Stature * need.LowestOfStature.Fraction;
        var highest = client.Stature * need.HighestOfStature.Fraction;
        UsableHeight[] right = [.. FixtureHeights.Of(fixture).Where(h => h.At >= lowest && h.At <= highest && (!h.LightOnly || need is { Role: FixtureRole.Hands, Bears: null, Count: 1 }))];
        if (right.Length > 0)
        {
            return new([.. right.Select(h => Placed(fixture, partner, h.At, need, client, h.Where))], null);
        }

        // A post can be held, and a towel tied to a door's edge, anywhere below its top.
        if (need.Role == FixtureRole.Grip && FixtureKinds.AnchorSlides(fixture.Kind) && fixture.Height > highest)
        {
            // Whole centimetres, rounded inwards: what the client is told is what is saved, and stays within the bounds.
            double wanted = Math.Round((client.Stature * (need.WantedOfStature ?? need.HighestOfStature).Fraction).Centimetres);
            var best = Length.FromCentimetres(Math.Max(Math.Ceiling(lowest.Centimetres - 1e-9), Math.Min(Math.Floor(highest.Centimetres + 1e-9), wanted)));
            return new([Placed(fixture, null, best, need, client, $"hands at {best}")], null);
        }

        if (fixture.Height < lowest)
        {
            return new([], $"{fixture.Name} at {fixture.Height} is too low, {lowest} to {highest} wanted");
        }

        if (need.Role == FixtureRole.Grip && FixtureKinds.TakesStrap(fixture.Kind))
        {
            return Strapped(fixture, lowest, highest, need, client, home);
        }

        return new([], $"{fixture.Name} at {fixture.Height} is too high, {lowest} to {highest} wanted");
    }

    private static Found Strapped(
        Fixture fixture, Length lowest, Length highest, FixtureNeed need, ClientProfile client, PreparedHome home)
    {
        if (home.Straps is not { } straps)
        {
            return new([], $"{fixture.Name} at {fixture.Height} is too high: a strap hung {RowShare.StrapDrop(fixture.Height, highest)} or more below it would do, and none of known strength is here");
        }

        // Whole centimetres, rounded inwards: what the client is told stays within the bounds.
        var deepest = fixture.Height - straps.LongestDrop;
        double from = Math.Ceiling((deepest > lowest ? deepest : lowest).Centimetres - 1e-9), to = Math.Floor(highest.Centimetres + 1e-9);
        if (from > to)
        {
            return new([], $"{fixture.Name} at {fixture.Height} is too high, and {straps.Name} hang only {straps.LongestDrop} down");
        }

        return new(
            [.. Enumerable.Range(0, StrapHeights)
                .Select(i => Length.FromCentimetres(Math.Round(from + ((to - from) * i / (StrapHeights - 1)))))
                .Distinct()
                .Select(at => Placed(
                    fixture, null, at, need, client, $"{straps.Name} hung {RowShare.StrapDrop(fixture.Height, at)} below it, handles at {at}"))],
            null);
    }

    /// <summary>Another thing of nearly the same height that serves the same need.</summary>
    private static Fixture? PartnerOf(Fixture fixture, FixtureNeed need, PreparedHome home) =>
        need.Count != 2
            ? null
            : home.Home.Fixtures.FirstOrDefault(other =>
                other.Id != fixture.Id
                && need.Kinds.Any(kind => FixtureKinds.Serves(other.Kind, kind))
                && Math.Abs((other.Height - fixture.Height).Metres) <= LevelSets.UsualTolerance.Metres + 1e-9
                && string.CompareOrdinal(fixture.Id, other.Id) < 0);

    private static PlacedFixture Placed(
        Fixture fixture, Fixture? partner, Length at, FixtureNeed need, ClientProfile client, string? where)
    {
        var error = need.WantedOfStature is { } wanted ? at - (client.Stature * wanted.Fraction) : Length.Zero;
        string? note = string.Join("; ", new[] { where, Distance(need.Role, at, client), Off(need.Role, error) }.OfType<string>());
        return new PlacedFixture(need.Role, fixture, at, error, partner, note.Length == 0 ? null : note);
    }

    /// <summary>Where the feet go for hands or grip at this height, the body straight.</summary>
    private static string? Distance(FixtureRole role, Length at, ClientProfile client)
    {
        var body = new Landmarks(client.Stature);
        double reach = double.Hypot(body.Shoulder.Metres, body.ArmToGrip.Metres);
        return role switch
        {
            FixtureRole.Hands when at.Metres is > 0.1 && at.Metres < reach =>
                $"toes {Length.FromMetres(Math.Sqrt((reach * reach) - (at.Metres * at.Metres)))} from under the hands",
            FixtureRole.Grip when at > body.ArmToGrip && at < body.Shoulder =>
                $"heels {Heels(at - body.ArmToGrip, body)} beyond the grip",
            _ => null,
        };
    }

    private static Length Heels(Length shoulders, Landmarks body) =>
        body.Shoulder * Math.Sqrt(Math.Max(0, 1 - Math.Pow(shoulders / body.Shoulder, 2)));

    /// <summary>How far the height is off and what meets it.</summary>
    private static string? Off(FixtureRole role, Length error)
    {
        if (Math.Abs(error.Metres) < NearEnough)
        {
            return null;
        }

        string off = string.Create(
            CultureInfo.InvariantCulture, $"{Math.Abs(error.Centimetres):0} cm {(error > Length.Zero ? "higher" : "lower")} than {(role == FixtureRole.Hands ? "a first incline" : "best")} for you");
        string? met = (role, error > Length.Zero) switch
        {
            (FixtureRole.Hands, true) => "easier there",
            (FixtureRole.Hands, false) => "harder there",
            (FixtureRole.Seat, true) => "sit near the edge, feet close",
            (FixtureRole.Seat, false) => "feet a little further out",
            (FixtureRole.Step, true) => "step only as high as the knee allows",
            (FixtureRole.RearFoot, true) => "a longer stance",
            (FixtureRole.RearFoot, false) => "a shorter stance",
            (FixtureRole.ShouldersRaised, true) => "feet further under",
            _ => null,
        };
        return met is null ? off : $"{off}: {met}";
    }
}
