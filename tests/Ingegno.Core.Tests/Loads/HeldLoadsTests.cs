using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Loads;

/// <summary>How things can be held, and how a load reads.</summary>
public class HeldLoadsTests
{
    private static readonly FixedWeights Bells = new()
    {
        Id = "bells",
        Name = "Bells",
        Shape = FixedWeightShape.Kettlebell,
        Weights = [new WeightCount(Mass.FromKilograms(16), 1), new WeightCount(Mass.FromKilograms(8), 2)],
    };

    private static HeldImplement[] Held(KitItem item) => [.. HomeLadders.Of(new Home { Kit = [item] })];

    [Fact]
    public void Only_two_of_one_mass_make_a_pair_and_it_counts_both()
    {
        var held = Held(Bells);
        held.Single(h => h.Hold == Hold.OneHand).Ladder.Rungs.Select(r => r.Load.Kilograms).ShouldBe([8, 16]);
        held.Single(h => h.Hold == Hold.Pair).Ladder.Rungs.Select(r => r.Load.Kilograms).ShouldBe([16]);
        Held(Bells with { Weights = [new WeightCount(Mass.FromKilograms(24), 1)] }).ShouldNotContain(h => h.Hold == Hold.Pair);
    }

    [Theory]
    [InlineData(ContainerShape.Rucksack, Hold.OnBack, true)]
    [InlineData(ContainerShape.Rucksack, Hold.Pair, false)]
    [InlineData(ContainerShape.Basket, Hold.AtChest, true)]
    [InlineData(ContainerShape.Basket, Hold.OneHand, false)]
    [InlineData(ContainerShape.Bag, Hold.OneHand, true)]
    [InlineData(ContainerShape.Bag, Hold.OnBack, false)]
    public void A_container_is_held_as_its_shape_allows(ContainerShape shape, Hold hold, bool allowed) =>
        Held(People.Rucksack(1, 10, ("bottle", 1.5, 3)) with { Shape = shape }).Any(h => h.Hold == hold).ShouldBe(allowed);

    [Theory]
    [InlineData(Hold.OneHand, "16 kg in one hand. Bells: the 16 kg kettlebell")]
    [InlineData(Hold.AtChest, "16 kg at the chest. Bells: the 16 kg kettlebell")]
    [InlineData(Hold.BothHands, "16 kg in both hands. Bells: the 16 kg kettlebell")]
    [InlineData(Hold.AcrossHips, "16 kg across the hips. Bells: the 16 kg kettlebell")]
    [InlineData(Hold.Pair, "8 kg in each hand. Bells: two 8 kg kettlebells")]
    public void A_load_reads_how_much_held_how_built_from_what(Hold hold, string words)
    {
        var held = Held(Bells).Single(h => h.Hold == hold);
        LoadWords.Of(held.Ladder.Rungs[^1], held).ShouldBe(words);
    }

    [Fact]
    public void No_load_reads_own_weight() => LoadWords.Of(LoadLadder.BodyOnly.Rungs[0], null).ShouldBe("own weight");

    [Theory]
    [InlineData("bottle", "2 bottles")]
    [InlineData("bag of rice", "2 bags of rice")]
    [InlineData("dictionary", "2 dictionaries")]
    [InlineData("box", "2 boxes")]
    [InlineData("torch", "2 torches")]
    [InlineData("tray", "2 trays")]
    public void Recipes_count_things_in_the_plural(string name, string words)
    {
        var ladder = Packing.Ladder(People.Rucksack(1, null, (name, 1, 2)));
        ladder.Rungs.Select(r => r.Recipe.Text).ShouldBe(["empty", "1 " + name, words]);
    }

    [Fact]
    public void A_bare_handle_says_so() =>
        PlateLadder.OneHandle(People.Handles(1, 2, (2.5, 4))).Rungs[0].Recipe.Text.ShouldBe("bare handle");

    /// <summary>Nearest by a tenth of a kilogram, then fewest pieces, then fewest pieces moved.</summary>
    [Fact]
    public void A_target_takes_the_nearest_then_the_simplest_then_the_least_moved()
    {
        Rung Of(double load, params (string Name, int Count)[] pieces) => new(
            Mass.FromKilograms(load), new Recipe([.. pieces.Select(p => new Piece(p.Name, Mass.FromKilograms(1), p.Count))], $"{load}"));
        var ladder = new LoadLadder([Of(4.96, ("book", 3)), Of(5.02, ("bottle", 2)), Of(5.04, ("can", 2)), Of(5.6, ("jug", 1))]);
        RungChoice.Nearest(ladder, Mass.FromKilograms(5))!.Load.Kilograms.ShouldBe(5.02);
        RungChoice.Nearest(ladder, Mass.FromKilograms(5.5))!.Load.Kilograms.ShouldBe(5.6);
        RungChoice.Nearest(ladder, Mass.FromKilograms(5), ladder.Rungs[2].Recipe)!.Load.Kilograms.ShouldBe(5.04);
        RungChoice.Nearest(LoadLadder.Empty, Mass.FromKilograms(5)).ShouldBeNull();
    }

    [Fact]
    public void Of_equal_loads_the_one_of_fewest_pieces_stays()
    {
        var ladder = Packing.Ladder(People.Rucksack(0, null, ("can", 0.5, 4), ("bottle", 1, 1)));
        ladder.At(Mass.FromKilograms(1))!.Recipe.Text.ShouldBe("1 bottle");
        ladder.At(Mass.FromKilograms(2))!.Recipe.PieceCount.ShouldBe(3);
        ladder.Above(Mass.FromKilograms(2.5))!.Load.Kilograms.ShouldBe(3);
        ladder.Above(Mass.FromKilograms(3)).ShouldBeNull();
    }
}
