using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

public class EffortBudgetTests
{
    private static readonly EnduranceCurve Base = EnduranceCurve.Base(trained: true);

    /// <summary>Worked by hand with 60 : 37 : 3 and 30 s, 170 s, 30 min after a first set of ten to failure (common practice).</summary>
    [Theory]
    [InlineData(20, 3.3)]
    [InlineData(60, 6.3)]
    [InlineData(120, 7.8)]
    [InlineData(180, 8.4)]
    public void After_ten_to_failure_rest_gives_back(double seconds, double repetitions) =>
        (EffortBudget.Rested.AfterWork(1).AfterRest(Duration.FromSeconds(seconds)).Left * 10).ShouldBe(repetitions, 0.1);

    /// <summary>The trade's own figures for a rest-pause of twenty with twenty seconds between.</summary>
    [Fact]
    public void A_rest_pause_of_twenty_goes_20_then_6_7_then_6_0_then_5_4()
    {
        var budget = EffortBudget.Rested;
        foreach (double expected in new[] { 20, 6.7, 6.0, 5.4 })
        {
            double done = budget.Left * 20;
            done.ShouldBe(expected, 0.1);
            budget = budget.AfterWork(done / 20).AfterRest(Duration.FromSeconds(20));
        }
    }

    /// <summary>The trade's sanity figure: a load good for thirty comes down to eight or nine with 3 s down, held and up.</summary>
    [Fact]
    public void Three_three_three_on_a_thirty_repetition_load_gives_eight_or_nine()
    {
        var demand = Base.DemandFor(30);
        double cost = RepetitionCost.Of(Base, demand, new Tempo(3, 3, 3, 0), People.Exercise("push-up"));
        (1 / cost).ShouldBeInRange(8, 9.5);
    }

    [Fact]
    public void A_plain_repetition_costs_one_over_the_fresh_count() =>
        Gen.Double[0.1, 1].Sample(x =>
            (1 / RepetitionCost.Of(Base, Demand.Of(x), Tempo.Reference, People.Exercise("push-up")))
                .ShouldBe(Base.FreshRepetitions(Demand.Of(x)), 1e-6));

    [Fact]
    public void Splitting_a_rest_in_two_changes_nothing() =>
        Gen.Select(Gen.Double[0, 1], Gen.Double[0, 600], Gen.Double[0, 600]).Sample((work, first, second) =>
        {
            var tired = EffortBudget.Rested.AfterWork(work);
            tired.AfterRest(Duration.FromSeconds(first)).AfterRest(Duration.FromSeconds(second)).Left
                .ShouldBe(tired.AfterRest(Duration.FromSeconds(first + second)).Left, 1e-12);
        });

    private static readonly Gen<Tempo> Tempos =
        Gen.Select(Gen.Int[0, 10], Gen.Int[0, 6], Gen.Int[0, 6], Gen.Int[0, 6], (a, b, c, d) => new Tempo(a, b, c, d));

    [Fact]
    public void Slower_heavier_or_shorter_rest_never_raises_the_forecast() =>
        Gen.Select(Tempos, Gen.Double[0.1, 0.95], Gen.Int[0, 300], Gen.Int[1, 12]).Sample((tempo, x, rest, reps) =>
        {
            double plain = Last(tempo, x, rest, reps);
            Last(tempo with { Lowering = tempo.Lowering + 1 }, x, rest, reps).ShouldBeLessThanOrEqualTo(plain + 1e-9);
            Last(tempo with { AfterLowering = tempo.AfterLowering + 1 }, x, rest, reps).ShouldBeLessThanOrEqualTo(plain + 1e-9);
            Last(tempo with { Lifting = tempo.Lifting + 1 }, x, rest, reps).ShouldBeLessThanOrEqualTo(plain + 1e-9);
            Last(tempo, Math.Min(1, x + 0.05), rest, reps).ShouldBeLessThanOrEqualTo(plain + 1e-9);
            Last(tempo, x, rest + 30, reps).ShouldBeGreaterThanOrEqualTo(plain - 1e-9);
        });

    [Fact]
    public void Pauses_without_load_cost_nothing() =>
        Gen.Select(Tempos, Gen.Double[0.1, 0.95]).Sample((tempo, x) =>
        {
            // A curl hangs unloaded at the bottom and rests on the bones at the top.
            var curl = People.Exercise("dumbbell-curl");
            RepetitionCost.Of(Base, Demand.Of(x), tempo with { AfterLowering = 0, AfterLifting = 0 }, curl)
                .ShouldBe(RepetitionCost.Of(Base, Demand.Of(x), tempo, curl), 1e-12);
        });

    /// <summary>Repetitions possible in the third of three equal sets of a push-up.</summary>
    private static double Last(Tempo tempo, double x, int rest, int repetitions)
    {
        double cost = RepetitionCost.Of(Base, Demand.Of(x), tempo, People.Exercise("push-up"));
        return SetForecast.Series(cost, [repetitions, repetitions, repetitions], Duration.FromSeconds(rest), Demand.Of(x))[^1].ToFailure;
    }

    [Theory]
    [InlineData(8, 10, 0.70, 3)] // two left: the last three before failure count
    [InlineData(5, 5, 0.90, 5)] // heavy: all count
    [InlineData(20, 20, 0.35, 5)]
    [InlineData(20, 20, 0.20, 2.5)] // about half the growth: Lasevicius et al. 2018 (from memory)
    [InlineData(20, 20, 0.10, 0)] // none by our convention
    [InlineData(3, 3.6, 0.60, 3)] // never more than were done
    public void Effective_repetitions_are_those_near_failure(double planned, double toFailure, double equivalent, double expected) =>
        SetForecast.Effective(planned, toFailure, Demand.Of(equivalent)).ShouldBe(expected, 1e-9);
}
