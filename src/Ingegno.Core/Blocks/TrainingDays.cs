using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Plans;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Blocks;

/// <summary>A session on its day.</summary>
/// <param name="Key">Names it for good: a block that is shifted moves the same sessions to other days.</param>
/// <param name="Session">Its place in the plan, from 0.</param>
public sealed record TrainingDay(string Key, int Session, DateOnly On, string Title, Duration Length, WeekKind Kind);

/// <summary>The days sessions fall on: those of the block, else the weekdays the sessions are named after, else the client's, from this week on.</summary>
public static class TrainingDays
{
    /// <summary>Weeks ahead where no block says how many.</summary>
    private const int WeeksAhead = 12;

    /// <summary>Empty where neither a block's first day nor the client's weekdays are known.</summary>
    public static ImmutableArray<TrainingDay> Of(Plan plan, ClientProfile client, DateOnly today) => plan.Sessions.IsEmpty ? []
        : plan.Block is { Starts: not null } block ? [.. InBlock(plan, block, client)]
        : [.. ByWeekday(plan, client, today)];

    private static IEnumerable<TrainingDay> InBlock(Plan plan, Block block, ClientProfile client) =>
        from week in BlockCalendar.Of(block, client, plan.Sessions.Length)
        from turn in week.Sessions.Index()
        let day = turn.Item
        where day.On is not null && day.Session < plan.Sessions.Length
        let session = plan.Sessions[day.Session]
        select new TrainingDay($"week-{week.Number}-{turn.Index + 1}", day.Session, day.On!.Value, session.Title, session.Length, week.Kind);

    private static IEnumerable<TrainingDay> ByWeekday(Plan plan, ClientProfile client, DateOnly today)
    {
        DayOfWeek?[] named = [.. plan.Sessions.Select(s => Named(s.Title))];
        bool asNamed = named.All(d => d is not null) && named.Distinct().Count() == named.Length;
        return
            from week in Enumerable.Range(0, WeeksAhead)
            let days = Enumerable.Range(0, 7).Select(BlockCalendar.MondayOf(today).AddDays(7 * week).AddDays)
            from day in asNamed
                ? days.Select(d => (Session: Array.IndexOf(named, d.DayOfWeek), On: d)).Where(d => d.Session >= 0)
                : days.Where(d => client.Days.Contains(d.DayOfWeek)).Take(plan.Sessions.Length).Select((d, i) => (Session: i, On: d))
            let session = plan.Sessions[day.Session]
            select new TrainingDay($"{day.On:yyyyMMdd}", day.Session, day.On, session.Title, session.Length, WeekKind.Full);
    }

    /// <summary>"Saturday, legs and press" is for Saturdays, whatever days were ticked.</summary>
    private static DayOfWeek? Named(string title) =>
        Enum.GetValues<DayOfWeek>().Select(d => (DayOfWeek?)d).FirstOrDefault(d => title.StartsWith(d.ToString()!, StringComparison.OrdinalIgnoreCase));
}
