using System.Collections.Immutable;
using Ingegno.Core.Homes;

namespace Ingegno.Core.Safety;

/// <summary>How a client checks a fixture: by hand first, then with rising force, feet on the floor until the last step (common practice).</summary>
public static class FixtureSteps
{
    private static readonly ImmutableArray<string> Sat =
    [
        "Look at the legs, joints and feet: nothing cracked, loose or sliding",
        "Push down with both hands, a quarter of your weight",
        "Lean half your weight on it and rock it gently, each way",
        "Put your whole weight on it for ten seconds, one hand on something firm",
    ];

    private static readonly ImmutableArray<string> Hung =
    [
        "Look at what holds it: screws, wood, welds; nothing cracked, rusted or moving",
        "Pull with one hand, as hard as a full shopping bag",
        "Pull with both hands, half your weight, feet on the floor",
        "Hang your whole weight for ten seconds, knees bent, feet just over the floor",
    ];

    private static readonly ImmutableArray<string> Tied =
    [
        "Look at it and try it with one hand: nothing moves or creaks",
        "Pull steadily with one hand for five seconds",
        "Pull with both hands, leaning back, as hard as the band will",
        "Jerk it gently three times from the side you will train on; a door must close against you",
    ];

    private static readonly ImmutableArray<string> Racked =
    [
        "Look at uprights, hooks, arms and bolts: nothing bent, cracked or loose, the feet on firm ground",
        "Set both arms at one height, lay the empty bar on them and push it each way",
        "Load half of what you will lift and set it down hard on the arms, once each side and once level",
        "Without a load, lie or squat under the arms: you must have room to get out when the bar rests on them",
    ];

    public static ImmutableArray<string> For(FixtureKind kind) =>
        FixtureKinds.IsFurniture(kind) ? Sat
        : kind == FixtureKind.Rack ? Racked
        : FixtureKinds.CountsAs(kind) is FixtureKind.Rail or FixtureKind.PullUpBar ? Hung
        : Tied;
}
