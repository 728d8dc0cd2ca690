using Ingegno.Core.Anatomy;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Homes;

/// <summary>What stands at one height, what slides on what, where a band can be tied.</summary>
public class PlacesInTheHomeTests
{
    private static Home With(params Fixture[] fixtures) => new() { Fixtures = [.. fixtures] };

    private static readonly Landmarks Body = new(Length.FromMetres(1.75));

    [Fact]
    public void Pairs_and_triples_are_found_within_the_tolerance()
    {
        var home = With(
            People.Fixture(FixtureKind.Chair, 0.45, count: 2), People.Fixture(FixtureKind.Step, 0.465),
            People.Fixture(FixtureKind.Bed, 0.50), People.Fixture(FixtureKind.Rail, 0.45));
        var pairs = LevelSets.Of(home, 2, LevelSets.UsualTolerance);
        pairs.Select(p => string.Join('+', p.Fixtures)).ShouldBe(["Chair+Chair", "Chair+Step"]);
        pairs[1].Difference.Centimetres.ShouldBe(1.5, 1e-6);
        LevelSets.Of(home, 3, LevelSets.UsualTolerance).Single().Fixtures.ShouldBe(["Chair", "Chair", "Step"]);
        LevelSets.Of(home, 3, Length.FromCentimetres(1)).ShouldBeEmpty();
    }

    [Fact]
    public void Glass_never_makes_a_pair() =>
        LevelSets.Of(With(People.Fixture(FixtureKind.Table, 0.5, count: 2) with { Glass = true }), 2, LevelSets.UsualTolerance).ShouldBeEmpty();

    /// <summary>Trade: paper plates slide on carpet and hard floor, not on rubber or concrete (common practice).</summary>
    [Theory]
    [InlineData(SliderKind.PaperPlate, FloorKind.Carpet, true)]
    [InlineData(SliderKind.PaperPlate, FloorKind.Wood, true)]
    [InlineData(SliderKind.PaperPlate, FloorKind.Rubber, false)]
    [InlineData(SliderKind.PaperPlate, FloorKind.Concrete, false)]
    [InlineData(SliderKind.Towel, FloorKind.Tile, true)]
    [InlineData(SliderKind.Towel, FloorKind.Carpet, false)]
    [InlineData(SliderKind.SliderPad, FloorKind.Grass, false)]
    public void What_slides_depends_on_slider_and_floor(SliderKind slider, FloorKind floor, bool slides) =>
        Sliding.Slides(slider, floor).ShouldBe(slides);

    [Fact]
    public void A_floor_without_a_slider_slides_nothing()
    {
        var home = new Home { Room = new Room { Floors = [FloorKind.Wood] } };
        Sliding.In(home).ShouldBeEmpty();
        Sliding.In(home with { Kit = [new Sliders { Id = "s", Name = "Towels", Slider = SliderKind.Towel }] }).Length.ShouldBe(1);
        Sliding.In(home with { Kit = [new Sliders { Id = "s", Name = "Towels", Slider = SliderKind.Towel, Count = 0 }] }).ShouldBeEmpty();
    }

    [Fact]
    public void A_post_gives_all_three_anchor_heights_and_a_rail_only_its_own()
    {
        AnchorHeights.Of(With(People.Fixture(FixtureKind.Tree, 2.4)), Body).ShouldAllBe(a => a.Fixture != null && a.Error == Length.Zero);
        var rail = AnchorHeights.Of(With(People.Fixture(FixtureKind.Banister, 1.0)), Body);
        rail.Single(a => a.Fixture is not null).Zone.ShouldBe(AnchorZone.Middle);
        rail.Single(a => a.Fixture is not null).Error.Metres.ShouldBe(1.0 - Body.Sternum.Metres, 1e-9);
    }

    [Fact]
    public void A_table_is_no_anchor() => AnchorHeights.On(People.Fixture(FixtureKind.Table, 0.74), AnchorZone.Low, Body).ShouldBeNull();

    [Theory]
    [InlineData(FixtureKind.Gate, FixtureKind.Rail, true)]
    [InlineData(FixtureKind.Tree, FixtureKind.Post, true)]
    [InlineData(FixtureKind.Ottoman, FixtureKind.Sofa, true)]
    [InlineData(FixtureKind.Chair, FixtureKind.Chair, true)]
    [InlineData(FixtureKind.Chair, FixtureKind.Sofa, false)]
    [InlineData(FixtureKind.Sofa, FixtureKind.Ottoman, false)]
    public void Needs_are_written_in_plain_kinds(FixtureKind kind, FixtureKind asked, bool serves) =>
        FixtureKinds.Serves(kind, asked).ShouldBe(serves);

    [Fact]
    public void Everything_on_the_quick_list_can_be_saved_and_nothing_on_it_has_passed()
    {
        var home = new Home
        {
            Fixtures = [.. CommonThings.All.Select(t => t.Fixture).OfType<Fixture>().Select((f, i) => f with { Id = $"f{i}" })],
            Kit = [.. CommonThings.All.Select(t => t.Kit).OfType<KitItem>().Select((k, i) => k with { Id = $"k{i}" })],
        };
        HomeProblems.Of(home).ShouldBeEmpty();
        InputDoubts.Of(home).ShouldBeEmpty();
        home.Fixtures.ShouldAllBe(f => f.Check == null);
        CommonThings.All.Select(t => t.Name).ShouldBeUnique();
    }
}
