using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Tests.Sessions;

/// <summary>What is read back before sending, what is refused, and how a repetition is paced.</summary>
public class ReadBackTests
{
    private static readonly Prescription Press = new()
    {
        Exercise = "push-up",
        Name = "Push-up",
        Count = CountKind.Repetitions,
        Counts = [.. Enumerable.Repeat(10, 10)],
        TopOfRange = 10,
        PerSide = false,
        Load = Mass.Zero,
        LoadInWords = "own weight",
        Tempo = new Tempo(3, 2, 1, 0),
        Rest = Duration.FromSeconds(60),
        Geometry = new Geometry(),
    };

    /// <summary>Ten rounds of ten on four one-sided exercises and one two-sided one: 4 x 100 x 2 + 100 is nine hundred (hand-worked).</summary>
    [Fact]
    public void Ten_rounds_of_ten_are_read_back_as_nine_hundred()
    {
        var oneSided = Press with { PerSide = true };
        ReadBack.Of("Monday", Duration.FromMinutes(75), [oneSided, oneSided, oneSided, oneSided, Press])
            .ShouldBe("Monday: 5 exercises, 50 sets, 900 repetitions in all, both sides counted on 4 of them, about 75 minutes with warm-up and cool-down.");
    }

    [Fact]
    public void Blanks_in_sets_rest_tempo_or_load_are_named_and_nothing_else_is()
    {
        SendingCheck.Blanks(Press).ShouldBeEmpty();
        SendingCheck.Blanks(Press with { Counts = [] }).ShouldHaveSingleItem().ShouldContain("no sets");
        SendingCheck.Blanks(Press with { Rest = Duration.Zero }).ShouldHaveSingleItem().ShouldContain("no rest");
        SendingCheck.Blanks(Press with { Tempo = null }).ShouldHaveSingleItem().ShouldContain("no tempo");
        SendingCheck.Blanks(Press with { LoadInWords = " " }).ShouldHaveSingleItem().ShouldContain("no load");
        SendingCheck.Blanks(Press with { Load = Mass.FromKilograms(5) }).ShouldHaveSingleItem();
        SendingCheck.Blanks(SendingCheck.Spelled(Press with { Tempo = null })).ShouldBeEmpty();
    }

    [Fact]
    public void A_press_begins_with_the_lowering_and_a_row_with_the_lift()
    {
        Pace.Of(Press, People.Exercise("push-up")).Select(p => (p.Word, p.Seconds)).ShouldBe([("lower", 3), ("hold low", 2), ("lift", 1)]);
        Pace.Of(Press, People.Exercise("one-arm-dumbbell-row")).Select(p => p.Word).ShouldBe(["lift", "lower", "hold low"]);
        Pace.Of(Press with { Count = CountKind.Seconds }, People.Exercise("plank")).ShouldBeEmpty();
    }

    [Fact]
    public void What_is_sat_on_is_sat_on_last_and_what_is_hung_from_hung_from_last()
    {
        FixtureSteps.For(FixtureKind.Chair)[^1].ShouldContain("whole weight");
        FixtureSteps.For(FixtureKind.Beam)[^1].ShouldContain("Hang");
        FixtureSteps.For(FixtureKind.DoorAnchor)[^1].ShouldContain("close against you");
        foreach (var kind in Enum.GetValues<FixtureKind>())
        {
            FixtureSteps.For(kind)[0].ShouldStartWith("Look");
        }
    }
}
