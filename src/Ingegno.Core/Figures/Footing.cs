using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Figures;

/// <summary>
/// Puts a body on what carries it: turned until both supports are at their heights, a foot or a hand brought to where it stays. What does not
/// reach is drawn as the angles give it, so a wrong pose shows.
/// </summary>
/// <param name="heights">Of what is used, by what it is for; what is missing is the floor.</param>
internal sealed class Footing(IReadOnlyDictionary<FixtureRole, Length> heights, Length stature, Sex sex)
{
    /// <summary>Half the depth of the trunk lying, the ankle high on the toes, and a hand's thickness, over stature (common practice).</summary>
    private const double LyingOfStature = 0.055, OnToesOfStature = 0.11, PalmOfStature = 0.02;

    /// <summary>From the floor to the middle of a body on its side, over stature: half the breadth of the shoulders.</summary>
    private const double SideOfStature = 0.135;

    /// <summary>A stride back, half of it, and a step up, over stature (common practice).</summary>
    private const double StrideOfStature = 0.55, StaggerOfStature = 0.3;

    /// <summary>From the elbow to the wrist over elbow to grip: on flat ground the palm carries, not the grip.</summary>
    private const double WristOfGrip = 0.76;

    /// <summary>Trunk angles from which a body kneels upright, and stands on its hands.</summary>
    private const double Upright = 60, UpsideDown = -70;

    private readonly double _m = stature.Metres;

    internal BodyOutline Side(PosePair poses, Pattern pattern, double at)
    {
        var body = SideBody.At(poses, at, stature, sex);
        var pose = SideBody.Between(poses.Start, poses.End, at);
        return poses.Support switch
        {
            PoseSupport.Feet => OnFeet(body, poses, pattern, pose, at),
            PoseSupport.HandsAndFeet when pose.Trunk < UpsideDown => OnPalms(body).Moved(new Spot(0, Hand) - OnPalms(body).Arm.End),
            PoseSupport.HandsAndFeet => Ankles(
                Rest(Handed(body), b => Carrying(b, poses).Arm.End, Hand, b => Carrying(b, poses).Leg.End, Height(FixtureRole.Feet) + ((pose.Trunk < 90 ? OnToesOfStature : LyingOfStature) * _m)), pose),
            PoseSupport.HandsAndKnees => OnKnees(pose.Trunk > Upright ? body : OnPalms(body), pose),
            PoseSupport.ShouldersAndFeet => Rest(body, b => b.Leg.End, Height(FixtureRole.Feet) + (LyingOfStature * _m), b => b.Shoulders, Height(FixtureRole.ShouldersRaised) + (LyingOfStature * _m)),
            PoseSupport.Hands => OnHands(body, poses, at),
            PoseSupport.Back => FeetDown(
                body.Moved(new(0, Height(FixtureRole.Seat, FixtureRole.Support) + (LyingOfStature * _m))), onlyIfBelow: Height(FixtureRole.Seat, FixtureRole.Support) < 0.2),
            PoseSupport.Seat or PoseSupport.Wall => Seated(body, pose),
            PoseSupport.Front => OnFront(body, poses),
            _ => body,
        };
    }

    internal BodyOutline Front(FrontPair poses, double at)
    {
        var body = FrontBody.At(poses, at, stature);
        double ankle = SideBody.AnkleOfStature * _m;
        return poses.Support switch
        {
            FrontSupport.Side => body.Moved(new(0, (SideOfStature * _m) - body.Hips.Y)),
            FrontSupport.ArmAndFeet => Rest(body, Under, Height(FixtureRole.Hands) + (PalmOfStature * _m), b => b.FarLeg.End, Height(FixtureRole.Feet) + ankle),
            FrontSupport.ArmAndKnees => Rest(body, Under, Height(FixtureRole.Hands) + (PalmOfStature * _m), b => b.FarLeg.Middle, ankle),
            _ => body.Moved(new(-Lower(body).End.X, Height(FixtureRole.Step) + ankle - Lower(body).End.Y)),
        };

        static LimbOutline Lower(BodyOutline b) => b.Leg.End.Y < b.FarLeg.End.Y - 0.01 ? b.Leg : b.FarLeg;
        static Spot Under(BodyOutline b) => b.FarArm.End.Y < b.FarArm.Middle.Y - 0.02 ? b.FarArm.End : b.FarArm.Middle;
    }

    /// <summary>The side that stays put carries where the other moves.</summary>
    private static (LimbOutline Arm, LimbOutline Leg) Carrying(BodyOutline body, PosePair poses) =>
        poses.Other == OtherSide.Stays ? (body.FarArm, body.FarLeg) : (body.Arm, body.Leg);

    /// <summary>Round a grip the hand closes; on anything else the palm lies flat.</summary>
    private BodyOutline Handed(BodyOutline body) => heights.ContainsKey(FixtureRole.Grip) ? body : OnPalms(body);

