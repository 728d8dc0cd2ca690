using System.Runtime.CompilerServices;
using Ingegno.Core.Quantities;
using Ingegno.Simulation;

namespace Ingegno.Server.Devices;

/// <summary>Plays the simulated devices back at the pace a real one would have.</summary>
internal sealed class StandIn(DeviceKind kind, TimeProvider clock) : IMeasuringDevice
{
    public async IAsyncEnumerable<Reading> ReadAsync(Measured measured, [EnumeratorCancellation] CancellationToken cancellation)
    {
        var shown = TimeSpan.Zero;
        foreach (var figure in Figures(measured))
        {
            await Task.Delay(figure.At - shown, clock, cancellation);
            shown = figure.At;
            yield return new Reading(Math.Round(figure.Value, 2), Unit, figure.Steady);
        }
    }

    private string Unit => kind switch
    {
        DeviceKind.LuggageScale => "newton",
        DeviceKind.PhoneLevel => "degree",
        _ => "kilogram",
    };

    private IEnumerable<DisplayedValue> Figures(Measured measured) => kind switch
    {
        DeviceKind.LuggageScale => SimulatedDevices.LuggageScale(
            measured.Name, Length.FromMetres(measured.RestLength), Length.FromMetres(measured.Length)),
        DeviceKind.BathroomScale => SimulatedDevices.BathroomScale(
            measured.Name.Length == 0 ? null : measured.Name, Mass.FromKilograms(measured.Person)),
        DeviceKind.FootScale => SimulatedDevices.FootOnScale(measured.Name),
        DeviceKind.PhoneLevel => SimulatedDevices.PhoneLevel(measured.Name),
        _ => throw new ArgumentOutOfRangeException(nameof(measured)),
    };
}
