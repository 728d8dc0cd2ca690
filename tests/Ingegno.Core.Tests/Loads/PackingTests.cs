using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Loads;

public class PackingTests
{
    /// <summary>Worked by hand: a greedy packer fills 3.0 with 1.6 and is stuck; 1.0 + 1.0 + 1.0 hits it.</summary>
    [Fact]
    public void Is_not_greedy()
    {
        var bag = People.Rucksack(0.5, null, ("jug", 1.6, 1), ("bag of rice", 1.0, 3));
        var rung = RungChoice.Nearest(Packing.Ladder(bag), Mass.FromKilograms(3.5))!;
        rung.Load.Grams.ShouldBe(3500);
        rung.Recipe.Text.ShouldBe("3 bags of rice");
    }

    [Fact]
    public void The_limit_may_be_hit_exactly_and_never_passed()
    {
        var bag = People.Rucksack(1, 3, ("bottle", 1.0, 4));
        Packing.Ladder(bag).Rungs.Select(r => r.Load.Grams).ShouldBe([1000, 2000, 3000]);
    }

    [Fact]
    public void Things_without_mass_and_an_empty_list_give_the_bag_alone()
    {
        Packing.Ladder(People.Rucksack(1, null)).Rungs.Single().Recipe.Text.ShouldBe("empty");
        Packing.Ladder(People.Rucksack(1, null, ("feather", 0, 5))).Rungs.Single().Load.Grams.ShouldBe(1000);
    }

    /// <summary>Worked by hand: two bottles need 3.4 l, the bag holds 2; the flat book still fits beside one.</summary>
    [Fact]
    public void Room_is_a_limit_too()
    {
        var bag = People.Rucksack(1, null) with
        {
            Volume = Volume.FromLitres(2),
            Contents = [new Content("bottle", Mass.FromKilograms(1.5), 2, Volume.FromLitres(1.7)), new Content("book", Mass.FromKilograms(0.8), 1, Volume.FromLitres(0.3))],
        };
        Packing.Ladder(bag).Rungs.Select(r => r.Load.Grams).ShouldBe([1000, 1800, 2500, 3300]);
    }

    /// <summary>
    /// Worked by hand: 2 kg is one sandbag (1.9 l) or two bricks (0.2 l). The sandbag is fewer pieces, but a pouch of
    /// 0.3 l fits beside the bricks only, so both ways must be kept.
    /// </summary>
    [Fact]
    public void A_simpler_packing_does_not_hide_a_smaller_one()
    {
        var bag = People.Rucksack(1, null) with
        {
            Volume = Volume.FromLitres(2),
            Contents =
            [
                new Content("sandbag", Mass.FromKilograms(2), 1, Volume.FromLitres(1.9)),
                new Content("brick", Mass.FromKilograms(1), 2, Volume.FromLitres(0.1)),
                new Content("pouch", Mass.FromKilograms(0.5), 1, Volume.FromLitres(0.3)),
            ],
        };
        var ladder = Packing.Ladder(bag);
        ladder.At(Mass.FromKilograms(3))!.Recipe.Text.ShouldBe("1 sandbag");
        ladder.At(Mass.FromKilograms(3.5))!.Recipe.Text.ShouldBe("2 bricks + 1 pouch");
    }

    /// <summary>Of several things one gram off the grid the mass shown is the sum of the pieces, not of the grid.</summary>
    [Fact]
    public void The_mass_shown_is_the_true_sum()
    {
        var bag = People.Rucksack(0, null, ("bottle", 1.004, 3));
        Packing.Ladder(bag).Rungs[^1].Load.Grams.ShouldBe(3012);
    }

    private static readonly Gen<Container> Bags =
        Gen.Select(
            Gen.Select(Gen.OneOf(Gen.Int[0, 250], Gen.Int[0, 8].Select(n => n * 25)), Gen.Int[0, 3], Gen.Int[0, 20], (cells, count, decilitres) =>
                new Content($"thing {cells}", Mass.FromGrams(cells * 10), count, decilitres == 0 ? null : Volume.FromLitres(decilitres / 10.0))).Array[0, 5],
            Gen.Int[0, 900], Gen.Int[0, 60],
            (contents, most, decilitres) => People.Rucksack(0.3, most == 0 ? null : (most + 30) / 100.0) with
            {
                Contents = [.. contents],
                Volume = decilitres == 0 ? null : Volume.FromLitres(decilitres / 10.0),
            });

    [Fact]
    public void Equals_trying_every_packing_on_generated_bags() =>
        Bags.Sample(
            bag => Packing.Ladder(bag).Rungs.ToDictionary(r => r.Load.Grams, r => r.Recipe.PieceCount)
                .ShouldBe(EveryPacking(bag), ignoreOrder: true));

    /// <summary>Fewest pieces for each mass, by trying every count of every thing.</summary>
    private static Dictionary<long, int> EveryPacking(Container bag)
    {
        var fewest = new Dictionary<long, int>();
        Try(0, bag.OwnMass.Grams, 0, 0);
        return fewest;

        void Try(int kind, long grams, double litres, int pieces)
        {
            if (grams > (bag.MostInAll?.Grams ?? long.MaxValue) || litres > (bag.Volume?.Litres ?? double.MaxValue) + 1e-9)
            {
                return;
            }

            if (kind == bag.Contents.Length)
            {
                fewest[grams] = Math.Min(pieces, fewest.GetValueOrDefault(grams, int.MaxValue));
                return;
            }

            var content = bag.Contents[kind];
            for (int n = 0; n <= (content.Mass.Grams == 0 ? 0 : content.Count); n++)
            {
                Try(kind + 1, grams + (n * content.Mass.Grams), litres + (n * (content.Volume?.Litres ?? 0)), pieces + n);
            }
        }
    }

    [Fact]
    public void Offered_rungs_stand_apart_and_keep_both_ends() =>
        Bags.Sample(
            bag =>
            {
                var all = Packing.Ladder(bag);
                var offered = all.Offered().Rungs;
                offered[0].ShouldBe(all.Rungs[0]);
                offered[^1].ShouldBe(all.Rungs[^1]);
                for (int i = 1; i < offered.Length && offered.Length > 2; i++)
                {
                    double step = offered[i].Load.Kilograms - offered[i - 1].Load.Kilograms;
                    step.ShouldBeGreaterThanOrEqualTo(Math.Max(0.25, offered[i - 1].Load.Kilograms * 0.025) - 1e-6);
                }
            });

    [Fact]
    public void Pieces_moved_are_those_taken_off_and_put_on()
    {
        var ladder = Packing.Ladder(People.Rucksack(1, null, ("bottle", 1.5, 2), ("book", 0.8, 1)));
        var two = ladder.At(Mass.FromKilograms(4))!.Recipe;
        var mixed = ladder.At(Mass.FromKilograms(3.3))!.Recipe;

        // From two bottles to a bottle and a book: one off, one on; 8 s each (common practice).
        Changeover.PiecesMoved(two, mixed).ShouldBe(2);
        Changeover.Between(two, mixed).Seconds.ShouldBe(16);
        Changeover.PiecesMoved(two, two).ShouldBe(0);
    }

    [Fact]
    public void Two_kinds_of_one_name_are_counted_together()
    {
        var ladder = Packing.Ladder(People.Rucksack(1, null, ("book", 0.5, 1), ("book", 0.8, 1)));
        Changeover.PiecesMoved(ladder.Rungs[^1].Recipe, ladder.Rungs[0].Recipe).ShouldBe(2);
    }
}
