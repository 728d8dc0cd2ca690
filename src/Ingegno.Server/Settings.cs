using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Net;

namespace Ingegno.Server;

/// <summary>What an empty database is filled with.</summary>
internal enum DemoKind
{
    None,

    /// <summary>The members as they come: homes and written programmes, nothing rebuilt.</summary>
    Members,

    /// <summary>With the weeks behind them.</summary>
    Trained,
}

/// <summary>What the environment decides.</summary>
/// <param name="DataFolder">Database and sign-in keys.</param>
/// <param name="Demo">Fill an empty database with the demo.</param>
/// <param name="Clock">The time; fixed in tests.</param>
/// <param name="PublicUrl">Where a client's phone reaches this server; without a slash at the end.</param>
/// <param name="Proxies">Whose word on the client's address and on TLS is taken; nobody else's is.</param>
/// <param name="ChecksFile">Read the whole database through at the start, and do not start on one that is damaged.</param>
/// <param name="Collector">Where metrics and traces are sent; null for nowhere.</param>
/// <param name="LongestWork">Until whatever is worked out for an answer is given up.</param>
internal sealed record Settings(
    string DataFolder, DemoKind Demo, TimeProvider Clock, string PublicUrl, bool ChecksFile, ImmutableArray<IPAddress> Proxies, Uri? Collector, TimeSpan LongestWork)
{
    private const string CollectorVariable = "OTEL_EXPORTER_OTLP_ENDPOINT";

    private const string LongestVariable = "INGEGNO_LONGEST_WORK";

    private const double UsualLongest = 5, MostSeconds = 600;

    internal string DatabaseFile => Path.Combine(DataFolder, "ingegno.db");

    internal string ErasedFile => Path.Combine(DataFolder, "erased.txt");

    internal string BackupFolder => Path.Combine(DataFolder, "backups");

    /// <summary>
    /// INGEGNO_DATA (folder, default ./data), INGEGNO_DEMO (1 fills an empty database, "members" leaves the weeks they trained
    /// out), INGEGNO_NOW (an ISO 8601
    /// instant the clock starts at, for tests), INGEGNO_PUBLIC_URL (what links begin with), INGEGNO_CHECK_FILE (1 reads the database through
    /// before it is used), INGEGNO_PROXIES (addresses of the reverse proxies in front, parted by commas), PORT (in links where no public
    /// address is given), OTEL_EXPORTER_OTLP_ENDPOINT (where metrics and traces go, with the other variables OpenTelemetry knows),
    /// INGEGNO_LONGEST_WORK (seconds until an answer is given up, default 5: more on a slow machine).
    /// </summary>
    /// <exception cref="SettingsError">One of them cannot be meant.</exception>
    internal static Settings From(IConfiguration configuration) => new(
        configuration["INGEGNO_DATA"] ?? "data",
        configuration["INGEGNO_DEMO"] switch
        {
            "1" => DemoKind.Trained,
            "members" => DemoKind.Members,
            null or "" or "0" => DemoKind.None,
            var other => throw new SettingsError($"INGEGNO_DEMO is \"{other}\": give 1, members or 0."),
        },
        configuration["INGEGNO_NOW"] is not { Length: > 0 } now ? TimeProvider.System
            : DateTimeOffset.TryParse(now, CultureInfo.InvariantCulture, out var start) ? new ShiftedClock(start)
            : throw new SettingsError($"INGEGNO_NOW is \"{now}\", which is no instant: give one such as 2026-11-23T09:00:00Z, or leave it out."),
        Address(configuration["INGEGNO_PUBLIC_URL"], configuration["PORT"]),
        configuration["INGEGNO_CHECK_FILE"] == "1",
        [.. (configuration["INGEGNO_PROXIES"] ?? "").Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(Proxy)],
        CollectorAt(configuration[CollectorVariable]),
        Seconds(configuration[LongestVariable]));

    private static string Address(string? given, string? port)
    {
        if (given is not { Length: > 0 })
        {
            return ushort.TryParse(port ?? "5080", NumberStyles.None, CultureInfo.InvariantCulture, out ushort number)
                ? $"http://127.0.0.1:{number}"
                : throw new SettingsError($"PORT is \"{port}\", which is no port: give a number up to 65535.");
        }

        return IsOnTheWeb(given, out _)
            ? given.TrimEnd('/')
            : throw new SettingsError($"INGEGNO_PUBLIC_URL is \"{given}\", which no link can begin with: give an address such as https://coach.example.");
    }

    private static TimeSpan Seconds(string? given) =>
        given is not { Length: > 0 } ? TimeSpan.FromSeconds(UsualLongest)
        : double.TryParse(given, CultureInfo.InvariantCulture, out double seconds) && seconds is > 0 and <= MostSeconds ? TimeSpan.FromSeconds(seconds)
        : throw new SettingsError($"{LongestVariable} is \"{given}\": give seconds, over 0 and up to {MostSeconds}, or leave it out.");

    private static Uri? CollectorAt(string? given) =>
        given is not { Length: > 0 } ? null
        : IsOnTheWeb(given, out var address) ? address
        : throw new SettingsError($"{CollectorVariable} is \"{given}\", which nothing can be sent to: give an address such as http://127.0.0.1:4317, or leave it out.");

    private static bool IsOnTheWeb(string given, [NotNullWhen(true)] out Uri? address) =>
        Uri.TryCreate(given, UriKind.Absolute, out address) && (address.Scheme == Uri.UriSchemeHttp || address.Scheme == Uri.UriSchemeHttps);

    private static IPAddress Proxy(string text) => IPAddress.TryParse(text, out var address)
        ? address
        : throw new SettingsError($"INGEGNO_PROXIES names \"{text}\", which is no address: give addresses such as 10.0.0.2, parted by commas.");

    /// <summary>The system's clock set to another start.</summary>
    private sealed class ShiftedClock(DateTimeOffset start) : TimeProvider
    {
        private readonly TimeSpan _shift = start - DateTimeOffset.UtcNow;

        public override DateTimeOffset GetUtcNow() => base.GetUtcNow() + _shift;
    }
}

/// <summary>Something in the environment cannot be meant; the message names it and what to give.</summary>
internal sealed class SettingsError(string message) : Exception(message);

/// <summary>The day where nobody's is known; a client's is their case's.</summary>
internal static class Today
{
    internal static DateOnly ByThe(TimeProvider clock) => DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime);
}
