using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>
/// Now and then one safe last set is asked to the true limit: it shows what is really left when a client says two. Never a beginner, never
/// anybody with something named on the health screen, never a set-up that failing could make dangerous.
/// </summary>
public static class LimitAsk
{
    /// <summary>Days between two such sets (common practice).</summary>
    public const int DaysBetween = 10;

    /// <summary>Something in the hands that can be put down, and nothing over the body.</summary>
    private static readonly ImmutableArray<Pattern> PutDown =
    [
        Pattern.HorizontalPull, Pattern.RearFly, Pattern.ShoulderRaise, Pattern.ElbowFlexion, Pattern.CalfRaise, Pattern.HipThrust,
        Pattern.HipAbduction, Pattern.HipExtension, Pattern.KneeFlexion, Pattern.CuffRotation,
    ];

    /// <summary>Failing here ends with the load put down, or on the floor from a push-up.</summary>
    public static bool IsSafe(Prescription line, Exercise exercise, ClientProfile client) =>
        client.Level != Level.Beginner
        && !client.Health.Answers.Any(a => a.Applies)
        && line is { Form: SetForm.Straight, OptionalSets: 0, Supports.IsEmpty: true } && line.Count.IsRepetitions()
        && exercise is { IsForecast: true, OverHead: false, IsBallistic: false, IsLoweringOnly: false }
        && (IsFloorPushUp(line, exercise) || (PutDown.Contains(exercise.Pattern) && line.Hold is null or Hold.OneHand or Hold.Pair or Hold.BothHands or Hold.Band));

    private static bool IsFloorPushUp(Prescription line, Exercise exercise) =>
        exercise is { Family: ExerciseFamily.PushUps, Pattern: Pattern.HorizontalPress, Load.Body: BodyModel.PushUp or BodyModel.KneelingPushUp } && line.Kit is null;

    /// <summary>The line of a session whose maximum is known worst, of those that are safe and free of pain; null for none today.</summary>
    /// <param name="lastAsked">The last set to the limit of this client, any exercise.</param>
    public static int? Of(
        IEnumerable<(int Line, Prescription Prescription)> session, ClientProfile client, Catalogue catalogue, StrengthAnchors anchors,
        DateOnly today, DateOnly? lastAsked, Func<Exercise, bool> isPainful)
    {
        if (lastAsked is { } last && today.DayNumber - last.DayNumber < DaysBetween)
        {
            return null;
        }

        return session
            .Select(l => (l.Line, l.Prescription, Exercise: catalogue.Find(l.Prescription.Exercise)))
            .Where(l => l.Exercise is not null && !isPainful(l.Exercise) && IsSafe(l.Prescription, l.Exercise, client))
            .OrderByDescending(l => anchors.For(l.Exercise!)?.Spread ?? 0).ThenBy(l => l.Line)
            .Select(l => (int?)l.Line)
            .FirstOrDefault();
    }
}
