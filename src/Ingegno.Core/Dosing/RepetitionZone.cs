namespace Ingegno.Core.Dosing;

/// <summary>
/// The counts that serve a written count at home: a triple may become up to eight, never eighteen (common practice).
/// </summary>
/// <param name="Least">Of the zone.</param>
/// <param name="Most">Of the zone.</param>
/// <param name="Ceiling">Never more than this where it was not written.</param>
public readonly record struct RepetitionZone(int Least, int Most, int Ceiling)
{
    /// <param name="lowest">The lowest written count.</param>
    public static RepetitionZone Of(int lowest) => lowest switch
    {
        <= 5 => new(3, 8, 12),
        <= 12 => new(5, 15, 20),
        <= 20 => new(10, 25, 30),
        _ => new(12, Math.Max(30, lowest), Math.Max(30, lowest)),
    };

    /// <summary>Part of the lowest written count a client must be able to do for a variation to be given (common practice).</summary>
    public const double EnoughOfTheCount = 0.6;

    public bool Holds(int count) => count >= Least && count <= Most;
}
