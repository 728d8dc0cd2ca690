using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Bench;

/// <summary>A text and the choices made by hand on it.</summary>
/// <param name="Ask">Catalogue ids every line answers for: "and why not this one?"</param>
/// <param name="Block">The weeks it is trained over; the review asks after them.</param>
public sealed record BenchForm(string Text, ImmutableArray<LineChoice> Choices, ImmutableArray<string>? Ask = null, Block? Block = null);

/// <summary>The text as rebuilt for this home now.</summary>
/// <param name="AllGuessed">No lift is known and none could be read: every load stands on a wide guess.</param>
/// <param name="Review">The whole week: its ledger, and what is found in it.</param>
public sealed record BenchView(
    ImmutableArray<RebuiltSession> Sessions, ImmutableArray<TextProblem> Problems, bool AllGuessed, Reviewed Review);

/// <summary>A saved plan with the version it was read at.</summary>
/// <param name="Stopped">Lines that may not be trained as saved, each with its reason: pain, or a set-up that does not stand any more.</param>
public sealed record PlanView(Plan Plan, long Version, ImmutableArray<StoppedLine> Stopped);

/// <summary>A line not to be trained until the coach has rebuilt it.</summary>
public sealed record StoppedLine(int Line, string Reason);

/// <summary>What to save, and the version it was made on; 0 for a first save.</summary>
public sealed record PlanForm(string Text, ImmutableArray<LineChoice> Choices, long Version, Block? Block = null);

/// <summary>The Rebuild bench.</summary>
internal static class BenchEndpoints
{
    private const int MostChoices = 1000, MostAsked = 20, MostKept = 2;

    internal static void MapBench(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/bench", RebuildAsync).WithName("rebuild");
        api.MapGet("/clients/{id}/plan", FindAsync).WithName("getPlan");
        api.MapPut("/clients/{id}/plan", SaveAsync).WithName("savePlan");
    }

    private static async Task<Results<Ok<BenchView>, ValidationProblem, ProblemHttpResult>> RebuildAsync(
        string id, BenchForm form, ClaimsPrincipal user, Cases cases, RebuildsAtHand rebuilds, TimeProvider clock, string? place = null)
    {
        if (await cases.FindAsync(user.CoachId(), id, place) is not { } about)
        {
            return Answers.Missing("client");
        }

        InputProblem[] problems = [.. Problems(form.Choices, about.Rules), .. Problems(form.Block)];
        return problems.Length > 0
            ? Answers.Invalid(problems)
            : TypedResults.Ok(Rebuild(form, about, rebuilds, Today.ByThe(clock)));
    }

