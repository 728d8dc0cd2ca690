using System.Collections.Immutable;

namespace Ingegno.Core.Dosing;

/// <summary>
/// How much each part of the fit counts, in the order muscles, direction, kind, dose, sides, range, skill. Only their
/// proportions count: a list is scaled to add up to 1 before it is used (common practice; coach). Secondary lines stand
/// halfway.
/// </summary>
public sealed record FitWeights
{
    public const int Parts = 7;

    public static FitWeights Default { get; } = new();

    /// <summary>Main lifts copy the movement.</summary>
    public ImmutableArray<double> Main { get; init; } = [.25, .20, .20, .20, .05, .05, .05];

    /// <summary>Accessory lines copy the workload.</summary>
    public ImmutableArray<double> Accessory { get; init; } = [.30, .05, .10, .35, .05, .10, .05];
}
