using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Plans;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Desk;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Plans;

/// <summary>An entry of a line's history.</summary>
/// <param name="Was">What the line asked before it; null where it says nothing of that.</param>
/// <param name="Became">What it asked after it.</param>
/// <param name="Place">Where, where that is not the place in use; null there.</param>
/// <param name="Undone">It was taken back.</param>
/// <param name="AgainstUndoing">Why it cannot be taken back; null where it can.</param>
public sealed record ChangeView(
    Guid Id, DateOnly On, ChangeKind Kind, string Who, string Cause, string? Was, string? Became, string? Place, bool Undone, string? AgainstUndoing);

/// <summary>The version a plan has now.</summary>
public sealed record PlanVersion(long Version);

/// <summary>How the lines of a plan came to what they ask.</summary>
internal static class HistoryEndpoints
{
    internal static void MapHistory(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/plan/changes", FindAsync).WithName("getChanges");
        api.MapPost("/clients/{id}/plan/changes/{change}/undo", UndoAsync).WithName("undoChange");
    }

    /// <param name="line">Its name in the plan; null for the whole list.</param>
    private static async Task<Results<Ok<ImmutableArray<ChangeView>>, ProblemHttpResult>> FindAsync(
        string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans, int? line = null)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(coach, id)).At(about.Place.Id).Value;
        var all = await plans.ChangesAsync(coach, id);
        var undone = Changing.Undone(all);
        return TypedResults.Ok<ImmutableArray<ChangeView>>([.. (line is { } name ? all.Of(plan, name) : all).Reverse().SelectMany(c => Views(c, line, plan, undone, about))]);
    }

    /// <summary>Of a change at several places one entry each where they differ.</summary>
    private static IEnumerable<ChangeView> Views(PlanChange change, int? line, Plan plan, IReadOnlySet<Guid> undone, Case about)
    {
        string? against = plan.AgainstUndoing(change, undone);
        LineDelta[] deltas = [.. change.Lines.Where(l => line is null || l.Line % PlannedLine.AddedFrom == line)];
        // What was added to the line speaks where the line itself did not change.
        var told = deltas.Any(l => l.Line < PlannedLine.AddedFrom) ? deltas.Where(l => l.Line < PlannedLine.AddedFrom) : deltas;
        var said = told.Where(_ => line is not null)
            .Select(l => (Was: Words(l.Before), Became: Words(l.After), Place: l.Place == plan.Place ? null : about.Places.FirstOrDefault(p => p.Id == l.Place)?.Home.Name ?? "a place that is gone"))
            .DistinctBy(s => (s.Was, s.Became)).ToArray();
        return said.Length == 0
            ? [new(change.Id, change.On, change.Kind, change.Who, change.Cause, null, null, null, undone.Contains(change.Id), against)]
            : said.Select(s => new ChangeView(change.Id, change.On, change.Kind, change.Who, change.Cause, s.Was, s.Became, s.Place, undone.Contains(change.Id), against));
    }

    private static string? Words(LineState? state) =>
        state is null ? null
        : state.IsAside ? "left out"
        : state.Prescription is { } p ? $"{p.Name}, {(p.Load == Core.Quantities.Mass.Zero ? "" : $"{p.Load}, ")}{p.CountInWords}, rest {p.Rest}" : "nothing";

    private static async Task<Results<Ok<PlanVersion>, ProblemHttpResult>> UndoAsync(
        string id, Guid change, ClaimsPrincipal user, Storage.Plans plans, DecisionRecords decisions, Answering answering)
    {
        string coach = user.CoachId();
        var all = await plans.ChangesAsync(coach, id);
        if (all.FirstOrDefault(c => c.Id == change) is not { } found)
        {
            return Answers.Missing("change");
        }

        // A decision whose one change this is goes with it.
        var record = all.Count(c => c.Command == found.Command) == 1 ? await decisions.OfCommandAsync(coach, id, found.Command) : null;
        var answered = await answering.UndoAsync(coach, user.CoachName(), id, c => c.Id == change, record);
        return answered.Problem is { } problem ? Answers.Refused(new(problem, answered.Stale))
            : answered.Stale ? Answers.Stale()
            : TypedResults.Ok(new PlanVersion((await plans.FindAsync(coach, id)).Version));
    }
}
