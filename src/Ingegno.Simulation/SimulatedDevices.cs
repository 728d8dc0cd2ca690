using Ingegno.Core.Quantities;

namespace Ingegno.Simulation;

/// <summary>
/// Stand-ins for a luggage scale, a bathroom scale and a phone's level. What is measured hides behind a name: the same
/// name always has the same band, bag or slope, so that two pulls of one band belong together.
/// </summary>
public static class SimulatedDevices
{
    /// <summary>Newtons on a luggage scale with a 50 g display, hooked to a band of that name.</summary>
    /// <param name="rest">Rest length, above zero.</param>
    /// <param name="length">As pulled to; slack gives nothing.</param>
    public static IEnumerable<DisplayedValue> LuggageScale(string name, Length rest, Length length)
    {
        const double stepNewtons = 0.05 * 9.81;
        return new Signal(Seed(name + length), stepNewtons, noise: 0.5, driftPerSecond: 0.05).Towards(Rubber(name, length / rest));
    }

    /// <summary>Kilograms on a bathroom scale of 100 g, under a person of that mass holding the thing of that name, or nothing.</summary>
    public static IEnumerable<DisplayedValue> BathroomScale(string? name, Mass person) =>
        new Signal(Seed(name ?? ""), 0.1, noise: 0.05, driftPerSecond: 0.01).Towards(person.Kilograms + (name is null ? 0 : Between(name, 2, 12)));

    /// <summary>Kilograms under a helping foot.</summary>
    public static IEnumerable<DisplayedValue> FootOnScale(string name) =>
        new Signal(Seed(name), 0.1, noise: 0.4, driftPerSecond: 0).Towards(Between(name, 8, 22));

    /// <summary>Degrees over the horizontal, shown by a phone laid along a body or a board.</summary>
    public static IEnumerable<DisplayedValue> PhoneLevel(string name) =>
        new Signal(Seed(name), 0.5, noise: 0.4, driftPerSecond: 0).Towards(Between(name, 15, 65));

    /// <summary>
    /// The hidden band: Ogden's three terms for vulcanised rubber (Ogden 1972, Proc R Soc A 326:565-584; from memory),
    /// another law than the one the core fits.
    /// </summary>
    private static double Rubber(string name, double stretch)
    {
        if (stretch <= 1)
        {
            return 0;
        }

        double stress = Term(0.63, 1.3) + Term(0.0012, 5.0) + Term(-0.01, -2.0);
        double squareMillimetres = Between(name, 60, 180);
        return stress * squareMillimetres;

        double Term(double megapascals, double power) =>
            megapascals * (Math.Pow(stretch, power - 1) - Math.Pow(stretch, -1 - (power / 2)));
    }

    private static double Between(string name, double low, double high) =>
        low + ((high - low) * (Seed(name) % 1000 / 1000.0));

    /// <summary>Stable between runs and machines, in contrast to the framework's own string hash (FNV-1a, 32 bits).</summary>
    private static int Seed(string text)
    {
        uint hash = 2166136261;
        foreach (char c in text)
        {
            hash = (hash ^ c) * 16777619;
        }

        return (int)(hash & int.MaxValue);
    }
}
