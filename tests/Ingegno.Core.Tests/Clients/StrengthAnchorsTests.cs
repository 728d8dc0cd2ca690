using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Clients;

public class StrengthAnchorsTests
{
    private static readonly Catalogue Shipped = Catalogue.Shipped;

    /// <summary>Bench 100 tested: dumbbells 0.83 of it (Saeterbakken et al. 2011, from memory), spread sqrt(0.025^2 + 0.08^2).</summary>
    [Fact]
    public void A_transfer_multiplies_the_ratio_and_adds_the_variances()
    {
        var client = People.Man with { Lifts = [new KnownLift("barbell-bench-press", Mass.FromKilograms(100), 1)] };
        var dumbbells = StrengthAnchors.Of(client, Shipped).For(People.Exercise("dumbbell-bench-press"))!;
        dumbbells.Maximum.Kilograms.ShouldBe(83, 1e-3);
        dumbbells.Spread.ShouldBe(0.0838, 1e-4);
        dumbbells.Basis.ShouldBe(AnchorBasis.Transferred);
        dumbbells.Story.ShouldContain("Barbell bench press");
    }

    /// <summary>
    /// Canadian push-up norms for twenty to twenty-nine (from memory): up to 16 on the toes for men, up to 9 on the knees for women "need
    /// improvement", 17 to 21 and 10 to 14 are "fair". Who is new to training lies in or just under the first, and does more than a few.
    /// </summary>
    [Theory]
    [InlineData(Sex.Male, 80, "push-up", 5, 16)]
    [InlineData(Sex.Female, 60, "kneeling-push-up", 5, 14)]
    public void Guessed_push_ups_of_who_is_new_lie_in_the_norms(Sex sex, double mass, string exercise, double least, double most)
    {
        var client = People.Man with { Level = Level.Beginner, Sex = sex, BodyMass = Mass.FromKilograms(mass), Stature = Length.FromMetres(1.70), Lifts = [] };
        var pushUp = People.Exercise(exercise);
        var effort = new ExerciseEffort(pushUp, client, StrengthAnchors.Of(client, Shipped).For(pushUp)!, new Geometry());
        effort.FreshRepetitions(effort.DemandOf(Mass.Zero)).ShouldBeInRange(least, most);
    }

    [Fact]
    public void An_own_lift_beats_any_transfer()
    {
        var client = People.Man.With("dumbbell-bench-press", 50, 8);
        StrengthAnchors.Of(client, Shipped).For(People.Exercise("dumbbell-bench-press"))!.Basis.ShouldBe(AnchorBasis.Lifted);
    }

    /// <summary>Spreads: own set of eight 0.05, over ten 0.12, a guess 0.30 (common practice).</summary>
    [Fact]
    public void Without_any_lift_it_falls_back_on_level_and_body_mass_and_says_so()
    {
        var stranger = People.Man with { Lifts = [] };
        var anchors = StrengthAnchors.Of(stranger, Shipped);
        anchors.AllGuessed.ShouldBeTrue();
        var bench = anchors.For(People.Exercise("barbell-bench-press"))!;
        bench.Spread.ShouldBe(0.30, 1e-9);
        bench.Story.ShouldContain("no lift known");
        (bench.High.Kilograms / bench.Low.Kilograms).ShouldBeGreaterThan(2);
        StrengthAnchors.Of(People.Man, Shipped).AllGuessed.ShouldBeFalse();
    }

    [Fact]
    public void A_beginner_is_guessed_weaker_than_an_advanced_lifter()
    {
        Mass Squat(Level level) => StrengthAnchors.Of(People.Man with { Lifts = [], Level = level }, Shipped).For(People.Exercise("back-squat"))!.Maximum;
        Squat(Level.Beginner).ShouldBeLessThan(Squat(Level.Intermediate));
        Squat(Level.Intermediate).ShouldBeLessThan(Squat(Level.Advanced));
    }

    /// <summary>Push-up equal to bench press at equal resistance: Calatayud et al. 2015, J Strength Cond Res 29:246-253 (from memory).</summary>
    [Fact]
    public void A_push_up_maximum_counts_the_body_and_equals_the_bench()
    {
        var anchors = StrengthAnchors.Of(People.Man, Shipped);
        var pushUp = anchors.For(People.Exercise("push-up"))!;
        pushUp.IsTotal.ShouldBeTrue();
        pushUp.Maximum.Kilograms.ShouldBe(anchors.For(People.Exercise("barbell-bench-press"))!.Maximum.Kilograms, 1e-9);
    }

    [Theory]
    [InlineData("bodyMass", 3.0, 1.8, 8, 0)]
    [InlineData("stature", 80, 18, 8, 0)]
    [InlineData("lifts[0].repetitions", 80, 1.8, -1, 0)]
    [InlineData("lifts[0].reserve", 80, 1.8, 8, -2)]
    [InlineData("bodyMass", double.NaN, 1.8, 8, 0)]
    public void Figures_that_cannot_be_right_are_named_with_their_place(string path, double mass, double stature, int reps, double reserve)
    {
        var client = People.Man with
        {
            BodyMass = Mass.FromKilograms(mass),
            Stature = Length.FromMetres(stature),
            Lifts = [new KnownLift("back-squat", Mass.FromKilograms(100), reps, reserve)],
        };
        ClientProblems.Of(client, Shipped).Select(p => p.Path).ShouldBe([path]);
    }

    [Fact]
    public void A_lift_not_in_the_catalogue_or_without_a_load_is_named()
    {
        var client = People.Man with
        {
            Lifts = [new KnownLift("flying-dragon", Mass.FromKilograms(1), 1), new KnownLift("back-squat", Mass.Zero, 5), new KnownLift("plank", Mass.Zero, 60)],
        };
        ClientProblems.Of(client, Shipped).Select(p => p.Path).ShouldBe(["lifts[0].exercise", "lifts[1].load", "lifts[2].exercise"]);
    }

    /// <summary>
    /// A single is surest when it is new (0.025); at 0.01 a week it is not after ten years (5.2), and last week's set of eight (0.05) speaks
    /// (spreads and drift: common practice).
    /// </summary>
    [Fact]
    public void A_single_of_ten_years_ago_no_longer_beats_last_weeks_set()
    {
        var client = People.Man with
        {
            Lifts =
            [
                new KnownLift("barbell-bench-press", Mass.FromKilograms(140), 1, 0, People.Today.AddYears(-10)),
                new KnownLift("barbell-bench-press", Mass.FromKilograms(80), 8, 0, People.Today.AddDays(-7)),
            ],
        };
        var bench = People.Exercise("barbell-bench-press");
        var aged = StrengthAnchors.Of(client, Catalogue.Shipped, today: People.Today).For(bench)!;
        aged.Maximum.Kilograms.ShouldBeInRange(95, 108);
        StrengthAnchors.Of(client, Catalogue.Shipped).For(bench)!.Maximum.Kilograms.ShouldBe(140, 0.5);
        aged.Spread.ShouldBe(double.Hypot(0.05, 0.01), 1e-9);
    }
}
