using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// Rest-pause: a set near failure, then small sets after short rests until a count is reached. Never on a heavy or risky
/// lift.
/// </summary>
public static class RestPause
{
    public static Duration UsualRest { get; } = Duration.FromSeconds(20);

    /// <summary>More bouts than this and the load is too heavy for it (common practice).</summary>
    public const int MostBouts = 8;

    /// <summary>The size of each bout, the first one included.</summary>
    /// <param name="costOfRepetition">Part of the budget, above 0.</param>
    /// <param name="first">Repetitions of the first bout.</param>
    /// <param name="total">To be reached; twice the first to match it.</param>
    /// <param name="reserve">Whole repetitions left at the end of each small bout.</param>
    /// <param name="rest">Between bouts, with the load put down.</param>
    /// <returns>Bouts in order, each at least 1; short of the total where a bout would come to nothing or there would be too many.</returns>
    public static ImmutableArray<int> Bouts(double costOfRepetition, int first, int total, double reserve, Duration rest)
    {
        var bouts = ImmutableArray.CreateBuilder<int>();
        var recovery = Recovery.Over(rest);
        var budget = EffortBudget.Rested;
        int left = total, next = Math.Min(first, left);
        while (next > 0 && bouts.Count < MostBouts)
        {
            bouts.Add(next);
            left -= next;
            budget = budget.AfterWork(Math.Min(next * costOfRepetition, budget.Left)).AfterRest(recovery);
            next = Math.Min(left, (int)Math.Floor((budget.Left / costOfRepetition) - reserve + 1e-9));
        }

        return bouts.ToImmutable();
    }

    /// <summary>Bouts that take every set to failure, for a total that is fixed: "18 repetitions, 20 s between".</summary>
    public static ImmutableArray<int> ToFailure(double costOfRepetition, int total, Duration rest) =>
        Bouts(costOfRepetition, (int)Math.Floor((1 / costOfRepetition) + 1e-9), total, 0, rest);
}
