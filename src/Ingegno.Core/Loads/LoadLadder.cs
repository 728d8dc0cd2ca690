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

    /// <summary>What a bag or vessel with nothing in it is told as.</summary>
    internal const string EmptyWords = "empty";

    /// <summary>The bag or vessel alone.</summary>
    internal bool IsEmpty => Text.EndsWith(EmptyWords, StringComparison.Ordinal);

    /// <summary>Single things handled to build it: plates count once for every end.</summary>
    public int PieceCount => Pieces.Sum(p => p.Count);
}

/// <summary>One load an implement can give: the true sum of its pieces, and how to build it.</summary>
/// <param name="Load">Negative where a band or a foot takes weight off instead of adding it.</param>
/// <param name="Error">How far the load may be off; null where every piece is known.</param>
/// <param name="Pull">For a band what it pulls along the movement; null for weights.</param>
public sealed record Rung(Mass Load, Recipe Recipe, Mass? Error = null, PullAlong? Pull = null);

/// <summary>What a band gives along a movement, as the masses that would weigh the same.</summary>
/// <param name="Mean">What it is compared by for work.</param>
/// <param name="Rough">From one pull only.</param>
/// <param name="PastMeasured">Somewhere longer than the longest pull that was read.</param>
public sealed record PullAlong(Mass Start, Mass Middle, Mass End, Mass Mean, bool Rough, bool PastMeasured);

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

    /// <summary>The heaviest rung lighter than this load, or null at the bottom.</summary>
    public Rung? Below(Mass load) => Rungs.LastOrDefault(r => r.Load.Grams < load.Grams);
}
