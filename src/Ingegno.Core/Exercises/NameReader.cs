using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Numerics;

namespace Ingegno.Core.Exercises;

/// <summary>How sure a name is read.</summary>
public enum NameSureness
{
    /// <summary>It is a name of the exercise, whatever the spelling, the order of its words and the gym's shorthand.</summary>
    Known,

    /// <summary>It is such a name with words beside it that modify it.</summary>
    Modified,

    /// <summary>It only comes near one: said and asked after.</summary>
    Guessed,
}

/// <summary>A name as read.</summary>
/// <param name="Modifiers">What the words beside the name say, each once.</param>
/// <param name="Left">Those words, as typed but in lower case.</param>
/// <param name="IsOwn">The practice said what it means by it: nothing is asked.</param>
public sealed record NameRead(
    Exercise Exercise, NameSureness Sureness, ImmutableArray<NameModifier> Modifiers, ImmutableArray<string> Left, bool IsOwn = false);

/// <summary>What a practice calls an exercise: "my power row is the dead-stop row".</summary>
/// <param name="Typed">As typed, whatever the case, order of the words and shorthand.</param>
/// <param name="Exercise">Catalogue id.</param>
public sealed record OwnName(string Typed, string Exercise);

/// <summary>
/// Reads an exercise name as coaches type it: shorthand written out, words in any order, words that modify a name taken off it where no entry of
/// its own stands, slips of the finger mended. In contrast to <see cref="Catalogue.Named"/>, which knows names and synonyms only.
/// <code>
/// new NameReader(Catalogue.Shipped).Read("SL RDL")!.Exercise.Id // one-leg-romanian-deadlift
/// </code>
/// </summary>
public sealed class NameReader
{
    /// <summary>Words taken off a name at most; more of them are another exercise.</summary>
    private const int MostModifiers = 4;

    /// <summary>A likeness that is taken, and by how much it must lead the next exercise (measured on names coaches type).</summary>
    private const double AlikeEnough = 0.8, Margin = 0.08;

    /// <summary>Letters a word has at least before one slip, and before two, are mended.</summary>
    private const int OneSlip = 4, TwoSlips = 8;

    /// <summary>No word of the trade is longer, in letters.</summary>
    private const int LongestWord = 40;

    /// <summary>Names kept as read, and their letters at most: a programme is read anew with every pause of the typing, and most of it is as before.</summary>
    private const int MostKept = 4096, LongestKept = 120;

    private readonly Catalogue _catalogue;
    private readonly GymWords _words = GymWords.Shipped;
    private readonly FrozenDictionary<string, Exercise> _byWords;
    private readonly FrozenDictionary<string, Exercise> _byBag, _near;
    private readonly FrozenSet<string> _vocabulary;
    private readonly ImmutableArray<(uint[] Pairs, Exercise Exercise)> _pairs;
    private readonly FrozenDictionary<string, Exercise> _own = FrozenDictionary<string, Exercise>.Empty;
    private readonly ConcurrentDictionary<string, NameRead?> _kept = new(StringComparer.Ordinal);

    public NameReader(Catalogue catalogue)
    {
        _catalogue = catalogue;
        var names = new Dictionary<string, Exercise>(StringComparer.Ordinal);
        foreach (var (name, id) in _words.Calls)
        {
            names[string.Join(' ', WordsOf(name))] = catalogue[id];
        }

        foreach (var (name, exercise) in catalogue.Exercises.Concat(catalogue.Slots).Concat(catalogue.Retired).SelectMany(e => e.Synonyms.Prepend(e.Name), (e, name) => (name, e)))
        {
            names.TryAdd(string.Join(' ', WordsOf(name)), exercise);
        }

        _byWords = names.ToFrozenDictionary(StringComparer.Ordinal);
        _byBag = names.GroupBy(p => Bag(p.Key.Split(' ')), StringComparer.Ordinal)
            .Where(g => g.Select(p => p.Value.Id).Distinct().Count() == 1)
            .ToFrozenDictionary(g => g.Key, g => g.First().Value, StringComparer.Ordinal);
        _pairs = [.. names.Select(n => (NameMatch.PairsOf(n.Key), n.Value))];
        _near = _words.Near.ToFrozenDictionary(n => Bag(WordsOf(n.Key)), n => catalogue[n.Value], StringComparer.Ordinal);
        _vocabulary = names.Keys.Concat(_words.Near.Keys).SelectMany(k => k.Split(' ')).Concat(_words.Modifiers.Keys).Where(w => w.Length >= OneSlip).ToFrozenSet(StringComparer.Ordinal);
    }

