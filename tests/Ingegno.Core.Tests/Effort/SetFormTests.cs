using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

/// <summary>Sets that are more than plain repetitions with rests between.</summary>
public class SetFormTests
{
    private static readonly EnduranceCurve Base = EnduranceCurve.Base(trained: true);

    /// <summary>
    /// Eighteen repetitions in rest-pause at 80 percent with 20 s pauses take three to five bouts where the first is 9 to 12: Prestes
    /// et al. 2019, J Strength Cond Res 33 Suppl 1:S113-S121 (from memory).
    /// </summary>
    [Theory]
    [InlineData(9)]
    [InlineData(10)]
    [InlineData(11)]
    [InlineData(12)]
    public void Eighteen_in_rest_pause_take_three_to_five_bouts(int first)
    {
        var bouts = RestPause.ToFailure(1.0 / first, 18, Duration.FromSeconds(20));
        bouts[0].ShouldBe(first);
        bouts.Sum().ShouldBe(18);
        bouts.Length.ShouldBeInRange(3, 5);
    }

    /// <summary>Small bouts add up to the first one, each no larger than it, each within what is left of the budget.</summary>
    [Fact]
    public void Matching_rest_pause_adds_up_and_no_bout_passes_failure() =>
        Gen.Select(Gen.Double[4, 30], Gen.Double[0, 2]).Sample((fresh, reserve) =>
        {
            int first = (int)Math.Floor(fresh - reserve);
            if (first < 1)
            {
                return;
            }

            var bouts = RestPause.Bouts(1 / fresh, first, 2 * first, reserve, RestPause.UsualRest);
            bouts.Length.ShouldBeLessThanOrEqualTo(RestPause.MostBouts);
            bouts.Sum().ShouldBeLessThanOrEqualTo(2 * first);
            bouts.ShouldAllBe(b => b >= 1 && b <= first);
            var series = new SetSeries(1 / fresh, Demand.Of(0.7), bouts, SetInterval.Resting(Duration.Zero), Duration.FromSeconds(3)) { Form = SetForm.RestPause };
            SetForecast.Of(series).ShouldAllBe(b => b.Reserve >= -1e-6);
        });

    /// <summary>A hard push first leaves half of a rested budget (30 and 20 of 100; common practice).</summary>
    [Fact]
    public void A_push_first_halves_the_first_set_and_never_helps() =>
        Gen.Select(Gen.Double[0.03, 0.2], Gen.Int[1, 4], Gen.Int[30, 240]).Sample((cost, sets, rest) =>
        {
            ImmutableArray<int> counts = [.. Enumerable.Repeat(5, sets)];
            var straight = new SetSeries(cost, Demand.Of(0.7), counts, SetInterval.Resting(Duration.FromSeconds(rest)), Duration.FromSeconds(3));
            var pushed = SetForecast.Of(straight with { Form = SetForm.PushFirst });
            pushed[0].ToFailure.ShouldBe(0.5 / cost, 1e-9);
            pushed.Zip(SetForecast.Of(straight)).ShouldAllBe(p => p.First.ToFailure <= p.Second.ToFailure + 1e-9);
        });

    [Fact]
    public void A_hold_to_fatigue_spends_what_the_repetitions_left()
    {
        var push = People.Exercise("push-up");
        var demand = Base.DemandFor(20);
        double cost = RepetitionCost.Of(Base, demand, Tempo.Reference, push), second = RepetitionCost.OfHeldSecond(Base, demand);
        var series = new SetSeries(cost, demand, [10], SetInterval.Resting(Duration.Zero), Duration.FromSeconds(3))
        {
            Form = SetForm.HoldToFatigue,
            CostOfHeldSecond = second,
        };
        var set = SetForecast.Of(series).ShouldHaveSingleItem();
        ((10 * cost) + (set.HeldSeconds * second)).ShouldBe(1, 1e-9);
        set.Effective.ShouldBeGreaterThan(SetForecast.Effective(10, 20, demand));
    }

    /// <summary>Three seconds' hold against one second's lifting and two of lowering: a pure hold is shorter than the set it replaces.</summary>
    [Fact]
    public void A_pure_hold_is_shorter_than_the_set_with_that_load() =>
        Gen.Double[0.3, 0.95].Sample(x =>
            (1 / RepetitionCost.OfHeldSecond(Base, Demand.Of(x))).ShouldBeLessThan(3 * Base.FreshRepetitions(Demand.Of(x))));

    private static readonly Gen<RepetitionStyle> Styles = Gen.Select(
        Gen.Int[0, 6], Gen.Int[0, 4], Gen.Int[0, 4], Gen.Int[0, 4],
        (a, b, c, d) => new RepetitionStyle(new Tempo(a, b, c, d)));

