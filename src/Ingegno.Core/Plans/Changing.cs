using System.Collections.Immutable;

namespace Ingegno.Core.Plans;

/// <summary>Lays changes on a plan, takes them back, and replays them.</summary>
public static class Changing
{
    /// <summary>The plan with this change; one that changes nothing gives the plan as it is.</summary>
    /// <param name="framing">Works the sessions touched out anew; null leaves them without minutes and drills.</param>
    public static Plan With(this Plan plan, PlanChange change, Framing? framing)
    {
        if (change.Lines.IsEmpty && change.Text is null && change.Weeks is null)
        {
            return plan;
        }

        var states = LineStates.Of(plan);
        foreach (var delta in change.Lines)
        {
            if (delta.After is { } after)
            {
                states[(delta.Place, delta.Line)] = after;
            }
            else
            {
                states.Remove((delta.Place, delta.Line));
            }
        }

        var arranged = change.Text?.After ?? LineStates.ArrangementOf(plan);
        var with = LineStates.Together(plan, arranged with { Places = InOrderOf(plan, arranged.Places) }, states, framing);
        return with with
        {
            Block = change.Weeks is { } weeks ? weeks.After : plan.Block,
            SavedAt = change.At,
            Versions = Counted(plan, change),
        };
    }

    /// <summary>Which place is in use is no part of a change: it is in front now as it was.</summary>
    private static ImmutableArray<ArrangedPlace> InOrderOf(Plan plan, ImmutableArray<ArrangedPlace> places)
    {
        string[] order = [.. plan.Places.Select(p => p.Place)];
        return [.. places.OrderBy(p => Array.IndexOf(order, p.Place) is >= 0 and var at ? at : int.MaxValue)];
    }

    private static ImmutableArray<LineVersion> Counted(Plan plan, PlanChange change)
    {
        var versions = plan.Versions.ToDictionary(v => v.Line, v => v.Version);
        foreach (int line in change.Lines.Select(l => l.Line % PlannedLine.AddedFrom).Distinct())
        {
            versions[line] = versions.GetValueOrDefault(line) + 1;
        }

        return [.. versions.OrderBy(v => v.Key).Select(v => new LineVersion(v.Key, v.Value))];
    }

    /// <summary>The change as what lies between two plans.</summary>
    public static PlanChange Between(this PlanChange change, Plan before, Plan after)
    {
        var (was, now) = (LineStates.Of(before), LineStates.Of(after));
        var (from, to) = (LineStates.ArrangementOf(before), LineStates.ArrangementOf(after));
        return change with
        {
            Lines =
            [
                .. from key in was.Keys.Union(now.Keys)
                   let old = was.GetValueOrDefault(key)
                   let @new = now.GetValueOrDefault(key)
                   where !LineStates.Same(old, @new)
                   select new LineDelta(key.Place, key.Line, old, @new),
            ],
            Text = LineStates.Same(from, to) ? null : new(from, to),
            Weeks = LineStates.Same(before.Block, after.Block) ? null : new(before.Block, after.Block),
        };
    }

    /// <summary>What the list of changes comes to, from nothing.</summary>
    public static Plan Replayed(IEnumerable<PlanChange> changes, Framing? framing = null) =>
        changes.Aggregate(Plan.Empty, (plan, change) => plan.With(change, framing));

    /// <summary>Changes that were taken back and not brought back since.</summary>
    public static IReadOnlySet<Guid> Undone(IReadOnlyCollection<PlanChange> changes)
    {
        var undone = new HashSet<Guid>();
        // Newest first: what was taken back itself takes nothing back.
        foreach (var change in changes.Reverse())
        {
            if (change.Undoes is { } what && !undone.Contains(change.Id))
            {
                undone.Add(what);
            }
        }

        return undone;
    }

    /// <summary>Why a change cannot be taken back any more; null where it can.</summary>
    public static string? AgainstUndoing(this Plan plan, PlanChange change, IReadOnlySet<Guid> undone)
    {
        if (undone.Contains(change.Id))
        {
            return "This was taken back already.";
        }

        if (change.IsNote)
        {
            return "Nothing was changed by it.";
        }

        var states = LineStates.Of(plan);
        foreach (var delta in change.Lines)
        {
            var now = states.GetValueOrDefault((delta.Place, delta.Line));
            if (!LineStates.Same(now, delta.After))
            {
                string name = (now ?? delta.After ?? delta.Before)!.Prescription?.Name ?? (now ?? delta.After ?? delta.Before)!.Written;
                return now is null ? $"{name} is not in the plan any more: take back first what took it out." : $"{name} was changed again since: take that back first, or change the line on the bench.";
            }
        }

        if (change.Text is { } text && !LineStates.Same(Unordered(LineStates.ArrangementOf(plan)), Unordered(text.After)))
        {
            return "The text was changed again since: take that back first, or type it on the bench.";
        }

        return change.Weeks is { } weeks && !LineStates.Same(plan.Block, weeks.After) ? "The weeks were changed again since: change them on the block." : null;
    }

    private static Arrangement Unordered(Arrangement arranged) => arranged with { Places = [.. arranged.Places.OrderBy(p => p.Place, StringComparer.Ordinal)] };
}
