using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>A wrong height is the normal case: it is met with a strap, a partner, or where the feet stand.</summary>
public class PlacementTests
{
    private static readonly Straps Known = new() { Id = "straps", Name = "Straps", Bears = Mass.FromKilograms(150) };

    private static SetUpSearch.Found Find(string exercise, Home home) =>
        SetUpSearch.For(People.Exercise(exercise), People.Man, new PreparedHome(home, People.Today), HouseRules.Default);

    [Fact]
    public void A_beam_that_is_too_high_is_used_with_a_strap_and_only_with_one()
    {
        var home = new Home { Fixtures = [People.Fixture(FixtureKind.Beam, 2.1, check: People.Passed)] };
        Find("table-row", home).Refusals.ShouldContain(r => r.Reason.Contains("strap", StringComparison.Ordinal));
        var strapped = Find("table-row", home with { Kit = [Known] }).SetUps;
        strapped.ShouldNotBeEmpty();
        strapped.ShouldAllBe(s => s.Placed[0].Height < Length.FromMetres(1.12) && s.Placed[0].Note!.Contains("hung", StringComparison.Ordinal));
    }

    [Fact]
    public void Straps_of_unknown_or_too_little_strength_are_not_used()
    {
        var home = new Home { Fixtures = [People.Fixture(FixtureKind.Beam, 2.1, check: People.Passed)] };
        Find("table-row", home with { Kit = [Known with { Bears = null }] }).SetUps.ShouldBeEmpty();
        Find("table-row", home with { Kit = [Known with { Bears = Mass.FromKilograms(30) }] }).SetUps.ShouldBeEmpty();
    }

    /// <summary>Hands on a higher step press less, feet on one more: every step is a set-up of its own, and named (common practice).</summary>
    [Fact]
    public void Every_step_of_a_stair_is_a_height_of_its_own()
    {
        var home = new Home { Fixtures = [People.Fixture(FixtureKind.Stairs, 0.18, check: People.Passed)] };
        var raised = Find("incline-push-up", home).SetUps.Select(s => s.Placed[0]).ToArray();
        raised.Select(p => Math.Round(p.Height.Metres / 0.18)).ShouldBe([1, 2, 3, 4, 5, 6]);
        raised[2].Note!.ShouldContain("third step");
        Find("feet-raised-push-up", home).SetUps.Select(s => s.Placed[0].Note!).ShouldContain(note => note.Contains("second step", StringComparison.Ordinal));
        Find("incline-push-up", new Home { Fixtures = [People.Fixture(FixtureKind.Stairs, 0.40, check: People.Passed)] }).SetUps.Length.ShouldBe(1);
    }

    /// <summary>Leaned on, a back held by the wall stays; sat, stepped or dipped on it would tip.</summary>
    [Fact]
    public void The_back_of_a_chair_takes_hands_that_lean_and_nothing_more()
    {
        var home = new Home { Fixtures = [People.Fixture(FixtureKind.Chair, 0.45, check: People.Passed) with { BackHeight = Length.FromMetres(0.9), Count = 2 }] };
        Find("incline-push-up", home).SetUps.ShouldContain(s => s.Placed[0].Height == Length.FromMetres(0.9) && s.Placed[0].Note!.Contains("wall", StringComparison.Ordinal));
        foreach (var exercise in Catalogue.Shipped.Exercises.Where(e => e.Setting != Setting.Gym && e.Fixtures.Any(n => n.Role != FixtureRole.Hands || n.Bears is not null)))
        {
            Find(exercise.Id, home).SetUps.SelectMany(s => s.Placed).ShouldAllBe(p => p.Height < Length.FromMetres(0.9) || p.Fixture.Kind == FixtureKind.Wall, exercise.Id);
        }
    }

