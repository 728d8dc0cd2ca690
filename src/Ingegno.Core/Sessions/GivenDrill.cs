using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;

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

    /// <summary>"The deep squat screen was not passed."</summary>
    public required string Why { get; init; }

    public ImmutableArray<string> SetUp { get; init; } = [];

    public ImmutableArray<string> Cues { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    internal static GivenDrill Of(Drill drill, string why) => new()
    {
        Drill = drill.Id,
        Name = drill.Name,
        Kind = drill.Kind,
        Dose = drill.Dose + (drill.PerSide ? " a side" : ""),
        Why = why,
        SetUp = drill.SetUp,
        Cues = drill.Cues,
        Cautions = drill.Cautions,
    };
}

/// <summary>The drills this client may be given in this room.</summary>
internal static class DrillGate
{
    private const int PainStops = 5;

    internal static IEnumerable<Drill> Allowed(Catalogue catalogue, ClientProfile client, Home home) =>
        catalogue.Drills.Where(d =>
            (home.Room.Outdoors || client.Stature * d.FloorOfStature.Fraction <= home.Room.FloorLengthOrUsual())
            && !(d.Noise == Noise.Loud && home.Room.NeighboursBelow && !home.Room.Outdoors)
            && !client.Health.Answers.Any(a => a.Applies && d.Conditions.Contains(a.Question))
            && d.Joints.All(j => client.PainAt(j) <= PainStops));
}
