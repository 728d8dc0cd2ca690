using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Substitution;

/// <summary>What one exercise would put on a fixture, against what it may carry.</summary>
/// <param name="Resting">Held still.</param>
/// <param name="Peak">In the movement.</param>
/// <param name="MayCarry">Null where it is not known.</param>
public sealed record FixtureUse(
    string Exercise, string Name, FixtureRole Role, Mass Resting, Mass Peak, Mass? MayCarry, SetupFinding Finding);

/// <summary>Everything the catalogue could do on one fixture of a home for one client, heaviest first.</summary>
public static class FixtureUses
{
    public static ImmutableArray<FixtureUse> Of(
        Fixture fixture, ClientProfile client, PreparedHome home, Catalogue catalogue, int passDays) =>
        [.. catalogue.Exercises
            .Where(e => e.Setting != Setting.Gym)
            .SelectMany(e => e.Fixtures.Select(need => (exercise: e, need)))
            .Where(p => p.need.Role is not (FixtureRole.Anchor or FixtureRole.Catch) && p.need.Kinds.Any(kind => FixtureKinds.Serves(fixture.Kind, kind)))
            .Select(p => (p.exercise, p.need, place: Placements.On(fixture, p.need, client, home).Places is [var first, ..] ? first : null))
            .Where(p => p.place is not null)
            .Select(p =>
            {
                var resting = FixtureLoad.AtRest(LoadLadder.BodyOnly.Rungs[0], p.place!, p.need, p.exercise, client);
                return new FixtureUse(
                    p.exercise.Id, p.exercise.Name, p.need.Role, resting, SetupCheck.Peak(resting, p.need.Motion),
                    SetupCheck.MayCarry(fixture),
                    SetupCheck.Of(fixture, resting, p.need.Motion, home.Today, passDays));
            })
            .OrderByDescending(u => u.Peak)
            .ThenBy(u => u.Exercise, StringComparer.Ordinal)];
}
