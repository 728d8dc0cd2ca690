using System.Collections.Immutable;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Figures;

/// <summary>Draws the set-up of an exercise from its joint angles.</summary>
public static class Drawing
{
    /// <summary>Moments from start to end; enough that the pacer moves without jerks.</summary>
    private const int Moments = 9;

    private const double TrunkWidth = 0.105, LimbWidth = 0.062, FarWidth = 0.055, HeadWidth = 0.19;

    /// <summary>Deeper in the floor than lines are thick: the side view does not tell this movement.</summary>
    private const double Sunk = 0.15;

    /// <summary>Lengths of widths are for an ordinary stature.</summary>
    private const double OrdinaryStature = 1.75;

    /// <summary>Null where the catalogue has no pose for it: machines, and what goes through more than two positions.</summary>
    public static SetUpFigure? Of(Exercise exercise, FigureSetting setting)
    {
        if (exercise.Poses is null && exercise.FrontPoses is null)
        {
            return null;
        }

        var footing = new Footing(setting.Fixtures.ToDictionary(f => f.Key, f => f.Value.Height), setting.Stature, setting.Sex);
        bool front = exercise.FrontPoses is not null;
        ImmutableArray<BodyOutline> bodies =
        [
            .. Enumerable.Range(0, Moments).Select(i => i / (double)(Moments - 1))
                .Select(at => exercise.FrontPoses is { } seen ? footing.Front(seen, at) : footing.Side(exercise.Poses!, exercise.Pattern, at)),
        ];
        if (bodies.Any(b => b.Spots.Min(s => s.Y) < -Sunk))
        {
            return null;
        }

        var (start, end) = (bodies[0], bodies[^1]);
        bool still = (start.Spots.Zip(end.Spots, (a, b) => (b - a).Far)).Max() < 0.02;
        var run = setting.WithBand ? exercise.Band ?? exercise.AddedBand : null;
        var band = run is null ? null : BandRunning.Of(run, exercise.Pattern, start, end, setting.Fixtures.GetValueOrDefault(FixtureRole.Anchor)?.Height, setting.Stature);
        var (around, labels) = Surroundings.Of(setting, start, end, band?.Anchor, front, front ? null : exercise.Poses?.Support);
        double thick = setting.Stature.Metres / OrdinaryStature;
        return new(
            around,
            [
                .. (still ? [end] : bodies).Select(body => (ImmutableArray<FigureStroke>)
                [
                    .. Body(body, thick, front), .. WorkedParts.Of(body, exercise.Muscles), .. Carried.On(body, setting.Hold, setting.Held, front, bothSides: exercise.Sides == Sides.Together, exercise.InElbows),
                    .. band?.At(body) ?? [],
                ]),
            ],
            still ? [] : Path(bodies), labels);
    }

    private static IEnumerable<FigureStroke> Body(BodyOutline body, double thick, bool front)
    {
        var far = front ? FigureInk.Body : FigureInk.Far;
        double farWidth = front ? LimbWidth : FarWidth;
        yield return Leg(body.FarLeg, far, farWidth * thick);
        yield return Arm(body.FarArm, far, farWidth * thick);
        if (front)
        {
            yield return new(FigureInk.Body, LimbWidth * thick, [body.FarArm.Root, body.Arm.Root]);
            yield return new(FigureInk.Body, LimbWidth * thick, [body.FarLeg.Root, body.Leg.Root]);
        }

        yield return new(FigureInk.Body, TrunkWidth * thick, [body.Hips, body.Shoulders]);
        yield return new(FigureInk.Body, HeadWidth * thick, [body.Head]);
        yield return Leg(body.Leg, FigureInk.Body, LimbWidth * thick);
        yield return Arm(body.Arm, FigureInk.Body, LimbWidth * thick * 0.9);
    }

    private static FigureStroke Leg(LimbOutline leg, FigureInk ink, double width) => new(ink, width, [leg.Root, leg.Middle, leg.End, leg.Tip]);

    private static FigureStroke Arm(LimbOutline arm, FigureInk ink, double width) => new(ink, width, [arm.Root, arm.Middle, arm.End]);

    /// <summary>Of what moves most: hand, foot or hips.</summary>
    private static ImmutableArray<Spot> Path(ImmutableArray<BodyOutline> bodies)
    {
        Func<BodyOutline, Spot>[] of = [b => b.Arm.End, b => b.Leg.End, b => b.Hips, b => b.FarArm.End];
        var most = of.MaxBy(o => (o(bodies[^1]) - o(bodies[0])).Far)!;
        return [.. bodies.Select(most)];
    }
}
