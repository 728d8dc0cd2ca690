using Ingegno.Core.Dosing;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

public class FitTests
{
    private static readonly Gen<double[]> Parts = Gen.Double[0, 1].Array[7];

    [Theory]
    [InlineData(Role.Main)]
    [InlineData(Role.Secondary)]
    [InlineData(Role.Accessory)]
    public void Weights_add_up_to_one(Role role) => Fit.WeightsFor(role, FitWeights.Default).Sum().ShouldBe(1, 1e-12);

    /// <summary>A coach may write 5 and 4 where the shipped list has .25 and .20: only proportions count.</summary>
    [Fact]
    public void Weights_count_by_their_proportions() =>
        Gen.Select(Parts, Gen.Double[0.1, 50], Gen.Enum<Role>()).Sample((parts, factor, role) =>
        {
            var scaled = new FitWeights
            {
                Main = [.. FitWeights.Default.Main.Select(w => w * factor)],
                Accessory = [.. FitWeights.Default.Accessory.Select(w => w * factor * 2)],
            };
            Fit.Of(parts, role, scaled).Score.Fraction.ShouldBe(Fit.Of(parts, role, FitWeights.Default).Score.Fraction, 1e-9);
        });

    /// <summary>Worked by hand for an accessory line: exp(0.30 ln 0.5 + 0.35 ln 0.8) = 0.7512.</summary>
    [Fact]
    public void The_score_is_the_weighted_geometric_mean()
    {
        var fit = Fit.Of([0.5, 1, 1, 0.8, 1, 1, 1], Role.Accessory, FitWeights.Default);
        fit.Score.Fraction.ShouldBe(0.7512, 0.0001);
        fit.Decisive.ShouldBe(FitPart.Muscles);
    }

    [Fact]
    public void A_better_part_never_lowers_the_score_and_no_part_is_quite_zero() =>
        Gen.Select(Parts, Gen.Int[0, 6], Gen.Double[0, 1], Gen.Enum<Role>()).Sample((parts, which, better, role) =>
        {
            var before = Fit.Of(parts, role, FitWeights.Default);
            double[] improved = [.. parts];
            improved[which] = Math.Max(parts[which], better);
            Fit.Of(improved, role, FitWeights.Default).Score.Fraction.ShouldBeGreaterThanOrEqualTo(before.Score.Fraction - 1e-12);
            before.Score.Fraction.ShouldBeInRange(0.05 - 1e-9, 1);
        });

    /// <summary>Main lines copy the movement, accessory lines the workload (common practice).</summary>
    [Fact]
    public void Direction_costs_a_main_line_more_than_an_accessory_one()
    {
        double[] otherWay = [1, 0.3, 1, 1, 1, 1, 1];
        Fit.Of(otherWay, Role.Main, FitWeights.Default).Score.Fraction.ShouldBeLessThan(Fit.Of(otherWay, Role.Accessory, FitWeights.Default).Score.Fraction);
    }
}
