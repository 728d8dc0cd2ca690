using System.Collections.Immutable;

namespace Ingegno.Core.Schools;

/// <summary>One side of a school, in few words as it stands on a changed line.</summary>
public sealed record TaughtSide(Teaching Teaching, string Words);

/// <summary>
/// A question on which coaches differ, with the sides they take. All are common practice; where a side is called the usual
/// one, the reason says why.
/// </summary>
/// <param name="Sides">The first is the default.</param>
public sealed record School(string Question, ImmutableArray<TaughtSide> Sides, string Why)
{
    /// <summary>Every school, in the order of a coach's work: effort, order, form, choice, progress.</summary>
    public static ImmutableArray<School> All { get; } =
    [
        new("Rests", [new(Teaching.RestToRepeat, "long enough to repeat the set"), new(Teaching.RestShort, "kept short to make up for load")],
            "Repeated good sets train more than breathlessness; short rests are a measure where load runs out."),
        new("Effort", [new(Teaching.ReserveKept, "1 to 3 left in reserve"), new(Teaching.ToFailure, "to failure, not for beginners nor where failing is risky")],
            "A little short of failure trains nearly as much and is recovered from sooner."),
        new("Order", [new(Teaching.BiggestFirst, "biggest first"), new(Teaching.WeakestRangeFirst, "weakest range first, middle range last")],
            "The most skilled work deserves a fresh client."),
        new("End of the lift", [new(Teaching.LockOut, "lock out"), new(Teaching.KeepTension, "keep tension")],
            "A whole range is the plainest standard; staying off the end makes light loads bite."),
        new("Push-up shoulder blades", [new(Teaching.BladesFree, "blades glide freely"), new(Teaching.BladesBack, "blades held back")],
            "Free blades train the muscle that carries them."),
        new("Knees over toes", [new(Teaching.KneesMayPass, "may pass the toes where pain-free"), new(Teaching.KneesBehindToes, "stay behind the toes")],
            "Deep knees are fine where they do not hurt."),
        new("Bench dips, hands behind", [new(Teaching.BenchDipsOff, "off"), new(Teaching.BenchDipsWithScreen, "allowed with the shoulder screen passed")],
            "Several coaches call them a shoulder hazard."),
        new("Lunges", [new(Teaching.LungesOneSide, "one side first"), new(Teaching.LungesAlternating, "sides alternating")],
            "One side at a time keeps the muscle working."),
        new("Light rear-shoulder work", [new(Teaching.RearStrict, "strict"), new(Teaching.RearSmallSwing, "a small swing allowed")],
            "Strict work tells how much the small muscle did."),
        new("Bridges", [new(Teaching.BridgesRibsDown, "ribs down"), new(Teaching.BridgesArched, "arched at the top")],
            "With the ribs down the hips extend, not the back."),
        new("Trunk bending", [new(Teaching.SpineMayFlex, "crunches allowed"), new(Teaching.SpineLengthens, "lengthening work only")],
            "Crunches are fine for backs that tolerate them."),
        new("Trunk rotation", [new(Teaching.RotationUnloaded, "unloaded"), new(Teaching.RotationLoaded, "loaded too"), new(Teaching.RotationOff, "off")],
            "Turning is practised first without load."),
        new("Unsteady stances", [new(Teaching.UnsteadyAsTool, "a tool to make light loads hard"), new(Teaching.UnsteadyAvoided, "avoided")],
            "Balance is a fair way to make a load count, until it is what fails first."),
        new("Progress", [new(Teaching.LoadFirst, "load first"), new(Teaching.Milestones, "by milestones"), new(Teaching.Density, "by density")],
            "Load is the measure that tells strength."),
        new("Face pull", [new(Teaching.FacePullTurnedOut, "ends turned out"), new(Teaching.FacePullThumbsDown, "thumbs down")],
            "Turned out it trains the cuff too."),
        new("Thumbs-down raises", [new(Teaching.ThumbsDownOffWhenSore, "off for sore shoulders"), new(Teaching.ThumbsDownAllowed, "allowed")],
            "Turned-in arms pinch sore shoulders."),
        new("Easier push-ups", [new(Teaching.PushUpsByHigherHands, "by higher hands or a band sling"), new(Teaching.PushUpsByKneeling, "by kneeling")],
            "Higher hands keep the whole body in line."),
        new("Squat depth", [new(Teaching.DepthPainFree, "as deep as pain-free"), new(Teaching.DepthParallel, "to parallel")],
            "More range trains more muscle."),
        new("Pauses", [new(Teaching.PauseAtHardest, "at the hardest point"), new(Teaching.PauseAtLong, "at the long point")],
            "A pause counts most where the load is heaviest."),
        new("Lifting", [new(Teaching.LiftEvenly, "evenly"), new(Teaching.LiftFast, "fast")],
            "An even second keeps counts comparable; fast intent keeps speed."),
        new("Warm-up", [new(Teaching.WarmUpAlways, "always"), new(Teaching.WarmUpAsNeeded, "as needed")],
            "Five to ten minutes are cheap."),
        new("Holds", [new(Teaching.HoldsToFatigue, "to fatigue"), new(Teaching.HoldsToComfort, "to comfort")],
            "A hold trains when it gets hard; breathing goes on."),
    ];

    private static readonly ImmutableDictionary<Teaching, School> Of =
        All.SelectMany(s => s.Sides, (school, side) => (school, side.Teaching)).ToImmutableDictionary(p => p.Teaching, p => p.school);

    /// <summary>The school a teaching belongs to.</summary>
    public static School With(Teaching teaching) => Of[teaching];

    /// <summary>"House rule, lunges: sides alternating."</summary>
    public static string Named(Teaching teaching) =>
        $"House rule, {With(teaching).Question.ToLowerInvariant()}: {With(teaching).Sides.Single(s => s.Teaching == teaching).Words}";

    /// <summary>True where this side is in force, given the sides chosen against the defaults.</summary>
    public static bool IsTaught(Teaching teaching, ImmutableArray<Teaching> chosen)
    {
        var sides = With(teaching).Sides;
        foreach (var other in chosen)
        {
            if (sides.Any(s => s.Teaching == other))
            {
                return other == teaching;
            }
        }

        return sides[0].Teaching == teaching;
    }

    /// <summary>The client's sides before the practice's: where both speak the client's counts.</summary>
    public static ImmutableArray<Teaching> Over(ImmutableArray<Teaching> practice, ImmutableArray<Teaching> client) => [.. client, .. practice];

    /// <summary>Two sides of one school at once; null when there are none.</summary>
    public static string? Contradiction(ImmutableArray<Teaching> chosen) =>
        chosen.Distinct().GroupBy(With).FirstOrDefault(g => g.Count() > 1) is { } both
            ? $"{both.Key.Question}: choose one side, not {string.Join(" and ", both.Select(t => both.Key.Sides.Single(s => s.Teaching == t).Words))}."
            : null;
}
