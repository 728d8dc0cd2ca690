using Ingegno.Core.Effort;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

public class BudgetTraceTests
{
    private static readonly Duration Rest = Duration.FromSeconds(90), Repetition = Duration.FromSeconds(3);

    /// <summary>Worked by hand: eight of ten drain 0.8 in 24 s; 90 s of rest leave 0.8 (0.6 e^-3 + 0.37 e^-0.529 + 0.03 e^-0.05) = 0.221.</summary>
    [Fact]
    public void Rises_while_working_and_falls_while_resting()
    {
        var points = SetForecast.Trace(0.1, [8, 7], Rest, Repetition);
        points[0].ShouldBe(new BudgetPoint(Duration.Zero, 0));
        points[1].At.Seconds.ShouldBe(24, 1e-9);
        points[1].Drained.ShouldBe(0.8, 1e-9);
        var rested = points.Single(p => Math.Abs(p.At.Seconds - 114) < 1e-6);
        rested.Drained.ShouldBe(0.221, 0.001);
        points[^1].At.Seconds.ShouldBe(135, 1e-9);
    }

    [Fact]
    public void Never_passes_failure_never_goes_back_in_time_and_agrees_with_the_forecast() =>
        Gen.Select(Gen.Double[0.02, 0.5], Gen.Int[1, 20].Array[1, 5], Gen.Int[0, 300]).Sample((cost, repetitions, rest) =>
        {
            var between = Duration.FromSeconds(rest);
            var points = SetForecast.Trace(cost, repetitions, between, Repetition);
            points.ShouldAllBe(p => p.Drained >= 0 && p.Drained <= 1 + 1e-9);
            points.Zip(points.Skip(1)).ShouldAllBe(p => p.First.At <= p.Second.At);
            var last = SetForecast.Series(cost, repetitions, between, Demand.Of(0.6))[^1];
            points[^1].Drained.ShouldBe(1 - ((last.ToFailure - Math.Min(last.Planned, last.ToFailure)) * cost), 1e-6);
        });

    /// <summary>By hand from the formulas as LeSuer et al. 1997 collect them (from memory): 100 kg for ten.</summary>
    [Fact]
    public void The_published_formulas_at_ten()
    {
        var hundred = Mass.FromKilograms(100);
        MaximumFormulas.Lombardi(hundred, 10).Kilograms.ShouldBe(125.9, 0.05);
        MaximumFormulas.OConner(hundred, 10).Kilograms.ShouldBe(125, 0.05);
        MaximumFormulas.Wathan(hundred, 10).Kilograms.ShouldBe(134.7, 0.1);
        MaximumFormulas.Mayhew(hundred, 10).Kilograms.ShouldBe(130.9, 0.1);
    }
}
