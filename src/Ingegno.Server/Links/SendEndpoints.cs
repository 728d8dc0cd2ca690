using System.Collections.Immutable;
using System.Globalization;
using System.Security.Claims;
using System.Text.Json;
using Ingegno.Core.Plans;
using Ingegno.Core.Quantities;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Web;
using Ingegno.Simulation;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Links;

/// <summary>What would be sent, read back, and what stands against it.</summary>
/// <param name="Sentence">Totals, minutes and sides in plain words.</param>
/// <param name="Against">Why it may not be sent; empty when it may.</param>
/// <param name="SentAt">When this client last got something; null for never.</param>
/// <param name="IsNew">The plan was saved after it was last sent.</param>
/// <param name="OpenLinks">Links of this client that still open.</param>
public sealed record SendingView(string Sentence, ImmutableArray<string> Against, DateTimeOffset? SentAt, bool IsNew, int OpenLinks);

/// <summary>A message in the outbox of the stand-in for the post.</summary>
public sealed record OutboxMessage(string Name, DateTimeOffset At, string To, string Subject, string Text);

/// <summary>Sends a plan to its client: the link, the frozen version and the letter together, or none of them.</summary>
internal sealed partial class Sender(
    Database database, Storage.Plans plans, ClientLinks links, SimulatedPost post, Settings settings, TimeProvider clock, ILogger<Sender> log)
{
    /// <summary>A link outlives its block by so many days; of a plan without one, the first look at it.</summary>
    private const int DaysAfterBlock = 30;

    /// <summary>Letters a version's id has, at the end of its letter's name.</summary>
    private const int IdLength = 36;

    internal async Task<SendingView> LookAsync(string coach, Case about)
    {
        var (plan, against) = await ReadAsync(coach, about);
        var last = await links.LastSentAsync(coach, about.Client.Id);
        return new(
            Freezing.Sentence(plan.Value), against, last?.SentAt, last is null || last.PlanVersion != plan.Version,
            await links.OpenCountAsync(coach, about.Client.Id, clock.GetUtcNow()));
    }

    /// <param name="also">Written with it, all or none.</param>
    /// <returns>What stands against it; empty when it was sent.</returns>
    internal async Task<ImmutableArray<string>> SendAsync(string coach, string coachName, Case about, Func<Writing, Task>? also = null)
    {
        var (plan, against) = await ReadAsync(coach, about);
        if (!against.IsEmpty)
        {
            return against;
        }

        var now = clock.GetUtcNow();
        var today = about.Today(clock);
        var programme = Freezing.Of(about.Profile, plan.Value, about.ClientPlaces, today, about.Rules);
        string sentence = Freezing.Sentence(plan.Value);
        string id = Guid.CreateVersion7().ToString();
        var ends = plan.Value.Block is { Starts: { } starts } block
            ? starts.AddDays(7 * (block.IsOpenEnded ? block.ReviewEvery : block.Phases.Sum(p => p.Weeks)))
            : today.AddDays(28);
        var expires = new DateTimeOffset(Later(ends, today).AddDays(DaysAfterBlock).ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);
        PreparedMessage? letter = null;
        try
        {
            await using var writing = await Writing.BeginAsync(database);
            string token = await links.SendAsync(
                coach, about.Client.Id, new(id, now, plan.Version, sentence, JsonSerializer.Serialize(programme, TradeJson.Options)), expires, writing);
            if (also is not null)
            {
                await also(writing);
            }

            letter = post.Prepare(
                $"{coach}-{now.UtcDateTime.ToString("yyyyMMddHHmmssfff", CultureInfo.InvariantCulture)}-{id}", now, about.Profile.Name, "Your training at home",
                Letter(programme.Client, token, sentence, expires, coachName));
            await writing.CommitAsync();
        }
        catch (Exception closed) when (letter is null && closed is IOException or UnauthorizedAccessException)
        {
            CannotPost(log, closed);
            return ["The outbox cannot be written, so no letter could go out: see that its folder is there and has room, then send again."];
        }
        catch
        {
            letter?.Drop();
            throw;
        }

        PostWaiting(letter);
        return [];
    }

    private string Letter(string client, string token, string sentence, DateTimeOffset expires, string coachName) =>
        $"""
         Hello {client},

         your training is ready. Open it on your phone once while you have a signal; after that it works without one:

         {settings.PublicUrl}/train/{token}

         {sentence}

         The link is yours alone: whoever has it can see the training and write in your log. It stays open while you use it, and closes on {expires.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)} or {ClientLinks.DaysAfterUse} days after you last used it, whichever is later.
         Sharp pain stops an exercise. With heart or blood pressure trouble, dizziness or chest pain, ask a physician first.

         {coachName}
         """;

    /// <summary>Posts what was prepared for versions that are kept as sent, and drops what was prepared for none; at the start, when nothing is being sent.</summary>
    internal async Task FinishAsync()
    {
        foreach (var letter in post.Waiting())
        {
            if (await links.WasSentAsync(letter.Name[^IdLength..]))
            {
                PostWaiting(letter);
            }
            else
            {
                letter.Drop();
            }
        }
    }

    /// <summary>Link and version are safe by now: a letter that cannot be moved waits for the next start.</summary>
    private void PostWaiting(PreparedMessage letter)
    {
        try
        {
            letter.Post();
        }
        catch (Exception closed) when (closed is IOException or UnauthorizedAccessException)
        {
            CannotPost(log, closed);
        }
    }

    [LoggerMessage(LogLevel.Error, "The outbox cannot be written")]
    private static partial void CannotPost(ILogger log, Exception closed);

    private static DateOnly Later(DateOnly a, DateOnly b) => a > b ? a : b;

    private async Task<(Versioned<Plan> Plan, ImmutableArray<string> Against)> ReadAsync(string coach, Case about)
    {
        var plan = (await plans.FindAsync(coach, about.Client.Id)).At(about.Place.Id);
        return (plan, [.. Freezing.Against(about.Profile, plan.Value, about.ClientPlaces, about.Rules, about.Today(clock)).Distinct()]);
    }
}

