using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>Every school and every trait changes the choice, the dose, the order or a cue of some member's line, and is named there.</summary>
public class HouseRuleTests
{
    private static Member Of(string name) => Member.Named(name);

    private static HouseRules Taught(params Teaching[] teachings) => HouseRules.Default with { Teachings = [.. teachings] };

    private static Alternative Way(RebuiltLine line, string exercise) => line.Alternatives.Single(a => a.Prescription.Exercise == exercise);

    /// <summary>A side that adds a cue: member, written line, exercise, side, a word of the cue.</summary>
    [Theory]
    [InlineData("maren-ostholt", "front-squat", "goblet-squat", Teaching.KeepTension, "keep the tension")]
    [InlineData("tomas-brevik", "barbell-bench-press", "push-up", Teaching.BladesBack, "held back")]
    [InlineData("maren-ostholt", "front-squat", "goblet-squat", Teaching.KneesBehindToes, "behind the toes")]
    [InlineData("aldo-ferrin", "walking-lunge", "reverse-lunge", Teaching.LungesAlternating, "Alternate")]
    [InlineData("joost-aalders", "rear-delt-machine", "band-pull-apart", Teaching.RearSmallSwing, "swing")]
    [InlineData("nadia-oskarsen", "barbell-hip-thrust", "mini-band-hip-thrust", Teaching.BridgesArched, "arch")]
    [InlineData("joost-aalders", "face-pull", "band-face-pull", Teaching.FacePullThumbsDown, "thumbs down")]
    [InlineData("maren-ostholt", "front-squat", "goblet-squat", Teaching.DepthParallel, "parallel")]
    [InlineData("tomas-brevik", "plank", "plank", Teaching.HoldsToComfort, "comfortable")]
    public void A_side_that_adds_a_cue_is_named(string member, string written, string exercise, Teaching side, string word)
    {
        var before = Way(Of(member).Line(written, 3, 10), exercise);
        var after = Way(Of(member).Line(written, 3, 10, Taught(side)), exercise);
        before.Prescription.Cues.ShouldNotContain(c => c.Contains(word, StringComparison.Ordinal));
        after.Prescription.Cues.ShouldContain(c => c.Contains(word, StringComparison.Ordinal));
        after.Leanings.Select(l => l.Name).ShouldContain(School.Named(side));
    }

    /// <summary>What says the opposite goes when a side comes in: a client is never told both (common practice).</summary>
    [Theory]
    [InlineData("maren-ostholt", "front-squat", "goblet-squat", Teaching.KeepTension, "tall")]
    [InlineData("tomas-brevik", "barbell-bench-press", "deep-push-up", Teaching.BladesBack, "glide")]
    [InlineData("tomas-brevik", "barbell-bench-press", "kneeling-push-up", Teaching.BladesBack, "floor away")]
    [InlineData("aldo-ferrin", "walking-lunge", "split-squat", Teaching.KneesBehindToes, "over the toes")]
    [InlineData("joost-aalders", "face-pull", "band-face-pull", Teaching.FacePullThumbsDown, "thumbs back")]
    [InlineData("maren-ostholt", "front-squat", "body-weight-squat", Teaching.DepthParallel, "As deep")]
    public void A_side_stands_in_place_of_the_cue_it_contradicts(string member, string written, string exercise, Teaching side, string opposite)
    {
        var before = Way(Of(member).Line(written, 3, 10), exercise).Prescription;
        var after = Way(Of(member).Line(written, 3, 10, Taught(side)), exercise).Prescription;
        before.Cues.Concat(before.SetUp).ShouldContain(c => c.Contains(opposite, StringComparison.OrdinalIgnoreCase));
        after.Cues.Concat(after.SetUp).ShouldNotContain(c => c.Contains(opposite, StringComparison.OrdinalIgnoreCase));
        after.Cues.ShouldNotBeEmpty();
        after.SetUp.ShouldNotBeEmpty();
    }

