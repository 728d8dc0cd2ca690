using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Substitution;

/// <summary>What the house rules make of an exercise: refused, ranked lower, or cued another way.</summary>
internal static class SchoolLeanings
{
    /// <summary>What the other way of making a push-up easier is worth (common practice).</summary>
    private const double OtherRegression = 0.85;

    /// <summary>Steadiness from which a stance is called unsteady.</summary>
    private const int Unsteady = 3;

    internal static IEnumerable<Leaning> On(Exercise e, HouseRules rules)
    {
        foreach (var (teaching, applies, worth, cue, overrules) in Table(e))
        {
            if (applies && rules.Teaches(teaching))
            {
                yield return new(School.Named(teaching), worth, cue) { Overrules = [.. overrules] };
            }
        }
    }

    /// <summary>Why a house rule keeps the exercise out; null when none does.</summary>
    /// <param name="shoulderPain">0 to 10.</param>
    /// <param name="shoulderPassed">The shoulder-extension screen was passed, not merely not failed.</param>
    internal static string? Against(Exercise e, HouseRules rules, int shoulderPain, bool shoulderPassed)
    {
        if (Ban.Has(e, ExerciseAttribute.BehindTheBodyDips))
        {
            return rules.Allowed.Contains(e.Id) || (rules.Teaches(Teaching.BenchDipsWithScreen) && shoulderPassed) ? null
                : rules.Teaches(Teaching.BenchDipsWithScreen) ? "the shoulder screen must be passed before dips behind the body"
                : $"off by house rule: {e.OffByDefault}";
        }

        return e.OffByDefault is { } reason && !rules.Allowed.Contains(e.Id) ? $"off by house rule: {reason}"
            : Refused(e.ThumbsDown && shoulderPain > 0, Teaching.ThumbsDownOffWhenSore)
            ?? Refused(e.KneesForward, Teaching.KneesBehindToes)
            ?? Refused(e.Pattern == Pattern.TrunkFlexion && e.Range != HardestRange.Long, Teaching.SpineLengthens)
            ?? Refused(e.Pattern == Pattern.TrunkRotation, Teaching.RotationOff)
            ?? Refused(e.Pattern == Pattern.TrunkRotation && e.NeedsLoad, Teaching.RotationUnloaded)
            ?? Refused(e.Steadiness >= Unsteady, Teaching.UnsteadyAvoided);

        string? Refused(bool applies, Teaching teaching) => applies && rules.Teaches(teaching) ? School.Named(teaching) : null;
    }

    private static IEnumerable<(Teaching Teaching, bool Applies, double Worth, string? Cue, string[] Overrules)> Table(Exercise e)
    {
        bool pushUp = e.Family == ExerciseFamily.PushUps, squat = e.Pattern == Pattern.Squat;
        bool lunge = e.Family == ExerciseFamily.LungesAndSteps && e.Sides == Sides.OneAtATime;
        bool bridge = e.Pattern == Pattern.HipThrust;
        bool facePull = e is { Pattern: Pattern.RearFly, Line: LineOfForce.FromTheFrontHigh };
        bool pressOrSquat = e.Kind == MovementKind.Compound && !e.IsBallistic && (squat || e.Pattern is Pattern.HorizontalPress or Pattern.VerticalPress);
        yield return (Teaching.KeepTension, pressOrSquat, 1, "Stop just short of straight: keep the tension", ["lock out", "straight arms", "arms straight", "stand tall", "stand up tall"]);
        yield return (Teaching.BladesBack, pushUp, 1, "Blades held back and down throughout", ["blades glide", "push the floor away"]);
        yield return (Teaching.KneesBehindToes, squat, 1, "Shins near upright: knees stay behind the toes", ["over the toes", "knees forward"]);
        yield return (Teaching.LungesAlternating, lunge, 1, "Alternate the sides; the count is for each side", []);
        yield return (Teaching.RearSmallSwing, e is { Pattern: Pattern.RearFly, Kind: MovementKind.Isolation }, 1, "A small swing is fine on the last ones", ["no swing"]);
        yield return (Teaching.BridgesArched, bridge, 1, "Finish tall, a small arch is fine", ["ribs down"]);
        yield return (Teaching.FacePullThumbsDown, facePull, 1, "End with the thumbs down", ["thumbs back", "thumbs up"]);
        yield return (Teaching.DepthParallel, squat, 1, "Thighs to parallel, no deeper", ["deep"]);
        yield return (Teaching.HoldsToComfort, e.Counted == Counted.Seconds, 1, "Stop while it is still comfortable", ["before the grip fails"]);
        yield return (Teaching.PushUpsByHigherHands, e.Load.Body == BodyModel.KneelingPushUp, OtherRegression, null, []);
        yield return (Teaching.PushUpsByKneeling, pushUp && e.Load.Body == BodyModel.PushUp && IsEasier(e), OtherRegression, null, []);
    }

    /// <summary>Made easier by higher hands or a sling.</summary>
    private static bool IsEasier(Exercise e) =>
        e.Band is { Assists: true } || e.Fixtures.Any(n => n.Role == FixtureRole.Hands && n.HighestOfStature.Fraction > 0.4);
}
