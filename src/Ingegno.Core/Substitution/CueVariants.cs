using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>
/// Cues and set-up as a practice and a client want them told: where a house rule or a trait says it another way, its words stand in place of
/// those it contradicts and never beside them. A client's trait comes before the practice's rule.
/// </summary>
internal static class CueVariants
{
    /// <summary>The exercise's own sentences without what the leanings overrule, clause by clause.</summary>
    /// <param name="sentences">Clauses part at a comma.</param>
    internal static ImmutableArray<string> Of(ImmutableArray<string> sentences, ImmutableArray<Leaning> leanings) =>
        leanings.All(l => l.Overrules.IsEmpty) ? sentences : [.. sentences.Select(s => Without(s, leanings)).OfType<string>()];

    /// <summary>What the leanings add, without what one behind them overrules: rules of the practice come first, then traits of the client.</summary>
    internal static IEnumerable<string> Added(ImmutableArray<Leaning> leanings) =>
        leanings.Where((l, i) => l.Cue is { } cue && !leanings.Skip(i + 1).Any(later => IsOverruled(cue, later))).Select(l => l.Cue!);

    private static string? Without(string sentence, ImmutableArray<Leaning> leanings)
    {
        string[] clauses = sentence.Split(", ");
        string[] left = [.. clauses.Where(c => !leanings.Any(l => IsOverruled(c, l)))];
        return left.Length == clauses.Length ? sentence
            : left.Length == 0 ? null
            : PlainWords.Opening(left[0]) + string.Concat(left.Skip(1).Select(c => ", " + c));
    }

    private static bool IsOverruled(string words, Leaning leaning) =>
        leaning.Overrules.Any(phrase => words.Contains(phrase, StringComparison.OrdinalIgnoreCase));
}