    private NameReader(NameReader shipped, IEnumerable<OwnName> own)
    {
        (_catalogue, _byWords, _byBag, _near, _vocabulary, _pairs) =
            (shipped._catalogue, shipped._byWords, shipped._byBag, shipped._near, shipped._vocabulary, shipped._pairs);
        _own = own.Where(n => _catalogue.Find(n.Exercise) is not null)
            .GroupBy(n => Bag(WordsOf(n.Typed)), StringComparer.Ordinal)
            .Where(g => g.Key.Length > 0)
            .ToFrozenDictionary(g => g.Key, g => _catalogue[g.Last().Exercise], StringComparer.Ordinal);
    }

    /// <summary>With names of a practice beside the trade's: they come first.</summary>
    public NameReader Knowing(ImmutableArray<OwnName> own) => own.IsDefaultOrEmpty ? this : new(this, own);

    public static NameReader Shipped { get; } = new(Catalogue.Shipped);

    /// <summary>Null where nothing comes near enough: then it has to be asked.</summary>
    public NameRead? Read(string typed)
    {
        if (typed.Length > LongestKept)
        {
            return ReadAnew(typed);
        }

        if (!_kept.TryGetValue(typed, out var read))
        {
            if (_kept.Count >= MostKept)
            {
                _kept.Clear();
            }

            _kept[typed] = read = ReadAnew(typed);
        }

        return read;
    }

    private NameRead? ReadAnew(string typed)
    {
        if (_own.Count > 0 && _own.GetValueOrDefault(Bag(WordsOf(typed))) is { } own)
        {
            return new(own, NameSureness.Known, [], [], IsOwn: true);
        }

        if (_catalogue.Named(typed) is { } named)
        {
            return new(named, NameSureness.Known, [], []);
        }

        string[] words = WordsOf(typed);
        if (words.Length == 0)
        {
            return null;
        }

        if (_near.GetValueOrDefault(Bag(words)) is { } near)
        {
            return new(near, NameSureness.Guessed, [], []);
        }

        return Of(words) ?? (Mended(words) is { } mended && Of(mended) is { } slipped ? slipped with { Sureness = NameSureness.Guessed } : Alike(words));
    }

    private NameRead? Of(string[] words)
    {
        if (Find(words) is { } known)
        {
            return new(known, NameSureness.Known, [], []);
        }

        int[] modifying = [.. Enumerable.Range(0, words.Length).Where(i => _words.Modifiers.ContainsKey(words[i])).Take(12)];
        // The fewest words off first: what is left says most.
        return Enumerable.Range(1, (1 << modifying.Length) - 1)
            .Where(off => BitOperations.PopCount((uint)off) <= Math.Min(MostModifiers, words.Length - 1))
            .OrderBy(off => BitOperations.PopCount((uint)off))
            .ThenBy(off => modifying.Where((_, i) => (off >> i & 1) == 1).Sum(i => Weight(_words.Modifiers[words[i]])))
            .Select(off => Without(words, [.. modifying.Where((_, i) => (off >> i & 1) == 1)]))
            .FirstOrDefault(read => read is not null);
    }

    /// <summary>How much another exercise it is without the word.</summary>
    private static int Weight(NameModifier modifier) => modifier switch
    {
        NameModifier.Plain => 0,
        NameModifier.Implement => 3,
        NameModifier.Position => 2,
        _ => 1,
    };

    private NameRead? Without(string[] words, int[] off) =>
        Find([.. words.Where((_, i) => !off.Contains(i))]) is { } exercise
            ? new(exercise, NameSureness.Modified, [.. off.Select(i => _words.Modifiers[words[i]]).Distinct()], [.. off.Select(i => words[i])])
            : null;

