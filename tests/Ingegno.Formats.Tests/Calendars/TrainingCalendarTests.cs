using System.Globalization;
using System.Text;
using Ingegno.Core.Blocks;
using Ingegno.Formats.Calendars;
using NodaTime;
using Calendar = Ical.Net.Calendar;

namespace Ingegno.Formats.Tests.Calendars;

/// <summary>RFC 5545's own rules, read off the bytes, and what the reference library (Ical.Net 5.2.4) and the zone database (NodaTime 3.2.2) make of them.</summary>
public class TrainingCalendarTests
{
    private static string Written(string zone, long edition = 3, string title = "Legs; squat, then \\press\nlater", params string[] days) => TrainingCalendar.Write(new(
        "client-1", "Training, Maren",
        [.. (days.Length == 0 ? ["2026-11-23"] : days).Select((d, i) => new TrainingDay(
            $"week-{i + 1}-1", 0, DateOnly.ParseExact(d, "yyyy-MM-dd", CultureInfo.InvariantCulture), title, Ingegno.Core.Quantities.Duration.FromMinutes(43), i == 1 ? WeekKind.Easier : WeekKind.Full))],
        ["Sliding reverse lunge 4 x 11/11/10/10 a side, mit Ö und 力量 in a line that is far longer than seventy-five octets\nSecond line"],
        zone, new TimeOnly(18, 30), TimeSpan.FromMinutes(30), edition, new DateTimeOffset(2026, 11, 20, 8, 0, 0, TimeSpan.Zero)));

    /// <summary>Section 3.1: lines end in CRLF and have at most 75 octets without it; section 3.3.11: commas, semicolons, backslashes and line ends are escaped.</summary>
    [Fact]
    public void Lines_are_folded_and_text_is_escaped()
    {
        string text = Written("Europe/Lisbon");
        text.Replace("\r\n", "", StringComparison.Ordinal).ShouldNotContain("\n");
        text.Split("\r\n").ShouldAllBe(l => Encoding.UTF8.GetByteCount(l) <= 75);
        string unfolded = text.Replace("\r\n ", "", StringComparison.Ordinal);
        unfolded.ShouldContain(@"SUMMARY:Legs\; squat\, then \\press\nlater");
        unfolded.ShouldContain("mit Ö und 力量");
        Calendar.Load(text)!.Events.Single().Summary.ShouldBe("Legs; squat, then \\press\nlater");
    }

    /// <summary>
    /// Half past six stays half past six on both sides of a change of clocks: what the hour is in UTC follows from the zone database. Changes of 2026
    /// and 2027: Lisbon 25 October and 28 March, New York 1 November and 14 March.
    /// </summary>
    [Theory]
    [InlineData("Europe/Lisbon", "2026-10-24", "2026-10-26")]
    [InlineData("Europe/Lisbon", "2027-03-27", "2027-03-29")]
    [InlineData("America/New_York", "2026-10-31", "2026-11-02")]
    [InlineData("America/New_York", "2027-03-13", "2027-03-15")]
    [InlineData("Asia/Kolkata", "2026-11-23", "2026-11-25")]
    public void The_hour_holds_over_a_change_of_clocks(string zone, string before, string after)
    {
        string text = Written(zone, 1, "Legs", before, after);
        text.ShouldContain($"TZID:{zone}");
        var events = Calendar.Load(text)!.Events.OrderBy(e => e.Start!.Value).ToArray();
        foreach (var (session, day) in events.Zip([before, after]))
        {
            var on = LocalDate.FromDateOnly(DateOnly.ParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture));
            session.Start!.AsUtc.ShouldBe((on + new LocalTime(18, 30)).InZoneStrictly(DateTimeZoneProviders.Tzdb[zone]).ToDateTimeUtc());
            session.Start.TzId.ShouldBe(zone);
            session.Alarms.ShouldHaveSingleItem().Trigger!.Duration!.Value.ToTimeSpanUnspecified().ShouldBe(TimeSpan.FromMinutes(-30));
        }

        events[1].Summary.ShouldBe("Legs (easier week)");
    }

    /// <summary>Section 3.8.4.7 and 3.8.7.4: the same session keeps its name when it is moved, and a newer edition has a higher number.</summary>
    [Fact]
    public void A_session_that_moves_keeps_its_name_and_counts_on()
    {
        var first = Calendar.Load(Written("Europe/Lisbon", 3, "Legs", "2026-11-23"))!.Events.Single();
        var moved = Calendar.Load(Written("Europe/Lisbon", 4, "Legs", "2026-11-30"))!.Events.Single();
        moved.Uid.ShouldBe(first.Uid);
        moved.Sequence.ShouldBeGreaterThan(first.Sequence);
        moved.Start!.Value.ShouldNotBe(first.Start!.Value);
    }

    [Fact]
    public void A_plan_without_days_is_an_empty_calendar() =>
        Calendar.Load(TrainingCalendar.Write(new("c", "Training", [], [], "UTC", new TimeOnly(7, 0), null, 1, DateTimeOffset.UnixEpoch)))!.Events.ShouldBeEmpty();
}
