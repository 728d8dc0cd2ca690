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

    /// <summary>
    /// Standing or hanging with straight arms from a grip, heels set out in front: the body turns about the heels until the
    /// shoulders hang an arm's length from the grip (two circles meeting; of the two crossings the one leaning back).
    /// </summary>
    /// <param name="feetOut">Heels in front of the point under the grip; negative behind it.</param>
    /// <returns>Degrees of the body over the horizontal, 0 to 90; upright where the grip is out of reach.</returns>
    public static double AngleLeaningBack(Length gripHeight, Length feetOut, Length stature)
    {
        var body = new Landmarks(stature);
        double leg = body.Shoulder.Metres, arm = body.ArmToGrip.Metres;

        // Heels at the origin, the grip behind them and above.
        double x = -feetOut.Metres, y = gripHeight.Metres;
        double distance = double.Hypot(x, y);
        if (distance >= leg + arm || distance <= Math.Abs(leg - arm))
        {
            return distance >= leg + arm ? 90 : 0;
        }

        double toGrip = Math.Atan2(y, x);
        double between = Math.Acos(((leg * leg) + (distance * distance) - (arm * arm)) / (2 * leg * distance));
        double degrees = 180 - ((toGrip + between) * 180 / Math.PI);
        return Math.Clamp(Math.Min(degrees, 90), 0, 90);
    }

    /// <summary>Share at the hands when leaning back so.</summary>
    public static Share LeaningBack(Length gripHeight, Length feetOut, Length stature) =>
        AtAngle(AngleLeaningBack(gripHeight, feetOut, stature));

    /// <summary>How far a strap must hang below a rail so that its handle stands at the height wanted; zero when the rail is low enough.</summary>
    public static Length StrapDrop(Length rail, Length wantedGrip) =>
        rail > wantedGrip ? rail - wantedGrip : Length.Zero;

    /// <summary>As <see cref="UnderGrip"/>, knees bent at a right angle.</summary>
    public static Share UnderGripKneesBent(Length gripHeight, Length stature) =>
        UnderGrip(gripHeight, stature) * BentKneeFactor;
}
