namespace Ingegno.Server.Devices;

/// <summary>What a measuring device sends, one server-sent event a figure.</summary>
/// <param name="Value">In the unit below.</param>
/// <param name="Unit">"newton", "kilogram" or "degree".</param>
/// <param name="Steady">The figure has settled and may be taken.</param>
public sealed record Reading(double Value, string Unit, bool Steady);

/// <summary>Something that measures: a stand-in that ships, or a real device behind an address of its own.</summary>
internal interface IMeasuringDevice
{
    /// <summary>Figures as they come, until the measurement ends or is called off.</summary>
    IAsyncEnumerable<Reading> ReadAsync(Measured measured, CancellationToken cancellation);
}

/// <summary>What is hooked on, stood on or laid along; only a stand-in needs to know.</summary>
internal sealed record Measured(string Name, double RestLength = 0, double Length = 0, double Person = 0);

/// <summary>What is measured with.</summary>
public enum DeviceKind
{
    LuggageScale,
    BathroomScale,
    FootScale,
    PhoneLevel,
}
