using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
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
    private const int MostSets = 500, MostNotes = 50, DaysShown = 14, LongestRemark = 500, VersionsRead = 6, LongestTitle = 10_000;

    /// <summary>A phone's clock further off than this is put right by the server's.</summary>
    private static readonly TimeSpan ClockMayBeOff = TimeSpan.FromHours(12);

    internal static void MapLinks(this RouteGroupBuilder api)
    {
        api.MapGet("/link/{token}", OpenAsync).WithName("openLink");
        api.MapPost("/link/{token}/log", LogAsync).WithName("logByLink");
        api.MapPost("/link/{token}/check", CheckAsync).WithName("checkByLink");
    }

    private static async Task<Results<Ok<LinkView>, ProblemHttpResult>> OpenAsync(
        string token, ClientLinks links, Cases cases, Trainings trainings, TimeProvider clock)
    {
        var (state, holder) = await links.OpenAsync(token, clock.GetUtcNow());
        if (holder is null || await cases.FindAsync(holder.Coach, holder.Client) is not { } about
            || await links.LastSentAsync(holder.Coach, holder.Client) is not { } sent)
        {
            return Closed(state);
        }

        var today = about.Today(clock);
        var training = await trainings.OfClientAsync(holder.Coach, holder.Client, today);
        var programme = JsonSerializer.Deserialize<LinkProgramme>(sent.Document, TradeJson.Options)!;
        // The place in use comes first, whichever it was when this was sent.
        programme = programme with { Places = [.. programme.Places.OrderBy(p => p.Id == about.Place.Id ? 0 : 1)] };
        var since = today.AddDays(-DaysShown);
        return TypedResults.Ok(new LinkView(
            HeldLines.Branched(programme), sent.SentAt, today, holder.Expires,
            [.. training.Sets.Where(s => s.On >= since)], [.. training.Notes.Where(n => n.On >= since)],
            LimitOf(programme, about.Profile, training, today),
            [.. HeldLines.Of(programme, about.Profile, about.ClientPlaces, training, about.Rules, today)]));
    }

    private static LimitSet? LimitOf(LinkProgramme programme, ClientProfile client, Training training, DateOnly today)
    {
        if (programme.Places.IsEmpty)
        {
            return null;
        }

        var anchors = StrengthAnchors.Of(client, Catalogue.Shipped, today: today);
        DateOnly? lastAsked = training.Sets.Where(s => s.ToLimit).Select(s => (DateOnly?)s.On).Max();
        return (
            from session in Rotated(programme.Places[0].Sessions, training)
            let line = LimitAsk.Of(
                session.Lines.Select(l => (l.Line, l.Prescription)), client, Catalogue.Shipped, anchors, today, lastAsked,
                e => training.Pain.Against(e) is not null || training.Sets.Any(s => s.Exercise == e.Id && s.Pain > 0 && s.On >= today.AddDays(-DaysShown)))
            where line is not null && training.Sets.Any(s => s.Line == line)
            select new LimitSet(session.Title, line.Value)).FirstOrDefault();
    }

    /// <summary>Sessions by turn, the one after the last trained first.</summary>
    private static IEnumerable<LinkSession> Rotated(ImmutableArray<LinkSession> sessions, Training training)
    {
        int last = training.Sets.Count == 0 ? -1 : sessions.ToList().FindIndex(s => s.Lines.Any(l => l.Line == training.Sets[0].Line));
        return Enumerable.Range(1, sessions.Length).Select(i => sessions[(last + i + sessions.Length) % sessions.Length]);
    }

    private static async Task<Results<Ok<LinkLogView>, ValidationProblem, ProblemHttpResult>> LogAsync(
        string token, LinkLogForm form, Database database, ClientLinks links, Cases cases, SetLogs logs, SessionNotes notes, LogLessons lessons, TimeProvider clock)
    {
        var (state, holder) = await links.OpenAsync(token, clock.GetUtcNow());
        if (holder is null || await cases.FindAsync(holder.Coach, holder.Client) is not { } about)
        {
            return Closed(state);
        }

        if (form.Sets.Length > MostSets || form.Notes.Length > MostNotes)
        {
            return Answers.Invalid([new("sets", $"At most {MostSets} sets and {MostNotes} notes at a time.")]);
        }

        var off = PhoneIsOff(form.PhoneNow, clock);
        int days = (int)Math.Round(off.TotalDays);
        var today = about.Today(clock);
        SetLog[] sets = [.. form.Sets.Select(s => days == 0 ? s : s with { On = s.On.AddDays(-days), At = s.At - off })];
        var asked = await AskedAsync(links, holder, sets);
        var refused = sets
            .Select(s => (s.Id, Problem: SetLogProblems.Of(s, "", Catalogue.Shipped).Concat(NotToday(s, today)).FirstOrDefault()))
            .Where(p => p.Problem is not null)
            .GroupBy(p => p.Id)
            .ToDictionary(g => g.Key, g => g.First().Problem!.Message);
        SetLog[] good = [.. sets.Where(s => !refused.ContainsKey(s.Id))];
        await using (var writing = await Writing.BeginAsync(database))
        {
            foreach (var taken in await logs.SaveAsync(holder.Coach, holder.Client, good.Select(s => new AskedSet(s, asked(s))), writing))
            {
                refused[taken] = "This set's number is another's already: log the set anew.";
            }

            await notes.SaveAsync(holder.Coach, holder.Client, form.Notes.Where(CanBeKept).Select(n => days == 0 ? n : n with { On = n.On.AddDays(-days) }), writing);
            await writing.CommitAsync();
        }

        await lessons.LearnAsync(holder.Coach, holder.Client);
        return TypedResults.Ok(new LinkLogView(
            [.. good.Select(s => s.Id).Where(id => !refused.ContainsKey(id))],
            [.. refused.Select(r => new RefusedSet(r.Key, r.Value))],
            [.. form.Notes.Where(n => !CanBeKept(n)).Select(n => new RefusedNote(n.Session.Length > LongestTitle ? n.Session[..LongestTitle] : n.Session, n.On, "This answer could not be kept: tell the coach how it felt. Your sets are safe."))],
            days == 0 ? null : $"This phone's clock is {Math.Abs(days)} {(Math.Abs(days) == 1 ? "day" : "days")} {(days > 0 ? "ahead" : "behind")}. The sets are kept under the right day; put the clock right."));
    }

    /// <summary>What sets were asked as: by the newest version sent before they were done that asks them so, else the newest that asks them at all.</summary>
    private static async Task<Func<SetLog, Prescription?>> AskedAsync(ClientLinks links, LinkHolder holder, IReadOnlyList<SetLog> sets)
    {
        // Nearly always the newest one answers for all; older ones are read for a phone that was long without a signal.
        var newest = Read(await links.SentAsync(holder.Coach, holder.Client, 1));
        var versions = sets.All(set => newest.Any(v => (set.At is null || v.SentAt <= set.At) && v.Asked.Of(set)?.Load.Grams == set.Load.Grams))
            ? newest
            : Read(await links.SentAsync(holder.Coach, holder.Client, VersionsRead));
        return set =>
        {
            Prescription[] ways = [.. versions.Where(v => set.At is null || v.SentAt <= set.At).Concat(versions).Select(v => v.Asked.Of(set)).OfType<Prescription>()];
            return ways.FirstOrDefault(p => p.Load.Grams == set.Load.Grams) ?? ways.FirstOrDefault();
        };

        static (DateTimeOffset SentAt, AskedAs Asked)[] Read(IReadOnlyList<Sending> sent) =>
        [
            .. sent.Select(s => (s.SentAt, new AskedAs(
                JsonSerializer.Deserialize<LinkProgramme>(s.Document, TradeJson.Options)!.Places
                    .SelectMany(p => p.Sessions).SelectMany(s => s.Lines).SelectMany(l => l.Instead.Prepend(l)).Select(l => (l.Line, l.Prescription))))),
        ];
    }

    /// <summary>A note that cannot be kept is refused by itself; the sets are kept.</summary>
    private static bool CanBeKept(SessionNote note) => note is { Sore: null or (>= 0 and <= 3), Session.Length: > 0 and <= LongestTitle };

    /// <summary>How far the phone is ahead; nothing where it is near enough.</summary>
    private static TimeSpan PhoneIsOff(DateTimeOffset phone, TimeProvider clock)
    {
        var off = phone - clock.GetUtcNow();
        return off.Duration() < ClockMayBeOff ? TimeSpan.Zero : off;
    }

    private static IEnumerable<InputProblem> NotToday(SetLog set, DateOnly today)
    {
        if (set.On > today.AddDays(1))
        {
            yield return new("on", $"{set.On:d MMM yyyy} is still to come: check the date of the phone.");
        }
        else if (set.On < today.AddYears(-1))
        {
            yield return new("on", $"{set.On:d MMM yyyy} is more than a year ago: tell the coach instead.");
        }
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

        if (form.Report.Steps.Length is 0 or > 10 || form.Report.Remark.Length > LongestRemark)
        {
            return Answers.Invalid([new("report.steps", $"Tick each step, and keep the remark under {LongestRemark} letters.")]);
        }

        await reports.AddAsync(holder.Coach, holder.Client, form.Id.ToString(), place.Id, form.Report with { On = about.Today(clock) }, photo);
        return TypedResults.Ok(new MadeView(form.Id.ToString()));
    }

    private static ProblemHttpResult Closed(LinkState state) => state switch
    {
        LinkState.Expired => TypedResults.Problem(statusCode: 410, title: "This link has run out. Ask the coach for a new one; what you logged is safe."),
        LinkState.Revoked => TypedResults.Problem(statusCode: 410, title: "The coach has closed this link. Ask for a new one; what is on this phone stays here and is sent with it."),
        _ => TypedResults.Problem(statusCode: 404, title: "This link opens nothing. Check that it was copied whole."),
    };
}
