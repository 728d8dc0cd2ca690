using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;

namespace Ingegno.Core.Substitution;

/// <summary>What the habits of a body make of an exercise (common practice; the worth of each is a coach's, log).</summary>
internal static class TraitLeanings
{
    internal static IEnumerable<Leaning> On(Exercise e, ClientProfile client) =>
        client.Traits.Distinct().Select(trait => Of(trait, e)).OfType<Leaning>();

    private static Leaning? Of(Trait trait, Exercise e) => trait switch
    {
        Trait.ShrugsEasily when Weight(e, Muscle.TrapeziusUpper) >= 0.3 && e.Pattern is not (Pattern.Shrug or Pattern.Carry) =>
            new("Shrugs easily", 0.93, "Shoulders away from the ears before every repetition"),
        Trait.WeakGrip when HangsOnTheHands(e) =>
            new("Weak grip", 0.88, "A towel or strap round the hands: the back ends the set, not the grip"),
        Trait.KneesFallIn when e is { Pattern: Pattern.Squat, Steadiness: >= 3 } =>
            new("Knees fall in", 0.90, "Knee over the second toe; stop when it falls in"),
        Trait.KneesFallIn when e.Pattern is Pattern.Squat or Pattern.Jump =>
            new("Knees fall in", 1, "Knees over the second toes; stop when they fall in"),
        Trait.BackArches when e.Pattern == Pattern.VerticalPress && e.Fixtures.All(n => n.Role != FixtureRole.Seat) =>
            new("Back arches", 0.93, "Ribs down, buttocks tight before every press"),
        Trait.BackArches when e.Pattern is Pattern.HipThrust or Pattern.TrunkBrace or Pattern.TrunkFlexion =>
            new("Back arches", 1, "Ribs down: stop when the small of the back lifts or sags") { Overrules = ["a small arch"] },
        Trait.OneSideStronger when e.Sides == Sides.OneAtATime =>
            new("One side stronger", 1, "Weaker side first; the stronger side stops at its count"),
        Trait.OneSideStronger when e.Pattern is not (Pattern.TrunkBrace or Pattern.TrunkFlexion) => new("One side stronger", 0.92),
        Trait.UncomfortableUpsideDown when Ban.Has(e, ExerciseAttribute.UpsideDown) => new("Uncomfortable upside down", 0.60),
        Trait.KneeSoreOnLunges when e.Family == ExerciseFamily.LungesAndSteps && e.Joints.Any(j => j is { Joint: Joint.Knee, Level: >= 3 }) =>
            new("Knee sore on lunges", 0.60, "Only as deep as it stays quiet"),
        Trait.KneeSoreOnLunges when e.Family == ExerciseFamily.LungesAndSteps && e.Pattern == Pattern.Squat =>
            new("Knee sore on lunges", 0.85, "Shin near upright; only as deep as it stays quiet"),
        _ => null,
    };

    /// <summary>The load hangs on the fingers: bars and edges pulled on, weights that hang from the hands.</summary>
    private static bool HangsOnTheHands(Exercise e) =>
        e.Fixtures.Any(n => n.Role == FixtureRole.Grip && n.Bears is null or { Fraction: >= 0.5 })
        || (e.Pattern is Pattern.Hinge or Pattern.HorizontalPull or Pattern.Shrug or Pattern.Carry
            && e.NeedsLoad && e.Holds.Any(h => h is Hold.Pair or Hold.BothHands or Hold.OneHand or Hold.Bar));

    private static double Weight(Exercise e, Muscle muscle) => e.Muscles.Weights.GetValueOrDefault(muscle);
}
