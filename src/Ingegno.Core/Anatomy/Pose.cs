namespace Ingegno.Core.Anatomy;

/// <summary>
/// A position of the body seen from the side, as joint angles in degrees. 0 everywhere is standing straight, arms
/// hanging. Both limbs take the same position; one-limb exercises are told by the limb that works.
/// </summary>
/// <param name="Trunk">Hips to shoulders over the horizontal: 90 upright, 0 level and face down, 180 level and face up, -45 head down.</param>
/// <param name="Hip">Flexion: 0 straight, 90 thighs at a right angle to the trunk; negative behind it.</param>
/// <param name="Knee">Flexion: 0 straight.</param>
/// <param name="Shoulder">Flexion: 0 arms along the trunk, 90 straight ahead, 180 overhead; negative behind.</param>
/// <param name="Elbow">Flexion: 0 straight.</param>
/// <param name="Heel">Points the foot: 0 at a right angle to the shank, 40 high on the toes, negative with the toes pulled up.</param>
public sealed record Pose(double Trunk, double Hip, double Knee, double Shoulder, double Elbow, double Heel = 0);

/// <summary>The joint angles an exercise starts from and ends at, and what carries the body meanwhile.</summary>
/// <param name="Other">What the limb does that does not work, where one works alone.</param>
public sealed record PosePair(Pose Start, Pose End, PoseSupport Support, OtherSide Other = OtherSide.Mirrors);

/// <summary>A movement that is only seen from the front. Nothing is computed from it; it is drawn.</summary>
public sealed record FrontPair(FrontPose Start, FrontPose End, FrontSupport Support = FrontSupport.Feet);

/// <summary>What a body seen from the front rests on.</summary>
public enum FrontSupport
{
    Feet,

    /// <summary>Lying on the far side.</summary>
    Side,

    /// <summary>Far elbow or hand and the feet, the far side down.</summary>
    ArmAndFeet,

    /// <summary>Far elbow or hand and the knees, the far side down.</summary>
    ArmAndKnees,
}

/// <summary>
/// A position seen from the front, as angles in degrees in that plane. The near limbs are those on the right of the picture, or on top of a body that
/// lies on its side; 0 everywhere is standing straight, arms hanging.
/// </summary>
/// <param name="Lean">Trunk from upright: 90 lying on the far side, head to the right.</param>
/// <param name="Arm">Near upper arm out from the trunk: 90 level, 180 overhead. <paramref name="FarArm"/> alike.</param>
/// <param name="Elbow">Bent inwards and up. <paramref name="FarElbow"/> alike.</param>
/// <param name="Leg">Near thigh out from under the hips, negative across. <paramref name="FarLeg"/> alike.</param>
/// <param name="Knee">Bent inwards. <paramref name="FarKnee"/> alike.</param>
public sealed record FrontPose(
    double Lean = 0, double Arm = 8, double FarArm = 8, double Elbow = 0, double FarElbow = 0, double Leg = 4, double FarLeg = 4, double Knee = 0, double FarKnee = 0);

/// <summary>What the limbs of the side that does not work do.</summary>
public enum OtherSide
{
    /// <summary>The same as the working side.</summary>
    Mirrors,

    /// <summary>They stay as they start.</summary>
    Stays,

    /// <summary>The arm hangs; the legs do the same.</summary>
    ArmHangs,

    /// <summary>The hand rests on what supports it, or on the thigh.</summary>
    HandRests,

    /// <summary>The foot stands behind from beginning to end.</summary>
    FootBehind,

    /// <summary>The foot goes back from beside the other.</summary>
    StepsBack,

    /// <summary>The foot comes up from the floor to beside the other.</summary>
    StepsUp,

    /// <summary>The leg is held out in front.</summary>
    LegAhead,

    /// <summary>The leg goes back in line with the trunk.</summary>
    LegBack,

    /// <summary>The leg is held straight on from the trunk.</summary>
    LegInLine,

    /// <summary>The leg stands straight.</summary>
    LegStands,

    /// <summary>The foot is off the floor, the knee bent.</summary>
    FootLifted,

    /// <summary>The foot is flat in front, the working knee on the floor.</summary>
    FootInFront,

    /// <summary>The leg stays as it starts and the other arm does what the near one would: opposite arm and leg.</summary>
    Crosswise,
}

/// <summary>What the body rests on.</summary>
public enum PoseSupport
{
    Feet,
    HandsAndFeet,
    HandsAndKnees,
    ShouldersAndFeet,
    Hands,
    Back,
    Seat,
    Front,

    /// <summary>The feet, the back against a wall.</summary>
    Wall,
}
