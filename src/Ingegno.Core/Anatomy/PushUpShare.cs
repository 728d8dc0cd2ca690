using Ingegno.Core.Quantities;
using MathNet.Numerics.Interpolation;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// Push-up geometry: the share of body mass on the hands from how far the hands stand above the feet.
/// A monotone cubic through the five toe supports of Ebben et al. 2011 (J Strength Cond Res 25:2891-2894; from
/// memory; stature taken as 1.75 m) and a wall point of 0.80 of stature at 0.10 (common practice). Falls steadily
/// as the hands rise; held level beyond both ends, so it is finite for any height.
/// </summary>
public static class PushUpShare
{
    private const double EbbenStature = 1.75;
    private const double FloorShare = 0.64;

    /// <summary>Share of body mass on the hands, kneeling with the hands at floor height: Ebben, Gouvali and Suprak lie around 0.53.</summary>
    private const double KneelingFloorShare = 0.53;

    /// <summary>A load on the upper back counts this much on the hands (common practice).</summary>
    public static Share LoadOnUpperBack { get; } = Share.Of(0.90);

    private static readonly double[] HandsAboveFeetOverStature =
        [-0.6096 / EbbenStature, -0.3048 / EbbenStature, 0, 0.3048 / EbbenStature, 0.6096 / EbbenStature, 0.80];

    private static readonly double[] ShareOnHands = [0.74, 0.70, FloorShare, 0.55, 0.41, 0.10];

    private static readonly CubicSpline Curve =
        CubicSpline.InterpolatePchipSorted(HandsAboveFeetOverStature, ShareOnHands);

    /// <param name="handsAboveFeet">Negative when the feet are raised.</param>
    /// <param name="stature">Above zero.</param>
    public static Share OnToes(Length handsAboveFeet, Length stature)
    {
        double ratio = Math.Clamp(
            handsAboveFeet / stature, HandsAboveFeetOverStature[0], HandsAboveFeetOverStature[^1]);
        return Share.Of(Curve.Interpolate(ratio));
    }

    /// <summary>Kneeling: the same shape, scaled to 0.53 with the hands on the floor.</summary>
    public static Share Kneeling(Length handsAboveKnees, Length stature) =>
        OnToes(handsAboveKnees, stature) * (KneelingFloorShare / FloorShare);
}
