using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;
using Ingegno.Server.Clients;

namespace Ingegno.Server.Homes;

/// <summary>Everything the survey of a place shows, worked out anew with every change.</summary>
/// <param name="Implements">Every load it can make, by implement and hold.</param>
/// <param name="Landmarks">The client's own heights to measure it by.</param>
/// <param name="Reach">Per strength family what is reached against what the programme asks.</param>
/// <param name="Uses">By fixture id, what the catalogue would put on it.</param>
/// <param name="Bands">By kit id, how each band pulls.</param>
/// <param name="Expires">By fixture id, the last day its check counts.</param>
/// <param name="Today">By the server's clock.</param>
/// <param name="Slides">By kit id, the floors here each slider slides on.</param>
public sealed record PlaceView(
    string Id,
    Home Home,
    long Version,
    ImmutableArray<HeldImplement> Implements,
    Landmarks Landmarks,
    ImmutableArray<FamilyReach> Reach,
    ImmutableArray<SurfaceStep> PushUps,
    ImmutableArray<SurfaceStep> Rows,
    ImmutableArray<LevelSet> Pairs,
    ImmutableArray<LevelSet> Triples,
    ImmutableArray<Anchor> Anchors,
    Dictionary<string, ImmutableArray<FixtureUse>> Uses,
    Dictionary<string, BandDrawing> Bands,
    Dictionary<string, ImmutableArray<FloorKind>> Slides,
    Dictionary<string, DateOnly> Expires,
    ImmutableArray<InputDoubt> Doubts,
    DateOnly Today)
{
    internal static PlaceView Of(Case about, WrittenProgramme programme, DateOnly today)
    {
        var home = about.Home;
        var prepared = new PreparedHome(home, today);
        int pass = about.Rules.PassDays;
        return new(
            about.Place.Id,
            home,
            about.Place.Version,
            HomeLadders.Of(home),
            new Landmarks(about.Profile.Stature),
            ReachChart.Of(about.Profile, home, about.Rules.Catalogue, about.Rules, today, programme),
            SurfaceLadder.PushUps(about.Profile, home, today, pass),
            SurfaceLadder.Rows(about.Profile, home, today, pass),
            LevelSets.Of(home, 2, LevelSets.UsualTolerance),
            LevelSets.Of(home, 3, LevelSets.UsualTolerance),
            AnchorHeights.Of(home, new Landmarks(about.Profile.Stature)),
            home.Fixtures.ToDictionary(f => f.Id, f => FixtureUses.Of(f, about.Profile, prepared, about.Rules.Catalogue, pass)),
            home.Kit.OfType<Band>().ToDictionary(b => b.Id, b => BandDrawing.Of(BandCurve.Fit(b).Curve!)),
            home.Kit.OfType<Sliders>().ToDictionary(s => s.Id, s => home.Room.Floors.Where(f => Sliding.Slides(s.Slider, f)).ToImmutableArray()),
            home.Fixtures.Where(f => f.Check is not null).ToDictionary(f => f.Id, f => Core.Safety.SetupCheck.Expires(f.Check!, pass)),
            [.. InputDoubts.Of(home)],
            today);
    }
}

/// <summary>A band's curve in points, for drawing.</summary>
/// <param name="Rough">From one pull only.</param>
public sealed record BandDrawing(bool Rough, Length Longest, ImmutableArray<BandDrawingPoint> Points)
{
    private const int Steps = 24;

    internal static BandDrawing Of(BandCurve curve) => new(
        curve.Rough,
        curve.RestLength * BandCurve.MostStretch,
        [.. Enumerable.Range(0, Steps + 1)
            .Select(i => curve.RestLength * (1 + ((BandCurve.MostStretch - 1) * i / Steps)))
            .Select(length =>
            {
                var force = curve.At(length);
                double spread = curve.SpreadAt(length).Fraction;
                return new BandDrawingPoint(length, force, force * (1 - spread), force * (1 + spread), length > curve.LongestPull);
            })]);
}

/// <summary>Force at a length, with the range it may lie in.</summary>
/// <param name="PastMeasured">Longer than any pull that was read.</param>
public sealed record BandDrawingPoint(Length Length, Force Force, Force Low, Force High, bool PastMeasured);
