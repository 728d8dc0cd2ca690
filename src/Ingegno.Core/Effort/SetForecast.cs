using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>What one set of a series comes to.</summary>
/// <param name="Planned">Repetitions planned.</param>
/// <param name="ToFailure">Repetitions possible from where the set starts, fractions kept.</param>
/// <param name="Effective">Repetitions that count for growth or strength.</param>
public sealed record ForecastSet(int Planned, double ToFailure, double Effective)
{
    /// <summary>Repetitions in reserve; negative when the set cannot be done as planned.</summary>
    public double Reserve => ToFailure - Planned;
}

/// <summary>How much of the budget is drained at a moment.</summary>
/// <param name="At">From the first repetition.</param>
/// <param name="Drained">0 rested, 1 failure.</param>
public readonly record struct BudgetPoint(Duration At, double Drained);

/// <summary>Sets of one exercise, one after the other, on one budget.</summary>
public static class SetForecast
{
    /// <summary>From this equivalent demand up, every repetition is effective.</summary>
    private static readonly Demand AllCount = Demand.Of(0.85);

    /// <summary>Under this a set counts for endurance, not growth (Lasevicius et al. 2018, Eur J Sport Sci 18:772-780; Schoenfeld et al. 2021, Sports 9:32).</summary>
    public static Demand GrowthFloor { get; } = Demand.Of(0.30);

    /// <summary>Repetitions before failure that count (common practice).</summary>
    private const double EffectiveSpan = 5;

    /// <param name="costOfRepetition">From <see cref="RepetitionCost"/>.</param>
    /// <param name="repetitions">Planned per set; at least one set.</param>
    /// <param name="rest">Between sets, for one side.</param>
    /// <param name="equivalent">Equivalent demand, for what counts.</param>
    public static ImmutableArray<ForecastSet> Series(
        double costOfRepetition, IReadOnlyList<int> repetitions, Duration rest, Demand equivalent)
    {
        var sets = ImmutableArray.CreateBuilder<ForecastSet>(repetitions.Count);
        var budget = EffortBudget.Rested;
        foreach (int planned in repetitions)
        {
            double toFailure = budget.Left / costOfRepetition;
            sets.Add(new ForecastSet(planned, toFailure, Effective(planned, toFailure, equivalent)));
            budget = budget.AfterWork(Math.Min(planned, toFailure) * costOfRepetition).AfterRest(rest);
        }

        return sets.MoveToImmutable();
    }

    /// <summary>The budget drained over time, sampled for drawing: rising through each set, falling through each rest.</summary>
    /// <param name="repetition">How long one repetition takes.</param>
    public static ImmutableArray<BudgetPoint> Trace(
        double costOfRepetition, IReadOnlyList<int> repetitions, Duration rest, Duration repetition)
    {
        var points = ImmutableArray.CreateBuilder<BudgetPoint>();
        var budget = EffortBudget.Rested;
        var now = Duration.Zero;
        points.Add(new(now, 0));
        for (int set = 0; set < repetitions.Count; set++)
        {
            double done = Math.Min(repetitions[set], budget.Left / costOfRepetition);
            budget = budget.AfterWork(done * costOfRepetition);
            now += repetition * done;
            points.Add(new(now, budget.Drained));
            for (int i = 1; i <= RestSamples && set < repetitions.Count - 1; i++)
            {
                points.Add(new(now + (rest * ((double)i / RestSamples)), budget.AfterRest(rest * ((double)i / RestSamples)).Drained));
            }

            budget = budget.AfterRest(rest);
            now += rest;
        }

        return points.ToImmutable();
    }

    private const int RestSamples = 12;

    /// <summary>
    /// max(0, 5 - reserve), never more than were done; all of them from equivalent demand 0.85 up, none under 0.30.
    /// </summary>
    public static double Effective(double planned, double toFailure, Demand equivalent)
    {
        double done = Math.Min(planned, Math.Floor(toFailure + 1e-9));
        if (equivalent < GrowthFloor || done <= 0)
        {
            return 0;
        }

        return equivalent >= AllCount
            ? done
            : Math.Clamp(EffectiveSpan - Math.Max(0, toFailure - planned), 0, done);
    }
}
