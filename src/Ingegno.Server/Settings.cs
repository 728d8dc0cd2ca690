using System.Globalization;

namespace Ingegno.Server;

/// <summary>What the environment decides.</summary>
/// <param name="DataFolder">Database and sign-in keys.</param>
/// <param name="Demo">Fill an empty database with the demo.</param>
/// <param name="Clock">The time; fixed in tests.</param>
internal sealed record Settings(string DataFolder, bool Demo, TimeProvider Clock)
{
    /// <summary>
    /// INGEGNO_DATA (folder, default ./data), INGEGNO_DEMO (1 fills an empty database), INGEGNO_NOW (an ISO 8601
    /// instant the clock starts at, for tests).
    /// </summary>
    internal static Settings From(IConfiguration configuration) => new(
        configuration["INGEGNO_DATA"] ?? "data",
        configuration["INGEGNO_DEMO"] == "1",
        configuration["INGEGNO_NOW"] is { Length: > 0 } now
            ? new ShiftedClock(DateTimeOffset.Parse(now, CultureInfo.InvariantCulture))
            : TimeProvider.System);

    /// <summary>The system's clock set to another start.</summary>
    private sealed class ShiftedClock(DateTimeOffset start) : TimeProvider
    {
        private readonly TimeSpan _shift = start - DateTimeOffset.UtcNow;

        public override DateTimeOffset GetUtcNow() => base.GetUtcNow() + _shift;
    }
}

/// <summary>The day, by the application's clock.</summary>
internal static class Today
{
    internal static DateOnly ByThe(TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().Date);
}
