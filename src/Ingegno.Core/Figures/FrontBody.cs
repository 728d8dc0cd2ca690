using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Figures;

/// <summary>The body from the front at a moment of the movement, middle of the hips at the origin.</summary>
internal static class FrontBody
{
    /// <summary>From the middle to a shoulder and to a hip, and lengths of the links, over stature (Drillis and Contini, through Winter; from memory).</summary>
    private const double ShoulderOfStature = 0.115, HipOfStature = 0.06, TrunkOfStature = 0.288, HeadOfStature = 0.13;

    private const double UpperArm = 0.186, Forearm = 0.2, Thigh = 0.245, Shank = 0.285, Foot = 0.05;

    internal static BodyOutline At(FrontPair poses, double at, Length stature)
    {
        var (a, b) = (poses.Start, poses.End);
        double m = stature.Metres, lean = Between(a.Lean, b.Lean, at);
        double up = 90 - lean, down = up + 180, right = -lean;
        var shoulders = Spot.Along(up, TrunkOfStature * m);
        // Seen from the front an arm goes out to the right counter-clockwise from hanging, to the left clockwise.
        return new(
            Spot.Along(up, (TrunkOfStature + HeadOfStature) * m), shoulders, new(0, 0),
            Limb(shoulders + Spot.Along(right, ShoulderOfStature * m), down, 1, Between(a.Arm, b.Arm, at), Between(a.Elbow, b.Elbow, at), UpperArm * m, Forearm * m, 0),
            Limb(shoulders - Spot.Along(right, ShoulderOfStature * m), down, -1, Between(a.FarArm, b.FarArm, at), Between(a.FarElbow, b.FarElbow, at), UpperArm * m, Forearm * m, 0),
            Limb(Spot.Along(right, HipOfStature * m), down, 1, Between(a.Leg, b.Leg, at), -Between(a.Knee, b.Knee, at), Thigh * m, Shank * m, Foot * m),
            Limb(Spot.Along(right, -HipOfStature * m), down, -1, Between(a.FarLeg, b.FarLeg, at), -Between(a.FarKnee, b.FarKnee, at), Thigh * m, Shank * m, Foot * m));
    }

    private static LimbOutline Limb(Spot root, double down, int side, double outwards, double bend, double first, double second, double tip)
    {
        double upper = down + (side * outwards), lower = upper + (side * bend);
        var middle = root + Spot.Along(upper, first);
        var end = middle + Spot.Along(lower, second);
        return new(root, middle, end, end + Spot.Along(lower + (side * 70), tip));
    }

    private static double Between(double a, double b, double at) => a + ((b - a) * at);
}
