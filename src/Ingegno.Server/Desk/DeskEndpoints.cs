using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Desk;

/// <summary>An answer to a proposal as it was read.</summary>
/// <param name="Subject">Of the proposal.</param>
public sealed record AnswerForm(string Subject, Answer Answer);

/// <summary>A decision in the record of a client.</summary>
public sealed record DecisionView(string Id, DateTimeOffset At, string Sentence, Answer Answer, bool Undone);

/// <summary>A fixture checked on the phone.</summary>
/// <param name="Thing">What the client calls it; its id where it is not described any more.</param>
/// <param name="Judged">The coach has passed or refused it.</param>
public sealed record ReportView(string Id, string Place, string Thing, FixtureReport Report, bool HasPhoto, bool Judged);

/// <summary>The Desk: who needs me now?</summary>
internal static class DeskEndpoints
{
    internal static void MapDesk(this RouteGroupBuilder api)
    {
        api.MapGet("/desk", AllAsync).WithName("getDesk");
        api.MapGet("/clients/{id}/desk", FindAsync).WithName("getDeskRow");
        api.MapPost("/clients/{id}/decisions", AnswerAsync).WithName("answer");
        api.MapGet("/clients/{id}/decisions", RecordAsync).WithName("getDecisions");
        api.MapPost("/clients/{id}/decisions/{decision}/undo", UndoAsync).WithName("undoDecision");
        api.MapGet("/clients/{id}/reports", ReportsAsync).WithName("getReports");
        api.MapDelete("/clients/{id}/reports/{report}", RemoveReportAsync).WithName("deleteReport");
        api.MapGet("/clients/{id}/reports/{report}/photo", PhotoAsync).WithName("getReportPhoto");
        api.MapDelete("/clients/{id}/reports/{report}/photo", RemovePhotoAsync).WithName("deleteReportPhoto");
    }

    private static Task<ToldDesk> AllAsync(ClaimsPrincipal user, DeskRows rows) => rows.ToldAsync(user.CoachId());

    private static async Task<Results<Ok<DeskRow>, ProblemHttpResult>> FindAsync(string id, ClaimsPrincipal user, DeskRows rows) =>
        await rows.FindAsync(user.CoachId(), id) is { } row ? TypedResults.Ok(row) : Answers.Missing("client");

    private static async Task<Results<Ok<DeskRow>, ProblemHttpResult>> AnswerAsync(
        string id, AnswerForm form, ClaimsPrincipal user, DeskRows rows, Answering answering)
    {
        string coach = user.CoachId(), name = user.CoachName();
        if (await rows.CaseAsync(coach, id) is not ({ } about, var today))
        {
            return Answers.Missing("client");
        }

        var lines = DeskRows.Lines(about, today);
        var proposal = Proposals.For(about, lines, today).FirstOrDefault(p => p.Subject == form.Subject);
        if (proposal is null)
        {
            return TypedResults.Problem(
                statusCode: 409, title: "This does not wait any more.", detail: "Something was logged or decided in the meantime; the Desk shows what waits now.");
        }

        if (form.Answer == Answer.Taken && proposal.Take is null)
        {
            return TypedResults.Problem(statusCode: 422, title: "This cannot be taken from here: open it.");
        }

        var answered = form.Answer == Answer.Taken
            ? await answering.TakeAsync(coach, name, id, about, proposal, lines)
            : await answering.RefuseAsync(coach, name, id, about, proposal, form.Answer);
        return await ResultAsync(coach, id, answered, rows);
    }

    private static async Task<Results<Ok<DeskRow>, ProblemHttpResult>> UndoAsync(
        string id, string decision, ClaimsPrincipal user, DeskRows rows, DecisionRecords records, Answering answering)
    {
        string coach = user.CoachId();
        if (await records.FindAsync(coach, decision) is not { } record || record.Client != id)
        {
            return Answers.Missing("decision");
        }

        return record.Undone
            ? TypedResults.Problem(statusCode: 409, title: "This was undone already.")
            : await ResultAsync(coach, id, await answering.UndoAsync(coach, user.CoachName(), id, record), rows);
    }

    private static async Task<Results<Ok<DeskRow>, ProblemHttpResult>> ResultAsync(string coach, string client, Answered answered, DeskRows rows) =>
        answered is { Stale: true, Problem: { } moved } ? Answers.Refused(new(moved, IsStale: true))
        : answered.Stale ? Answers.Stale()
        : answered.Problem is { } problem ? TypedResults.Problem(statusCode: 422, title: "Nothing was changed.", detail: problem)
        : TypedResults.Ok((await rows.FindAsync(coach, client))!);

    private static async Task<Results<Ok<DecisionView[]>, ProblemHttpResult>> RecordAsync(string id, ClaimsPrincipal user, Storage.Clients clients, DecisionRecords records) =>
        await clients.FindAsync(user.CoachId(), id) is null ? Answers.Missing("client") : TypedResults.Ok((await records.OfClientAsync(user.CoachId(), id)).Select(d => new DecisionView(d.Id, d.At, d.Sentence, d.Answer, d.Undone)).ToArray());

    private static async Task<Results<Ok<ReportView[]>, ProblemHttpResult>> ReportsAsync(string id, ClaimsPrincipal user, Cases cases, FixtureReports reports) =>
        await cases.FindAsync(user.CoachId(), id) is { } about ? TypedResults.Ok(await OfAsync(user.CoachId(), about, reports)) : Answers.Missing("client");

    private static async Task<ReportView[]> OfAsync(string coach, Case about, FixtureReports reports)
    {
        var names = about.ClientPlaces.SelectMany(p => p.Home.Fixtures.Select(f => (Place: p.Id, f.Id, f.Name))).ToLookup(f => (f.Place, f.Id), f => f.Name);
        return
        [
            .. (await reports.OfClientAsync(coach, about.Client.Id)).Select(r => new ReportView(
                r.Id, r.Place, names[(r.Place, r.Report.Fixture)].FirstOrDefault(r.Report.Fixture), r.Report, r.HasPhoto, r.Judged)),
        ];
    }

    private static async Task<Results<Ok<ReportView[]>, ProblemHttpResult>> RemoveReportAsync(string id, string report, ClaimsPrincipal user, Cases cases, FixtureReports reports) =>
        await cases.FindAsync(user.CoachId(), id) is not { } about ? Answers.Missing("client")
        : await reports.RemoveAsync(user.CoachId(), id, report) ? TypedResults.Ok(await OfAsync(user.CoachId(), about, reports))
        : Answers.Missing("check");

    private static async Task<Results<Ok<ReportView[]>, ProblemHttpResult>> RemovePhotoAsync(string id, string report, ClaimsPrincipal user, Cases cases, FixtureReports reports) =>
        await cases.FindAsync(user.CoachId(), id) is not { } about ? Answers.Missing("client")
        : await reports.RemovePhotoAsync(user.CoachId(), id, report) ? TypedResults.Ok(await OfAsync(user.CoachId(), about, reports))
        : Answers.Missing("photo");

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> PhotoAsync(string id, string report, ClaimsPrincipal user, FixtureReports reports) =>
        await reports.PhotoAsync(user.CoachId(), id, report) is { } photo ? TypedResults.File(photo, "image/jpeg") : Answers.Missing("photo");
}
