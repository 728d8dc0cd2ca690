using System.Globalization;
using System.Text.Json;
using Ingegno.Core.Clients;
using Ingegno.Core.Plans;
using Ingegno.Core.Quantities;
using Ingegno.Storage;
using Microsoft.Extensions.Caching.Memory;

namespace Ingegno.Server.Links;

/// <summary>
/// What a link opens to, kept as it is sent until anything it was made of changes, or the client's day does: a phone asks each time it is taken
/// out of a pocket, and mostly nothing happened.
/// </summary>
internal sealed class LinkViews(DeskStamps stamps, TimeProvider clock) : IDisposable
{
    /// <summary>All kept together, in bytes.</summary>
    private const int MostBytes = 24_000_000;

    private readonly MemoryCache _atHand = new(new MemoryCacheOptions { SizeLimit = MostBytes });

    public void Dispose() => _atHand.Dispose();

    /// <param name="view">Makes it; null where there is nothing to show.</param>
    /// <returns>As UTF-8 JSON.</returns>
    internal async Task<byte[]?> FindAsync(LinkHolder holder, Func<Task<LinkView?>> view)
    {
        // Read before the view is made: what changes in between is found the next time.
        if (await stamps.OfClientAsync(holder.Coach, holder.Client) is not (var stamp, var zone))
        {
            return null;
        }

        string of = string.Create(CultureInfo.InvariantCulture, $"{stamp} {ClientDay.Of(clock.GetUtcNow(), zone).DayNumber} {holder.Expires:O}");
        if (_atHand.TryGetValue(holder.Client, out (string Of, byte[] Json) known) && known.Of == of)
        {
            return known.Json;
        }

        if (await view() is not { } made)
        {
            return null;
        }

        byte[] json = JsonSerializer.SerializeToUtf8Bytes(made, TradeJson.Options);
        _atHand.Set(holder.Client, (of, json), new MemoryCacheEntryOptions { Size = json.Length });
        return json;
    }
}
