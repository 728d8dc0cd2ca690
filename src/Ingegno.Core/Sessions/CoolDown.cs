using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>Slow breaths, then stretches of what was trained most.</summary>
public static class CoolDown
{
    private const int MostStretches = 4;

    /// <param name="allowed">Drills this client may be given here.</param>
    /// <returns>Empty where nothing was trained.</returns>
    public static ImmutableArray<GivenDrill> For(IReadOnlyCollection<Exercise> trained, ClientProfile client, IReadOnlyList<Drill> allowed)
    {
        if (trained.Count == 0)
        {
            return [];
        }

        var work = trained.SelectMany(e => e.Muscles.Weights).GroupBy(w => w.Key).ToDictionary(g => g.Key, g => g.Sum(w => w.Value));
        return GivenDrill.Within(
        [
            .. allowed.Where(d => d.Kind == DrillKind.Breathing).Take(1).Select(d => GivenDrill.Of(d, "brings the pulse down")),
            .. allowed.Where(d => d.Kind == DrillKind.Stretch)
                .Select(d => (drill: d, work: d.Muscles.Max(m => work.GetValueOrDefault(m))))
                .Where(p => p.work > 0)
                .OrderByDescending(p => p.work).ThenBy(p => p.drill.Id, StringComparer.Ordinal)
                .Take(MostStretches)
                .Select(p => GivenDrill.Of(p.drill, "was trained most today")),
        ], Most(client));
    }

    /// <summary>A tenth of the time there is, 2 to 6 minutes (common practice; coach).</summary>
    private static Duration? Most(ClientProfile client) =>
        client.SessionMinutes is { } minutes ? Duration.FromMinutes(Math.Clamp(minutes / 10.0, 2, 6)) : null;
}
