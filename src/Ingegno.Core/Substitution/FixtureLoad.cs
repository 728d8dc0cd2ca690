using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>What a set-up puts on a fixture at rest; <see cref="Safety.SetupCheck"/> adds the dynamic factor and judges.</summary>
internal static class FixtureLoad
{
    /// <summary>
    /// A share of body and load, split over the fixtures of a pair; of a band's anchor, what the band pulls at its
    /// longest, of what catches a bar the bar. A load that takes weight off hangs on the same fixture and is not subtracted.
    /// </summary>
    internal static Mass AtRest(Rung rung, PlacedFixture placed, FixtureNeed need, Exercise exercise, ClientProfile client)
    {
        if (need.Role == FixtureRole.Anchor)
        {
            return rung.Pull is { } pull ? Heavier(pull.Start, pull.End) : Mass.Zero;
        }

        if (need.Role == FixtureRole.Catch)
        {
            return Heavier(rung.Load, Mass.Zero);
        }

        var geometry = new SetUp([placed], null).Geometry;
        var share = need.Bears ?? Resistance.BodyMoved(exercise.Load, client, geometry);
        return share * (client.BodyMass + Heavier(rung.Load, Mass.Zero)) * (1.0 / need.Count);
    }

    private static Mass Heavier(Mass a, Mass b) => a > b ? a : b;
}
