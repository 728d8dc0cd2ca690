using System.Text;

namespace Ingegno.Core.Quantities;

/// <summary>Names of the trade as a coach says them: <c>DeepSquat</c> is "deep squat".</summary>
internal static class PlainWords
{
    internal static string Of(Enum value)
    {
        var words = new StringBuilder();
        foreach (char c in value.ToString())
        {
            words.Append(char.IsUpper(c) && words.Length > 0 ? " " : "").Append(char.ToLowerInvariant(c));
        }

        return words.ToString();
    }
}
