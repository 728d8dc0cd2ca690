using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

public class MaximumTests
{
    private static readonly Mass Hundred = Mass.FromKilograms(100);

    /// <summary>By algebra: 1 + 10/30 = 36/27 = 4/3.</summary>
    [Fact]
    public void Epley_and_Brzycki_are_equal_at_ten()
    {
        MaximumFormulas.Epley(Hundred, 10).Kilograms.ShouldBe(133.333, 0.001);
        MaximumFormulas.Brzycki(Hundred, 10).Kilograms.ShouldBe(133.333, 0.001);
    }

    /// <summary>
    /// Upper-body external loads against the mean of Epley and Brzycki (LeSuer et al. 1997, J Strength Cond Res
    /// 11:211-213; from memory). The largest difference found is 1.0 percent, at seven repetitions.
    /// </summary>
    [Fact]
    public void Our_bench_estimate_lies_within_1_5_percent_of_the_published_formulas()
    {
        double largest = Enumerable.Range(2, 9).Max(repetitions =>
        {
            double published = (MaximumFormulas.Epley(Hundred, repetitions).Kilograms
                + MaximumFormulas.Brzycki(Hundred, repetitions).Kilograms) / 2;
            var ours = MaximumEstimate.FromSet(
                People.Exercise("barbell-bench-press"), People.Man,
                new KnownLift("barbell-bench-press", Hundred, repetitions), new Geometry(), Tempo.Reference);
            return Math.Abs((ours.Maximum.Kilograms / published) - 1);
        });
        largest.ShouldBeLessThan(0.015);
    }

    private static readonly Exercise[] Modelled =
        [.. Catalogue.Shipped.Exercises.Where(e => e.Endurance != EnduranceClass.OwnLogOnly)];

    [Fact]
    public void Forecast_and_estimate_are_exact_inverses() =>
        Gen.Select(
            Gen.Int[0, Modelled.Length - 1].Select(i => Modelled[i]), Gen.Double[2, 150], Gen.Int[1, 30], Gen.Int[0, 4], Gen.Int[1, 5], Gen.Int[0, 3], Gen.Double[0.3, 1])
        .Sample((exercise, load, repetitions, reserve, lowering, pause, left) =>
        {
            var set = new KnownLift(exercise.Id, Mass.FromKilograms(load), repetitions, reserve);
            var tempo = new Tempo(lowering, pause, 1, 0);
            var anchor = MaximumEstimate.FromSet(exercise, People.Man, set, new Geometry(), tempo, left);
            var effort = new ExerciseEffort(exercise, People.Man, anchor, new Geometry());
            if (effort.DemandOf(set.Load) < RepetitionCost.LeastDemand)
            {
                return; // So many slow repetitions that only "no resistance" allows them: not computed.
            }

            double forecast = left / effort.CostOfRepetition(effort.DemandOf(set.Load), tempo);
            forecast.ShouldBe(repetitions + reserve, 0.01);
        });

    [Fact]
    public void More_repetitions_never_estimate_less() =>
        Gen.Select(Gen.Int[0, Modelled.Length - 1].Select(i => Modelled[i]), Gen.Double[2, 150], Gen.Int[1, 29]).Sample((exercise, load, repetitions) =>
            Estimate(exercise, load, repetitions + 1).ShouldBeGreaterThanOrEqualTo(Estimate(exercise, load, repetitions) - 1e-6));

    [Fact]
    public void A_tested_single_is_the_maximum() =>
        Estimate(People.Exercise("barbell-bench-press"), 100, 1).ShouldBe(100, 1e-6);

    private static double Estimate(Exercise exercise, double load, int repetitions) =>
        MaximumEstimate.FromSet(
            exercise, People.Man, new KnownLift(exercise.Id, Mass.FromKilograms(load), repetitions), new Geometry(), Tempo.Reference)
            .Maximum.Kilograms;
}