    /// <summary>The client's own trait comes before the practice's rule.</summary>
    [Fact]
    public void Who_arches_is_not_told_that_a_small_arch_is_fine()
    {
        var member = Of("nadia-oskarsen");
        var arching = new Member(member.Client with { Traits = [Ingegno.Core.Clients.Trait.BackArches] }, member.Home);
        var cues = Way(arching.Line("barbell-hip-thrust", 3, 10, Taught(Teaching.BridgesArched)), "mini-band-hip-thrust").Prescription.Cues;
        cues.ShouldNotContain(c => c.Contains("arch is fine", StringComparison.Ordinal));
        cues.ShouldContain(c => c.Contains("small of the back", StringComparison.Ordinal));
    }

    /// <summary>A side that takes an exercise out: the refusal names it.</summary>
    [Theory]
    [InlineData("maren-ostholt", "leg-extension", "heel-raised-squat", Teaching.KneesBehindToes)]
    [InlineData("tomas-brevik", "cable-crunch", "crunch", Teaching.SpineLengthens)]
    [InlineData("tomas-brevik", "cable-rotation", "seated-turn", Teaching.RotationOff)]
    [InlineData("runa-castellane", "back-squat", "rear-knee-touch-squat", Teaching.UnsteadyAvoided)]
    public void A_side_that_refuses_is_the_reason(string member, string written, string exercise, Teaching side)
    {
        Of(member).Line(written, 3, 10).Alternatives.ShouldContain(a => a.Prescription.Exercise == exercise);
        Of(member).Line(written, 3, 10, Taught(side)).Refused.Single(r => r.Exercise == exercise)
            .Reasons.ShouldContain(r => r.Cause == RefusalCause.HouseRule && r.Reason == School.Named(side));
    }

    /// <summary>A side that lets an exercise in.</summary>
    [Theory]
    [InlineData("runa-castellane", "cable-rotation", "loaded-seated-turn", Teaching.RotationLoaded)]
    [InlineData("runa-castellane", "parallel-bar-dip", "bench-dip", Teaching.BenchDipsWithScreen)]
    [InlineData("joost-aalders", "lateral-raise", "thumbs-down-raise", Teaching.ThumbsDownAllowed)]
    public void A_side_that_allows_lets_it_in(string member, string written, string exercise, Teaching side)
    {
        var who = Of(member).Who(c => c with { SoreJoints = [.. c.SoreJoints.Select(s => s with { Pain = 1 })] });
        who = exercise == "thumbs-down-raise"
            ? who.WithKit(People.Handles(2, 1, (0.5, 8)))
            : who;
        HouseRuleRefusals(who.Line(written, 3, 8), exercise).ShouldNotBeEmpty();
        HouseRuleRefusals(who.Line(written, 3, 8, Taught(side)), exercise).ShouldBeEmpty();
    }

    private static IEnumerable<Refusal> HouseRuleRefusals(RebuiltLine line, string exercise) =>
        line.Refused.Where(r => r.Exercise == exercise).SelectMany(r => r.Reasons).Where(r => r.Cause == RefusalCause.HouseRule);

    [Theory]
    [InlineData(Teaching.PushUpsByHigherHands, "kneeling-push-up")]
    [InlineData(Teaching.PushUpsByKneeling, "incline-push-up")]
    public void Push_ups_are_made_easier_the_way_that_is_taught(Teaching side, string other)
    {
        var line = Of("runa-castellane").Line("barbell-bench-press", 3, 8, Taught(side));
        var leaning = Way(line, other).Leanings.Single(l => l.Name == School.Named(side));
        leaning.Worth.ShouldBeLessThan(1);
    }