    /// <summary>Nobody alone under a bar (common practice): on the back or over the chest only where safety arms of known strength passed.</summary>
    [Theory]
    [InlineData("back-squat")]
    [InlineData("front-squat")]
    [InlineData("barbell-bench-press")]
    [InlineData("close-grip-bench-press")]
    [InlineData("box-squat-barbell")]
    public void A_bar_one_cannot_drop_wants_a_rack_that_passed(string exercise)
    {
        var rack = People.Fixture(FixtureKind.Rack, 1.6, check: People.Passed, bears: 300);
        var home = new Home
        {
            Room = new Room { Headroom = Length.FromMetres(2.6) },
            Fixtures = [People.Fixture(FixtureKind.Bench, 0.43, check: People.Passed, bears: 300)],
            Kit = [new PlateLoadedBar { Id = "bar", Name = "Bar", Plates = [new Plates(Mass.FromKilograms(20), 6)] }],
        };
        Find(exercise, home).SetUps.ShouldBeEmpty();
        Find(exercise, home with { Fixtures = [.. home.Fixtures, rack with { Check = null }] }).SetUps.ShouldBeEmpty();
        Find(exercise, home with { Fixtures = [.. home.Fixtures, rack with { Bears = null }] }).SetUps.ShouldBeEmpty();
        Find(exercise, home with { Fixtures = [.. home.Fixtures, rack] }).SetUps.SelectMany(s => s.Ladder.Rungs).Max(r => r.Load.Kilograms).ShouldBe(140, 0.01);
        // Dropped, a bar counts twice.
        Find(exercise, home with { Fixtures = [.. home.Fixtures, rack with { Bears = Mass.FromKilograms(160) }] }).SetUps
            .SelectMany(s => s.Ladder.Rungs).Max(r => r.Load.Kilograms).ShouldBeLessThanOrEqualTo(80);
    }

    [Fact]
    public void Two_chairs_of_nearly_one_height_make_a_pair_and_both_must_pass()
    {
        var one = People.Fixture(FixtureKind.Chair, 0.46, check: People.Passed);
        var other = People.Fixture(FixtureKind.Chair, 0.475, check: People.Passed);
        Find("two-chair-dip", new Home { Fixtures = [one] }).SetUps.ShouldBeEmpty();
        Find("two-chair-dip", new Home { Fixtures = [one, other] }).SetUps.ShouldNotBeEmpty();
        Find("two-chair-dip", new Home { Fixtures = [one, other with { Check = null }] }).SetUps.ShouldBeEmpty();
        Find("two-chair-dip", new Home { Fixtures = [one, People.Fixture(FixtureKind.Chair, 0.50, check: People.Passed)] }).SetUps.ShouldBeEmpty();
    }

    /// <summary>A wall is a ladder: the further back the feet, the lower the hands and the more of the body they carry. Where on it is said.</summary>
    [Fact]
    public void Feet_further_from_the_wall_load_a_wall_push_up_more()
    {
        var setUps = Find("wall-push-up", new Home()).SetUps.OrderByDescending(s => s.Placed[0].Height).ToArray();
        setUps.Length.ShouldBe(3);
        double[] shares = [.. setUps.Select(s => Resistance.BodyMoved(People.Exercise("wall-push-up").Load, People.Man, s.Geometry).Fraction)];
        shares.ShouldBeInOrder();
        (shares[^1] / shares[0]).ShouldBeInRange(1.5, 4);
        setUps[^1].Placed[0].Height.Metres.ShouldBe(People.Man.Stature.Metres * 0.6, 0.006);
        var line = new Member(People.Man with { Level = Ingegno.Core.Clients.Level.Beginner, BodyMass = Mass.FromKilograms(130), Lifts = [] }, new Home()).Line("chest-press-machine", 3, 10);
        var given = line.Chosen!.Prescription;
        given.Exercise.ShouldBe("wall-push-up");
        given.Placement.ShouldHaveSingleItem().ShouldStartWith("Hands: Wall, ");
        given.Reserve!.Value.ShouldBeLessThanOrEqualTo(5);
    }

    /// <summary>A band's anchor bears the pull at its longest, 1.3 times when moving.</summary>
    [Fact]
    public void A_weak_anchor_limits_the_band_and_an_unknown_one_refuses_it()
    {
        var post = People.Fixture(FixtureKind.Post, 2.0, check: People.Passed, bears: 10);
        var home = new Home { Fixtures = [post], Kit = [People.Loop("stout", 2)], Room = new Room { FloorLength = Length.FromMetres(4) } };
        var limited = Find("band-standing-row", home).SetUps;
        limited.ShouldNotBeEmpty();
        limited.SelectMany(s => s.Ladder.Rungs).ShouldAllBe(r => r.Pull!.End.Kilograms * 1.3 <= 10 + 1e-6);
        Find("band-standing-row", home with { Fixtures = [post with { Bears = null }] }).SetUps.ShouldBeEmpty();
    }

