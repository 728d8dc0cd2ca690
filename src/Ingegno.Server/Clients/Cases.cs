using System.Globalization;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Clients;

/// <summary>All that a computation about one client starts from.</summary>
/// <param name="Place">The one asked for.</param>
/// <param name="Places">All of the client; the one in use first.</param>
internal sealed record Case(StoredClient Client, StoredPlace Place, IReadOnlyList<StoredPlace> Places, Practice Practice)
{
    /// <summary>Changes whenever client, lessons, the place or the practice do.</summary>
    internal required string Stamp { get; init; }

    internal HouseRules Rules => Practice.Rules;

    internal ClientProfile Profile => Client.Profile;

    internal Home Home => Place.Home;

    internal IReadOnlyList<ClientPlace> ClientPlaces => [.. Places.Select(p => new ClientPlace(p.Id, p.Home))];

    /// <summary>The day where the client lives.</summary>
    internal DateOnly Today(TimeProvider clock) => DayOf(clock.GetUtcNow());

    internal DateOnly DayOf(DateTimeOffset instant) => ClientDay.Of(instant, ClientDay.ZoneOf(Profile, Practice));
}

/// <summary>Reads client, places and practice together.</summary>
internal sealed class Cases(Storage.Clients clients, Places places, Storage.Practices practices, Lessons lessons, Learner learner)
{
    /// <param name="place">Null for the place in use.</param>
    /// <returns>Null when the coach has no such client or the client no such place.</returns>
    internal async Task<Case?> FindAsync(string coach, string client, string? place = null)
    {
        if (await clients.FindAsync(coach, client) is not { } found)
        {
            return null;
        }

        var all = await places.AllAsync(coach, client);
        if (all.FirstOrDefault(p => place is null || p.Id == place) is not { } home)
        {
            return null;
        }

        // Every computation about a client starts from what the log has taught.
        await learner.SettledAsync(coach, client);
        var learned = await lessons.FindAsync(coach, client);
        var practice = await practices.FindAsync(coach);
        return new Case(found with { Profile = found.Profile with { Learned = learned.Value.Learned } }, home, all, practice.Value)
        {
            Stamp = string.Create(CultureInfo.InvariantCulture, $"{client} {found.Version} {learned.Version} {home.Id} {home.Version} {practice.Version}"),
        };
    }
}
