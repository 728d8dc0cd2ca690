using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Devices;

/// <summary>A device of the practice.</summary>
/// <param name="Simulated">The stand-in that ships, as no address of a real one was given.</param>
public sealed record DeviceView(DeviceKind Device, bool Simulated);

/// <summary>Readings of the practice's devices, as server-sent events.</summary>
internal static class DeviceEndpoints
{
    internal static void MapDevices(this RouteGroupBuilder api)
    {
        api.MapGet("/devices", (Devices devices) => TypedResults.Ok(devices.All)).WithName("listDevices");
        api.MapGet("/devices/{device}/readings", Read).WithName("readDevice");
    }

    /// <param name="device">In camelCase: luggageScale.</param>
    /// <param name="name">What is measured.</param>
    /// <param name="restLength">Of a band, metres.</param>
    /// <param name="length">Of a band as pulled, metres.</param>
    /// <param name="person">Body mass on the scale, kilograms.</param>
    private static Results<ServerSentEventsResult<Reading>, ValidationProblem, ProblemHttpResult> Read(
        string device, Devices devices, CancellationToken cancellation,
        string name = "", double restLength = 0, double length = 0, double person = 0)
    {
        if (!Enum.TryParse<DeviceKind>(device, ignoreCase: true, out var kind) || !Enum.IsDefined(kind))
        {
            return Answers.Missing("device");
        }

        if (kind == DeviceKind.LuggageScale && !(restLength is >= 0.05 and <= 10 && length > restLength && length <= restLength * 3.5))
        {
            return Answers.Invalid([new("length", "Pull the band longer than its rest length and at most 3.5 times as long.")]);
        }

        if (name.Length > 80 || !(person is >= 0 and <= 350))
        {
            return Answers.Invalid([new("name", "Name what is measured in up to 80 letters; a person weighs up to 350 kg.")]);
        }

        return TypedResults.ServerSentEvents(
            devices.Of(kind).ReadAsync(new Measured(name, restLength, length, person), cancellation));
    }
}

/// <summary>The practice's devices: a real one where the environment names its address, else the stand-in.</summary>
internal sealed class Devices(IConfiguration configuration, IHttpClientFactory http, TimeProvider clock)
{
    internal DeviceView[] All => [.. Enum.GetValues<DeviceKind>().Select(kind => new DeviceView(kind, AddressOf(kind) is null))];

    internal IMeasuringDevice Of(DeviceKind kind) =>
        AddressOf(kind) is { } address ? new RemoteDevice(http.CreateClient(), address) : new StandIn(kind, clock);

    /// <summary>INGEGNO_LUGGAGESCALE, INGEGNO_BATHROOMSCALE, INGEGNO_FOOTSCALE, INGEGNO_PHONELEVEL.</summary>
    private Uri? AddressOf(DeviceKind kind) =>
        Uri.TryCreate(configuration["INGEGNO_" + kind.ToString().ToUpperInvariant()], UriKind.Absolute, out var address) ? address : null;
}