    private static BodyOutline OnPalms(BodyOutline body)
    {
        return body with { Arm = Palm(body.Arm), FarArm = Palm(body.FarArm) };

        static LimbOutline Palm(LimbOutline arm)
        {
            var wrist = arm.Middle + ((arm.End - arm.Middle) * WristOfGrip);
            return arm with { End = wrist, Tip = wrist };
        }
    }

    private double Hand => Height(FixtureRole.Hands, FixtureRole.Grip) + (PalmOfStature * _m);

    private double Height(params ReadOnlySpan<FixtureRole> roles)
    {
        foreach (var role in roles)
        {
            if (heights.TryGetValue(role, out var height))
            {
                return height.Metres;
            }
        }

        return 0;
    }

    /// <summary>Turned so that one point is so much higher than another, and moved so that the second is at its height at the edge of the picture.</summary>
    private static BodyOutline Rest(BodyOutline body, Func<BodyOutline, Spot> one, double oneHeight, Func<BodyOutline, Spot> other, double otherHeight)
    {
        var way = one(body) - other(body);
        double rise = oneHeight - otherHeight;
        if (Math.Abs(rise) < way.Far)
        {
            double up = Math.Asin(rise / way.Far) * 180 / Math.PI;
            double nearest = new[] { up, 180 - up }.MinBy(a => Math.Abs(Between180(a - way.Direction)));
            body = body.Turned(nearest - way.Direction);
        }

        return body.Moved(new Spot(0, otherHeight) - other(body));
    }

    private static double Between180(double degrees) => degrees - (360 * Math.Round(degrees / 360));

    private Spot Sole(double heel) => new(
        SideBody.FootOfStature * _m * Math.Cos(heel * Math.PI / 180), -(SideBody.AnkleOfStature + (SideBody.FootOfStature * Math.Sin(heel * Math.PI / 180))) * _m);

    private BodyOutline OnFeet(BodyOutline body, PosePair poses, Pattern pattern, Pose pose, double at)
    {
        double floor = Height(FixtureRole.Step, FixtureRole.Feet);
        var sole = Sole(pose.Heel);
        if (poses.Other == OtherSide.FootInFront)
        {
            body = body.Moved(new Spot(0, LyingOfStature * 0.7 * _m) - body.Leg.Middle);
            return body with
            {
                Leg = Pointed(body).Leg,
                FarLeg = body.FarLeg.Reaching(new(body.FarLeg.Middle.X, SideBody.AnkleOfStature * _m), Sole(0)),
            };
        }

        bool farStands = poses.Other == OtherSide.LegStands;
        var stands = farStands ? body.FarLeg : body.Leg;
        body = body.Moved(new Spot(0, floor) - (stands.End + sole));
        double lift = pattern == Pattern.Jump ? 0.12 * _m * at : 0;
        var near = body.Leg with { Tip = body.Leg.End + (farStands ? body.Leg.Tip - body.Leg.End : sole) };
        var far = FarFoot(body, poses.Other, at, floor, sole, pattern == Pattern.Hinge);
        return (body with { Leg = near, FarLeg = far, FarArm = RestingHand(body, poses.Other) }).Moved(new(0, lift));
    }

    private LimbOutline FarFoot(BodyOutline body, OtherSide other, double at, double floor, Spot sole, bool hinges)
    {
        var beside = new Spot(-sole.X, floor - sole.Y);
        var onToes = Sole(45);
        switch (other)
        {
            case OtherSide.FootBehind or OtherSide.StepsBack when heights.TryGetValue(FixtureRole.RearFoot, out var rear):
                return body.FarLeg.Reaching(new(beside.X - (StrideOfStature * _m), rear.Metres + (0.03 * _m)), new(-0.09 * _m, -0.01));
            case OtherSide.FootBehind:
                return body.FarLeg.Reaching(new(beside.X - ((hinges ? StaggerOfStature : StrideOfStature) * _m), -onToes.Y), onToes);
            case OtherSide.StepsBack:
                return body.FarLeg.Reaching(new(beside.X - (StrideOfStature * _m * at), beside.Y - (onToes.Y + beside.Y) * at), at < 0.3 ? sole : onToes);
            case OtherSide.StepsUp:
                return body.FarLeg.Reaching(
                    new(beside.X - (StaggerOfStature * _m * (1 - at)), -sole.Y + (floor * at)), sole);
            case OtherSide.LegAhead or OtherSide.LegBack or OtherSide.FootLifted or OtherSide.Stays:
                return body.FarLeg;
            default:
                return body.FarLeg with { Tip = body.FarLeg.End + sole };
        }
    }

    private LimbOutline RestingHand(BodyOutline body, OtherSide other) =>
        other == OtherSide.HandRests && heights.TryGetValue(FixtureRole.Support, out var rest)
            ? body.FarArm.Reaching(new(body.Shoulders.X + (0.14 * _m), rest.Metres + (PalmOfStature * _m)), default)
            : body.FarArm;

