using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>
/// Choices that are common practice among coaches, on the members of the demo: who and where, the line, what must win or
/// place, what must be refused and by which part.
/// </summary>
public class CommonPracticeTests
{
    /// <param name="Wins">One of these is chosen; empty: not asked.</param>
    /// <param name="Places">Among the first five.</param>
    /// <param name="NotBefore">Never listed before the chosen one.</param>
    /// <param name="Refused">Exercise and the part it is refused by.</param>
    public sealed record Case(
        string Name, Func<RebuiltLine> Line, string[] Wins, string[] Places, string[] NotBefore, (string Exercise, RefusalCause Cause)[] Refused)
    {
        public override string ToString() => Name;
    }

    private static Member Of(string name) => Member.Named(name);

    private static Intensity At(double kg) => new(Load: Mass.FromKilograms(kg));

    private static Intensity Percent(double percent) => new(Percent: Share.Of(percent / 100));

    private static ClientProfile Good(ClientProfile client, string exercise, int repetitions) =>
        client with { Lifts = [new KnownLift(exercise, Mass.Zero, repetitions)] };

    private static Member OnTheFloor(Member member) => member with { Home = member.Home with { Fixtures = [] } };

    private static HouseRules Taught(Teaching teaching) => HouseRules.Default with { Teachings = [teaching] };

    private static Home Unchecked(Home home, FixtureKind kind) =>
        home with { Fixtures = [.. home.Fixtures.Select(f => f.Kind == kind ? f with { Check = null } : f)] };

    private static Home WithDoubleChair(Home home) =>
        home with { Fixtures = [.. home.Fixtures, People.Fixture(FixtureKind.Chair, 0.9, 2, People.Passed)] };

