using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;

namespace Ingegno.Core.Figures;

/// <summary>Floor and fixtures, each at its height and under what rests on it.</summary>
internal static class Surroundings
{
    private const double Line = 0.02, SeatDeep = 0.42, TableDeep = 0.6, LowestSeat = 0.3, UnderHips = 0.06, BehindShoulders = 0.09;

    /// <param name="fromFront">What the back is on is behind it then, and not seen.</param>
    /// <param name="support">Whoever sits where no seat is named sits on anything of the height of the knees.</param>
    internal static (ImmutableArray<FigureStroke> Strokes, ImmutableArray<FigureLabel> Labels) Of(
        FigureSetting setting, BodyOutline start, BodyOutline end, Spot? anchor, bool fromFront, PoseSupport? support)
    {
        var strokes = ImmutableArray.CreateBuilder<FigureStroke>();
        var labels = ImmutableArray.CreateBuilder<FigureLabel>();
        foreach (var (role, used) in setting.Fixtures)
        {
            double height = used.Height.Metres;
            switch (role)
            {
                case FixtureRole.Anchor when anchor is { } at:
                    Upright(at.X, height, Math.Max(height + 0.1, 0.5));
                    strokes.Add(new(FigureInk.Fixture, 0.05, [at]));
                    Label(new(at.X, Math.Max(height - 0.16, 0.08)), height);
                    break;
                case FixtureRole.Anchor or FixtureRole.Catch:
                    break;
                default:
                    Stand(role, used.Kind, height, Under(role, start, end));
                    break;
            }
        }

        if (support == PoseSupport.Wall)
        {
            Upright(start.Shoulders.X - BehindShoulders, start.Head.Y, start.Head.Y + 0.2);
        }

        if (support == PoseSupport.Seat && start.Hips.Y > LowestSeat && !setting.Fixtures.Keys.Any(r => r is FixtureRole.Seat or FixtureRole.Support))
        {
            Bench(start.Hips.X - 0.08, start.Hips.Y - UnderHips, SeatDeep);
        }

        if (anchor is { } tied && !setting.Fixtures.ContainsKey(FixtureRole.Anchor))
        {
            Upright(tied.X, tied.Y, tied.Y + 0.15);
        }

        var spots = start.Spots.Concat(end.Spots).Concat(strokes.SelectMany(s => s.Points)).ToArray();
        double left = spots.Min(s => s.X) - 0.15, right = spots.Max(s => s.X) + 0.15;
        strokes.Add(new(FigureInk.Floor, Line, [new(left, 0), new(right, 0)]));
        if (setting.FeetOut is { } outwards)
        {
            double under = end.Arm.End.X, heel = end.Leg.End.X;
            strokes.Add(new(FigureInk.Measure, 0.012, [new(under, -0.07), new(heel, -0.07)]));
            labels.Add(new(new((under + heel) / 2, -0.17), outwards.Centimetres.ToString("0", CultureInfo.InvariantCulture)));
        }

        if (setting.Ceiling is { Metres: var ceiling })
        {
            strokes.Add(new(FigureInk.Measure, Line, [new(left, ceiling), new(right, ceiling)]));
            // On the side the head is not.
            bool isRight = spots.MaxBy(s => s.Y).X < (left + right) / 2;
            Label(new(isRight ? right - 0.12 : left + 0.12, ceiling - 0.1), ceiling);
        }

        return (strokes.ToImmutable(), labels.ToImmutable());

        void Upright(double x, double from, double top) => strokes.Add(new(FigureInk.Fixture, 0.03, [new(x, 0), new(x, Math.Max(from, top))]));

        void Label(Spot at, double height) => labels.Add(new(at, (height * 100).ToString("0", CultureInfo.InvariantCulture)));

        void Stand(FixtureRole role, FixtureKind kind, double height, Spot under)
        {
            if (kind == FixtureKind.Wall)
            {
                if (fromFront)
                {
                    return;
                }

                // On the side the hand or the back is.
                double x = role is FixtureRole.Seat or FixtureRole.Support ? start.Shoulders.X - 0.12 : under.X + 0.03;
                strokes.Add(new(FigureInk.Fixture, 0.03, [new(x, 0), new(x, Math.Max(1.2, under.Y + 0.25))]));
                return;
            }

            if (height < 0.02)
            {
                return;
            }

            if (role == FixtureRole.Grip || FixtureKinds.CountsAs(kind) is FixtureKind.Rail or FixtureKind.Beam or FixtureKind.PullUpBar or FixtureKind.Post or FixtureKind.DoorAnchor)
            {
                bool table = kind is FixtureKind.Table or FixtureKind.Counter;
                double beyond = Math.Sign(under.X - start.Hips.X) is var side && side == 0 ? 1 : side;
                double x = under.X + (table ? 0 : 0.04 * beyond);
                if (table)
                {
                    strokes.Add(new(FigureInk.Fixture, 0.035, [new(x, height), new(x + (TableDeep * beyond), height)]));
                    strokes.Add(new(FigureInk.Fixture, 0.02, [new(x + (TableDeep * beyond), height), new(x + (TableDeep * beyond), 0)]));
                    Label(new(x + ((TableDeep + 0.14) * beyond), height / 2), height);
                }
                else
                {
                    strokes.Add(new(FigureInk.Fixture, 0.06, [new(under.X, height)]));
                    strokes.Add(new(FigureInk.Fixture, 0.02, [new(under.X + (0.25 * beyond), height), new(under.X, height)]));
                    strokes.Add(new(FigureInk.Fixture, 0.02, [new(under.X + (0.25 * beyond), 0), new(under.X + (0.25 * beyond), height)]));
                    Label(new(under.X + (0.4 * beyond), height - 0.12), height);
                }

                return;
            }

            double deep = role is FixtureRole.Seat or FixtureRole.Support && Math.Abs(start.Shoulders.Y - start.Hips.Y) < 0.2 && start.Shoulders.Y < height + 0.3 ? 1.1 : kind is FixtureKind.Table or FixtureKind.Counter or FixtureKind.Bed ? TableDeep : kind is FixtureKind.Step or FixtureKind.Stairs ? 0.32 : SeatDeep;
            double middle = role switch
            {
                // Hands and shoulders near the edge, the body clear of it.
                FixtureRole.Hands or FixtureRole.ShouldersRaised or FixtureRole.Support => under.X + (Math.Sign(under.X - start.Hips.X) * (deep / 2 - 0.08)),
                FixtureRole.Feet or FixtureRole.RearFoot => under.X + (Math.Sign(under.X - start.Hips.X) * 0.08),
                FixtureRole.Seat or FixtureRole.Support when deep > 1 => (start.Hips.X + start.Shoulders.X) / 2,
                FixtureRole.Seat => under.X - 0.08,
                _ => under.X + 0.04,
            };
            Bench(middle, height, deep);
            Label(new(middle, Math.Max(height / 2, 0.09)), height);
        }

        void Bench(double middle, double height, double deep)
        {
            strokes.Add(new(FigureInk.Fixture, 0.035, [new(middle - (deep / 2), height - 0.017), new(middle + (deep / 2), height - 0.017)]));
            strokes.Add(new(FigureInk.Fixture, Line, [new(middle - (deep / 2) + 0.03, height), new(middle - (deep / 2) + 0.03, 0)]));
            strokes.Add(new(FigureInk.Fixture, Line, [new(middle + (deep / 2) - 0.03, height), new(middle + (deep / 2) - 0.03, 0)]));
        }
    }

    /// <summary>What rests on it.</summary>
    private static Spot Under(FixtureRole role, BodyOutline start, BodyOutline end) => role switch
    {
        FixtureRole.Feet => start.Leg.End,
        FixtureRole.Step => end.Leg.End + new Spot(0.06, 0),
        FixtureRole.RearFoot => end.FarLeg.End,
        FixtureRole.Seat => start.Hips.Y < end.Hips.Y ? start.Hips : end.Hips,
        FixtureRole.ShouldersRaised => start.Shoulders,
        FixtureRole.Support => end.FarArm.End,
        _ => start.Arm.End,
    };
}