    /// <summary>No toe in the floor.</summary>
    private BodyOutline Ankles(BodyOutline body, Pose pose)
    {
        double floor = Height(FixtureRole.Feet);
        return body with { Leg = Foot(body.Leg), FarLeg = Foot(body.FarLeg) };

        LimbOutline Foot(LimbOutline leg) => leg.Tip.Y < floor || (pose.Trunk > 90 && leg.End.Y < floor + (0.1 * _m))
            ? leg with { Tip = new(leg.Tip.X, pose.Trunk > 90 && leg.Tip.Y > leg.End.Y ? leg.Tip.Y : floor) }
            : leg;
    }

    private BodyOutline OnKnees(BodyOutline body, Pose pose) =>
        pose.Trunk > Upright || Math.Abs(body.Arm.End.Y - body.Leg.Middle.Y) > 0.3 * _m
            ? Pointed(body).Moved(new Spot(0, 0.04 * _m) - Lower(body).Middle)
            : Rest(Pointed(body), b => Hands(b).End, Hand, b => Lower(b).Middle, 0.04 * _m);

    /// <summary>Feet that lie on their backs.</summary>
    private BodyOutline Pointed(BodyOutline body)
    {
        return body with { Leg = Pointed(body.Leg), FarLeg = Pointed(body.FarLeg) };

        LimbOutline Pointed(LimbOutline leg) => leg with { Tip = leg.End + Spot.Along((leg.End - leg.Middle).Direction + 8, SideBody.FootOfStature * _m) };
    }

    /// <summary>The leg whose knee is on the floor, and the arm whose hand is.</summary>
    private static LimbOutline Lower(BodyOutline b) => b.FarLeg.Middle.Y < b.Leg.Middle.Y - 0.01 ? b.FarLeg : b.Leg;

    private static LimbOutline Hands(BodyOutline b) => b.FarArm.End.Y < b.Arm.End.Y - 0.01 ? b.FarArm : b.Arm;

    private BodyOutline OnHands(BodyOutline body, PosePair poses, double at)
    {
        bool hangs = poses.Start.Shoulder > 120;
        var first = SideBody.At(poses, 0, stature, sex);
        double grip = heights.TryGetValue(FixtureRole.Grip, out var bar) || heights.TryGetValue(FixtureRole.Hands, out bar)
            ? bar.Metres
            : hangs ? first.Arm.End.Y - first.Spots.Min(s => s.Y) + (0.1 * _m) : 0.45;
        body = body.Moved(new Spot(0, grip + (hangs ? 0 : PalmOfStature * _m)) - body.Arm.End);
        return hangs || poses.Start.Hip < 60 ? FeetDown(body, onlyIfBelow: true) : Slid(body, first.Leg.End.X - first.Arm.End.X);

        // Feet on the floor in front, where they were at the start.
        BodyOutline Slid(BodyOutline b, double ahead)
        {
            var foot = b.Leg.Reaching(new(ahead, SideBody.AnkleOfStature * _m), new(0.02 * _m, 0.1 * _m));
            return b with { Leg = foot, FarLeg = foot };
        }
    }

    private BodyOutline Seated(BodyOutline body, Pose pose)
    {
        if (heights.TryGetValue(FixtureRole.Seat, out var seat))
        {
            body = body.Moved(new(0, seat.Metres + (LyingOfStature * _m)));
            return pose.Knee > 45 ? FeetDown(body, onlyIfBelow: false) : FarDown(body);
        }

        bool onFloor = pose.Knee < 70;
        return body.Moved(new(0, onFloor ? LyingOfStature * _m : (SideBody.AnkleOfStature * _m) - Math.Min(body.Leg.End.Y, body.FarLeg.End.Y)));
    }

    private BodyOutline FarDown(BodyOutline body) => body.FarLeg.End.Y < body.Leg.End.Y - 0.05 ? body with { FarLeg = Down(body.FarLeg) } : body;

    private BodyOutline FeetDown(BodyOutline body, bool onlyIfBelow) => body with
    {
        Leg = onlyIfBelow && body.Leg.End.Y >= SideBody.AnkleOfStature * _m ? body.Leg : Down(body.Leg),
        FarLeg = onlyIfBelow && body.FarLeg.End.Y >= SideBody.AnkleOfStature * _m ? body.FarLeg : Down(body.FarLeg),
    };

    private LimbOutline Down(LimbOutline leg) => leg.Reaching(new(leg.End.X, SideBody.AnkleOfStature * _m), Sole(0));

    private BodyOutline OnFront(BodyOutline body, PosePair poses)
    {
        bool onElbows = poses.Start.Trunk is > 0 and < 45 && body.Arm.Middle.Y < -0.1;
        return onElbows ? Ankles(Rest(body, b => b.Arm.Middle, Height(FixtureRole.Hands) + (PalmOfStature * _m), Lowest, LowestHeight()), poses.Start)
            : Pointed(body).Moved(new(0, Height(FixtureRole.Support, FixtureRole.Seat) + (LyingOfStature * _m)));

        Spot Lowest(BodyOutline b) => poses.Start.Knee > 20 ? b.Leg.Middle : b.Leg.End;
        double LowestHeight() => poses.Start.Knee > 20 ? 0.04 * _m : Height(FixtureRole.Feet) + (OnToesOfStature * _m);
    }
}