    [Fact]
    public void Short_rests_make_up_for_load_where_that_is_taught()
    {
        var plain = Way(Of("nadia-oskarsen").WithKit(People.Handles(2, 1, (1.25, 8))).Line("back-squat", 3, 8, intensity: new(Load: Mass.FromKilograms(60))), "two-dumbbell-squat");
        var cut = Way(Of("nadia-oskarsen").WithKit(People.Handles(2, 1, (1.25, 8))).Line("back-squat", 3, 8, Taught(Teaching.RestShort), new(Load: Mass.FromKilograms(60))), "two-dumbbell-squat");
        cut.Prescription.Rest.ShouldBeLessThan(plain.Prescription.Rest);
        cut.Leanings.ShouldContain(l => l.Name == School.Named(Teaching.RestShort) && l.Dose!.Contains("cut to", StringComparison.Ordinal));
    }

    [Fact]
    public void To_failure_leaves_nothing_but_not_for_a_beginner_nor_where_failing_is_risky()
    {
        var joost = Of("joost-aalders").Line("seated-cable-row", 3, 10, Taught(Teaching.ToFailure), new Intensity());
        joost.Intent!.Reserve.ShouldBeLessThan(0.5);
        Way(joost, "table-row").Leanings.ShouldContain(l => l.Name == School.Named(Teaching.ToFailure));
        Of("gerda-halvorsen").Line("seated-cable-row", 3, 10, Taught(Teaching.ToFailure), new Intensity()).Intent!.Reserve.ShouldBeGreaterThanOrEqualTo(1.5);
        Way(Of("joost-aalders").Line("lat-pulldown", 3, 8, Taught(Teaching.ToFailure), new Intensity()), "pull-up").Forecast[^1].Reserve
            .ShouldBeGreaterThanOrEqualTo(1 - 1e-9);
    }

    [Fact]
    public void Lifting_fast_writes_the_tempo()
    {
        var fast = Way(Of("maren-ostholt").Line("front-squat", 3, 8, Taught(Teaching.LiftFast)), "goblet-squat");
        fast.Prescription.Tempo!.Value.FastLifting.ShouldBeTrue();
        fast.Leanings.Select(l => l.Name).ShouldContain(School.Named(Teaching.LiftFast));
    }

    [Fact]
    public void Pauses_at_the_long_point_are_not_held_at_the_top()
    {
        var light = Of("joost-aalders").WithKit(People.Handles(2, 3.5, (0.25, 2)));
        var hardest = Way(light.Line("rear-delt-machine", 3, 9, intensity: new(Reserve: 2)), "rear-shoulder-fly");
        var longPoint = Way(light.Line("rear-delt-machine", 3, 9, Taught(Teaching.PauseAtLong), new(Reserve: 2)), "rear-shoulder-fly");
        longPoint.Prescription.Tempo!.Value.AfterLifting.ShouldBe(0);
        hardest.Prescription.Tempo!.Value.AfterLifting.ShouldBeGreaterThan(0);
        longPoint.Leanings.Select(l => l.Name).ShouldContain(School.Named(Teaching.PauseAtLong));
    }

    [Fact]
    public void The_weakest_range_opens_and_the_middle_one_closes_a_muscle_where_that_is_taught()
    {
        WrittenLine[] lines = [Member.Written("cable-fly", 3, 12), Member.Written("seated-cable-row", 3, 10), Member.Written("dumbbell-fly", 3, 12)];
        var nadia = Of("nadia-oskarsen").WithKit(People.Handles(2, 1, (1.25, 8)), People.Loop());
        nadia.Session(lines).Lines.Select(l => l.TrainedAt).ShouldBeInOrder();
        var ordered = nadia.Session(lines, Taught(Teaching.WeakestRangeFirst)).Lines;
        ordered.Select(l => l.TrainedAt).Order().ShouldBe(Enumerable.Range(1, lines.Length));
        var chest = ordered.Where(l => People.Exercise(l.Prescriptions().First().Exercise).Pattern == Pattern.Fly)
            .OrderBy(l => l.TrainedAt).Select(l => People.Exercise(l.Prescriptions().First().Exercise).Range).ToArray();
        chest.Distinct().Count().ShouldBeGreaterThan(1);
        chest.ShouldBe(chest.OrderBy(r => r == HardestRange.Long ? 0 : r == HardestRange.Short ? 1 : 2));
    }

