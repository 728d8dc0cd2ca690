using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// Pike push-up: two links meeting at the hips, not a straight lever. The share on the hands follows from where the centre
/// of mass stands between hands and feet, halfway between the top (arms in line with the trunk) and the bottom (elbows bent,
/// the head ahead of the hands). Raising the feet brings the hips over the hands. Joint: shoulder. Test: the same statics
/// give Suprak's held push-up within 0.02, and the masses by hand give the pike.
/// </summary>
public static class PikeShare
{
    private static readonly Pose Top = new(Trunk: -50, Hip: 100, Knee: 0, Shoulder: 180, Elbow: 0);
    private static readonly Pose Bottom = new(Trunk: -50, Hip: 90, Knee: 0, Shoulder: 120, Elbow: 80);

    /// <summary>Feet higher than this over the hands are no pike any more but a handstand (common practice).</summary>
    private const double MostRaisedOfStature = 0.35;

    /// <param name="handsAboveFeet">Negative when the feet are raised; held between the floor and a third of stature.</param>
    public static Share OnHands(Length handsAboveFeet, Length stature, Sex sex)
    {
        var height = stature * -Math.Clamp(-(handsAboveFeet / stature), 0, MostRaisedOfStature);
        return Share.Of((At(Top) + At(Bottom)) / 2);

        double At(Pose pose) => PoseStatics.OnHands(pose, height, stature, sex)!.Value.Fraction;
    }
}