    private Exercise? Find(string[] words) => _own.GetValueOrDefault(Bag(words)) ?? _byWords.GetValueOrDefault(string.Join(' ', words)) ?? _byBag.GetValueOrDefault(Bag(words));

    /// <summary>Shorthand written out, words that tell nothing gone.</summary>
    private string[] WordsOf(string typed)
    {
        var words = NameMatch.Normalise(typed).Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .SelectMany(w => (_words.Words.GetValueOrDefault(w) ?? w).Split(' '))
            .Where(w => !_words.Small.Contains(w))
            .ToList();
        for (int i = 0; i < words.Count; i++)
        {
            for (int length = Math.Min(5, words.Count - i); length > 1; length--)
            {
                if (_words.Phrases.GetValueOrDefault(string.Join(' ', words.GetRange(i, length))) is { } means)
                {
                    words.RemoveRange(i, length);
                    words.InsertRange(i, means.Split(' '));
                    break;
                }
            }
        }

        return [.. words];
    }

    private static string Bag(IEnumerable<string> words) => string.Join(' ', words.Order(StringComparer.Ordinal));

    /// <summary>Every word that is none replaced by the one word it can be a slip of; null where there is nothing to mend or more than one way.</summary>
    private string[]? Mended(string[] words)
    {
        bool changed = false;
        string[] mended = [.. words.Select(Mend)];
        return changed ? [.. mended.SelectMany(w => (_words.Words.GetValueOrDefault(w) ?? w).Split(' '))] : null;

        string Mend(string word)
        {
            if (word.Length < OneSlip || _vocabulary.Contains(word))
            {
                return word;
            }

            var near = _vocabulary.Select(w => (Word: w, Slips: Slips(word, w, word.Length >= TwoSlips ? 2 : 1))).Where(n => n.Slips is not null)
                .OrderBy(n => n.Slips).ThenBy(n => n.Word, StringComparer.Ordinal).Take(2).ToArray();
            if (near.Length == 0 || (near.Length == 2 && near[0].Slips == near[1].Slips))
            {
                return word;
            }

            changed = true;
            return near[0].Word;
        }
    }

    /// <summary>Letters put in, left out, changed or swapped (Damerau 1964); null above the most.</summary>
    private static int? Slips(string a, string b, int most)
    {
        if (Math.Abs(a.Length - b.Length) > most || Math.Max(a.Length, b.Length) > LongestWord)
        {
            return null;
        }

        // Three rows are enough: a swap reaches back two.
        Span<int> before = stackalloc int[LongestWord + 1], last = stackalloc int[LongestWord + 1], row = stackalloc int[LongestWord + 1];
        for (int i = 0; i <= a.Length; i++)
        {
            int least = int.MaxValue;
            for (int j = 0; j <= b.Length; j++)
            {
                row[j] = i == 0 ? j : j == 0 ? i : Math.Min(Math.Min(last[j], row[j - 1]) + 1, last[j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                {
                    row[j] = Math.Min(row[j], before[j - 2] + 1);
                }

                least = Math.Min(least, row[j]);
            }

            // A swap may still mend one of the last row.
            if (least > most + 1)
            {
                return null;
            }

            var spare = before;
            before = last;
            last = row;
            row = spare;
        }

        return last[b.Length] is var slips && slips <= most ? slips : null;
    }

    private NameRead? Alike(string[] words)
    {
        uint[] typed = NameMatch.PairsOf(string.Join(' ', words));
        var near = _pairs.Select(p => (p.Exercise, Likeness: NameMatch.Likeness(typed, p.Pairs))).Where(p => p.Likeness >= AlikeEnough - Margin)
            .GroupBy(p => p.Exercise.Id).Select(g => g.MaxBy(p => p.Likeness)).OrderByDescending(p => p.Likeness).ThenBy(p => p.Exercise.Id, StringComparer.Ordinal).Take(2).ToArray();
        return near is [{ Likeness: >= AlikeEnough } first, ..] && (near.Length == 1 || first.Likeness - near[1].Likeness >= Margin)
            ? new(first.Exercise, NameSureness.Guessed, [], [])
            : null;
    }
}
