using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>The sentence under a choice says what is kept, what carries it and what it costs.</summary>
public class ReasonTests
{
    private static RebuiltLine Rebuild(string exercise, int repetitions, Home home, ClientProfile? client = null)
    {
        var line = new WrittenLine
        {
            Number = 1,
            Text = exercise,
            ExerciseName = exercise,
            Exercise = exercise,
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, repetitions, repetitions), 3)],
            Intensity = new Intensity(Reserve: 2),
        };
        var session = new WrittenSession("test", [line]);
        return new SessionRebuild(client ?? People.Man, home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]))
            .Rebuild(session, [], People.AllExercises).Lines[0];
    }

    private static Alternative Of(RebuiltLine line, string exercise) => line.Alternatives.Single(a => a.Prescription.Exercise == exercise);

    private static Home With(params KitItem[] kit) => new Home { Room = new Room { FloorLength = Length.FromMetres(3) }, Kit = [.. kit] }.Sliding();

    [Fact]
    public void A_load_that_matches_is_said_to_ask_as_much()
    {
        var line = Rebuild("dumbbell-bench-press", 10, With(People.Handles(2, 2, (1.25, 8), (2.5, 8), (5, 8))));
        Of(line, "dumbbell-floor-press").Reason.ShouldContain("The same movement as the dumbbell bench press");
        Of(line, "dumbbell-floor-press").Reason.ShouldContain("asks as much as the gym load");
    }

    [Fact]
    public void A_lighter_load_names_the_repetitions_that_make_it_up()
    {
        var line = Rebuild("dumbbell-bench-press", 8, With(People.Handles(2, 2, (2.5, 8), (1.25, 4))));
        var press = Of(line, "dumbbell-floor-press");
        press.Reason.ShouldMatch("is lighter, [0-9]+ more reps( and [^;]*)? (make it up|carry part of it)");
        press.Bridge!.Parts.Select(p => p.Measure).ShouldContain(Measure.Repetitions);
    }

    [Fact]
    public void A_load_under_the_growth_floor_is_called_too_light_and_matters()
    {
        var press = Of(Rebuild("barbell-bench-press", 8, With(People.Handles(2, 1, (1.25, 4)))), "dumbbell-floor-press");
        press.Loss!.ShouldContain("counts for endurance, not growth");
        press.LossMatters.ShouldBeTrue();
    }

    [Fact]
    public void Heavy_practice_that_is_not_kept_is_said()
    {
        var line = Rebuild("barbell-bench-press", 3, With());
        var pushUp = Of(line, "push-up");
        pushUp.Loss!.ShouldContain("Heavy practice is not kept");
    }

    [Fact]
    public void Another_movement_is_said_to_lose_the_pattern()
    {
        var line = Rebuild("lat-pulldown", 10, With(People.Handles(1, 2, (5, 8))));
        var row = Of(line, "one-arm-dumbbell-row");
        row.Loss.ShouldBe("Another movement than written: the pattern is lost here.");
        row.LossMatters.ShouldBeTrue();
    }

    [Fact]
    public void The_recipe_stands_in_words_with_what_it_is_built_from()
    {
        var line = Rebuild("dumbbell-bench-press", 10, With(People.Handles(2, 2, (2.5, 8))));
        Of(line, "dumbbell-floor-press").Prescription.LoadInWords.ShouldBe("12 kg in each hand. Handles: 2.5 + 2.5 kg on each end");
    }

    [Fact]
    public void A_seat_is_named_with_its_height()
    {
        var home = With() with { Fixtures = [People.Fixture(FixtureKind.Step, 0.42, check: People.Passed)] };
        Of(Rebuild("back-squat", 8, home), "one-leg-squat-to-chair").Prescription.Placement.ShouldHaveSingleItem().ShouldStartWith("Seat: Step, 42 cm");
    }

    [Fact]
    public void Every_alternative_has_a_reason_and_nothing_blank() =>
        Rebuild("back-squat", 8, With(People.Rucksack(1, 20, ("bottle", 1.5, 10)))).Alternatives.ShouldAllBe(a =>
            a.Reason.Length > 10 && a.Prescription.Counts.Length == 3 && a.Prescription.Rest.Seconds > 0
            && (a.Prescription.Tempo != null || a.Equivalent == null) && a.Prescription.LoadInWords.Length > 0 && a.Prescription.Cues.Length >= 3);
}
