using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>A length or a height above the floor. Unit inside: metre.</summary>
[JsonConverter(typeof(LengthJson))]
public readonly record struct Length : IComparable<Length>
{
    private Length(double metres) => Metres = metres;

    public double Metres { get; }

    public double Centimetres => Metres * 100;

    public static Length Zero => default;

    public static Length FromMetres(double metres) => new(metres);

    public static Length FromCentimetres(double centimetres) => new(centimetres / 100);

    public static Length operator +(Length a, Length b) => new(a.Metres + b.Metres);

    public static Length operator -(Length a, Length b) => new(a.Metres - b.Metres);

    public static Length operator *(Length a, double factor) => new(a.Metres * factor);

    public static double operator /(Length a, Length b) => a.Metres / b.Metres;

    public static bool operator <(Length a, Length b) => a.Metres < b.Metres;

    public static bool operator >(Length a, Length b) => a.Metres > b.Metres;

    public static bool operator <=(Length a, Length b) => a.Metres <= b.Metres;

    public static bool operator >=(Length a, Length b) => a.Metres >= b.Metres;

    public int CompareTo(Length other) => Metres.CompareTo(other.Metres);

    /// <summary>Whole centimetres, "44 cm".</summary>
    public override string ToString() => Centimetres.ToString("0", CultureInfo.InvariantCulture) + " cm";
}
