using Ingegno.Core.Blocks;

namespace Ingegno.Core.Progression;

/// <summary>An easier week for all lines, when most of them go down together: that is the body, not the exercise.</summary>
public static class Deload
{
    /// <summary>So many lines, and at least so large a part of those trained (coach).</summary>
    private const int LeastLines = 3;

    private const double LeastPart = 0.5;

    /// <summary>After an easier week the lines are given so many weeks to come back (coach).</summary>
    private const int WeeksBetween = 4;

    private const int DaysAWeek = 7;

    /// <summary>A line short for several sessions running, or whose estimate falls. One that asked too much at once says nothing about the body.</summary>
    public static bool GoesDown(Step step, Trend trend) => step.Kind == StepKind.Back || (step.Kind == StepKind.Stuck && trend == Trend.Falling);

    /// <param name="trained">Lines with something logged.</param>
    /// <param name="down">Those of them that go down.</param>
    /// <param name="lastTrained">Day of the last session.</param>
    /// <returns>First day of the week to make easier; null where none is called for.</returns>
    public static DateOnly? Wanted(int trained, int down, Block? block, DateOnly today, DateOnly lastTrained)
    {
        if (down < LeastLines || down < LeastPart * trained || block?.Starts > today)
        {
            return null;
        }

        var first = FirstDayOf(block, today);
        // A week with a session in it already is no longer made easier.
        var week = lastTrained >= first ? first.AddDays(DaysAWeek) : first;
        return Enumerable.Range(0, WeeksBetween).Any(back => BlockCalendar.KindOn(block, week.AddDays(-back * DaysAWeek)) != WeekKind.Full) ? null : week;
    }

    /// <summary>The block with that week made easier; a plan without weeks becomes an open-ended one that starts with it.</summary>
    public static Block In(Block? block, DateOnly week) => block switch
    {
        null => new Block { Starts = week, FirstWeekLighter = false, Easier = [week] },
        { Starts: null } => block with { Starts = week, FirstWeekLighter = false, Easier = [week] },
        _ => block with { Easier = [.. block.Easier, week] },
    };

    private static DateOnly FirstDayOf(Block? block, DateOnly day) => block?.Starts is { } starts
        ? starts.AddDays(BlockCalendar.WeekOf(block, day) * DaysAWeek)
        : BlockCalendar.MondayOf(day);
}