/// <summary>Sending and the outbox.</summary>
internal static class SendEndpoints
{
    internal static void MapSending(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/sending", LookAsync).WithName("getSending");
        api.MapPost("/clients/{id}/sending", SendAsync).WithName("send");
        api.MapDelete("/clients/{id}/links", RevokeAsync).WithName("revokeLinks");
        api.MapGet("/outbox", Outbox).WithName("getOutbox");
    }

    private static async Task<Results<Ok<SendingView>, ProblemHttpResult>> LookAsync(string id, ClaimsPrincipal user, Cases cases, Sender sender) =>
        await cases.FindAsync(user.CoachId(), id) is { } about
            ? TypedResults.Ok(await sender.LookAsync(user.CoachId(), about))
            : Answers.Missing("client");

    private static async Task<Results<Ok<SendingView>, ProblemHttpResult>> SendAsync(string id, ClaimsPrincipal user, Cases cases, Sender sender)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var against = await sender.SendAsync(coach, user.Identity!.Name ?? "", about);
        return against.IsEmpty
            ? TypedResults.Ok(await sender.LookAsync(coach, about))
            : TypedResults.Problem(statusCode: 422, title: "Nothing was sent.", detail: string.Join(" ", against));
    }

    private static async Task<Results<Ok<SendingView>, ProblemHttpResult>> RevokeAsync(
        string id, ClaimsPrincipal user, Cases cases, ClientLinks links, Sender sender, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        await links.RevokeAsync(coach, id, clock.GetUtcNow());
        return TypedResults.Ok(await sender.LookAsync(coach, about));
    }

    private static Ok<OutboxMessage[]> Outbox(ClaimsPrincipal user, SimulatedPost post) =>
        TypedResults.Ok(post.Sent(user.CoachId()).Select(m => new OutboxMessage(m.Name, m.At, m.To, m.Subject, m.Text)).ToArray());
}
