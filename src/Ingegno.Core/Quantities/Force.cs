using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>
/// A pull, as a luggage scale reads it. Unit inside: newton. In contrast, what a muscle meets is told as the
/// <see cref="Mass"/> that would weigh the same, so that bands and dumbbells stand on one scale.
/// </summary>
[JsonConverter(typeof(ForceJson))]
public readonly record struct Force : IComparable<Force>
{
    /// <summary>Standard gravity, m/s2 (ISO 80000-3).</summary>
    private const double StandardGravity = 9.80665;

    private Force(double newtons) => Newtons = newtons;

    public double Newtons { get; }

    public static Force Zero => default;

    public static Force FromNewtons(double newtons) => new(newtons);

    /// <summary>The weight of a mass.</summary>
    public static Force OfWeight(Mass mass) => new(mass.Kilograms * StandardGravity);

    /// <summary>The mass that weighs as much.</summary>
    public Mass AsMass() => Mass.FromKilograms(Newtons / StandardGravity);

    public static Force operator +(Force a, Force b) => new(a.Newtons + b.Newtons);

    public static Force operator *(Force a, double factor) => new(a.Newtons * factor);

    public static bool operator <(Force a, Force b) => a.Newtons < b.Newtons;

    public static bool operator >(Force a, Force b) => a.Newtons > b.Newtons;

    public static bool operator <=(Force a, Force b) => a.Newtons <= b.Newtons;

    public static bool operator >=(Force a, Force b) => a.Newtons >= b.Newtons;

    public int CompareTo(Force other) => Newtons.CompareTo(other.Newtons);

    /// <summary>Whole newtons, "74 N".</summary>
    public override string ToString() => Newtons.ToString("0", CultureInfo.InvariantCulture) + " N";
}
