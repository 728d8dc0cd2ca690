using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Tests.Loads;

public class SurfaceLadderTests
{
    private static readonly Home Home = new()
    {
        Fixtures =
        [
            People.Fixture(FixtureKind.Counter, 0.92, check: People.Passed), People.Fixture(FixtureKind.Table, 0.74, check: People.Passed),
            People.Fixture(FixtureKind.Chair, 0.45, bears: null), People.Fixture(FixtureKind.Step, 0.2, check: People.Passed),
            People.Fixture(FixtureKind.Beam, 2.1, check: People.Passed),
        ],
    };

    private static SurfaceStep[] PushUps(Home home) => [.. SurfaceLadder.PushUps(People.Man, home, People.Today, 90)];

    /// <summary>A higher surface is an easier push-up, raised feet a harder one (common practice; Ebben et al. 2011).</summary>
    [Fact]
    public void The_clients_own_surfaces_run_from_the_wall_to_feet_raised()
    {
        var steps = PushUps(Home);
        steps[0].Name.ShouldBe("Wall");
        steps.Where(s => s.Use == SurfaceUse.HandsRaised).Select(s => s.Height.Metres).ShouldBeInOrder(SortDirection.Descending);
        steps.Where(s => s.Use == SurfaceUse.FeetRaised).Select(s => s.Height.Metres).ShouldBeInOrder();
        steps[^1].Use.ShouldBe(SurfaceUse.FeetRaised);
        steps.Select(s => s.OnHands.Kilograms).ShouldBeInOrder();
        steps.ShouldAllBe(s => s.Held >= s.OnHands);
    }

    /// <summary>Worked from engine.md's own example: a counter at 0.9 m is about 0.29 for a stature of 1.75 m.</summary>
    [Fact]
    public void A_counter_at_0_9_m_takes_about_0_29_of_the_body()
    {
        var client = People.Man with { Stature = Length.FromMetres(1.75) };
        SurfaceLadder.PushUps(client, new Home { Fixtures = [People.Fixture(FixtureKind.Counter, 0.9, check: People.Passed)] }, People.Today, 90)
            .Single(s => s.Use == SurfaceUse.HandsRaised && s.Name == "Counter").Share.Fraction.ShouldBe(0.29, 0.01);
    }

    [Fact]
    public void A_chair_nobody_checked_stands_in_it_with_its_reason()
    {
        var chair = PushUps(Home).First(s => s.Name == "Chair");
        chair.Verdict.Verdict.ShouldBe(SetupVerdict.NotPassed);
        chair.Verdict.Reason.ShouldContain("never checked");
    }

    /// <summary>Grip wanted at half of 1.80 m, the beam at 2.10: 1.20 m of strap.</summary>
    [Fact]
    public void A_rail_that_is_too_high_asks_for_a_strap_of_a_length()
    {
        var rows = SurfaceLadder.Rows(People.Man, Home, People.Today, 90);
        rows.Single(r => r.Name == "Beam").StrapDrop!.Value.Centimetres.ShouldBe(120, 0.01);
        rows.Single(r => r.Name == "Table").StrapDrop.ShouldBeNull();
        rows.ShouldNotContain(r => r.Name == "Chair");
    }
}
