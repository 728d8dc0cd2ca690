using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Sheets;
using Ingegno.Formats.Printing;
using Ingegno.Server.Accounts;
using Ingegno.Server.Bench;
using Ingegno.Server.Clients;
using Ingegno.Server.Files;
using Ingegno.Server.Log;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Sheets;

/// <summary>The sheet as the page shows it.</summary>
/// <param name="A4">What stands on which page of this paper; <paramref name="Letter"/> likewise.</param>
/// <param name="WhyLonger">Where a session does not fit the minutes there are today: why.</param>
public sealed record SheetView(Sheet Sheet, ImmutableArray<LaidPage> A4, ImmutableArray<LaidPage> Letter, string? WhyLonger);

/// <summary>What a client is handed on paper.</summary>
internal static class SheetEndpoints
{
    /// <summary>A printed code outlives its sheet by so many days.</summary>
    private const int CodeDays = 90;

    internal static void MapSheets(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/sheet", ReadAsync).WithName("getSheet");
        api.MapPost("/clients/{id}/sheet.pdf", PrintAsync).WithName("printSheet").Produces<byte[]>(200, "application/pdf");
    }

    /// <param name="place">Null for the place in use.</param>
    /// <param name="session">Of the place in use, made to fit <paramref name="minutes"/> today.</param>
    private static async Task<Results<Ok<SheetView>, ValidationProblem, ProblemHttpResult>> ReadAsync(
        string id, ClaimsPrincipal user, SheetWriter writer, string? place = null, int? session = null, int? minutes = null) =>
        await writer.WriteAsync(user, id, place, session, minutes) switch
        {
            { Refused: { } refused } => Answers.Invalid([refused]),
            { Sheet: { } sheet } written => TypedResults.Ok(new SheetView(sheet, SheetLayout.Of(sheet, Paper.A4), SheetLayout.Of(sheet, Paper.Letter), written.WhyLonger)),
            _ => Answers.Missing("client"),
        };

    private static async Task<Results<FileContentHttpResult, ValidationProblem, ProblemHttpResult>> PrintAsync(
        string id, ClaimsPrincipal user, SheetWriter writer, ClientLinks links, Settings settings, TimeProvider clock, string? place = null, int? session = null, int? minutes = null,
        string paper = "a4")
    {
        if (!Enum.TryParse<Paper>(paper, ignoreCase: true, out var size) || !Enum.IsDefined(size))
        {
            return Answers.Invalid([new("paper", "Paper is a4 or letter.")]);
        }

        var written = await writer.WriteAsync(user, id, place, session, minutes);
        if (written.Refused is { } refused)
        {
            return Answers.Invalid([refused]);
        }

        if (written.Sheet is not { } sheet)
        {
            return Answers.Missing("client");
        }

        if (sheet.Sessions.IsEmpty)
        {
            return TypedResults.Problem(statusCode: 422, title: "There is nothing to print yet.", detail: "Rebuild the programme on the bench and save it first.");
        }

        if (written.Leave is { Allowed: false, Why: { } why })
        {
            return TypedResults.Problem(statusCode: 422, title: "Not to be handed out yet.", detail: why);
        }

        // A code opens what was sent; before the first time there is nothing to open.
        var now = clock.GetUtcNow();
        string? address = await links.LastSentAsync(user.CoachId(), id) is null
            ? null
            : $"{settings.PublicUrl}/train/{await links.MintAsync(user.CoachId(), id, LinkPurpose.Sheet, now, now.AddDays(CodeDays))}";
        return TypedResults.File(SheetPdf.Write(sheet, size, address), "application/pdf", $"{FileEndpoints.FileName(sheet.Client)} sheet.pdf");
    }
}

/// <summary>A sheet, or why there is none.</summary>
internal sealed record WrittenSheet(Sheet? Sheet, string? WhyLonger, SendingLeave? Leave, InputProblem? Refused)
{
    internal static WrittenSheet NoClient { get; } = new(null, null, null, null);
}

/// <summary>Reads what a sheet is written from.</summary>
internal sealed class SheetWriter(Cases cases, Storage.Plans plans, Trainings trainings, TimeProvider clock, Settings settings)
{
    internal async Task<WrittenSheet> WriteAsync(ClaimsPrincipal user, string id, string? placeId, int? session, int? minutes)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id, placeId) is not { } about)
        {
            return WrittenSheet.NoClient;
        }

        var today = about.Today(clock);
        var stored = await plans.FindAsync(coach, id);
        var plan = stored.At(about.Place.Id).Value;
        var training = await trainings.OfClientAsync(coach, id, today, about.Rules.Catalogue);
        var programme = Freezing.Of(about.Profile, plan, [new(about.Place.Id, about.Home)], today, about.Rules);
        var leftOut = HeldLines.Of(programme, about.Profile, about.ClientPlaces, training, about.Rules, today)
            .Where(h => h.Place == about.Place.Id).DistinctBy(h => h.Line).ToDictionary(h => h.Line, h => h.Why);
        var sessions = plan.Sessions;
        (int, ImmutableArray<string>)? fitted = null;
        string? longer = null;
        if (session is { } at && minutes is { } there)
        {
            if (there is < 5 or > 240)
            {
                return new(null, null, null, new("minutes", "A session takes 5 to 240 minutes."));
            }

            if (at < 0 || at >= sessions.Length)
            {
                return new(null, null, null, new("session", "That session is not in the plan any more."));
            }

            var shrunk = Shrink(about, stored, at, there, today);
            sessions = sessions.SetItem(at, shrunk.Session);
            fitted = (at, shrunk.Steps);
            longer = shrunk.WhyLonger;
        }

        var sheet = SheetWriting.Of(about.Profile, user.CoachName(), plan, sessions, about.Home, about.Rules.Catalogue, leftOut, today, fitted);
        return new(sheet, longer, SendingLeave.For(about.Profile), null);
    }

    private ShrinkView Shrink(Case about, Versioned<Plan> stored, int session, int minutes, DateOnly today)
    {
        var plan = stored.At(about.Place.Id);
        return ShrinkEndpoints.Fit(about, plan.Value, new(plan.Value.Text, plan.Value.Choices, session, minutes), today, settings.LongestWork, default)!;
    }
}
