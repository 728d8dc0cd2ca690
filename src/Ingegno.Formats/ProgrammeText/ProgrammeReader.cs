using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>A text as read: the sessions found and what could not be understood. Lines are never dropped.</summary>
public sealed record ReadProgramme(WrittenProgramme Programme, ImmutableArray<TextProblem> Problems);

/// <summary>
/// Reads programmes as coaches type them; the notation is in docs/formats.md.
/// <code>
/// Saturday, legs and press
/// A1 Front squat 4x6 @ 72.5 kg, rest 3:00
/// A2 Push press 5 x 4 80 % tempo 2-0-X-1
/// Leg curl 10/10/8 RPE 8
/// </code>
/// </summary>
public static class ProgrammeReader
{
    /// <summary>Longest text read, in characters.</summary>
    public const int MostCharacters = 100_000;

    /// <summary>Longest line read, in characters.</summary>
    public const int LongestLine = LineReader.LongestLine;

    /// <summary>No name of an exercise is longer, in characters.</summary>
    private const int LongestName = 80;

    /// <summary>Stands before the line where a letter is still to be given.</summary>
    private const char Unlettered = '+';

    /// <summary>Most exercise lines read, of all and of one session.</summary>
    public const int MostLines = 300, MostInSession = 60;

    /// <summary>Whether a line of the text opens a week; told without reading it.</summary>
    public static bool HasWeeks(string text) => text.ReplaceLineEndings("\n").Split('\n').Any(l => WeekHeading.Of(WithoutComment(l)) is not null);

    /// <param name="text">Any text; too long a one gives one problem and no sessions.</param>
    /// <param name="catalogue">For the exercise names.</param>
    /// <param name="unit">Unit of a load written without one.</param>
    /// <param name="names">Of a practice, beside the trade's; null for the trade's alone.</param>
    public static ReadProgramme Read(string text, Catalogue catalogue, MassUnit unit, NameReader? names = null)
    {
        names ??= NameReader.Shipped;
        if (text.Length > MostCharacters)
        {
            return Refused($"The text has {text.Length:N0} characters. Paste at most {MostCharacters:N0}: one block, or a few sessions.");
        }

        var problems = ImmutableArray.CreateBuilder<TextProblem>();
        var sessions = ImmutableArray.CreateBuilder<WrittenSession>();
        var lines = new List<WrittenLine>();
        var drills = new List<TypedDrill>();
        var weeks = new WeeksOfText();
        string title = "";
        int further = 0;
        bool afterGap = true;
        string[] typed = text.ReplaceLineEndings("\n").Split('\n');
        for (int i = 0; i < typed.Length; i++)
        {
            string line = WithoutComment(typed[i]);
            if (WeekHeading.Of(line) is { } week)
            {
                CloseSession();
                weeks.Open(week, typed[i], sessions.Count > 0);
                title = week.Title;
                afterGap = true;
                continue;
            }

            if (weeks.Waits(typed[i]))
            {
                continue;
            }

            if (string.IsNullOrWhiteSpace(line))
            {
                afterGap = true;
                continue;
            }

            var read = Exercises(line, i + 1);
            if (read.Lines.Length == 0 && IsHeading(line, afterGap, names))
            {
                CloseSession();
                title = line.Trim().TrimStart('#').TrimEnd(':').Trim();
            }
            else if (read.Lines is [var only] && DrillOf(only) is { } drill)
            {
                problems.AddRange(read.Problems.Where(p => p.Meant.IsDefaultOrEmpty && !p.IsDoubt));
                drills.Add(new(drill.Id, only with { Exercise = null }, lines.Count > 0));
            }
            else
            {
                problems.AddRange(read.Problems);
                lines.AddRange(read.Lines);
            }

            afterGap = false;
            if (lines.Count > MostInSession)
            {
                return Refused($"More than {MostInSession} exercise lines in one session: give the days headings of their own, such as \"Monday\".");
            }

            if (lines.Count + sessions.Sum(s => s.Lines.Length) > MostLines)
            {
                return Refused($"More than {MostLines} exercise lines. Paste one block, or a few sessions, at a time.");
            }
        }

        CloseSession();
        if (sessions.Count == 0 && problems.Count == 0)
        {
            problems.Add(new(1, 1, 0, "Nothing to rebuild yet. Type a line such as: Front squat 4 x 6 @ 72.5 kg, rest 3:00"));
        }

        return new(new WrittenProgramme(sessions.ToImmutable()) { Week = weeks.Now, Waiting = weeks.Waiting }, problems.ToImmutable());

        // Lines behind one that holds several exercises are numbered on, so that each number stands once.
        (ImmutableArray<WrittenLine> Lines, ImmutableArray<TextProblem> Problems) Exercises(string line, int at)
        {
            string plain = LineText.Plain(line);
            var parts = line.Length > LineReader.LongestLine ? [new SharedPart(line, false)]
                : SharedLine.Parts(plain, LineText.AfterListMark(plain), text => LineReader.Read(text, at, catalogue, unit, names).Line is not null, names);
            if (parts.Length == 1)
            {
                var one = LineReader.Read(line, at, catalogue, unit, names);
                return (one.Line is null ? [] : [one.Line with { Number = at + further, TextLine = at }], one.Problems);
            }

            LineReader.Result[] read = [.. parts.Select(p => LineReader.Read(p.Text, at, catalogue, unit, names))];
            ImmutableArray<WrittenLine> found =
            [
                .. read.Zip(parts, (r, p) => p.TakesSets ? r.Line! with { Rest = null, Intensity = new Intensity(Reserve: r.Line.Intensity.Reserve) } : r.Line!)
                    .Select((l, k) => l with
                    {
                        Number = at + further + k,
                        TextLine = at,
                        Text = string.Join(' ', l.Text.Split(' ', StringSplitOptions.RemoveEmptyEntries)),
                        Group = l.Group ?? (parts[k].InTurn ? $"{Unlettered}{at}" : null),
                        PlaceInGroup = l.PlaceInGroup > 0 ? l.PlaceInGroup : parts[k].InTurn ? k + 1 : 0,
                    }),
            ];
            further += parts.Length - 1;
            return (found, [.. read.Select((r, k) => (r, k)).SelectMany(x => x.r.Problems.Where(p => x.k == 0 || !parts[x.k].TakesSets || p.Column <= line.Length))]);
        }

        // The name of an exercise goes before that of a drill, and so does what is sure.
        Drill? DrillOf(WrittenLine line) =>
            line.Exercise is null || names.Read(line.ExerciseName) is { Sureness: not NameSureness.Known } ? catalogue.DrillNamed(line.ExerciseName) : null;

        void CloseSession()
        {
            // Drills alone make no session: they are lines nothing is known of, and that is said.
            if (lines.Count == 0)
            {
                lines.AddRange(drills.Select(d => d.Line));
                problems.AddRange(drills.Select(d => new TextProblem(
                    d.Line.TextLine, 1, 0, $"{d.Line.ExerciseName} is a drill, and a session of drills alone is not planned yet: add an exercise to it.", IsDoubt: true)));
                drills.Clear();
            }

            if (lines.Count > 0)
            {
                sessions.Add(new WrittenSession(title.Length > 0 ? title : $"Session {sessions.Count + 1}", [.. Lettered(lines)]) { Drills = [.. drills] });
                lines.Clear();
                drills.Clear();
            }
        }
    }

