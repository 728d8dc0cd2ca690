using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Blocks;
using Ingegno.Core.Homes;
using Ingegno.Core.Substitution;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Bench;

/// <summary>A block laid out: its weeks, and what each line asks in each.</summary>
/// <param name="Targets">Lines with nothing possible are left out.</param>
public sealed record BlockView(ImmutableArray<BlockWeek> Weeks, ImmutableArray<LineTargets> Targets);

/// <summary>A programme for a client who brings none, dosed for them.</summary>
/// <param name="Text">In the notation of written programmes; its lines are slots of intent.</param>
public sealed record TemplateOffer(string Id, string Name, string Words, int Sessions, string Text, Block Block);

/// <summary>A week to be trained on other days.</summary>
/// <param name="Sessions">1 to 6; not asked where every second day is trained.</param>
/// <param name="Choices">Made by hand on its lines; they follow them.</param>
public sealed record SpreadForm(string Text, int Sessions, bool EverySecondDay, ImmutableArray<LineChoice>? Choices = null) : IChoosing
{
    ImmutableArray<LineChoice> IChoosing.Choices => Choices ?? [];
}

/// <summary>Weeks ahead, and programmes for those who have none.</summary>
internal static class BlockEndpoints
{
    internal static void MapBlock(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/block", LayOutAsync).WithName("layOutBlock").StopsInTime();
        api.MapPost("/clients/{id}/spread", SpreadAsync).WithName("spreadWeek");
        api.MapGet("/clients/{id}/templates", TemplatesAsync).WithName("listTemplates");
    }

    private static async Task<Results<Ok<BlockView>, ValidationProblem, ProblemHttpResult>> LayOutAsync(
        string id, BenchForm form, ClaimsPrincipal user, Cases cases, Storage.Plans plans, BlockAhead ahead, TimeProvider clock, CancellationToken stop)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        if (form.Block is not { } block)
        {
            return Answers.Invalid([new("block", "Give the block phases, or a number of weeks after which it is looked at again.")]);
        }

        InputProblem[] problems = [.. BenchEndpoints.Problems(block)];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var plan = await BenchEndpoints.PlanAsync(user, plans, about);
        return TypedResults.Ok(await ahead.WithAsync(user.CoachId(), about, plan, form.Draft, block, about.Today(clock), stop));
    }

    private static async Task<Results<Ok<SpreadOutcome>, ValidationProblem, ProblemHttpResult>> SpreadAsync(
        string id, SpreadForm form, ClaimsPrincipal user, Cases cases)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        if (!form.EverySecondDay && form.Sessions is < 1 or > SpreadWeek.MostSessions)
        {
            return Answers.Invalid([new("sessions", $"Spread the week over 1 to {SpreadWeek.MostSessions} sessions, or over every second day.")]);
        }

        var read = ProgrammeReading.Read(form.Text, about.Practice, about.Profile.Unit);
        return read.Programme.Sessions.IsEmpty
            ? Answers.Invalid([new("text", "Nothing is written yet: there is nothing to spread.")])
            : TypedResults.Ok(SpreadWeek.Over(read.Programme, form.Sessions, form.EverySecondDay, about.Profile, about.Rules.Catalogue, form.Choices));
    }

    private static async Task<Results<Ok<ImmutableArray<TemplateOffer>>, ProblemHttpResult>> TemplatesAsync(
        string id, ClaimsPrincipal user, Cases cases) =>
        await cases.FindAsync(user.CoachId(), id) is { } about
            ? TypedResults.Ok<ImmutableArray<TemplateOffer>>(
                [.. Templates.For(about.Profile).Select(t => new TemplateOffer(
                    t.Id, t.Name, t.Words, t.Sessions.Length, t.TextFor(about.Profile, about.Rules.Catalogue), t.Block))])
            : Answers.Missing("client");
}
