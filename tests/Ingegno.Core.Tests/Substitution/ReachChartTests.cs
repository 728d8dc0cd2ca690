using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

public class ReachChartTests
{
    private static WrittenProgramme Asking(string exercise, double load, int repetitions) => new(
    [
        new WrittenSession("Monday",
        [
            new WrittenLine
            {
                Number = 1,
                Text = exercise,
                ExerciseName = exercise,
                Exercise = exercise,
                Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, repetitions, repetitions), 3)],
                Intensity = new Intensity(Load: Mass.FromKilograms(load)),
            },
        ]),
    ]);

    private static ImmutableArray<FamilyReach> Of(Home home, WrittenProgramme? programme = null) =>
        ReachChart.Of(People.Man, home, Catalogue.Shipped, HouseRules.Default, People.Today, programme ?? new WrittenProgramme([]));

    private static FamilyReach Family(ImmutableArray<FamilyReach> chart, string name) => chart.Single(f => f.Name == name);

    private static readonly Home Bare = new() { Room = new Room { Headroom = Length.FromMetres(2.5), FloorLength = Length.FromMetres(3) } };

    /// <summary>A barbell press of 70 kg asks 70 kg on the bench press scale: the lift is its own measure.</summary>
    [Fact]
    public void A_line_on_the_reference_lift_asks_its_own_load()
    {
        var press = Family(Of(Bare, Asking("barbell-bench-press", 70, 6)), "Horizontal press");
        press.AskedFrom!.Value.Kilograms.ShouldBe(70, 0.5);
        press.AskedTo.ShouldBe(press.AskedFrom);
    }

    [Fact]
    public void Families_nothing_asks_have_no_zone_and_no_shortfall() =>
        Family(Of(Bare), "Squat").ShouldSatisfyAllConditions(f => f.AskedFrom.ShouldBeNull(), f => f.Short.ShouldBe(Mass.Zero));

    [Fact]
    public void The_shortfall_is_what_the_heaviest_rung_lacks()
    {
        var squat = Family(Of(Bare, Asking("back-squat", 100, 5)), "Squat");
        squat.Short.Kilograms.ShouldBe(squat.AskedTo!.Value.Kilograms - squat.Rungs[^1].Load.Kilograms, 1e-6);
        squat.Short.ShouldBeGreaterThan(Mass.Zero);
        squat.Verdict.ShouldBe(ReachVerdict.OutOfReach);
        Family(Of(Bare), "Squat").Verdict.ShouldBe(ReachVerdict.NotAsked);
        Family(Of(Bare, Asking("barbell-bench-press", 40, 6)), "Horizontal press").Verdict.ShouldBe(ReachVerdict.Reached);
    }

    /// <summary>More in the house never takes a rung away from the top of a family.</summary>
    [Fact]
    public void Adding_a_thing_never_lowers_the_reach() =>
        Gen.Select(Gen.Int[0, 12], Gen.Int[0, 20], Gen.Double[0.5, 4], Gen.Bool).Sample((bottles, plates, factor, straps) =>
        {
            var before = Bare with { Kit = [People.Rucksack(1, 25, ("bottle", 1.5, bottles))] };
            var after = before with
            {
                Kit =
                [
                    .. before.Kit,
                    .. straps
                        ? new KitItem[] { People.Handles(2, 2, (2.5, plates)), new Straps { Id = "s", Name = "Straps", Bears = Mass.FromKilograms(150) } }
                        : [People.Handles(2, 2, (2.5, plates)), People.Loop("loop", factor)],
                ],
            };
            foreach (var (was, now) in Of(before).Zip(Of(after)))
            {
                var top = was.Rungs.IsEmpty ? Mass.Zero : was.Rungs[^1].Load;
                (now.Rungs.IsEmpty ? Mass.Zero : now.Rungs[^1].Load).Kilograms.ShouldBeGreaterThanOrEqualTo(top.Kilograms - 0.5);
            }
        });

    /// <summary>A bar nobody checked gives no rung; it is named among what blocks.</summary>
    [Fact]
    public void What_was_not_passed_gives_no_rung_and_says_why()
    {
        var bar = People.Fixture(FixtureKind.PullUpBar, 2.1);
        var unchecked_ = Family(Of(Bare with { Fixtures = [bar] }), "Vertical pull");
        unchecked_.Rungs.ShouldBeEmpty();
        unchecked_.Blocked.ShouldContain(b => b.Contains("never checked", StringComparison.Ordinal));
        Family(Of(Bare with { Fixtures = [bar with { Check = People.Passed }] }), "Vertical pull").Rungs.ShouldNotBeEmpty();
    }

    [Fact]
    public void Rungs_rise_and_stay_within_the_maximum()
    {
        foreach (var family in Of(Bare with { Kit = [People.Handles(2, 2, (2.5, 20)), People.Loop()] }))
        {
            family.Rungs.Select(r => r.Load.Kilograms).ShouldBeInOrder();
            family.Rungs.ShouldAllBe(r => r.Equivalent.Value > 0 && r.Equivalent.Value <= 1.0 + 1e-9);
        }
    }
}
