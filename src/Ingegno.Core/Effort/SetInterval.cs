using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>Time passes resting, then something is drained: a partner's set on muscles both share.</summary>
/// <param name="Drain">Part of this exercise's budget, 0 or more.</param>
public readonly record struct IntervalStep(Duration Time, double Drain);

/// <summary>
/// What lies between two sets of one side: its own rest, and in a superset the partners' sets, which are rest for what they
/// do not work and drain what they share. Built once, walked for every set.
/// </summary>
public sealed class SetInterval
{
    private readonly (Recovery Recovery, double Drain)[] _opening;
    private readonly (Recovery Recovery, double Drain)[] _between;

    private SetInterval(ImmutableArray<IntervalStep> opening, ImmutableArray<IntervalStep> between, double recovery)
    {
        (Opening, Between, Pace) = (opening, between, recovery);
        _opening = [.. opening.Select(Prepared)];
        _between = [.. between.Select(Prepared)];

        (Recovery Recovery, double Drain) Prepared(IntervalStep step) => (Recovery.Over(step.Time * recovery), step.Drain);
    }

    /// <summary>What comes before the first set: partners whose turn is earlier. Empty for an exercise that stands alone.</summary>
    public ImmutableArray<IntervalStep> Opening { get; }

    /// <summary>A rest counts as so many times its length.</summary>
    public double Pace { get; }

    /// <summary>In order, from the end of a set to the start of the next.</summary>
    public ImmutableArray<IntervalStep> Between { get; }

    /// <param name="recovery">A rest counts as so many times its length; 1 for most.</param>
    public static SetInterval Resting(Duration rest, double recovery = 1) => new([], [new IntervalStep(rest, 0)], recovery);

    /// <param name="opening">Before the first set.</param>
    /// <param name="between">Between two sets; at least one step.</param>
    /// <param name="recovery">A rest counts as so many times its length; 1 for most.</param>
    public static SetInterval Of(ImmutableArray<IntervalStep> opening, ImmutableArray<IntervalStep> between, double recovery = 1) =>
        new(opening, between, recovery);

    internal EffortBudget BeforeFirst(EffortBudget budget) => After(budget, _opening);

    internal EffortBudget BeforeNext(EffortBudget budget) => After(budget, _between);

    private static EffortBudget After(EffortBudget budget, (Recovery Recovery, double Drain)[] steps)
    {
        foreach (var (recovery, drain) in steps)
        {
            budget = budget.AfterRest(recovery);
            if (drain > 0)
            {
                budget = budget.AfterWork(Math.Min(drain, budget.Left));
            }
        }

        return budget;
    }
}
