using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>Room inside a thing, or room a thing takes. Unit inside: litre.</summary>
[JsonConverter(typeof(VolumeJson))]
public readonly record struct Volume : IComparable<Volume>
{
    private Volume(double litres) => Litres = litres;

    public double Litres { get; }

    public static Volume Zero => default;

    public static Volume FromLitres(double litres) => new(litres);

    /// <summary>US liquid gallons of 231 cubic inches, 3.785411784 l exactly, by definition.</summary>
    public static Volume FromGallons(double gallons) => new(gallons * 3.785411784);

    public static Volume operator *(Volume a, double factor) => new(a.Litres * factor);

    public static bool operator <(Volume a, Volume b) => a.Litres < b.Litres;

    public static bool operator >(Volume a, Volume b) => a.Litres > b.Litres;

    public static bool operator <=(Volume a, Volume b) => a.Litres <= b.Litres;

    public static bool operator >=(Volume a, Volume b) => a.Litres >= b.Litres;

    public int CompareTo(Volume other) => Litres.CompareTo(other.Litres);

    /// <summary>"3.1 l".</summary>
    public override string ToString() => Litres.ToString("0.##", CultureInfo.InvariantCulture) + " l";
}
