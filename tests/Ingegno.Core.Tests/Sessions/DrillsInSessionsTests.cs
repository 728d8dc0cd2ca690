using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Sessions;

/// <summary>Warm-up, mobility work and cool-down come from what the day trains, the screens and the room.</summary>
public class DrillsInSessionsTests
{
    private static readonly WrittenLine[] Legs = [Member.Written("back-squat", 3, 8), Member.Written("romanian-deadlift", 3, 8)];

    /// <summary>"Three 30 s deep-squat holds at the end of the squat work" (common practice).</summary>
    [Fact]
    public void A_failed_deep_squat_screen_adds_three_holds_behind_the_last_squat()
    {
        var session = Member.Named("gerda-halvorsen").Session([Member.Written("leg-press", 2, 12), Member.Written("goblet-squat", 2, 12), Member.Written("seated-cable-row", 2, 12)]);
        session.Lines[0].Behind.ShouldBeEmpty();
        var hold = session.Lines[1].Behind.ShouldHaveSingleItem();
        (hold.Name, hold.Dose).ShouldBe(("Deep squat hold", "3 x 30 s"));
        hold.Why.ShouldContain("deep squat screen");
    }

    [Theory]
    [InlineData(Screen.ShoulderExtension, "parallel-bar-dip")]
    [InlineData(Screen.DeepSquat, "back-squat")]
    [InlineData(Screen.Wrist, "barbell-bench-press")]
    [InlineData(Screen.HamstringRange, "romanian-deadlift")]
    [InlineData(Screen.OverheadReach, "overhead-press")]
    public void Every_failed_screen_adds_its_work_and_a_passed_one_none(Screen screen, string written)
    {
        var joost = Member.Named("joost-aalders");
        joost.Session([Member.Written(written, 3, 8)]).Lines[0].Behind.ShouldBeEmpty();
        var failed = joost.Who(c => c with { Screens = [new(screen, ScreenResult.Failed)] }).Session([Member.Written(written, 3, 8)]).Lines[0];
        ShouldOpen(failed.Behind.ShouldHaveSingleItem().Drill, screen);
    }

    private static void ShouldOpen(string drill, Screen screen) =>
        Catalogue.Shipped.Drills.Single(d => d.Id == drill).Opens.ShouldBe(screen);

    [Fact]
    public void A_warm_up_goes_through_its_phases_in_order()
    {
        var kinds = Member.Named("aldo-ferrin").Session(Legs).WarmUp.Select(d => d.Kind).ToArray();
        kinds.ShouldBe(kinds.Order());
        kinds.Distinct().ShouldBe([DrillKind.Raise, DrillKind.Loosen, DrillKind.Steady, DrillKind.SwitchOn]);
    }

    [Fact]
    public void A_trait_with_a_drill_of_its_own_gets_it_and_it_is_named() =>
        Member.Named("nadia-oskarsen").Session(Legs).WarmUp.Single(d => d.Drill == "mini-squat-knees-out").Why.ShouldBe("Trait: knees fall in");

    [Fact]
    public void Nothing_loud_over_neighbours_and_nothing_the_health_screen_speaks_against()
    {
        foreach (var member in Member.All())
        {
            var session = member.Session(Legs);
            foreach (var drill in session.WarmUp.Concat(session.CoolDown).Concat(session.Lines.SelectMany(l => l.Behind)))
            {
                var shipped = Catalogue.Shipped.Drills.Single(d => d.Id == drill.Drill);
                (shipped.Noise == Noise.Loud && member.Home.Room.NeighboursBelow).ShouldBeFalse();
                shipped.Conditions.Intersect(member.Client.Health.Answers.Where(a => a.Applies).Select(a => a.Question)).ShouldBeEmpty();
                (member.Home.Room.Outdoors || member.Client.Stature.Metres * shipped.FloorOfStature.Fraction <= member.Home.Room.FloorLength!.Value.Metres).ShouldBeTrue();
            }
        }
    }

    [Fact]
    public void A_cool_down_breathes_first_and_stretches_what_was_trained()
    {
        var cool = Member.Named("maren-ostholt").Session(Legs).CoolDown;
        cool[0].Kind.ShouldBe(DrillKind.Breathing);
        var stretched = cool.Skip(1).SelectMany(d => Catalogue.Shipped.Drills.Single(s => s.Id == d.Drill).Muscles);
        stretched.ShouldContain(m => m == Muscle.Quadriceps || m == Muscle.GluteusMaximus || m == Muscle.HamstringsHip);
    }

    [Fact]
    public void Nothing_trained_is_nothing_to_warm_up_for()
    {
        var sore = Member.Named("maren-ostholt").Who(c => c with { SoreJoints = [.. Enum.GetValues<Joint>().Select(j => new Soreness(j, 9))] });
        var session = (sore with { Home = new Home { Room = new Room { FloorLength = Length.FromMetres(1) } } }).Session([Member.Written("back-squat", 3, 8)]);
        session.WarmUp.ShouldBeEmpty();
        session.CoolDown.ShouldBeEmpty();
        session.Lines[0].WouldOpen!.ShouldStartWith("Nothing safe for this line here.");
    }
}
