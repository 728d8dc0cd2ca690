using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>What is gained a week, learned from sets to the limit (40 percent in half a year is 1.3 percent a week: ACSM 2009, from memory).</summary>
public class GainTests
{
    private const int Weeks = 10;

    private static readonly Exercise Row = People.Exercise("one-arm-dumbbell-row");

    private static readonly StrengthAnchors Before = StrengthAnchors.Of(People.Man, Catalogue.Shipped);

    private static readonly Prescription Line = new()
    {
        Exercise = Row.Id,
        Name = Row.Name,
        Count = CountKind.Repetitions,
        Counts = [12],
        TopOfRange = 12,
        PerSide = false,
        Load = Mass.FromKilograms(24),
        LoadInWords = "24 kg",
        Rest = Duration.FromSeconds(120),
        Reserve = 0,
        Geometry = new(),
    };

    private static readonly DateOnly First = People.Today.AddDays(-7 * Weeks);

    private static Learned After(Func<int, int> repetitions) => Learning.From(
        People.Man, Catalogue.Shipped, Before,
        Enumerable.Range(0, Weeks).Select(w => new TrainedSet(
            new SetLog(Guid.NewGuid(), 1, Row.Id, First.AddDays(7 * w), 1, Line.Load, repetitions(w), null) { ToLimit = true }, Line))).Learned;

    [Fact]
    public void Who_does_more_every_week_gains_and_who_does_the_same_does_not()
    {
        After(w => 12).GainAWeek.ShouldBeInRange(-0.004, 0.004);
        After(w => 12 + w).GainAWeek.ShouldBeGreaterThan(0.004);
        After(w => 22 - w).GainAWeek.ShouldBeLessThan(-0.002);
    }

    [Fact]
    public void The_more_is_gained_in_the_log_the_more_is_learned_to_be_gained() =>
        Gen.Select(Gen.Int[0, 2], Gen.Int[1, 2]).Sample((by, more) =>
            After(w => 10 + (by * w)).GainAWeek < After(w => 10 + ((by + more) * w)).GainAWeek);

    /// <summary>It goes on after the last set, and not for ever: nobody gains by staying away.</summary>
    [Fact]
    public void A_gain_goes_on_for_a_week_and_a_half()
    {
        var client = People.Man with { Learned = After(w => 12 + w) };
        Mass On(int days) => StrengthAnchors.Of(client, Catalogue.Shipped, today: First.AddDays((7 * (Weeks - 1)) + days)).For(Row)!.Maximum;
        On(0).ShouldBe(client.Learned.Anchors.Single(a => a.Exercise == Row.Id).Maximum);
        On(7).ShouldBeGreaterThan(On(3));
        On(90).ShouldBe(On(11));
    }

    /// <summary>
    /// Three sets far past what the charts give at that load, the same every week: staying power is learned, and nobody got weaker for it.
    /// </summary>
    [Fact]
    public void Staying_power_is_not_paid_for_with_strength()
    {
        var lesson = Learning.From(
            People.Man, Catalogue.Shipped, Before,
            from week in Enumerable.Range(0, Weeks)
            from set in Enumerable.Range(0, 3)
            select new TrainedSet(new SetLog(Guid.NewGuid(), 1, Row.Id, First.AddDays(7 * week), set + 1, Line.Load, 26 - (2 * set), null) { ToLimit = true }, Line with { Counts = [20, 20, 20] }));
        lesson.Learned.Endurance.Factor.ShouldBeGreaterThan(1.05);
        (lesson.Points[^1].Factor / lesson.Points[2].Factor).ShouldBeInRange(0.98, 1.03);
    }

    [Fact]
    public void It_is_told_in_percent_a_week() =>
        (Learned.Nothing with { GainAWeek = 0.013, GainAWeekSpread = 0.004 }).GainInWords.ShouldBe("1.3 % a week (0.8 to 1.8)");
}
