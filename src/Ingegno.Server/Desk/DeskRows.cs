using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Server.Practices;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>A day of this week.</summary>
/// <param name="Planned">A session is due on it.</param>
/// <param name="Done">Something was logged.</param>
public sealed record WeekDot(DateOnly Day, bool Planned, bool Done);

/// <summary>Latest estimates of a strength family, an exposure each, oldest first: 1 is where the log began.</summary>
public sealed record FamilyTrend(string Family, ImmutableArray<double> Factors);

/// <summary>A client on the Desk.</summary>
/// <param name="Proposals">What waits, worst first; empty when nothing does.</param>
/// <param name="PlanVersion">The version steps are taken on.</param>
/// <param name="Undo">The last decision that can be undone; null for none.</param>
public sealed record DeskRow(
    string Id, string Name, string Note, ImmutableArray<Proposal> Proposals, ImmutableArray<WeekDot> Week, ImmutableArray<FamilyTrend> Trends,
    DateOnly? LastTrained, long PlanVersion, LastDecision? Undo)
{
    internal ProposalKind? Worst => Proposals.IsEmpty ? null : Proposals[0].Kind;
}

/// <summary>A decision as shown for undoing.</summary>
public sealed record LastDecision(string Id, string Sentence, Answer Answer);

/// <summary>
/// Works out the rows of the Desk. A row is kept until anything it was worked out from changes, or the day does; forty clients then cost one
/// question to the file.
/// </summary>
internal sealed class DeskRows(
    DeskStamps stamps, Cases cases, Storage.Plans plans, Trainings trainings, FixtureReports reports, SetConflicts conflicts, DecisionRecords decisions, ClientLinks links,
    Database database, TimeProvider clock)
{
    private const int TrendLength = 12, DecisionDays = 60;

    /// <summary>Days begin on a quarter of an hour everywhere.</summary>
    private static readonly TimeSpan DaysBegin = TimeSpan.FromMinutes(15);

    private readonly ConcurrentDictionary<string, (string Stamp, DeskRow Row)> _known = new(StringComparer.Ordinal);

    private readonly ConcurrentDictionary<string, (string Stamp, ToldDesk Told)> _told = new(StringComparer.Ordinal);

    /// <summary>All rows, kept as they are sent while nothing at all was written and no day can have begun anywhere.</summary>
    internal async Task<ToldDesk> ToldAsync(string coach)
    {
        string stamp = $"{database.Writings} {clock.GetUtcNow().UtcTicks / DaysBegin.Ticks}";
        if (_told.TryGetValue(coach, out var told) && told.Stamp == stamp)
        {
            return told.Told;
        }

        var anew = new ToldDesk(await AllAsync(coach));
        _told[coach] = (stamp, anew);
        return anew;
    }

    /// <summary>Ranked by the worst decision that waits, then by name.</summary>
    internal async Task<IReadOnlyList<DeskRow>> AllAsync(string coach, CancellationToken stop = default)
    {
        var instant = clock.GetUtcNow();
        var now = await stamps.OfCoachAsync(coach);
        var rows = new DeskRow?[now.Count];
        await Parallel.ForEachAsync(Enumerable.Range(0, now.Count), stop, async (i, _) =>
        {
            var (client, stamp, zone) = now[i];
            stamp = $"{stamp} {ClientDay.Of(instant, zone).DayNumber}";
            if (_known.TryGetValue(client, out var known) && known.Stamp == stamp)
            {
                rows[i] = known.Row;
            }
            else if (await FindAsync(coach, client) is { } row)
            {
                _known[client] = (stamp, row);
                rows[i] = row;
            }
        });
        return [.. rows.OfType<DeskRow>().OrderBy(r => r.Worst ?? (ProposalKind)int.MaxValue).ThenBy(r => r.Name, StringComparer.CurrentCultureIgnoreCase)];
    }

    /// <summary>Null when the coach has no such client.</summary>
    internal async Task<DeskRow?> FindAsync(string coach, string client)
    {
        if (await CaseAsync(coach, client) is not ({ } about, var today))
        {
            return null;
        }

        var proposals = Proposals.For(about, Lines(about, today), today);
        var last = about.Decisions.FirstOrDefault(d => !d.Undone);
        return new(
            client, about.Profile.Name, about.Profile.Note, proposals, Week(about, today), Trends(about.Training.Digest, about.Rules.Catalogue),
            about.Training.Sets.Select(s => (DateOnly?)s.On).Max(), about.PlanVersion,
            last is null ? null : new(last.Id, last.Sentence, last.Answer));
    }

    /// <summary>With the client's day; null when the coach has no such client.</summary>
    internal async Task<(DeskCase About, DateOnly Today)?> CaseAsync(string coach, string client)
    {
        if (await cases.FindAsync(coach, client) is not { } about)
        {
            return null;
        }

        var today = about.Today(clock);
        var plan = (await plans.FindAsync(coach, client)).At(about.Place.Id);
        var sent = await links.LastSentAsync(coach, client);
        var (week, waiting) = ProgrammeReading.Weeks(plan.Value.Text, about.Practice, about.Profile.Unit);
        // A word put right in the middle of a week begins no other.
        DateOnly? taken = waiting.IsEmpty ? null
            : (await plans.TextsAsync(coach, client)).TakeWhile(t => ProgrammeReading.Weeks(t.Text, about.Practice, about.Profile.Unit).Now == week).Select(t => (DateOnly?)t.On).LastOrDefault();
        var decided = await decisions.OfClientAsync(coach, client, clock.GetUtcNow().AddDays(-DecisionDays));
        return (
            new(
                about.Profile, about.ClientPlaces, about.Rules, plan.Value, plan.Version, await trainings.OfClientAsync(coach, client, today, about.Rules.Catalogue),
                await reports.OfClientAsync(coach, client),
                [.. (await conflicts.OfClientAsync(coach, client)).Select(c => new SetConflict(c.Id, c.Arrived, c.Standing, c.By, about.DayOf(c.At), c.StandingBy))],
                [.. decided.Select(d => new Decision(d.Id, about.DayOf(d.At), d.About, d.Sentence, d.Answer, d.Undone))],
                sent is null ? null : about.DayOf(sent.SentAt), sent?.PlanVersion)
            {
                Week = taken is { } since ? new(week, waiting[0], since) : null,
                LinkEnds = await links.LastEndAsync(coach, client) is { } ends ? about.DayOf(ends) : null,
                Unread = sent?.PlanVersion == plan.Version ? [] : ProgrammeReading.Unread(plan.Value.Text, about.Practice, about.Profile.Unit),
            },
            today);
    }

    internal static ImmutableArray<LineProgress> Lines(DeskCase about, DateOnly today) =>
        PlanProgress.Everywhere(about.Profile, about.Home, about.Places, about.Rules, about.Plan, about.Training, today);

    private static ImmutableArray<WeekDot> Week(DeskCase about, DateOnly today)
    {
        var monday = BlockCalendar.MondayOf(today);
        var done = about.Training.Sets.Select(s => s.On).ToHashSet();
        var plan = about.Plan;
        var due = plan.Sessions.IsEmpty ? []
            : plan.Block is { Starts: { } starts } block
            ? BlockCalendar.Of(block, about.Profile, plan.Sessions.Length).SelectMany(w => w.Sessions).Select(s => s.On).OfType<DateOnly>().ToHashSet()
            : Enumerable.Range(0, 7).Select(monday.AddDays).Where(d => about.Profile.Days.Contains(d.DayOfWeek)).Take(plan.Sessions.Length).ToHashSet();
        return [.. Enumerable.Range(0, 7).Select(monday.AddDays).Select(d => new WeekDot(d, due.Contains(d), done.Contains(d)))];
    }

    /// <summary>Of each family the exercise logged most.</summary>
    private static ImmutableArray<FamilyTrend> Trends(Digest digest, Catalogue catalogue) =>
    [
        .. from family in ReachFamily.All
           let exposures = digest.Exposures
               .Where(e => catalogue.Find(e.Exercise) is { } exercise && family.Patterns.Contains(exercise.Pattern))
               .MaxBy(e => e.Factors.Length)
           where exposures is { Factors.Length: > 1 }
           select new FamilyTrend(family.Name, [.. Plateau.Smoothed(exposures.Factors).TakeLast(TrendLength).Select(f => Math.Round(f, 3))]),
    ];
}
