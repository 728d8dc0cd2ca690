using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>Time and handling between two loads of one implement.</summary>
public static class Changeover
{
    /// <summary>Seconds to move one plate or thing (common practice; coach).</summary>
    private const double SecondsPerPiece = 8;

    /// <summary>Pieces taken off plus pieces put on, matched by name and place.</summary>
    public static int PiecesMoved(Recipe from, Recipe to)
    {
        var counts = from.Pieces.GroupBy(p => (p.Name, p.Where)).ToDictionary(g => g.Key, g => g.Sum(p => p.Count));
        foreach (var piece in to.Pieces)
        {
            var key = (piece.Name, piece.Where);
            counts[key] = counts.GetValueOrDefault(key) - piece.Count;
        }

        return counts.Values.Sum(Math.Abs);
    }

    public static Duration Between(Recipe from, Recipe to) =>
        Duration.FromSeconds(PiecesMoved(from, to) * SecondsPerPiece);
}
