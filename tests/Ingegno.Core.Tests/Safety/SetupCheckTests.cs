using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Tests.Safety;

public class SetupCheckTests
{
    private const int PassDays = 90;

    [Fact]
    public void Nothing_unchecked_passes_but_a_wall()
    {
        Verdict(People.Fixture(FixtureKind.Table, 0.72), 10).ShouldBe(SetupVerdict.NotPassed);
        Verdict(People.Fixture(FixtureKind.Wall, 2), 10).ShouldBe(SetupVerdict.Pass);
    }

    [Fact]
    public void A_pass_lasts_ninety_days()
    {
        var checkedOn = People.Fixture(FixtureKind.Table, 0.72, check: new FixtureCheck(CheckVerdict.Passed, People.Today.AddDays(-90), "coach"));
        Verdict(checkedOn, 10).ShouldBe(SetupVerdict.Pass);
        Verdict(checkedOn with { Check = checkedOn.Check! with { On = People.Today.AddDays(-91) } }, 10).ShouldBe(SetupVerdict.NotPassed);
    }

    [Fact]
    public void Never_stays_never_and_gives_its_reason()
    {
        var rail = People.Fixture(FixtureKind.Rail, 1.7, check: new FixtureCheck(CheckVerdict.Never, People.Today, "coach", "glued, not bolted"));
        var finding = SetupCheck.Of(rail, Mass.FromKilograms(1), FixtureMotion.Still, People.Today, PassDays);
        finding.Verdict.ShouldBe(SetupVerdict.Never);
        finding.Reason.ShouldContain("glued, not bolted");
    }

    /// <summary>EN 12520: domestic seating is tested for adults up to 110 kg (from memory); 1.3 times when moving, 2 when explosive (common practice).</summary>
    [Theory]
    [InlineData(84, FixtureMotion.Moving, SetupVerdict.Pass)] // 84 x 1.3 = 109.2
    [InlineData(85, FixtureMotion.Moving, SetupVerdict.NotPassed)] // 110.5
    [InlineData(110, FixtureMotion.Still, SetupVerdict.Pass)]
    [InlineData(56, FixtureMotion.Explosive, SetupVerdict.NotPassed)] // 112
    public void A_chair_of_unknown_strength_bears_110_kg(double resting, FixtureMotion motion, SetupVerdict verdict) =>
        SetupCheck.Of(
            People.Fixture(FixtureKind.Chair, 0.45, check: People.Passed, bears: null),
            Mass.FromKilograms(resting), motion, People.Today, PassDays).Verdict.ShouldBe(verdict);

    [Theory]
    [InlineData(FixtureKind.Rail)]
    [InlineData(FixtureKind.PullUpBar)]
    [InlineData(FixtureKind.DoorAnchor)]
    public void What_one_hangs_from_must_be_known(FixtureKind kind) =>
        Verdict(People.Fixture(kind, 2, check: People.Passed, bears: null), 10).ShouldBe(SetupVerdict.NotPassed);

    [Fact]
    public void A_heavier_load_never_turns_a_refusal_into_a_pass() =>
        Gen.Select(Gen.Double[0, 300], Gen.Double[0, 100], Gen.Double[1, 300]).Sample((resting, more, bears) =>
        {
            var fixture = People.Fixture(FixtureKind.Bench, 0.45, check: People.Passed, bears: bears);
            if (Verdict(fixture, resting + more) == SetupVerdict.Pass)
            {
                Verdict(fixture, resting).ShouldBe(SetupVerdict.Pass);
            }
        });

    private static SetupVerdict Verdict(Fixture fixture, double kilograms) =>
        SetupCheck.Of(fixture, Mass.FromKilograms(kilograms), FixtureMotion.Moving, People.Today, PassDays).Verdict;
}
