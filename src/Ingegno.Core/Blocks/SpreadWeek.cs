using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Blocks;

/// <summary>Weekly sets of a muscle before and after, and how often it is trained.</summary>
public sealed record SpreadMuscle(MuscleGroup Group, double SetsBefore, int TimesBefore, double SetsAfter, double TimesAfter);

/// <summary>A week over other days.</summary>
/// <param name="Text">In the notation of written programmes.</param>
/// <param name="Choices">What was decided by hand, on the lines as they now stand; counts of sets follow the text.</param>
/// <param name="Crowded">Muscles that still come twice within 48 hours; empty where none does.</param>
public sealed record SpreadOutcome(
    string Text, ImmutableArray<LineChoice> Choices, ImmutableArray<SpreadMuscle> Muscles, ImmutableArray<MuscleGroup> Crowded);

/// <summary>
/// A changed weekly template: the written weekly sets spread over other days, 48 hours apart for a muscle where the days allow. Once a week
/// to twice is itself a step of progression.
/// </summary>
public static partial class SpreadWeek
{
    public const int MostSessions = 6;

    /// <summary>A line is split only into pieces of at least this many sets (coach).</summary>
    private const int LeastSets = 2;

    /// <summary>Sessions every second day over two that take turns: seven halves a week.</summary>
    private const double EverySecondDay = 3.5;

    /// <param name="sessions">How many the new week has, 1 to 6; two that take turns where every second day is trained.</param>
    /// <param name="choices">Made by hand on the week as written.</param>
    public static SpreadOutcome Over(
        WrittenProgramme week, int sessions, bool everySecondDay, ClientProfile client, Catalogue catalogue, IReadOnlyList<LineChoice>? choices = null)
    {
        int count = everySecondDay ? 2 : sessions;
        double timesEach = everySecondDay ? EverySecondDay / count : 1;
        int[] days = DaysOf(count, everySecondDay, client);
        Unit[] units = [.. week.Sessions.SelectMany(s => s.Lines.GroupBy(l => l.Group ?? $"+{l.Number}").Select(g => new Unit([.. g], catalogue)))];
        var placed = Enumerable.Range(0, count).Select(_ => new List<(Unit Unit, double Share)>()).ToArray();
        foreach (var unit in units)
        {
            // A line trained in two sessions of a rotation comes round oftener than once a week: its sets are fewer each time.
            int times = Math.Clamp((int)(unit.Sets / timesEach / LeastSets), 1, Math.Min(count, MostTimes(days)));
            foreach (int session in Chosen(unit, times, placed, days))
            {
                placed[session].Add((unit, 1.0 / times / timesEach));
            }
        }

        var lines = Lines(week, placed, everySecondDay).ToArray();
        return new(
            string.Concat(lines.Select(l => l.Text + "\n")),
            [.. Kept(week, lines, choices ?? [])],
            [.. Muscles(week, placed, timesEach, catalogue)],
            [.. Enum.GetValues<MuscleGroup>().Where(g => g != MuscleGroup.Small && IsCrowded(g, placed, days))]);
    }

    /// <summary>Lines done back to back stay together.</summary>
    private sealed record Unit(ImmutableArray<WrittenLine> Lines, Catalogue Catalogue)
    {
        /// <summary>Of the line with fewest; a line whose sets differ is not split.</summary>
        public int Sets { get; } = Lines.Min(l => SetCount().IsMatch(l.Text) ? l.Sets.Length : 1);

        public ImmutableHashSet<MuscleGroup> Groups { get; } =
            [.. Lines.SelectMany(l => CountsOf(l, Catalogue)).Where(c => c.Value >= MuscleGroups.PrimeMover).Select(c => c.Key)];
    }

    private static ImmutableDictionary<MuscleGroup, double> CountsOf(WrittenLine line, Catalogue catalogue) =>
        line.Exercise is { } id && catalogue.Find(id) is { } exercise
            ? MuscleGroups.CountsOf(exercise.Muscles)
            : ImmutableDictionary<MuscleGroup, double>.Empty;

    /// <summary>Days of a week from 0; the client's own where there are enough, else as evenly as they go.</summary>
    private static int[] DaysOf(int count, bool everySecondDay, ClientProfile client)
    {
        int[] own = [.. client.Days.Distinct().Select(d => ((int)d + 6) % 7).Order()];
        return everySecondDay ? [.. Enumerable.Range(0, count).Select(i => i * 2)]
            : own.Length >= count ? [.. own.Take(count)]
            : [.. Enumerable.Range(0, count).Select(i => i * 7 / count)];
    }

    /// <summary>How often a muscle can come with 48 hours between, week after week.</summary>
    private static int MostTimes(int[] days)
    {
        int times = 0, last = -2;
        foreach (int day in days)
        {
            if (day - last >= 2 && (times == 0 || days[0] + 7 - day >= 2))
            {
                times++;
                last = day;
            }
        }

        return Math.Max(1, times);
    }

