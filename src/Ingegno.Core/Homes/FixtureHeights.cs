using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>A height at which a fixture can be used.</summary>
/// <param name="At">Above the floor.</param>
/// <param name="Where">"on the third step"; null for a thing of one height.</param>
/// <param name="LightOnly">Takes hands that press in a lean, never one that stands, sits, dips or pulls on it: it would tip.</param>
public readonly record struct UsableHeight(Length At, string? Where = null, bool LightOnly = false);

/// <summary>
/// The heights one thing offers: every step of a stair, seat and back of a chair. Of a stair the height kept is that of one step.
/// </summary>
public static class FixtureHeights
{
    /// <summary>No step of a stair is higher (building practice: 14 to 21 cm; from memory): what is, is one surface.</summary>
    public static Length HighestStep { get; } = Length.FromCentimetres(25);

    /// <summary>Steps of one flight that can still be reached from its foot.</summary>
    private static readonly ImmutableArray<string> Steps = ["first", "second", "third", "fourth", "fifth", "sixth"];

    public static ImmutableArray<UsableHeight> Of(Fixture fixture) => fixture switch
    {
        { Kind: FixtureKind.Stairs } when fixture.Height <= HighestStep => [.. Steps.Select((step, i) => new UsableHeight(fixture.Height * (i + 1), $"on the {step} step"))],
        { Kind: FixtureKind.Chair, BackHeight: { } back } => [new(fixture.Height), new(back, "on the top of its back, the back against a wall", LightOnly: true)],
        _ => [new(fixture.Height)],
    };
}
