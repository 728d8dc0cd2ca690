using System.Globalization;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Tests.Clients;

/// <summary>Days where a client lives. Offsets and clock changes from the IANA time zone database's rules for these places (from memory).</summary>
public class ClientDayTests
{
    [Theory]
    // Los Angeles is eight hours behind in winter: seven in the evening there is the small hours of the next day in UTC.
    [InlineData("2026-11-24T03:00:00Z", "America/Los_Angeles", "2026-11-23")]
    [InlineData("2026-11-24T07:59:00Z", "America/Los_Angeles", "2026-11-23")]
    [InlineData("2026-11-24T08:00:00Z", "America/Los_Angeles", "2026-11-24")]
    // Summer time ends there on the first Sunday of November, at nine UTC: midnight before it is at seven, after it at eight.
    [InlineData("2026-11-01T06:59:00Z", "America/Los_Angeles", "2026-10-31")]
    [InlineData("2026-11-01T07:00:00Z", "America/Los_Angeles", "2026-11-01")]
    [InlineData("2026-11-02T07:59:00Z", "America/Los_Angeles", "2026-11-01")]
    [InlineData("2026-11-02T08:00:00Z", "America/Los_Angeles", "2026-11-02")]
    // It begins on the second Sunday of March, at ten UTC.
    [InlineData("2027-03-14T07:59:00Z", "America/Los_Angeles", "2027-03-13")]
    [InlineData("2027-03-14T08:00:00Z", "America/Los_Angeles", "2027-03-14")]
    [InlineData("2027-03-15T06:59:00Z", "America/Los_Angeles", "2027-03-14")]
    [InlineData("2027-03-15T07:00:00Z", "America/Los_Angeles", "2027-03-15")]
    [InlineData("2026-11-23T10:59:00Z", "Pacific/Auckland", "2026-11-23")]
    [InlineData("2026-11-23T11:00:00Z", "Pacific/Auckland", "2026-11-24")]
    [InlineData("2026-11-23T18:15:00Z", "Asia/Kathmandu", "2026-11-24")]
    [InlineData("2026-11-23T23:59:00Z", "UTC", "2026-11-23")]
    public void The_day_is_the_one_where_the_client_lives(string instant, string zone, string day) =>
        ClientDay.Of(DateTimeOffset.Parse(instant, CultureInfo.InvariantCulture), zone).ShouldBe(DateOnly.ParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture));

    [Fact]
    public void A_zone_nobody_knows_is_refused_and_never_fails_a_page()
    {
        ClientDay.IsZone("Middle/Earth").ShouldBeFalse();
        ClientDay.Of(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero), "Middle/Earth").ShouldBe(new(2026, 11, 23));
        ClientProblems.Of(People.Man with { TimeZone = "Middle/Earth" }, Core.Exercises.Catalogue.Shipped).ShouldHaveSingleItem().Path.ShouldBe("timeZone");
        ClientProblems.Of(People.Man with { TimeZone = "Europe/Lisbon" }, Core.Exercises.Catalogue.Shipped).ShouldBeEmpty();
    }
}
