using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Sessions;

/// <summary>
/// The order lines are trained in, where a school wants another than the written one. Written programmes put the biggest
/// first already; the other school opens each muscle with its weakest range and ends it in the middle.
/// </summary>
public static class TrainingOrder
{
    /// <summary>Two lines with this much muscle in common are of one muscle.</summary>
    private const double SameMuscle = 0.5;

    /// <param name="lines">As written: what is done at home, and whether it stands alone. Grouped lines and gaps stay in place.</param>
    /// <returns>For each line the place it is trained at, from 1.</returns>
    public static ImmutableArray<int> Of(IReadOnlyList<(Exercise? Exercise, bool Alone)> lines, HouseRules rules)
    {
        int[] places = [.. Enumerable.Range(1, lines.Count)];
        if (!rules.Teaches(Teaching.WeakestRangeFirst))
        {
            return [.. places];
        }

        var done = new HashSet<int>();
        for (int i = 0; i < lines.Count; i++)
        {
            if (!done.Contains(i) && lines[i] is { Exercise: { } first, Alone: true })
            {
                int[] kin =
                [
                    .. Enumerable.Range(i, lines.Count - i).Where(k => !done.Contains(k) && lines[k] is { Exercise: { } e, Alone: true }
                        && first.Muscles.OverlapWith(e.Muscles).Fraction >= SameMuscle),
                ];
                int[] ordered = [.. kin.OrderBy(k => Turn(lines[k].Exercise!.Range)).ThenBy(k => k)];
                for (int k = 0; k < kin.Length; k++)
                {
                    places[ordered[k]] = kin[k] + 1;
                }

                done.UnionWith(kin);
            }
        }

        return [.. places];
    }

    private static int Turn(HardestRange range) => range switch
    {
        HardestRange.Long => 0,
        HardestRange.Short => 1,
        _ => 2,
    };
}
