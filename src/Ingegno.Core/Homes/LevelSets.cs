using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>Two or three places of nearly one height: for dips, for a pike push-up on three platforms.</summary>
/// <param name="Fixtures">Names, lowest first; a fixture that stands there twice is named twice.</param>
/// <param name="Ids">Ids in the same order.</param>
/// <param name="Height">Mean height.</param>
/// <param name="Difference">Highest less lowest.</param>
public sealed record LevelSet(ImmutableArray<string> Fixtures, ImmutableArray<string> Ids, Length Height, Length Difference);

/// <summary>Finds pairs and triples of near-equal height.</summary>
public static class LevelSets
{
    /// <summary>Hands or feet do not notice less (common practice; coach).</summary>
    public static Length UsualTolerance { get; } = Length.FromCentimetres(2);

    /// <summary>
    /// Every set of <paramref name="count"/> surfaces within the tolerance, most level first. A fixture counts as often
    /// as it stands there; things to hang from and walls do not count.
    /// </summary>
    public static ImmutableArray<LevelSet> Of(Home home, int count, Length tolerance)
    {
        var surfaces = home.Fixtures
            .Where(f => FixtureKinds.IsFurniture(f.Kind) && !f.Glass)
            .SelectMany(f => Enumerable.Repeat(f, Math.Min(f.Count, count)))
            .OrderBy(f => f.Height)
            .ToArray();
        return
        [
            .. Enumerable.Range(0, Math.Max(0, surfaces.Length - count + 1))
                .Select(start => surfaces[start..(start + count)])
                .Where(set => (set[^1].Height - set[0].Height).Metres <= tolerance.Metres + 1e-9)
                .Select(ToSet)
                .DistinctBy(set => string.Join('|', set.Ids))
                .OrderBy(set => set.Difference)
                .ThenBy(set => set.Height),
        ];
    }

    private static LevelSet ToSet(Fixture[] set) => new(
        [.. set.Select(f => f.Name)],
        [.. set.Select(f => f.Id)],
        Length.FromMetres(set.Average(f => f.Height.Metres)),
        set[^1].Height - set[0].Height);
}
