using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Ingegno.Core.Blocks;

namespace Ingegno.Formats.Calendars;

/// <summary>What a calendar is made from.</summary>
/// <param name="Owner">Names the client for good in the events' names.</param>
/// <param name="Name">What the calendar is called.</param>
/// <param name="Zone">IANA name; the hour is of that zone, winter and summer.</param>
/// <param name="Edition">Grows with every change: a calendar takes the newer one.</param>
/// <param name="Changed">When it last changed.</param>
public sealed record CalendarPlan(
    string Owner, string Name, IReadOnlyList<TrainingDay> Days, IReadOnlyList<string> Notes, string Zone, TimeOnly At, TimeSpan? RemindBefore, long Edition, DateTimeOffset Changed);

/// <summary>Sessions as an iCalendar file (RFC 5545).</summary>
public static class TrainingCalendar
{
    /// <summary>How often a subscription looks for changes.</summary>
    private const string Refresh = "PT6H";

    /// <param name="plan">Notes are by place of the session in the plan; where one is missing the event has none.</param>
    public static string Write(CalendarPlan plan)
    {
        var calendar = new Calendar { ProductId = "-//Ingegno//Training days//EN", Method = "PUBLISH" };
        calendar.AddProperty("X-WR-CALNAME", plan.Name);
        calendar.AddProperty("REFRESH-INTERVAL;VALUE=DURATION", Refresh);
        foreach (var day in plan.Days)
        {
            var starts = new CalDateTime(day.On, plan.At, plan.Zone);
            var session = new CalendarEvent
            {
                Uid = $"{day.Key}-{plan.Owner}@ingegno",
                DtStamp = new CalDateTime(plan.Changed.UtcDateTime, "UTC"),
                Sequence = (int)Math.Min(plan.Edition, int.MaxValue),
                Start = starts,
                Duration = Duration.FromTimeSpanExact(TimeSpan.FromMinutes(Math.Max(5, Math.Round(day.Length.Seconds / 60)))),
                Summary = day.Kind switch
                {
                    WeekKind.Easier => $"{day.Title} (easier week)",
                    WeekKind.Lighter => $"{day.Title} (lighter first week)",
                    _ => day.Title,
                },
            };
            if (day.Session < plan.Notes.Count && plan.Notes[day.Session].Length > 0)
            {
                session.Description = plan.Notes[day.Session];
            }

            if (plan.RemindBefore is { } before)
            {
                session.Alarms.Add(new Alarm { Action = AlarmAction.Display, Description = session.Summary, Trigger = new Trigger(Duration.FromTimeSpanExact(-before)) });
            }

            calendar.Events.Add(session);
        }

        if (plan.Days.Count > 0)
        {
            var first = plan.Days.Min(d => d.On);
            calendar.AddTimeZone(VTimeZone.FromDateTimeZone(plan.Zone, first.ToDateTime(TimeOnly.MinValue).AddYears(-1), includeHistoricalData: false));
        }

        return new CalendarSerializer().SerializeToString(calendar)!;
    }
}