    /// <summary>The sessions that take a unit: those with least of its muscles near by, then with least work.</summary>
    private static IEnumerable<int> Chosen(Unit unit, int times, List<(Unit Unit, double Share)>[] placed, int[] days)
    {
        var chosen = new List<int>();
        for (int i = 0; i < times; i++)
        {
            chosen.Add(Enumerable.Range(0, placed.Length).Where(s => !chosen.Contains(s))
                .OrderBy(s => chosen.Count(c => Near(days[c], days[s])))
                .ThenBy(s => Enumerable.Range(0, placed.Length).Where(o => o != s && Near(days[o], days[s])).Sum(o => placed[o].Count(p => p.Unit.Groups.Overlaps(unit.Groups))))
                .ThenBy(s => placed[s].Sum(p => p.Unit.Lines.Sum(l => l.Sets.Length) * p.Share))
                .ThenBy(s => s)
                .First());
        }

        return chosen.Order();
    }

    /// <summary>Less than 48 hours apart, round the week.</summary>
    private static bool Near(int a, int b) => Math.Abs(a - b) is 0 or 1 or 6;

    private static bool IsCrowded(MuscleGroup group, List<(Unit Unit, double Share)>[] placed, int[] days) =>
        Enumerable.Range(0, placed.Length).Any(a => Enumerable.Range(a + 1, placed.Length - a - 1).Any(b =>
            Near(days[a], days[b]) && placed[a].Any(p => p.Unit.Groups.Contains(group)) && placed[b].Any(p => p.Unit.Groups.Contains(group))));

    private static int SetsOf(WrittenLine line, double share) => Math.Max(1, (int)Math.Round(line.Sets.Length * share, MidpointRounding.AwayFromZero));

    /// <summary>The new text line by line; a heading, or nothing between sessions, was no line.</summary>
    private static IEnumerable<(string Text, WrittenLine? Was)> Lines(WrittenProgramme week, List<(Unit Unit, double Share)>[] placed, bool everySecondDay)
    {
        for (int s = 0; s < placed.Length; s++)
        {
            string title = everySecondDay ? $"{(char)('A' + s)}" : placed.Length == week.Sessions.Length ? week.Sessions[s].Title : $"Day {s + 1}";
            if (s > 0)
            {
                yield return ("", null);
            }

            yield return ($"# {title}", null);
            foreach (var (unit, share) in placed[s].OrderBy(p => p.Unit.Lines[0].Number))
            {
                foreach (var line in unit.Lines)
                {
                    yield return (WithSets(line, SetsOf(line, share)), line);
                }
            }
        }
    }

    private static IEnumerable<LineChoice> Kept(WrittenProgramme week, (string Text, WrittenLine? Was)[] lines, IReadOnlyList<LineChoice> choices)
    {
        var made = new Choices(week);
        return lines.Select((l, i) => l.Was is { } was && made.For(was, choices) is { } choice ? choice with { Line = i + 1, Text = l.Text, Sets = null } : null)
            .OfType<LineChoice>();
    }

    private static string WithSets(WrittenLine line, int sets) => SetCount().Replace(
        line.Text, m => string.Create(CultureInfo.InvariantCulture, $"{sets}{m.Groups["times"].Value}"), 1);

    /// <summary>"4 x", "2-3 x", "3 sets of".</summary>
    [GeneratedRegex(@"\b(?:\d+\s*-\s*)?\d+(?<times>\s*(?:[x×*]|sets?\b))", RegexOptions.IgnoreCase)]
    private static partial Regex SetCount();

    private static IEnumerable<SpreadMuscle> Muscles(
        WrittenProgramme week, List<(Unit Unit, double Share)>[] placed, double timesEach, Catalogue catalogue)
    {
        foreach (var group in Enum.GetValues<MuscleGroup>().Where(g => g != MuscleGroup.Small))
        {
            double before = week.Sessions.Sum(s => s.Lines.Sum(l => Of(l, l.Sets.Length)));
            if (before > 0)
            {
                yield return new(
                    group, before, week.Sessions.Count(s => s.Lines.Any(Trains)),
                    placed.Sum(s => s.Sum(p => p.Unit.Lines.Sum(l => Of(l, SetsOf(l, p.Share))))) * timesEach,
                    placed.Count(s => s.Any(p => p.Unit.Groups.Contains(group))) * timesEach);
            }

            double Of(WrittenLine line, int sets) => CountsOf(line, catalogue).Where(c => c.Key == group).Sum(c => c.Value) * sets;

            bool Trains(WrittenLine line) => CountsOf(line, catalogue).Any(c => c.Key == group && c.Value >= MuscleGroups.PrimeMover);
        }
    }
}
