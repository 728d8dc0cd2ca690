using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>One implement held one way, and the loads that gives.</summary>
/// <param name="HasHandle">A sound handle that may be swung.</param>
/// <param name="Shifts">What it holds may shift or fall out: not for over the head.</param>
public sealed record HeldImplement(string KitId, string Name, Hold Hold, LoadLadder Ladder, bool Shifts = false, bool HasHandle = false)
{
    /// <summary>Each load is a piece of its own, picked up at once; nothing is filled, packed or screwed.</summary>
    [JsonIgnore]
    public bool IsReady { get; init; }

    /// <summary>It stands flat and bears a hand with the body behind it.</summary>
    [JsonIgnore]
    public bool BearsAHand { get; init; }
}

/// <summary>Every implement of a home in every way it can be held.</summary>
public static class HomeLadders
{
    private static readonly ImmutableArray<Hold> HandleHolds =
        [Hold.OneHand, Hold.AtChest, Hold.BothHands, Hold.AcrossHips];

    private static readonly ImmutableArray<Hold> SackHolds =
        [Hold.AtChest, Hold.BothHands, Hold.OnBack, Hold.AcrossHips];

    /// <summary>
    /// Ladders with their offered rungs only; holds that give no load at all are left out.
    /// The same implement always comes in the same order.
    /// </summary>
    public static ImmutableArray<HeldImplement> Of(Home home) =>
        [.. home.Kit.SelectMany(Held).Where(h => h.Ladder.Rungs.Length > 0)];

    private static IEnumerable<HeldImplement> Held(KitItem item) => item switch
    {
        PlateLoadedHandles handles => HeldHandles(handles),
        // Every load of a bar is offered: programmes are written in its steps, and 140 kg is not 142.5.
        PlateLoadedBar bar => [new(bar.Id, bar.Name, Hold.Bar, PlateLadder.OfBar(bar))],
        FixedWeights weights => HeldWeights(weights),
        Container container => HeldContainer(container),
        Vessels vessels => HeldVessels(vessels),
        Scale { Measures: ScaleKind.Bathroom } scale => [new(scale.Id, scale.Name, Hold.FootOnScale, FootAssistance.Ladder)],

        // What a band gives depends on the movement, so its ladder is made for the exercise; the rest adds no load.
        Band or Straps or Sliders or Scale => [],
        _ => throw new ArgumentOutOfRangeException(nameof(item)),
    };

    private static IEnumerable<HeldImplement> HeldHandles(PlateLoadedHandles kit)
    {
        var single = PlateLadder.OneHandle(kit).Offered();
        foreach (var hold in HandleHolds)
        {
            yield return new(kit.Id, kit.Name, hold, single, HasHandle: true);
        }

        yield return new(kit.Id, kit.Name, Hold.Pair, PlateLadder.Pair(kit).Offered(), HasHandle: true);
    }

    private static IEnumerable<HeldImplement> HeldWeights(FixedWeights kit)
    {
        bool sack = kit.Shape == FixedWeightShape.Sack;
        var single = Fixed(kit, pieces: 1);
        foreach (var hold in sack ? SackHolds : HandleHolds)
        {
            yield return new(kit.Id, kit.Name, hold, single, Shifts: sack, HasHandle: kit.Shape is FixedWeightShape.Dumbbell or FixedWeightShape.Kettlebell) { IsReady = true };
        }

        if (!sack)
        {
            yield return new(kit.Id, kit.Name, Hold.Pair, Fixed(kit, pieces: 2)) { IsReady = true, BearsAHand = kit.Shape is FixedWeightShape.Dumbbell or FixedWeightShape.Kettlebell };
        }
    }

    private static LoadLadder Fixed(FixedWeights kit, int pieces)
    {
        string word = kit.Shape.ToString().ToLowerInvariant();
        return LoadLadder.From(kit.Weights
            .GroupBy(w => w.Mass.Grams)
            .Where(g => g.Sum(w => w.Count) >= pieces)
            .Select(g => (g.First().Mass, Error: g.Max(w => w.Error ?? Mass.Zero)))
            .Select(w => new Rung(
                Mass.FromGrams(w.Mass.Grams * pieces),
                new Recipe([new Piece($"{w.Mass} {word}", w.Mass, pieces)], pieces == 1 ? $"the {w.Mass} {word}" : $"two {w.Mass} {word}s"),
                w.Error == Mass.Zero ? null : w.Error * pieces)));
    }

    private static IEnumerable<HeldImplement> HeldVessels(Vessels kit)
    {
        if (kit.Count < 1)
        {
            yield break;
        }

        var single = Filled(Filling.Ladder(kit, pieces: 1));
        foreach (var hold in HandleHolds)
        {
            yield return new(kit.Id, kit.Name, hold, single);
        }

        if (kit.Count >= 2)
        {
            yield return new(kit.Id, kit.Name, Hold.Pair, Filled(Filling.Ladder(kit, pieces: 2)));
        }
    }

    /// <summary>An empty bag or can is no load.</summary>
    private static LoadLadder Filled(LoadLadder ladder) => new([.. ladder.Offered().Rungs.Where(r => !r.Recipe.IsEmpty)]);

    private static IEnumerable<HeldImplement> HeldContainer(Container kit)
    {
        var ladder = Filled(Packing.Ladder(kit));
        Hold[] holds = kit.Shape switch
        {
            ContainerShape.Rucksack => [Hold.OneHand, Hold.AtChest, Hold.BothHands, Hold.OnBack, Hold.AcrossHips],
            ContainerShape.Basket => [Hold.AtChest, Hold.BothHands],
            ContainerShape.Bag => [Hold.OneHand, Hold.BothHands],
            _ => throw new ArgumentOutOfRangeException(nameof(kit)),
        };
        return holds.Select(hold => new HeldImplement(kit.Id, kit.Name, hold, ladder, Shifts: true));
    }
}
