using System.Collections.Concurrent;
using System.Collections.Immutable;

namespace Ingegno.Simulation.Tests;

/// <summary>
/// The forecast that was shown before a set against what the body could truly do, and the steps against the effort that was meant. Three laws, none of them
/// that of the forecasts; docs/forecasts.md holds the whole table and says which goals are not reached.
/// </summary>
public class BelievedForecastTests
{
    private const int Clients = 60, AwkwardClients = 20, EnoughCases = 400;

    private static readonly ConcurrentDictionary<(FatigueLaw, Habit), Lazy<ImmutableArray<TrainedOnce>>> Trained = new();

    public static TheoryData<FatigueLaw> Laws => [FatigueLaw.ThreeCompartments, FatigueLaw.CriticalForce];

    [Theory]
    [MemberData(nameof(Laws))]
    public void From_the_sixth_session_on_a_forecast_near_failure_misses_by_little_and_to_no_side(FatigueLaw law)
    {
        var near = LateSets(law).Where(t => t.IsNearFailure).ToArray();
        near.Average(Missed).ShouldBeLessThan(1.4);
        Math.Abs(near.Average(t => t.Shown!.Middle - t.Truly)).ShouldBeLessThan(0.4);
    }

    /// <summary>Dumbbell presses and rows: within four tenths of who knows the body but not the form of the day.</summary>
    [Theory]
    [MemberData(nameof(Laws))]
    public void Presses_and_rows_are_forecast_nearly_as_well_as_by_who_knows_the_body(FatigueLaw law)
    {
        var near = LateSets(law).Where(t => t.Line <= 1 && t.IsNearFailure).ToArray();
        near.Average(Missed).ShouldBeLessThan(1.3);
        near.Average(Missed).ShouldBeLessThan(near.Average(t => Math.Abs(t.Usually - t.Truly)) + 0.4);
    }

    [Theory]
    [MemberData(nameof(Laws))]
    public void The_range_shown_holds_four_of_five_of_every_kind_of_set(FatigueLaw law)
    {
        foreach (var kind in LateSets(law).Where(t => t.IsNearFailure).GroupBy(t => t.Kind).Where(g => g.Count() >= EnoughCases))
        {
            kind.Average(Held).ShouldBeInRange(0.75, 0.93, kind.Key.ToString());
        }
    }

    [Theory]
    [MemberData(nameof(Laws))]
    public void By_the_sixth_session_last_sets_sit_near_the_effort_they_were_meant_for(FatigueLaw law)
    {
        var last = Of(law, Habit.Plain).Where(t => t.IsLast && t.Session >= TrainedWeeks.SixthSession).ToArray();
        last.Average(t => t.Sits ? 1.0 : 0).ShouldBeGreaterThan(0.75);
        last.Average(t => t.Left < 0 ? 1.0 : 0).ShouldBeLessThan(0.09);
    }

    /// <summary>A dose that was wrong at first sits within three exposures: four of five times and a little less.</summary>
    [Theory]
    [MemberData(nameof(Laws))]
    public void A_line_that_was_wrong_at_first_is_put_right_within_three_exposures(FatigueLaw law)
    {
        var wrong = WrongAtFirst(Of(law, Habit.Plain));
        wrong.Length.ShouldBeGreaterThan(200);
        wrong.Average(IsPutRight).ShouldBeGreaterThan(0.82);
    }

    /// <summary>A law by which no rule and no figure was chosen: what to expect of bodies nobody has looked at.</summary>
    [Fact]
    public void A_body_of_a_law_nobody_looked_at_is_forecast_and_put_right_as_well()
    {
        var near = LateSets(FatigueLaw.MotorUnits).Where(t => t.IsNearFailure).ToArray();
        near.Average(Missed).ShouldBeLessThan(1.5);
        Math.Abs(near.Average(t => t.Shown!.Middle - t.Truly)).ShouldBeLessThan(0.4);
        near.GroupBy(t => t.Kind).Where(g => g.Count() >= EnoughCases).ShouldAllBe(kind => kind.Average(Held) > 0.75 && kind.Average(Held) < 0.93);
        WrongAtFirst(Of(FatigueLaw.MotorUnits, Habit.Plain)).Average(IsPutRight).ShouldBeGreaterThan(0.76);
    }

