using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>Finds every decision that waits on one client, worst first. What was refused stays away until something new is logged.</summary>
public static class Proposals
{
    /// <summary>Days without a session that make a missed week; days ahead the return to the gym and the end of a link are spoken of.</summary>
    private const int WeekDays = 7, ReturnAhead = 7, LinkAhead = 7;

    public static ImmutableArray<Proposal> For(DeskCase about, ImmutableArray<LineProgress> lines, DateOnly today)
    {
        var settled = about.Decisions.Where(d => !d.Undone && Holds(d, today)).SelectMany(d => d.About).ToHashSet();
        return
        [
            .. Steps(about, lines)
                .Concat(EasierWeek(about, lines, today))
                .Concat(ToldTwice(about))
                .Concat(Reports(about))
                .Concat(Unready(about))
                .Concat(Missed(about, today))
                .Concat(Unsent(about))
                .Concat(LinkEnding(about, today))
                .Concat(Return(about, today))
                .Concat(NextWeek(about, today))
                .Concat(FeltElsewhere(about, today))
                .Concat(Evidence.Of(about, today))
                .Concat(Crutches(about, today))
                .Concat(StillHeld(about, lines))
                .Concat(Review(about, today))
                .Where(p => !p.About.All(settled.Contains))
                .OrderBy(p => p.Kind),
        ];
    }

    /// <summary>"Later" is asked again the next day; yes and no hold for their subject.</summary>
    private static bool Holds(Decision decision, DateOnly today) => decision.Answer != Answer.Later || decision.On == today;

    private static IEnumerable<Proposal> Steps(DeskCase about, ImmutableArray<LineProgress> lines)
    {
        // The same exercise twice a week may have the same step twice: then the session says which.
        var twice = lines.Where(l => l.Step is not null).GroupBy(l => (l.Place?.Id, l.Prescription.Name, l.Step!.Sentence)).Where(g => g.Count() > 1).SelectMany(g => g).ToHashSet();
        foreach (var line in lines.Where(l => l.Step is { IsTheSameAgain: false }))
        {
            var step = line.Step!;
            if (KindOf(step) is { } kind)
            {
                bool names = step.Sentence.Contains(line.Prescription.Name, StringComparison.OrdinalIgnoreCase);
                yield return new(
                    [LineSubject.Of(line)], kind, $"{At(line)}{(twice.Contains(line) ? $"{line.Session}: " : "")}{(names ? "" : $"{line.Prescription.Name}: ")}{step.Sentence}", step.Arithmetic,
                    kind is ProposalKind.Pain or ProposalKind.UnsafeSetUp or ProposalKind.PainAgain ? "bench" : "log",
                    kind is ProposalKind.Pain or ProposalKind.PainAgain ? "Swap it" : kind is ProposalKind.UnsafeSetUp ? "Rebuild it" : step.Next is null ? null : "Take it");
            }
        }

        LineProgress[] ready = [.. lines.Where(l => l.Step is { IsTheSameAgain: false, Next: not null } s && KindOf(s) is null)];
        if (ready.Length > 0)
        {
            yield return new(
                [.. ready.Select(LineSubject.Of)], ProposalKind.Ready,
                ready.Length == 1 ? Told(ready[0]) : $"{ready.Length} lines go on: {string.Join(", ", ready.Select(l => Short(about, l)))}.",
                [.. ready.Select(Told)], "log",
                ready.Length == 1 ? "Take it" : $"Take all {ready.Length}");
        }
    }

    private static string Told(LineProgress line) => $"{At(line)}{line.Prescription.Name}: {line.Step!.Sentence}";

    /// <summary>Where, if not at the place in use.</summary>
    private static string At(LineProgress line) => line.Place is { } place ? $"At {place.Name}: " : "";

    /// <summary>By the exercise alone: heights and holds stand behind "why".</summary>
    private static string Short(DeskCase about, LineProgress line) =>
        $"{PlainWords.InSentence(about.Rules.Catalogue.Find(line.Prescription.Exercise)?.Name ?? line.Prescription.Name)} {line.Step!.Next!.CountInWords}";

    private static ProposalKind? KindOf(Step step) => step.Kind switch
    {
        StepKind.Stop => step.Stops == StopCause.Pain ? ProposalKind.Pain : ProposalKind.UnsafeSetUp,
        StepKind.Swap => ProposalKind.PainAgain,
        StepKind.Stuck => ProposalKind.Stuck,
        StepKind.Change or StepKind.TooMuch or StepKind.Back => ProposalKind.Change,
        StepKind.Load or StepKind.Variation => ProposalKind.Earned,
        _ => null,
    };

