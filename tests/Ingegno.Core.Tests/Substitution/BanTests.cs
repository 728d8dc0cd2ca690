using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>Ban and preferred lists, of the practice and of the client.</summary>
public class BanTests
{
    private static readonly HouseRules Rules = HouseRules.Default;

    private static Refusal[] Against(string exercise, HouseRules? rules = null, Ban? clientBan = null) =>
        [.. Gate.Against(
            People.Exercise(exercise),
            clientBan is null ? People.Man : People.Man with { Bans = [clientBan] },
            new PreparedHome(new Home(), People.Today),
            rules ?? Rules)];

    [Fact]
    public void A_banned_exercise_is_refused_with_the_coachs_reason()
    {
        Against("push-up", Rules with { Bans = [new Ban("push-up", null, "wrists in this hall")] })
            .ShouldHaveSingleItem().Reason.ShouldContain("wrists in this hall");
        Against("push-up", clientBan: new Ban("push-up", null, "hates them")).Single().Cause.ShouldBe(RefusalCause.Ban);
    }

    [Theory]
    [InlineData(ExerciseAttribute.PressingOverhead, "standing-dumbbell-press", "push-up")]
    [InlineData(ExerciseAttribute.UpsideDown, "pike-push-up", "standing-dumbbell-press")]
    [InlineData(ExerciseAttribute.Hanging, "pull-up", "table-row")]
    [InlineData(ExerciseAttribute.Bands, "band-curl", "dumbbell-curl")]
    [InlineData(ExerciseAttribute.Kneeling, "kneeling-push-up", "push-up")]
    [InlineData(ExerciseAttribute.BehindTheBodyDips, "bench-dip", "push-up")]
    [InlineData(ExerciseAttribute.SpinalFlexion, "sit-up", "plank")]
    [InlineData(ExerciseAttribute.OneLegBalance, "one-leg-squat-to-chair", "split-squat")]
    public void An_attribute_bans_what_has_it_and_nothing_else(ExerciseAttribute attribute, string banned, string free)
    {
        var ban = new Ban(null, attribute, "house");
        ban.Covers(People.Exercise(banned)).ShouldBeTrue();
        ban.Covers(People.Exercise(free)).ShouldBeFalse();
    }

    [Fact]
    public void What_is_off_by_default_can_be_allowed()
    {
        Against("bench-dip").ShouldContain(r => r.Cause == RefusalCause.HouseRule);
        Against("bench-dip", Rules with { Allowed = ["bench-dip"] }).ShouldNotContain(r => r.Cause == RefusalCause.HouseRule);
    }

    [Fact]
    public void The_practice_as_it_ships_can_be_saved_and_slips_are_named()
    {
        PracticeProblems.Of(new Practice()).ShouldBeEmpty();
        var wrong = new Practice
        {
            Rules = Rules with
            {
                PassDays = 0,
                Weights = new FitWeights { Main = [0, 0, 0, 0, 0, 0, 0] },
                Bans = [new Ban(null, null, "x"), new Ban("no-such", null, "")],
                Preferred = ["no-such"],
            },
            Prices = [new Price("", -1)],
            Marks = new() { MostInWeek = 5, LandingsBeginner = 200 },
            WeekPrices = new() { SetOutsideBand = 45, PatternLost = -1 },
        };
        PracticeProblems.Of(wrong).Select(p => p.Path).ShouldBe(
            [
                "rules.passDays", "rules.weights.main", "prices[0].name", "prices[0].cost", "rules.bans[0]",
                "rules.bans[1].exercise", "rules.bans[1].reason", "rules.preferred[0]",
                "marks.mostInWeek", "marks.landingsIntermediate", "weekPrices.setOutsideBand", "weekPrices.patternLost",
            ],
            ignoreOrder: true);
    }
}