    private static readonly Case[] Cases =
    [
        new("an overhead press without weights to a pike push-up, not to a lateral raise",
            () => Of("maren-ostholt").WithKit().Line("overhead-press", 3, 8), ["pike-push-up"], [], ["lateral-raise"], []),
        new("no standing press under 1.83 m",
            () => Of("maren-ostholt").Line("overhead-press", 3, 8), [], ["pike-push-up"], [],
            [("standing-dumbbell-press", RefusalCause.Room), ("one-arm-standing-press", RefusalCause.Room)]),
        new("a pulldown for ten to a helped pull-up or a row for one good for three chin-ups",
            () => Of("joost-aalders").Who(c => Good(c, "chin-up", 3)).WithKit().Line("lat-pulldown", 3, 10, before: 1),
            ["foot-assisted-pull-up", "table-row", "bent-knee-table-row", "one-leg-table-row"], [], ["chin-up", "pull-up"], []),
        new("the same pulldown to the chin-up for one good for fourteen",
            () => Of("joost-aalders").Who(c => Good(c, "chin-up", 14) with { Traits = [] }).WithKit().Line("lat-pulldown", 3, 10, before: 1),
            ["chin-up", "neutral-grip-pull-up", "pull-up"], [], [], []),
        new("a face pull without a high anchor to a pull-apart, not to a row",
            () => OnTheFloor(Of("maren-ostholt").WithKit(People.Loop())).Line("face-pull", 3, 15), ["band-pull-apart"], [], ["band-seated-row"], [("band-face-pull", RefusalCause.Kit)]),
        new("no hand leans on a jug, nor on what rolls",
            () => Of("runa-castellane").WithKit(new Vessels { Id = "jugs", Name = "Jugs", Count = 2, Volume = Volume.FromLitres(5), OwnMass = Mass.FromKilograms(0.2) }, People.Handles(2, 2, (5, 4))).Line("seated-cable-row", 3, 12, before: 1),
            [], [], [], [("renegade-row", RefusalCause.Kit)]),
        new("a heavy hinge without load stays a hinge, on one leg",
            () => Of("tomas-brevik").Keeping(k => k is Sliders).Line("deadlift", 3, 5, intensity: Percent(80)),
            ["one-leg-hinge-reach"], [], [], [("romanian-deadlift", RefusalCause.Kit)]),
        new("a rear-shoulder fly for twenty to a band pull-apart",
            () => Of("joost-aalders").Line("rear-delt-machine", 3, 20, before: 1), ["band-pull-apart"], [], [], [("rear-shoulder-fly", RefusalCause.Kit)]),
        new("a step-up without load to a slow step-down on the stairs",
            () => Of("nadia-oskarsen").Who(c => c with { Traits = [] }).WithKit() is var m
                ? (m with { Home = m.Home with { Fixtures = [People.Fixture(FixtureKind.Stairs, 0.17, check: People.Passed)] } }).Line("step-up", 3, 10, before: 1)
                : null!,
            [], ["slow-step-down"], ["box-jump", "step-up-jump"], []),
        new("a back squat with two light dumbbells stays one with a measure, or goes to one leg",
            () => Of("nadia-oskarsen").Who(c => c with { Traits = [] }).Keeping(k => k is FixedWeights).Line("back-squat", 3, 8, intensity: At(60)),
            ["two-dumbbell-squat", "rear-foot-raised-split-squat", "split-squat"], ["rear-foot-raised-split-squat"], [], []),
        new("a hip abduction machine to a mini band round the legs, not to a step",
            () => Of("joost-aalders").Line("hip-abduction-machine", 3, 15, before: 1), ["mini-band-side-step", "band-side-leg-raise", "mini-band-clamshell"], [], ["slow-step-down"], []),
        new("a squat with a bar and no rack to the bar in the elbows",
            () => Of("runa-castellane").Line("back-squat", 4, 8, intensity: At(100)), ["zercher-squat"], [], ["bag-squat"], [("back-squat", RefusalCause.Kit)]),
        new("a bar goes over the chest on the floor as well as on a bench",
            () => Of("runa-castellane").Line("lying-triceps-extension-bar", 3, 10), ["lying-triceps-extension-bar"], [], [], []),
        new("a press with a drive from the legs stays one where the next bar down leaves the count",
            () => Of("runa-castellane").Who(c => c with { Lifts = [new KnownLift("overhead-press", Mass.FromKilograms(42.5), 5, 1)] })
                .WithKit(new PlateLoadedBar { Id = "bar", Name = "Bar", BarMass = Mass.FromKilograms(20), Plates = [new Plates(Mass.FromKilograms(10), 2), new Plates(Mass.FromKilograms(15), 2)] }).Line("push-press", 4, 4),
            ["push-press"], [], [], []),
        new("a fly between two dumbbells is slowed before it becomes a press",
            () => Of("nadia-oskarsen").Who(c => c with { Traits = [], Lifts = [new KnownLift("barbell-bench-press", Mass.FromKilograms(42.5), 8, 1)], BodyMass = Mass.FromKilograms(64) })
                .WithKit(People.Handles(2, 2.5, (5, 4), (2.5, 4), (1.25, 4))).Line("cable-fly", 3, 12, before: 1),
            ["floor-fly"], [], [], []),
        new("a barbell row under a table that passed",
            () => Of("tomas-brevik").WithKit().Line("barbell-row", 3, 8, before: 1),
            ["table-row", "bent-knee-table-row", "one-leg-table-row"], [], [], []),
        new("no row under a table that was not checked",
            () => Of("tomas-brevik").WithKit() is var m ? (m with { Home = Unchecked(m.Home, FixtureKind.Table) }).Line("barbell-row", 3, 8) : null!,
            [], [], [], [("table-row", RefusalCause.Safety), ("bent-knee-table-row", RefusalCause.Safety)]),
        new("no bench dip behind the body by default",
            () => Of("runa-castellane").Line("parallel-bar-dip", 3, 8), [], [], [], [("bench-dip", RefusalCause.HouseRule)]),
        new("no bench dip with a shoulder history, whatever the school",
            () => Of("gerda-halvorsen").Line("parallel-bar-dip", 3, 8, Taught(Teaching.BenchDipsWithScreen)),
            [], [], [], [("bench-dip", RefusalCause.Screen)]),
        new("no bench dip with a sore shoulder, though the screen was passed",
            () => Of("joost-aalders").Who(c => c with { SoreJoints = [new(Joint.Shoulder, 4)] }).Line("parallel-bar-dip", 3, 8, Taught(Teaching.BenchDipsWithScreen)),
            [], [], [], [("bench-dip", RefusalCause.Joint)]),
        new("no jumps over neighbours",
            () => Of("tomas-brevik").Line("box-jump", 4, 5, intensity: new Intensity()), ["fast-squat"], [], [],
            [("squat-jump", RefusalCause.Room), ("split-jump", RefusalCause.Room)]),
        new("jumps where nobody hears them",
            () => Of("aldo-ferrin").Line("box-jump", 4, 5, intensity: new Intensity()), ["squat-jump", "split-jump", "step-up-jump"], [], [], []),
        new("nothing sliding on concrete",
            () => Of("aldo-ferrin").Line("leg-curl", 3, 10, before: 1), [], [], [],
            [("sliding-leg-curl", RefusalCause.Room), ("one-leg-sliding-curl", RefusalCause.Room)]),
        new("a leg curl on laminate with gliders to the sliding curl",
            () => Of("tomas-brevik").Line("leg-curl", 3, 12, before: 1), ["sliding-leg-curl"], [], [], []),
        new("a light hip thrust on the sofa with dumbbell and mini band",
            () => Of("nadia-oskarsen").Who(c => c with { Lifts = [new("barbell-hip-thrust", Mass.FromKilograms(16), 12)] }).Line("barbell-hip-thrust", 2, 12, before: 1),
            ["mini-band-hip-thrust", "hip-thrust-on-seat", "one-leg-hip-thrust"], ["mini-band-hip-thrust"], [], []),
        new("nothing that needs a matched pair where one bell is owned",
            () => Of("joost-aalders").Line("overhead-press", 4, 6, intensity: At(50)), [], [], [],
            [("seated-dumbbell-press", RefusalCause.Kit), ("standing-dumbbell-press", RefusalCause.Kit)]),
        new("no floor push-up with failed wrists",
            () => Of("nadia-oskarsen").Line("barbell-bench-press", 3, 8, intensity: At(37.5)),
            ["incline-push-up", "band-standing-press", "band-floor-press", "band-seated-chest-press", "squeeze-floor-press", "dumbbell-floor-press"], [], [], [("push-up", RefusalCause.Screen)]),
        new("no long hard holds with high blood pressure",
            () => Of("gerda-halvorsen").Line(Member.Written("plank", 2, 20, new Intensity(), CountKind.Seconds)),
            ["dead-bug", "bird-dog", "bear-hold"], [], [], [("plank", RefusalCause.Health), ("long-lever-plank", RefusalCause.Health)]),
        new("no head below the hips with high blood pressure",
            () => Of("gerda-halvorsen").Line("overhead-press", 2, 10), [], [], [], [("kneeling-pike-push-up", RefusalCause.Health)]),
        new("never under a glass table",
            () => Of("gerda-halvorsen").WithKit() is var m
                ? (m with { Home = m.Home with { Fixtures = [.. m.Home.Fixtures.Where(f => f.Glass)] } }).Line("seated-cable-row", 2, 12)
                : null!,
            [], [], [], [("bent-knee-table-row", RefusalCause.Safety)]),
        new("a leg press for a sore knee to the chair",
            () => Of("gerda-halvorsen").Line("leg-press", 2, 12, intensity: At(60)), ["chair-squat"], [], ["goblet-squat"],
            [("goblet-squat", RefusalCause.Screen), ("forward-lunge", RefusalCause.Joint)]),
        new("a weighted pull-up stays a pull-up",
            () => Of("joost-aalders").Line("pull-up", 4, 6, intensity: At(20)), ["pull-up"], [], [], []),
        new("a lateral raise goes across",
            () => Of("tomas-brevik").Line("lateral-raise", 3, 15, before: 1), ["lateral-raise"], [], [], []),
        new("no dips between chairs with a failed shoulder screen",
            () => Of("gerda-halvorsen") is var m ? (m with { Home = WithDoubleChair(m.Home) }).Line("parallel-bar-dip", 2, 8) : null!,
            [], [], [], [("two-chair-dip", RefusalCause.Screen), ("foot-assisted-dip", RefusalCause.Screen)]),
        new("no very skilled exercise for a beginner",
            () => Of("gerda-halvorsen").Line("back-squat", 2, 8), [], [], [], [("free-one-leg-squat", RefusalCause.Skill)]),
        new("a hinge with failed hamstring range is not hinged from the floor",
            () => Of("aldo-ferrin").Line("deadlift", 3, 5, intensity: Percent(80)), [], [], [], [("bag-romanian-deadlift", RefusalCause.Screen)]),
    ];

