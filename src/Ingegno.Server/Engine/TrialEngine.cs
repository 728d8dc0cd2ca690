using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>Sets to be tried out in thought, one or two side by side.</summary>
public sealed record TrialsForm(ImmutableArray<SetTrial> Trials);

/// <summary>The same without anything stored: who does them comes along.</summary>
/// <param name="Maximum">The external maximum on the exercise, or the total where its maxima count the body; null to estimate it from the lifts.</param>
public sealed record SetForecastForm(ClientProfile Client, ImmutableArray<SetTrial> Trials, Mass? Maximum = null);

/// <summary>One trial worked out.</summary>
/// <param name="Techniques">Which techniques may be used on the exercise for this client, and why the others may not.</param>
/// <param name="Acceleration">For sets lifted fast: metres a second squared with which they would push back like the other set held still.</param>
public sealed record TrialView(TrialForecast Forecast, TechniqueLimits Techniques, double? Acceleration);

/// <summary>The trials in order.</summary>
public sealed record TrialsView(ImmutableArray<TrialView> Trials);

/// <summary>Forecasts of sets nobody has written down.</summary>
internal static class TrialEngine
{
    private const int MostTrials = 2;

    /// <summary>The set lab of a client: maxima from the lifts and the plan's own loads, as the bench has them.</summary>
    internal static async Task<Results<Ok<TrialsView>, ValidationProblem, ProblemHttpResult>> ForClientAsync(
        string id, TrialsForm form, ClaimsPrincipal user, Cases cases, Storage.Plans plans, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = await plans.FindAsync(coach, id);
        var programme = ProgrammeReading.Read(plan.Value.Text, about.Practice, about.Profile.Unit).Programme;
        var anchors = WrittenAnchors.Of(about.Profile, about.Rules.Catalogue, about.Rules.For(about.Profile), programme, about.Today(clock));
        var (views, problems) = Work(form.Trials, about.Profile, about.Rules, anchors.For);
        return problems.Length > 0 ? Answers.Invalid(problems) : TypedResults.Ok(new TrialsView(views));
    }

    internal static Results<Ok<TrialsView>, ValidationProblem> Forecast(SetForecastForm form)
    {
        InputProblem[] wrong = [.. ClientProblems.Of(form.Client, Catalogue.Shipped).Select(p => p with { Path = $"client.{p.Path}" })];
        if (form.Maximum is { } maximum && !(maximum.Kilograms is > 0 and <= 1000))
        {
            wrong = [.. wrong, new("maximum", "A maximum lies over 0 and up to 1000 kg.")];
        }

        if (wrong.Length > 0)
        {
            return Answers.Invalid(wrong);
        }

        var anchors = StrengthAnchors.Of(form.Client, Catalogue.Shipped);
        var (views, problems) = Work(form.Trials, form.Client, HouseRules.Default, e =>
            anchors.For(e) is { } anchor && form.Maximum is { } known ? anchor.At(known) with { Story = "as given" } : anchors.For(e));
        return problems.Length > 0 ? Answers.Invalid(problems) : TypedResults.Ok(new TrialsView(views));
    }

    private static (ImmutableArray<TrialView> Views, InputProblem[] Problems) Work(
        ImmutableArray<SetTrial> trials, ClientProfile client, HouseRules rules, Func<Exercise, StrengthAnchor?> anchorOf)
    {
        if (trials.IsDefaultOrEmpty || trials.Length > MostTrials)
        {
            return ([], [new("trials", $"Give one or {MostTrials} sets to try.")]);
        }

        var problems = new List<InputProblem>();
        var worked = new List<(SetTrial Trial, Exercise Exercise, TrialForecast Forecast)>();
        for (int i = 0; i < trials.Length; i++)
        {
            var trial = trials[i];
            InputProblem[] own = [.. trial.Problems(rules.Catalogue).Select(p => p with { Path = $"trials[{i}].{p.Path}" })];
            problems.AddRange(own);
            if (own.Length > 0)
            {
                continue;
            }

            var exercise = rules.Catalogue[trial.Exercise];
            if (anchorOf(exercise) is not { } anchor)
            {
                problems.Add(new($"trials[{i}].exercise", $"Nothing tells what {client.Name} could lift on this exercise."));
                continue;
            }

            var (forecast, refused) = TrialForecast.Of(trial, exercise, client, anchor);
            if (forecast is null)
            {
                problems.Add(refused! with { Path = $"trials[{i}].{refused.Path}" });
                continue;
            }

            worked.Add((trial, exercise, forecast));
        }

        return problems.Count > 0
            ? ([], [.. problems])
            : ([.. worked.Select((w, i) => new TrialView(
                w.Forecast,
                TechniqueLimits.Of(w.Exercise, client, rules.For(client)),
                w.Trial.Tempo.FastLifting && worked.Count == MostTrials
                    ? FastIntent.AccelerationToMatch(worked[1 - i].Forecast.Resistance, w.Forecast.Resistance)
                    : null))], []);
    }
}
