using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>A set as done, and by whom.</summary>
/// <param name="Tempo">Null for an ordinary one.</param>
/// <param name="BudgetLeft">What earlier sets had left, over 0 to 1; 1 when rested.</param>
public sealed record MaximumForm(
    ClientProfile Client, string Exercise, Mass Load, int Repetitions, double Reserve = 0, Tempo? Tempo = null, double BudgetLeft = 1, Geometry? Geometry = null);

/// <summary>A published formula's answer for the same set.</summary>
public sealed record FormulaMaximum(string Name, Mass Maximum);

/// <summary>What so many repetitions would be possible with.</summary>
public sealed record RepetitionLoad(int Repetitions, Mass Load, Demand Demand);

/// <summary>The maximum the set tells of.</summary>
/// <param name="Formulas">Beside it, for external loads and fresh plain sets of 2 to 10 only; else empty.</param>
/// <param name="Loads">Loads for 1 to 20 fresh repetitions by the same curve.</param>
public sealed record MaximumView(
    StrengthAnchor Anchor, Mass Low, Mass High, ImmutableArray<FormulaMaximum> Formulas, ImmutableArray<RepetitionLoad> Loads);

/// <summary>From a set to a maximum, and back to loads.</summary>
internal static class MaximumEngine
{
    private const int MostRepetitions = 100, MostInTable = 20;

    internal static Results<Ok<MaximumView>, ValidationProblem> Estimate(MaximumForm form)
    {
        List<InputProblem> problems = [.. ClientProblems.Of(form.Client, Catalogue.Shipped).Select(p => p with { Path = $"client.{p.Path}" }), .. Own(form)];
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var exercise = Catalogue.Shipped[form.Exercise];
        var geometry = form.Geometry ?? new Geometry();
        var set = new KnownLift(form.Exercise, form.Load, form.Repetitions, form.Reserve);
        var tempo = form.Tempo ?? Tempo.Reference;
        var met = Resistance.Of(exercise.Load, form.Load, Resistance.BodyMoved(exercise.Load, form.Client, geometry), form.Client.BodyMass);
        if (met <= Mass.Zero)
        {
            return Answers.Invalid([new("load", "Nothing is lifted in this set: give a load over zero.")]);
        }

        var anchor = MaximumEstimate.FromSet(exercise, form.Client, set, geometry, tempo, form.BudgetLeft);
        var effort = new ExerciseEffort(exercise, form.Client, anchor, geometry);
        return TypedResults.Ok(new MaximumView(
            anchor, anchor.Low, anchor.High,
            exercise.Load.Body == BodyModel.None && tempo == Tempo.Reference && form is { BudgetLeft: 1, Reserve: 0, Repetitions: >= 2 and <= 10 }
                ? Formulas(form.Load, form.Repetitions)
                : [],
            [.. Enumerable.Range(1, MostInTable).Select(n => LoadFor(n, effort))]));
    }

    private static RepetitionLoad LoadFor(int repetitions, ExerciseEffort effort)
    {
        var demand = effort.DemandForRepetitions(repetitions);
        return new(repetitions, effort.LoadFor(demand), demand);
    }

    private static ImmutableArray<FormulaMaximum> Formulas(Mass load, int repetitions) =>
    [
        new("Epley", MaximumFormulas.Epley(load, repetitions)), new("Brzycki", MaximumFormulas.Brzycki(load, repetitions)),
        new("Lombardi", MaximumFormulas.Lombardi(load, repetitions)), new("O'Conner", MaximumFormulas.OConner(load, repetitions)),
        new("Wathan", MaximumFormulas.Wathan(load, repetitions)), new("Mayhew", MaximumFormulas.Mayhew(load, repetitions)),
    ];

    private static IEnumerable<InputProblem> Own(MaximumForm form)
    {
        if (Catalogue.Shipped.Find(form.Exercise) is not { IsForecast: true })
        {
            yield return new("exercise", $"No exercise \"{form.Exercise}\" with a load model in the catalogue.");
        }

        if (!(form.Load.Kilograms is >= -200 and <= 1000))
        {
            yield return new("load", "A load lies between -200 (taken off by a band or foot) and 1000 kg.");
        }

        if (form.Repetitions is < 1 or > MostRepetitions)
        {
            yield return new("repetitions", $"A set has 1 to {MostRepetitions} repetitions.");
        }

        if (!(form.Reserve is >= 0 and <= 20))
        {
            yield return new("reserve", "0 to 20 repetitions left.");
        }

        if (!(form.BudgetLeft is > 0.01 and <= 1))
        {
            yield return new("budgetLeft", "What earlier sets had left lies over 0.01 and up to 1.");
        }
    }
}
