using NodaTime;
using NodaTime.Extensions;

namespace Ingegno.Core.Clients;

/// <summary>
/// Days are the client's: what is "today" where they live decides what is due, missed or done. The zone is named as in the IANA database, which
/// ships with the application.
/// </summary>
public static class ClientDay
{
    /// <summary>Where no zone is named.</summary>
    public const string UsualZone = "UTC";

    public static bool IsZone(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) is not null;

    /// <summary>The calendar day of an instant in a zone; of one that is not known in <see cref="UsualZone"/>.</summary>
    public static DateOnly Of(DateTimeOffset instant, string zone) =>
        instant.ToInstant().InZone(DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) ?? DateTimeZone.Utc).Date.ToDateOnly();

    /// <summary>The client's own zone, else the practice's.</summary>
    public static string ZoneOf(ClientProfile client, Practices.Practice practice) => client.TimeZone ?? practice.TimeZone;
}
