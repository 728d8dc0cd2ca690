using System.Security.Claims;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Ingegno.Simulation;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Server.Clients;

/// <summary>Says once more who is meant.</summary>
/// <param name="Name">The client's whole name.</param>
public sealed record EraseForm(string Name);

/// <summary>A receipt: what was erased, by kind.</summary>
/// <param name="Letters">In the outbox.</param>
public sealed record EraseReceipt(DateTimeOffset At, string Client, IReadOnlyDictionary<string, int> Rows, int Letters, string Sentence);

/// <summary>Erasing everything about one client.</summary>
internal static class EraseEndpoints
{
    internal static void MapErasing(this RouteGroupBuilder api) => api.MapDelete("/clients/{id}", EraseAsync).WithName("eraseClient");

    private static async Task<Results<Ok<EraseReceipt>, ValidationProblem, ProblemHttpResult>> EraseAsync(
        string id, [FromBody] EraseForm form, ClaimsPrincipal user, Storage.Clients clients, Erasing erasing, SimulatedPost post, TimeProvider clock)
    {
        string coach = user.CoachId();
        if (await clients.FindAsync(coach, id) is not { } client)
        {
            return Answers.Missing("client");
        }

        if (!client.Profile.Name.Equals(form.Name.Trim(), StringComparison.OrdinalIgnoreCase))
        {
            return Answers.Invalid([new("name", "Type the client's whole name: erasing cannot be taken back.")]);
        }

        var now = clock.GetUtcNow();
        if (await erasing.EraseAsync(coach, id, now) is not { } erased)
        {
            return Answers.Missing("client");
        }

        int letters = erased.Sendings.Sum(post.TakeOut);
        return TypedResults.Ok(new EraseReceipt(
            now, id, erased.Rows, letters,
            $"Erased: {erased.Rows.Values.Sum()} entries and {letters} {(letters == 1 ? "letter" : "letters")}; links, sheets and calendars open nothing any more. Backups taken before still hold them until they are let go, and a restore takes them out again."));
    }
}
