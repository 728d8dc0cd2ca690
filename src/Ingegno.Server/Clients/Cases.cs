using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Storage;

namespace Ingegno.Server.Clients;

/// <summary>All that a computation about one client starts from.</summary>
/// <param name="Place">The one asked for.</param>
/// <param name="Places">All of the client; the one in use first.</param>
internal sealed record Case(StoredClient Client, StoredPlace Place, IReadOnlyList<StoredPlace> Places, Practice Practice)
{
    internal HouseRules Rules => Practice.Rules;

    internal ClientProfile Profile => Client.Profile;

    internal Home Home => Place.Home;

    internal IReadOnlyList<ClientPlace> ClientPlaces => [.. Places.Select(p => new ClientPlace(p.Id, p.Home))];

    /// <summary>The day where the client lives.</summary>
    internal DateOnly Today(TimeProvider clock) => DayOf(clock.GetUtcNow());

    internal DateOnly DayOf(DateTimeOffset instant) => ClientDay.Of(instant, ClientDay.ZoneOf(Profile, Practice));
}

/// <summary>Reads client, places and practice together.</summary>
internal sealed class Cases(Storage.Clients clients, Places places, Storage.Practices practices, Lessons lessons)
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
        return all.FirstOrDefault(p => place is null || p.Id == place) is { } home
            ? new Case(await WithLessonsAsync(coach, found), home, all, (await practices.FindAsync(coach)).Value)
            : null;
    }

    /// <summary>Every computation about a client starts from what the log has taught.</summary>
    private async Task<StoredClient> WithLessonsAsync(string coach, StoredClient client) =>
        client with { Profile = client.Profile with { Learned = (await lessons.FindAsync(coach, client.Id)).Learned } };
}
