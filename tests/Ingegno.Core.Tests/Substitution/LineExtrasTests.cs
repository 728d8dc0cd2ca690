using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>What bears on a line besides its own exercise: partners, a band beside the weight, what would reach the load, an easier finish.</summary>
public class LineExtrasTests
{
    private static readonly Member Bare = new(People.Man, new Core.Homes.Home { Name = "Bare", Room = new() { Headroom = Length.FromMetres(2.5), FloorLength = Length.FromMetres(3) } });

    private static WrittenLine In(string group, string exercise, int sets, int count) =>
        Member.Written(exercise, sets, count) with { Group = group, Rest = Duration.FromSeconds(60) };

    /// <summary>Two presses drain each other; a press and a leg curl share nothing that matters.</summary>
    [Fact]
    public void Partners_drain_each_other_through_shared_muscles()
    {
        var together = Bare.Session([In("A", "barbell-bench-press", 3, 8), In("A", "dip-machine", 3, 8)]);
        var apart = Bare.Session([In("A", "barbell-bench-press", 3, 8), In("A", "leg-curl", 3, 8)]);
        together.Lines[0].Intent!.Partners.Sum(p => p.Drain).ShouldBeGreaterThan(0.2);
        apart.Lines[0].Intent!.Partners.Sum(p => p.Drain).ShouldBeLessThan(0.05);
    }

    [Fact]
    public void A_band_beside_the_weight_carries_the_ladder_on()
    {
        var home = Bare.Home with { Kit = [People.Handles(2, 2, (2.5, 4))] };
        double Most(params Core.Homes.KitItem[] more) =>
            new Member(People.Man, home with { Kit = [.. home.Kit, .. more] }).Line("romanian-deadlift", 3, 8).Alternatives
                .Where(a => a.Prescription.Exercise.Contains("romanian", StringComparison.Ordinal)).Max(a => a.Ladder.Max(o => o.Load.Kilograms));

        Most(People.Loop()).ShouldBeGreaterThan(Most() + 1);
    }

    [Fact]
    public void A_ban_on_bands_keeps_them_from_beside_a_weight_too()
    {
        var banned = People.Man with { Bans = [new Ban(null, ExerciseAttribute.Bands, "elbow grumbles")] };
        var home = Bare.Home with { Kit = [People.Handles(2, 2, (2.5, 4)), People.Loop()] };
        new Member(People.Man, home).Line("romanian-deadlift", 3, 8).Alternatives.SelectMany(a => a.Ladder).ShouldContain(o => o.Pull != null);
        new Member(banned, home).Line("romanian-deadlift", 3, 8).Alternatives.SelectMany(a => a.Ladder).ShouldAllBe(o => o.Pull == null);
    }

    [Fact]
    public void A_short_load_is_told_with_the_smallest_purchase()
    {
        var line = Bare.Line("back-squat", 4, 5, intensity: new Intensity(Percent: Share.Of(0.85)));
        line.Chosen!.Equivalent!.Value.Value.ShouldBeLessThan(line.Intent!.Equivalent.Value - 0.05);
        line.Gap.ShouldNotBeNull().Sentence.Length.ShouldBeGreaterThan(30);
        (line.Gap.Leverage ?? line.Gap.OneLimb ?? line.Gap.Purchase).ShouldNotBeNull();
    }

    [Fact]
    public void A_load_that_is_there_is_no_gap() =>
        new Member(People.Man, Bare.Home).Line("push-up", 3, 12).Gap.ShouldBeNull();

    /// <summary>A test set under its floor is finished on an easier variation and logged as such (trade's floor of ten; coach).</summary>
    [Fact]
    public void A_test_set_under_its_floor_is_finished_on_something_easier()
    {
        var weak = Bare.Who(c => c with { Lifts = [new("push-up", Mass.Zero, 6)] });
        var line = weak.Line(Member.Written("push-up", 2, 1, kind: CountKind.AsManyAsPossible) with { Sets = [new(CountKind.AsManyAsPossible, 1, 0)] });
        line.Chosen!.Prescription.Exercise.ShouldBe("push-up");
        var finish = line.Chosen.Prescription.FinishOn.ShouldNotBeNull();
        Catalogue.Shipped.EasierThan("push-up").Select(e => e.Exercise).ShouldContain(finish.Exercise);
        finish.Expected.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void A_test_set_over_its_floor_needs_no_finish()
    {
        var strong = Bare.Who(c => c with { Lifts = [new("push-up", Mass.Zero, 35)] });
        strong.Line(Member.Written("push-up", 1, 1) with { Sets = [new(CountKind.AsManyAsPossible, 1, 0)] })
            .Chosen!.Prescription.FinishOn.ShouldBeNull();
    }
}
