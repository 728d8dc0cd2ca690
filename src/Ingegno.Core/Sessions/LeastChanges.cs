using System.Collections.Immutable;

namespace Ingegno.Core.Sessions;

/// <summary>Lines done together, and what they need; blocks with one rank may change places.</summary>
/// <param name="Rank">Main, secondary or accessory work: the biggest stay first.</param>
public sealed record WorkBlock(int Rank, ImmutableArray<SetThing> Things);

/// <summary>
/// The order in which a bag is packed once and then only emptied, and an anchor is moved least. Only neighbours of one rank change places.
/// </summary>
public static class LeastChanges
{
    /// <summary>What a change costs, in words: emptying is quick, packing is not, an anchor is between (coach).</summary>
    private const int Emptying = 1, Adjusting = 2, Anchoring = 2, Packing = 4;

    /// <summary>Runs longer than this keep their order: nobody writes so many alike.</summary>
    private const int LongestRun = 6;

    /// <returns>The places of the blocks in the order they are done.</returns>
    public static ImmutableArray<int> Of(IReadOnlyList<WorkBlock> blocks)
    {
        var order = new List<int>();
        for (int from = 0; from < blocks.Count;)
        {
            int to = from;
            while (to < blocks.Count && blocks[to].Rank == blocks[from].Rank)
            {
                to++;
            }

            int[] run = [.. Enumerable.Range(from, to - from)];
            order.AddRange(run.Length is 1 or > LongestRun ? run : Best(blocks, order, run));
            from = to;
        }

        // A run is ordered without the ones behind it: where that costs more in the end, the written order stands.
        return Cost(blocks, order) < Cost(blocks, Enumerable.Range(0, blocks.Count)) ? [.. order] : [.. Enumerable.Range(0, blocks.Count)];
    }

    /// <summary>Changes of a whole order, weighed.</summary>
    public static int Cost(IReadOnlyList<WorkBlock> blocks, IEnumerable<int> order)
    {
        var now = new Dictionary<string, SetThing>(StringComparer.Ordinal);
        int cost = 0;
        foreach (var thing in order.SelectMany(i => blocks[i].Things))
        {
            if (now.TryGetValue(thing.Thing, out var before) && before.Setting != thing.Setting)
            {
                cost += thing.Kind switch
                {
                    SetKind.Packed => thing.Load < before.Load ? Emptying : Packing,
                    SetKind.Anchored => Anchoring,
                    _ => Adjusting,
                };
            }

            now[thing.Thing] = thing;
        }

        return cost;
    }

    /// <summary>Of equal orders the one nearest to the written one: permutations come in that order, and only a better one replaces it.</summary>
    private static int[] Best(IReadOnlyList<WorkBlock> blocks, List<int> before, int[] run)
    {
        int[] best = run;
        int least = Cost(blocks, before.Concat(run));
        if (least == Cost(blocks, before))
        {
            return run;
        }

        foreach (int[] order in Permutations(run))
        {
            int cost = Cost(blocks, before.Concat(order));
            if (cost < least)
            {
                (best, least) = (order, cost);
            }
        }

        return best;
    }

    private static IEnumerable<int[]> Permutations(int[] items) =>
        items.Length <= 1
            ? [items]
            : items.SelectMany((item, i) => Permutations([.. items[..i], .. items[(i + 1)..]]).Select(rest => (int[])[item, .. rest]));
}