    /// <summary>Groups without a letter get the next one free in the session.</summary>
    private static IEnumerable<WrittenLine> Lettered(List<WrittenLine> lines)
    {
        var taken = lines.Select(l => l.Group).OfType<string>().ToHashSet(StringComparer.Ordinal);
        var letters = new Dictionary<string, string?>(StringComparer.Ordinal);
        foreach (string group in taken.Where(g => g[0] == Unlettered).OrderBy(g => g.Length).ThenBy(g => g, StringComparer.Ordinal).ToArray())
        {
            string? letter = Enumerable.Range('A', 26).Select(c => ((char)c).ToString()).FirstOrDefault(taken.Add);
            letters[group] = letter;
        }

        return lines.Select(l => l.Group is { } group && letters.TryGetValue(group, out string? letter)
            ? l with { Group = letter, PlaceInGroup = letter is null ? 0 : l.PlaceInGroup }
            : l);
    }

    private static ReadProgramme Refused(string message) =>
        new(new WrittenProgramme([]), [new TextProblem(1, 1, 0, message)]);

    private static string WithoutComment(string line)
    {
        int at = line.IndexOf("//", StringComparison.Ordinal);
        return (at < 0 ? line : line[..at]).TrimEnd();
    }

    /// <summary>A line without sets is a heading when marked as one or named after a day, or when it opens a block of lines and is no exercise that lost its sets.</summary>
    private static bool IsHeading(string line, bool afterGap, NameReader names) =>
        line.TrimStart().StartsWith('#') || line.TrimEnd().EndsWith(':') || DayHeading.Is(line.Trim())
        || (afterGap && (line.Length > LongestName || names.Read(line) is not { Sureness: not NameSureness.Guessed }));
}
