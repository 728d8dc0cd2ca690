using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>A dimensionless part of a whole, such as the part of body mass a push-up puts on the hands. Usually 0 to 1.</summary>
[JsonConverter(typeof(ShareJson))]
public readonly record struct Share : IComparable<Share>
{
    private Share(double fraction) => Fraction = fraction;

    public double Fraction { get; }

    public static Share Zero => default;

    public static Share Of(double fraction) => new(fraction);

    public static Mass operator *(Share share, Mass mass) => mass * share.Fraction;

    public static Share operator *(Share share, double factor) => new(share.Fraction * factor);

    public int CompareTo(Share other) => Fraction.CompareTo(other.Fraction);

    public static bool operator <(Share a, Share b) => a.Fraction < b.Fraction;

    public static bool operator >(Share a, Share b) => a.Fraction > b.Fraction;

    public static bool operator <=(Share a, Share b) => a.Fraction <= b.Fraction;

    public static bool operator >=(Share a, Share b) => a.Fraction >= b.Fraction;

    /// <summary>Whole percent, "64 %".</summary>
    public override string ToString() => (Fraction * 100).ToString("0", CultureInfo.InvariantCulture) + " %";
}
