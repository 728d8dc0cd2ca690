using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Figures;

/// <summary>The body from the side at a moment of the movement, hips at the origin, from the same joint angles and lengths that give lever arms.</summary>
internal static class SideBody
{
    /// <summary>Sole of the foot from heel to ball, and the height of the ankle over it, over stature (Drillis and Contini, through Winter; from memory).</summary>
    internal const double FootOfStature = 0.11, AnkleOfStature = 0.039;

    /// <param name="at">0 at the start, 1 at the end.</param>
    internal static BodyOutline At(PosePair poses, double at, Length stature, Sex sex)
    {
        var now = Between(poses.Start, poses.End, at);
        var near = Outline(now, stature, sex);
        var other = Outline(Other(poses, now, at), stature, sex);
        bool crosswise = poses.Other == OtherSide.Crosswise;
        return near with { Arm = crosswise ? other.Arm : near.Arm, FarArm = crosswise ? near.Arm : other.Arm, FarLeg = other.Leg };
    }

    internal static Pose Between(Pose a, Pose b, double at) => new(
        Between(a.Trunk, b.Trunk, at), Between(a.Hip, b.Hip, at), Between(a.Knee, b.Knee, at), Between(a.Shoulder, b.Shoulder, at),
        Between(a.Elbow, b.Elbow, at), Between(a.Heel, b.Heel, at));

    private static double Between(double a, double b, double at) => a + ((b - a) * at);

    /// <summary>The angles of the other side; where a foot or a hand has a place to be, it is brought there afterwards (<see cref="Footing"/>).</summary>
    private static Pose Other(PosePair poses, Pose now, double at)
    {
        double straightDown = 90 - now.Trunk;
        return poses.Other switch
        {
            OtherSide.Stays or OtherSide.Crosswise => poses.Start with { Trunk = now.Trunk },
            OtherSide.ArmHangs => now with { Shoulder = now.Trunk > 135 ? 12 : straightDown, Elbow = 5 },
            OtherSide.HandRests => now with { Shoulder = straightDown + 10, Elbow = 15 },
            OtherSide.LegAhead => now with { Hip = Between(40, now.Trunk + 25, at), Knee = Between(40, 5, at) },
            OtherSide.LegBack => now with { Hip = Between(-3, 0, at), Knee = Between(25, 8, at) },
            OtherSide.LegInLine => now with { Knee = 0 },
            OtherSide.LegStands => now with { Hip = straightDown, Knee = 0, Heel = 0 },
            OtherSide.FootLifted => now with { Hip = straightDown + 12, Knee = 75, Heel = 0 },
            OtherSide.FootInFront => now with { Hip = now.Trunk, Knee = 90, Shoulder = straightDown, Elbow = 10 },
            _ => now,
        };
    }

    private static BodyOutline Outline(Pose pose, Length stature, Sex sex)
    {
        var figure = new Figure(pose, stature, sex);
        var arm = new LimbOutline(Of(figure.Shoulder), Of(figure.Elbow), Of(figure.Hand), Of(figure.Hand));
        var ankle = Of(figure.Ankle);
        double shank = (ankle - Of(figure.Knee)).Direction;
        var leg = new LimbOutline(new(0, 0), Of(figure.Knee), ankle, ankle + Spot.Along(shank + 78 - pose.Heel, FootOfStature * stature.Metres));
        return new(Of(figure.Head), Of(figure.Shoulder), new(0, 0), arm, arm, leg, leg);
    }

    private static Spot Of(BodyPoint point) => new(point.Ahead.Metres, point.Up.Metres);
}
