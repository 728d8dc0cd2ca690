using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Plans;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Log;

/// <summary>Sets to keep; sending the same ids again changes nothing but their figures.</summary>
public sealed record LogForm(ImmutableArray<SetLog> Sets);

/// <summary>The lines whose proposed step is taken, by their keys, and the plan's version they were seen at.</summary>
/// <param name="Seen">Versions of the lines, where only a change of these lines is to stand against it.</param>
public sealed record StepsForm(ImmutableArray<string> Lines, long Version, ImmutableArray<LineVersion>? Seen = null);

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
        string id, LogForm form, ClaimsPrincipal user, Database database, Cases cases, Storage.Plans plans, SetLogs logs, LogLessons lessons, Progresses progresses, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var today = about.Today(clock);
        InputProblem[] problems = form.Sets.Length > MostSets
            ? [new("sets", $"At most {MostSets} sets at a time.")]
            :
            [
                .. form.Sets.SelectMany((set, i) => SetLogProblems.Of(set, $"sets[{i}]", about.Rules.Catalogue)),
                .. form.Sets.Select((set, i) => (set, i)).Where(p => p.set.On > today.AddDays(1))
                    .Select(p => new InputProblem($"sets[{p.i}].on", $"{p.set.On:d MMM yyyy} is still to come: give the day it was done.")),
            ];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id).Value;
        var changes = form.Sets.Any(s => s.On < today) ? await plans.ChangesAsync(coach, id) : [];
        var asked = form.Sets.Select(s => s.On).Distinct().ToDictionary(
            day => day, day => new AskedAs(plan.AskedOn(changes, day).OrderBy(a => a.Place == about.Place.Id ? 0 : 1).Select(a => (a.Line, a.Prescription))));
        ImmutableArray<string> told;
        await using (var writing = await Writing.BeginAsync(database))
        {
            var saved = await logs.SaveAsync(
                coach, id, form.Sets.Select(set => new AskedSet(set with { At = clock.GetUtcNow() }, asked[set.On].Of(set))), new(user.CoachName(), clock.GetUtcNow()), writing);
            InputProblem[] taken =
            [
                .. saved.Index().Where(s => s.Item.Arrival is null)
                    .Select(s => new InputProblem($"sets[{s.Index}].id", "This set's number is another's already: reload the page and log it anew.")),
            ];
            if (taken.Length > 0)
            {
                return Answers.Invalid(taken);
            }

            told = [.. saved.Zip(form.Sets).Where(s => s.First.Arrival == SetArrival.Conflict).Select(s => ToldTwice(s.Second, about.Rules.Catalogue))];
            await writing.CommitAsync();
        }

        var learned = await lessons.LearnAsync(coach, id);
        return TypedResults.Ok((await progresses.FindAsync(coach, id, learned))!.View with { Told = told });
    }

    private static string ToldTwice(SetLog set, Catalogue catalogue) =>
        $"{catalogue.Find(set.Exercise)?.Name ?? set.Exercise}, set {set.SetNumber}: another account came in the meantime. Both are kept; say on the Desk which holds.";

    /// <summary>Writes the proposed next prescription of each named line into the plan.</summary>
    private static async Task<Results<Ok<ProgressView>, ProblemHttpResult>> TakeStepsAsync(
        string id, StepsForm form, ClaimsPrincipal user, PlanCommands commands, DecisionRecords records, Progresses progresses)
    {
        string coach = user.CoachId();
        LineProgress[] taken = [];
        var done = await commands.RunAsync(
            coach, user.CoachName(), id,
            on =>
            {
                var lines = PlanProgress.Everywhere(on.About.Profile, on.About.Home, on.About.ClientPlaces, on.About.Rules, on.Plan.Value, on.Training, on.By.On);
                taken = [.. lines.Where(l => form.Lines.Contains(l.Key) && l.Step?.Next is not null)];
                return Task.FromResult(Overtaken(form, taken, on.Plan.Version) is { } overtaken
                    ? new PlanOutcome(on.Plan.Value, [], new(overtaken, IsStale: true))
                    : on.Plan.Value.Take([.. taken.Select(l => TakenAt(on, l))], on.Bench.Framing, on.By));
            },
            async (on, outcome, writing) =>
            {
                string sentence = string.Join(' ', taken.Select(l => $"{l.Prescription.Name}: {l.Step!.Sentence}"));
                await records.AddAsync(
                    coach,
                    new(Guid.CreateVersion7().ToString(), id, on.By.At, [.. taken.Select(LineSubject.Of)], sentence, Answer.Taken, null, null, false, on.By.Command), writing);
                return true;
            });
        return done is null ? Answers.Missing("client")
            : done.Refusal is { } refusal ? Answers.Refused(refusal)
            : TypedResults.Ok((await progresses.FindAsync(coach, id))!.View);
    }

    /// <summary>What stands against taking steps that were read before something changed; null where nothing does.</summary>
    private static string? Overtaken(StepsForm form, LineProgress[] taken, long version)
    {
        if (form.Seen is not { } seen)
        {
            return form.Version == version ? null : "The plan was changed in the meantime: look at the steps again.";
        }

        string[] moved = [.. taken.Where(l => (seen.FirstOrDefault(v => v.Line == l.Line)?.Version ?? 0) != l.Version).Select(l => l.Prescription.Name)];
        return moved.Length == 0 ? null : $"{string.Join(", ", moved)} {(moved.Length == 1 ? "was" : "were")} changed in the meantime: look at the step again.";
    }

    internal static TakenStep TakenAt(PlanCase on, LineProgress line) =>
        new(line.Place?.Id ?? on.About.Place.Id, line.Line, line.Step!, line.Logs.IsEmpty ? null : line.Logs.Max(s => s.On));
}