    public static TheoryData<string> Names => [.. Cases.Select(c => c.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public void Is_chosen_as_coaches_choose(string name)
    {
        var about = Cases.Single(c => c.Name == name);
        var line = about.Line();
        string[] order = [.. line.Alternatives.Select(a => a.Prescription.Exercise)];
        string[] done = [.. line.Prescriptions().Select(p => p.Exercise)];
        if (about.Wins.Length > 0)
        {
            done.ShouldNotBeEmpty();
            about.Wins.ShouldContain(done[0], string.Join(", ", order));
        }

        foreach (string places in about.Places)
        {
            order.Take(5).Concat(done).ShouldContain(places, string.Join(", ", order));
        }

        int chosen = done.Length == 0 ? -1 : Array.IndexOf(order, done[0]);
        order.Take(Math.Max(0, chosen)).Intersect(about.NotBefore).ShouldBeEmpty();
        done.Intersect(about.NotBefore).ShouldBeEmpty();
        foreach (var (exercise, cause) in about.Refused)
        {
            line.Refused.SingleOrDefault(r => r.Exercise == exercise).ShouldNotBeNull(exercise)
                .Reasons.Select(r => r.Cause).ShouldContain(cause, exercise);
        }
    }

    /// <summary>One lift may need two exercises: what the first leaves uncovered the second adds.</summary>
    [Fact]
    public void A_heavy_hinge_without_load_is_done_as_a_pair_back_to_back()
    {
        var line = Of("tomas-brevik").Keeping(k => k is Sliders).Line("deadlift", 3, 5, intensity: Percent(80));
        string[] done = [.. line.Prescriptions().Select(p => p.Exercise)];
        done.Length.ShouldBeGreaterThanOrEqualTo(2);
        // The hinge stays one, on one leg; what it leaves of thighs and back another adds.
        done[0].ShouldBe("one-leg-hinge-reach");
        line.Covered!.Value.Fraction.ShouldBeGreaterThan(0.3);
    }

    [Fact]
    public void One_exercise_only_is_a_choice_the_coach_has()
    {
        var member = Of("tomas-brevik").Keeping(k => k is Sliders);
        var written = Member.Written("deadlift", 3, 5, Percent(80));
        var session = new WrittenSession("test", [written]);
        var line = new SessionRebuild(member.Client, member.Home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]))
            .Rebuild(session, [new LineChoice(1, written.Text, Alone: true)]).Lines[0];
        line.Added.ShouldBeEmpty();
    }

