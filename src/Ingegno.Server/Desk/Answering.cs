using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Core.Safety;
using Ingegno.Server.Bench;
using Ingegno.Server.Clients;
using Ingegno.Server.Links;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>What came of an answer: a problem in words, or null when it was done.</summary>
internal sealed record Answered(string? Problem, bool Stale = false);

/// <summary>Does what a coach decided, keeps how things stood before, and takes it back.</summary>
internal sealed class Answering(
    Storage.Clients clients, Places places, Storage.Practices practices, Plans plans, SessionNotes notes, FixtureReports reports,
    DecisionRecords decisions, Sender sender, Cases cases, TimeProvider clock)
{
    internal async Task<Answered> TakeAsync(string coach, string coachName, DeskCase about, Proposal proposal, ImmutableArray<LineProgress> lines)
    {
        switch (proposal.Kind)
        {
            case ProposalKind.Unsent:
                var against = await sender.SendAsync(coach, coachName, (await cases.FindAsync(coach, about.Client.Id))!);
                return against.IsEmpty ? await RecordAsync(coach, about, proposal, Answer.Taken, null, null) : new(string.Join(' ', against));
            case ProposalKind.Pain or ProposalKind.PainAgain:
                return await SwapAsync(coach, about, proposal, Subjects.Lines(proposal, lines).First());
            case ProposalKind.FixtureReport:
                return await JudgeAsync(coach, coachName, about, proposal, CheckVerdict.Passed);
            case ProposalKind.StillHeld:
                string exercise = proposal.Subject.Split(' ')[1];
                var before = new Snapshot { Cleared = exercise, ClearedThrough = about.Training.ClearedThrough(exercise) };
                await notes.ClearAsync(coach, about.Client.Id, exercise, Today.ByThe(clock));
                return await RecordAsync(coach, about, proposal, Answer.Taken, before, before with { ClearedThrough = Today.ByThe(clock) });
            case ProposalKind.Missed when about.Plan.Value.Block is { Starts: { } starts } block:
                var shifted = block with { Starts = starts.AddDays(7) };
                return await SavePlanAsync(
                    coach, about, proposal, about.Plan.Value with { Block = shifted }, new() { Weeks = new(block) }, new() { Weeks = new(shifted) });
            case ProposalKind.Deload:
                var plain = about.Plan.Value;
                var eased = Deload.In(plain.Block, DateOnly.ParseExact(proposal.Subject.Split(';')[0].Split(' ')[1], "yyyy-MM-dd", CultureInfo.InvariantCulture));
                return await SavePlanAsync(coach, about, proposal, plain with { Block = eased }, new() { Weeks = new(plain.Block) }, new() { Weeks = new(eased) });
            case ProposalKind.Crutch:
                return await RecordAsync(coach, about, proposal, Answer.Taken, null, null);
            default:
                var (plan, was, now) = TakenSteps.In(about.Plan.Value, [.. Subjects.Lines(proposal, lines).Where(l => l.Step?.Next is not null)]);
                return await SavePlanAsync(coach, about, proposal, plan, was, now);
        }
    }

    internal async Task<Answered> RefuseAsync(string coach, string coachName, DeskCase about, Proposal proposal, Answer answer) =>
        proposal.Kind == ProposalKind.FixtureReport && answer == Answer.Refused
            ? await JudgeAsync(coach, coachName, about, proposal, CheckVerdict.NotPassed)
            : await RecordAsync(coach, about, proposal, answer, null, null);

    /// <summary>
    /// The joint is marked sore and the line rebuilt around it, or left out where nothing else stands in; what was reached on other lines stays.
    /// </summary>
    private async Task<Answered> SwapAsync(string coach, DeskCase about, Proposal proposal, LineProgress line)
    {
        var worst = line.Logs.Where(l => l.Pain >= PainHold.Holds).MaxBy(l => l.On);
        var joint = worst?.PainAt ?? Catalogue.Shipped[line.Prescription.Exercise].Joints.OrderByDescending(j => j.Level).Select(j => (Joint?)j.Joint).FirstOrDefault();
        ImmutableArray<Soreness> sore = joint is { } place
            ? [.. about.Profile.SoreJoints.Where(s => s.Joint != place), new Soreness(place, Math.Max(worst?.Pain ?? 0, about.Profile.PainAt(place)))]
            : about.Profile.SoreJoints;
        var profile = about.Profile with { SoreJoints = sore };
        var old = about.Plan.Value;
        var practice = (await practices.FindAsync(coach)).Value;
        ImmutableArray<Core.Substitution.LineChoice> choices = [.. old.Choices.Where(c => c.Exercise != line.Prescription.Exercise)];
        var rebuilt = BenchEndpoints.Planned(
            old.Text, choices, new Case(about.Client with { Profile = profile }, about.Place!, practice), await places.AllAsync(coach, about.Client.Id), clock) with
        {
            Block = old.Block,
        };
        var plan = rebuilt with
        {
            Sessions = Kept(old.Sessions, rebuilt.Sessions, line),
            Elsewhere = [.. rebuilt.Elsewhere.Select(e => old.Elsewhere.FirstOrDefault(o => o.Place == e.Place) is { } was ? e with { Sessions = Kept(was.Sessions, e.Sessions, line) } : e)],
        };
        bool stands = plan.At(line.Place?.Id ?? "").Sessions.SelectMany(s => s.Lines).FirstOrDefault(l => l.Line == line.Line)?.Prescription is { } next
            && next.Exercise != line.Prescription.Exercise;
        plan = plan with { Sessions = Without(plan.Sessions, line), Elsewhere = [.. plan.Elsewhere.Select(e => e with { Sessions = Without(e.Sessions, line) })] };
        if (plan.Sessions.IsEmpty)
        {
            return new("Nothing else stands in for this line, and without it nothing is left to train: choose on the bench what else it may be.");
        }

        var saved = await clients.SaveAsync(coach, about.Client.Id, profile, about.Client.Version);
        return saved.Saved
            ? await SavePlanAsync(
                coach, about, stands ? proposal : proposal with { Sentence = $"{proposal.Sentence} Nothing else stands in here: it is left out until the bench finds something." }, plan,
                new() { Sessions = old.Sessions, Elsewhere = old.Elsewhere, SoreJoints = about.Profile.SoreJoints },
                new() { SoreJoints = sore })
            : new(null, Stale: true);
    }

    /// <summary>Without the line where nothing else stands in for what hurts; a session that has nothing else is left out with it.</summary>
    private static ImmutableArray<PlannedSession> Without(ImmutableArray<PlannedSession> sessions, LineProgress hurt) =>
    [
        .. sessions
            .Select(s => s with { Lines = [.. s.Lines.Where(l => l.Line != hurt.Line || (l.Prescription is { } done && done.Exercise != hurt.Prescription.Exercise))] })
            .Where(s => !s.Lines.IsEmpty),
    ];

    /// <summary>Lines whose exercise did not change keep their counts, loads and start.</summary>
    private static ImmutableArray<PlannedSession> Kept(ImmutableArray<PlannedSession> old, ImmutableArray<PlannedSession> rebuilt, LineProgress swapped)
    {
        var before = old.SelectMany(s => s.Lines).GroupBy(l => l.Line).ToDictionary(g => g.Key, g => g.First());
        return
        [
            .. rebuilt.Select(s => s with
            {
                Lines =
                [
                    .. s.Lines.Select(l => l.Line != swapped.Line && before.TryGetValue(l.Line, out var was) && was.Prescription?.Exercise == l.Prescription?.Exercise ? was : l),
                ],
            }),
        ];
    }

    private async Task<Answered> JudgeAsync(string coach, string coachName, DeskCase about, Proposal proposal, CheckVerdict verdict)
    {
        string id = proposal.Subject.Split(' ')[1];
        var stored = about.Reports.First(r => r.Id == id);
        var place = about.Places.First(p => p.Id == stored.Place);
        var fixture = place.Home.Fixtures.First(f => f.Id == stored.Report.Fixture);
        string? reason = verdict == CheckVerdict.Passed ? null : stored.Report.Steps.FirstOrDefault(s => !s.Held)?.Step ?? "refused by the coach";
        var check = new FixtureCheck(verdict, stored.Report.On, coachName, reason);
        var saved = await places.SaveAsync(coach, about.Client.Id, place.Id, With(place.Home, fixture.Id, check), place.Version);
        if (!saved.Saved)
        {
            return new(null, Stale: true);
        }

        await reports.JudgeAsync(coach, about.Client.Id, id, clock.GetUtcNow());
        return await RecordAsync(
            coach, about, proposal, verdict == CheckVerdict.Passed ? Answer.Taken : Answer.Refused,
            new() { Fixture = new(place.Id, fixture.Id, fixture.Check, id) }, new() { Fixture = new(place.Id, fixture.Id, check, id) });
    }

    private static Home With(Home home, string fixture, FixtureCheck? check) =>
        home with { Fixtures = [.. home.Fixtures.Select(f => f.Id == fixture ? f with { Check = check } : f)] };

    private async Task<Answered> SavePlanAsync(string coach, DeskCase about, Proposal proposal, Plan plan, Snapshot before, Snapshot after)
    {
        var result = await plans.SaveAsync(coach, about.Client.Id, plan, about.Plan.Version);
        return result.Saved ? await RecordAsync(coach, about, proposal, Answer.Taken, before, after) : new(null, Stale: true);
    }

    private async Task<Answered> RecordAsync(string coach, DeskCase about, Proposal proposal, Answer answer, Snapshot? before, Snapshot? after)
    {
        await decisions.AddAsync(coach, new(
            Guid.CreateVersion7().ToString(), about.Client.Id, clock.GetUtcNow(), proposal.Subject, proposal.Sentence, answer, before?.ToJson(), after?.ToJson(), false));
        return new(null);
    }

    /// <summary>Puts back what a decision changed, unless it was changed again since.</summary>
    internal async Task<Answered> UndoAsync(string coach, DeskCase about, DecisionRecord record)
    {
        var before = Snapshot.Read(record.Before);
        var after = Snapshot.Read(record.After);
        var plan = about.Plan.Value;
        if (before is { Lines.IsEmpty: false })
        {
            if (after is null || !Same(TakenSteps.Of(plan, (place, line) => before.Lines.Any(b => b.Place == place && b.Line == line)), after))
            {
                return new("These lines were changed again since: undo the later decision first, or change them on the bench.");
            }

            plan = TakenSteps.Back(plan, before);
        }

        if (before?.Sessions is { } sessions)
        {
            plan = plan with { Sessions = sessions, Elsewhere = before.Elsewhere ?? plan.Elsewhere };
        }

        if (before?.Weeks is { } weeks)
        {
            if (after?.Weeks is null || new Snapshot { Weeks = new(plan.Block) }.ToJson() != new Snapshot { Weeks = after.Weeks }.ToJson())
            {
                return new("The weeks were changed again since: change them on the block.");
            }

            plan = plan with { Block = weeks.Block };
        }

        if (before?.SoreJoints is { } sore && !(await clients.SaveAsync(coach, about.Client.Id, about.Profile with { SoreJoints = sore }, about.Client.Version)).Saved)
        {
            return new(null, Stale: true);
        }

        if (!ReferenceEquals(plan, about.Plan.Value) && !(await plans.SaveAsync(coach, about.Client.Id, plan, about.Plan.Version)).Saved)
        {
            return new(null, Stale: true);
        }

        if (before?.Cleared is { } exercise)
        {
            await notes.ClearAsync(coach, about.Client.Id, exercise, before.ClearedThrough);
        }

        if (before?.Fixture is { } fixture && await places.FindAsync(coach, about.Client.Id, fixture.Place) is { } place)
        {
            if (!(await places.SaveAsync(coach, about.Client.Id, place.Id, With(place.Home, fixture.Fixture, fixture.Check), place.Version)).Saved)
            {
                return new(null, Stale: true);
            }

            await reports.JudgeAsync(coach, about.Client.Id, fixture.Report, null);
        }

        await decisions.UndoAsync(coach, record, clock.GetUtcNow());
        return new(null);
    }

    private static bool Same(Snapshot a, Snapshot b) => string.Equals(
        new Snapshot { Lines = [.. a.Lines.OrderBy(l => l.Place, StringComparer.Ordinal).ThenBy(l => l.Line)] }.ToJson(), new Snapshot { Lines = [.. b.Lines.OrderBy(l => l.Place, StringComparer.Ordinal).ThenBy(l => l.Line)] }.ToJson(), StringComparison.Ordinal);
}
