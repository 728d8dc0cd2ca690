using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>A point in the side view: metres ahead of and above the hips.</summary>
public readonly record struct BodyPoint(Length Ahead, Length Up)
{
    public static BodyPoint operator +(BodyPoint a, BodyPoint b) => new(a.Ahead + b.Ahead, a.Up + b.Up);

    public static BodyPoint operator -(BodyPoint a, BodyPoint b) => new(a.Ahead - b.Ahead, a.Up - b.Up);
}

/// <summary>
/// A pose worked out in metres: five links from the hips - trunk with head, upper arm, forearm with hand, thigh, shank with
/// foot. Link lengths from stature (Drillis and Contini, through Winter; from memory); centres of mass along the links from
/// de Leva 1996, J Biomech 29:1223-1230 (from memory), head and trunk taken as one.
/// </summary>
public sealed class Figure
{
    private const double TrunkOfStature = 0.288, UpperArmOfStature = 0.186, ForearmToGripOfStature = 0.146 + 0.054;
    private const double ThighOfStature = 0.245, ShankOfStature = 0.285;

    /// <summary>Where the mass of a link sits, from its end nearer the hips or shoulders, over its length.</summary>
    private const double TrunkWithHeadCentre = 0.66, UpperArmCentre = 0.577, ForearmCentre = 0.55, ThighCentre = 0.41, ShankCentre = 0.50;

    /// <param name="turned">The whole figure turned by so many degrees, for a pose given up to its slope.</param>
    public Figure(Pose pose, Length stature, Sex sex, double turned = 0)
    {
        double trunk = pose.Trunk + turned;
        double upperArm = trunk + 180 + pose.Shoulder;
        double forearm = upperArm + pose.Elbow;
        double thigh = trunk + 180 + pose.Hip;
        double shank = thigh - pose.Knee;

        Shoulder = Along(trunk, stature * TrunkOfStature);
        Elbow = Shoulder + Along(upperArm, stature * UpperArmOfStature);
        Hand = Elbow + Along(forearm, stature * ForearmToGripOfStature);
        Knee = Along(thigh, stature * ThighOfStature);
        Ankle = Knee + Along(shank, stature * ShankOfStature);
        Head = Along(trunk, stature * (TrunkOfStature + 0.13));

        var mass = SegmentMasses.Of(sex);
        Parts =
        [
            new(Along(trunk, stature * (TrunkOfStature * TrunkWithHeadCentre)), mass.Trunk.Fraction + mass.Head.Fraction, FigurePart.TrunkAndHead),
            new(Shoulder + Along(upperArm, stature * (UpperArmOfStature * UpperArmCentre)), 2 * mass.UpperArm.Fraction, FigurePart.Arms),
            new(Elbow + Along(forearm, stature * (ForearmToGripOfStature * ForearmCentre)), 2 * (mass.Forearm.Fraction + mass.Hand.Fraction), FigurePart.Arms),
            new(Along(thigh, stature * (ThighOfStature * ThighCentre)), 2 * mass.Thigh.Fraction, FigurePart.Legs),
            new(Knee + Along(shank, stature * (ShankOfStature * ShankCentre)), 2 * (mass.Shank.Fraction + mass.Foot.Fraction), FigurePart.Legs),
        ];
    }

    public BodyPoint Head { get; }

    public BodyPoint Shoulder { get; }

    public BodyPoint Elbow { get; }

    /// <summary>Middle of a closed grip.</summary>
    public BodyPoint Hand { get; }

    public BodyPoint Knee { get; }

    public BodyPoint Ankle { get; }

    /// <summary>Masses and where they sit; they add up to the body.</summary>
    internal IReadOnlyList<FigureMass> Parts { get; }

    /// <summary>Centre of the whole body's mass.</summary>
    public BodyPoint Centre
    {
        get
        {
            double all = Parts.Sum(p => p.Mass);
            return new(
                Length.FromMetres(Parts.Sum(p => p.Mass * p.At.Ahead.Metres) / all),
                Length.FromMetres(Parts.Sum(p => p.Mass * p.At.Up.Metres) / all));
        }
    }

    private static BodyPoint Along(double degrees, Length length) => new(
        length * Math.Cos(degrees * Math.PI / 180), length * Math.Sin(degrees * Math.PI / 180));
}

/// <summary>Which part of the figure a mass belongs to.</summary>
internal enum FigurePart
{
    TrunkAndHead,
    Arms,
    Legs,
}

/// <summary>A link's mass, as part of the body's, and where it sits.</summary>
internal readonly record struct FigureMass(BodyPoint At, double Mass, FigurePart Part);
