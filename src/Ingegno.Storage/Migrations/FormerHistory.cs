using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;

namespace Ingegno.Storage.Migrations;

/// <summary>
/// Rebuilds the list of changes of a plan that had none: back from what is in force through the decisions, and before them through what the sets
/// were asked as. What nobody kept is not made up.
/// </summary>
internal static class FormerHistory
{
    private sealed record Change(DateTimeOffset At, ChangeKind Kind, string Who, string Cause, Plan Before, Plan After, Guid Command, SorenessDelta? Sore);

    /// <returns>The changes, oldest first, and the decisions that made some of them.</returns>
    internal static (List<PlanChange> Changes, Dictionary<string, Guid> Commands) Of(
        FormerPlan former, IEnumerable<FormerDecision> decisions, IReadOnlyList<FormerAsked> asked)
    {
        var found = new List<Change>();
        var commands = new Dictionary<string, Guid>();
        var now = former.AsPlan();
        foreach (var decision in decisions.Where(d => d is { Taken: true, Undone: false, Before: not null }).OrderByDescending(d => d.At))
        {
            var before = Before(now, decision.Before!, former);
            var sore = decision is { Before.SoreJoints: { } was, After.SoreJoints: { } then } ? new SorenessDelta(was, then) : null;
            if (ReferenceEquals(before, now) && sore is null)
            {
                continue;
            }

            commands[decision.Id] = Guid.Parse(decision.Id);
            found.Add(new(decision.At, KindOf(decision), former.CoachName, decision.Sentence, before, now, commands[decision.Id], sore));
            now = before;
        }

        foreach (var (on, before) in Asked(now, asked))
        {
            found.Add(new(
                new(on.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero), ChangeKind.Stepped, former.CoachName, $"From the log: asked so from {on:d MMM} on.", before, now, Guid.CreateVersion7(), null));
            now = before;
        }

        var first = found.Select(f => f.At).Append(asked.Count > 0 ? new(asked.Min(a => a.On).ToDateTime(TimeOnly.MinValue), TimeSpan.Zero) : former.SavedAt ?? DateTimeOffset.UnixEpoch).Min();
        found.Add(new(first, ChangeKind.Written, former.CoachName, "Rebuilt from the text.", Plan.Empty, now, Guid.CreateVersion7(), null));
        found.Reverse();
        return ([.. found.Select(f => new PlanChange(Guid.CreateVersion7(), f.Command, DateOnly.FromDateTime(f.At.UtcDateTime), f.At, f.Kind, f.Who, f.Cause).Between(f.Before, f.After) with { Sore = f.Sore })], commands);
    }

    private static ChangeKind KindOf(FormerDecision decision) =>
        decision.Before!.SoreJoints is not null ? ChangeKind.SwappedForPain
        : decision.Before.Weeks is not null ? decision.Subject.StartsWith("easier", StringComparison.Ordinal) ? ChangeKind.Deloaded : ChangeKind.Shifted
        : ChangeKind.Stepped;

    private static Plan Before(Plan now, FormerSnapshot was, FormerPlan former)
    {
        var before = now;
        if (was.Sessions is { } sessions)
        {
            before = before with
            {
                Sessions = FormerPlan.With(sessions, former.Choices),
                Elsewhere = was.Elsewhere is { } elsewhere ? [.. elsewhere.Select(e => e with { Sessions = FormerPlan.With(e.Sessions, []) })] : before.Elsewhere,
            };
        }

        if (!was.Lines.IsEmpty)
        {
            before = Changed(before, (place, line) => was.Lines.FirstOrDefault(l => l.Place == place && l.Line == line.Line) is { } old
                ? line with { Prescription = old.Prescription, Start = old.Start, Since = old.Since }
                : line);
        }

        return was.Weeks is { } weeks ? before with { Block = weeks.Block } : before;
    }

    /// <summary>Newest first: the day a line of the place in use began to be asked as it is in the plan so far, and the plan with what it was asked before.</summary>
    private static IEnumerable<(DateOnly On, Plan Before)> Asked(Plan plan, IReadOnlyList<FormerAsked> asked)
    {
        var lines = plan.Sessions.SelectMany(s => s.Lines).ToDictionary(l => l.Line);
        var steps =
            from line in asked.Where(a => lines.ContainsKey(a.Line)).GroupBy(a => a.Line)
            let days = line.GroupBy(a => a.On).OrderBy(g => g.Key).Select(g => (On: g.Key, g.First().As)).Where(d => d.As.Exercise == lines[line.Key].Prescription?.Exercise).ToArray()
            from i in Enumerable.Range(0, days.Length)
            let next = i + 1 < days.Length ? days[i + 1].As : lines[line.Key].Prescription!
            where !AsksTheSame(days[i].As, next)
            select (Line: line.Key, On: i + 1 < days.Length ? days[i + 1].On : days[i].On.AddDays(1), Was: days[i].As);
        foreach (var day in steps.GroupBy(s => s.On).OrderByDescending(g => g.Key))
        {
            var was = day.ToDictionary(s => s.Line, s => s.Was);
            plan = Changed(plan, (place, line) => place is null && was.TryGetValue(line.Line, out var old) ? line with { Prescription = old, Since = null } : line);
            yield return (day.Key, plan);
        }
    }

    private static bool AsksTheSame(Prescription a, Prescription b) =>
        a.Load == b.Load && a.Counts.SequenceEqual(b.Counts) && a.Style == b.Style && a.Form == b.Form && a.Rest == b.Rest && a.Geometry == b.Geometry;

    private static Plan Changed(Plan plan, Func<string?, PlannedLine, PlannedLine> change) => plan with
    {
        Sessions = [.. plan.Sessions.Select(s => s with { Lines = [.. s.Lines.Select(l => change(null, l))] })],
        Elsewhere = [.. plan.Elsewhere.Select(e => e with { Sessions = [.. e.Sessions.Select(s => s with { Lines = [.. s.Lines.Select(l => change(e.Place, l))] })] })],
    };
}
