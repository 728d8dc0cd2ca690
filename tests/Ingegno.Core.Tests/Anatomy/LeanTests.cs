using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Anatomy;

/// <summary>Standing and hanging rows by grip height and where the heels stand.</summary>
public class LeanTests
{
    private static readonly Gen<double> Statures = Gen.Double[1.45, 2.05];

    [Fact]
    public void Heels_further_forward_pull_more() =>
        Gen.Select(Statures, Gen.Double[0.55, 0.75], Gen.Double[-0.15, 0.5], Gen.Double[0.01, 0.2]).Sample((stature, grip, feet, more) =>
        {
            var tall = Length.FromMetres(stature);
            var at = tall * grip;
            RowShare.LeaningBack(at, Length.FromMetres(feet + more), tall).Fraction
                .ShouldBeGreaterThanOrEqualTo(RowShare.LeaningBack(at, Length.FromMetres(feet), tall).Fraction - 1e-9);
            RowShare.LeaningBack(at, Length.FromMetres(feet), tall).Fraction.ShouldBeInRange(0, 0.79);
        });

    /// <summary>Heels under a shoulder-high grip, arm 0.386 and body 0.818 of stature: by the cosine rule 62 degrees.</summary>
    [Fact]
    public void The_angle_follows_from_the_triangle_of_body_arm_and_grip()
    {
        const double stature = 1.71, grip = 1.25;
        double between = Math.Acos(((0.818 * 0.818 * stature * stature) + (grip * grip) - (0.386 * 0.386 * stature * stature)) / (2 * 0.818 * stature * grip));
        RowShare.AngleLeaningBack(Length.FromMetres(grip), Length.Zero, Length.FromMetres(stature))
            .ShouldBe(90 - (between * 180 / Math.PI), 0.01);
    }

    [Fact]
    public void A_grip_out_of_reach_leaves_the_body_upright() =>
        RowShare.AngleLeaningBack(Length.FromMetres(2.5), Length.Zero, Length.FromMetres(1.7)).ShouldBe(90);

    [Fact]
    public void A_strap_is_as_long_as_the_rail_is_too_high()
    {
        RowShare.StrapDrop(Length.FromMetres(2.1), Length.FromMetres(0.9)).Metres.ShouldBe(1.2, 1e-9);
        RowShare.StrapDrop(Length.FromMetres(0.8), Length.FromMetres(0.9)).ShouldBe(Length.Zero);
    }
}
