using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>Sets of one exercise as they would be done: what the forecast is asked about.</summary>
/// <param name="Rest">As prescribed, from the end of a set (of both sides) to the next.</param>
/// <param name="PartnerTime">Work and rests of the partners of a superset between two sets.</param>
public sealed record SetPlan(
    ImmutableArray<int> Repetitions, Mass Load, Tempo Tempo, Duration Rest, Duration PartnerTime)
{
    /// <summary>Changing sides takes this long (common practice; coach).</summary>
    public static Duration SideSwitch { get; } = Duration.FromSeconds(10);

    /// <summary>Rest one side gets: the other side's set is rest for it.</summary>
    public Duration RestOfOneSide(Exercise exercise)
    {
        var rest = Rest + PartnerTime;
        return exercise.Sides == Sides.OneAtATime
            ? rest + SideSwitch + Duration.FromSeconds(Repetitions.Max() * Tempo.Seconds)
            : rest;
    }

    /// <summary>The budget over time, for drawing.</summary>
    public ImmutableArray<BudgetPoint> Trace(ExerciseEffort effort) =>
        SetForecast.Trace(
            effort.CostOfRepetition(effort.DemandOf(Load), Tempo),
            Repetitions,
            RestOfOneSide(effort.Exercise),
            Duration.FromSeconds(Tempo.Seconds));

    public ImmutableArray<ForecastSet> Forecast(ExerciseEffort effort)
    {
        var demand = effort.DemandOf(Load);
        return SetForecast.Series(
            effort.CostOfRepetition(demand, Tempo),
            Repetitions,
            RestOfOneSide(effort.Exercise),
            effort.EquivalentOf(demand));
    }
}
