using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Figures;

/// <summary>Where a band runs at a moment: from what it is tied to or stood on, to what pulls at it.</summary>
internal sealed class BandRunning
{
    /// <summary>Between the body and what the band is tied to, in metres; drawn nearer than it is.</summary>
    private const double Away = 0.6;

    private readonly BandRun _run;
    private readonly Func<BodyOutline, Spot> _pulled;
    private readonly double _footing;

    private BandRunning(BandRun run, Func<BodyOutline, Spot> pulled, Spot? anchor, double footing) => (_run, _pulled, Anchor, _footing) = (run, pulled, anchor, footing);

    /// <summary>What it is tied to; null where it is tied to nothing.</summary>
    internal Spot? Anchor { get; }

    /// <param name="anchor">Height it is tied at; that of its zone where none is known.</param>
    internal static BandRunning Of(BandRun run, Pattern pattern, BodyOutline start, BodyOutline end, Length? anchor, Length stature)
    {
        bool atFoot = Moved(b => b.Leg.End) > Moved(b => b.Arm.End);
        Func<BodyOutline, Spot> pulled = atFoot ? b => b.Leg.End : b => b.Arm.End;
        if (run.Hold != BandHold.Anchored)
        {
            return new(run, pulled, null, start.Leg.End.Y);
        }

        double height = (anchor ?? AnchorHeights.Wanted(run.Anchor ?? AnchorZone.Middle, new Landmarks(stature))).Metres;
        // A press has it behind, a pull in front; of the others it gets longer towards the end, which tells on which side it is tied.
        var spots = start.Spots.Concat(end.Spots).ToArray();
        Spot ahead = new(spots.Max(s => s.X) + Away, height), behind = new(spots.Min(s => s.X) - Away, height);
        return new(run, pulled, IsAhead() ? ahead : behind, 0);

        bool IsAhead() => pattern switch
        {
            Pattern.HorizontalPress or Pattern.Fly => false,
            Pattern.HorizontalPull or Pattern.VerticalPull or Pattern.RearFly => true,
            _ => Longer(ahead) >= Longer(behind),
        };

        double Moved(Func<BodyOutline, Spot> of) => (of(end) - of(start)).Far;
        double Longer(Spot at) => (pulled(end) - at).Far - (pulled(start) - at).Far;
    }

    internal IEnumerable<FigureStroke> At(BodyOutline body)
    {
        var trunk = body.Shoulders - body.Hips;
        var back = new Spot(-trunk.Y, trunk.X) * (0.08 / trunk.Far);
        return _run.Hold switch
        {
            BandHold.Anchored => [Line(Anchor!.Value, _pulled(body))],
            BandHold.Underfoot => [Line(new Spot(body.Leg.End.X, Math.Max(_footing - 0.05, 0)), _pulled(body) is var at && (at - body.Leg.End).Far < 0.05 ? body.Shoulders : body.Arm.End)],
            BandHold.AroundBack => [Line(body.Hips + (trunk * 0.85) + back, body.Arm.End)],
            BandHold.AroundThighs => [new(FigureInk.Band, 0.03, [Between(body.Leg), Between(body.FarLeg) + new Spot(0.001, 0)])],
            BandHold.Sling => [Line(body.Hips + (trunk * 0.75) + new Spot(0, 1.1), body.Hips + (trunk * 0.75))],
            BandHold.HandToHand => [Line(body.Arm.End, body.FarArm.End)],
            _ => [Line(body.Arm.End, (body.Leg.Middle + body.FarLeg.Middle) * 0.5)],
        };

        static FigureStroke Line(Spot a, Spot b) => new(FigureInk.Band, 0.022, [a, b]);
        static Spot Between(LimbOutline leg) => (leg.Root * 0.35) + (leg.Middle * 0.65);
    }
}
