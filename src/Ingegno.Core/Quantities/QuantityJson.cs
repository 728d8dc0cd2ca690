using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>
/// Quantities in open formats are plain numbers in the unit their type documents: kg, m, s or a fraction.
/// Three decimals are kept for mass and length (a gram, a millimetre), four for shares and demands.
/// </summary>
public abstract class QuantityJson<T>(Func<double, T> read, Func<T, double> write, int decimals) : JsonConverter<T>
{
    /// <summary>No mass, length, time or force of the trade comes near it; over it sums would leave the range of numbers.</summary>
    private const double MostOfAnything = 1e9;

    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        double number = reader.GetDouble();
        return Math.Abs(number) <= MostOfAnything ? read(number) : throw new JsonException("No quantity is as large as this number.");
    }

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(Math.Round(write(value), decimals));
}

/// <summary>Kilograms, three decimals.</summary>
public sealed class MassJson() : QuantityJson<Mass>(Mass.FromKilograms, m => m.Kilograms, 3);

/// <summary>Metres, three decimals.</summary>
public sealed class LengthJson() : QuantityJson<Length>(Length.FromMetres, l => l.Metres, 3);

/// <summary>Seconds, one decimal.</summary>
public sealed class DurationJson() : QuantityJson<Duration>(Duration.FromSeconds, d => d.Seconds, 1);

/// <summary>Fraction, four decimals.</summary>
public sealed class ShareJson() : QuantityJson<Share>(Share.Of, s => s.Fraction, 4);

/// <summary>Resistance over maximum, four decimals.</summary>
public sealed class DemandJson() : QuantityJson<Demand>(Demand.Of, d => d.Value, 4);

/// <summary>Newtons, two decimals.</summary>
public sealed class ForceJson() : QuantityJson<Force>(Force.FromNewtons, f => f.Newtons, 2);

/// <summary>Litres, three decimals.</summary>
public sealed class VolumeJson() : QuantityJson<Volume>(Volume.FromLitres, v => v.Litres, 3);
