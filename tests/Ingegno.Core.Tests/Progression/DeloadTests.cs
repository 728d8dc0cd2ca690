using Ingegno.Core.Blocks;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;

namespace Ingegno.Core.Tests.Progression;

/// <summary>An easier week for all: when it is called for, which week it is, and what it does to the calendar.</summary>
public class DeloadTests
{
    /// <summary>A Monday.</summary>
    private static readonly DateOnly Monday = new(2026, 11, 23);

    private static readonly Block Open = new() { Starts = Monday.AddDays(-42), FirstWeekLighter = false };

    [Theory]
    [InlineData(6, 3, true)]
    [InlineData(7, 3, false)]
    [InlineData(3, 2, false)]
    [InlineData(3, 3, true)]
    public void Three_lines_and_half_of_those_trained_call_for_it(int trained, int down, bool called) =>
        Deload.Wanted(trained, down, Open, Monday, Monday.AddDays(-2)).HasValue.ShouldBe(called);

    [Fact]
    public void The_week_in_hand_is_made_easier_unless_it_was_trained_in_already()
    {
        Deload.Wanted(4, 3, Open, Monday.AddDays(2), Monday.AddDays(-1)).ShouldBe(Monday);
        Deload.Wanted(4, 3, Open, Monday.AddDays(2), Monday).ShouldBe(Monday.AddDays(7));
        Deload.Wanted(4, 3, null, Monday.AddDays(2), Monday).ShouldBe(Monday.AddDays(7), "without weeks laid out they begin on Mondays");
    }

    [Fact]
    public void It_is_not_called_for_again_while_the_lines_come_back()
    {
        var eased = Deload.In(Open, Monday);
        for (int weeks = 0; weeks < 4; weeks++)
        {
            Deload.Wanted(4, 4, eased, Monday.AddDays(7 * weeks), Monday.AddDays((7 * weeks) - 1)).ShouldBeNull();
        }

        Deload.Wanted(4, 4, eased, Monday.AddDays(28), Monday.AddDays(27)).ShouldBe(Monday.AddDays(28));
    }

    [Fact]
    public void Only_that_week_changes()
    {
        var phased = new Block { Starts = Monday.AddDays(-7), Phases = [new Phase("Build", Purpose.Growth, 5)], FirstWeekLighter = false };
        BlockCalendar.Of(Deload.In(phased, Monday.AddDays(7)), People.Man, 2).Select(w => w.Kind)
            .ShouldBe([WeekKind.Full, WeekKind.Full, WeekKind.Easier, WeekKind.Full, WeekKind.Easier]);
    }

    [Fact]
    public void A_plan_without_weeks_gets_an_open_ended_block_that_begins_with_it()
    {
        var block = Deload.In(null, Monday);
        BlockCalendar.Of(block, People.Man, 2).Select(w => w.Kind).ShouldBe([WeekKind.Easier, WeekKind.Full, WeekKind.Full, WeekKind.Full]);
        BlockProblems.Of(block).ShouldBeEmpty();
    }

    [Fact]
    public void An_easier_week_after_the_last_review_is_still_shown()
    {
        var weeks = BlockCalendar.Of(Deload.In(Open, Monday), People.Man, 2);
        weeks.Length.ShouldBe(7);
        (weeks[^1].Starts, weeks[^1].Kind).ShouldBe((Monday, WeekKind.Easier));
    }

    [Fact]
    public void Only_lines_that_fall_count_not_those_that_asked_too_much_at_once()
    {
        Deload.GoesDown(new(StepKind.Back, "", [], null), Trend.Rising).ShouldBeTrue();
        Deload.GoesDown(new(StepKind.Stuck, "", [], null), Trend.Falling).ShouldBeTrue();
        Deload.GoesDown(new(StepKind.Stuck, "", [], null), Trend.Flat).ShouldBeFalse();
        Deload.GoesDown(new(StepKind.TooMuch, "", [], null), Trend.Falling).ShouldBeFalse();
    }
}
