using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Storage;

namespace Ingegno.Server.Clients;

/// <summary>All that a computation about one client starts from.</summary>
internal sealed record Case(StoredClient Client, StoredPlace Place, Practice Practice)
{
    internal HouseRules Rules => Practice.Rules;

    internal ClientProfile Profile => Client.Profile;

    internal Home Home => Place.Home;
}

/// <summary>Reads client, place and practice together.</summary>
internal sealed class Cases(Storage.Clients clients, Places places, Storage.Practices practices, Lessons lessons)
{
    /// <param name="place">Null for the place in use.</param>
    /// <returns>Null when the coach has no such client or the client no such place.</returns>
    internal async Task<Case?> FindAsync(string coach, string client, string? place = null) =>
        await clients.FindAsync(coach, client) is { } found && await places.FindAsync(coach, client, place) is { } home
            ? new Case(await WithLessonsAsync(coach, found), home, (await practices.FindAsync(coach)).Value)
            : null;

    /// <summary>Every computation about a client starts from what the log has taught.</summary>
    private async Task<StoredClient> WithLessonsAsync(string coach, StoredClient client) =>
        client with { Profile = client.Profile with { Learned = (await lessons.FindAsync(coach, client.Id)).Learned } };
}