    private static async Task<Results<Ok<PlanView>, ProblemHttpResult>> FindAsync(
        string id, ClaimsPrincipal user, Cases cases, Plans plans, Trainings trainings, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id);
        var today = Today.ByThe(clock);
        var steps = NextSteps.For(about.Profile, about.Home, about.Rules, plan.Value, await trainings.OfClientAsync(coach, id, today), today);
        return TypedResults.Ok(new PlanView(
            plan.Value,
            plan.Version,
            [.. steps.Where(s => s.Step?.Kind == StepKind.Stop).Select(s => new StoppedLine(s.Line, s.Step!.Sentence))]));
    }

    /// <summary>Works the plan out anew from text and choices, so that what is saved is what the engine says, and freezes it.</summary>
    private static async Task<Results<Ok<PlanView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, PlanForm form, ClaimsPrincipal user, Cases cases, Places places, Plans plans, TimeProvider clock)
    {
        if (form.Text.Length > ProgrammeReader.MostCharacters)
        {
            return Answers.Invalid([new("text", $"The text is too long: at most {ProgrammeReader.MostCharacters:N0} characters.")]);
        }

        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        InputProblem[] problems = [.. Problems(form.Choices, about.Rules), .. Problems(form.Block)];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var plan = Planned(form.Text, form.Choices, about, await places.AllAsync(user.CoachId(), id), clock) with { Block = form.Block };
        var result = await plans.SaveAsync(user.CoachId(), id, plan, form.Version);
        return result.Saved ? TypedResults.Ok(new PlanView(plan, result.Version, [])) : Answers.Stale();
    }

    /// <summary>The plan for the place in use, and for every other one.</summary>
    internal static Plan Planned(string text, ImmutableArray<LineChoice> choices, Case about, IEnumerable<StoredPlace> places, TimeProvider clock)
    {
        return new Plan(text, choices, At(about.Home), clock.GetUtcNow())
        {
            Place = about.Place.Id,
            PlaceName = about.Home.Name,
            Elsewhere = [.. places.Where(p => p.Id != about.Place.Id).Select(p => new PlannedPlace(p.Id, p.Home.Name, At(p.Home)))],
        };

        ImmutableArray<PlannedSession> At(Home home) =>
            [.. Rebuild(text, choices, about.Profile, home, about.Practice, Today.ByThe(clock)).Sessions.Select(Frozen)];
    }

    /// <summary>While it is worked on: what did not change since the last question is not worked out again.</summary>
    internal static BenchView Rebuild(BenchForm form, Case about, RebuildsAtHand rebuilds, DateOnly today) =>
        rebuilds.With(form.Text, about, today, (read, rebuild) =>
            View(read, rebuild, form.Choices, about.Profile, about.Practice, form.Ask?.Take(MostAsked).ToHashSet(), form.Block));

    internal static BenchView Rebuild(
        string text, ImmutableArray<LineChoice> choices, ClientProfile client, Home home, Practice practice, DateOnly today,
        HashSet<string>? ask = null, Block? block = null)
    {
        var read = ProgrammeReader.Read(text, Catalogue.Shipped, client.Unit);
        return View(read, new SessionRebuild(client, home, Catalogue.Shipped, practice.Rules, today, read.Programme, practice), choices, client, practice, ask, block);
    }

    private static BenchView View(
        ReadProgramme read, SessionRebuild rebuild, ImmutableArray<LineChoice> choices, ClientProfile client, Practice practice, HashSet<string>? ask, Block? block)
    {
        ImmutableArray<RebuiltSession> sessions = [.. read.Programme.Sessions.Select(s => rebuild.Rebuild(s, choices, ask))];
        return new BenchView(sessions, read.Problems, rebuild.AllGuessed, ProgrammeReview.Of(sessions, client, Catalogue.Shipped, block, practice.Marks));
    }

    /// <summary>The session as it will be trained: in its order, with what was added to a line behind it.</summary>
    internal static PlannedSession Frozen(RebuiltSession session) =>
        new(session.Title, session.Whole, [.. session.Lines.Where(l => l.Outcome != LineOutcome.LeftOut).OrderBy(l => l.TrainedAt).SelectMany(Frozen)])
        {
            LayOut = session.LayOut,
            WarmUp = session.WarmUp,
            CoolDown = session.CoolDown,
        };

    private static IEnumerable<PlannedLine> Frozen(RebuiltLine line)
    {
        string tag = line.Group is { } group ? group + (group == line.Written.Group && line.Written.PlaceInGroup > 0 ? line.Written.PlaceInGroup : "") : "";
        yield return Planned(line.Written.Number, tag, line.Chosen) with { Behind = line.Added.IsEmpty ? line.Behind : [] };
        for (int i = 0; i < line.Added.Length; i++)
        {
            yield return Planned(line.Written.Number + (PlannedLine.AddedFrom * (i + 1)), tag.Length == 0 ? "+" : tag + "+", line.Added[i]) with
            {
                Behind = i == line.Added.Length - 1 ? line.Behind : [],
            };
        }

        PlannedLine Planned(int number, string label, Alternative? done) => new(
            number,
            label,
            line.Group,
            line.Written.Text,
            done is null ? line.WouldOpen ?? "" : string.Join(' ', new[] { done.Reason, done.Loss }.OfType<string>()),
            done?.Prescription)
        {
            Start = done?.Prescription,
            Harder = done is null ? [] : [.. Others(done).Where(p => Catalogue.Shipped[done.Prescription.Exercise].Harder.Any(h => h.Exercise == p.Exercise)).Take(MostKept)],
            Instead = done is null ? [] : [.. Others(done).Where(p => !p.Supports.Any(s => done.Prescription.Supports.Any(used => used.Fixture == s.Fixture))).Take(MostKept)],
        };

        // What was added to a line has no alternatives of its own.
        IEnumerable<Prescription> Others(Alternative done) => done == line.Chosen
            ? line.Alternatives.Select(a => a.Prescription).Where(p => p.Exercise != done.Prescription.Exercise)
            : [];
    }

    internal static IEnumerable<InputProblem> Problems(Block? block) =>
        block is null ? [] : BlockProblems.Of(block).Select(p => p with { Path = $"block.{p.Path}" });

    internal static InputProblem[] Problems(ImmutableArray<LineChoice> choices, HouseRules rules) =>
        choices.Length > MostChoices
            ? [new("choices", $"More than {MostChoices} choices: rebuild the session anew.")]
            : [.. choices.SelectMany((choice, i) => Problems(choice, rules, $"choices[{i}]"))];

    private static IEnumerable<InputProblem> Problems(LineChoice choice, HouseRules rules, string path)
    {
        if (choice.Load is { } load && !(load.Kilograms is >= -200 and <= 500))
        {
            yield return new(path + ".load", "A load lies between -200 (taken off by a band or foot) and 500 kg.");
        }

        if (choice.Repetitions is < 1 or > 100)
        {
            yield return new(path + ".repetitions", "Give 1 to 100 repetitions.");
        }

        if (choice.Rest is { } rest && !(rest.Seconds is >= 0 and <= 1800))
        {
            yield return new(path + ".rest", "A rest lasts up to 30 minutes.");
        }

        if (choice.Group is { Length: > 1 })
        {
            yield return new(path + ".group", "A group is one letter, or empty for a line that stands alone.");
        }

        if (choice.Sets is < 1 or > 20)
        {
            yield return new(path + ".sets", "Give 1 to 20 sets.");
        }

        if (choice.Pulses is < 0 or > RepetitionStyle.MostPulses)
        {
            yield return new(path + ".pulses", $"0 to {RepetitionStyle.MostPulses} pulses a repetition.");
        }

        if (choice.Tempo is { } tempo && !rules.Allows(tempo))
        {
            yield return new(path + ".tempo", $"{tempo} is outside the house rules: at most {rules.LongestRepetition} s a repetition.");
        }
    }
}
