using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// The part of body mass an exercise moves or carries, by model. Heights are metres above the floor.
/// Every result lies between 0 and 1.
/// </summary>
public static class BodyShare
{
    /// <summary>Squat, lunge and step family: the body less shank and foot of every leg that stands.</summary>
    public static Share StandingOn(int legs, Sex sex)
    {
        var segment = SegmentMasses.Of(sex);
        return Share.Of(1 - (legs * (segment.Shank.Fraction + segment.Foot.Fraction)));
    }

    /// <summary>Hanging from or dipping on the hands: the body less both hands and forearms.</summary>
    public static Share OnTheHands(Sex sex)
    {
        var segment = SegmentMasses.Of(sex);
        return Share.Of(1 - (2 * (segment.Hand.Fraction + segment.Forearm.Fraction)));
    }

    /// <summary>
    /// Hinge: trunk, head and arms (0.60 of body mass) act at 0.63 of the arm from hip to hand, so 0.38 of body
    /// mass counts as if held in the hand (derived).
    /// </summary>
    public static Share Hinge { get; } = Share.Of(0.38);

    /// <summary>Hip thrust and bridge (common practice).</summary>
    public static Share Bridge { get; } = Share.Of(0.45);

    /// <summary>Prone back extension (common practice).</summary>
    public static Share ProneExtension { get; } = Share.Of(0.38);

    /// <summary>Calf raise on both legs, 0.97; on one, 0.99 (common practice).</summary>
    public static Share CalfRaise(int legs) => Share.Of(legs == 1 ? 0.99 : 0.97);

    /// <summary>Sliding leg curl (common practice).</summary>
    public static Share SlidingLegCurl { get; } = Share.Of(0.40);

    /// <summary>
    /// Working leg of a split stance, for display and for what a fixture bears: 0.75 with both feet down, 0.85 with the
    /// rear foot raised (common practice; coach).
    /// </summary>
    public static Share WorkingLeg(bool rearFootRaised) => Share.Of(rearFootRaised ? 0.85 : 0.75);
}
