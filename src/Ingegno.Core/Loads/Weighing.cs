using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>A mass found by stepping on a scale with the thing and without it.</summary>
/// <param name="Error">The scale's step times the square root of two: both readings are off by up to a step.</param>
/// <param name="Advice">A better scale for so small a mass; null when this one does.</param>
public sealed record Weighed(Mass Mass, Mass Error, string? Advice);

/// <summary>Weighing by difference.</summary>
public static class Weighing
{
    /// <summary>Smallest step of an ordinary bathroom scale (common practice).</summary>
    public static Mass UsualStep { get; } = Mass.FromGrams(100);

    private static readonly Mass TooSmallForABathroomScale = Mass.FromKilograms(3);

    /// <returns>The mass, or the problems: readings that cannot be told apart or are the wrong way round.</returns>
    public static (Weighed? Weighed, IReadOnlyList<InputProblem> Problems) ByDifference(Mass with, Mass without, Mass step)
    {
        if (!(with.Kilograms is > 0 and <= 1000) || !(without.Kilograms is >= 0 and <= 1000))
        {
            return (null, [new("with", "A reading lies between 0 and 1000 kg.")]);
        }

        if (!(step.Kilograms is > 0 and <= 5))
        {
            return (null, [new("step", "The step the scale shows lies between 1 g and 5 kg.")]);
        }

        if (with <= without)
        {
            return (null, [new("with", $"With the thing the scale must read more than without it: {with} is not over {without}.")]);
        }

        var mass = with - without;
        var error = step * Math.Sqrt(2);
        string? advice = mass < TooSmallForABathroomScale && step >= UsualStep
            ? "Under 3 kg a kitchen or luggage scale tells more."
            : null;
        return (new Weighed(mass, error, advice), []);
    }
}
