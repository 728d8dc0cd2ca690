using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>
/// Help by a foot, read off a bathroom scale under it: what the scale bears, the hands need not. Taper it by keeping the
/// needle on a lower mark each week.
/// </summary>
public static class FootAssistance
{
    /// <summary>Marks a client can keep a needle on (common practice).</summary>
    private const int MarkKilograms = 5, MostKilograms = 60;

    /// <summary>What the hands still carry: body mass less the reading.</summary>
    /// <param name="reading">Held between nothing and the whole body.</param>
    public static Mass Carried(Mass bodyMass, Mass reading) =>
        bodyMass - Mass.FromKilograms(Math.Clamp(reading.Kilograms, 0, bodyMass.Kilograms));

    /// <summary>Negative loads, most help first.</summary>
    public static LoadLadder Ladder { get; } = LoadLadder.From(
        Enumerable.Range(1, MostKilograms / MarkKilograms).Select(i => At(Mass.FromKilograms(i * MarkKilograms))));

    private static Rung At(Mass reading) =>
        new(reading * -1, new Recipe([new Piece("foot on the scale", reading, 1)], $"one foot on it, needle at {reading}"));
}
