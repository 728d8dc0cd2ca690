using System.Collections.Immutable;

namespace Ingegno.Core.Weeks;

/// <summary>An offer tried alone, and what it was worth.</summary>
public sealed record TriedOffer(string Id, int Gain);

/// <summary>What to buy, borrow and check for a sum of money.</summary>
public static class Basket
{
    /// <summary>
    /// Everything free that gains, and of what costs the set whose gains alone add up to most within the budget (exact, by cents). Together
    /// they gain less than that where two would fill the same line: the week is solved again with all of them.
    /// </summary>
    /// <param name="budget">0 and over, in the practice's currency.</param>
    public static ImmutableArray<UnlockOffer> Under(decimal budget, IReadOnlyList<UnlockOffer> offers, IReadOnlyList<TriedOffer> tried)
    {
        var gains = tried.Where(t => t.Gain > 0).GroupBy(t => t.Id).ToDictionary(g => g.Key, g => g.Max(t => t.Gain));
        UnlockOffer[] gaining = [.. offers.Where(o => gains.ContainsKey(o.Id))];
        UnlockOffer[] dear = [.. gaining.Where(o => o.Cost is > 0 && o.Cost <= budget)];
        int most = (int)(budget * 100);
        var best = new (int Gain, ImmutableArray<int> Taken)[most + 1];
        Array.Fill(best, (0, []));
        for (int i = 0; i < dear.Length; i++)
        {
            int cents = (int)(dear[i].Cost!.Value * 100), gain = gains[dear[i].Id];
            for (int money = most; money >= cents; money--)
            {
                if (best[money - cents].Gain + gain > best[money].Gain)
                {
                    best[money] = (best[money - cents].Gain + gain, best[money - cents].Taken.Add(i));
                }
            }
        }

        return [.. gaining.Where(o => o.Cost == 0), .. best[most].Taken.Select(i => dear[i])];
    }
}
