using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

public class EnduranceCurveTests
{
    private static readonly EnduranceClass[] Classes =
        [EnduranceClass.Upper, EnduranceClass.Lower, EnduranceClass.LegExtension, EnduranceClass.LegCurl, EnduranceClass.ArmCurl, EnduranceClass.SitUp];

    /// <summary>Haff and Triplett's load chart (from memory); its rows for 11 and 12 kink and are left out.</summary>
    [Fact]
    public void Interpolation_check_the_base_curve_is_the_load_chart()
    {
        foreach (var row in Published.Rows("reps-at-percent.csv").Where(r => r["reps"] is not ("11" or "12")))
        {
            EnduranceCurve.Base(trained: true).FreshRepetitions(Demand.Of(row.Number("percent_1rm") / 100))
                .ShouldBe(row.Number("reps"), 1e-9);
        }
    }

    /// <summary>Hoeger et al. 1990 (from memory), at 40 and 60 percent; at 80 the isolation classes keep Hoeger's ratio to bench.</summary>
    [Theory]
    [InlineData("bench press", EnduranceClass.Upper)]
    [InlineData("leg extension", EnduranceClass.LegExtension)]
    [InlineData("leg curl", EnduranceClass.LegCurl)]
    [InlineData("arm curl", EnduranceClass.ArmCurl)]
    [InlineData("sit-up", EnduranceClass.SitUp)]
    public void Interpolation_check_light_demands_are_Hoegers_table(string exercise, EnduranceClass endurance)
    {
        foreach (var row in Published.Rows("reps-by-exercise.csv").Where(r => r["exercise"] == exercise))
        {
            var curve = EnduranceCurve.For(endurance, row["group"] == "trained", 1, Share.Zero);
            curve.FreshRepetitions(Demand.Of(0.4)).ShouldBe(row.Number("at_40"), 1e-6);
            curve.FreshRepetitions(Demand.Of(0.6)).ShouldBe(row.Number("at_60"), 1e-6);
        }
    }

    /// <summary>
    /// The load chart is about bar percentages; leg work counts the body too. Read back by bar percent, lifters of any
    /// strength get the chart.
    /// </summary>
    [Theory]
    [InlineData(0.75)]
    [InlineData(1.5)]
    [InlineData(2.5)]
    public void The_squat_class_gives_the_chart_back_by_bar_percent(double maximumOverBodyMass)
    {
        const double share = 0.886;
        var curve = EnduranceCurve.For(EnduranceClass.Lower, trained: true, maximumOverBodyMass, Share.Of(share));
        foreach (var row in Published.Rows("reps-at-percent.csv").Where(r => r["reps"] is not ("11" or "12")))
        {
            double bar = row.Number("percent_1rm") / 100;
            double demand = ((bar * maximumOverBodyMass) + share) / (maximumOverBodyMass + share);
            curve.FreshRepetitions(Demand.Of(demand)).ShouldBe(row.Number("reps"), 1e-6);
        }
    }

    /// <summary>Three seconds a repetition times the chart against Rohmert 1960's holding time: neither was fitted to the other.</summary>
    [Fact]
    public void Chart_times_three_seconds_agrees_with_Rohmert_within_15_percent_from_65_to_90()
    {
        foreach (var row in Published.Rows("reps-at-percent.csv").Where(r => r.Number("percent_1rm") is >= 65 and <= 90))
        {
            double seconds = HoldingTime.At(Demand.Of(row.Number("percent_1rm") / 100)).Seconds;
            (3 * row.Number("reps") / seconds).ShouldBeInRange(0.85, 1.15, $"at {row["percent_1rm"]} %");
        }
    }

    /// <summary>Frey Law and Avin 2010, Ergonomics 53:109-129 (from memory): shoulder 14.86 k^-1.83 s, elbow 17.98 k^-2.21 s.</summary>
    [Fact]
    public void Rohmert_lies_between_the_shoulder_and_elbow_curves_from_0_3_to_0_8()
    {
        for (double k = 0.30; k <= 0.801; k += 0.05)
        {
            double shoulder = 14.86 * Math.Pow(k, -1.83), elbow = 17.98 * Math.Pow(k, -2.21);
            HoldingTime.At(Demand.Of(k)).Seconds.ShouldBeInRange(Math.Min(shoulder, elbow), Math.Max(shoulder, elbow), $"at {k:0.00}");
        }
    }

    [Fact]
    public void More_demand_never_allows_more_repetitions() =>
        Gen.Select(Gen.Int[0, Classes.Length - 1].Select(i => Classes[i]), Gen.Bool, Gen.Double[0.5, 3], Gen.Double[0.05, 1.3], Gen.Double[0, 0.5]).Sample(
            (endurance, trained, strength, demand, more) =>
            {
                var curve = EnduranceCurve.For(endurance, trained, strength, Share.Of(0.886));
                curve.FreshRepetitions(Demand.Of(demand + more))
                    .ShouldBeLessThanOrEqualTo(curve.FreshRepetitions(Demand.Of(demand)) * (1 + 1e-12));
            });

    [Fact]
    public void Equal_demand_means_equal_repetitions_on_the_base_curve() =>
        Gen.Select(Gen.Int[0, Classes.Length - 1].Select(i => Classes[i]), Gen.Double[0.75, 2.5], Gen.Double[0.35, 1]).Sample((endurance, strength, demand) =>
        {
            var curve = EnduranceCurve.For(endurance, trained: true, strength, Share.Of(0.886));
            var equivalent = curve.EquivalentOf(Demand.Of(demand), trained: true);
            if (equivalent.Value > 0)
            {
                EnduranceCurve.Base(trained: true).FreshRepetitions(equivalent)
                    .ShouldBe(curve.FreshRepetitions(Demand.Of(demand)), 1e-6);
            }
        });
}
