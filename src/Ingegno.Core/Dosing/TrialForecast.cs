using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What sets tried out in thought come to.</summary>
/// <param name="ToFailure">Rested, in this style; four of five times in its range.</param>
/// <param name="Sets">In order; of a rest-pause its bouts.</param>
/// <param name="Budget">Of one side over time, of the body as estimated; <paramref name="BudgetWeaker"/> and <paramref name="BudgetStronger"/> of one at the ends of its range.</param>
/// <param name="Lasts">From the first repetition to the last, both sides and rests counted.</param>
/// <param name="RestToRepeat">Shortest rest after the first set that lets it be repeated; null where none does.</param>
/// <param name="HoldLasts">A pure hold at the hard end, rested; null where the exercise is unloaded there.</param>
/// <param name="Goal">The row of the goal table these repetitions belong to.</param>
/// <param name="Story">How each figure came about.</param>
public sealed record TrialForecast(
    StrengthAnchor Anchor, Share BodyMoved, Mass Resistance, Demand Demand, Demand Equivalent,
    RepetitionRange ToFailure, ImmutableArray<ForecastSet> Sets, double Effective, EffectiveRange EffectiveRange, SetTotals Totals,
    ImmutableArray<BudgetPoint> Budget, ImmutableArray<BudgetPoint> BudgetWeaker, ImmutableArray<BudgetPoint> BudgetStronger,
    Duration Lasts, Duration? RestToRepeat, Duration? HoldLasts, GoalRow Goal, ImmutableArray<string> Told, ImmutableArray<Explained> Story)
{
    /// <summary>Works a trial out; null with the reason where it is refused.</summary>
    /// <param name="trial">Without problems of its own.</param>
    public static (TrialForecast? Forecast, InputProblem? Refused) Of(SetTrial trial, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        var geometry = trial.Geometry ?? new Geometry();
        var effort = new ExerciseEffort(exercise, client, anchor, geometry);
        var demand = effort.DemandOf(trial.Load);
        if (Refusal(demand, effort, anchor) is { } refusal)
        {
            return (null, new("load", refusal));
        }

        double cost = effort.CostOfRepetition(demand, trial.Style);
        var plan = PlanOf(trial, cost);
        var fresh = new SetPlan([1], trial.Load, trial.Style, trial.Rest, []);
        var sets = plan.Forecast(effort);
        double effective = sets.Sum(s => s.Effective);
        var (weaker, stronger) = Foreseen.Ends(plan, geometry, exercise, client, anchor);
        return (new(
            anchor, effort.BodyMoved, effort.ResistanceOf(trial.Load), demand, effort.EquivalentOf(demand),
            Foreseen.Of(fresh, geometry, exercise, client, anchor)[0], sets, effective, Foreseen.Given(plan, geometry, exercise, client, anchor),
            SetTotals.Of(plan, effort, effective),
            plan.Trace(effort), plan.Trace(At(weaker)), plan.Trace(At(stronger)),
            LastsOf(plan, exercise, sets),
            SetForecast.RestToRepeat(cost, plan.Repetitions[0]),
            exercise.LoadedAfterLowering || exercise.LoadedAfterLifting ? Duration.FromSeconds(1 / effort.CostOfHeldSecond(demand)) : null,
            GoalTable.For(null, plan.Repetitions[0]),
            [.. TechniqueWords.Of(exercise, trial.Style, trial.Form, plan.Repetitions)],
            ForecastStory.Of(plan, effort, demand, client, anchor)), null);

        ExerciseEffort At(StrengthAnchor body) => new(exercise, client, body, geometry);
    }

    private static string? Refusal(Demand demand, ExerciseEffort effort, StrengthAnchor anchor) =>
        demand < RepetitionCost.LeastDemand
            ? "No resistance: under a twentieth of the maximum nothing is computed. Take more load, or more of the body."
        : demand > effort.MostDemand
            ? effort.Exercise.IsLoweringOnly
                ? $"Heavier than can be lowered under control: {demand} of the estimated maximum, at most {effort.MostDemand}. Take less load or more help."
                : $"Heavier than the estimated maximum of {anchor.Maximum}: take less load, or only lower it."
        : null;

    /// <summary>A rest-pause is written by its first bout; the small ones follow from it.</summary>
    private static SetPlan PlanOf(SetTrial trial, double cost) =>
        new(trial.Form == SetForm.RestPause ? Bouts(trial.Repetitions[0], cost) : trial.Repetitions, trial.Load, trial.Style, trial.Rest, [])
        {
            Form = trial.Form,
        };

    private static ImmutableArray<int> Bouts(int first, double cost) =>
        RestPause.Bouts(cost, first, 2 * first, 0, RestPause.UsualRest);

    private static Duration LastsOf(SetPlan plan, Exercise exercise, ImmutableArray<ForecastSet> sets)
    {
        int sides = exercise.Sides == Exercises.Sides.OneAtATime ? 2 : 1;
        var work = (plan.Style.Lasts * plan.Repetitions.Sum() + Duration.FromSeconds(sets.Sum(s => s.HeldSeconds))) * sides;
        var switches = SetPlan.SideSwitch * ((sides - 1) * plan.Repetitions.Length);
        var rest = plan.Form == SetForm.RestPause ? RestPause.UsualRest : plan.Rest;
        var pushes = plan.Form == SetForm.PushFirst ? SetForecast.PushLasts * (plan.Repetitions.Length * sides) : Duration.Zero;
        return work + switches + pushes + (rest * (plan.Repetitions.Length - 1));
    }
}