    /// <summary>Who leaves sets out of the log, gains quickly or always gives the same answer is served worse, but not lost: within twice the figures of the others.</summary>
    [Theory]
    [InlineData(FatigueLaw.ThreeCompartments, nameof(Habit.HalfLogged), 0.55)]
    [InlineData(FatigueLaw.ThreeCompartments, nameof(Habit.Gaining), 0.6)]
    [InlineData(FatigueLaw.ThreeCompartments, nameof(Habit.AlwaysTwo), 0.7)]
    [InlineData(FatigueLaw.CriticalForce, nameof(Habit.HalfLogged), 0.6)]
    [InlineData(FatigueLaw.CriticalForce, nameof(Habit.Gaining), 0.7)]
    [InlineData(FatigueLaw.CriticalForce, nameof(Habit.AlwaysTwo), 0.7)]
    public void Awkward_clients_are_forecast_within_twice_the_miss_and_put_right_too(FatigueLaw law, string habit, double putRight)
    {
        var all = Of(law, Enum.Parse<Habit>(habit));
        var near = Late(all).Where(t => t.IsNearFailure).ToArray();
        near.Average(Missed).ShouldBeLessThan(2);
        near.Average(Held).ShouldBeGreaterThan(0.75);
        WrongAtFirst(all).Average(IsPutRight).ShouldBeGreaterThan(putRight);
    }

    /// <summary>
    /// The place of a line in the session is learned as part of its strength: where the session is turned round, last line first, the ranges of that very day hold
    /// all the same.
    /// </summary>
    [Theory]
    [MemberData(nameof(Laws))]
    public void A_session_turned_round_stays_within_its_ranges(FatigueLaw law)
    {
        var turned = Of(law, Habit.Reordered).Where(t => t.Shown is not null && t.Session == TrainedWeeks.SixthSession && t.IsNearFailure).ToArray();
        turned.Length.ShouldBeGreaterThan(200);
        turned.Average(Held).ShouldBeInRange(0.8, 0.92);
        turned.Average(Missed).ShouldBeLessThan(1.7);
    }

    /// <summary>Last sets of lines that did not sit at their effort in the first session, by session.</summary>
    private static TrainedOnce[][] WrongAtFirst(ImmutableArray<TrainedOnce> all) =>
        [.. all.Where(t => t.IsLast).GroupBy(t => (t.Client, t.Line)).Select(g => g.OrderBy(t => t.Session).ToArray()).Where(g => !g[0].Sits)];

    private static double IsPutRight(TrainedOnce[] line) => line.Skip(1).Take(3).Any(t => t.Sits) ? 1 : 0;

    private static IEnumerable<TrainedOnce> LateSets(FatigueLaw law) => Late(Of(law, Habit.Plain));

    private static IEnumerable<TrainedOnce> Late(ImmutableArray<TrainedOnce> all) => all.Where(t => t.Shown is not null && t.Session >= TrainedWeeks.SixthSession);

    private static ImmutableArray<TrainedOnce> Of(FatigueLaw law, Habit habit) =>
        Trained.GetOrAdd((law, habit), _ => new(() => TrainedWeeks.Of(law, habit == Habit.Plain ? Clients : AwkwardClients, habit))).Value;

    private static double Missed(TrainedOnce set) => Math.Abs(set.Shown!.Middle - set.Truly);

    /// <summary>Whole repetitions against a range with fractions: a repetition that is half inside counts half.</summary>
    private static double Held(TrainedOnce set) =>
        Math.Clamp(Math.Min(set.Shown!.High, set.Truly + 0.5) - Math.Max(set.Shown.Low, set.Truly - 0.5), 0, 1);
}
