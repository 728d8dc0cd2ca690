using System.Globalization;
using System.Text.RegularExpressions;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>A line that opens a week of several: "Week 2", "# Wk 3: volume", "Week 1, Monday", "W2D1".</summary>
/// <param name="Number">As written.</param>
/// <param name="Title">What stands behind it: a session, or words on the week; empty for nothing.</param>
internal sealed partial record WeekHeading(int Number, string Title)
{
    private static readonly char[] Around = [' ', ':', '.', ',', '|', '-', '\u2013', '\u2014', '*'];

    /// <summary>Null where the line opens no week. "Weeks 1-4" is one programme for all of them, and a line with a dose is a line.</summary>
    internal static WeekHeading? Of(string line) =>
        Heading().Match(line) is { Success: true } match && match.Groups["title"].Value is var title && !Dose().IsMatch(title)
            ? new(int.Parse(match.Groups["week"].ValueSpan, NumberStyles.None, CultureInfo.InvariantCulture), title.Trim(Around))
            : null;

    [GeneratedRegex(
        @"^[\s#*]*(?:week|wk)\.?\s*(?<week>\d{1,2})(?!\d|\s*[-\u2013]\s*\d|\s*x)(?:\s*of\s*\d{1,2})?(?<title>(?:\W.*)?)$"
        + @"|^[\s#*]*w(?<week>\d{1,2})(?<title>\s*[:,|\u2013\u2014-]?\s*(?:(?:d|day|session|workout)\s*\d)?\s*:?\s*)$",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Heading();

    [GeneratedRegex(@"\d\s*[x\u00d7*]\s*\d|[@%]|\d/\d+/\d|\d\s*(?:kg|lbs?|reps?|sets?|s|sec|rpe|rir)\b|\b(?:rpe|rir)\s*\d", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Dose();
}
