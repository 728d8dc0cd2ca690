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

    /// <summary>A way to fill: <paramref name="Pieces"/> things taking <paramref name="Litres"/>, the last step being so many of one kind.</summary>
    private readonly record struct Filling(int Pieces, double Litres, int Before, int Kind, int Count);

    /// <summary>Every mass the container can have, itself included, from empty to its limit.</summary>
    public static LoadLadder Ladder(Container container)
    {
        Content[] kinds = [.. container.Contents.Where(c => c.Count > 0 && Cells(c.Mass) > 0)];
        int cells = Capacity(container, kinds);
        var fillings = new List<Filling> { new(0, 0, -1, -1, 0) };
        var best = new List<int>?[cells + 1];
        best[0] = [0];
        for (int kind = 0; kind < kinds.Length; kind++)
        {
            Add(kinds[kind], kind, container.Litres ?? double.PositiveInfinity, fillings, best);
        }

        return LoadLadder.From(best
            .Where(labels => labels is not null)
            .Select(labels => labels!.MinBy(label => fillings[label].Pieces))
            .Select(label => ToRung(container, kinds, fillings, label))
            .Where(rung => container.MostInAll is not { } most || rung.Load.Grams <= most.Grams));
    }

    private static int Cells(Mass mass) => (int)((mass.Grams + (GridGrams / 2)) / GridGrams);

    private static int Capacity(Container container, Content[] kinds)
    {
        long all = kinds.Sum(k => (long)Cells(k.Mass) * k.Count);
        long allowed = container.MostInAll is { } most ? Cells(most - container.OwnMass) : all;
        return (int)Math.Clamp(Math.Min(all, allowed), 0, MostCells);
    }

    /// <summary>
    /// Lets each mass be reached with 1 to n more of one kind. Masses are walked downwards, so the lighter ones
    /// read from have not had this kind yet and no count is exceeded.
    /// </summary>
    private static void Add(Content content, int kind, double room, List<Filling> fillings, List<int>?[] best)
    {
        int step = Cells(content.Mass);
        double litres = content.Litres ?? 0;
        for (int cell = best.Length - 1; cell >= step; cell--)
        {
            for (int n = 1; n <= content.Count && n * step <= cell; n++)
            {
                if (best[cell - (n * step)] is not { } starts)
                {
                    continue;
                }

                foreach (int start in starts)
                {
                    var filling = new Filling(
                        fillings[start].Pieces + n, fillings[start].Litres + (n * litres), start, kind, n);
                    if (filling.Litres <= room + 1e-9)
                    {
                        Keep(filling, fillings, best[cell] ??= []);
                    }
                }
            }

            if (best[cell] is { Count: 0 })
            {
                best[cell] = null;
            }
        }
    }

    /// <summary>Keeps a filling unless another of the same mass needs no more pieces and no more room.</summary>
    private static void Keep(Filling filling, List<Filling> fillings, List<int> rivals)
    {
        foreach (int rival in rivals)
        {
            if (fillings[rival].Pieces <= filling.Pieces && fillings[rival].Litres <= filling.Litres)
            {
                return;
            }
        }

        rivals.RemoveAll(r => filling.Pieces <= fillings[r].Pieces && filling.Litres <= fillings[r].Litres);
        rivals.Add(fillings.Count);
        fillings.Add(filling);
    }

    private static Rung ToRung(Container container, Content[] kinds, List<Filling> fillings, int label)
    {
        var pieces = new List<Piece>();
        long grams = container.OwnMass.Grams;
        for (var filling = fillings[label]; filling.Before >= 0; filling = fillings[filling.Before])
        {
            var content = kinds[filling.Kind];
            pieces.Add(new Piece(content.Name, content.Mass, filling.Count, "inside"));
            grams += filling.Count * content.Mass.Grams;
        }

        pieces.Sort((a, b) => b.Mass.CompareTo(a.Mass));
        string text = pieces.Count == 0
            ? "empty"
            : string.Join(" + ", pieces.Select(p => Counted.Of(p.Count, p.Name)));
        return new Rung(Mass.FromGrams(grams), new Recipe([.. pieces], text));
    }
}
