using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Anatomy;

/// <summary>push-up-share.csv: Ebben et al. 2011, Suprak et al. 2011, Gouvali and Boudolos 2005 (from memory).</summary>
public class PushUpShareTests
{
    private static readonly Length EbbenStature = Length.FromMetres(1.75);

    public static TheoryData<double, double> EbbenOnToes() =>
        [.. Rows("Ebben 2011", "toes").Select(r => (r.Number("hands_above_feet_m"), r.Number("share")))];

    [Theory]
    [MemberData(nameof(EbbenOnToes))]
    public void Interpolation_check_the_curve_passes_through_Ebbens_points(double handsAboveFeet, double share) =>
        PushUpShare.OnToes(Length.FromMetres(handsAboveFeet), EbbenStature).Fraction.ShouldBe(share, 1e-9);

    [Theory]
    [InlineData("toes")]
    [InlineData("knees")]
    public void Gouvalis_mean_lies_within_0_03(string support)
    {
        double published = Rows("Gouvali 2005", support).Single().Number("share");
        Share(support).ShouldBe(published, 0.03);
    }

    [Theory]
    [InlineData("toes")]
    [InlineData("knees")]
    public void Supraks_held_positions_lie_at_most_0_12_higher(string support)
    {
        foreach (var held in Rows("Suprak 2011", support))
        {
            (held.Number("share") - Share(support)).ShouldBeInRange(0, 0.12);
        }
    }

    [Fact]
    public void Ebbens_kneeling_push_up_lies_within_0_05() =>
        Share("knees").ShouldBe(Rows("Ebben 2011", "knees").Single().Number("share"), 0.05);

    [Fact]
    public void A_counter_at_90_cm_takes_about_0_29() =>
        PushUpShare.OnToes(Length.FromMetres(0.9), EbbenStature).Fraction.ShouldBe(0.29, 0.015);

    [Fact]
    public void Falls_as_the_hands_rise_and_stays_finite() =>
        Gen.Select(Gen.Double[-3, 3], Gen.Double[0, 1], Gen.Double[1.4, 2.1]).Sample((height, more, stature) =>
        {
            var tall = Length.FromMetres(stature);
            double low = PushUpShare.OnToes(Length.FromMetres(height), tall).Fraction;
            double high = PushUpShare.OnToes(Length.FromMetres(height + more), tall).Fraction;
            double.IsFinite(low).ShouldBeTrue();
            high.ShouldBeLessThanOrEqualTo(low + 1e-12);
            low.ShouldBeInRange(0.10 - 1e-9, 0.74 + 1e-9);
        });

    private static double Share(string support) => support == "toes"
        ? PushUpShare.OnToes(Length.Zero, EbbenStature).Fraction
        : PushUpShare.Kneeling(Length.Zero, EbbenStature).Fraction;

    private static IEnumerable<IReadOnlyDictionary<string, string>> Rows(string source, string support) =>
        Published.Rows("push-up-share.csv").Where(r => r["source"] == source && r["support"] == support);
}