    /// <summary>Stature 1.80: the first incline is best at the breastbone, 0.735 of it; a table at 0.72 m is 60 cm lower.</summary>
    [Fact]
    public void How_far_a_height_is_off_is_told_with_its_sign()
    {
        var placed = Find("incline-push-up", new Home { Fixtures = [People.Fixture(FixtureKind.Table, 0.72, check: People.Passed)], Room = new Room { FloorLength = Length.FromMetres(3) } }).SetUps[0].Placed[0];
        placed.Error.Centimetres.ShouldBe(72 - (180 * 0.735), 0.01);
        placed.Note!.ShouldContain("lower than a first incline for you");
        placed.Note!.ShouldContain("toes");
    }

    [Fact]
    public void A_lean_is_offered_with_the_heels_in_several_places()
    {
        var found = Find("standing-lean-row", new Home { Fixtures = [People.Fixture(FixtureKind.Post, 1.2, check: People.Passed)] });
        found.SetUps.Select(s => s.FeetOut).Distinct().Count().ShouldBe(10);
    }

    /// <summary>A full dip puts all of 80 kg and 1.3 times of it on two things; a chair of unknown strength bears 110 (EN 12520; from memory).</summary>
    [Fact]
    public void What_an_exercise_puts_on_a_fixture_is_set_against_what_it_may_carry()
    {
        var chairs = People.Fixture(FixtureKind.Chair, 0.46, count: 2, check: People.Passed, bears: null);
        var home = new PreparedHome(new Home { Fixtures = [chairs] }, People.Today);
        var uses = FixtureUses.Of(chairs, People.Man, home, Catalogue.Shipped, 90);
        var dip = uses.Single(u => u.Exercise == "two-chair-dip");
        dip.Peak.Kilograms.ShouldBe(80 * 1.3 / 2, 1e-6);
        dip.Finding.Verdict.ShouldBe(SetupVerdict.Pass);
        uses.ShouldAllBe(u => u.MayCarry == Mass.FromKilograms(110));
        var weak = chairs with { Bears = Mass.FromKilograms(40) };
        FixtureUses.Of(weak, People.Man, home, Catalogue.Shipped, 90).Single(u => u.Exercise == "two-chair-dip").Finding.Verdict.ShouldBe(SetupVerdict.NotPassed);
    }

    [Fact]
    public void Glass_is_never_used_whatever_its_check()
    {
        var table = People.Fixture(FixtureKind.Table, 0.74, check: People.Passed) with { Glass = true };
        SetupCheck.Of(table, Mass.FromKilograms(1), FixtureMotion.Still, People.Today, 90).Verdict.ShouldBe(SetupVerdict.Never);
    }

    /// <summary>A heavy thing overhead wants a handle and a lid (common practice): a bag whose contents shift is no choice.</summary>
    [Fact]
    public void Nothing_that_may_fall_out_goes_over_the_head()
    {
        var bag = new Home { Kit = [People.Rucksack(1, 20, ("bottle", 1.5, 8))] };
        Find("half-kneeling-press", bag).Refusals.Single().Reason.ShouldContain("handle and a lid");
        Find("one-arm-dumbbell-row", bag).SetUps.ShouldNotBeEmpty();
        var jug = new Home { Kit = [new Vessels { Id = "j", Name = "Jug" }] };
        Find("half-kneeling-press", jug).SetUps.ShouldNotBeEmpty();
    }

    [Fact]
    public void A_post_is_held_at_the_height_that_is_best()
    {
        var found = Find("standing-lean-row", new Home { Fixtures = [People.Fixture(FixtureKind.Tree, 2.4, check: People.Passed)] });
        found.SetUps[0].Placed[0].Height.Metres.ShouldBe(1.80 * 0.70, 1e-9);
        found.SetUps[0].Placed[0].Note!.ShouldContain("hands at 126 cm");
    }
}
