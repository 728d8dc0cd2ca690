using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>A failed movement screen swaps exercises and adds the work that opens it, behind the work it belongs to.</summary>
public static class MobilityWork
{
    /// <summary>The drills for each failed screen, by the place of the line they follow.</summary>
    /// <param name="written">The exercises as written, in order; the movement asked for is what the screen is about.</param>
    /// <param name="allowed">Drills this client may be given here.</param>
    /// <returns>Place of the line and the drill behind it; empty when no screen failed or no line asks for it.</returns>
    public static ImmutableArray<(int After, GivenDrill Drill)> For(
        IReadOnlyList<Exercise?> written, ClientProfile client, IReadOnlyList<Drill> allowed)
    {
        var found = ImmutableArray.CreateBuilder<(int, GivenDrill)>();
        foreach (var failed in client.Screens.Where(s => s.Result == ScreenResult.Failed).Select(s => s.Screen).Distinct())
        {
            var opening = allowed.Where(d => d.Kind == DrillKind.Mobility && d.Opens == failed)
                .Select(d => (drill: d, after: LastWith(written, d.Patterns)))
                .Where(p => p.after >= 0)
                .OrderByDescending(p => p.drill.Dose.Sets).ThenBy(p => p.drill.Id, StringComparer.Ordinal)
                .FirstOrDefault();
            if (opening.drill is { } drill)
            {
                found.Add((opening.after, GivenDrill.Of(drill, $"the {PlainWords.Of(failed)} screen was not passed")));
            }
        }

        return found.ToImmutable();
    }

    private static int LastWith(IReadOnlyList<Exercise?> written, ImmutableArray<Pattern> patterns)
    {
        int last = -1;
        for (int i = 0; i < written.Count; i++)
        {
            if (written[i] is { } exercise && patterns.Contains(exercise.Pattern))
            {
                last = i;
            }
        }

        return last;
    }
}
