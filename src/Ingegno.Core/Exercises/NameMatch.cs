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
    public static double Likeness(string a, string b)
    {
        var pairsOfA = Pairs(a);
        var pairsOfB = Pairs(b);
        if (pairsOfA.Count + pairsOfB.Count == 0)
        {
            return 0;
        }

        int total = pairsOfA.Count + pairsOfB.Count;
        int shared = pairsOfA.Count(pair => pairsOfB.Remove(pair));
        return 2.0 * shared / total;
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

    private static List<string> Pairs(string name) =>
        [.. name.Split(' ').SelectMany(w => Enumerable.Range(0, Math.Max(0, w.Length - 1)).Select(i => w.Substring(i, 2)))];
}
