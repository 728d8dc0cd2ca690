using System.Collections.Immutable;

namespace Ingegno.Core.Homes;

/// <summary>One place a client trains in: its room, what stands in it and what can be lifted there.</summary>
public sealed record Home
{
    /// <summary>"On the boat", "Slipway shed".</summary>
    public string Name { get; init; } = "At home";

    public Room Room { get; init; } = new();

    public ImmutableArray<Fixture> Fixtures { get; init; } = [];

    public ImmutableArray<KitItem> Kit { get; init; } = [];
}
