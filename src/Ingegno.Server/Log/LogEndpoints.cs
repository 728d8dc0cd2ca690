using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Clients;
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

/// <summary>The plan, what was done on it, and what comes next.</summary>
/// <param name="Today">By the server's clock; no set is logged for a later day.</param>
/// <param name="Moves">What the log taught lately, newest first.</param>
/// <param name="Hindsight">What was forecast of each set shown, when all before it was known.</param>
/// <param name="Overwritten">What sets said before they were corrected, or on another phone.</param>
/// <param name="Continuity">Estimated maximum per strength family through gym and home.</param>
public sealed record ProgressView(
    ImmutableArray<LineProgress> Lines, long PlanVersion, DateOnly Today, ImmutableArray<LearnedMove> Moves, ImmutableArray<SetHindsight> Hindsight,
    ImmutableArray<SessionNote> Notes, Learned Learned, ImmutableArray<Continuity> Continuity,
    ImmutableArray<PersonalBest> Bests, ImmutableArray<SetLog> Overwritten);

/// <summary>The lines whose proposed step is taken, and the plan's version they were seen at.</summary>
public sealed record StepsForm(ImmutableArray<int> Lines, long Version);

/// <summary>Logging and next week.</summary>
internal static class LogEndpoints
{
    private const int MostSets = 500, MostMoves = 12;

    internal static void MapLog(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/progress", ProgressAsync).WithName("getProgress");
        api.MapPost("/clients/{id}/log", SaveAsync).WithName("saveLog");
        api.MapPost("/clients/{id}/steps", TakeStepsAsync).WithName("takeSteps");
    }

    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> ProgressAsync(
        string id, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, Trainings trainings, LogLessons lessons, TimeProvider clock) =>
        await ReadAsync(id, user.CoachId(), cases, plans, logs, trainings, lessons, clock) is { } read
            ? TypedResults.Ok(read.View)
            : Answers.Missing("client");

    private static async Task<Results<Ok<ProgressView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, LogForm form, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, Trainings trainings, LogLessons lessons, TimeProvider clock)
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

        var asked = (await plans.FindAsync(coach, id)).At(about.Place.Id).Value.Sessions.SelectMany(s => s.Lines)
            .Where(l => l.Prescription is not null).ToDictionary(l => l.Line, l => l.Prescription!);
        var taken = await logs.SaveAsync(coach, id, form.Sets.Select(set => new StoredSet(
            set with { At = clock.GetUtcNow() },
            asked.GetValueOrDefault(set.Line) is { } p && p.Exercise == set.Exercise ? p : null)));
        if (taken.Count > 0)
        {
            return Answers.Invalid(
                [.. form.Sets.Select((set, i) => (set, i)).Where(p => taken.Contains(p.set.Id))
                    .Select(p => new InputProblem($"sets[{p.i}].id", "This set's number is another's already: reload the page and log it anew. The others are kept."))]);
        }

        var learned = await lessons.LearnAsync(coach, id);
        var read = await ReadAsync(id, coach, cases, plans, logs, trainings, lessons, clock, learned);
        return TypedResults.Ok(read!.View);
    }

    /// <summary>Writes the proposed next prescription of each named line into the plan.</summary>
    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> TakeStepsAsync(
        string id, StepsForm form, ClaimsPrincipal user, Cases cases, Plans plans, SetLogs logs, Trainings trainings, LogLessons lessons, DecisionRecords records, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await ReadAsync(id, coach, cases, plans, logs, trainings, lessons, clock) is not { } read)
        {
            return Answers.Missing("client");
        }

        LineProgress[] taken = [.. read.Lines.Where(l => form.Lines.Contains(l.Line) && l.Step?.Next is not null)];
        var (plan, before, after) = TakenSteps.In(read.Plan.Value, taken);
        var result = await plans.SaveAsync(coach, id, plan, form.Version);
        if (!result.Saved)
        {
            return Answers.Stale();
        }

        string sentence = string.Join(' ', taken.Select(l => $"{l.Prescription.Name}: {l.Step!.Sentence}"));
        await records.AddAsync(coach, new(
            Guid.CreateVersion7().ToString(), id, clock.GetUtcNow(), string.Join(';', taken.Select(Subjects.Of)), sentence, Answer.Taken, before.ToJson(), after.ToJson(), false));
        var now = await ReadAsync(id, coach, cases, plans, logs, trainings, lessons, clock, read.Learned);
        return TypedResults.Ok(now!.View);
    }

    private sealed record Read(
        ImmutableArray<LineProgress> Lines, Versioned<Plan> Plan, DateOnly Today, LogLesson Learned, ImmutableArray<SessionNote> Notes,
        ImmutableArray<Continuity> Continuity, ImmutableArray<PersonalBest> Bests, ImmutableArray<SetLog> Overwritten)
    {
        internal ProgressView View => new(
            Lines, Plan.Version, Today, [.. Learned.Lesson.Moves.Reverse().Take(MostMoves)],
            [.. Lines.SelectMany(l => l.Logs).Select(s => Learned.Lesson.Hindsight.GetValueOrDefault(s.Id)).OfType<SetHindsight>()],
            Notes, Learned.Lesson.Learned, Continuity, Bests, Overwritten);
    }

    /// <param name="learned">Where the log was read already.</param>
    private static async Task<Read?> ReadAsync(
        string id, string coach, Cases cases, Plans plans, SetLogs logs, Trainings trainings, LogLessons lessons, TimeProvider clock, LogLesson? learned = null)
    {
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return null;
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id);
        var today = Today.ByThe(clock);
        var training = await trainings.OfClientAsync(coach, id, today);
        var (lesson, trained) = learned ??= (await lessons.ReadAsync(coach, id))!;
        return new(
            NextSteps.For(about.Profile, about.Home, about.Rules, plan.Value, training, today), plan, today, learned, [.. training.Notes],
            Continuity.Of(lesson, StrengthAnchors.Of(about.Profile with { Learned = Learned.Nothing }, Catalogue.Shipped), Catalogue.Shipped),
            PersonalBests.Of(trained, Catalogue.Shipped),
            [.. await logs.OverwrittenAsync(coach, id, today.AddDays(-Training.Days))]);
    }
}
