using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>So many of one thing in a recipe.</summary>
/// <param name="Where">"on each end", "in the bag", or empty for the thing itself.</param>
public sealed record Piece(string Name, Mass Mass, int Count, string Where = "");

/// <summary>How a load is put together, in words a client can follow.</summary>
/// <param name="Text">"2.5 + 2.5 kg on each end", "3 big bottles + 2 books".</param>
public sealed record Recipe(ImmutableArray<Piece> Pieces, string Text)
{
    public static Recipe Nothing { get; } = new([], "no load");

    /// <summary>Single things handled to build it: plates count once for every end.</summary>
    public int PieceCount => Pieces.Sum(p => p.Count);
}

/// <summary>One load an implement can give: the true sum of its pieces, and how to build it.</summary>
public sealed record Rung(Mass Load, Recipe Recipe);

/// <summary>
/// The loads an implement can give when held one way, lightest first, no load twice.
/// May be empty: an implement that cannot be held that way at all.
/// </summary>
public sealed record LoadLadder(ImmutableArray<Rung> Rungs)
{
    public static LoadLadder Empty { get; } = new([]);

    /// <summary>The single rung "no load", for body weight alone.</summary>
    public static LoadLadder BodyOnly { get; } = new([new Rung(Mass.Zero, Recipe.Nothing)]);

    /// <summary>Sorts, and keeps of equal loads (to the gram) the one of fewest pieces.</summary>
    public static LoadLadder From(IEnumerable<Rung> rungs) =>
        new([.. rungs
            .GroupBy(r => r.Load.Grams)
            .OrderBy(g => g.Key)
            .Select(g => g.MinBy(r => r.Recipe.PieceCount)!)]);

    /// <summary>
    /// Thins a fine ladder to rungs worth offering: each stands at least max(0.25 kg, 2.5 percent) above the one
    /// before it (common practice). The lightest and the heaviest always stay.
    /// </summary>
    public LoadLadder Offered()
    {
        if (Rungs.Length <= 2)
        {
            return this;
        }

        var offered = new List<Rung> { Rungs[0] };
        foreach (var rung in Rungs[1..^1])
        {
            if (rung.Load.Kilograms >= NextAllowed(offered[^1]))
            {
                offered.Add(rung);
            }
        }

        var heaviest = Rungs[^1];
        if (offered.Count > 1 && heaviest.Load.Kilograms < NextAllowed(offered[^1]))
        {
            offered.RemoveAt(offered.Count - 1);
        }

        offered.Add(heaviest);
        return new([.. offered]);
    }

    private static double NextAllowed(Rung last) =>
        last.Load.Kilograms + Math.Max(0.25, last.Load.Kilograms * 0.025) - 1e-9;

    /// <summary>The rung of this exact load, to the gram, or null.</summary>
    public Rung? At(Mass load) => Rungs.FirstOrDefault(r => r.Load.Grams == load.Grams);

    /// <summary>The lightest rung heavier than this load, or null at the top.</summary>
    public Rung? Above(Mass load) => Rungs.FirstOrDefault(r => r.Load.Grams > load.Grams);
}
