using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>What a word beside a name says of how the exercise is done.</summary>
public enum NameModifier
{
    /// <summary>Nothing that changes it: "flat", "strict".</summary>
    Plain,
    Implement,
    Grip,
    Stance,
    Position,

    /// <summary>A pause at the hard end.</summary>
    Pause,

    /// <summary>Slow lowering.</summary>
    Slow,

    /// <summary>Lifted as fast as it goes.</summary>
    Fast,

    /// <summary>A band added.</summary>
    Band,

    /// <summary>With a load on a body-weight exercise.</summary>
    Weighted,

    /// <summary>Only the lowering is done.</summary>
    Lowering,
    Alternating,
}

/// <summary>
/// The gym's talk, as data beside the catalogue: abbreviations, slang, names some exercises go by, and the words that modify any of them.
/// </summary>
/// <param name="Words">A word and what it stands for, in one or more words.</param>
/// <param name="Phrases">Words in a row and what they stand for, after the words were written out.</param>
/// <param name="Calls">A name and the id of the exercise it means.</param>
/// <param name="Near">The name of an exercise the catalogue lacks, and the id of the one it is read as: said and asked after.</param>
/// <param name="Small">Words that tell nothing.</param>
internal sealed record GymWords(
    FrozenDictionary<string, string> Words, FrozenDictionary<string, string> Phrases, FrozenDictionary<string, string> Calls, FrozenDictionary<string, string> Near, FrozenSet<string> Small,
    FrozenDictionary<string, NameModifier> Modifiers)
{
    private sealed record File(
        Dictionary<string, string> Words, Dictionary<string, string> Phrases, Dictionary<string, string> Calls, Dictionary<string, string> Near, ImmutableArray<string> Small,
        Dictionary<string, NameModifier> Modifiers);

    internal static GymWords Shipped { get; } = Read();

    private static GymWords Read()
    {
        using var stream = typeof(GymWords).Assembly.GetManifestResourceStream("names/gym-words.json")!;
        var file = JsonSerializer.Deserialize<File>(stream, TradeJson.Options)!;
        return new(
            file.Words.ToFrozenDictionary(StringComparer.Ordinal), file.Phrases.ToFrozenDictionary(StringComparer.Ordinal), file.Calls.ToFrozenDictionary(StringComparer.Ordinal),
            file.Near.ToFrozenDictionary(StringComparer.Ordinal), file.Small.ToFrozenSet(StringComparer.Ordinal), file.Modifiers.ToFrozenDictionary(StringComparer.Ordinal));
    }
}
