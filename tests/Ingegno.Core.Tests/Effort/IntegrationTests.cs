using Ingegno.Core.Effort;
using Ingegno.Core.Quantities;
using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.OdeSolvers;

namespace Ingegno.Core.Tests.Effort;

/// <summary>
/// The closed forms of the budget against stepping its differential equations through time: work fills the pools at a steady rate and
/// rest lets each fall by its own time constant (engine constants by common practice; Runge-Kutta of MathNet.Numerics).
/// </summary>
public class IntegrationTests
{
    private static readonly (double Share, double Seconds)[] Pools = [(0.60, 30), (0.37, 170), (0.03, 1800)];

    [Fact]
    public void Sets_and_rests_stepped_through_time_give_the_forecast() =>
        Gen.Select(Gen.Double[0.02, 0.2], Gen.Int[1, 12], Gen.Int[1, 5], Gen.Int[10, 240], Gen.Int[2, 9])
            .Sample((cost, count, sets, rest, repetition) =>
            {
                var forecast = SetForecast.Series(cost, [.. Enumerable.Repeat(count, sets)], Duration.FromSeconds(rest), Demand.Of(0.7));
                var pools = Vector<double>.Build.Dense(3);
                for (int i = 0; i < sets; i++)
                {
                    double left = 1 - pools.Sum();
                    forecast[i].ToFailure.ShouldBe(left / cost, 2e-3 / cost);
                    double done = Math.Min(count, left / cost);
                    double seconds = done * repetition, rate = cost / repetition;
                    pools = Stepped(pools, seconds, (_, _) => Vector<double>.Build.Dense(3, p => Pools[p].Share * rate));
                    pools = Stepped(pools, rest, (_, y) => Vector<double>.Build.Dense(3, p => -y[p] / Pools[p].Seconds));
                }
            });

    /// <summary>A partner's set on shared muscles drains at its place in the rest, neither before nor after.</summary>
    [Fact]
    public void A_partner_drains_at_its_place_in_the_rest() =>
        Gen.Select(Gen.Int[10, 120], Gen.Int[10, 120], Gen.Double[0, 0.3]).Sample((before, after, drain) =>
        {
            var series = new SetSeries(0.05, Demand.Of(0.7), [10, 10],
                SetInterval.Of([], [new(Duration.FromSeconds(before), drain), new(Duration.FromSeconds(after), 0)]), Duration.FromSeconds(3));
            var pools = Vector<double>.Build.Dense(3, p => Pools[p].Share * 10 * 0.05);
            pools = Stepped(pools, before, (_, y) => Vector<double>.Build.Dense(3, p => -y[p] / Pools[p].Seconds));
            pools += Vector<double>.Build.Dense(3, p => Pools[p].Share * drain);
            pools = Stepped(pools, after, (_, y) => Vector<double>.Build.Dense(3, p => -y[p] / Pools[p].Seconds));
            SetForecast.Of(series)[1].ToFailure.ShouldBe((1 - pools.Sum()) / 0.05, 0.05);
        });

    private static Vector<double> Stepped(Vector<double> from, double seconds, Func<double, Vector<double>, Vector<double>> change) =>
        seconds <= 0 ? from : RungeKutta.FourthOrder(from, 0, seconds, Math.Max(3, (int)seconds), change)[^1];
}
