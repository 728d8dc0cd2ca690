using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Safety;

/// <summary>
/// Whom supported versions come first for: over sixty-five, untrained, or over 110 kg. No jumps, no
/// landings, nothing that stands on one bent leg or presses on one arm, and the floor push-up, or walking on the hands, only
/// once an easier push-up was done (common practice).
/// </summary>
public static class CarefulStart
{
    /// <summary>Heavier than this joints are spared first.</summary>
    internal static readonly Mass Heavy = Mass.FromKilograms(110);

    /// <summary>Older than this, in years, too.</summary>
    private const int Old = 65;

    /// <summary>Whether it holds for a client on a day, in few words; null where not.</summary>
    public static string? For(ClientProfile client, DateOnly today) =>
        client.AgeOn(today) > Old ? $"over {Old}"
        : client.BodyMass > Heavy ? $"over {Heavy.Kilograms:0} kg"
        : client.Level == Level.Beginner && client.Lifts.IsEmpty && client.Learned.Anchors.IsEmpty ? "new to training"
        : null;

    /// <summary>Why an exercise waits; null where it need not.</summary>
    public static string? Against(Exercise exercise, ClientProfile client, DateOnly today)
    {
        if (For(client, today) is not { } why)
        {
            return null;
        }

        return exercise.Room.Noise == Noise.Loud ? $"a jump lands hard: not for clients {why}"
            : StandsOnOneBentLeg(exercise) ? $"all of the body on one bent leg: not for clients {why} yet"
            : exercise.Pattern == Pattern.HorizontalPress && exercise.Sides == Sides.OneAtATime && exercise.Load.Body == BodyModel.PushUp
                ? $"a push-up on one arm: not for clients {why} yet"
            : WalksOnHands(exercise) && !HasEarned(client) ? $"the body on moving hands waits until a push-up at a counter, the wall or on the knees was logged: {why}"
            : IsFloorPushUp(exercise) && !HasEarned(client) ? $"the floor push-up waits until one at a counter, the wall or on the knees was logged: {why}"
            : null;
    }

    private static bool StandsOnOneBentLeg(Exercise exercise) =>
        exercise is { Pattern: Pattern.Squat, Load.Body: BodyModel.OneLeg, Line: LineOfForce.AlongTheSpine };

    /// <summary>Trunk work in which hands that move carry the body.</summary>
    private static bool WalksOnHands(Exercise exercise) =>
        exercise is { Pattern: Pattern.TrunkBrace or Pattern.TrunkFlexion, Kind: MovementKind.Compound, Holds.IsEmpty: true }
        && exercise.Joints.Any(j => j is { Joint: Joint.Wrist, Level: >= 2 }) && exercise.Joints.Any(j => j is { Joint: Joint.Shoulder, Level: >= 2 });

    /// <summary>A support lower than this, over stature, takes nothing off a push-up that counts.</summary>
    private const double Raised = 0.3;

    /// <summary>Hands and toes on the floor, or the hands hardly above it.</summary>
    private static bool IsFloorPushUp(Exercise exercise) =>
        exercise is { Load.Body: BodyModel.PushUp, IsLoweringOnly: false } && exercise.Band is not { Assists: true } && exercise.Fixtures.All(f => f.Role != FixtureRole.Hands || f.HighestOfStature.Fraction <= Raised);

    private static bool HasEarned(ClientProfile client) =>
        client.Lifts.Select(l => l.Exercise).Concat(client.Learned.Anchors.Select(a => a.Exercise)).Any(id => id.EndsWith("push-up", StringComparison.Ordinal));
}
