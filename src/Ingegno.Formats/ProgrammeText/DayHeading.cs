using System.Collections.Frozen;
using System.Text.RegularExpressions;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Words that name a training day wherever they stand: "Monday", "Thu, upper body", "Day 2", "Session B".</summary>
internal static partial class DayHeading
{
    private const int Longest = 40;

    private static readonly FrozenSet<string> Days = new[]
    {
        "monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday", "mon", "tue", "tues", "wed", "weds", "thu", "thur", "thurs", "fri", "sat", "sun",
    }.ToFrozenSet(StringComparer.Ordinal);

    internal static bool Is(string text) =>
        text.Length is > 0 and < Longest && text.Split(' ', ',', ':', '-')[0].ToLowerInvariant() is var first
        && (Days.Contains(first) || ((first is "day" or "session" or "workout") && text.Any(char.IsLetterOrDigit) && text.Length > first.Length) || Numbered().IsMatch(text));

    [GeneratedRegex(@"^(day|session|workout)\s*[0-9a-d]$", RegexOptions.IgnoreCase)]
    private static partial Regex Numbered();
}
