using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Server.Plans;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Bench;

/// <summary>A text and the choices made by hand on it.</summary>
/// <param name="Ask">Catalogue ids every line answers for: "and why not this one?"</param>
/// <param name="Block">The weeks it is trained over; the review asks after them.</param>
/// <param name="Seen">What the bench began with; null: the plan as it is now.</param>
public sealed record BenchForm(string Text, ImmutableArray<LineChoice> Choices, ImmutableArray<string>? Ask = null, Block? Block = null, SeenPlan? Seen = null) : IChoosing
{
    internal BenchDraft Draft => new(Text, Choices, Block, Seen);
}

/// <summary>A line of the text that is in the plan in force.</summary>
/// <param name="Number">In the text.</param>
/// <param name="Line">Its name in the plan.</param>
public sealed record LineInForce(int Number, int Line);

/// <summary>A line of the plan that the text does not hold any more.</summary>
/// <param name="Name">What it asks, in words.</param>
public sealed record GoneLine(int Line, string Written, string Name);

/// <summary>The text as rebuilt for this home now, its lines in force as they stand.</summary>
/// <param name="AllGuessed">No lift is known and none could be read: every load stands on a wide guess.</param>
/// <param name="Review">The whole week: its ledger, and what is found in it.</param>
/// <param name="Gone">What saving takes out of the plan; the logs are kept.</param>
/// <param name="Week">The week of the text that is trained now; null where it has no weeks.</param>
/// <param name="Waiting">The weeks that wait in the text.</param>
public sealed record BenchView(
    ImmutableArray<RebuiltSession> Sessions, ImmutableArray<TextProblem> Problems, bool AllGuessed, Reviewed Review,
    ImmutableArray<LineInForce> InForce, ImmutableArray<GoneLine> Gone, string? Week, ImmutableArray<WaitingWeek> Waiting);

/// <summary>A saved plan with the version it was read at.</summary>
/// <param name="Stopped">Lines that may not be trained as saved, each with its reason: pain, or a set-up that does not stand any more.</param>
public sealed record PlanView(Plan Plan, long Version, ImmutableArray<StoppedLine> Stopped);

/// <summary>A line not to be trained until the coach has rebuilt it.</summary>
public sealed record StoppedLine(int Line, string Reason);

/// <summary>What to save, and the version it was made on; 0 for a first save.</summary>
/// <param name="Seen">What the bench began with: then only what differs from it is written, and two windows meet on one line at most.</param>
public sealed record PlanForm(string Text, ImmutableArray<LineChoice> Choices, long Version, Block? Block = null, SeenPlan? Seen = null) : IChoosing;

/// <summary>The Rebuild bench.</summary>
internal static class BenchEndpoints
{
    private const int MostAsked = 20;

    internal static void MapBench(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/bench", RebuildAsync).WithName("rebuild").StopsInTime();
        api.MapPost("/clients/{id}/waiting-checks", WaitingAsync).WithName("listWaitingChecks").StopsInTime();
        api.MapGet("/clients/{id}/plan", FindAsync).WithName("getPlan");
        api.MapPut("/clients/{id}/plan", SaveAsync).WithName("savePlan");
    }

    private static async Task<Results<ToldBench, ValidationProblem, ProblemHttpResult>> RebuildAsync(
        string id, BenchForm form, ClaimsPrincipal user, Cases cases, Storage.Plans plans, RebuildsAtHand rebuilds, TimeProvider clock, CancellationToken stop, string? place = null)
    {
        if (await cases.FindAsync(user.CoachId(), id, place) is not { } about)
        {
            return Answers.Missing("client");
        }

        InputProblem[] problems = [.. Problems(form.Block)];
        return problems.Length > 0
            ? Answers.Invalid(problems)
            : new ToldBench(Rebuild(form, await PlanAsync(user, plans, about), about, rebuilds, about.Today(clock), stop));
    }

    /// <summary>What passing each fixture that waits for its check would open in the programme on the bench.</summary>
    private static async Task<Results<Ok<ImmutableArray<WaitingCheck>>, ValidationProblem, ProblemHttpResult>> WaitingAsync(
        string id, BenchForm form, ClaimsPrincipal user, Cases cases, TimeProvider clock, CancellationToken stop)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var today = about.Today(clock);
        var read = ProgrammeReading.Read(form.Text, about.Practice, about.Profile.Unit);
        return TypedResults.Ok(WaitingChecks.Of(about.Home, today, about.Rules.PassDays, Rebuilt(about.Home), Rebuilt));