    /// <summary>Named together with the lines it answers for: taking it settles them too.</summary>
    private static IEnumerable<Proposal> EasierWeek(DeskCase about, ImmutableArray<LineProgress> lines, DateOnly today)
    {
        LineProgress[] trained = [.. lines.Where(l => !l.Logs.IsEmpty)], down = [.. trained.Where(l => l.Step is { } step && Deload.GoesDown(step, l.Trend))];
        if (trained.Length > 0
            && Deload.Wanted(trained.Length, down.Length, about.Plan.Block, today, trained.Max(l => l.Logs.Max(s => s.On))) is { } week)
        {
            yield return new(
                [new EasierWeekSubject(week), .. down.Select(LineSubject.Of)], ProposalKind.Deload,
                $"{down.Length} of {trained.Length} lines go down together: an easier week from {week:d MMM}, about {about.Rules.EasierWeekSets * 100:0} % of the sets at the same loads.",
                [.. down.Select(l => $"{l.Prescription.Name}: {l.Step!.Sentence}"), "When most lines go down at once it is the body that is tired, not the exercise that is wrong."],
                "block?see=weeks", "Make it easier");
        }
    }

    /// <summary>Two accounts of one set: what stands stays until the coach says otherwise.</summary>
    private static IEnumerable<Proposal> ToldTwice(DeskCase about) =>
        from conflict in about.Conflicts
        let set = conflict.Arrived
        let name = about.Rules.Catalogue.Find(set.Exercise)?.Name ?? set.Exercise
        let stands = conflict.Standing is { } standing ? $"{SetWords.Of(standing, set)}{(conflict.StandingBy.Length > 0 ? $", from {conflict.StandingBy}," : "")} stands" : "it was taken out since"
        select new Proposal(
            [new ConflictSubject(conflict.Id)], ProposalKind.ToldTwice,
            $"{name}, set {set.SetNumber} of {set.On:ddd d MMM}, was told twice: {stands}; {SetWords.Of(set, conflict.Standing)} came from {conflict.By} on {conflict.On:ddd d MMM}, made without having seen that.",
            [$"In full: {(conflict.Standing is { } all ? SetWords.Of(all) : "nothing")}; and {SetWords.Of(set)}.", "Nothing is lost either way: what does not hold is kept with the set."],
            "log", conflict.By == conflict.StandingBy ? "Take the later" : $"Take that of {conflict.By}", "Keep what stands");

    private static IEnumerable<Proposal> Reports(DeskCase about) =>
        from stored in about.Reports
        where !stored.Judged
        let fixture = about.Places.FirstOrDefault(p => p.Id == stored.Place)?.Home.Fixtures.FirstOrDefault(f => f.Id == stored.Report.Fixture)
        where fixture is not null
        let report = stored.Report
        select new Proposal(
            [new ReportSubject(stored.Id)], ProposalKind.FixtureReport,
            report.AllHeld
                ? $"{fixture.Name} was checked on the phone, every step held{(report.Force is { } force ? $", up to {force}" : "")}. Pass it?"
                : $"{fixture.Name} was checked on the phone: \"{report.Steps.FirstOrDefault(s => !s.Held)?.Step}\" did not hold. Refuse it?",
            [.. report.Steps.Select(s => $"{(s.Held ? "held" : "did not hold")}: {s.Step}"), .. report.Remark.Length > 0 ? [$"\"{report.Remark}\""] : Array.Empty<string>()],
            "home", report.AllHeld ? "Pass it" : null, "Refuse it", stored.HasPhoto ? stored.Id : null);

    private static IEnumerable<Proposal> Unready(DeskCase about)
    {
        var plan = about.Plan;
        var home = about.Home;
        if (home.Kit.IsEmpty && home.Fixtures.IsEmpty)
        {
            yield return Open(new(Missing.Home), "Describe the home: nothing is known of it yet.", "home");
            yield break;
        }

        if (plan.Sessions.IsEmpty)
        {
            yield return Open(new(Missing.Programme), plan.Text.Length > 0 ? "Rebuild the written programme and save it." : "Paste the gym programme to rebuild.", "bench");
            yield break;
        }

        int lines = plan.Sessions.SelectMany(s => s.Lines).Count(l => l.Prescription is null);
        if (lines > 0)
        {
            yield return Open(new(Missing.StandIn, lines), $"{lines} {(lines == 1 ? "line has" : "lines have")} no stand-in yet.", "bench");
        }

        if (SendingLeave.For(about.Profile) is { Allowed: false, Why: { } why })
        {
            yield return Open(new(Missing.HealthScreen), why, "profile");
        }

        static Proposal Open(UnreadySubject subject, string sentence, string view) => new([subject], ProposalKind.Unready, sentence, [], view, null);
    }

