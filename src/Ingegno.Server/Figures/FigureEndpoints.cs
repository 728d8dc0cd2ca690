using System.Security.Claims;
using System.Text.Json;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Figures;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Formats.Figures;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Links;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Figures;

/// <summary>The figure of a line at a place, done as that exercise.</summary>
public sealed record LineFigureView(string Place, int Line, string Exercise, FigureView Figure)
{
    internal static LineFigureView[] Of(IEnumerable<LineFigure> figures) => [.. figures.Select(f => new LineFigureView(f.Place, f.Line, f.Exercise, FigureView.Of(f.Figure)))];
}

/// <summary>The figure of an exercise; none where it has no pose.</summary>
public sealed record ExerciseFigureView(FigureView? Figure);

/// <summary>Set-ups, drawn.</summary>
internal static class FigureEndpoints
{
    private static readonly Length OrdinaryStature = Length.FromMetres(1.72);

    internal static void MapFigures(this RouteGroupBuilder api)
    {
        api.MapGet("/figures/{exercise}", UsualAsync).WithName("getFigure");
        api.MapPost("/clients/{id}/figure", OfLineAsync).WithName("drawLine");
        api.MapGet("/clients/{id}/figures", OfPlanAsync).WithName("getPlanFigures");
    }

    internal static void MapLinkFigures(this RouteGroupBuilder api) => api.MapGet("/link/{token}/figures", OfLinkAsync).WithName("getFiguresByLink");

    /// <param name="client">Whose body is drawn; an ordinary one without.</param>
    private static async Task<Results<Ok<ExerciseFigureView>, ProblemHttpResult>> UsualAsync(
        string exercise, ClaimsPrincipal user, Storage.Clients clients, Storage.Practices practices, string? client = null)
    {
        var catalogue = (await practices.FindAsync(user.CoachId())).Value.Rules.Catalogue;
        var whose = client is null ? null : (await clients.FindAsync(user.CoachId(), client))?.Profile;
        return catalogue.Find(exercise) is not { } found || (client is not null && whose is null)
            ? Answers.Missing(whose is null && client is not null ? "client" : "exercise")
            : TypedResults.Ok(new ExerciseFigureView(
                Drawing.Of(found, FigureSetting.Usual(found, whose?.Stature ?? OrdinaryStature, whose?.Sex ?? Sex.Female)) is { } figure ? FigureView.Of(figure) : null));
    }

    /// <summary>A line as it would be prescribed in a place of the client; nothing is kept.</summary>
    private static async Task<Results<Ok<ExerciseFigureView>, ProblemHttpResult>> OfLineAsync(string id, Prescription line, ClaimsPrincipal user, Cases cases, string? place = null) =>
        await cases.FindAsync(user.CoachId(), id, place) is { } about
            ? TypedResults.Ok(new ExerciseFigureView(
                about.Rules.Catalogue.Find(line.Exercise) is { } exercise && Drawing.Of(exercise, FigureSetting.Of(line, exercise, about.Home, about.Profile)) is { } figure
                    ? FigureView.Of(figure)
                    : null))
            : Answers.Missing("client");

    private static async Task<Results<Ok<LineFigureView[]>, ProblemHttpResult>> OfPlanAsync(string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans) =>
        await cases.FindAsync(user.CoachId(), id) is { } about
            ? TypedResults.Ok(LineFigureView.Of(PlanFigures.Of((await plans.FindAsync(user.CoachId(), id)).Value, about.ClientPlaces, about.Profile, about.Rules.Catalogue)))
            : Answers.Missing("client");

    private static async Task<Results<Ok<LineFigureView[]>, ProblemHttpResult>> OfLinkAsync(string token, ClientLinks links, Cases cases, TimeProvider clock)
    {
        var (state, holder) = await links.OpenAsync(token, clock.GetUtcNow());
        return holder is null || await cases.FindAsync(holder.Coach, holder.Client) is not { } about || await links.LastSentAsync(holder.Coach, holder.Client) is not { } sent
            ? LinkEndpoints.Closed(state)
            : TypedResults.Ok(LineFigureView.Of(PlanFigures.Of(
                JsonSerializer.Deserialize<LinkProgramme>(sent.Document, TradeJson.Options)!, about.ClientPlaces, about.Profile, about.Rules.Catalogue)));
    }
}
