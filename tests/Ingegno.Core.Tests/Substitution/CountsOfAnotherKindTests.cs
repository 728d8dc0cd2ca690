using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>Work counted one way is asked for in what its stand-in is counted in, for about as long (all of it common practice).</summary>
public class CountsOfAnotherKindTests
{
    /// <summary>Two dumbbells and three metres of floor: no room to walk.</summary>
    private static readonly Member Flat = Member.Named("nadia-oskarsen").Keeping(k => k is FixedWeights) is var m
        ? m with { Home = m.Home with { Room = m.Home.Room with { FloorLength = Length.FromMetres(3) } } } : null!;

    [Theory]
    [InlineData(CountKind.Metres, 40, false, 20)]
    [InlineData(CountKind.Seconds, 30, false, 15)]
    [InlineData(CountKind.Steps, 40, false, 20)]
    [InlineData(CountKind.Steps, 20, true, 20)]
    public void Walked_on_the_spot_it_is_steps_of_each_leg(CountKind kind, int count, bool perSide, int steps)
    {
        var march = Prescribed(Flat.Line(Member.Written("two-hand-carry", 3, count, kind: kind) with { PerSide = perSide }), "march-in-place");
        (march.Count, march.PerSide).ShouldBe((CountKind.Steps, true));
        march.Counts.ShouldBe([steps, steps, steps]);
    }

    [Fact]
    public void Loads_in_both_hands_are_on_no_arm() =>
        Flat.Line(Member.Written("two-hand-carry", 3, 40, kind: CountKind.Metres)).Alternatives.Single(c => c.Prescription.Exercise == "march-in-place")
            .Reason.ShouldBe("A movement like the carry, one load in each hand, on the spot.");

    /// <summary>Two get-ups are two thirds of a minute, two steps of a crawl are two seconds.</summary>
    [Fact]
    public void Two_get_ups_are_no_two_steps()
    {
        var line = Member.Named("runa-castellane").WithKit().Line(Member.Written("get-up", 3, 2) with { PerSide = true });
        Prescribed(line, "bear-crawl").Counts.ShouldBe([40, 40, 40]);
        Prescribed(line, "inchworm").Counts.ShouldBe([6, 6, 6]);
        Prescribed(line, "bird-dog").Counts.ShouldBe([13, 13, 13]);
        Prescribed(Member.Named("runa-castellane").WithKit().Line(Member.Written("wheel-rollout", 3, 10)), "inchworm").Counts.ShouldBe([5, 5, 5]);
    }

    /// <summary>Twenty steps are ten of each leg, and a step covers three quarters of a metre.</summary>
    [Theory]
    [InlineData(CountKind.Steps, 20, false, 10)]
    [InlineData(CountKind.Steps, 10, true, 10)]
    [InlineData(CountKind.Metres, 15, false, 10)]
    public void Steps_of_a_lunge_are_repetitions_of_each_leg_with_their_load(CountKind kind, int count, bool perSide, int each)
    {
        var member = Member.Named("nadia-oskarsen").Keeping(k => k is FixedWeights).Who(c => c with { Traits = [] });
        var wide = member with { Home = member.Home with { Room = member.Home.Room with { FloorLength = Length.FromMetres(6) } } };
        var written = Member.Written("walking-lunge", 3, count, new(Load: Mass.FromKilograms(5)), kind) with { PerSide = perSide };
        Told(wide.Line(written)).ShouldBe(Told(wide.Line(Member.Written("walking-lunge", 3, each, new(Load: Mass.FromKilograms(5))) with { PerSide = true })));
        wide.Line(written).Written.ShouldBe(written with { Number = 1 });
        Told(Flat.Who(c => c with { Traits = [] }).Line(written)).ShouldContain(t => t.Exercise == "reverse-lunge" && t.Counts.Split(',').All(c => int.Parse(c, System.Globalization.CultureInfo.InvariantCulture) >= each - 2));

        static IEnumerable<(string Exercise, CountKind, string Counts, bool, Mass)> Told(RebuiltLine line) =>
            line.Alternatives.Select(a => a.Prescription).Select(p => (p.Exercise, p.Count, string.Join(',', p.Counts), p.PerSide, p.Load));
    }

    private static Prescription Prescribed(RebuiltLine line, string exercise) => line.Alternatives.Single(c => c.Prescription.Exercise == exercise).Prescription;
}
