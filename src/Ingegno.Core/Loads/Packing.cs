using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>
/// What a container can weigh: a bounded knapsack on a 10 g grid, exact over counts, mass limit and room.
/// For every reachable mass the packing of fewest pieces that fits is kept. The mass shown is the true sum of
/// the pieces, which may differ from the grid by a few grams; a packing over the limit is never offered.
/// </summary>
public static class Packing
{
    private const int GridGrams = 10;

    /// <summary>200 kg in one container, more than any carries: the longest table built.</summary>
    private const int MostCells = 20_000;

    /// <summary>Every mass the container can have, itself included, from empty to its limit.</summary>
    public static LoadLadder Ladder(Container container)
    {
        Content[] kinds = [.. container.Contents.Where(c => c.Count > 0 && Cells(c.Mass) > 0)];
        int cells = Capacity(container, kinds);
        var packings = new FewestPieces(kinds, cells).Packings();
        if (container.Volume is { } room && packings.Any(p => !Fits(p, kinds, room)))
        {
            // Where the packing of fewest pieces is too bulky another may fit: then room and pieces are weighed together.
            packings = new RoomyPackings(kinds, cells, room).Packings();
        }

        return LoadLadder.From(packings
            .Select(counts => ToRung(container, kinds, counts))
            .Where(rung => container.MostInAll is not { } most || rung.Load.Grams <= most.Grams));
    }

    /// <summary>Cells of the grid a mass takes.</summary>
    internal static int Cells(Mass mass) => (int)((mass.Grams + (GridGrams / 2)) / GridGrams);

    private static bool Fits(int[] counts, Content[] kinds, Volume room) =>
        counts.Zip(kinds, (count, kind) => count * (kind.Volume?.Litres ?? 0)).Sum() <= room.Litres + 1e-9;

    private static int Capacity(Container container, Content[] kinds)
    {
        long all = kinds.Sum(k => (long)Cells(k.Mass) * k.Count);
        long allowed = container.MostInAll is { } most ? Cells(most - container.OwnMass) : all;
        return (int)Math.Clamp(Math.Min(all, allowed), 0, MostCells);
    }

    private static Rung ToRung(Container container, Content[] kinds, int[] counts)
    {
        var pieces = new List<Piece>();
        long grams = container.OwnMass.Grams;
        double variance = 0;
        for (int kind = 0; kind < kinds.Length; kind++)
        {
            if (counts[kind] == 0)
            {
                continue;
            }

            var content = kinds[kind];
            pieces.Add(new Piece(content.Name, content.Mass, counts[kind], "inside"));
            grams += counts[kind] * content.Mass.Grams;

            // Like pieces were weighed once, so their errors add straight; unlike ones are independent.
            double error = counts[kind] * (content.Error?.Kilograms ?? 0);
            variance += error * error;
        }

        pieces.Sort((a, b) => b.Mass.CompareTo(a.Mass));
        string text = pieces.Count == 0
            ? Recipe.EmptyWords
            : string.Join(" + ", pieces.Select(p => Counted.Of(p.Count, p.Name)));
        return new Rung(
            Mass.FromGrams(grams),
            new Recipe([.. pieces], text),
            variance == 0 ? null : Mass.FromKilograms(Math.Sqrt(variance)));
    }
}
