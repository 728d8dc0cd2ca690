using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Loads;

public class PlateLadderTests
{
    /// <summary>Worked by hand: ends can carry 0, 1.25, 2.5 or 3.75 kg; a 2 kg handle doubles them.</summary>
    [Fact]
    public void One_handle_with_two_kinds_of_plates()
    {
        var kit = People.Handles(1, 2, (1.25, 2), (2.5, 2));
        Loads(PlateLadder.OneHandle(kit)).ShouldBe([2, 4.5, 7, 9.5]);
    }

    /// <summary>Worked by hand: four 2.5 kg plates make one on each of four ends; the 1.25 kg pair cannot be split four ways.</summary>
    [Fact]
    public void A_pair_needs_four_equal_ends()
    {
        var kit = People.Handles(2, 2, (1.25, 2), (2.5, 4));
        Loads(PlateLadder.Pair(kit)).ShouldBe([4, 14]);
        Loads(PlateLadder.OneHandle(kit)).ShouldBe([2, 4.5, 7, 9.5, 12, 14.5]);
    }

    [Fact]
    public void One_handle_makes_no_pair() =>
        PlateLadder.Pair(People.Handles(1, 2, (2.5, 8))).Rungs.ShouldBeEmpty();

    /// <summary>Worked by hand: 5 lb is 2267.96 g, rounded to 2268 g; two on a handle of 2 kg weigh 6.536 kg.</summary>
    [Fact]
    public void Pound_plates_are_exact_to_the_gram()
    {
        var kit = People.Handles(1, 2) with { Plates = [new Plates(Mass.FromPounds(5), 2)] };
        PlateLadder.OneHandle(kit).Rungs[^1].Load.Grams.ShouldBe(6536);
    }

    [Fact]
    public void Sleeve_room_lets_only_the_thin_plates_on()
    {
        var kit = People.Handles(1, 2) with
        {
            Plates =
            [
                new Plates(Mass.FromKilograms(2.5), 2, Length.FromCentimetres(4)),
                new Plates(Mass.FromKilograms(2.5), 2, Length.FromCentimetres(2)),
                new Plates(Mass.FromKilograms(1.25), 2, Length.FromCentimetres(2)),
            ],
            SleeveRoom = Length.FromCentimetres(4),
        };

        // Thin 2.5 + 1.25 fits in 4 cm; thick 2.5 + 1.25 and both 2.5 together do not.
        Loads(PlateLadder.OneHandle(kit)).ShouldBe([2, 4.5, 7, 9.5]);
        PlateLadder.OneHandle(kit).Rungs[^1].Recipe.Text.ShouldBe("2.5 + 1.25 kg on each end");
    }

    [Fact]
    public void The_most_a_handle_may_weigh_is_kept_when_hit_exactly()
    {
        var kit = People.Handles(1, 2, (2.5, 4)) with { MostPerHandle = Mass.FromKilograms(7) };
        Loads(PlateLadder.OneHandle(kit)).ShouldBe([2, 7]);
    }

    private static readonly Gen<PlateLoadedHandles> Kits =
        Gen.Select(
            Gen.Int[1, 2], Gen.Int[0, 3000],
            Gen.Select(Gen.Int[100, 10_000], Gen.Int[0, 9], (grams, count) => (grams / 1000.0, count)).Array[0, 4],
            Gen.Int[0, 5],
            (handles, own, plates, perEnd) => People.Handles(handles, own / 1000.0, plates) with
            {
                PlatesPerEnd = perEnd == 0 ? null : perEnd,
            });

    [Fact]
    public void Equals_trying_every_combination_on_generated_kits() =>
        Kits.Sample(
            kit =>
            {
                PlateLadder.OneHandle(kit).Rungs.Select(r => r.Load.Grams).ShouldBe(EveryCombination(kit, 1));
                if (kit.Handles == 2)
                {
                    PlateLadder.Pair(kit).Rungs.Select(r => r.Load.Grams).ShouldBe(EveryCombination(kit, 2));
                }
            });

    [Fact]
    public void Every_recipe_weighs_what_it_says_and_takes_no_plate_twice() =>
        Kits.Sample(
            kit =>
            {
                foreach (var rung in PlateLadder.OneHandle(kit).Rungs)
                {
                    (kit.HandleMass.Grams + rung.Recipe.Pieces.Sum(p => p.Mass.Grams * p.Count)).ShouldBe(rung.Load.Grams);
                    foreach (var piece in rung.Recipe.Pieces.GroupBy(p => p.Mass.Grams))
                    {
                        piece.Sum(p => p.Count).ShouldBeLessThanOrEqualTo(
                            kit.Plates.Where(p => p.Mass.Grams == piece.Key).Sum(p => p.Count));
                    }
                }
            });

    /// <summary>Independent of the ladder: counts of each kind, every choice, as a person with a pencil would list them.</summary>
    private static long[] EveryCombination(PlateLoadedHandles kit, int handles)
    {
        var kinds = kit.Plates.GroupBy(p => p.Mass.Grams).Select(g => (Grams: g.Key, PerEnd: g.Sum(p => p.Count) / (2 * handles))).ToArray();
        var found = new SortedSet<long>();
        Try(0, 0, 0);
        return [.. found];

        void Try(int kind, long end, int plates)
        {
            if (plates > (kit.PlatesPerEnd ?? int.MaxValue))
            {
                return;
            }

            if (kind == kinds.Length)
            {
                found.Add(handles * (kit.HandleMass.Grams + (2 * end)));
                return;
            }

            for (int n = 0; n <= kinds[kind].PerEnd; n++)
            {
                Try(kind + 1, end + (n * kinds[kind].Grams), plates + n);
            }
        }
    }

    private static double[] Loads(LoadLadder ladder) => [.. ladder.Rungs.Select(r => r.Load.Kilograms)];
}
