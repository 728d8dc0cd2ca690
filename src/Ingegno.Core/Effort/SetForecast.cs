using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>What one set of a series comes to.</summary>
/// <param name="Planned">Repetitions planned.</param>
/// <param name="ToFailure">Repetitions possible from where the set starts, fractions kept.</param>
/// <param name="Effective">Repetitions that count for growth or strength.</param>
/// <param name="HeldSeconds">Held at the end of the set; 0 where nothing is.</param>
public sealed record ForecastSet(int Planned, double ToFailure, double Effective, double HeldSeconds = 0)
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
    public static Demand AllCount { get; } = Demand.Of(0.85);

    /// <summary>
    /// From here down a set counts less and less for growth: all of it at 0.35, half at 0.20 (twenty percent still gave about half the growth,
    /// Lasevicius et al. 2018, Eur J Sport Sci 18:772-780, from memory), none at 0.10 (our convention).
    /// </summary>
    public static Demand FullCredit { get; } = Demand.Of(0.35);

    /// <summary>Half of it counts: lighter is too light to build on.</summary>
    public static Demand HalfCredit { get; } = Demand.Of(0.20);

    private static readonly Demand NoCredit = Demand.Of(0.10);

    /// <summary>The part of a set's effective repetitions that counts, 0 to 1, rising with the demand.</summary>
    public static double Credit(Demand equivalent) =>
        equivalent >= FullCredit ? 1
        : equivalent >= HalfCredit ? 0.5 + (0.5 * (equivalent.Value - HalfCredit.Value) / (FullCredit.Value - HalfCredit.Value))
        : Math.Max(0, 0.5 * (equivalent.Value - NoCredit.Value) / (HalfCredit.Value - NoCredit.Value));

    /// <summary>Repetitions before failure that count, and seconds held that count as one (common practice).</summary>
    public const double EffectiveSpan = 5, HeldSecondsARepetition = 3;

    /// <summary>A maximal push before a set lasts so long.</summary>
    public static Duration PushLasts { get; } = Duration.FromSeconds(25);

    private const int RestSamples = 12;

    /// <summary>Straight sets.</summary>
    /// <param name="costOfRepetition">From <see cref="RepetitionCost"/>.</param>
    /// <param name="repetitions">Planned per set; at least one set.</param>
    /// <param name="rest">Between sets, for one side.</param>
    /// <param name="equivalent">Equivalent demand, for what counts.</param>
    public static ImmutableArray<ForecastSet> Series(
        double costOfRepetition, IReadOnlyList<int> repetitions, Duration rest, Demand equivalent) =>
        Of(new SetSeries(costOfRepetition, equivalent, [.. repetitions], SetInterval.Resting(rest), Duration.Zero));

    /// <summary>Sets of any form, with what lies between them.</summary>
    public static ImmutableArray<ForecastSet> Of(SetSeries series)
    {
        var sets = ImmutableArray.CreateBuilder<ForecastSet>(series.Repetitions.Length);
        var budget = series.Interval.BeforeFirst(EffortBudget.Rested);
        for (int i = 0; i < series.Repetitions.Length; i++)
        {
            budget = i == 0 ? budget : Between(budget, series);
            (budget, var set) = OneSet(budget, series, series.Repetitions[i]);
            sets.Add(set);
        }

        return sets.DrainToImmutable();
    }

    /// <summary>
    /// The last set's repetitions to failure, and how little any set leaves: what a search asks again and again, without
    /// building the sets.
    /// </summary>
    internal static SeriesEnd EndOf(SetSeries series)
    {
        var budget = series.Interval.BeforeFirst(EffortBudget.Rested);
        double least = double.PositiveInfinity, toFailure = 0, effective = 0;
        for (int i = 0; i < series.Repetitions.Length; i++)
        {
            budget = i == 0 ? budget : Between(budget, series);
            int planned = series.Repetitions[i];
            (budget, toFailure, double held) = Worked(budget, series, planned);
            least = Math.Min(least, toFailure - planned);
            effective += EffectiveOf(planned, toFailure, held, series);
        }

        return new(toFailure, least, effective);
    }

    /// <summary>The budget drained over time, sampled for drawing: rising through each set, falling through each rest.</summary>
    public static ImmutableArray<BudgetPoint> Trace(SetSeries series)
    {
        var points = ImmutableArray.CreateBuilder<BudgetPoint>();
        var budget = EffortBudget.Rested;
        var now = Duration.Zero;
        points.Add(new(now, 0));
        Rest(series.Interval.Opening);
        for (int i = 0; i < series.Repetitions.Length; i++)
        {
            if (i > 0)
            {
                Rest(series.Form == SetForm.RestPause ? [new IntervalStep(series.ShortRest, 0)] : series.Interval.Between);
            }

            if (series.Form == SetForm.PushFirst)
            {
                now += PushLasts;
                points.Add(new(now, budget.AfterMaximalPush().Drained));
            }

            double done = Math.Min(series.Repetitions[i], ToFailure(budget, series));
            (budget, _, double held) = Worked(budget, series, series.Repetitions[i]);
            now += series.RepetitionLasts * done;
            points.Add(new(now, budget.Drained - (held * series.CostOfHeldSecond)));
            if (held > 0)
            {
                now += Duration.FromSeconds(held);
                points.Add(new(now, budget.Drained));
            }
        }

        return points.ToImmutable();

        void Rest(ImmutableArray<IntervalStep> steps)
        {
            foreach (var step in steps)
            {
                for (int i = 1; i <= RestSamples && step.Time > Duration.Zero; i++)
                {
                    var part = step.Time * ((double)i / RestSamples);
                    points.Add(new(now + part, budget.AfterRest(part * series.Interval.Pace).Drained));
                }

                budget = budget.AfterRest(step.Time * series.Interval.Pace);
                now += step.Time;
                if (step.Drain > 0)
                {
                    budget = budget.AfterWork(Math.Min(step.Drain, budget.Left));
                    points.Add(new(now, budget.Drained));
                }
            }
        }
    }

    /// <summary>The trace of straight sets.</summary>
    /// <param name="repetition">How long one repetition takes.</param>
    public static ImmutableArray<BudgetPoint> Trace(
        double costOfRepetition, IReadOnlyList<int> repetitions, Duration rest, Duration repetition) =>
        Trace(new SetSeries(costOfRepetition, Demand.Of(1), [.. repetitions], SetInterval.Resting(rest), repetition));

    /// <summary>
    /// The shortest rest after a set of so many repetitions, rested before, whose next forecast is at least one repetition
    /// more: long enough to repeat the set. Null where no rest is, the set having been near the most there is.
    /// </summary>
    public static Duration? RestToRepeat(double costOfRepetition, int planned)
    {
        const double longest = 30 * 60;
        var after = EffortBudget.Rested.AfterWork(Math.Min(1, planned * costOfRepetition));
        if (Next(longest) < planned + 1)
        {
            return null;
        }

        double low = 0, high = longest;
        while (high - low > 0.5)
        {
            double middle = (low + high) / 2;
            (low, high) = Next(middle) < planned + 1 ? (middle, high) : (low, middle);
        }

        return Duration.FromSeconds(Math.Ceiling(high));

        double Next(double seconds) => after.AfterRest(Duration.FromSeconds(seconds)).Left / costOfRepetition;
    }

    private static EffortBudget Between(EffortBudget budget, SetSeries series) =>
        series.Form == SetForm.RestPause ? budget.AfterRest(series.ShortRest) : series.Interval.BeforeNext(budget);

    private static (EffortBudget Budget, ForecastSet Set) OneSet(EffortBudget budget, SetSeries series, int planned)
    {
        (budget, double toFailure, double held) = Worked(budget, series, planned);
        return (budget, new ForecastSet(planned, toFailure, EffectiveOf(planned, toFailure, held, series), held));
    }

    /// <summary>A set done: a set short of failure drains what its repetitions cost, no more.</summary>
    private static (EffortBudget After, double ToFailure, double Held) Worked(EffortBudget budget, SetSeries series, int planned)
    {
        budget = series.Form == SetForm.PushFirst ? budget.AfterMaximalPush() : budget;
        double toFailure = budget.Left / series.CostOfRepetition;
        budget = budget.AfterWork(Math.Min(planned, toFailure) * series.CostOfRepetition);
        if (series.Form != SetForm.HoldToFatigue || series.CostOfHeldSecond <= 0)
        {
            return (budget, toFailure, 0);
        }

        double held = budget.Left / series.CostOfHeldSecond;
        return (budget.AfterWork(budget.Left), toFailure, held);
    }

    private static double ToFailure(EffortBudget budget, SetSeries series) =>
        (series.Form == SetForm.PushFirst ? budget.AfterMaximalPush() : budget).Left / series.CostOfRepetition;

    /// <summary>A hold to fatigue ends at failure, so its last seconds count, one repetition per three.</summary>
    private static double EffectiveOf(int planned, double toFailure, double held, SetSeries series)
    {
        double byRepetitions = Effective(planned, toFailure, series.Equivalent);
        double credit = Credit(series.Equivalent);
        return held <= 0 ? byRepetitions : Math.Max(byRepetitions, Math.Min(EffectiveSpan * credit, byRepetitions + (credit * held / HeldSecondsARepetition)));
    }

    /// <summary>
    /// max(0, 5 - reserve), never more than were done; all of them from equivalent demand 0.85 up, fewer under 0.35.
    /// </summary>
    public static double Effective(double planned, double toFailure, Demand equivalent)
    {
        double done = Math.Min(planned, Math.Floor(toFailure + 1e-9));
        if (done <= 0)
        {
            return 0;
        }

        return equivalent >= AllCount
            ? done
            : Credit(equivalent) * Math.Clamp(EffectiveSpan - Math.Max(0, toFailure - planned), 0, done);
    }
}

/// <summary>Where a series ends.</summary>
/// <param name="LastToFailure">Repetitions the last set could go to.</param>
/// <param name="LeastReserve">The smallest reserve of any set.</param>
/// <param name="Effective">Of all sets together.</param>
internal readonly record struct SeriesEnd(double LastToFailure, double LeastReserve, double Effective);
