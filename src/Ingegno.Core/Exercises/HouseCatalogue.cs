using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Text.Json;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>The shipped catalogue with the exercises a practice added, and the reader that knows their names. Made once for equal lists.</summary>
public sealed class HouseCatalogue
{
    /// <summary>Lists kept at hand; past that all are made anew.</summary>
    private const int MostAtHand = 32;

    private static readonly HouseCatalogue Shipped = new(Catalogue.Shipped, NameReader.Shipped);
    private static readonly ConditionalWeakTable<OwnExercise[], HouseCatalogue> ByArray = [];
    private static readonly ConcurrentDictionary<string, HouseCatalogue> ByContent = new(StringComparer.Ordinal);

    private HouseCatalogue(Catalogue catalogue, NameReader names) => (Catalogue, Names) = (catalogue, names);

    public Catalogue Catalogue { get; }

    public NameReader Names { get; }

    /// <param name="own">Without problems by <see cref="OwnExerciseProblems"/>; one that has some is left out, as a file made by hand may hold it.</param>
    public static HouseCatalogue Of(ImmutableArray<OwnExercise> own) =>
        own.IsDefaultOrEmpty ? Shipped : ByArray.GetValue(ImmutableCollectionsMarshal.AsArray(own)!, array => OfEqual([.. array]));

    private static HouseCatalogue OfEqual(ImmutableArray<OwnExercise> own)
    {
        if (ByContent.Count > MostAtHand)
        {
            ByContent.Clear();
        }

        return ByContent.GetOrAdd(JsonSerializer.Serialize(own, TradeJson.Options), _ => Made(own));
    }

    private static HouseCatalogue Made(ImmutableArray<OwnExercise> own)
    {
        var wrong = OwnExerciseProblems.Of(own).Select(p => p.Path[..(p.Path.IndexOf(']', StringComparison.Ordinal) + 1)]).ToHashSet(StringComparer.Ordinal);
        var catalogue = new Catalogue(
            [.. Catalogue.Shipped.Exercises, .. own.Where((_, i) => !wrong.Contains($"[{i}]") && !wrong.Contains("")).Select(o => o.From(Catalogue.Shipped[o.Like]))],
            Catalogue.Shipped.Drills);
        return new(catalogue, new NameReader(catalogue));
    }
}
