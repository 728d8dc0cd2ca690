using System.Text;

namespace Ingegno.Core.Quantities;

/// <summary>Names of the trade as a coach says them: <c>DeepSquat</c> is "deep squat".</summary>
public static class PlainWords
{
    /// <summary>Words that keep their capital inside a sentence.</summary>
    private static readonly string[] Proper = ["Romanian", "Zercher"];

    /// <summary>A name of the code in words.</summary>
    public static string Of(Enum value)
    {
        var words = new StringBuilder();
        foreach (char c in value.ToString())
        {
            words.Append(char.IsUpper(c) && words.Length > 0 ? " " : "").Append(char.ToLowerInvariant(c));
        }

        return words.ToString();
    }

    /// <summary>Words as they open a sentence; nothing stays nothing.</summary>
    public static string Opening(string words) => words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];

    /// <summary>A name from the catalogue as it stands inside a sentence: "Push-up" is "push-up", "Romanian deadlift" stays.</summary>
    public static string InSentence(string name) =>
        name.Length == 0 || Proper.Any(word => name.StartsWith(word, StringComparison.Ordinal)) ? name : char.ToLowerInvariant(name[0]) + name[1..];
}
