using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Tests.Sessions;

/// <summary>Groups at odds over one thing, worked by hand (common practice).</summary>
public class GroupingTests
{
    private static SetUpNeeds Uses(string thing, string setting, SetKind kind = SetKind.Packed, double load = 0) =>
        new([new SetThing(thing, thing, setting, Mass.FromKilograms(load), kind)], false, false);

    private static readonly SetUpNeeds Nothing = new([], false, false);

    private static GroupedLine Line(int number, string? group, SetUpNeeds? needs) => new($"Exercise {number}", group, needs);

    [Fact]
    public void Halves_that_want_nothing_of_each_other_stay_together()
    {
        var kept = Grouping.Of([Line(1, "A", Uses("bag", "8 kg")), Line(2, "A", Nothing), Line(3, null, Nothing)]);
        kept.Select(r => r.Group).ShouldBe(["A", "A", null]);
        kept.ShouldAllBe(r => r.Why == null);
    }

    [Fact]
    public void One_bag_packed_two_ways_is_done_one_after_the_other_and_it_is_said()
    {
        var broken = Grouping.Of([Line(1, "A", Uses("bag", "8 kg")), Line(2, "A", Uses("bag", "12 kg"))]);
        broken.Select(r => r.Group).ShouldBe([null, null]);
        broken[1].Why!.ShouldContain("both want bag, set two ways");
    }

    [Fact]
    public void The_same_packing_serves_both_halves() =>
        Grouping.Of([Line(1, "A", Uses("bag", "8 kg")), Line(2, "A", Uses("bag", "8 kg"))]).ShouldAllBe(r => r.Group == "A" && r.Why == null);

    [Fact]
    public void Two_pairs_change_partners_rather_than_break()
    {
        var swapped = Grouping.Of(
        [
            Line(1, "A", Uses("bag", "8 kg")), Line(2, "A", Uses("bag", "12 kg")), Line(3, "B", Uses("band", "folded")), Line(4, "B", Nothing),
        ]);
        swapped.Count(r => r.Group == "A").ShouldBe(2);
        swapped.Count(r => r.Group == "B").ShouldBe(2);
        swapped[0].Group.ShouldNotBe(swapped[1].Group);
        swapped[1].Why!.ShouldContain("change partners");
    }

    [Fact]
    public void A_floor_cannot_slide_and_grip_at_once()
    {
        var floors = Grouping.Of([Line(1, "A", new([], true, false)), Line(2, "A", new([], false, true))]);
        floors.ShouldAllBe(r => r.Group == null);
        floors[1].Why!.ShouldContain("floor");
    }

    /// <summary>However the lines are made: no group ends at odds, no line is lost, and what had no clash is not touched.</summary>
    [Fact]
    public void No_group_is_ever_left_at_odds() =>
        Gen.Select(Gen.Int[0, 2], Gen.Int[0, 3], Gen.Int[0, 2]).Array[2, 8].Sample(made =>
        {
            GroupedLine[] lines =
            [
                .. made.Select((m, i) => Line(
                    i + 1, m.Item1 == 0 ? null : m.Item1 == 1 ? "A" : "B", m.Item2 == 0 ? Nothing : Uses(m.Item2 == 1 ? "bag" : "band", $"way {m.Item3}"))),
            ];
            var result = Grouping.Of(lines);
            result.Length.ShouldBe(lines.Length);
            for (int a = 0; a < lines.Length; a++)
            {
                for (int b = a + 1; b < lines.Length; b++)
                {
                    if (result[a].Group is not null && result[a].Group == result[b].Group)
                    {
                        lines[a].Needs!.Against(lines[b].Needs!).ShouldBeNull();
                    }
                }

                if (lines.All(l => lines.All(o => o == l || o.Group != l.Group || l.Group is null || l.Needs!.Against(o.Needs!) is null)))
                {
                    result[a].Group.ShouldBe(lines[a].Group);
                }
            }
        });
}

/// <summary>Orders in which least is put up anew, worked by hand (common practice).</summary>
public class LeastChangesTests
{
    private static WorkBlock Block(int rank, string thing, double load, SetKind kind = SetKind.Packed) =>
        new(rank, [new SetThing(thing, thing, $"{load} kg", Mass.FromKilograms(load), kind)]);

    private static readonly WorkBlock Bare = new(1, []);

    [Fact]
    public void A_bag_is_packed_once_and_then_only_emptied() =>
        LeastChanges.Of([Block(1, "bag", 4), Block(1, "bag", 15), Block(1, "bag", 8)]).ShouldBe([1, 2, 0]);

    [Fact]
    public void An_anchor_is_moved_least() =>
        LeastChanges.Of([Block(1, "door", 2, SetKind.Anchored), Block(1, "door", 1, SetKind.Anchored), Block(1, "door", 2, SetKind.Anchored)])
            .ShouldBe([0, 2, 1]);

    [Fact]
    public void The_biggest_work_keeps_its_place() =>
        LeastChanges.Of([Block(0, "bag", 4), Block(1, "bag", 15), Block(1, "bag", 8)]).ShouldBe([0, 1, 2]);

    [Fact]
    public void Nothing_to_gain_keeps_the_written_order() =>
        LeastChanges.Of([Bare, Block(1, "bag", 8), Bare, Block(1, "band", 3, SetKind.Adjusted)]).ShouldBe([0, 1, 2, 3]);

    [Fact]
    public void Never_more_changes_than_as_written_and_ranks_stay_in_their_places() =>
        Gen.Select(Gen.Int[0, 2], Gen.Int[0, 2], Gen.Int[0, 3], Gen.Enum<SetKind>()).Array[1, 7].Sample(made =>
        {
            WorkBlock[] blocks = [.. made.OrderBy(m => m.Item1).Select(m => m.Item2 == 0 ? Bare with { Rank = m.Item1 } : Block(m.Item1, m.Item2 == 1 ? "bag" : "door", m.Item3, m.Item4))];
            var order = LeastChanges.Of(blocks);
            order.Order().ShouldBe(Enumerable.Range(0, blocks.Length));
            order.Select(i => blocks[i].Rank).ShouldBe(blocks.Select(b => b.Rank));
            LeastChanges.Cost(blocks, order).ShouldBeLessThanOrEqualTo(LeastChanges.Cost(blocks, Enumerable.Range(0, blocks.Length)));
        });
}
