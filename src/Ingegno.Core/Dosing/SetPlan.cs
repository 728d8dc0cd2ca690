using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>A partner's set in a superset, as the exercise in hand meets it in every round.</summary>
/// <param name="Lasts">Its work, both sides where one limb works.</param>
/// <param name="RestAfter">Before the next exercise of the round.</param>
/// <param name="Drain">What it drains of the budget in hand through shared muscles, 0 or more.</param>
/// <param name="ComesFirst">Its turn in a round is before the exercise in hand.</param>
public sealed record PartnerSet(Duration Lasts, Duration RestAfter, double Drain, bool ComesFirst)
{
    public Duration Time => Lasts + RestAfter;
}

/// <summary>Sets of one exercise as they would be done: what the forecast is asked about.</summary>
/// <param name="Repetitions">Planned per set, per side; for a rest-pause the bouts.</param>
/// <param name="Rest">As prescribed, from the end of a set (of both sides) to the next.</param>
/// <param name="Partners">Of a superset, in the order of the round; empty for an exercise that stands alone.</param>
public sealed record SetPlan(
    ImmutableArray<int> Repetitions, Mass Load, RepetitionStyle Style, Duration Rest, ImmutableArray<PartnerSet> Partners)
{
    /// <summary>Changing sides takes this long (common practice; coach).</summary>
    public static Duration SideSwitch { get; } = Duration.FromSeconds(10);

    public SetForm Form { get; init; } = SetForm.Straight;

    /// <summary>Rest one side gets between two sets: the other side's set and the partners' are rest for it.</summary>
    public Duration RestOfOneSide(Exercise exercise)
    {
        var rest = Rest + OtherSide(exercise);
        foreach (var partner in Partners)
        {
            rest += partner.Time;
        }

        return rest;
    }

    /// <summary>Time the other side takes; nothing where both work at once.</summary>
    private Duration OtherSide(Exercise exercise) =>
        exercise.Sides == Sides.OneAtATime ? SideSwitch + (Style.Lasts * MostRepetitions) : Duration.Zero;

    /// <summary>Asked for every count a search tries: without an enumerator.</summary>
    private int MostRepetitions
    {
        get
        {
            int most = 0;
            foreach (int count in Repetitions)
            {
                most = Math.Max(most, count);
            }

            return most;
        }
    }

    /// <summary>The same plan on one exercise, ready for a forecast.</summary>
    public SetSeries On(ExerciseEffort effort)
    {
        var demand = effort.DemandOf(Load);
        return On(effort, effort.CostOfRepetition(demand, Style), effort.EquivalentOf(demand), IntervalOn(effort));
    }

    internal SetSeries On(ExerciseEffort effort, double costOfRepetition, Demand equivalent, SetInterval interval) =>
        new(costOfRepetition, equivalent, Repetitions, interval, Style.Lasts)
        {
            Form = Form,
            CostOfHeldSecond = Form == SetForm.HoldToFatigue ? effort.CostOfHeldSecond(effort.DemandOf(Load)) : 0,
        };

    /// <summary>What lies between two sets of one side, partners' drains at their place in the round.</summary>
    internal SetInterval IntervalOn(ExerciseEffort effort)
    {
        var exercise = effort.Exercise;
        var own = Rest + OtherSide(exercise);
        if (Partners.All(p => p.Drain <= 0))
        {
            return SetInterval.Resting(RestOfOneSide(exercise), effort.Recovery);
        }

        PartnerSet[] behind = [.. Partners.Where(p => !p.ComesFirst)], before = [.. Partners.Where(p => p.ComesFirst)];
        return SetInterval.Of(Steps(Duration.Zero, before), Steps(own, [.. behind, .. before]), effort.Recovery);
    }

    private static ImmutableArray<IntervalStep> Steps(Duration resting, PartnerSet[] partners)
    {
        var steps = ImmutableArray.CreateBuilder<IntervalStep>();
        foreach (var partner in partners)
        {
            steps.Add(new(resting + partner.Lasts, partner.Drain));
            resting = partner.RestAfter;
        }

        steps.Add(new(resting, 0));
        return steps.ToImmutable();
    }

    /// <summary>The budget over time, for drawing.</summary>
    public ImmutableArray<BudgetPoint> Trace(ExerciseEffort effort) => SetForecast.Trace(On(effort));

    public ImmutableArray<ForecastSet> Forecast(ExerciseEffort effort) => SetForecast.Of(On(effort));
}