    /// <summary>What is added covers more than the chosen exercise does alone, and the chosen one stays.</summary>
    [Fact]
    public void What_is_added_only_adds()
    {
        int pairs = 0;
        string[] gym = ["deadlift", "back-squat", "barbell-row", "overhead-press", "push-press", "barbell-hip-thrust"];
        foreach (var member in Member.All().Select(m => m.WithKit([.. m.Home.Kit.OfType<Sliders>()])))
        {
            foreach (var written in gym.Select(id => Member.Written(id, 3, 6)))
            {
                var session = new WrittenSession("test", [written]);
                var rebuild = new SessionRebuild(member.Client, member.Home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]));
                var whole = rebuild.Rebuild(session, []).Lines[0];
                var alone = rebuild.Rebuild(session, [new LineChoice(1, written.Text, Alone: true)]).Lines[0];
                alone.Chosen?.Prescription.Exercise.ShouldBe(whole.Chosen?.Prescription.Exercise);
                if (whole.Added.Length > 0)
                {
                    pairs++;
                    whole.Added.Length.ShouldBeLessThanOrEqualTo(2);
                    whole.Covered!.Value.ShouldBeGreaterThan(alone.Covered!.Value);
                }
            }
        }

        pairs.ShouldBeGreaterThan(0);
    }

    /// <summary>What a swap gives up is said part by part; the same exercise with its load gives up nothing.</summary>
    [Fact]
    public void What_a_swap_gives_up_is_said_part_by_part()
    {
        var squat = Of("maren-ostholt").Line("front-squat", 4, 6, intensity: At(72.5));
        squat.Alternatives.Single(a => a.Prescription.Exercise == "one-leg-squat-to-chair").Loses
            .ShouldContain(l => l.StartsWith("sides: one limb", StringComparison.Ordinal));
        squat.Alternatives.Single(a => a.Prescription.Exercise == "band-squat").Loses.ShouldContain("range: hardest short, not long");
        squat.Alternatives.Single(a => a.Prescription.Exercise == "goblet-squat").Loses.ShouldContain(l => l.StartsWith("load: ", StringComparison.Ordinal));
        var pull = Of("tomas-brevik").Line("lat-pulldown", 3, 12);
        pull.Alternatives.Single(a => a.Prescription.Exercise == "band-seated-row").Loses.ShouldContain("pattern: horizontal pull for vertical pull");
        Of("joost-aalders").Line("hanging-leg-raise", 3, 10).Chosen!.Loses.ShouldBeEmpty();
        Of("tomas-brevik").Line("barbell-bench-press", 4, 8).Alternatives.Single(a => a.Prescription.Exercise == "push-up").Loses
            .ShouldContain(l => l.StartsWith("grip:", StringComparison.Ordinal));
    }

    /// <summary>Work without a model takes the load nearest the written one; a carry without one a third of the body mass, not the lightest.</summary>
    [Fact]
    public void A_carry_takes_the_load_that_was_written()
    {
        var kit = People.Handles(2, 2, (2.5, 8));
        var carry = Of("aldo-ferrin").WithKit(kit).Line("two-hand-carry", 3, 30, intensity: At(12)).Alternatives
            .Single(a => a.Prescription.Exercise == "two-hand-carry").Prescription;
        carry.Load.Kilograms.ShouldBe(24, 0.01);
        Of("aldo-ferrin").WithKit(kit).Line("two-hand-carry", 3, 30, intensity: new Intensity()).Alternatives
            .Single(a => a.Prescription.Exercise == "two-hand-carry").Prescription.Load.Kilograms.ShouldBe(24, 0.01);
    }

    /// <summary>Of two sacks the one that comes nearest, and two weights are as heavy in one piece as in two hands.</summary>
    [Theory]
    [InlineData(null, 25)]
    [InlineData(16.0, 25)]
    [InlineData(24.0, 40)]
    public void What_is_hugged_instead_of_carried_in_two_hands_is_as_heavy_as_both(double? each, double hugged)
    {
        var sacks = new[] { (25, 2), (40, 1) }.Select(s => new FixedWeights
        {
            Id = $"sack {s.Item1}",
            Name = "Sack",
            Shape = FixedWeightShape.Sack,
            Weights = [new WeightCount(Mass.FromKilograms(s.Item1), s.Item2)],
        });
        var carry = Of("aldo-ferrin").Who(c => c with { BodyMass = Mass.FromKilograms(80) }).WithKit([.. sacks]).Line("two-hand-carry", 3, 30, intensity: each is { } load ? At(load) : new Intensity()).Chosen!.Prescription;
        (carry.Exercise, carry.Load.Kilograms).ShouldBe(("hugged-carry", hugged));
    }

    /// <summary>Lowerings of the whole body instead of twelve curls of the legs begin with six; where they were written, with what was written.</summary>
    [Fact]
    public void Lowerings_that_stand_in_begin_with_few()
    {
        var empty = Of("runa-castellane").WithKit();
        var here = empty with { Home = empty.Home with { Fixtures = [People.Fixture(FixtureKind.Sofa, 0.42, check: People.Passed)] } };
        var curl = here.Line("leg-curl", 3, 12, before: 1).Alternatives.Single(a => a.Prescription.Exercise == "feet-held-lowering").Prescription;
        curl.Counts.ShouldBe([6, 6, 6]);
        here.Line("feet-held-lowering", 3, 8).Chosen!.Prescription.Counts.ShouldBe([8, 8, 8]);
    }

    /// <summary>What is added behind a heavy line is done for its own ten to fifteen, never for twenty.</summary>
    [Fact]
    public void What_is_added_stays_in_its_zone()
    {
        foreach (var member in Member.All())
        {
            foreach (string written in (string[])["deadlift", "back-squat", "barbell-row", "overhead-press", "barbell-hip-thrust"])
            {
                foreach (var added in member.Line(written, 3, 4, intensity: Percent(88)).Added)
                {
                    added.Prescription.Counts.Max().ShouldBeLessThanOrEqualTo(RepetitionZones.Default.UpToTwelve.Most, $"{member.Client.Name}: {written}, {added.Prescription.Exercise}");
                }
            }
        }
    }
}