    private static IEnumerable<Proposal> Missed(DeskCase about, DateOnly today)
    {
        if (about.Training.Sets.Count == 0 || about.Plan.Sessions.IsEmpty)
        {
            yield break;
        }

        var last = about.Training.Sets.Max(s => s.On);
        if (today.DayNumber - last.DayNumber > WeekDays)
        {
            bool dated = about.Plan.Block?.Starts is not null;
            yield return new(
                [new MissedSubject(last)], ProposalKind.Missed,
                $"Nothing logged since {last:d MMM}: the missed sessions shift and do not pile up. Ask what was in the way.",
                dated ? ["Shifting moves the block's first day by a week; loads and counts stay."] : [],
                "log", dated ? "Shift a week" : null, "Noted");
        }
    }

    private static IEnumerable<Proposal> Unsent(DeskCase about)
    {
        if (about.SentVersion != about.PlanVersion && !about.Plan.Sessions.IsEmpty && SendingLeave.For(about.Profile).Allowed
            && about.Plan.Sessions.SelectMany(s => s.Lines).All(l => l.Prescription is not null))
        {
            string when = about.SentOn is { } day ? $"The plan changed since it was sent on {day:d MMM}." : "The plan was never sent.";
            yield return about.Unread.IsEmpty
                ? new([new UnsentSubject(about.PlanVersion)], ProposalKind.Unsent, when, [Freezing.Sentence(about.Plan)], "sheet", "Send it", "Not yet")
                : new(
                    [new UnsentSubject(about.PlanVersion)], ProposalKind.Unsent, $"{when} Parts of its text were not read: is it what you meant?", [.. about.Unread, Freezing.Sentence(about.Plan)],
                    "bench", "Send it all the same", "Not yet");
        }
    }

    /// <summary>Nothing to say where the plan waits to be sent: that makes a new link.</summary>
    private static IEnumerable<Proposal> LinkEnding(DeskCase about, DateOnly today)
    {
        if (about.LinkEnds is { } ends && ends <= today.AddDays(LinkAhead) && about.SentVersion == about.PlanVersion && SendingLeave.For(about.Profile).Allowed)
        {
            yield return new(
                [new LinkEndsSubject(ends)], ProposalKind.LinkEnds,
                ends < today ? $"The link closed on {ends:d MMM}: the plan cannot be opened any more." : $"The link closes on {ends:d MMM}: it was not used for long.",
                ["A link that is used stays open. Sending makes a new one; what waits on the phone goes with it."], "sheet", "Send a new link", "Let it close");
        }
    }

    private static IEnumerable<Proposal> Return(DeskCase about, DateOnly today)
    {
        if (about.Profile.HomeUntil is { } until && until <= today.AddDays(ReturnAhead) && about.Training.Sets.Count > 0)
        {
            yield return new(
                [new ReturnSubject(until)], ProposalKind.Return,
                $"The gym is back {(until <= today ? "now" : $"on {until:d MMM}")}: see the first loads and the ramp.", [], "log?see=return", null, "Noted");
        }
    }

    /// <summary>Every session of the week was trained, or a week has gone by with some of them.</summary>
    private static IEnumerable<Proposal> NextWeek(DeskCase about, DateOnly today)
    {
        if (about.Week is not { } week)
        {
            yield break;
        }

        var trained = about.Training.Sets.Where(s => s.On >= week.Since).Select(s => s.Line).ToHashSet();
        string[] left = [.. about.Plan.Sessions.Where(s => !s.Lines.Any(l => trained.Contains(l.Line))).Select(s => s.Title)];
        int weeks = week.Now?.Weeks ?? 1;
        bool isOver = today.DayNumber - week.Since.DayNumber >= WeekDays * weeks;
        if (trained.Count > 0 && (isOver || (left.Length == 0 && weeks == 1)))
        {
            string now = week.Now?.Name ?? "The week in force";
            string missed = left.Length == 0 ? "" : $" and {string.Join(" and ", left)} {(left.Length == 1 ? "was" : "were")} not trained";
            yield return new(
                [new NextWeekSubject(week.Next.Number, week.Since)], ProposalKind.NextWeek,
                $"{now} {(left.Length == 0 && weeks == 1 ? "is trained" : $"began on {week.Since:d MMM}{missed}")}: next in the text is {PlainWords.InSentence(week.Next.Name)}.",
                ["On the bench the next week takes the place of this one: lines that stay keep their log, and what was set by hand on them."], "bench", null, "Stay with this week");
        }
    }

