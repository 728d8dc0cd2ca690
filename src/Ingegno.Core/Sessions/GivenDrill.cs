using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Sessions;

/// <summary>A drill as it stands in a session, with the reason it is there.</summary>
public sealed record GivenDrill
{
    /// <summary>Catalogue id.</summary>
    public required string Drill { get; init; }

    public required string Name { get; init; }

    public required DrillKind Kind { get; init; }

    /// <summary>"3 x 30 s", "6 to 10 a side".</summary>
    public required string Dose { get; init; }

    /// <summary>How long it takes, sides and getting into place counted.</summary>
    public Duration Lasts { get; init; }

    /// <summary>"The deep squat screen was not passed."</summary>
    public required string Why { get; init; }

    /// <summary>There for a habit of this body: it stays however short the session.</summary>
    [JsonIgnore]
    internal bool AnswersTrait { get; init; }

    public ImmutableArray<string> SetUp { get; init; } = [];

    public ImmutableArray<string> Cues { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    internal static GivenDrill Of(Drill drill, string why) => new()
    {
        Drill = drill.Id,
        Name = drill.Name,
        Kind = drill.Kind,
        Dose = drill.Dose + (drill.PerSide ? " a side" : ""),
        Lasts = LastsOf(drill),
        Why = why,
        SetUp = drill.SetUp,
        Cues = drill.Cues,
        Cautions = drill.Cautions,
    };

    /// <summary>Seconds of a repetition and of a slow breath, and of getting into place (common practice); a step takes one.</summary>
    internal const int Repetition = 3, Breath = 5, IntoPlace = 10;

    private static Duration LastsOf(Drill drill)
    {
        double each = drill.Dose.Unit switch
        {
            DrillUnit.Repetitions => Repetition,
            DrillUnit.Breaths => Breath,
            _ => 1,
        };
        double middle = (drill.Dose.Low + drill.Dose.High) / 2.0;
        return Duration.FromSeconds((drill.Dose.Sets * middle * each * (drill.PerSide ? 2 : 1)) + IntoPlace);
    }

    /// <summary>The drills in order as long as they fit; the first always does, and so does what answers a trait.</summary>
    internal static ImmutableArray<GivenDrill> Within(IEnumerable<GivenDrill> drills, Duration? most)
    {
        var given = ImmutableArray.CreateBuilder<GivenDrill>();
        var total = Duration.Zero;
        foreach (var drill in drills)
        {
            if (most is { } limit && given.Count > 0 && !drill.AnswersTrait && total + drill.Lasts > limit)
            {
                continue;
            }

            given.Add(drill);
            total += drill.Lasts;
        }

        return given.ToImmutable();
    }
}

/// <summary>The drills this client may be given in this room under these rules.</summary>
internal static class DrillGate
{
    internal static ImmutableArray<Drill> Allowed(Catalogue catalogue, ClientProfile client, Home home, HouseRules rules, DateOnly today) =>
        [.. catalogue.Drills.Where(d =>
            (home.Room.Outdoors || client.Stature * d.FloorOfStature.Fraction <= home.Room.FloorLengthOrUsual())
            && !(d.Noise == Noise.Loud && home.Room.NeighboursBelow && !home.Room.Outdoors)
            && !client.Health.Answers.Any(a => a.Applies && d.Conditions.Contains(a.Question))
            && !(d.Noise == Noise.Loud && CarefulStart.For(client, today) is not null)
            && !rules.Bans.Concat(client.Bans).Any(b => b.Attribute is { } banned && d.Has(banned))
            && d.Joints.All(j => client.PainAt(j) <= PainHold.Stops))];
}
