using Ingegno.Core.Blocks;
using Ingegno.Core.Dosing;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Tests.Blocks;

/// <summary>Weeks of a block against calendars written by hand.</summary>
public class BlockCalendarTests
{
    private static readonly DateOnly Monday = new(2026, 11, 30);

    private static Block Phased(params int[] weeks) =>
        new() { Starts = Monday, Phases = [.. weeks.Select((w, i) => new Phase($"Phase {i + 1}", Purpose.Growth, w))] };

    [Fact]
    public void Phases_follow_each_other_each_ends_easier_and_the_first_week_is_lighter()
    {
        var weeks = BlockCalendar.Of(Phased(4, 3), People.Man, 2);
        weeks.Select(w => w.Kind).ShouldBe(
            [WeekKind.Lighter, WeekKind.Full, WeekKind.Full, WeekKind.Easier, WeekKind.Full, WeekKind.Full, WeekKind.Easier]);
        weeks.Select(w => w.Phase).ShouldBe([0, 0, 0, 0, 1, 1, 1]);
        weeks[4].Starts.ShouldBe(new DateOnly(2026, 12, 28));
        weeks[6].ReviewOn.ShouldBe(new DateOnly(2027, 1, 17), "the last day of the seventh week");
    }

    [Fact]
    public void An_open_end_has_a_review_date_and_no_easier_week()
    {
        var weeks = BlockCalendar.Of(new Block { Starts = Monday, ReviewEvery = 4, FirstWeekLighter = false }, People.Man, 2);
        weeks.Length.ShouldBe(4);
        weeks.ShouldAllBe(w => w.Kind == WeekKind.Full && w.Phase == null);
        weeks[3].ReviewOn.ShouldBe(new DateOnly(2026, 12, 27));
    }

    [Fact]
    public void Sessions_fall_on_the_clients_days_in_order()
    {
        var client = People.Man with { Days = [DayOfWeek.Friday, DayOfWeek.Tuesday] };
        var first = BlockCalendar.Of(Phased(4), client, 2)[0];
        first.Sessions.ShouldBe([new(0, new DateOnly(2026, 12, 1)), new(1, new DateOnly(2026, 12, 4))]);
    }

    [Fact]
    public void Fewer_days_than_sessions_leave_the_days_open() =>
        BlockCalendar.Of(Phased(4), People.Man with { Days = [DayOfWeek.Friday] }, 2)[0].Sessions.ShouldBe([new(0, null), new(1, null)]);

    [Fact]
    public void Every_second_day_alternates_four_and_three_sessions()
    {
        var weeks = BlockCalendar.Of(new Block { Starts = Monday, Rhythm = Rhythm.EverySecondDay, ReviewEvery = 4 }, People.Man, 2);
        weeks.Select(w => w.Sessions.Length).ShouldBe([4, 3, 4, 3]);
        weeks.SelectMany(w => w.Sessions).Select(s => s.Session).Take(6).ShouldBe([0, 1, 0, 1, 0, 1]);
        DateOnly[] days = [.. weeks.SelectMany(w => w.Sessions).Select(s => s.On!.Value)];
        days.Zip(days.Skip(1)).ShouldAllBe(p => p.Second.DayNumber - p.First.DayNumber == 2, "always a day between");
    }

    /// <summary>Two thirds in the first week, 0.6 in an easier one, to the nearest set (coach).</summary>
    [Theory]
    [InlineData(3, WeekKind.Lighter, 2)]
    [InlineData(4, WeekKind.Lighter, 3)]
    [InlineData(6, WeekKind.Lighter, 4)]
    [InlineData(1, WeekKind.Lighter, 1)]
    [InlineData(3, WeekKind.Easier, 2)]
    [InlineData(4, WeekKind.Easier, 2)]
    [InlineData(5, WeekKind.Easier, 3)]
    [InlineData(10, WeekKind.Easier, 6)]
    [InlineData(1, WeekKind.Easier, 1)]
    [InlineData(4, WeekKind.Full, 4)]
    public void Lighter_and_easier_weeks_have_so_many_sets(int planned, WeekKind kind, int sets) =>
        BlockCalendar.Sets(planned, kind, HouseRules.Default).ShouldBe(sets);

    /// <summary>An easier week is 40 to 60 percent of the sets (common practice), as near as whole sets come.</summary>
    [Fact]
    public void Easier_weeks_never_have_more_sets_than_full_ones_and_never_none() =>
        Gen.Select(Gen.Int[1, 20], Gen.Enum<WeekKind>(), Gen.Double[0.3, 1], Gen.Double[0.3, 1]).Sample((planned, kind, first, easier) =>
        {
            int sets = BlockCalendar.Sets(planned, kind, HouseRules.Default with { FirstWeekSets = first, EasierWeekSets = easier });
            sets.ShouldBeInRange(1, planned);
            double asked = planned * (kind == WeekKind.Easier ? easier : kind == WeekKind.Lighter ? first : 1);
            Math.Abs(sets - Math.Max(1, asked)).ShouldBeLessThanOrEqualTo(0.5);
        });

    [Theory]
    [InlineData(0, "block needs a week")]
    [InlineData(13, "too long")]
    public void A_phase_of_no_or_too_many_weeks_is_told_with_its_place(int weeks, string why) =>
        BlockProblems.Of(Phased(4, weeks)).ShouldHaveSingleItem(why).Path.ShouldBe("phases[1].weeks");

    [Fact]
    public void More_than_a_year_is_refused() =>
        BlockProblems.Of(Phased(12, 12, 12, 12, 5)).ShouldHaveSingleItem().Path.ShouldBe("phases");

    [Fact]
    public void A_good_block_has_no_problem() => BlockProblems.Of(Phased(4, 5)).ShouldBeEmpty();
}
