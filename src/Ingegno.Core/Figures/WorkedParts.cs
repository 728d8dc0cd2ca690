using System.Collections.Immutable;
using Ingegno.Core.Anatomy;

namespace Ingegno.Core.Figures;

/// <summary>The parts of the body the prime movers lie along.</summary>
internal static class WorkedParts
{
    private const double Width = 0.022;

    internal static IEnumerable<FigureStroke> Of(BodyOutline body, MuscleShares muscles) =>
        muscles.PrimeMovers.Select(PartOf).Distinct().Select(part => new FigureStroke(FigureInk.Worked, Width, Line(body, part)));

    private static ImmutableArray<Spot> Line(BodyOutline body, Part part) => part switch
    {
        Part.UpperTrunk => [Along(body.Hips, body.Shoulders, 0.55), Along(body.Hips, body.Shoulders, 0.95)],
        Part.LowerTrunk => [Along(body.Hips, body.Shoulders, 0.1), Along(body.Hips, body.Shoulders, 0.55)],
        Part.Shoulder => [body.Arm.Root, Along(body.Arm.Root, body.Arm.Middle, 0.4)],
        Part.UpperArm => [Along(body.Arm.Root, body.Arm.Middle, 0.2), Along(body.Arm.Root, body.Arm.Middle, 0.95)],
        Part.Forearm => [body.Arm.Middle, Along(body.Arm.Middle, body.Arm.End, 0.8)],
        Part.Hip => [Along(body.Hips, body.Shoulders, 0.08), body.Leg.Root, Along(body.Leg.Root, body.Leg.Middle, 0.2)],
        Part.Thigh => [Along(body.Leg.Root, body.Leg.Middle, 0.15), Along(body.Leg.Root, body.Leg.Middle, 0.95)],
        _ => [body.Leg.Middle, Along(body.Leg.Middle, body.Leg.End, 0.75)],
    };

    private static Spot Along(Spot a, Spot b, double part) => a + ((b - a) * part);

    private enum Part
    {
        UpperTrunk,
        LowerTrunk,
        Shoulder,
        UpperArm,
        Forearm,
        Hip,
        Thigh,
        Shank,
    }

    private static Part PartOf(Muscle muscle) => muscle switch
    {
        Muscle.ChestUpper or Muscle.ChestMiddle or Muscle.ChestLower or Muscle.TrapeziusUpper or Muscle.TrapeziusMiddle or Muscle.TrapeziusLower
            or Muscle.Rhomboids or Muscle.Lats or Muscle.Serratus => Part.UpperTrunk,
        Muscle.TrunkFront or Muscle.TrunkSide or Muscle.TrunkBack or Muscle.TrunkDeep => Part.LowerTrunk,
        Muscle.FrontDeltoid or Muscle.SideDeltoid or Muscle.RearDeltoid or Muscle.RotatorCuff => Part.Shoulder,
        Muscle.Biceps or Muscle.Triceps => Part.UpperArm,
        Muscle.Forearm => Part.Forearm,
        Muscle.GluteusMaximus or Muscle.GluteusMedius or Muscle.HipFlexors => Part.Hip,
        Muscle.Gastrocnemius or Muscle.Soleus or Muscle.TibialisAnterior => Part.Shank,
        _ => Part.Thigh,
    };
}
