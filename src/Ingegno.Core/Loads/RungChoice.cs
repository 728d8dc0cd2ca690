using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>Picks the rung for a wanted mass.</summary>
public static class RungChoice
{
    /// <summary>
    /// Nearest by distance rounded to 0.1 kg, then fewest pieces, then fewest pieces moved from the recipe in use.
    /// </summary>
    /// <returns>Null only for an empty ladder.</returns>
    public static Rung? Nearest(LoadLadder ladder, Mass wanted, Recipe? inUse = null) =>
        ladder.Rungs
            .OrderBy(r => Math.Round(Math.Abs((r.Load - wanted).Kilograms), 1, MidpointRounding.AwayFromZero))
            .ThenBy(r => r.Recipe.PieceCount)
            .ThenBy(r => inUse is null ? 0 : Changeover.PiecesMoved(inUse, r.Recipe))
            .ThenBy(r => r.Load)
            .FirstOrDefault();
}
