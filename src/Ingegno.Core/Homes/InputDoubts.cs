using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>
/// Something that may be right but looks like a slip of the unit, with what it would be. In contrast, an
/// <see cref="InputProblem"/> cannot be right and is not saved.
/// </summary>
/// <param name="Path">Where, in the names of the case file.</param>
/// <param name="Message">What looks wrong, as a question.</param>
/// <param name="Instead">What to put there if the doubt is right.</param>
public sealed record InputDoubt(string Path, string Message, Mass Instead);

/// <summary>Finds masses typed in pounds or grams where kilograms are kept.</summary>
public static class InputDoubts
{
    /// <summary>Heaviest single plate, hand weight and bottle in ordinary trade (common practice); over it pounds are likelier.</summary>
    private static readonly Mass HeavyPlate = Mass.FromKilograms(25), HeavyHandWeight = Mass.FromKilograms(50);

    /// <summary>Nothing sold for lifting weighs less; a smaller figure was kilograms read as grams.</summary>
    private static readonly Mass Feather = Mass.FromGrams(50);

    /// <summary>Denser than wet sand (handbook bulk density; from memory): not bottles, books or tins.</summary>
    private const double DensestKilogramsPerLitre = 2.1;

    public static IReadOnlyList<InputDoubt> Of(Home home)
    {
        var doubts = new List<InputDoubt>();
        for (int i = 0; i < home.Kit.Length; i++)
        {
            doubts.AddRange(Of(home.Kit[i], $"kit[{i}]"));
        }

        return doubts;
    }

    private static IEnumerable<InputDoubt> Of(KitItem item, string path) => item switch
    {
        FixedWeights weights => weights.Weights.SelectMany((w, i) => Single(w.Mass, HeavyHandWeight, $"{path}.weights[{i}].mass", item.Name)),
        PlateLoadedHandles handles => handles.Plates.SelectMany((p, i) => Single(p.Mass, HeavyPlate, $"{path}.plates[{i}].mass", item.Name)),
        PlateLoadedBar bar => bar.Plates.SelectMany((p, i) => Single(p.Mass, HeavyPlate, $"{path}.plates[{i}].mass", item.Name)),
        Container container => container.Contents.SelectMany((c, i) => Dense(c, $"{path}.contents[{i}].mass")),
        _ => [],
    };

    private static IEnumerable<InputDoubt> Single(Mass mass, Mass heavy, string path, string name)
    {
        if (mass > heavy)
        {
            yield return InPounds(mass, path, $"{name}: one piece of {mass}?");
        }
        else if (mass < Feather && mass > Mass.Zero)
        {
            yield return new(path, $"{name}: one piece of {mass.Grams} g? If kilograms were meant it is {mass * 1000}.", mass * 1000);
        }
    }

    private static IEnumerable<InputDoubt> Dense(Content content, string path)
    {
        if (content.Volume is { Litres: > 0 } room && content.Mass.Kilograms / room.Litres > DensestKilogramsPerLitre)
        {
            yield return InPounds(content.Mass, path, $"{content.Name}: {content.Mass} in {room}?");
        }
    }

    private static InputDoubt InPounds(Mass mass, string path, string question)
    {
        var instead = Mass.FromPounds(mass.Kilograms);
        return new(path, $"{question} If pounds were meant it is {instead}.", instead);
    }
}