    [Fact]
    public void No_more_techniques_at_once_than_the_rule_allows()
    {
        var light = Of("aldo-ferrin").WithKit(People.Handles(2, 1, (0.5, 4)));
        string[] written = ["lateral-raise", "barbell-curl", "back-squat", "barbell-row"];
        foreach (var line in written.Select(id => light.Line(id, 3, 8)))
        {
            foreach (var way in line.Alternatives.Where(a => a.Prescription.Tempo is not null))
            {
                var t = way.Prescription.Tempo!.Value;
                int techniques = (t.Lowering > 2 ? 1 : 0) + (t.AfterLowering > 0 ? 1 : 0) + (t.Lifting > 1 ? 1 : 0) + (t.AfterLifting > 0 ? 1 : 0);
                techniques.ShouldBeLessThanOrEqualTo(HouseRules.Default.MostTechniques(People.Exercise(way.Prescription.Exercise)), way.Prescription.Name);
            }
        }
    }

    [Fact]
    public void A_warm_up_is_given_unless_only_as_needed()
    {
        WrittenLine[] lines = [Member.Written("back-squat", 3, 8)];
        Of("maren-ostholt").Session(lines).WarmUp.ShouldNotBeEmpty();
        Of("maren-ostholt").Session(lines, Taught(Teaching.WarmUpAsNeeded)).WarmUp.ShouldBeEmpty();
    }

    [Fact]
    public void What_is_agreed_with_the_client_goes_before_the_practice()
    {
        var nadia = Of("nadia-oskarsen").Who(c => c with { Teachings = [Teaching.WarmUpAlways] });
        nadia.Session([Member.Written("back-squat", 3, 8)], Taught(Teaching.WarmUpAsNeeded)).WarmUp.ShouldNotBeEmpty();
        Of("nadia-oskarsen").Session([Member.Written("back-squat", 3, 8)], Taught(Teaching.WarmUpAsNeeded)).WarmUp.ShouldBeEmpty();
    }

    [Fact]
    public void Every_teaching_stands_in_one_school_and_two_sides_of_one_contradict()
    {
        School.All.SelectMany(s => s.Sides).Select(s => s.Teaching).ShouldBe(Enum.GetValues<Teaching>(), ignoreOrder: true);
        School.All.ShouldAllBe(s => s.Sides.Length >= 2 && s.Why.Length > 10);
        School.Contradiction([Teaching.LiftFast, Teaching.LiftEvenly]).ShouldNotBeNull();
        School.Contradiction([Teaching.LiftFast, Teaching.Density]).ShouldBeNull();
    }

    [Theory]
    [InlineData(Trait.ShrugsEasily, "nadia-oskarsen", "overhead-press", "standing-dumbbell-press")]
    [InlineData(Trait.WeakGrip, "joost-aalders", "lat-pulldown", "pull-up")]
    [InlineData(Trait.KneesFallIn, "maren-ostholt", "front-squat", "rear-foot-raised-split-squat")]
    [InlineData(Trait.BackArches, "nadia-oskarsen", "overhead-press", "standing-dumbbell-press")]
    [InlineData(Trait.OneSideStronger, "maren-ostholt", "front-squat", "goblet-squat")]
    [InlineData(Trait.UncomfortableUpsideDown, "maren-ostholt", "overhead-press", "pike-push-up")]
    [InlineData(Trait.KneeSoreOnLunges, "aldo-ferrin", "walking-lunge", "forward-lunge")]
    public void Every_trait_ranks_lower_what_it_speaks_against_and_is_named(Trait trait, string member, string written, string exercise)
    {
        var without = Of(member).Who(c => c with { Traits = [] }).Line(written, 3, 8);
        var with = Of(member).Who(c => c with { Traits = [trait] }).Line(written, 3, 8);
        Way(without, exercise).Leanings.ShouldNotContain(l => l.Worth < 1);
        Way(with, exercise).Leanings.ShouldContain(l => l.Worth < 1);
        Place(with, exercise).ShouldBeGreaterThanOrEqualTo(Place(without, exercise));

        static int Place(RebuiltLine line, string exercise) =>
            line.Alternatives.Select(a => a.Prescription.Exercise).ToImmutableArray().IndexOf(exercise);
    }

