using Ingegno.Core.Clients;
using Ingegno.Core.Progression;

namespace Ingegno.Core.Tests.Progression;

/// <summary>A phone's time only places a set in its day; what it cannot place is asked.</summary>
public sealed class PhoneDayTests
{
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);
    private static readonly string[] Zones = ["UTC", "America/Los_Angeles", "Pacific/Auckland", "Europe/Amsterdam"];
    private static readonly DateOnly Today = new(2026, 11, 23), Sent = new(2026, 11, 1);

    /// <summary>A set done half an hour ago on a phone whose clock is off by so much.</summary>
    [Theory]
    [InlineData(-3 * 24, null)]
    [InlineData(-25, null)]
    [InlineData(-23, "2026-11-23")]
    [InlineData(-12, "2026-11-23")]
    [InlineData(-1, "2026-11-23")]
    [InlineData(0, "2026-11-23")]
    [InlineData(0.1, "2026-11-23")]
    [InlineData(1, "2026-11-23")]
    [InlineData(16, "2026-11-23")]
    [InlineData(23.5, "2026-11-23")]
    [InlineData(25, null)]
    [InlineData(10 * 24, null)]
    [InlineData(400 * 24, null)]
    public void Clocks_from_three_days_behind_to_four_hundred_ahead(double hoursAhead, string? day)
    {
        var phone = Now.AddHours(hoursAhead);
        var done = phone.AddMinutes(-30);
        var placed = PhoneDay.Of(DateOnly.FromDateTime(done.UtcDateTime), done, phone, Now, Sent, "UTC");
        placed.On.ShouldBe(day is null ? null : DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture));
        placed.Suggested.ShouldBe(Today, "the likeliest day is put first");
        (placed.Question is null).ShouldBe(day is not null);
    }

    /// <summary>Offline for days: the day is that of the set, not of the sending.</summary>
    [Fact]
    public void A_set_sent_days_later_stays_on_its_day()
    {
        var done = Now.AddDays(-4);
        PhoneDay.Of(new(2026, 11, 19), done, Now, Now, Sent, "UTC").On.ShouldBe(new DateOnly(2026, 11, 19));
        PhoneDay.Of(new(2026, 11, 19), done.AddHours(3), Now.AddHours(3), Now, Sent, "UTC").On.ShouldBe(new DateOnly(2026, 11, 19), "three hours ahead, put right to the second");
    }

    /// <summary>Eleven at night where they live; a clock two hours ahead calls it tomorrow.</summary>
    [Fact]
    public void Hours_ahead_over_midnight_do_not_make_it_tomorrow()
    {
        var night = new DateTimeOffset(2026, 11, 24, 7, 0, 0, TimeSpan.Zero);
        var phone = night.AddHours(2);
        PhoneDay.Of(new(2026, 11, 24), phone, phone, night, Sent, "America/Los_Angeles").On.ShouldBe(new DateOnly(2026, 11, 23));
        PhoneDay.Of(new(2026, 11, 23), night, night, night, Sent, "America/Los_Angeles").On.ShouldBe(new DateOnly(2026, 11, 23));
    }

    /// <summary>A session begun before midnight stays one session by a clock that is right.</summary>
    [Fact]
    public void After_midnight_a_session_keeps_the_day_it_began()
    {
        var past = new DateTimeOffset(2026, 11, 24, 0, 20, 0, TimeSpan.Zero);
        PhoneDay.Of(Today, past, past, past, Sent, "UTC").On.ShouldBe(Today);
    }

    [Fact]
    public void Days_that_cannot_be_are_asked()
    {
        PhoneDay.Of(new(2026, 10, 1), Now.AddDays(-53), Now, Now, Sent, "UTC").Question!.ShouldContain("before any training was sent");
        // Set right before sending: the clock was ahead when it was done.
        PhoneDay.Of(new(2027, 12, 28), Now.AddDays(400), Now, Now, Sent, "UTC").Question!.ShouldContain("still to come");
        PhoneDay.Of(Today.AddDays(1), null, Now, Now, Sent, "UTC").On.ShouldBeNull("what the client says is believed, but not of tomorrow");
        PhoneDay.Of(Today.AddDays(-9), null, Now.AddDays(400), Now, Sent, "UTC").On.ShouldBe(Today.AddDays(-9), "said by the client, whatever the clock");
        PhoneDay.Of(Today, Now, null, Now, Sent, "UTC").On.ShouldBe(Today, "a phone that says no time");
    }

    /// <summary>Whatever the clocks: a day is that of the set to the second, or it is asked; and never one that cannot be.</summary>
    [Fact]
    public void No_day_is_ever_shifted_by_rounding() => (
        from off in Gen.Double[-72, 9600]
        from ago in Gen.Double[0, 200]
        from zone in Gen.OneOf([.. Zones.Select(Gen.Const)])
        select (off, ago, zone))
        .Sample(about =>
        {
            var truly = Now.AddHours(-about.ago);
            var phone = Now.AddHours(about.off);
            var shown = truly.AddHours(about.off);
            var said = ClientDay.Of(shown, about.zone);
            var placed = PhoneDay.Of(said, shown, phone, Now, Sent, about.zone);
            if (placed.On is { } day)
            {
                Math.Abs(about.off).ShouldBeLessThanOrEqualTo(24);
                day.ShouldBeOneOf(ClientDay.Of(truly, about.zone), Math.Abs(about.off) < 0.17 ? said : day);
                day.ShouldBeLessThanOrEqualTo(ClientDay.Of(Now, about.zone).AddDays(1));
            }

            placed.Suggested.ShouldBeLessThanOrEqualTo(ClientDay.Of(Now, about.zone));
        });
}
