using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Desk;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Log;

/// <summary>Sets to keep; sending the same ids again changes nothing but their figures.</summary>
public sealed record LogForm(ImmutableArray<SetLog> Sets);

/// <summary>The lines whose proposed step is taken, by their keys, and the plan's version they were seen at.</summary>
public sealed record StepsForm(ImmutableArray<string> Lines, long Version);

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

    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> ProgressAsync(string id, ClaimsPrincipal user, Progresses progresses) =>
        await progresses.FindAsync(user.CoachId(), id) is { } progress ? TypedResults.Ok(progress.View) : Answers.Missing("client");

    private static async Task<Results<Ok<ProgressView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, LogForm form, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, LogLessons lessons, Progresses progresses, TimeProvider clock)
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
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id).Value;
        var asked = new AskedAs(
            from line in plan.Sessions.Concat(plan.Elsewhere.SelectMany(e => e.Sessions)).SelectMany(s => s.Lines)
            where line.Prescription is not null
            select (line.Line, line.Prescription!));
        var taken = await logs.SaveAsync(coach, id, form.Sets.Select(set => new StoredSet(set with { At = clock.GetUtcNow() }, asked.Of(set))));
        if (taken.Count > 0)
        {
            return Answers.Invalid(
                [.. form.Sets.Select((set, i) => (set, i)).Where(p => taken.Contains(p.set.Id))
                    .Select(p => new InputProblem($"sets[{p.i}].id", "This set's number is another's already: reload the page and log it anew. The others are kept."))]);
        }

        var learned = await lessons.LearnAsync(coach, id);
        return TypedResults.Ok((await progresses.FindAsync(coach, id, learned))!.View);
    }

    /// <summary>Writes the proposed next prescription of each named line into the plan.</summary>
    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> TakeStepsAsync(
        string id, StepsForm form, ClaimsPrincipal user, Plans plans, DecisionRecords records, Progresses progresses, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await progresses.FindAsync(coach, id) is not { } read)
        {
            return Answers.Missing("client");
        }

        LineProgress[] taken = [.. read.Lines.Where(l => form.Lines.Contains(l.Key) && l.Step?.Next is not null)];
        var (plan, before, after) = TakenSteps.In(read.Plan.Value, taken);
        var result = await plans.SaveAsync(coach, id, plan, form.Version);
        if (!result.Saved)
        {
            return Answers.Stale();
        }

        string sentence = string.Join(' ', taken.Select(l => $"{l.Prescription.Name}: {l.Step!.Sentence}"));
        await records.AddAsync(coach, new(
            Guid.CreateVersion7().ToString(), id, clock.GetUtcNow(), string.Join(';', taken.Select(Subjects.Of)), sentence, Answer.Taken, before.ToJson(), after.ToJson(), false));
        return TypedResults.Ok((await progresses.FindAsync(coach, id, read.Learned))!.View);
    }
}
