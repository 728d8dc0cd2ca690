using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>Loads made by filling: volume times share filled times density, and the mark to fill to for a wanted mass.</summary>
public static class Filling
{
    /// <summary>
    /// Kilograms a litre. Water at 20 C and milk: handbook densities; sand, salt, sugar, rice, flour: handbook bulk
    /// densities, loosely poured (all from memory).
    /// </summary>
    public static double KilogramsPerLitre(FillMaterial material) => material switch
    {
        FillMaterial.Water => 0.998,
        FillMaterial.Milk => 1.03,
        FillMaterial.Sand => 1.6,
        FillMaterial.Salt => 1.2,
        FillMaterial.Sugar => 0.85,
        FillMaterial.Rice => 0.80,
        FillMaterial.Flour => 0.57,
        _ => throw new ArgumentOutOfRangeException(nameof(material)),
    };

    /// <summary>How far a fill by eye may be off, over its own mass: liquids hold their density, poured stuff packs (common practice).</summary>
    public static Share Doubt(FillMaterial material) =>
        Share.Of(material is FillMaterial.Water or FillMaterial.Milk ? 0.03 : 0.10);

    /// <summary>One vessel filled to a share of its room.</summary>
    /// <param name="filled">0 (empty) to 1 (to the brim); held in that range.</param>
    public static Mass MassOf(Volume volume, Share filled, FillMaterial material, Mass own) =>
        own + Mass.FromKilograms(volume.Litres * Math.Clamp(filled.Fraction, 0, 1) * KilogramsPerLitre(material));

    /// <summary>The litres to fill in so that vessel and contents weigh this; held between empty and full.</summary>
    public static Volume MarkFor(Vessels vessels, Mass wanted) => Volume.FromLitres(Math.Clamp(
        (wanted - vessels.OwnMass).Kilograms / KilogramsPerLitre(vessels.Material), 0, vessels.Volume.Litres));

    /// <summary>Smallest step between marks worth drawing on a vessel: a tenth of a litre, a quarter from three litres up (common practice).</summary>
    private static double MarkStep(Volume volume) => volume.Litres >= 3 ? 0.25 : 0.1;

    /// <summary>The marks of one vessel as loads, empty to full.</summary>
    public static LoadLadder Ladder(Vessels vessels, int pieces)
    {
        double step = MarkStep(vessels.Volume);
        int marks = (int)Math.Floor((vessels.Volume.Litres + 1e-9) / step);
        return LoadLadder.From(Enumerable.Range(0, marks + 1)
            .Select(i => Math.Min(vessels.Volume.Litres, i * step))
            .Append(vessels.Volume.Litres)
            .Select(litres => AtMark(vessels, Volume.FromLitres(litres), pieces)));
    }

    /// <summary>The rung of these litres, in each of so many vessels.</summary>
    public static Rung AtMark(Vessels vessels, Volume mark, int pieces)
    {
        var filling = Mass.FromKilograms(mark.Litres * KilogramsPerLitre(vessels.Material));
        var one = Mass.FromGrams((vessels.OwnMass + filling).Grams);
        string what = vessels.Material.ToString().ToLowerInvariant();
        string fill = mark.Litres == 0 ? Recipe.EmptyWords
            : mark >= vessels.Volume ? $"full, {mark} of {what}"
            : $"filled to {mark} of {what}";
        return new Rung(
            Mass.FromGrams(one.Grams * pieces),
            new Recipe([new Piece($"{vessels.Name} {fill}", one, pieces)], pieces == 1 ? fill : $"each {fill}"),
            filling * (Doubt(vessels.Material).Fraction * pieces));
    }
}
