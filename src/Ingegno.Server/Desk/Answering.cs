using System.Collections.Immutable;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Server.Clients;
using Ingegno.Server.Links;
using Ingegno.Server.Log;
using Ingegno.Server.Plans;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>What came of an answer: a problem in words, or null when it was done. Nothing was written where there is one.</summary>
internal sealed record Answered(string? Problem, bool Stale = false)
{
    internal static Answered Done { get; } = new((string?)null);

    internal static Answered Of(PlanDone done) => done.Refusal is { } refusal ? new(refusal.Reason, refusal.IsStale) : Done;
}

/// <summary>
/// Does what a coach decided and keeps the decision with it, in one transaction; and takes it back. What it does to a plan is a command of the core.
/// </summary>
internal sealed class Answering(
    Database database, PlanCommands commands, Places places, Storage.Plans plans, SessionNotes notes, SetLogs logs, SetConflicts conflicts, LogLessons lessons,
    FixtureReports reports, DecisionRecords decisions, Sender sender, Cases cases, TimeProvider clock)
{
    /// <param name="lines">As the proposal was made from.</param>
    internal async Task<Answered> TakeAsync(string coach, string who, string client, DeskCase about, Proposal proposal, ImmutableArray<LineProgress> lines)
    {
        LineProgress[] of = [.. proposal.LinesOf(lines)];
        switch (proposal.Kind)
        {
            case ProposalKind.Unsent or ProposalKind.LinkEnds:
                var against = await sender.SendAsync(
                    coach, who, (await cases.FindAsync(coach, client))!, writing => RecordAsync(coach, client, proposal, Answer.Taken, within: writing));
                return against.IsEmpty ? Answered.Done : new(string.Join(' ', against));
            case ProposalKind.Pain or ProposalKind.PainAgain:
                return await CommandAsync(coach, who, client, proposal, on => Swapped(on, of[0]));
            case ProposalKind.UnsafeSetUp:
                return await CommandAsync(coach, who, client, proposal, on => on.Bench.Anew(
                    on.Plan.Value, of[0].Place?.Id ?? on.About.Place.Id, new HashSet<int> { of[0].Line }, unlike: false, ChangeKind.Rebuilt, proposal.Sentence, on.LastTrained, on.By));
            case ProposalKind.FixtureReport:
                return await JudgeAsync(coach, who, client, about, proposal, CheckVerdict.Passed);
            case ProposalKind.ToldTwice:
                return await SettleAsync(coach, who, client, about, proposal, Answer.Taken);
            case ProposalKind.StillHeld:
                return await ClearAsync(coach, client, about, proposal);
            case ProposalKind.Missed when about.Plan.Block is { Starts: { } starts } block:
                return await CommandAsync(coach, who, client, proposal, on => on.Plan.Value.Over(block with { Starts = starts.AddDays(7) }, ChangeKind.Shifted, proposal.Sentence, on.By));
            case ProposalKind.Deload:
                var week = proposal.About.OfType<EasierWeekSubject>().First().Week;
                return await CommandAsync(coach, who, client, proposal, on => on.Plan.Value.Over(Deload.In(on.Plan.Value.Block, week), ChangeKind.Deloaded, proposal.Sentence, on.By));
            case ProposalKind.Crutch:
                return await RecordAsync(coach, client, proposal, Answer.Taken);
            default:
                return await CommandAsync(coach, who, client, proposal, on => on.Plan.Value.Take(
                    [.. of.Where(l => l.Step?.Next is not null).Select(l => LogEndpoints.TakenAt(on, l))], on.Bench.Framing, on.By));
        }
    }

    private static PlanOutcome Swapped(PlanCase on, LineProgress line)
    {
        var sore = PainSwap.Sore(on.About.Profile, line, on.About.Rules.Catalogue);
        return PainSwap.Of(
            on.Plan.Value, PlanCommands.BenchOf(on.About, on.By.On, sore), line.Place?.Id ?? on.About.Place.Id, line, new(on.About.Profile.SoreJoints, sore.SoreJoints), on.LastTrained, on.By);
    }

    /// <summary>A step that is refused holds its lines, and their lists say so.</summary>
    internal async Task<Answered> RefuseAsync(string coach, string who, string client, DeskCase about, Proposal proposal, Answer answer)
    {
        if (proposal.Kind == ProposalKind.FixtureReport && answer == Answer.Refused)
        {
            return await JudgeAsync(coach, who, client, about, proposal, CheckVerdict.NotPassed);
        }

        if (proposal.Kind == ProposalKind.ToldTwice && answer == Answer.Refused)
        {
            return await SettleAsync(coach, who, client, about, proposal, answer);
        }

        ImmutableArray<int> lines = [.. proposal.About.OfType<LineSubject>().Select(l => l.Line % PlannedLine.AddedFrom).Distinct()];
        return answer == Answer.Refused && !lines.IsEmpty
            ? await CommandAsync(coach, who, client, proposal, on => on.Plan.Value.Noted(ChangeKind.Held, $"Held: {proposal.Sentence}", lines, on.By), answer)
            : await RecordAsync(coach, client, proposal, answer);
    }

    /// <summary>The command and the decision, both or neither. What was proposed must still be proposed by what is in the file then.</summary>
    private async Task<Answered> CommandAsync(string coach, string who, string client, Proposal proposal, Func<PlanCase, PlanOutcome> command, Answer answer = Answer.Taken)
    {
        var done = await commands.RunAsync(
            coach, who, client, on => Task.Run(() => Still(on, proposal) ? command(on) : Gone(on)),
            async (on, outcome, writing) =>
            {
                await decisions.AddAsync(coach, Decided(client, proposal, answer, outcome, on.By), writing);
                return true;
            });
        return Answered.Of(done!);
    }

    /// <summary>Steps are read off what is there at the moment of writing, not at the moment of asking.</summary>
    private static bool Still(PlanCase on, Proposal proposal)
    {
        var wanted = proposal.About.OfType<LineSubject>().ToHashSet();
        return wanted.Count == 0 || PlanProgress
            .Everywhere(on.About.Profile, on.About.Home, on.About.ClientPlaces, on.About.Rules, on.Plan.Value, on.Training, on.By.On)
            .Where(l => l.Step is not null).Select(LineSubject.Of).Count(wanted.Contains) == wanted.Count;
    }

    private static PlanOutcome Gone(PlanCase on) =>
        new(on.Plan.Value, [], new("Something was logged or changed in the meantime; the Desk shows what waits now.", IsStale: true));

    /// <summary>What was left out because nothing stands in is said with the decision.</summary>
    private static DecisionRecord Decided(string client, Proposal proposal, Answer answer, PlanOutcome outcome, Commanded by)
    {
        bool leftOut = proposal.Kind is ProposalKind.Pain or ProposalKind.PainAgain && outcome.Changes.SelectMany(c => c.Lines).Any(l => l.After is { IsAside: true });
        return new(
            Guid.CreateVersion7().ToString(), client, by.At, proposal.About,
            leftOut ? $"{proposal.Sentence} Nothing else stands in here: it is left out until the bench finds something." : proposal.Sentence,
            answer, null, null, false, outcome.Changes.IsEmpty ? null : by.Command);
    }

    private async Task<Answered> ClearAsync(string coach, string client, DeskCase about, Proposal proposal)
    {
        string exercise = proposal.About.OfType<PainSubject>().First().Exercise;
        var today = (await cases.FindAsync(coach, client))!.Today(clock);
        var before = new Snapshot { Cleared = exercise, ClearedThrough = about.Training.ClearedThrough(exercise) };
        await using var writing = await Writing.BeginAsync(database);
        await notes.ClearAsync(coach, client, exercise, today, writing);
        await RecordAsync(coach, client, proposal, Answer.Taken, before, before with { ClearedThrough = today }, writing);
        await writing.CommitAsync();
        return Answered.Done;
    }

    /// <summary>What the coach says holds stands; the other account stays beside it.</summary>
    private async Task<Answered> SettleAsync(string coach, string who, string client, DeskCase about, Proposal proposal, Answer answer)
    {
        string id = proposal.About.OfType<ConflictSubject>().First().Conflict;
        var conflict = about.Conflicts.First(c => c.Id == id);
        var before = new Snapshot { Conflict = new(id, conflict.Standing) };
        await using (var writing = await Writing.BeginAsync(database))
        {
            SetLog? now = conflict.Standing;
            if (answer == Answer.Taken)
            {
                now = conflict.Arrived with { Id = conflict.Standing?.Id ?? conflict.Arrived.Id, Version = conflict.Standing?.Version ?? 0 };
                if (!await WriteAsync(coach, client, who, now, writing))
                {
                    return new(null, Stale: true);
                }
            }

            await conflicts.SettleAsync(coach, client, id, clock.GetUtcNow(), writing);
            await RecordAsync(coach, client, proposal, answer, before, before with { Conflict = new(id, now) }, writing);
            await writing.CommitAsync();
        }

        await lessons.LearnAsync(coach, client);
        return Answered.Done;
    }

    /// <returns>False where something else stands by now.</returns>
    private async Task<bool> WriteAsync(string coach, string client, string who, SetLog set, Writing writing)
    {
        var plan = (await plans.FindAsync(coach, client)).Value;
        var asked = new AskedAs(plan.AllLines.Where(l => l.Prescription is not null).Select(l => (l.Line, l.Prescription!))).Of(set);
        return await logs.SaveAsync(coach, client, [new(set, asked)], new(who, clock.GetUtcNow()), writing) is [{ Arrival: SetArrival.First or SetArrival.Correction or SetArrival.Again }];
    }

    private async Task<Answered> JudgeAsync(string coach, string who, string client, DeskCase about, Proposal proposal, CheckVerdict verdict)
    {
        string id = proposal.About.OfType<ReportSubject>().First().Report;
        var report = about.Reports.First(r => r.Id == id);
        var place = (await places.FindAsync(coach, client, report.Place))!;
        var fixture = place.Home.Fixtures.First(f => f.Id == report.Report.Fixture);
        string? reason = verdict == CheckVerdict.Passed ? null : report.Report.Steps.FirstOrDefault(s => !s.Held)?.Step ?? "refused by the coach";
        var check = new FixtureCheck(verdict, report.Report.On, who, reason);
        await using var writing = await Writing.BeginAsync(database);
        if (!(await places.SaveAsync(coach, client, place.Id, With(place.Home, fixture.Id, check), place.Version, writing)).Saved)
        {
            return new(null, Stale: true);
        }

        await reports.JudgeAsync(coach, client, id, clock.GetUtcNow(), writing);
        await RecordAsync(
            coach, client, proposal, verdict == CheckVerdict.Passed ? Answer.Taken : Answer.Refused,
            new() { Fixture = new(place.Id, fixture.Id, fixture.Check, id) }, new() { Fixture = new(place.Id, fixture.Id, check, id) }, writing);
        await writing.CommitAsync();
        return Answered.Done;
    }

    private static Home With(Home home, string fixture, FixtureCheck? check) =>
        home with { Fixtures = [.. home.Fixtures.Select(f => f.Id == fixture ? f with { Check = check } : f)] };

    private async Task<Answered> RecordAsync(
        string coach, string client, Proposal proposal, Answer answer, Snapshot? before = null, Snapshot? after = null, Writing? within = null)
    {
        await decisions.AddAsync(
            coach, new(Guid.CreateVersion7().ToString(), client, clock.GetUtcNow(), proposal.About, proposal.Sentence, answer, before?.ToJson(), after?.ToJson(), false), within);
        return Answered.Done;
    }

    /// <summary>Takes a decision back with all it changed, unless that was changed again since.</summary>
    internal async Task<Answered> UndoAsync(string coach, string who, string client, DecisionRecord record)
    {
        if (record.Command is { } command)
        {
            return await UndoAsync(coach, who, client, c => c.Command == command, record);
        }

        await using var writing = await Writing.BeginAsync(database);
        var before = Snapshot.Read(record.Before);
        if (before?.Cleared is { } exercise)
        {
            await notes.ClearAsync(coach, client, exercise, before.ClearedThrough, writing);
        }

        if (before?.Fixture is { } fixture && await places.FindAsync(coach, client, fixture.Place) is { } place)
        {
            if (!(await places.SaveAsync(coach, client, place.Id, With(place.Home, fixture.Fixture, fixture.Check), place.Version, writing)).Saved)
            {
                return new(null, Stale: true);
            }

            await reports.JudgeAsync(coach, client, fixture.Report, null, writing);
        }

        if (before?.Conflict is { } told)
        {
            var settled = Snapshot.Read(record.After)!.Conflict!.Standing;
            if (told.Standing is { } stood && settled is not null && !SetArrivals.SaysTheSame(stood, settled)
                && !await WriteAsync(coach, client, who, stood with { Version = stood.Version + 1 }, writing))
            {
                return new(null, Stale: true);
            }

            await conflicts.SettleAsync(coach, client, told.Conflict, null, writing);
        }

        await decisions.UndoAsync(coach, record, clock.GetUtcNow(), writing);
        await writing.CommitAsync();
        if (before?.Conflict is not null)
        {
            await lessons.LearnAsync(coach, client);
        }

        return Answered.Done;
    }

    /// <summary>Takes changes of the plan back, with the decision they came of where all of them go.</summary>
    internal async Task<Answered> UndoAsync(string coach, string who, string client, Func<PlanChange, bool> which, DecisionRecord? record)
    {
        var list = await plans.ChangesAsync(coach, client);
        if (record is not null && list.Where(which).All(c => c.IsNote))
        {
            await decisions.UndoAsync(coach, record, clock.GetUtcNow());
            return Answered.Done;
        }

        var done = await commands.RunAsync(
            coach, who, client,
            async on =>
            {
                var all = await plans.ChangesAsync(coach, client);
                var back = on.Plan.Value.Undo(all, which, on.Bench.Framing, on.By);
                // A joint that is not sore any more may warm up otherwise.
                return back.Changes.LastOrDefault(c => c.Sore is not null)?.Sore is { } sore
                    ? on.Plan.Value.Undo(all, which, PlanCommands.BenchOf(on.About, on.By.On, on.About.Profile with { SoreJoints = [.. sore.On(on.About.Profile.SoreJoints)] }).Framing, on.By)
                    : back;
            },
            async (on, _, writing) =>
            {
                if (record is { Undone: false })
                {
                    await decisions.UndoAsync(coach, record, on.By.At, writing);
                }

                return true;
            });
        return done is null ? new("There is no such client.") : Answered.Of(done);
    }
}
