using System.Collections.Immutable;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>One implement held one way, and the loads that gives.</summary>
public sealed record HeldImplement(string KitId, string Name, Hold Hold, LoadLadder Ladder);

/// <summary>Every implement of a home in every way it can be held.</summary>
public static class HomeLadders
{
    private static readonly ImmutableArray<Hold> HandleHolds =
        [Hold.OneHand, Hold.AtChest, Hold.BothHands, Hold.AcrossHips];

    /// <summary>
    /// Ladders with their offered rungs only; holds that give no load at all are left out.
    /// The same implement always comes in the same order.
    /// </summary>
    public static ImmutableArray<HeldImplement> Of(Home home) =>
        [.. home.Kit.SelectMany(Held).Where(h => h.Ladder.Rungs.Length > 0)];

    private static IEnumerable<HeldImplement> Held(KitItem item) => item switch
    {
        PlateLoadedHandles handles => HeldHandles(handles),
        FixedWeights weights => HeldWeights(weights),
        Container container => HeldContainer(container),
        _ => throw new ArgumentOutOfRangeException(nameof(item)),
    };

    private static IEnumerable<HeldImplement> HeldHandles(PlateLoadedHandles kit)
    {
        var single = PlateLadder.OneHandle(kit).Offered();
        foreach (var hold in HandleHolds)
        {
            yield return new(kit.Id, kit.Name, hold, single);
        }

        yield return new(kit.Id, kit.Name, Hold.Pair, PlateLadder.Pair(kit).Offered());
    }

    private static IEnumerable<HeldImplement> HeldWeights(FixedWeights kit)
    {
        var single = Fixed(kit, pieces: 1);
        foreach (var hold in HandleHolds)
        {
            yield return new(kit.Id, kit.Name, hold, single);
        }

        yield return new(kit.Id, kit.Name, Hold.Pair, Fixed(kit, pieces: 2));
    }

    private static LoadLadder Fixed(FixedWeights kit, int pieces)
    {
        string word = kit.Shape.ToString().ToLowerInvariant();
        return LoadLadder.From(kit.Weights
            .GroupBy(w => w.Mass.Grams)
            .Where(g => g.Sum(w => w.Count) >= pieces)
            .Select(g => g.First().Mass)
            .Select(mass => new Rung(
                Mass.FromGrams(mass.Grams * pieces),
                new Recipe([new Piece($"{mass} {word}", mass, pieces)], pieces == 1 ? $"the {mass} {word}" : $"two {mass} {word}s"))));
    }

    private static IEnumerable<HeldImplement> HeldContainer(Container kit)
    {
        var ladder = Packing.Ladder(kit).Offered();
        Hold[] holds = kit.Shape switch
        {
            ContainerShape.Rucksack => [Hold.OneHand, Hold.AtChest, Hold.BothHands, Hold.OnBack, Hold.AcrossHips],
            ContainerShape.Basket => [Hold.AtChest, Hold.BothHands],
            ContainerShape.Bag => [Hold.OneHand, Hold.BothHands],
            _ => throw new ArgumentOutOfRangeException(nameof(kit)),
        };
        return holds.Select(hold => new HeldImplement(kit.Id, kit.Name, hold, ladder));
    }
}
