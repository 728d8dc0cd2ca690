using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Quantities;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>A line that opens a week of several: "Week 2", "# Wk 3: volume", "Week one, Monday", "W2D1", "2nd week", "Block 2, week 1"; or some of them at once, "Weeks 5-8".</summary>
/// <param name="Order">By block and week; the same for lines that open the same.</param>
/// <param name="Name">"Week 2", "Weeks 5 to 8", "Block 2, week 1".</param>
/// <param name="Weeks">How many it stands for.</param>
/// <param name="Title">What stands beside it: a session, or words on the week; empty for nothing.</param>
internal sealed partial record WeekHeading(int Order, string Name, int Weeks, string Title)
{
    private const int MostWeeks = 100;

    private static readonly char[] Around = [' ', ':', '.', ',', '|', '-', '\u2013', '\u2014', '*'];

    private static readonly string[] Numbers = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"];

    /// <summary>Null where the line opens no week; one with a dose is a line.</summary>
    internal static WeekHeading? Of(string line)
    {
        if (Heading().Match(line) is not { Success: true } match || Dose().IsMatch(match.Groups["title"].Value))
        {
            return null;
        }

        int first = Number(match.Groups["week"].Value), last = match.Groups["through"] is { Success: true } through ? Number(through.Value) : first;
        if (last < first)
        {
            return null;
        }

        string name = first == last ? $"week {first}" : $"weeks {first} to {last}";
        bool inBlock = match.Groups["block"].Success;
        int block = inBlock ? Number(match.Groups["number"].Value) : 0;
        name = inBlock ? $"{match.Groups["block"].Value.ToLowerInvariant()} {block}, {name}" : name;
        // In brackets stands a word on the week, not the name of a day.
        string beside = match.Groups["title"].Value.Trim(Around);
        string title = $"{match.Groups["day"].Value.Trim(Around)} {(beside.StartsWith('(') ? "" : beside)}".Trim();
        return new((block * MostWeeks) + first, PlainWords.Opening(name), last - first + 1, title);
    }

    private static int Number(string written) =>
        Array.FindIndex(Numbers, n => n.Equals(written, StringComparison.OrdinalIgnoreCase)) is >= 0 and var at ? at + 1 : int.Parse(written, NumberStyles.None, CultureInfo.InvariantCulture);

    private const string Counted = @"(?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)";

    private const string Begins = @"^[\s#*]*(?:(?<block>block|phase|cycle|mesocycle)\s*(?<number>" + Counted + @")\b\W*)?"
        + @"(?<day>(?:(?:mon|tues?|wed(?:nes)?|thu(?:rs?)?|fri|sat(?:ur)?|sun)(?:day)?|(?:day|session|workout)\s*\w{1,2})\b\W*)?";

    private const string Behind = @"(?<title>(?:\W.*)?)$";

    [GeneratedRegex(
        Begins + @"(?:weeks?|wks?)\.?\s*(?<week>" + Counted + @")(?:\s*(?:-|\u2013|to|&|and)\s*(?<through>" + Counted + @"))?\b(?!\s*x)(?:\s*of\s*\d{1,2})?" + Behind
        + "|" + Begins + @"(?<week>\d{1,2})(?:st|nd|rd|th)\s+week" + Behind
        + @"|^[\s#*]*w(?<week>\d{1,2})(?:\s*[-\u2013]\s*(?<through>\d{1,2}))?(?<title>\s*[:,|\u2013\u2014-]?\s*(?:(?:d|day|session|workout)\s*\d)?\s*:?\s*)$",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Heading();

    [GeneratedRegex(@"\d\s*[x\u00d7*]\s*\d|[@%]|\d/\d+/\d|\d\s*(?:kg|lbs?|reps?|sets?|s|sec|rpe|rir)\b|\b(?:rpe|rir)\s*\d", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Dose();
}