    [Fact]
    public void Upside_down_changes_what_is_chosen()
    {
        var tomas = Of("tomas-brevik").Who(c => c with { Traits = [] });
        tomas.Line("overhead-press", 3, 9).Chosen!.Prescription.Exercise.ShouldContain("pike");
        tomas.Who(c => c with { Traits = [Trait.UncomfortableUpsideDown] }).Line("overhead-press", 3, 9).Chosen!.Prescription.Exercise.ShouldNotContain("pike");
    }

    [Fact]
    public void A_line_for_skill_or_joint_care_stays_under_half_and_its_load_never_goes_up()
    {
        var line = Of("runa-castellane").Line(Member.Written("barbell-row", 3, 8) with { Purpose = Purpose.Skill });
        line.Role.ShouldBe(Role.Accessory);
        line.Chosen!.Equivalent!.Value.Value.ShouldBeLessThanOrEqualTo(Purposes.CappedDemand + 1e-9);
        line.Alternatives.Where(a => a.Equivalent is not null).ShouldAllBe(a => a.Equivalent!.Value.Value <= Purposes.CappedDemand + 1e-9);
        line.Chosen.Prescription.Cues.ShouldContain("Form ends the set, not fatigue");
        line.Chosen.Prescription.Counts.ShouldAllBe(c => c == 8);
        line.Chosen.LossMatters.ShouldBeFalse();
        line.Chosen.Bridge!.Open.ShouldBe(0);
        var step = Next(line.Chosen.Prescription, HouseRules.Default, over: 5);
        step.Kind.ShouldBe(StepKind.Hold);
        step.Sentence.ShouldContain("skill");
    }

    [Fact]
    public void Density_takes_rest_away_and_milestones_lead_up_the_ladder()
    {
        var press = Of("runa-castellane").Line("barbell-bench-press", 3, 8).Alternatives.Single(a => a.Prescription.Exercise == "push-up").Prescription;
        var denser = Next(press, Taught(Teaching.Density), over: 0);
        denser.Kind.ShouldBe(StepKind.Rest);
        denser.Next!.Rest.ShouldBeLessThan(press.Rest);
        var up = Next(press, Taught(Teaching.Milestones), over: press.TopOfRange + 20);
        up.Kind.ShouldBe(StepKind.Variation);
        up.Sentence.ShouldContain("feet-raised");
        up.Arithmetic.ShouldContain(a => a.Contains("milestones", StringComparison.Ordinal));
    }

    private static Step Next(Prescription line, HouseRules rules, int over)
    {
        var runa = Of("runa-castellane").Client;
        var exercise = People.Exercise(line.Exercise);
        SetLog[] logs =
        [
            .. from day in Enumerable.Range(1, 2)
               from set in Enumerable.Range(0, line.Counts.Length)
               select new SetLog(Guid.NewGuid(), 1, line.Exercise, People.Today.AddDays(-day), set + 1, line.Load, line.Counts[set] + over),
        ];
        return NextStep.For(new LineCase(
            line, exercise, null, runa, StrengthAnchors.Of(runa, Catalogue.Shipped).For(exercise), rules, logs)
        {
            Harder = People.Exercise("feet-raised-push-up"),
        })!;
    }
}
