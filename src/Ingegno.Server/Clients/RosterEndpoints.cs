using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Sessions;
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
/// <param name="FitMinutes">A session that is too long is made to fit the client's minutes, in the order of the house.</param>
/// <param name="Save">Keep the result as the client's plan.</param>
/// <param name="Version">The plan's version the move was shown for; a save on an older one is refused.</param>
public sealed record MoveForm(bool WholeWeek, bool FitMinutes, bool Save, long? Version = null);

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
        string id, MoveForm form, ClaimsPrincipal user, Cases cases, Places places, Plans plans, TimeProvider clock, IWeekSolver solver, CancellationToken stop)
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

        var (view, choices) = await Task.Run(() => Moved(about, plan.Value, form, clock, solver, stop), stop);
        var moved = MovedProgramme.Of(view.Sessions, view.Review, about.Profile, view.AllGuessed, about.Practice.Marks.PoorFit);
        if (!form.Save || moved.Lines.IsEmpty)
        {
            return TypedResults.Ok(new MoveView(id, about.Profile.Name, moved, plan.Version, Saved: false));
        }

        var kept = await Task.Run(async () => BenchEndpoints.Planned(plan.Value.Text, choices, about, await places.AllAsync(coach, id), clock), stop);
        var saved = await plans.SaveAsync(coach, id, kept with { Block = plan.Value.Block }, plan.Version);
        return saved.Saved ? TypedResults.Ok(new MoveView(id, about.Profile.Name, moved, saved.Version, Saved: true)) : Answers.Stale();
    }

    private static (BenchView View, ImmutableArray<LineChoice> Choices) Moved(
        Case about, Plan plan, MoveForm form, TimeProvider clock, IWeekSolver solver, CancellationToken stop)
    {
        var view = Rebuilt(plan.Choices);
        var choices = plan.Choices;
        var programme = new WrittenProgramme([.. view.Sessions.Select(s => new WrittenSession(s.Title, [.. s.Lines.Select(l => l.Written)]))]);
        if (form.WholeWeek && WeekEndpoints.Solved(view, choices, about, solver, stop) is { IsEmpty: false } changes)
        {
            choices = LineChanges.On(choices, changes, programme);
        }

        if (form.FitMinutes && about.Profile.SessionMinutes is { } minutes)
        {
            choices = Fitted(choices, programme, about, minutes, Today.ByThe(clock));
        }

        return choices == plan.Choices ? (view, choices) : (Rebuilt(choices), choices);

        BenchView Rebuilt(ImmutableArray<LineChoice> by) =>
            BenchEndpoints.Rebuild(plan.Text, by, about.Profile, about.Home, about.Practice, Today.ByThe(clock), block: plan.Block);
    }

    private static ImmutableArray<LineChoice> Fitted(
        ImmutableArray<LineChoice> choices, WrittenProgramme programme, Case about, int minutes, DateOnly today)
    {
        var rebuild = new SessionRebuild(about.Profile, about.Home, Catalogue.Shipped, about.Rules, today, programme, about.Practice);
        foreach (var session in programme.Sessions)
        {
            var before = choices;
            var shrunk = ShrinkToFit.Into(
                Duration.FromMinutes(minutes), rebuild.Rebuild(session, before), about.Rules.ShrinkOrder, about.Home, Catalogue.Shipped,
                with => rebuild.Rebuild(session, LineChanges.On(before, with, programme)));
            choices = LineChanges.On(before, shrunk.Changes, programme);
        }

        return choices;
    }
}
