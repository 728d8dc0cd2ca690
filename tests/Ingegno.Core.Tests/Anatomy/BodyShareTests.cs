using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Anatomy;

public class BodyShareTests
{
    /// <summary>Melrose and Dawes 2015, J Athl Enhanc 4:1 (from memory; angles read as from the vertical, unverified).</summary>
    [Fact]
    public void Row_share_lies_within_0_05_of_the_suspension_paper()
    {
        foreach (var row in Published.Rows("inverted-row-share.csv"))
        {
            RowShare.AtAngle(row.Number("angle_from_horizontal_deg")).Fraction.ShouldBe(row.Number("share"), 0.05);
        }
    }

    /// <summary>de Leva 1996, J Biomech 29:1223-1230 (from memory).</summary>
    [Theory]
    [InlineData(Sex.Female, "female")]
    [InlineData(Sex.Male, "male")]
    public void Segments_are_de_Levas_and_make_a_whole_body(Sex sex, string column)
    {
        var published = Published.Rows("segment-masses.csv").ToDictionary(r => r["segment"], r => r.Number(column));
        var segment = SegmentMasses.Of(sex);
        segment.Head.Fraction.ShouldBe(published["head"]);
        segment.Trunk.Fraction.ShouldBe(published["trunk"]);
        segment.UpperArm.Fraction.ShouldBe(published["upper arm"]);
        segment.Forearm.Fraction.ShouldBe(published["forearm"]);
        segment.Hand.Fraction.ShouldBe(published["hand"]);
        segment.Thigh.Fraction.ShouldBe(published["thigh"]);
        segment.Shank.Fraction.ShouldBe(published["shank"]);
        segment.Foot.Fraction.ShouldBe(published["foot"]);
        double whole = published["head"] + published["trunk"] + (2 * (published.Values.Sum() - published["head"] - published["trunk"]));
        whole.ShouldBe(1, 0.003);
    }

    /// <summary>Worked by hand from de Leva's table: man 1 - 2 (0.0433 + 0.0137), woman 1 - 2 (0.0481 + 0.0129).</summary>
    [Theory]
    [InlineData(Sex.Male, 0.886)]
    [InlineData(Sex.Female, 0.878)]
    public void A_squat_moves_the_body_less_shanks_and_feet(Sex sex, double share) =>
        BodyShare.StandingOn(2, sex).Fraction.ShouldBe(share, 1e-9);

    [Fact]
    public void A_row_gets_lighter_as_the_grip_rises() =>
        Gen.Select(Gen.Double[0.3, 2.5], Gen.Double[0, 1], Gen.Double[1.4, 2.1]).Sample((grip, more, stature) =>
            RowShare.UnderGrip(Length.FromMetres(grip + more), Length.FromMetres(stature)).Fraction
                .ShouldBeLessThanOrEqualTo(RowShare.UnderGrip(Length.FromMetres(grip), Length.FromMetres(stature)).Fraction + 1e-12));

    [Fact]
    public void Muscle_overlap_is_symmetric_and_whole_with_itself()
    {
        var all = Core.Exercises.Catalogue.Shipped.Exercises;
        Gen.Select(Gen.Int[0, all.Length - 1], Gen.Int[0, all.Length - 1]).Sample((i, j) =>
        {
            all[i].Muscles.OverlapWith(all[j].Muscles).ShouldBe(all[j].Muscles.OverlapWith(all[i].Muscles));
            all[i].Muscles.OverlapWith(all[i].Muscles).Fraction.ShouldBe(1, 1e-9);
        });
    }
}
