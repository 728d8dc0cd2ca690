using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>A main lift under the closeness its client needs is marked buy, borrow or accept, with what is not kept.</summary>
public class LineClosenessTests
{
    private static readonly Intensity Heavy = new(Percent: Share.Of(0.85));

    [Fact]
    public void Twelve_weeks_from_a_meet_a_light_squat_is_not_close_enough()
    {
        var squat = Member.Named("runa-castellane").Line("back-squat", 5, 3, intensity: Heavy).Closeness!;
        squat.Required.Fraction.ShouldBeGreaterThan(0.7);
        squat.Reached.ShouldBeLessThan(squat.Required);
        squat.Verdict.ShouldBeOneOf(ClosenessVerdict.Buy, ClosenessVerdict.Borrow);
        squat.With.ShouldNotBeNull();
        squat.ReachedWith!.Value.ShouldBeGreaterThan(squat.Reached);
        squat.Sentence.ShouldContain("not kept");
    }

    [Fact]
    public void A_client_who_only_wants_muscle_needs_none() =>
        Member.Named("nadia-oskarsen").Line("back-squat", 3, 8).Closeness!.Verdict.ShouldBe(ClosenessVerdict.Kept);

    [Fact]
    public void With_little_home_time_left_a_thing_is_borrowed()
    {
        var soon = Member.Named("runa-castellane").Who(c => c with { HomeUntil = People.Today.AddDays(14) });
        soon.Line("back-squat", 5, 3, intensity: Heavy).Closeness!.Verdict.ShouldBe(ClosenessVerdict.Borrow);
    }

    [Fact]
    public void Only_main_lifts_are_held_against_it()
    {
        var lines = Member.Named("runa-castellane").Session([Member.Written("back-squat", 5, 3, Heavy), Member.Written("barbell-row", 4, 8)]).Lines;
        lines[0].Closeness.ShouldNotBeNull();
        lines[1].Closeness.ShouldBeNull();
    }

    /// <summary>Nearer to the day never asks less, and a better level never asks less (both by what the words mean).</summary>
    [Fact]
    public void What_is_needed_rises_with_nearness_and_level() =>
        Gen.Select(Gen.Int[0, 300], Gen.Int[0, 300], Gen.Enum<Goal>()).Sample((a, b, goal) =>
        {
            var client = People.Man with { Goal = goal };
            Share At(int days, Level level) =>
                RequiredCloseness.Of(client with { Level = level, CompetitionOn = People.Today.AddDays(days) }, People.Today);
            (At(Math.Min(a, b), Level.Advanced) >= At(Math.Max(a, b), Level.Advanced)).ShouldBeTrue();
            (At(a, Level.Advanced) >= At(a, Level.Intermediate)).ShouldBeTrue();
            (At(a, Level.Intermediate) >= At(a, Level.Beginner)).ShouldBeTrue();
        });

    [Fact]
    public void A_thing_bought_is_in_the_home_that_is_judged()
    {
        foreach (var purchase in Purchases.All)
        {
            var home = Purchases.With(new Home(), purchase, People.Today);
            (home.Kit.Length + home.Fixtures.Length).ShouldBe(1, purchase.Item);
            HomeProblems.Of(home).ShouldBeEmpty(purchase.Item);
        }
    }
}
