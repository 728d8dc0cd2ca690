using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>Forces and lever arms in a held pose: rigid links, no friction, both sides alike.</summary>
public static class PoseStatics
{
    /// <summary>
    /// Share of body mass on the hands of a body held between hands and feet (or knees): the centre of mass divides the
    /// way between the two supports. The pose is turned until hands and feet stand at their heights.
    /// </summary>
    /// <param name="handsAboveFeet">Negative when the feet are raised.</param>
    /// <param name="onKnees">Knees carry instead of feet.</param>
    /// <returns>Null where the pose cannot span that height.</returns>
    public static Share? OnHands(Pose pose, Length handsAboveFeet, Length stature, Sex sex, bool onKnees = false)
    {
        if (Turned(pose, handsAboveFeet, stature, sex, onKnees) is not { } figure)
        {
            return null;
        }

        var foot = onKnees ? figure.Knee : figure.Ankle;
        double span = (figure.Hand.Ahead - foot.Ahead).Metres;
        return Math.Abs(span) < 0.05
            ? null
            : Share.Of(Math.Clamp((figure.Centre.Ahead - foot.Ahead).Metres / span, 0, 1));
    }

    /// <summary>The pose turned so that the hands stand so far above the feet (or knees); null where it is too short for that.</summary>
    public static Figure? Turned(Pose pose, Length handsAboveFeet, Length stature, Sex sex, bool onKnees = false)
    {
        var plain = new Figure(pose, stature, sex);
        var span = plain.Hand - (onKnees ? plain.Knee : plain.Ankle);
        double length = double.Hypot(span.Ahead.Metres, span.Up.Metres);
        if (Math.Abs(handsAboveFeet.Metres) >= length)
        {
            return null;
        }

        double slope = Math.Atan2(span.Up.Metres, span.Ahead.Metres);
        double wanted = Math.Asin(handsAboveFeet.Metres / length);
        return new Figure(pose, stature, sex, (wanted - slope) * 180 / Math.PI);
    }

    /// <summary>
    /// Bending over: the mass that, held in the hanging hands, would turn the hips as much as trunk, head and arms do.
    /// </summary>
    /// <returns>Over body mass.</returns>
    public static Share HingeInTheHand(Pose pose, Length stature, Sex sex)
    {
        var figure = new Figure(pose, stature, sex);
        double moment = figure.Parts.Where(p => p.Part != FigurePart.Legs).Sum(p => p.Mass * p.At.Ahead.Metres);
        return Share.Of(Math.Abs(moment / figure.Hand.Ahead.Metres));
    }

    /// <summary>Lever arm of a weight in the hands about a joint: how far ahead of it the hands are.</summary>
    public static Length HandLever(Pose pose, PoseJoint joint, Length stature, Sex sex)
    {
        var figure = new Figure(pose, stature, sex);
        return figure.Hand.Ahead - At(figure, joint).Ahead;
    }

    /// <summary>Moment at a joint of a weight in the hands, in newton metres; positive lowers the hands' side.</summary>
    public static double HandMoment(Pose pose, PoseJoint joint, Mass held, Length stature, Sex sex) =>
        Force.OfWeight(held).Newtons * HandLever(pose, joint, stature, sex).Metres;

    private static BodyPoint At(Figure figure, PoseJoint joint) => joint switch
    {
        PoseJoint.Shoulder => figure.Shoulder,
        PoseJoint.Elbow => figure.Elbow,
        PoseJoint.Hip => new BodyPoint(Length.Zero, Length.Zero),
        PoseJoint.Knee => figure.Knee,
        PoseJoint.Ankle => figure.Ankle,
        _ => throw new ArgumentOutOfRangeException(nameof(joint)),
    };
}

/// <summary>Joints of the side view.</summary>
public enum PoseJoint
{
    Shoulder,
    Elbow,
    Hip,
    Knee,
    Ankle,
}
