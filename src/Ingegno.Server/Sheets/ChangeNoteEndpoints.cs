using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Sheets;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Plans;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Sheets;

/// <summary>The note of a rebuild, and the coach's own words over the client's page.</summary>
/// <param name="Words">Null for the usual ones.</param>
public sealed record ChangeNoteView(ChangeNote Note, string? Words);

/// <summary>What the coach says over the client's page; null goes back to the usual words.</summary>
public sealed record ChangeWordsForm(string? Words);

/// <summary>What the rebuild changed, to hand out and to keep.</summary>
internal static class ChangeNoteEndpoints
{
    internal static void MapChangeNotes(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/change-note", NoteAsync).WithName("getChangeNote").StopsInTime();
        api.MapPut("/clients/{id}/change-note/words", SayAsync).WithName("sayOverChangeNote");
    }

    private static async Task<Results<NoContent, ValidationProblem, ProblemHttpResult>> SayAsync(
        string id, ChangeWordsForm form, ClaimsPrincipal user, Storage.Clients clients, ChangeWords words)
    {
        if (await clients.FindAsync(user.CoachId(), id) is null)
        {
            return Answers.Missing("client");
        }

        if (form.Words?.Length > ChangeWords.Longest)
        {
            return Answers.Invalid([new("words", $"Keep it under {ChangeWords.Longest} letters.")]);
        }

        await words.SaveAsync(user.CoachId(), id, string.IsNullOrWhiteSpace(form.Words) ? null : form.Words);
        return TypedResults.NoContent();
    }

    private static async Task<Results<Ok<ChangeNoteView>, ProblemHttpResult>> NoteAsync(
        string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans, ChangeWords words, TimeProvider clock, CancellationToken stop)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(user.CoachId(), id)).Value.At(about.Place.Id);
        var bench = PlanCommands.BenchOf(about, about.Today(clock), about.Profile);
        var edit = bench.Edit(plan, new BenchDraft(plan.Text, plan.Choices, null, null));
        var rebuild = bench.RebuildAt(edit, new ClientPlace(about.Place.Id, about.Home));
        var choices = edit.ChoicesAt(about.Place.Id);
        var harder = plan.AllLines.DistinctBy(l => l.Number).ToDictionary(l => l.Number, l => l.Harder.FirstOrDefault(h => h.Exercise != l.Prescription?.Exercise)?.Exercise);
        var note = ChangeNotes.Of(
            about.Profile, user.CoachName(), about.Home.Name, edit.Programme.Sessions.Select(s => rebuild.RebuildUntil(s, choices, null, stop)), about.Rules,
            written => harder.GetValueOrDefault(written.Number));
        return TypedResults.Ok(new ChangeNoteView(note, await words.FindAsync(user.CoachId(), id)));
    }
}
