using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Blocks;

/// <summary>How much of a week is done.</summary>
public enum WeekKind
{
    Full,

    /// <summary>The first after a change.</summary>
    Lighter,

    /// <summary>The last of a phase, or one made easier because most lines went down.</summary>
    Easier,
}

/// <summary>A session on a day.</summary>
/// <param name="Session">Its place in the plan, from 0.</param>
/// <param name="On">Null where neither the first day nor the client's days are known.</param>
public sealed record SessionDay(int Session, DateOnly? On);

/// <summary>One week of a block.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Starts">Null until the block has a first day.</param>
/// <param name="Phase">Place of its phase, from 0; null in an open-ended plan.</param>
/// <param name="ReviewOn">The day the plan is looked at again, in the week it falls in.</param>
public sealed record BlockWeek(
    int Number, DateOnly? Starts, int? Phase, WeekKind Kind, ImmutableArray<SessionDay> Sessions, DateOnly? ReviewOn);

/// <summary>Lays a block out over weeks and days.</summary>
public static class BlockCalendar
{
    private const int DaysAWeek = 7, RestBetween = 2;

    /// <summary>The first day of the calendar week a day lies in (ISO 8601).</summary>
    public static DateOnly MondayOf(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek + 6) % DaysAWeek));

    /// <param name="sessions">How many the plan has.</param>
    /// <returns>All weeks; of an open-ended plan those up to its next review; and any made easier after.</returns>
    public static ImmutableArray<BlockWeek> Of(Block block, ClientProfile client, int sessions)
    {
        int weeks = block.IsOpenEnded ? block.ReviewEvery : block.Phases.Sum(p => p.Weeks);
        int shown = Math.Max(weeks, block.Easier.Where(day => day >= block.Starts).Select(day => WeekOf(block, day) + 1).DefaultIfEmpty().Max());
        return [.. Enumerable.Range(0, shown).Select(week => new BlockWeek(
            week + 1,
            block.Starts?.AddDays(week * DaysAWeek),
            PhaseOf(block, week)?.Phase,
            KindOf(block, week),
            [.. DaysOf(block, client, sessions, week)],
            week == weeks - 1 ? block.Starts?.AddDays((weeks * DaysAWeek) - 1) : null))];
    }

    /// <summary>Sets done of those planned: never none.</summary>
    public static int Sets(int planned, WeekKind kind, HouseRules rules) =>
        Math.Max(1, (int)Math.Round(planned * Share(kind, rules), MidpointRounding.AwayFromZero));

    /// <summary>What the phase of a day is for; growth where nothing is planned.</summary>
    public static Purpose PurposeOn(Block? block, DateOnly day) =>
        day >= block?.Starts && PhaseOf(block, WeekOf(block, day)) is { } phase
            ? block.Phases[phase.Phase].Purpose
            : Purpose.Growth;

    /// <summary>How much of the week of a day is done.</summary>
    public static WeekKind KindOn(Block? block, DateOnly day) =>
        day >= block?.Starts ? KindOf(block, WeekOf(block, day)) : WeekKind.Full;

    /// <summary>From 0; the block has a first day, and the day is none before it.</summary>
    internal static int WeekOf(Block block, DateOnly day) => (day.DayNumber - block.Starts!.Value.DayNumber) / DaysAWeek;

    private static double Share(WeekKind kind, HouseRules rules) => kind switch
    {
        WeekKind.Lighter => rules.FirstWeekSets,
        WeekKind.Easier => rules.EasierWeekSets,
        _ => 1,
    };

    private static (int Phase, bool IsLast)? PhaseOf(Block block, int week)
    {
        for (int i = 0; i < block.Phases.Length; i++)
        {
            if (week < block.Phases[i].Weeks)
            {
                return (i, week == block.Phases[i].Weeks - 1);
            }

            week -= block.Phases[i].Weeks;
        }

        return null;
    }

    /// <summary>A first week is lighter before it is anything else.</summary>
    private static WeekKind KindOf(Block block, int week) =>
        week == 0 && block.FirstWeekLighter ? WeekKind.Lighter
        : PhaseOf(block, week) is { IsLast: true } last && block.Phases[last.Phase].EndsEasier ? WeekKind.Easier
        : block.Easier.Any(day => day >= block.Starts && WeekOf(block, day) == week) ? WeekKind.Easier
        : WeekKind.Full;

    private static IEnumerable<SessionDay> DaysOf(Block block, ClientProfile client, int sessions, int week)
    {
        if (sessions == 0)
        {
            return [];
        }

        if (block.Rhythm == Rhythm.EverySecondDay)
        {
            int first = ((week * DaysAWeek) + 1) / RestBetween;
            return Enumerable.Range(first, DaysAWeek)
                .TakeWhile(turn => turn * RestBetween < (week + 1) * DaysAWeek)
                .Select(turn => new SessionDay(turn % sessions, block.Starts?.AddDays(turn * RestBetween)));
        }

        DayOfWeek[] days = [.. client.Days.Distinct()];
        return block.Starts is { } start && days.Length >= sessions
            ? Enumerable.Range(0, DaysAWeek)
                .Select(d => start.AddDays((week * DaysAWeek) + d))
                .Where(d => days.Contains(d.DayOfWeek))
                .Take(sessions)
                .Select((d, i) => new SessionDay(i, d))
            : Enumerable.Range(0, sessions).Select(i => new SessionDay(i, null));
    }
}