    /// <summary>Breath twice running where the muscle was meant, or the other way round.</summary>
    private static IEnumerable<Proposal> FeltElsewhere(DeskCase about, DateOnly today)
    {
        bool forBreath = BlockCalendar.PurposeOn(about.Plan.Block, today) == Purpose.Conditioning;
        var wrong = forBreath ? Felt.Muscle : Felt.Breath;
        return
            from notes in about.Training.Notes.Where(n => n.Felt is not null).GroupBy(n => n.Session)
            let last = notes.OrderByDescending(n => n.On).Take(2).ToArray()
            where last.Length == 2 && last.All(n => n.Felt == wrong)
            select new Proposal(
                [new FeltSubject(notes.Key, last[0].On)], ProposalKind.Felt,
                forBreath
                    ? $"{notes.Key}: felt in the muscles twice running, meant for the breath. Lighter, with less rest."
                    : $"{notes.Key}: felt in the breath twice running, meant for the muscles. Longer rests, or fewer pairs.",
                ["Asked with one tap after each session."], "log", null, "Noted");
    }

    private static IEnumerable<Proposal> Crutches(DeskCase about, DateOnly today)
    {
        var plan = about.Plan;
        foreach (var line in plan.Sessions.Concat(plan.Elsewhere.SelectMany(e => e.Sessions)).SelectMany(s => s.Lines).DistinctBy(l => (l.Line, l.Prescription?.Exercise)))
        {
            if (line.Prescription is { } p && about.Rules.Catalogue.Find(p.Exercise) is { } exercise && Crutch.Of(p, exercise) is { } crutch)
            {
                var since = about.Decisions
                        .Where(d => !d.Undone && d.About.Any(a => a is CrutchSubject answered && answered.Line == line.Line && answered.Exercise == p.Exercise))
                        .Select(d => (DateOnly?)d.On).FirstOrDefault()
                    ?? about.Training.Sets.Where(s => s.Line == line.Line && s.Exercise == p.Exercise).Select(s => (DateOnly?)s.On).Min();
                if (since is { } from && today.DayNumber - from.DayNumber >= Crutch.ReviewWeeks * WeekDays)
                {
                    yield return new(
                        [new CrutchSubject(line.Line, p.Exercise, from)], ProposalKind.Crutch,
                        $"{p.Name}: {crutch} since {from:d MMM}. Still needed?", [$"Looked at every {Crutch.ReviewWeeks} weeks."], "bench",
                        $"Keep {Crutch.ReviewWeeks} more weeks", "Change it on the bench");
                }
            }
        }
    }

    private static IEnumerable<Proposal> StillHeld(DeskCase about, ImmutableArray<LineProgress> lines) =>
        from report in about.Training.Sets
        where report.Pain > Safety.PainHold.Stops && !(about.Training.ClearedThrough(report.Exercise) >= report.On)
            && !lines.Any(l => l.Line == report.Line && l.Step?.Kind == StepKind.Stop)
        group report by report.Exercise into reports
        let last = reports.MaxBy(r => r.On)!
        let held = lines.Where(l => about.Rules.Catalogue.Find(l.Prescription.Exercise) is { } e && about.Training.Pain.Against(e) is not null).ToArray()
        select new Proposal(
            [new PainSubject(reports.Key, last.On)], ProposalKind.StillHeld,
            $"Pain of {last.On:d MMM} on {PlainWords.InSentence(about.Rules.Catalogue.Find(reports.Key)?.Name ?? reports.Key)} {(held.Length == 0 ? "is not cleared yet" : $"still holds {held.Length} {(held.Length == 1 ? "line" : "lines")} back")}. Clear it when it is gone.",
            [.. held.Select(l => $"{At(l)}{l.Prescription.Name}")], "log", "Clear it", "Not yet");

    private static IEnumerable<Proposal> Review(DeskCase about, DateOnly today)
    {
        if (about.Plan.Block is { IsOpenEnded: true, Starts: { } starts } block && starts.AddDays(block.ReviewEvery * WeekDays) <= today)
        {
            var due = starts.AddDays(block.ReviewEvery * WeekDays);
            yield return new(
                [new ReviewSubject(due)], ProposalKind.Review,
                $"The plan was to be looked at again on {due:d MMM}.", [], "block", null, "Looked at");
        }
    }
}
