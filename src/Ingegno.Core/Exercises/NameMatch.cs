using System.Text;

namespace Ingegno.Core.Exercises;

/// <summary>Compares exercise names the way people type them: case, spacing, hyphens and plurals do not count.</summary>
public static class NameMatch
{
    private static readonly Dictionary<string, string> Abbreviations = new(StringComparer.Ordinal)
    {
        ["db"] = "dumbbell",
        ["bb"] = "barbell",
        ["kb"] = "kettlebell",
        ["rdl"] = "romanian deadlift",
        ["ohp"] = "overhead press",
        ["1"] = "one",
        ["single"] = "one",
        ["pushup"] = "push up",
        ["pullup"] = "pull up",
        ["chinup"] = "chin up",
        ["situp"] = "sit up",
        ["stepup"] = "step up",
        ["pulldown"] = "pull down",
        ["2"] = "two",
    };

    /// <summary>Every normalised name an exercise is found by, each once.</summary>
    public static IEnumerable<string> KeysOf(Exercise exercise) =>
        exercise.Synonyms.Prepend(exercise.Name).Select(Normalise).Distinct(StringComparer.Ordinal);

    /// <summary>Lower case words, hyphens gone, common abbreviations written out, plural s dropped.</summary>
    public static string Normalise(string name)
    {
        var letters = new StringBuilder(name.Length);
        foreach (char c in name.ToLowerInvariant())
        {
            letters.Append(char.IsLetterOrDigit(c) ? c : ' ');
        }

        var words = letters.ToString()
            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Select(Singular)
            .Select(word => Abbreviations.GetValueOrDefault(word, word));
        return string.Join(' ', words);
    }

    /// <summary>
    /// Likeness of two normalised names, 0 to 1: twice the letter pairs they share over all letter pairs (the
    /// Dice coefficient on bigrams), so swapped words and a slipped letter still come close.
    /// </summary>
    public static double Likeness(string a, string b) => Likeness(PairsOf(a), PairsOf(b));

    /// <summary>The same of letter pairs found before: a name is compared with every name known.</summary>
    public static double Likeness(ReadOnlySpan<uint> a, ReadOnlySpan<uint> b)
    {
        int shared = 0;
        for (int i = 0, j = 0; i < a.Length && j < b.Length;)
        {
            shared += a[i] == b[j] ? 1 : 0;
            (i, j) = (i + (a[i] <= b[j] ? 1 : 0), j + (b[j] <= a[i] ? 1 : 0));
        }

        return a.Length + b.Length == 0 ? 0 : 2.0 * shared / (a.Length + b.Length);
    }

    /// <summary>The letter pairs of a normalised name's words, in order; one that comes twice stands twice.</summary>
    public static uint[] PairsOf(string name)
    {
        var pairs = new List<uint>(name.Length);
        for (int i = 1; i < name.Length; i++)
        {
            if (name[i] != ' ' && name[i - 1] != ' ')
            {
                pairs.Add(((uint)name[i - 1] << 16) | name[i]);
            }
        }

        pairs.Sort();
        return [.. pairs];
    }

    private static string Singular(string word) => word switch
    {
        "biceps" or "triceps" => word,
        "ups" => "up",
        _ when word.Length > 4 && word.EndsWith("ies", StringComparison.Ordinal) => word[..^3] + "y",
        _ when word.Length > 4 && (word.EndsWith("sses", StringComparison.Ordinal) || word.EndsWith("ches", StringComparison.Ordinal) || word.EndsWith("shes", StringComparison.Ordinal)) => word[..^2],
        _ when word.Length > 3 && word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) => word[..^1],
        _ => word,
    };
}
