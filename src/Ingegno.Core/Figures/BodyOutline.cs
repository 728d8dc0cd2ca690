namespace Ingegno.Core.Figures;

/// <summary>An arm or a leg: where it leaves the trunk, its middle joint, its end, and the tip of the foot or the hand once more.</summary>
internal readonly record struct LimbOutline(Spot Root, Spot Middle, Spot End, Spot Tip)
{
    internal LimbOutline With(Func<Spot, Spot> move) => new(move(Root), move(Middle), move(End), move(Tip));

    /// <summary>The same limb with its end somewhere else, as near as its lengths allow, bending to the same side.</summary>
    /// <param name="tip">From the end to the tip.</param>
    internal LimbOutline Reaching(Spot end, Spot tip)
    {
        double first = (Middle - Root).Far, second = (End - Middle).Far;
        var way = end - Root;
        double far = Math.Clamp(way.Far, Math.Abs(first - second) + 1e-6, first + second - 1e-6);
        double opening = Math.Acos(Math.Clamp(((first * first) + (far * far) - (second * second)) / (2 * first * far), -1, 1)) * 180 / Math.PI;
        double side = Cross(End - Root, Middle - Root) >= 0 ? 1 : -1;
        var middle = Root + Spot.Along(way.Direction + (side * opening), first);
        var reached = middle + Spot.Along((Root + Spot.Along(way.Direction, far) - middle).Direction, second);
        return new(Root, middle, reached, reached + tip);
    }

    private static double Cross(Spot a, Spot b) => (a.X * b.Y) - (a.Y * b.X);
}

/// <summary>The body as lines: what is drawn of it.</summary>
internal sealed record BodyOutline(Spot Head, Spot Shoulders, Spot Hips, LimbOutline Arm, LimbOutline FarArm, LimbOutline Leg, LimbOutline FarLeg)
{
    internal BodyOutline With(Func<Spot, Spot> move) => new(
        move(Head), move(Shoulders), move(Hips), Arm.With(move), FarArm.With(move), Leg.With(move), FarLeg.With(move));

    internal BodyOutline Moved(Spot by) => With(p => p + by);

    internal BodyOutline Turned(double degrees) => With(p => p.Turned(degrees));

    internal IEnumerable<Spot> Spots =>
        [Head, Shoulders, Hips, Arm.Middle, Arm.End, FarArm.Middle, FarArm.End, Leg.Middle, Leg.End, Leg.Tip, FarLeg.Middle, FarLeg.End, FarLeg.Tip];
}
