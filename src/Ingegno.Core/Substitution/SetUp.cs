using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;

namespace Ingegno.Core.Substitution;

/// <summary>A fixture in the role it plays.</summary>
public sealed record PlacedFixture(FixtureRole Role, Fixture Fixture);

/// <summary>One way to do an exercise in this home: what stands where, and what is held how.</summary>
/// <param name="Implement">Null for body weight alone.</param>
public sealed record SetUp(ImmutableArray<PlacedFixture> Placed, HeldImplement? Implement)
{
    public Geometry Geometry { get; } = new(
        HeightOf(Placed, FixtureRole.Hands), HeightOf(Placed, FixtureRole.Feet), HeightOf(Placed, FixtureRole.Grip));

    /// <summary>The loads on offer; the single rung "no load" without an implement.</summary>
    public LoadLadder Ladder => Implement?.Ladder ?? LoadLadder.BodyOnly;

    private static Quantities.Length? HeightOf(ImmutableArray<PlacedFixture> placed, FixtureRole role) =>
        placed.FirstOrDefault(p => p.Role == role)?.Fixture.Height;
}
