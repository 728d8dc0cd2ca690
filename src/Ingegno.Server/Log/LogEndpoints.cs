using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Log;

/// <summary>Sets to keep; sending the same ids again changes nothing but their figures.</summary>
public sealed record LogForm(ImmutableArray<SetLog> Sets);

/// <summary>The plan, what was done on it, and what comes next.</summary>
/// <param name="Today">By the server's clock; no set is logged for a later day.</param>
public sealed record ProgressView(ImmutableArray<LineProgress> Lines, long PlanVersion, DateOnly Today);

/// <summary>The lines whose proposed step is taken, and the plan's version they were seen at.</summary>
public sealed record StepsForm(ImmutableArray<int> Lines, long Version);

/// <summary>Logging and next week.</summary>
internal static class LogEndpoints
{
    private const int MostSets = 500;

    internal static void MapLog(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/progress", ProgressAsync).WithName("getProgress");
        api.MapPost("/clients/{id}/log", SaveAsync).WithName("saveLog");
        api.MapPost("/clients/{id}/steps", TakeStepsAsync).WithName("takeSteps");
    }

    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> ProgressAsync(
        string id, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, TimeProvider clock) =>
        await ReadAsync(id, user.CoachId(), cases, plans, logs, clock) is { } read
            ? TypedResults.Ok(read.View)
            : Answers.Missing("client");

    private static async Task<Results<Ok<ProgressView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, LogForm form, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, TimeProvider clock)
    {
        var today = Today.ByThe(clock);
        InputProblem[] problems = form.Sets.Length > MostSets
            ? [new("sets", $"At most {MostSets} sets at a time.")]
            :
            [
                .. form.Sets.SelectMany((set, i) => SetLogProblems.Of(set, $"sets[{i}]", Catalogue.Shipped)),
                .. form.Sets.Select((set, i) => (set, i)).Where(p => p.set.On > today.AddDays(1))
                    .Select(p => new InputProblem($"sets[{p.i}].on", $"{p.set.On:d MMM yyyy} is still to come: give the day it was done.")),
            ];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is null)
        {
            return Answers.Missing("client");
        }

        await logs.SaveAsync(coach, id, form.Sets);
        var read = await ReadAsync(id, coach, cases, plans, logs, clock);
        return TypedResults.Ok(read!.View);
    }

    /// <summary>Writes the proposed next prescription of each named line into the plan.</summary>
    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> TakeStepsAsync(
        string id, StepsForm form, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await ReadAsync(id, coach, cases, plans, logs, clock) is not { } read)
        {
            return Answers.Missing("client");
        }

        var next = read.Lines
            .Where(l => form.Lines.Contains(l.Line) && l.Step?.Next is not null)
            .ToDictionary(l => l.Line, l => l.Step!.Next!);
        var plan = read.Plan.Value with
        {
            Sessions =
            [
                .. read.Plan.Value.Sessions.Select(s => s with
                {
                    Lines = [.. s.Lines.Select(l => next.TryGetValue(l.Line, out var step) ? l with { Prescription = step } : l)],
                }),
            ],
        };
        var result = await plans.SaveAsync(coach, id, plan, form.Version);
        if (!result.Saved)
        {
            return Answers.Stale();
        }

        var after = await ReadAsync(id, coach, cases, plans, logs, clock);
        return TypedResults.Ok(after!.View);
    }

    private sealed record Read(ImmutableArray<LineProgress> Lines, Versioned<Plan> Plan, DateOnly Today)
    {
        internal ProgressView View => new(Lines, Plan.Version, Today);
    }

    private static async Task<Read?> ReadAsync(
        string id, string coach, Cases cases, Plans plans, SetLogs logs, TimeProvider clock)
    {
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return null;
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id);
        var sets = await logs.OfClientAsync(coach, id);
        var today = Today.ByThe(clock);
        return new(NextSteps.For(about.Profile, about.Home, about.Rules, plan.Value, sets, today), plan, today);
    }
}
