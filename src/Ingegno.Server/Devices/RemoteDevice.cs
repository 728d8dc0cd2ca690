using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Text.Json;
using Ingegno.Core.Quantities;

namespace Ingegno.Server.Devices;

/// <summary>
/// A real device that sends server-sent events of its own, each a <see cref="Reading"/> as JSON. Its address comes from the
/// environment, never from a request.
/// </summary>
internal sealed class RemoteDevice(HttpClient http, Uri address) : IMeasuringDevice
{
    public async IAsyncEnumerable<Reading> ReadAsync(Measured measured, [EnumeratorCancellation] CancellationToken cancellation)
    {
        await using var stream = await http.GetStreamAsync(address, cancellation);
        await foreach (var item in SseParser.Create(stream).EnumerateAsync(cancellation))
        {
            if (JsonSerializer.Deserialize<Reading>(item.Data, TradeJson.Options) is { } reading)
            {
                yield return reading;
            }
        }
    }
}
