using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>Choices that are common practice: who, where, which line, and what must win, place or be refused and by what.</summary>
public class ChoiceTests
{
    private static readonly Room Ordinary = new() { Headroom = Length.FromMetres(2.5), FloorLength = Length.FromMetres(3) };

    private static readonly KitItem[] LightKit =
    [
        People.Handles(2, 2, (1.25, 4), (2.5, 8)),
        People.Rucksack(1, 15, ("bottle", 1.5, 8), ("book", 0.8, 4)),
    ];

    private static WrittenLine Line(string exercise, int sets, int repetitions, double reserve = 2) => new()
    {
        Number = 1,
        Text = exercise,
        ExerciseName = exercise,
        Exercise = exercise,
        Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, repetitions, repetitions), sets)],
        Intensity = new Intensity(Reserve: reserve),
    };

    private static RebuiltLine Rebuild(WrittenLine line, ClientProfile client, Home home)
    {
        var session = new WrittenSession("test", [line]);
        return new SessionRebuild(client, home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]))
            .Rebuild(session, [], People.AllExercises).Lines[0];
    }

    private static Home At(Room room, params Fixture[] fixtures) => new() { Room = room, Fixtures = [.. fixtures], Kit = [.. LightKit] };

    private static RefusalCause[] RefusedFor(RebuiltLine line, string exercise) =>
        [.. line.Refused.Where(r => r.Exercise == exercise).SelectMany(r => r.Reasons).Select(r => r.Cause)];

    [Fact]
    public void An_overhead_press_becomes_a_pike_push_up_and_not_a_lateral_raise()
    {
        var empty = new Home { Room = Ordinary };
        var line = Rebuild(Line("overhead-press", 3, 8), People.Man, empty);
        line.Chosen!.Prescription.Exercise.ShouldBe("pike-push-up");
        var withWeights = Rebuild(Line("overhead-press", 3, 8), People.Man, At(Ordinary));
        withWeights.Alternatives.Take(3).ShouldAllBe(a => People.Exercise(a.Prescription.Exercise).Pattern == Pattern.VerticalPress);
    }

    [Fact]
    public void No_standing_press_under_a_headroom_of_1_83()
    {
        var boat = At(Ordinary with { Headroom = Length.FromMetres(1.83) });
        var line = Rebuild(Line("overhead-press", 3, 8), People.Man with { Stature = Length.FromMetres(1.71) }, boat);
        RefusedFor(line, "standing-dumbbell-press").ShouldContain(RefusalCause.Room);
        line.Alternatives.ShouldNotContain(a => a.Prescription.Exercise == "standing-dumbbell-press");
    }

    [Fact]
    public void A_row_under_a_table_only_when_the_table_passed()
    {
        var table = People.Fixture(FixtureKind.Table, 0.75);
        var client = People.Man with { Lifts = [.. People.Man.Lifts, new KnownLift("barbell-row", Mass.FromKilograms(60), 10)] };
        var empty = new Home { Room = Ordinary, Fixtures = [table] };
        var unchecked_ = Rebuild(Line("barbell-row", 3, 8), client, empty);
        RefusedFor(unchecked_, "table-row").ShouldBe([RefusalCause.Safety]);
        var passed = Rebuild(Line("barbell-row", 3, 8), client, empty with { Fixtures = [table with { Check = People.Passed }] });
        passed.Chosen!.Prescription.Exercise.ShouldBeOneOf("table-row", "bent-knee-table-row");
    }

    [Fact]
    public void A_pulldown_for_ten_becomes_a_row_for_one_good_for_three_chin_ups_and_the_chin_up_for_one_good_for_fourteen()
    {
        var home = At(
            Ordinary,
            People.Fixture(FixtureKind.PullUpBar, 2.1, check: People.Passed),
            People.Fixture(FixtureKind.Table, 0.75, check: People.Passed));
        var weak = People.Man with { Lifts = [new KnownLift("chin-up", Mass.Zero, 3)] };
        Rebuild(AccessoryPulldown(), weak, home).Chosen!.Prescription.Exercise.ShouldNotBeOneOf("chin-up", "pull-up");
        var strong = People.Man with { Lifts = [new KnownLift("chin-up", Mass.Zero, 14)] };
        Rebuild(AccessoryPulldown(), strong, home).Chosen!.Prescription.Exercise.ShouldBeOneOf("chin-up", "pull-up");

        static WrittenLine AccessoryPulldown() => Line("lat-pulldown", 3, 10, reserve: 1);
    }

    [Fact]
    public void A_bench_dip_behind_the_body_is_off_by_house_rule()
    {
        var home = At(Ordinary, People.Fixture(FixtureKind.Chair, 0.45, check: People.Passed));
        var line = Rebuild(Line("parallel-bar-dip", 3, 8), People.Man, home);
        RefusedFor(line, "bench-dip").ShouldContain(RefusalCause.HouseRule);
    }

    [Fact]
    public void A_dip_is_refused_when_the_shoulder_screen_failed_or_the_shoulder_is_sore()
    {
        var home = At(Ordinary, People.Fixture(FixtureKind.Chair, 0.9, count: 2, check: People.Passed));
        var failed = People.Man with { Screens = [new Screened(Screen.ShoulderExtension, ScreenResult.Failed)] };
        RefusedFor(Rebuild(Line("parallel-bar-dip", 3, 5), failed, home), "two-chair-dip").ShouldContain(RefusalCause.Screen);
        var sore = People.Man with { SoreJoints = [new Soreness(Joint.Shoulder, 4)] };
        RefusedFor(Rebuild(Line("parallel-bar-dip", 3, 5), sore, home), "two-chair-dip").ShouldContain(RefusalCause.Joint);
    }

    [Fact]
    public void Nothing_that_needs_a_pair_when_one_is_owned()
    {
        var home = new Home { Room = Ordinary, Kit = [People.Handles(1, 2, (2.5, 8))] };
        var line = Rebuild(Line("dumbbell-bench-press", 3, 10), People.Man, home);
        line.Alternatives.ShouldNotContain(a => a.Prescription.Hold == Core.Loads.Hold.Pair);
        line.Refused.Single(r => r.Exercise == "dumbbell-floor-press").Reasons[0].Reason.ShouldContain("matched pair");
    }

    [Fact]
    public void Sliding_exercises_only_where_something_slides()
    {
        var line = Rebuild(Line("leg-curl", 3, 10), People.Man, At(Ordinary));
        RefusedFor(line, "sliding-leg-curl").ShouldContain(RefusalCause.Room);
        Rebuild(Line("leg-curl", 3, 10), People.Man, At(Ordinary).Sliding())
            .Chosen!.Prescription.Exercise.ShouldContain("sliding");
    }

    [Fact]
    public void A_back_squat_with_two_light_dumbbells_stays_a_squat()
    {
        var home = At(Ordinary, People.Fixture(FixtureKind.Step, 0.42, check: People.Passed));
        var line = Rebuild(Line("back-squat", 3, 8), People.Man, home);
        var chosen = People.Exercise(line.Chosen!.Prescription.Exercise);
        chosen.Pattern.ShouldBe(Pattern.Squat);
        line.Chosen.Prescription.PerSide.ShouldBe(chosen.Sides == Sides.OneAtATime);
        line.Chosen.Prescription.Counts.Max().ShouldBeLessThanOrEqualTo(20);
    }

    [Fact]
    public void What_needs_nothing_goes_across_unchanged()
    {
        var plank = Line("plank", 3, 45) with { Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Seconds, 45, 45), 3)] };
        var line = Rebuild(plank, People.Man, new Home());
        line.Outcome.ShouldBe(LineOutcome.Unchanged);
        line.Chosen!.Prescription.CountInWords.ShouldBe("3 x 45 s");
        line.Chosen.Reason.ShouldContain("Goes across as it is");
        Rebuild(Line("push-up", 3, 12), People.Man, new Home { Room = Ordinary }).Outcome.ShouldBe(LineOutcome.Unchanged);
    }

    [Fact]
    public void An_unknown_name_is_kept_as_typed_with_nearest_names()
    {
        var line = Rebuild(Line("back-squat", 3, 8) with { Exercise = null, ExerciseName = "Bak squat" }, People.Man, At(Ordinary));
        line.Outcome.ShouldBe(LineOutcome.Unknown);
        line.Chosen.ShouldBeNull();
        line.Nearest.Select(n => n.Exercise).ShouldContain("back-squat");
    }

    [Fact]
    public void A_home_with_nothing_and_a_client_with_every_joint_sore_get_an_honest_answer()
    {
        var sore = People.Man with { SoreJoints = [.. Enum.GetValues<Joint>().Select(j => new Soreness(j, 9))] };
        var line = Rebuild(Line("back-squat", 3, 8), sore, new Home());
        line.Outcome.ShouldBe(LineOutcome.Nothing);
        line.Chosen.ShouldBeNull();
        line.Refused.ShouldNotBeEmpty();
        line.Refused.ShouldAllBe(r => r.Reasons.Length > 0);
    }

    [Fact]
    public void A_choice_by_hand_is_kept_and_follows_its_text()
    {
        var written = Line("back-squat", 3, 8);
        var session = new WrittenSession("test", [written with { Number = 4 }]);
        var rebuild = new SessionRebuild(
            People.Man, At(Ordinary), Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]));
        LineChoice[] choices = [new(1, written.Text, "reverse-lunge", Mass.FromKilograms(14), 9, new Tempo(3, 0, 1, 0), Duration.FromSeconds(60))];
        var line = rebuild.Rebuild(session, choices).Lines[0];
        line.ChosenByHand.ShouldBeTrue();
        var prescription = line.Chosen!.Prescription;
        prescription.Exercise.ShouldBe("reverse-lunge");
        prescription.Load.Kilograms.ShouldBe(14, 0.01);
        prescription.Counts.ShouldBe([9, 9, 9]);
        prescription.Tempo.ShouldBe(new Tempo(3, 0, 1, 0));
        rebuild.Rebuild(session, [choices[0] with { Text = "another line" }]).Lines[0].ChosenByHand.ShouldBeFalse();
    }

    [Fact]
    public void What_is_stopped_between_two_lines_is_the_same_when_asked_for_again()
    {
        var session = new WrittenSession("test", [Line("back-squat", 3, 8) with { Number = 1 }, Line("push-up", 3, 8) with { Number = 2 }]);
        var stopped = Rebuild();
        using var left = new CancellationTokenSource();
        left.Cancel();
        Should.Throw<OperationCanceledException>(() => stopped.RebuildUntil(session, [], null, left.Token));
        stopped.Rebuild(session, []).Lines.Select(l => l.Chosen!.Prescription.CountInWords).ShouldBe(Rebuild().Rebuild(session, []).Lines.Select(l => l.Chosen!.Prescription.CountInWords));

        SessionRebuild Rebuild() => new(People.Man, At(Ordinary), Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]));
    }

    [Fact]
    public void A_choice_that_is_no_longer_possible_lapses_and_says_why()
    {
        var written = Line("lat-pulldown", 3, 8);
        var session = new WrittenSession("test", [written]);
        var line = new SessionRebuild(
            People.Man, At(Ordinary), Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]))
            .Rebuild(session, [new LineChoice(1, written.Text, "pull-up")]).Lines[0];
        line.ChosenByHand.ShouldBeFalse();
        line.LapsedChoice!.ShouldContain("needs a pull-up bar");
    }

    [Fact]
    public void A_load_nobody_lifts_is_answered_with_a_note_and_finite_figures()
    {
        var written = Line("lateral-raise", 3, 10) with { Intensity = new Intensity(Load: Mass.FromKilograms(1000)) };
        var line = Rebuild(written, People.Man.With("lateral-raise", 20, 10), At(Ordinary));
        line.Intent!.Notes.ShouldContain(n => n.Contains("check the lift", StringComparison.Ordinal));
        System.Text.Json.JsonSerializer.Serialize(line, TradeJson.Options).Length.ShouldBeGreaterThan(100);
    }

    [Fact]
    public void The_same_exercise_is_not_given_twice_where_another_fits_nearly_as_well()
    {
        var session = new WrittenSession("test", [Line("barbell-bench-press", 3, 8) with { Number = 1 }, Line("chest-press-machine", 3, 10) with { Number = 2 }]);
        var lines = new SessionRebuild(
            People.Man, new Home { Room = Ordinary }, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]))
            .Rebuild(session, []).Lines;
        lines[0].Chosen!.Prescription.Exercise.ShouldNotBe(lines[1].Chosen!.Prescription.Exercise);
    }
}
