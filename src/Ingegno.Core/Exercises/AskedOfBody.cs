using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>
/// What every exercise of a pattern or position asks of the body, whether its record says so or not: a curl works the elbow, whoever stands needs
/// the height, nobody pregnant lies on the front. The record may ask more, never less.
/// </summary>
internal static class AskedOfBody
{
    /// <summary>Standing upright, over stature.</summary>
    private static readonly Share Standing = Share.Of(1.01);

    /// <summary>A trunk steeper than this over legs straighter than that, in degrees, stands.</summary>
    private const double Upright = 60, Bent = 45;

    /// <summary>Balance on the catalogue's scale that is not asked in pregnancy.</summary>
    private const int Unsteady = 3;

    internal static Exercise Completed(Exercise e) => e with
    {
        Joints = Joints(e.Joints, e.Pattern),
        Conditions = [.. e.Conditions.Concat(Against(e)).Distinct()],
        Room = Stands(e) && e.Room.HeadroomOfStature == new RoomNeed().HeadroomOfStature ? e.Room with { HeadroomOfStature = Standing } : e.Room,
    };

    /// <summary>Those named, and those the movement bends anyway.</summary>
    internal static ImmutableArray<JointStress> Joints(ImmutableArray<JointStress> named, Pattern pattern) =>
        [.. named, .. OfPattern(pattern).Where(j => named.All(own => own.Joint != j)).Select(j => new JointStress(j, 1))];

    private static bool Stands(Exercise e) =>
        e.Poses is { Support: PoseSupport.Feet } poses && (IsUpright(poses.Start) || IsUpright(poses.End));

    private static bool IsUpright(Pose pose) => pose is { Trunk: >= Upright, Hip: < Bent, Knee: < Bent };

    private static IEnumerable<HealthQuestion> Against(Exercise e)
    {
        if (e.Poses is { Support: PoseSupport.Front } || e.Pattern is Pattern.TrunkFlexion or Pattern.Jump || e.Room.Noise == Noise.Loud || (e.Steadiness >= Unsteady && e.Pattern == Pattern.Squat))
        {
            yield return HealthQuestion.Pregnancy;
        }
    }

    private static ImmutableArray<Joint> OfPattern(Pattern pattern) => pattern switch
    {
        Pattern.HorizontalPress or Pattern.VerticalPress or Pattern.Dip => [Joint.Shoulder, Joint.Elbow, Joint.Wrist],
        Pattern.HorizontalPull or Pattern.VerticalPull => [Joint.Shoulder, Joint.Elbow],
        Pattern.Fly or Pattern.RearFly or Pattern.ShoulderRaise or Pattern.ShoulderBlade or Pattern.CuffRotation => [Joint.Shoulder],
        Pattern.Shrug => [Joint.Neck, Joint.Shoulder],
        Pattern.ElbowFlexion or Pattern.ElbowExtension => [Joint.Elbow, Joint.Wrist],
        Pattern.Forearm => [Joint.Wrist],
        Pattern.Squat => [Joint.Knee, Joint.Hip, Joint.Ankle],
        Pattern.Jump => [Joint.Knee, Joint.Hip, Joint.Ankle],
        Pattern.KneeExtension or Pattern.KneeFlexion => [Joint.Knee],
        Pattern.Hinge => [Joint.LowerBack, Joint.Hip],
        Pattern.HipThrust or Pattern.HipExtension => [Joint.Hip, Joint.LowerBack],
        Pattern.HipAbduction or Pattern.HipAdduction => [Joint.Hip],
        Pattern.CalfRaise or Pattern.ShinRaise => [Joint.Ankle],
        Pattern.TrunkFlexion or Pattern.TrunkRotation or Pattern.TrunkBrace => [Joint.LowerBack],
        Pattern.Carry => [Joint.LowerBack, Joint.Wrist],
        _ => [],
    };
}
