using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>
/// How heavy a set is for this person today: resistance over the rested maximum of the same exercise, both
/// with the moved part of the body counted. 0 is nothing, 1 the maximum; above 1 no whole repetition is
/// possible. In contrast to the percentage a coach writes, it counts body mass where the body moves.
/// </summary>
[JsonConverter(typeof(DemandJson))]
public readonly record struct Demand : IComparable<Demand>
{
    private Demand(double value) => Value = value;

    public double Value { get; }

    public static Demand Of(double value) => new(value);

    public static bool operator <(Demand a, Demand b) => a.Value < b.Value;

    public static bool operator >(Demand a, Demand b) => a.Value > b.Value;

    public static bool operator <=(Demand a, Demand b) => a.Value <= b.Value;

    public static bool operator >=(Demand a, Demand b) => a.Value >= b.Value;

    /// <summary>"80 %" of what could be lifted, as a coach says it.</summary>
    public string InPercent => string.Create(CultureInfo.InvariantCulture, $"{Value * 100:0} %");

    public int CompareTo(Demand other) => Value.CompareTo(other.Value);

    public override string ToString() => Value.ToString("0.00", CultureInfo.InvariantCulture);
}
