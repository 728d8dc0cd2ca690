using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>A fixture in the role it plays, at the height it is used.</summary>
/// <param name="Height">Of the surface, the grip or the knot: the fixture's own, or where a strap brings it.</param>
/// <param name="Error">Height less the one best for this body; zero where any height is as good.</param>
/// <param name="Partner">The second fixture of a pair of near-equal height; null where one thing does.</param>
/// <param name="Note">How a wrong height is met: a strap of so much, feet so far out. Null: nothing to do.</param>
public sealed record PlacedFixture(
    FixtureRole Role, Fixture Fixture, Length Height, Length Error = default, Fixture? Partner = null, string? Note = null);

/// <summary>One way to do an exercise in this home: what stands where, and what is held how.</summary>
/// <param name="Implement">Null for body weight alone.</param>
/// <param name="FeetOut">For a lean, how far the heels stand in front of the grip.</param>
public sealed record SetUp(ImmutableArray<PlacedFixture> Placed, HeldImplement? Implement, Length? FeetOut = null)
{
    public Geometry Geometry { get; } = new(
        HeightOf(Placed, FixtureRole.Hands), HeightOf(Placed, FixtureRole.Feet), HeightOf(Placed, FixtureRole.Grip), FeetOut);

    /// <summary>The loads on offer; the single rung "no load" without an implement.</summary>
    public LoadLadder Ladder => Implement?.Ladder ?? LoadLadder.BodyOnly;

    private static Length? HeightOf(ImmutableArray<PlacedFixture> placed, FixtureRole role) =>
        placed.FirstOrDefault(p => p.Role == role)?.Height;
}