        RebuiltSession[] Rebuilt(Home home)
        {
            var rebuild = new SessionRebuild(about.Profile, home, about.Rules.Catalogue, about.Rules, today, read.Programme, about.Practice);
            return [.. read.Programme.Sessions.Select(s => rebuild.RebuildUntil(s, form.Choices, null, stop))];
        }
    }

    /// <summary>The plan in force as trained at the place asked for.</summary>
    internal static async Task<Versioned<Plan>> PlanAsync(ClaimsPrincipal user, Storage.Plans plans, Case about) =>
        (await plans.FindAsync(user.CoachId(), about.Client.Id)).At(about.Place.Id);

    private static async Task<Results<Ok<PlanView>, ProblemHttpResult>> FindAsync(
        string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans, Trainings trainings, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id);
        return TypedResults.Ok(ViewOf(plan, about, await trainings.OfClientAsync(coach, id, about.Today(clock), about.Rules.Catalogue), about.Today(clock)));
    }

    private static PlanView ViewOf(Versioned<Plan> plan, Case about, Training training, DateOnly today) => new(
        plan.Value,
        plan.Version,
        [
            .. PlanProgress.For(about.Profile, about.Home, about.Rules, plan.Value, training, today)
                .Where(s => s.Step?.Kind == StepKind.Stop)
                .Select(s => new StoppedLine(s.Line, s.Step!.Sentence)),
        ]);

    /// <summary>Saves what the bench shows: lines that stand are kept as they are, what differs is a change like any other.</summary>
    private static async Task<Results<Ok<PlanView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, PlanForm form, ClaimsPrincipal user, Cases cases, PlanCommands commands, CancellationToken stop)
    {
        if (form.Text.Length > ProgrammeReader.MostCharacters)
        {
            return Answers.Invalid([new("text", $"The text is too long: at most {ProgrammeReader.MostCharacters:N0} characters.")]);
        }

        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        InputProblem[] problems = [.. Problems(form.Block)];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var draft = new BenchDraft(form.Text, form.Choices, form.Block, form.Seen);
        var done = await commands.RunAsync(user.CoachId(), user.CoachName(), id, on => Task.Run(
            () => form.Seen is null && form.Version != on.Plan.Version
                ? new PlanOutcome(on.Plan.Value, [], new("This was saved elsewhere in the meantime.", IsStale: true))
                : on.Bench.Save(on.Plan.Value, draft, on.LastTrained, on.By),
            stop));
        if (done is null)
        {
            return Answers.Missing("client");
        }

        return done.Refusal is { } refusal
            ? Answers.Refused(refusal)
            : TypedResults.Ok(await SavedAsync(user, id, new(done.Plan, done.Version), commands));
    }

    private static async Task<PlanView> SavedAsync(ClaimsPrincipal user, string id, Versioned<Plan> plan, PlanCommands commands)
    {
        var now = (await commands.ReadAsync(user.CoachId(), user.CoachName(), id))!;
        return ViewOf(plan, now.About, now.Training, now.By.On);
    }

    /// <summary>While it is worked on: what did not change since the last question is not worked out again.</summary>
    internal static BenchView Rebuild(BenchForm form, Versioned<Plan> plan, Case about, RebuildsAtHand rebuilds, DateOnly today, CancellationToken stop) =>
        rebuilds.With(form.Draft, plan, about, today, at => View(
            at.Read, [.. at.Sessions(about.Place.Id, stop, form.Ask?.Take(MostAsked).ToHashSet())], at.Rebuild.AllGuessed, about.Profile, about.Practice, today, form.Block, at.Edit));

    /// <summary>A programme rebuilt for whoever is named, with no plan behind it.</summary>
    internal static BenchView Rebuild(
        string text, ImmutableArray<LineChoice> choices, ClientProfile client, Home home, Practice practice, DateOnly today, CancellationToken stop, Block? block = null)
    {
        var read = ProgrammeReading.Read(text, practice, client.Unit);
        var rebuild = new SessionRebuild(client, home, practice.Rules.Catalogue, practice.Rules, today, read.Programme, practice);
        return View(read, [.. read.Programme.Sessions.Select(s => rebuild.RebuildUntil(s, choices, null, stop))], rebuild.AllGuessed, client, practice, today, block, null);
    }

    private static BenchView View(
        ReadProgramme read, ImmutableArray<RebuiltSession> sessions, bool allGuessed, ClientProfile client, Practice practice, DateOnly today, Block? block, PlanEdit? edit) => new(
        sessions, read.Problems, allGuessed, ProgrammeReview.Of(sessions, client, practice.Rules.Catalogue, today, block, practice.Marks),
        edit is null ? [] : [.. from line in read.Programme.Sessions.SelectMany(s => s.Lines) let known = edit.LineOf(line.Number) where known is not null select new LineInForce(line.Number, known.Value)],
        edit is null ? [] : [.. edit.Gone.Select(l => new GoneLine(l.Line, l.Written, l.Prescription is { } p ? $"{p.Name}, {p.CountInWords}" : l.Written))],
        read.Programme.Week?.Name, read.Programme.Waiting);

    internal static IEnumerable<InputProblem> Problems(Block? block) =>
        block is null ? [] : BlockProblems.Of(block).Select(p => p with { Path = $"block.{p.Path}" });
}
