using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>The parts as docs/method.md gives them, read off whole rebuilds.</summary>
public class FitPartsTests
{
    private static readonly Home Home = new Home
    {
        Room = new Room { Headroom = Length.FromMetres(2.6), FloorLength = Length.FromMetres(3) },
        Fixtures = [People.Fixture(FixtureKind.Step, 0.42, check: People.Passed)],
        Kit = [People.Handles(2, 2, (1.25, 4), (2.5, 8), (5, 8)), People.Rucksack(1, 20, ("bottle", 1.5, 10))],
    }.Sliding();

    private static RebuiltLine[] Session(ClientProfile client, params (string Exercise, int Repetitions)[] lines)
    {
        var session = new WrittenSession("test", [.. lines.Select((l, i) => new WrittenLine
        {
            Number = i + 1,
            Text = l.Exercise,
            ExerciseName = l.Exercise,
            Exercise = l.Exercise,
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, l.Repetitions, l.Repetitions), 3)],
            Intensity = new Intensity(Reserve: 2),
        })]);
        return [.. new SessionRebuild(client, Home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session])).Rebuild(session, [], People.AllExercises).Lines];
    }

    private static double Part(string written, string candidate, FitPart part, int repetitions = 10, ClientProfile? client = null) =>
        Session(client ?? People.Man, (written, repetitions))[0].Alternatives.Single(a => a.Prescription.Exercise == candidate).Fit[part].Fraction;

    [Theory]
    [InlineData("barbell-bench-press", "push-up", 1)] // same pattern, same line
    [InlineData("barbell-bench-press", "feet-raised-push-up", 0.6)] // same pattern, another line
    [InlineData("overhead-press", "feet-raised-push-up", 0.3)] // another pattern
    public void Direction(string written, string candidate, double part) => Part(written, candidate, FitPart.Direction, client: Strong).ShouldBe(part, 1e-9);

    [Theory]
    [InlineData("back-squat", "split-squat", 0.75)] // one limb for two
    [InlineData("back-squat", "two-dumbbell-squat", 1)]
    [InlineData("one-arm-dumbbell-row", "two-dumbbell-row", 0.6)] // two limbs for one
    public void Sides(string written, string candidate, double part) => Part(written, candidate, FitPart.Sides).ShouldBe(part, 1e-9);

    [Theory]
    [InlineData("leg-curl", "sliding-leg-curl", 0.4)] // short to long
    [InlineData("barbell-bench-press", "dumbbell-floor-press", 1)]
    [InlineData("dumbbell-bench-press", "dumbbell-floor-press", 0.7)] // long to middle
    public void Range(string written, string candidate, double part) => Part(written, candidate, FitPart.Range).ShouldBe(part, 1e-9);

    [Fact]
    public void Kind_is_told_apart() => Part("leg-extension", "heel-raised-squat", FitPart.Kind).ShouldBe(0.3, 1e-9);

    /// <summary>An intermediate has two in hand; a written leg press asks 1, so skill 3 and balance 3 cost a step each: 0.85 squared.</summary>
    [Fact]
    public void Skill_and_balance_cost_a_step_each() =>
        Part("back-squat", "one-leg-squat-to-chair", FitPart.Skill).ShouldBe(0.85 * 0.85, 1e-9);

    [Fact]
    public void The_gym_load_at_hand_fills_the_dose_part() =>
        Part("dumbbell-curl", "dumbbell-curl", FitPart.Dose).ShouldBeGreaterThan(0.85);

    [Fact]
    public void Roles_follow_place_and_kind()
    {
        var lines = Session(People.Man, ("barbell-bench-press", 10), ("back-squat", 10), ("deadlift", 5), ("barbell-curl", 10), ("dead-bug", 8));
        lines.Select(l => l.Role).ShouldBe([Role.Main, Role.Secondary, Role.Main, Role.Accessory, Role.Accessory]);
    }

    private static ClientProfile Strong { get; } = People.Man with
    {
        Level = Level.Advanced,
        Lifts = [new KnownLift("barbell-bench-press", Mass.FromKilograms(120), 5), new KnownLift("overhead-press", Mass.FromKilograms(80), 5)],
    };
}
