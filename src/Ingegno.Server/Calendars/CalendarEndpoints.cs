using System.Globalization;
using System.Security.Claims;
using System.Text;
using System.Text.Json;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Quantities;
using Ingegno.Formats.Calendars;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Files;
using Ingegno.Server.Links;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Calendars;

/// <summary>When sessions begin, and how long before to remind.</summary>
/// <param name="At">"18:00", of the client's zone.</param>
/// <param name="Remind">Minutes before; null for no alarm.</param>
public sealed record CalendarForm(string At, int? Remind);

/// <summary>An address a calendar subscribes to. It is shown once.</summary>
public sealed record CalendarAddressView(string Address);

/// <summary>Sessions as a calendar: a file for the coach, an address the client's own calendar reads.</summary>
internal static class CalendarEndpoints
{
    /// <summary>A calendar is read every few hours, so its link never runs out while it is subscribed to.</summary>
    private const int DaysOpen = 90;

    private const int MostRemind = 24 * 60;

    private const string Type = "text/calendar; charset=utf-8";

    internal static void MapCalendars(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/calendar", SubscribeAsync).WithName("subscribeCalendar");
        api.MapGet("/clients/{id}/files/training.ics", FileAsync).WithName("getCalendarFile");
    }

    internal static void MapLinkCalendar(this RouteGroupBuilder api) => api.MapGet("/calendar/{token}.ics", ReadAsync).WithName("readCalendar");

    private static async Task<Results<Ok<CalendarAddressView>, ValidationProblem, ProblemHttpResult>> SubscribeAsync(
        string id, CalendarForm form, ClaimsPrincipal user, Storage.Clients clients, ClientLinks links, Settings settings, TimeProvider clock)
    {
        if (await clients.FindAsync(user.CoachId(), id) is not { } client)
        {
            return Answers.Missing("client");
        }

        if (Problem(form.At, form.Remind) is { } problem)
        {
            return Answers.Invalid([problem]);
        }

        if (SendingLeave.For(client.Profile) is { Allowed: false, Why: { } why })
        {
            return TypedResults.Problem(statusCode: 422, title: "Not to be handed out yet.", detail: why);
        }

        var now = clock.GetUtcNow();
        string token = await links.MintAsync(user.CoachId(), id, LinkPurpose.Calendar, now, now.AddDays(DaysOpen));
        string asked = $"?at={Uri.EscapeDataString(form.At)}{(form.Remind is { } minutes ? $"&remind={minutes}" : "")}";
        return TypedResults.Ok(new CalendarAddressView($"{settings.PublicUrl}/api/calendar/{token}.ics{asked}"));
    }

    private static async Task<Results<FileContentHttpResult, ValidationProblem, ProblemHttpResult>> FileAsync(
        string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans, ClientLinks links, TimeProvider clock, string at = "18:00", int? remind = null) =>
        await cases.FindAsync(user.CoachId(), id) is not { } about ? Answers.Missing("client")
            : Problem(at, remind) is { } problem ? Answers.Invalid([problem])
            : TypedResults.File(await WriteAsync(user.CoachId(), about, plans, links, clock, at, remind), Type, $"{FileEndpoints.FileName(about.Profile.Name)} training.ics");

    private static async Task<Results<FileContentHttpResult, ValidationProblem, ProblemHttpResult>> ReadAsync(
        string token, ClientLinks links, Cases cases, Storage.Plans plans, TimeProvider clock, string at = "18:00", int? remind = null)
    {
        var (state, holder) = await links.OpenAsync(token, clock.GetUtcNow(), calendar: true);
        return holder is null || await cases.FindAsync(holder.Coach, holder.Client) is not { } about ? LinkEndpoints.Closed(state)
            : Problem(at, remind) is { } problem ? Answers.Invalid([problem])
            : TypedResults.File(await WriteAsync(holder.Coach, about, plans, links, clock, at, remind), Type);
    }

    private static InputProblem? Problem(string at, int? remind) =>
        !TimeOnly.TryParseExact(at, "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out _) ? new("at", "Give the hour as 18:00.")
            : remind is < 0 or > MostRemind ? new("remind", $"Remind 0 to {MostRemind} minutes before.")
            : null;

    /// <summary>Days from the plan in force; what is done on them as it was sent, for that is what the client has.</summary>
    private static async Task<byte[]> WriteAsync(string coach, Case about, Storage.Plans plans, ClientLinks links, TimeProvider clock, string at, int? remind)
    {
        var plan = (await plans.FindAsync(coach, about.Client.Id)).At(about.Place.Id);
        var sent = await links.LastSentAsync(coach, about.Client.Id);
        var programme = sent is null ? null : JsonSerializer.Deserialize<LinkProgramme>(sent.Document, TradeJson.Options);
        var sessions = programme?.Places.FirstOrDefault(p => p.Id == about.Place.Id)?.Sessions ?? [];
        string[] notes =
        [
            .. plan.Value.Sessions.Select(s => sessions.FirstOrDefault(k => k.Title == s.Title) is { } known
                ? string.Join('\n', known.Lines.Select(l => $"{l.Prescription.Name} {l.Prescription.CountInWords}"))
                : ""),
        ];
        return Encoding.UTF8.GetBytes(TrainingCalendar.Write(new(
            about.Client.Id, $"Training, {about.Profile.Name.Split(' ')[0]}", TrainingDays.Of(plan.Value, about.Profile, about.Today(clock)), notes,
            ClientDay.ZoneOf(about.Profile, about.Practice), TimeOnly.ParseExact(at, "HH:mm", CultureInfo.InvariantCulture),
            remind is { } minutes ? TimeSpan.FromMinutes(minutes) : null, plan.Version, plan.Value.SavedAt ?? clock.GetUtcNow())));
    }
}
