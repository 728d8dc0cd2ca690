using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Review;

/// <summary>Whether the plan goes anywhere: phases, easier weeks, and lines written for somebody rather than for anybody.</summary>
internal static class BlockFindings
{
    /// <summary>Weeks after which an open-ended plan is looked at again (common practice).</summary>
    private const int UsualReview = 4;

    internal static IEnumerable<Finding> Of(ReviewedWeek week, Block? block) =>
        [.. Phases(week, block), .. EasierWeeks(week, block), .. OneLevel(week), .. Days(week, block)];

    private static IEnumerable<Finding> Phases(ReviewedWeek week, Block? block)
    {
        if (block is null && week.Rebuilt.Length > 0)
        {
            yield return new Finding(
                FindingKind.NoPhases, Severity.Decide, "Nothing says how long this goes on: no phases, and no day on which it is looked at again.",
                "Weeks with a purpose and an easier one at the end of each phase are what a week grows in; an open end wants a review date (common practice).",
                [],
                new Remedy(
                    "Two phases, four and five weeks, each ending easier",
                    [],
                    new Block { Phases = [new("Settle in", Purpose.Growth, 4), new("Build", IsForStrength(week.Client) ? Purpose.Strength : Purpose.Growth, 5)] }));
        }
    }

    private static bool IsForStrength(ClientProfile client) => client.Goal is Goal.KeepStrength or Goal.BuildStrength or Goal.Power;

    private static IEnumerable<Finding> EasierWeeks(ReviewedWeek week, Block? block)
    {
        if (block is null)
        {
            yield break;
        }

        int longest = 0, running = 0;
        foreach (var one in BlockCalendar.Of(block, week.Client, 0))
        {
            running = one.Kind == WeekKind.Full ? running + 1 : 0;
            longest = Math.Max(longest, running);
        }

        int most = week.Marks.FullWeeksRunning;
        if (longest > most)
        {
            int every = Math.Min(UsualReview, most);
            yield return new Finding(
                FindingKind.NoEasierWeek, Severity.Note, $"{longest} full weeks running.",
                $"After {most} at most an easier one, half the sets at the same loads, lets the work arrive (common practice).",
                [],
                block.IsOpenEnded
                    ? new Remedy($"Look at it every {every} weeks", [], block with { ReviewEvery = every })
                    : new Remedy(
                        $"An easier week after at most {most - 1} full {(most == 2 ? "one" : "ones")}", [], block with { Phases = [.. block.Phases.SelectMany(p => Shorter(p, most))] }));
        }
    }

    /// <summary>Pieces of at most so many weeks, each ending easier.</summary>
    private static IEnumerable<Phase> Shorter(Phase phase, int most)
    {
        int pieces = (int)Math.Ceiling(phase.Weeks / (double)most);
        return Enumerable.Range(0, pieces).Select(i => phase with
        {
            Name = pieces == 1 ? phase.Name : $"{phase.Name} {i + 1}",
            Weeks = (phase.Weeks / pieces) + (i < phase.Weeks % pieces ? 1 : 0),
            EndsEasier = true,
        });
    }

    private static IEnumerable<Finding> Days(ReviewedWeek week, Block? block)
    {
        int days = week.Client.Days.Distinct().Count();
        if (days > 0 && week.Sessions.Length > days && block is not { Rhythm: Rhythm.EverySecondDay })
        {
            yield return new Finding(
                FindingKind.MoreSessionsThanDays, Severity.Mend, $"{week.Sessions.Length} sessions are written, {days} {(days == 1 ? "day is" : "days are")} there.",
                "Two sessions on one day are one long session. Spread the week over the days there are, or add days to the client.", []);
        }
    }

    private static IEnumerable<Finding> OneLevel(ReviewedWeek week)
    {
        ImmutableArray<WrittenLine> written = [.. week.Rebuilt.Select(l => l.Written)];
        if (written.Length >= week.Marks.SameDoseFrom
            && written.All(l => l.Intensity == Intensity.NotWritten && l.Purpose is null && l.Sets.SequenceEqual(written[0].Sets)))
        {
            yield return new Finding(
                FindingKind.OneLevelForAll, Severity.Note,
                $"All {written.Length} lines ask {written[0].Sets.Length} x {written[0].Sets[0].Middle}, whoever does them.",
                "One dose for everything is written for anybody: a squat and a curl do not run out together, nor do two clients.",
                [.. written.Select(l => l.Number)]);
        }
    }
}
