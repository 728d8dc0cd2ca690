using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>
/// A mass, also used for the weight of a mass: coaches say "kilograms in the hand", so a resistance
/// met at the hands or feet is given as the mass that would weigh the same. Unit inside: kilogram.
/// In contrast, <see cref="Demand"/> is a resistance over what this person could at most move.
/// </summary>
[JsonConverter(typeof(MassJson))]
public readonly record struct Mass : IComparable<Mass>
{
    private const double KilogramsPerPound = 0.45359237;

    private Mass(double kilograms) => Kilograms = kilograms;

    /// <summary>The mass in kilograms. May be negative only as a difference.</summary>
    public double Kilograms { get; }

    /// <summary>The mass in whole grams, rounded to the nearest.</summary>
    public long Grams => (long)Math.Round(Kilograms * 1000, MidpointRounding.AwayFromZero);

    /// <summary>The mass in avoirdupois pounds (0.45359237 kg exactly, by definition).</summary>
    public double Pounds => Kilograms / KilogramsPerPound;

    public static Mass Zero => default;

    public static Mass FromKilograms(double kilograms) => new(kilograms);

    public static Mass FromGrams(long grams) => new(grams / 1000.0);

    public static Mass FromPounds(double pounds) => new(pounds * KilogramsPerPound);

    public static Mass operator +(Mass a, Mass b) => new(a.Kilograms + b.Kilograms);

    public static Mass operator -(Mass a, Mass b) => new(a.Kilograms - b.Kilograms);

    public static Mass operator *(Mass a, double factor) => new(a.Kilograms * factor);

    public static Mass operator *(double factor, Mass a) => a * factor;

    public static double operator /(Mass a, Mass b) => a.Kilograms / b.Kilograms;

    public static bool operator <(Mass a, Mass b) => a.Kilograms < b.Kilograms;

    public static bool operator >(Mass a, Mass b) => a.Kilograms > b.Kilograms;

    public static bool operator <=(Mass a, Mass b) => a.Kilograms <= b.Kilograms;

    public static bool operator >=(Mass a, Mass b) => a.Kilograms >= b.Kilograms;

    public int CompareTo(Mass other) => Kilograms.CompareTo(other.Kilograms);

    /// <summary>Kilograms with at most one decimal, or two below 10 kg, as a coach writes it: "12.5 kg".</summary>
    public override string ToString() =>
        Kilograms.ToString(Math.Abs(Kilograms) < 10 ? "0.##" : "0.#", CultureInfo.InvariantCulture) + " kg";
}
