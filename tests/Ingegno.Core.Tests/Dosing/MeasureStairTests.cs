using Ingegno.Core.Dosing;
using Ingegno.Core.Practices;

namespace Ingegno.Core.Tests.Dosing;

/// <summary>Zones and the stair of measures are the practice's to move, within bounds.</summary>
public class MeasureStairTests
{
    private static readonly Member Member = new(People.Man, new Core.Homes.Home { Kit = [People.Handles(2, 2, (2.5, 8))] });

    private static Prescribed Bench(HouseRules rules, int count = 8)
    {
        var given = Member.Line("barbell-bench-press", 3, count, rules).Chosen!.Prescription;
        return new(given.Counts.Max(), given.Tempo!.Value.Seconds, given.Style.Pulses);
    }

    private sealed record Prescribed(int Most, int SecondsARepetition, int Pulses);

    [Fact]
    public void A_coach_who_goes_slower_first_gets_slower_sets_of_the_written_count()
    {
        var usual = Bench(HouseRules.Default);
        var slower = Bench(HouseRules.Default with
        {
            Stair = [StairMeasure.OnePhase, StairMeasure.Repetitions, StairMeasure.Ceiling, StairMeasure.SecondMeasure, StairMeasure.Rest],
        });
        usual.Most.ShouldBeGreaterThan(8);
        slower.Most.ShouldBeLessThan(usual.Most);
        slower.SecondsARepetition.ShouldBeGreaterThan(usual.SecondsARepetition);
    }

    /// <summary>With the zone cut to ten, nothing but the written exercise in its own load goes past it before a measure is taken.</summary>
    [Fact]
    public void A_narrower_zone_is_kept()
    {
        var narrow = HouseRules.Default with { Zones = RepetitionZones.Default with { UpToTwelve = new(5, 10, 10) } };
        Bench(narrow).Most.ShouldBeLessThanOrEqualTo(10);
        Bench(HouseRules.Default).Most.ShouldBeGreaterThan(10);
    }

    public static TheoryData<StairMeasure[], string> Wrong => new()
    {
        { [StairMeasure.Repetitions], "rules.stair" },
        { [StairMeasure.Repetitions, StairMeasure.Repetitions, StairMeasure.OnePhase, StairMeasure.Ceiling, StairMeasure.Rest], "rules.stair" },
        { [StairMeasure.Ceiling, StairMeasure.Repetitions, StairMeasure.OnePhase, StairMeasure.SecondMeasure, StairMeasure.Rest], "rules.stair" },
        { [StairMeasure.SecondMeasure, StairMeasure.OnePhase, StairMeasure.Repetitions, StairMeasure.Ceiling, StairMeasure.Rest], "rules.stair" },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void An_order_that_is_none_is_refused_with_its_place(StairMeasure[] order, string path) =>
        PracticeProblems.Of(new Practice { Rules = HouseRules.Default with { Stair = [.. order] } }).ShouldHaveSingleItem().Path.ShouldBe(path);

    [Theory]
    [InlineData(0, 8, 12, "rules.zones.upToFive.least")]
    [InlineData(3, 14, 20, "rules.zones.upToFive.most")]
    [InlineData(3, 8, 7, "rules.zones.upToFive.ceiling")]
    [InlineData(3, 8, 51, "rules.zones.upToFive.ceiling")]
    public void A_zone_outside_its_bounds_is_refused_with_its_place(int least, int most, int ceiling, string path) =>
        PracticeProblems.Of(new Practice { Rules = HouseRules.Default with { Zones = RepetitionZones.Default with { UpToFive = new(least, most, ceiling) } } })
            .ShouldHaveSingleItem().Path.ShouldBe(path);
}
