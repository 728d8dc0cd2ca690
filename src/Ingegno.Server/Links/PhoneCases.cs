using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Storage;
using Microsoft.Extensions.Caching.Memory;

namespace Ingegno.Server.Links;

/// <summary>What a log from a phone is checked against; what the log taught is not in it, for nothing that is kept hangs on that.</summary>
/// <param name="FirstSent">The client's day the first link was made.</param>
internal sealed record PhoneCase(LinkHolder Holder, string Zone, Catalogue Catalogue, DateOnly FirstSent, string LastSent)
{
    internal DateOnly DayOf(DateTimeOffset instant) => ClientDay.Of(instant, Zone);
}

/// <summary>Reads it: versions that were sent never change, and the one a phone trains by is kept as it was read.</summary>
internal sealed class PhoneCases(ClientLinks links, Storage.Clients clients, Storage.Practices practices) : IDisposable
{
    private const int VersionsRead = 6, MostAtHand = 500;

    private readonly MemoryCache _atHand = new(new MemoryCacheOptions { SizeLimit = MostAtHand });

    public void Dispose() => _atHand.Dispose();

    internal async Task<(LinkState State, PhoneCase? About)> OpenAsync(string token, DateTimeOffset now)
    {
        var (state, holder) = await links.OpenAsync(token, now);
        if (holder is null || await clients.FindAsync(holder.Coach, holder.Client) is not { } client
            || await links.LogsAgainstAsync(holder.Coach, holder.Client) is not (var sent, var made))
        {
            return (state, null);
        }

        var practice = (await practices.FindAsync(holder.Coach)).Value;
        string zone = ClientDay.ZoneOf(client.Profile, practice);
        return (state, new(holder, zone, practice.Rules.Catalogue, ClientDay.Of(made, zone), sent));
    }

    /// <summary>Nearly always the newest version answers for all; older ones are read for a phone that was long without a signal, all for a line long gone.</summary>
    internal async Task<SentWays> AskedAsync(PhoneCase about, IReadOnlyList<SetLog> sets)
    {
        var newest = new SentWays([await NewestAsync(about)]);
        if (sets.All(newest.Answers))
        {
            return newest;
        }

        var last = await ReadAsync(about, VersionsRead);
        return sets.All(s => last.Knows(s.Line)) ? last : await ReadAsync(about, int.MaxValue);
    }

    private async Task<SentVersion> NewestAsync(PhoneCase about)
    {
        if (_atHand.TryGetValue(about.LastSent, out SentVersion? known))
        {
            return known!;
        }

        var read = SentVersion.Of((await links.LastSentAsync(about.Holder.Coach, about.Holder.Client))!);
        return _atHand.Set(about.LastSent, read, new MemoryCacheEntryOptions { Size = 1 });
    }

    private async Task<SentWays> ReadAsync(PhoneCase about, int most) =>
        new([.. (await links.SentAsync(about.Holder.Coach, about.Holder.Client, most)).Select(SentVersion.Of)]);
}
