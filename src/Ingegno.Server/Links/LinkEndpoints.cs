using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Links;

/// <summary>What a client's link opens: today's training, and the log of it. No account; the token is the key.</summary>
internal static class LinkEndpoints
{
    private const int DaysShown = 14;

    internal static void MapLinks(this RouteGroupBuilder api)
    {
        api.MapGet("/link/{token}", OpenAsync).Produces<LinkView>().WithName("openLink");
        api.MapPost("/link/{token}/log", LinkLogging.LogAsync).Accepts<LinkLogForm>("application/json").WithMetadata(ReadEntryByEntry.Instance).WithName("logByLink");
        api.MapPost("/link/{token}/check", CheckAsync).WithName("checkByLink");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> OpenAsync(
        string token, ClientLinks links, LinkViews views, Cases cases, Trainings trainings, TimeProvider clock)
    {
        var (state, holder) = await links.OpenAsync(token, clock.GetUtcNow());
        return holder is not null && await views.FindAsync(holder, () => ViewAsync(holder, links, cases, trainings, clock)) is { } json
            ? TypedResults.Bytes(json, "application/json")
            : Closed(state);
    }

    /// <summary>Null while nothing was sent.</summary>
    private static async Task<LinkView?> ViewAsync(LinkHolder holder, ClientLinks links, Cases cases, Trainings trainings, TimeProvider clock)
    {
        if (await cases.FindAsync(holder.Coach, holder.Client) is not { } about || await links.LastSentAsync(holder.Coach, holder.Client) is not { } sent)
        {
            return null;
        }

        var today = about.Today(clock);
        var training = await trainings.OfClientAsync(holder.Coach, holder.Client, today, about.Rules.Catalogue);
        var programme = SessionNames.Named(JsonSerializer.Deserialize<LinkProgramme>(sent.Document, TradeJson.Options)!);
        // The place in use comes first, whichever it was when this was sent.
        programme = programme with { Places = [.. programme.Places.OrderBy(p => p.Id == about.Place.Id ? 0 : 1)] };
        var since = today.AddDays(-DaysShown);
        var anchors = StrengthAnchors.Of(about.Profile, about.Rules.Catalogue, today: today);
        return new LinkView(
            holder.Client, HeldLines.Branched(programme, about.Rules.Catalogue), sent.SentAt, today, holder.Expires,
            [.. training.Sets.Where(s => s.On >= since)], [.. training.Notes.Where(n => n.On >= since)],
            LimitOf(programme, about.Profile, training, today, about.Rules.Catalogue, anchors),
            [.. HeldLines.Of(programme, about.Profile, about.ClientPlaces, training, about.Rules, today)],
            [.. from line in programme.Places.SelectMany(p => p.Sessions).SelectMany(s => s.Lines).DistinctBy(l => l.Line)
                let exercise = about.Rules.Catalogue.Find(line.Prescription.Exercise)
                where exercise is not null && !IsPainful(exercise, training, today)
                    && (training.Sets.Any(s => s.Exercise == exercise.Id)
                        ? LimitAsk.CalibratesAgain(line.Prescription, exercise, about.Profile, anchors.For(exercise))
                        : LimitAsk.Calibrates(line.Prescription, exercise, about.Profile))
                select line.Line]);
    }

    private static LimitSet? LimitOf(LinkProgramme programme, ClientProfile client, Training training, DateOnly today, Catalogue catalogue, StrengthAnchors anchors)
    {
        if (programme.Places.IsEmpty)
        {
            return null;
        }

        DateOnly? lastAsked = training.Sets.Where(s => s.ToLimit).Select(s => (DateOnly?)s.On).Max();
        return (
            from session in Rotated(programme.Places[0].Sessions, training)
            let line = LimitAsk.Of(
                session.Lines.Select(l => (l.Line, l.Prescription)), client, catalogue, anchors, today, lastAsked,
                e => IsPainful(e, training, today))
            where line is not null && training.Sets.Any(s => s.Line == line)
            select new LimitSet(session.Key, line.Value)).FirstOrDefault();
    }

    private static bool IsPainful(Exercise exercise, Training training, DateOnly today) =>
        training.Pain.Against(exercise) is not null || training.Sets.Any(s => s.Exercise == exercise.Id && s.Pain > 0 && s.On >= today.AddDays(-DaysShown));

    /// <summary>Sessions by turn, the one after the last trained first.</summary>
    private static IEnumerable<LinkSession> Rotated(ImmutableArray<LinkSession> sessions, Training training)
    {
        int last = training.Sets.Count == 0 ? -1 : sessions.ToList().FindIndex(s => s.Lines.Any(l => l.Line == training.Sets[0].Line));
        return Enumerable.Range(1, sessions.Length).Select(i => sessions[(last + i + sessions.Length) % sessions.Length]);
    }

    private static async Task<Results<Ok<MadeView>, ValidationProblem, ProblemHttpResult>> CheckAsync(
        string token, LinkCheckForm form, ClientLinks links, Cases cases, Places places, FixtureReports reports, TimeProvider clock)
    {
        var (state, holder) = await links.OpenAsync(token, clock.GetUtcNow());
        if (holder is null || await cases.FindAsync(holder.Coach, holder.Client) is not { } about)
        {
            return Closed(state);
        }

        var place = await places.FindAsync(holder.Coach, holder.Client, form.Place);
        if (place?.Home.Fixtures.Any(f => f.Id == form.Report.Fixture) != true)
        {
            return Answers.Invalid([new("report.fixture", "That thing is not described in this home any more; tell the coach.")]);
        }

        byte[]? photo = null;
        if (form.Photo is { Length: > 0 } base64)
        {
            byte[] bytes = new byte[base64.Length];
            photo = Convert.TryFromBase64String(base64, bytes, out int length) ? JpegPixels.Of(bytes.AsSpan(0, length)) : null;
            if (photo is null)
            {
                return Answers.Invalid([new("photo", "The photo arrived in part or is no JPEG: take it again.")]);
            }
        }

        if (form.Report.Problem is { } problem)
        {
            return Answers.Invalid([problem with { Path = $"report.{problem.Path}" }]);
        }

        return await reports.AddAsync(holder.Coach, holder.Client, form.Id.ToString(), place.Id, form.Report with { On = about.Today(clock) }, photo)
            ? TypedResults.Ok(new MadeView(form.Id.ToString()))
            : Answers.Invalid([new("report", $"{FixtureReports.MostKept} checks are kept already: ask the coach to delete old ones, then send this again.")]);
    }

    internal static ProblemHttpResult Closed(LinkState state) => state switch
    {
        LinkState.Expired => TypedResults.Problem(statusCode: 410, title: "This link has run out. Ask the coach for a new one; what waits on this phone is sent with it."),
        LinkState.Revoked => TypedResults.Problem(statusCode: 410, title: "The coach has closed this link. Ask for a new one; what waits on this phone is sent with it."),
        _ => TypedResults.Problem(statusCode: 404, title: "This link opens nothing. Check that it was copied whole."),
    };
}