    [Fact]
    public void Pulses_and_added_parts_never_raise_the_forecast() =>
        Gen.Select(Styles, Gen.Double[0.1, 0.95], Gen.Int[1, 5]).Sample((style, x, pulses) =>
        {
            double Cost(RepetitionStyle s) => RepetitionCost.Of(Base, Demand.Of(x), s, People.Exercise("push-up"));
            double plain = Cost(style), quarter = Cost(style with { Partial = PartialPart.AndAQuarter }), half = Cost(style with { Partial = PartialPart.AndAHalf });
            Cost(style with { Pulses = pulses }).ShouldBeGreaterThanOrEqualTo(plain - 1e-12);
            quarter.ShouldBeGreaterThanOrEqualTo(plain - 1e-12);
            half.ShouldBeGreaterThanOrEqualTo(quarter - 1e-12);
            // Half the range is done at the hard end and never for less than half a plain repetition.
            Cost(style with { Partial = PartialPart.ShortHalf }).ShouldBeGreaterThanOrEqualTo(0.5 / Base.FreshRepetitions(Demand.Of(x)) - 1e-12);
        });

    /// <summary>Lowering strength is about 1.3 of lifting (common practice): at the maximum a lowering still lasts as a hold at 1 / 1.3 does.</summary>
    [Fact]
    public void Lowering_only_goes_over_the_maximum_and_gets_shorter_with_load()
    {
        var lowering = People.Exercise("lowering-only-push-up");
        double At(double x) => 1 / RepetitionCost.Of(Base, Demand.Of(x), new Tempo(4, 0, 1, 0), lowering);
        At(1.0).ShouldBe(HoldingTime.At(Demand.Of(1 / 1.3)).Seconds / 4, 1e-9);
        At(1.2).ShouldBeInRange(1, At(1.0));
        Gen.Select(Gen.Double[0.3, 1.2], Gen.Double[0, 0.05]).Sample((x, more) => At(x + more).ShouldBeLessThanOrEqualTo(At(x) + 1e-9));
    }

    [Theory]
    [InlineData(0.80, 0.80, 0)] // no easier
    [InlineData(0.80, 0.90, 0)] // harder
    [InlineData(0.80, 0.60, 0.5)] // half of the way from 0.6 to 1 is still there
    public void What_is_left_for_an_easier_variation(double failed, double easier, double left) =>
        BackOff.BudgetLeft(Demand.Of(failed), Demand.Of(easier)).ShouldBe(left, 1e-9);

    [Fact]
    public void The_easier_the_variation_the_more_of_it_is_left() =>
        Gen.Select(Gen.Double[0.3, 0.99], Gen.Double[0.05, 0.9], Gen.Double[0, 0.1]).Sample((failed, easier, less) =>
            BackOff.BudgetLeft(Demand.Of(failed), Demand.Of(Math.Max(0.01, easier - less)))
                .ShouldBeGreaterThanOrEqualTo(BackOff.BudgetLeft(Demand.Of(failed), Demand.Of(easier)) - 1e-12));

    /// <summary>Newton's second law: m_home (g + a) = m_gym g.</summary>
    [Theory]
    [InlineData(40, 40, 0)]
    [InlineData(40, 20, 9.80665)]
    [InlineData(20, 40, 0)]
    public void Fast_intent_matches_the_heavier_load_by_acceleration(double gym, double home, double expected) =>
        FastIntent.AccelerationToMatch(Mass.FromKilograms(gym), Mass.FromKilograms(home)).ShouldBe(expected, 1e-6);

    [Fact]
    public void Long_enough_to_repeat_is_the_shortest_rest_that_lets_one_more_be_done() =>
        Gen.Select(Gen.Double[0.03, 0.3], Gen.Int[1, 25]).Sample((cost, planned) =>
        {
            if (planned * cost > 1 || SetForecast.RestToRepeat(cost, planned) is not { } rest)
            {
                return;
            }

            Next(rest).ShouldBeGreaterThanOrEqualTo(planned + 1 - 1e-6);
            if (rest.Seconds > 1)
            {
                Next(rest - Duration.FromSeconds(1.5)).ShouldBeLessThan(planned + 1);
            }

            double Next(Duration after) => SetForecast.Series(cost, [planned, planned], after, Demand.Of(0.7))[1].ToFailure;
        });

    /// <summary>Short of failure. Once shared muscles fail, more rest lets the partner drain more, as it does in the gym.</summary>
    [Fact]
    public void More_shared_work_or_less_rest_beside_it_never_raises_the_forecast() =>
        Gen.Select(Gen.Double[0.02, 0.04], Gen.Int[30, 120], Gen.Int[30, 120], Gen.Double[0, 0.2], Gen.Double[0, 0.1]).Sample((cost, a, b, drain, more) =>
        {
            double plain = Last(a, b, drain);
            Last(a, b, drain + more).ShouldBeLessThanOrEqualTo(plain + 1e-9);
            Last(a + 20, b, drain).ShouldBeGreaterThanOrEqualTo(plain - 1e-9);
            Last(a, b + 20, drain).ShouldBeGreaterThanOrEqualTo(plain - 1e-9);

            double Last(int first, int second, double drained) => SetForecast.Of(new SetSeries(cost, Demand.Of(0.7), [6, 6, 6],
                SetInterval.Of([], [new(Duration.FromSeconds(first), drained), new(Duration.FromSeconds(second), 0)]), Duration.FromSeconds(3)))[^1].ToFailure;
        });
}
