using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>
/// Where too little is known of a line and failing on it is safe, its last set is asked to the true limit: it shows what is really left when a
/// client says two. Never a beginner, never anybody with something named on the health screen, never a set-up that failing could make dangerous.
/// </summary>
public static class LimitAsk
{
    /// <summary>Days between two such sets: nobody goes to the limit session after session (common practice).</summary>
    public const int DaysBetween = 4;

    /// <summary>A set known to less than so much of itself, four of five times, is worth asking: two repetitions of fourteen (common practice).</summary>
    private const double WorthKnowing = 0.15;

    /// <summary>Something in the hands that can be put down, and nothing over the body.</summary>
    private static readonly ImmutableArray<Pattern> PutDown =
    [
        Pattern.HorizontalPull, Pattern.RearFly, Pattern.ShoulderRaise, Pattern.ElbowFlexion, Pattern.CalfRaise, Pattern.HipThrust,
        Pattern.HipAbduction, Pattern.HipExtension, Pattern.KneeFlexion, Pattern.CuffRotation,
    ];

    /// <summary>
    /// A line whose exercise was never done finds its numbers by its last set: as many as leave what is meant. It tells far more than a set that stops at its
    /// count with plenty left, and asks nobody to fail.
    /// </summary>
    public static bool Calibrates(Prescription line, Exercise exercise, ClientProfile client) =>
        !client.Health.Answers.Any(a => a.Applies)
        && line is { Form: SetForm.Straight, OptionalSets: 0, Count: CountKind.Repetitions, Reserve: >= 0.5 }
        && exercise is { IsForecast: true, IsBallistic: false, IsLoweringOnly: false };

    /// <summary>
    /// Whose answers tell nothing finds the numbers anew, by sets as many as leave what is meant, until they are known well enough: a count is done by
    /// feel where the answer is not.
    /// </summary>
    public static bool CalibratesAgain(Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor) =>
        client.Learned.SaysAlways is not null && Calibrates(line, exercise, client) && Foreseen.Unknown(line, exercise, client, anchor) >= WorthKnowing;

    /// <summary>Failing here ends with the load put down, or on the floor from a push-up.</summary>
    public static bool IsSafe(Prescription line, Exercise exercise, ClientProfile client) =>
        client.Level != Level.Beginner
        && !client.Health.Answers.Any(a => a.Applies)
        && line is { Form: SetForm.Straight, OptionalSets: 0, Supports.IsEmpty: true } && line.Count.IsRepetitions()
        && exercise is { IsForecast: true, OverHead: false, IsBallistic: false, IsLoweringOnly: false }
        && (IsFloorPushUp(line, exercise) || (PutDown.Contains(exercise.Pattern) && line.Hold is null or Hold.OneHand or Hold.Pair or Hold.BothHands or Hold.Band));

    private static bool IsFloorPushUp(Prescription line, Exercise exercise) =>
        exercise is { Family: ExerciseFamily.PushUps, Pattern: Pattern.HorizontalPress, Load.Body: BodyModel.PushUp or BodyModel.KneelingPushUp } && line.Kit is null;

    /// <summary>
    /// The line of a session that is known worst, of those that are safe and free of pain; null where all are known well enough, or one was asked a few
    /// days ago.
    /// </summary>
    /// <param name="lastAsked">The last set to the limit of this client, any exercise.</param>
    public static int? Of(
        IEnumerable<(int Line, Prescription Prescription)> session, ClientProfile client, Catalogue catalogue, StrengthAnchors anchors,
        DateOnly today, DateOnly? lastAsked, Func<Exercise, bool> isPainful)
    {
        if (lastAsked is { } last && today.DayNumber - last.DayNumber < DaysBetween)
        {
            return null;
        }

        return (
            from asked in session
            let exercise = catalogue.Find(asked.Prescription.Exercise)
            where exercise is not null && !isPainful(exercise) && IsSafe(asked.Prescription, exercise, client)
            let unknown = Foreseen.Unknown(asked.Prescription, exercise, client, anchors.For(exercise))
            where unknown >= WorthKnowing
            orderby unknown descending, asked.Line
            select (int?)asked.Line).FirstOrDefault();
    }
}
