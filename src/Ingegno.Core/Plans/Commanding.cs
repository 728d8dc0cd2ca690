using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Progression;

namespace Ingegno.Core.Plans;

/// <summary>A step of next week as a coach takes it.</summary>
/// <param name="Place">Where the line is done so.</param>
/// <param name="LastLogged">Its last set, which earned the step; null where none was logged.</param>
public sealed record TakenStep(string Place, int Line, Step Step, DateOnly? LastLogged);

/// <summary>The commands on a plan beside those of the bench (<see cref="PlanBench"/>).</summary>
public static class Commanding
{
    /// <summary>Each step becomes what its line asks; steps that name nothing to come are passed over.</summary>
    public static PlanOutcome Take(this Plan plan, IReadOnlyList<TakenStep> steps, Framing framing, Commanded by)
    {
        var states = LineStates.Of(plan);
        var changes = new List<PlanChange>();
        foreach (var step in steps.Where(s => s.Step.Next is not null))
        {
            if (!states.TryGetValue((step.Place, step.Line), out var was) || was.Prescription is not { } asked)
            {
                return PlanOutcome.Refused(plan, $"{step.Step.Next!.Name} is not in the plan any more.", stale: true);
            }

            changes.Add(new(by.IdOf(changes.Count), by.Command, by.On, by.At, ChangeKind.Stepped, by.Who, step.Step.Sentence)
            {
                Lines =
                [
                    new(step.Place, step.Line, was, was with
                    {
                        Prescription = step.Step.Next,
                        // Repetitions climb from where they started; anything else starts anew.
                        Start = step.Step.Kind == StepKind.Repetitions ? was.Start ?? asked : step.Step.Next,
                        // Sets are judged by what they were asked as: with the same load the sessions before go on counting.
                        Since = step.Step.Kind == StepKind.Repetitions ? was.Since : step.LastLogged?.AddDays(1) ?? was.Since,
                    }),
                ],
            });
        }

        return Done(plan, changes, framing);
    }

    /// <summary>Other weeks: shifted, or one made easier.</summary>
    public static PlanOutcome Over(this Plan plan, Block? weeks, ChangeKind kind, string cause, Commanded by) =>
        Done(plan, [new(by.IdOf(0), by.Command, by.On, by.At, kind, by.Who, cause) { Weeks = new(plan.Block, weeks) }], null);

    /// <summary>A decision that leaves the lines as they are.</summary>
    public static PlanOutcome Noted(this Plan plan, ChangeKind kind, string cause, ImmutableArray<int> lines, Commanded by) =>
        Done(plan, [new(by.IdOf(0), by.Command, by.On, by.At, kind, by.Who, cause) { Concerns = lines }], null);

    /// <summary>A place is given up: what was planned there goes, its log stays.</summary>
    public static PlanOutcome Without(this Plan plan, string place, string name, Commanded by)
    {
        if (plan.Places.All(p => p.Place != place))
        {
            return new(plan, []);
        }

        var arranged = LineStates.ArrangementOf(plan);
        return Done(
            plan,
            [
                new(by.IdOf(0), by.Command, by.On, by.At, ChangeKind.WentOver, by.Who, $"{name} was taken out, and what was planned there with it; its log is kept.")
                {
                    Lines = [.. LineStates.Of(plan).Where(s => s.Key.Place == place).Select(s => new LineDelta(place, s.Key.Line, s.Value, null))],
                    Text = new(arranged, arranged with { Places = [.. arranged.Places.Where(p => p.Place != place)] }),
                },
            ],
            null);
    }

    /// <summary>Takes changes back, newest first, by appending what is their inverse.</summary>
    /// <param name="changes">The whole list, oldest first.</param>
    public static PlanOutcome Undo(this Plan plan, IReadOnlyList<PlanChange> changes, Func<PlanChange, bool> which, Framing framing, Commanded by)
    {
        var undone = Changing.Undone(changes);
        PlanChange[] back = [.. changes.Where(c => which(c) && !undone.Contains(c.Id) && !c.IsNote).Reverse()];
        if (back.Length == 0)
        {
            return PlanOutcome.Refused(plan, "This was taken back already.");
        }

        var inverses = new List<PlanChange>();
        var now = plan;
        foreach (var change in back)
        {
            if (now.AgainstUndoing(change, undone) is { } against)
            {
                return PlanOutcome.Refused(plan, against);
            }

            inverses.Add(change.Inverse(by.IdOf(inverses.Count), by.Command, by.On, by.At, by.Who));
            now = now.With(inverses[^1], framing);
        }

        return new(now, [.. inverses]);
    }

    private static PlanOutcome Done(Plan plan, IReadOnlyList<PlanChange> changes, Framing? framing) =>
        new(changes.Aggregate(plan, (p, change) => p.With(change, framing)), [.. changes]);
}
