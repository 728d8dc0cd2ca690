using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Programmes;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;
using Ingegno.Core.Weeks;
using Ingegno.Server.Accounts;
using Ingegno.Server.Bench;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Clients;

/// <summary>How one client is moved.</summary>
/// <param name="WholeWeek">All lines of the week are fitted together; what was chosen by hand stays.</param>
/// <param name="Save">Keep the result as the client's plan.</param>
/// <param name="Version">The plan's version the move was shown for; a save on an older one is refused.</param>
public sealed record MoveForm(bool WholeWeek, bool Save, long? Version = null);

/// <summary>A client as moved.</summary>
/// <param name="Version">Of the plan it was made from, or saved as.</param>
/// <param name="Saved">Kept as the plan.</param>
public sealed record MoveView(string Id, string Name, MovedProgramme Moved, long Version, bool Saved);

/// <summary>A client who can be moved.</summary>
/// <param name="HasProgramme">Something is written.</param>
public sealed record RosterEntry(string Id, string Name, string Note, bool HasProgramme, bool IsSaved);

/// <summary>
/// Many clients rebuilt under one set of rules: one client a request, so that the page tells how far it is, can stop, and everything else
/// still answers.
/// </summary>
internal static class RosterEndpoints
{
    internal static void MapRoster(this RouteGroupBuilder api)
    {
        api.MapGet("/roster", ListAsync).WithName("listRoster");
        api.MapPost("/clients/{id}/move", MoveAsync).WithName("moveClient");
    }

    private static async Task<Ok<RosterEntry[]>> ListAsync(ClaimsPrincipal user, Storage.Clients clients, Plans plans)
    {
        string coach = user.CoachId();
        var entries = new List<RosterEntry>();
        foreach (var client in await clients.AllAsync(coach))
        {
            var plan = await plans.FindAsync(coach, client.Id);
            entries.Add(new(client.Id, client.Profile.Name, client.Profile.Note, plan.Value.Text.Length > 0, !plan.Value.Sessions.IsEmpty));
        }

        return TypedResults.Ok(entries.ToArray());
    }

    private static async Task<Results<Ok<MoveView>, ValidationProblem, ProblemHttpResult>> MoveAsync(
        string id, MoveForm form, ClaimsPrincipal user, Cases cases, Plans plans, TimeProvider clock, IWeekSolver solver, CancellationToken stop)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = await plans.FindAsync(coach, id);
        if (form.Save && form.Version != plan.Version)
        {
            return Answers.Stale();
        }

        var (view, choices) = await Task.Run(() => Moved(about, plan.Value, form.WholeWeek, clock, solver, stop), stop);
        var moved = MovedProgramme.Of(view.Sessions, view.Review, about.Profile, view.AllGuessed);
        if (!form.Save || moved.Lines.IsEmpty)
        {
            return TypedResults.Ok(new MoveView(id, about.Profile.Name, moved, plan.Version, Saved: false));
        }

        var saved = await plans.SaveAsync(
            coach, id, plan.Value with { Choices = choices, Sessions = [.. view.Sessions.Select(BenchEndpoints.Frozen)], SavedAt = clock.GetUtcNow() }, plan.Version);
        return saved.Saved ? TypedResults.Ok(new MoveView(id, about.Profile.Name, moved, saved.Version, Saved: true)) : Answers.Stale();
    }

    private static (BenchView View, ImmutableArray<LineChoice> Choices) Moved(
        Case about, Plan plan, bool wholeWeek, TimeProvider clock, IWeekSolver solver, CancellationToken stop)
    {
        var today = Today.ByThe(clock);
        var view = BenchEndpoints.Rebuild(plan.Text, plan.Choices, about.Profile, about.Home, about.Practice, today, block: plan.Block);
        if (!wholeWeek || WeekEndpoints.Solved(view, plan.Choices, about, solver, stop) is not { } changes)
        {
            return (view, plan.Choices);
        }

        var programme = new WrittenProgramme([.. view.Sessions.Select(s => new WrittenSession(s.Title, [.. s.Lines.Select(l => l.Written)]))]);
        var choices = LineChanges.On(plan.Choices, changes, programme);
        return (BenchEndpoints.Rebuild(plan.Text, choices, about.Profile, about.Home, about.Practice, today, block: plan.Block), choices);
    }
}
