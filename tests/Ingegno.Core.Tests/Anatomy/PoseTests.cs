using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Anatomy;

public class PoseTests
{
    private static readonly Length Stature = Length.FromMetres(1.75);

    /// <summary>The top of a push-up: body straight, arms hanging.</summary>
    private static readonly Pose PushUpTop = new(Trunk: 25, Hip: 0, Knee: 0, Shoulder: 65, Elbow: 0);

    /// <summary>Suprak et al. 2011, J Strength Cond Res 25:497-503 (from memory): held at the top 0.6916 of body mass on the hands.</summary>
    [Fact]
    public void Statics_of_a_held_push_up_agree_with_Suprak()
    {
        double published = Published.Rows("push-up-share.csv")
            .Single(r => r["source"] == "Suprak 2011" && r["support"] == "toes" && r["position"] == "top").Number("share");
        PoseStatics.OnHands(PushUpTop, Length.Zero, Stature, Sex.Male)!.Value.Fraction.ShouldBe(published, 0.02);
    }

    [Theory]
    [InlineData(Sex.Female)]
    [InlineData(Sex.Male)]
    public void A_standing_figure_is_as_tall_as_its_links(Sex sex)
    {
        var figure = new Figure(new Pose(90, 0, 0, 0, 0), Stature, sex);

        // Shoulder height 0.818 of stature (Drillis and Contini; from memory), hands hanging in front of the thighs.
        (figure.Shoulder.Up - figure.Ankle.Up).Metres.ShouldBe(0.818 * 1.75, 0.002);
        figure.Hand.Ahead.Metres.ShouldBe(0, 1e-9);
        figure.Centre.Ahead.Metres.ShouldBe(0, 1e-9);

        // The centre of mass of a standing adult lies at 0.55 to 0.57 of stature (general anatomy; from memory).
        ((figure.Centre.Up - figure.Ankle.Up).Metres / 1.75).ShouldBe(0.56, 0.025);
    }

    /// <summary>Engine value, derived by hand: trunk, head and arms 0.60 of the body at 0.63 of the arm, so 0.38 in the hand; the pose gives a little more as the arms hang ahead.</summary>
    [Fact]
    public void A_level_trunk_counts_about_0_4_in_the_hands() =>
        PoseStatics.HingeInTheHand(new Pose(0, 90, 0, 90, 0), Stature, Sex.Male).Fraction.ShouldBe(0.40, 0.04);

    [Fact]
    public void Raising_the_feet_of_a_pike_loads_the_hands_more_and_never_beyond_the_body() =>
        Gen.Select(Gen.Double[0, 0.9], Gen.Double[0, 0.3], Gen.Double[1.45, 2.05], Gen.Enum<Sex>()).Sample((raised, more, stature, sex) =>
        {
            var low = PikeShare.OnHands(Length.FromMetres(-raised), Length.FromMetres(stature), sex);
            var high = PikeShare.OnHands(Length.FromMetres(-raised - more), Length.FromMetres(stature), sex);
            high.Fraction.ShouldBeGreaterThanOrEqualTo(low.Fraction - 1e-9);
            high.Fraction.ShouldBeInRange(0.4, 1.0);
        });

    [Fact]
    public void Turned_to_its_supports_the_hands_stand_where_they_were_asked() =>
        Gen.Double[-0.6, 0.6].Sample(height =>
        {
            var figure = PoseStatics.Turned(PushUpTop, Length.FromMetres(height), Stature, Sex.Male)!;
            (figure.Hand.Up - figure.Ankle.Up).Metres.ShouldBe(height, 1e-9);
        });

    [Fact]
    public void A_pose_that_cannot_span_the_height_gives_nothing() =>
        PoseStatics.OnHands(PushUpTop, Length.FromMetres(2.5), Stature, Sex.Male).ShouldBeNull();

    /// <summary>A weight at arm's length turns the shoulder by weight times arm (general mechanics).</summary>
    [Fact]
    public void A_weight_held_straight_ahead_turns_the_shoulder_by_its_lever()
    {
        var ahead = new Pose(90, 0, 0, 90, 0);
        PoseStatics.HandLever(ahead, PoseJoint.Shoulder, Stature, Sex.Male).Metres.ShouldBe(1.75 * 0.386, 1e-6);
        PoseStatics.HandMoment(ahead, PoseJoint.Shoulder, Mass.FromKilograms(5), Stature, Sex.Male)
            .ShouldBe(5 * 9.80665 * 1.75 * 0.386, 1e-6);
        PoseStatics.HandLever(new Pose(90, 0, 0, 0, 0), PoseJoint.Shoulder, Stature, Sex.Male).Metres.ShouldBe(0, 1e-9);
    }

    /// <summary>Seen from the front, or, as the get-up, gone through in more than two positions.</summary>
    private static readonly string[] SeenFromTheFront =
    [
        "side-plank", "knee-side-plank", "side-plank-reach", "raised-inner-thigh-plank", "clamshell", "mini-band-clamshell", "side-lying-leg-raise",
        "side-lying-inner-raise", "side-lying-external-rotation", "lying-side-raise", "kneeling-side-raise", "band-side-leg-raise", "get-up",
    ];

    /// <summary>Work on one's side is told from the front; every other home exercise has its joint angles.</summary>
    [Fact]
    public void Every_home_exercise_in_the_side_view_has_a_pose_within_what_joints_do()
    {
        var home = Catalogue.Shipped.Exercises.Where(e => e.Setting != Setting.Gym).ToArray();
        home.Where(e => e.Poses is null && !SeenFromTheFront.Contains(e.Id)).Select(e => e.Id).ShouldBeEmpty();
        foreach (var pose in home.Select(e => e.Poses).OfType<PosePair>().SelectMany(p => new[] { p.Start, p.End }))
        {
            pose.Hip.ShouldBeInRange(-30, 130);
            pose.Knee.ShouldBeInRange(0, 150);
            pose.Shoulder.ShouldBeInRange(-70, 190);
            pose.Elbow.ShouldBeInRange(0, 150);
        }
    }

    [Fact]
    public void Every_model_names_its_joint_its_position_and_its_test() =>
        Enum.GetValues<BodyModel>().Select(BodyModelStory.Of).ShouldAllBe(s => s.Joint.Length > 0 && s.Position.Length > 0 && s.Test.Length > 0);
}
