using System.Collections.Immutable;
using Ingegno.Core.Loads;

namespace Ingegno.Core.Figures;

/// <summary>The thing that gives the load, where it is held.</summary>
internal static class Carried
{
    private const double NearShoulders = 0.3;

    private static double Dot(Spot a, Spot b) => (a.X * b.X) + (a.Y * b.Y);

    internal static IEnumerable<FigureStroke> On(BodyOutline body, Hold? hold, HeldThing? held, bool fromFront, bool bothSides, bool inElbows)
    {
        if (held is not { } thing)
        {
            return [];
        }

        var trunk = body.Shoulders - body.Hips;
        var ahead = new Spot(trunk.Y, -trunk.X) * (1 / trunk.Far);
        return hold switch
        {
            Hold.OnBack => Bag(body.Hips + (trunk * 0.68) - (ahead * 0.17), trunk.Direction, 0.44, 0.2),
            Hold.AcrossHips => thing == HeldThing.Bar ? Plate(body.Hips + (ahead * 0.11)) : Bag(body.Hips + (ahead * 0.14), trunk.Direction, 0.24, 0.16),
            Hold.Bar when inElbows => Plate(body.Arm.Middle + (ahead * 0.05)),
            // The elbows under the bar: it lies behind the neck; the elbows ahead: in front of it.
            Hold.Bar when !fromFront && (body.Arm.End - body.Shoulders).Far < NearShoulders && Dot(body.Arm.Middle - body.Shoulders, ahead) < 0.1 =>
                Plate(body.Shoulders - (ahead * 0.09) + (trunk * 0.05)),
            Hold.Bar => thing == HeldThing.Bar && fromFront ? LongBar(body.Arm.End, body.FarArm.End) : Plate(body.Arm.End),
            Hold.AtChest => At(body.Arm.End, thing, hugged: true),
            Hold.BothHands when fromFront => At((body.Arm.End + body.FarArm.End) * 0.5, thing, hugged: false),
            Hold.Pair when fromFront => [.. At(body.Arm.End, thing, hugged: false), .. At(body.FarArm.End, thing, hugged: false)],
            Hold.Pair when bothSides && (body.Arm.End - body.FarArm.End).Far > 0.1 => [.. At(body.FarArm.End, thing, hugged: false), .. At(body.Arm.End, thing, hugged: false)],
            _ => At(body.Arm.End, thing, hugged: false),
        };
    }

    private static FigureStroke[] At(Spot hand, HeldThing thing, bool hugged) => thing switch
    {
        HeldThing.Bag when hugged => Bag(hand, 90, 0.36, 0.24),
        HeldThing.Bag => Bag(hand - new Spot(0, 0.22), 90, 0.32, 0.26),
        HeldThing.Jug =>
        [
            new(FigureInk.Load, 0.03, [hand, hand - new Spot(0, 0.06)]),
            Box(hand - new Spot(0, 0.19), 90, 0.24, 0.15),
        ],
        HeldThing.Kettlebell =>
        [
            new(FigureInk.Load, 0.03, [hand - new Spot(0.04, 0), hand + new Spot(0.04, 0)]),
            new(FigureInk.Load, 0.17, [hand - new Spot(0, 0.12)]),
        ],
        HeldThing.Bar => Plate(hand),
        _ => Dumbbell(hand),
    };

    private static FigureStroke[] Dumbbell(Spot hand) =>
    [
        new(FigureInk.Load, 0.03, [hand - new Spot(0.13, 0), hand + new Spot(0.13, 0)]),
        new(FigureInk.Load, 0.05, [hand + new Spot(-0.13, -0.05), hand + new Spot(-0.13, 0.05)]),
        new(FigureInk.Load, 0.05, [hand + new Spot(0.13, -0.05), hand + new Spot(0.13, 0.05)]),
    ];

    /// <summary>A bar from its end: the plate hides it.</summary>
    private static FigureStroke[] Plate(Spot at) =>
    [
        new(FigureInk.Load, 0.025, [.. Enumerable.Range(0, 25).Select(i => at + Spot.Along(i * 15, 0.15))]),
        new(FigureInk.Load, 0.05, [at]),
    ];

    private static FigureStroke[] LongBar(Spot one, Spot other)
    {
        var along = (one - other) * (1 / Math.Max((one - other).Far, 0.01));
        var (right, left) = (one + (along * 0.35), other - (along * 0.35));
        return
        [
            new(FigureInk.Load, 0.025, [left, right]),
            new(FigureInk.Load, 0.05, [right + Spot.Along(along.Direction + 90, 0.15), right - Spot.Along(along.Direction + 90, 0.15)]),
            new(FigureInk.Load, 0.05, [left + Spot.Along(along.Direction + 90, 0.15), left - Spot.Along(along.Direction + 90, 0.15)]),
        ];
    }

    private static FigureStroke[] Bag(Spot middle, double up, double tall, double wide) => [Box(middle, up, tall, wide)];

    private static FigureStroke Box(Spot middle, double up, double tall, double wide)
    {
        Spot high = Spot.Along(up, tall / 2), side = Spot.Along(up - 90, wide / 2);
        ImmutableArray<Spot> corners = [middle - high - (side * 0.9), middle - high + (side * 0.9), middle + high + (side * 0.75), middle + high - (side * 0.75), middle - high - (side * 0.9)];
        return new(FigureInk.Load, 0.03, corners, Filled: true);
    }
}
