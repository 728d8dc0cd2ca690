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
public sealed record Pose(double Trunk, double Hip, double Knee, double Shoulder, double Elbow);

/// <summary>The joint angles an exercise starts from and ends at, and what carries the body meanwhile.</summary>
public sealed record PosePair(Pose Start, Pose End, PoseSupport Support);

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
}
