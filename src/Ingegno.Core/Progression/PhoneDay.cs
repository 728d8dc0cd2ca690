using Ingegno.Core.Clients;

namespace Ingegno.Core.Progression;

/// <summary>Where a phone's own time puts what was logged on it.</summary>
/// <param name="On">The client's day; null where the client has to be asked.</param>
/// <param name="Suggested">The likeliest day, to ask with.</param>
/// <param name="Question">What to ask, in words; null where the day is plain.</param>
public sealed record PhoneDay(DateOnly? On, DateOnly Suggested, string? Question)
{
    /// <summary>A clock off by less is taken as right: the day the phone says is the day.</summary>
    private static readonly TimeSpan NearEnough = TimeSpan.FromMinutes(10);

    /// <summary>A clock off by more, or a set further ahead, is not believed without asking.</summary>
    private static readonly TimeSpan Believed = TimeSpan.FromDays(1);

    /// <summary>
    /// A phone's time only places a set in its day. Where the clock is off by minutes or hours its difference to ours, as it stands when the set
    /// is sent, is taken off to the second and the client's calendar says the day; whole days are never added or taken off. What that cannot
    /// settle is asked: a clock off by more than a day, a set further than a day ahead, or one of before anything was sent to the client.
    /// </summary>
    /// <param name="said">The day by the phone's calendar.</param>
    /// <param name="at">When it was done by the phone's clock; null where the client has said the day.</param>
    /// <param name="phone">The phone's clock when it sent; null where it said nothing.</param>
    /// <param name="now">Ours then.</param>
    /// <param name="firstSent">The client's day the first link was made.</param>
    /// <param name="zone">The client's.</param>
    public static PhoneDay Of(DateOnly said, DateTimeOffset? at, DateTimeOffset? phone, DateTimeOffset now, DateOnly firstSent, string zone)
    {
        var today = ClientDay.Of(now, zone);
        if (at is not { } done)
        {
            return said > today ? Ask(today, $"{said:d MMM yyyy} is still to come. Which day was it?")
                : said < today.AddYears(-1) ? Ask(today, $"{said:d MMM yyyy} is more than a year ago. Which day was it?")
                : new(said, said, null);
        }

        var off = (phone ?? now) - now;
        var truly = done - off;
        var likely = Within(ClientDay.Of(truly, zone), firstSent, today);
        if (off.Duration() > Believed)
        {
            return Ask(likely, $"The clock of this phone is {Days(off.Duration())} {(off > TimeSpan.Zero ? "ahead" : "behind")}. Which day was it?");
        }

        var day = off.Duration() <= NearEnough ? said : ClientDay.Of(truly, zone);
        return truly > now + Believed || day > today.AddDays(1) ? Ask(likely, $"By this phone's clock it was {day:d MMM yyyy}, which is still to come. Which day was it?")
            : day < firstSent ? Ask(likely, $"By this phone's clock it was {day:d MMM yyyy}, before any training was sent. Which day was it?")
            : new(day, day, null);
    }

    private static PhoneDay Ask(DateOnly suggested, string question) => new(null, suggested, question);

    private static DateOnly Within(DateOnly day, DateOnly first, DateOnly last) => day > last ? last : day < first ? first > last ? last : first : day;

    private static string Days(TimeSpan off) => Math.Round(off.TotalDays) is 1 ? "more than a day" : $"{Math.Round(off.TotalDays):0} days";
}
