using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>Where a band or strap is tied, by the body.</summary>
public enum AnchorZone
{
    /// <summary>At the knee and below: curls, kickbacks, upward pulls.</summary>
    Low,

    /// <summary>Hip to shoulder: rows, presses, flies.</summary>
    Middle,

    /// <summary>Over the shoulder: pulldowns, face pulls, pushdowns.</summary>
    High,
}

/// <summary>What in a place serves as an anchor of one zone.</summary>
/// <param name="Fixture">Null where nothing here does.</param>
/// <param name="Height">Height to tie at.</param>
/// <param name="Error">Height less the one wanted for this body: positive, too high.</param>
public sealed record Anchor(AnchorZone Zone, Fixture? Fixture, Length Height, Length Error);

/// <summary>Finds the three anchor heights for one body. A set-up check still has to pass each.</summary>
public static class AnchorHeights
{
    /// <summary>The height a zone is best tied at (common practice): mid shin, sternum, a hand over the head.</summary>
    public static Length Wanted(AnchorZone zone, Landmarks body) => zone switch
    {
        AnchorZone.Low => body.Knee * 0.5,
        AnchorZone.Middle => body.Sternum,
        AnchorZone.High => body.Stature * 1.08,
        _ => throw new ArgumentOutOfRangeException(nameof(zone)),
    };

    /// <summary>Lowest and highest height that still counts as the zone.</summary>
    public static (Length Lowest, Length Highest) Bounds(AnchorZone zone, Landmarks body) => zone switch
    {
        AnchorZone.Low => (Length.Zero, body.Knee),
        AnchorZone.Middle => (body.Hip * 0.9, body.Shoulder),
        AnchorZone.High => (body.Shoulder, body.Reach * 1.1),
        _ => throw new ArgumentOutOfRangeException(nameof(zone)),
    };

    /// <summary>The nearest anchor of each zone, low to high.</summary>
    public static ImmutableArray<Anchor> Of(Home home, Landmarks body) =>
        [.. Enum.GetValues<AnchorZone>().Select(zone => Nearest(home, zone, body))];

    /// <summary>The height on this fixture nearest to the wanted one, or null when it does not reach the zone.</summary>
    public static Length? On(Fixture fixture, AnchorZone zone, Landmarks body)
    {
        if (!FixtureKinds.TakesStrap(fixture.Kind) || fixture.Glass)
        {
            return null;
        }

        var (lowest, highest) = Bounds(zone, body);
        var wanted = Wanted(zone, body);
        var at = FixtureKinds.AnchorSlides(fixture.Kind) && fixture.Height > wanted ? wanted : fixture.Height;
        return at >= lowest && at <= highest ? at : null;
    }

    private static Anchor Nearest(Home home, AnchorZone zone, Landmarks body)
    {
        var wanted = Wanted(zone, body);
        return home.Fixtures
            .Select(f => (fixture: f, at: On(f, zone, body)))
            .Where(p => p.at is not null)
            .Select(p => new Anchor(zone, p.fixture, p.at!.Value, p.at.Value - wanted))
            .OrderBy(a => Math.Abs(a.Error.Metres))
            .FirstOrDefault() ?? new Anchor(zone, null, wanted, Length.Zero);
    }
}
