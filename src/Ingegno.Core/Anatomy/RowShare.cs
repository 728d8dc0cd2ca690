using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// Inverted and leaning rows: the share of body mass at the hands from the angle of the body.
/// share = 0.79 cos(angle from the horizontal), checked against Melrose and Dawes 2015, J Athl Enhanc 4:1
/// (from memory; the source's angles taken as from the vertical, unverified).
/// </summary>
public static class RowShare
{
    private const double LevelBodyShare = 0.79;

    /// <summary>Knees bent and feet drawn in take about a quarter off the hands (common practice).</summary>
    private const double BentKneeFactor = 0.75;

    /// <param name="fromHorizontal">Degrees, 0 (lying level) to 90 (standing).</param>
    public static Share AtAngle(double fromHorizontal) =>
        Share.Of(LevelBodyShare * Math.Cos(Math.Clamp(fromHorizontal, 0, 90) * Math.PI / 180));

    /// <summary>
    /// Heels on the floor, body straight, arms straight under the grip: the shoulders hang an arm's length below it.
    /// </summary>
    /// <param name="gripHeight">Rail, table edge or strap handle above the floor.</param>
    public static Share UnderGrip(Length gripHeight, Length stature)
    {
        var body = new Landmarks(stature);
        double shoulderHeight = Math.Max(0, (gripHeight - body.ArmToGrip).Metres);
        double sine = Math.Min(1, shoulderHeight / body.Shoulder.Metres);
        return AtAngle(Math.Asin(sine) * 180 / Math.PI);
    }

    /// <summary>As <see cref="UnderGrip"/>, knees bent at a right angle.</summary>
    public static Share UnderGripKneesBent(Length gripHeight, Length stature) =>
        UnderGrip(gripHeight, stature) * BentKneeFactor;
}
