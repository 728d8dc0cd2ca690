using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Sheets;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Plans;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Sheets;

/// <summary>What the rebuild changed, to hand out and to keep.</summary>
internal static class ChangeNoteEndpoints
{
    internal static void MapChangeNotes(this RouteGroupBuilder api) => api.MapGet("/clients/{id}/change-note", NoteAsync).WithName("getChangeNote");

    private static async Task<Results<Ok<ChangeNote>, ProblemHttpResult>> NoteAsync(string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans, TimeProvider clock)
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
        var harder = plan.AllLines.Where(l => !l.Harder.IsEmpty).DistinctBy(l => l.Number).ToDictionary(l => l.Number, l => l.Harder[0].Exercise);
        return TypedResults.Ok(ChangeNotes.Of(
            about.Profile, user.CoachName(), about.Home.Name, edit.Programme.Sessions.Select(s => rebuild.Rebuild(s, choices)), about.Rules.Catalogue,
            written => harder.GetValueOrDefault(written.Number)));
    }
}
