using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;
using Ingegno.Core.Weeks;
using Ingegno.Server.Accounts;
using Ingegno.Server.Bench;
using Ingegno.Server.Plans;
using Ingegno.Server.Web;
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

    private static async Task<Ok<RosterEntry[]>> ListAsync(ClaimsPrincipal user, Storage.Clients clients, Storage.Plans plans)
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
        string id, MoveForm form, ClaimsPrincipal user, PlanCommands commands, IWeekSolver solver, CancellationToken stop)
    {
        MovedProgramme? moved = null;
        var done = await commands.RunAsync(user.CoachId(), user.CoachName(), id, on => Task.Run(
            () =>
            {
                if (form.Save && form.Version != on.Plan.Version)
                {
                    return new PlanOutcome(on.Plan.Value, [], new("The plan was changed since it was moved: move the roster again.", IsStale: true));
                }

                (moved, var draft) = Moved(on, form, solver, stop);
                return form.Save && !moved.Lines.IsEmpty ? on.Bench.Save(on.Plan.Value, draft, on.LastTrained, on.By) : new PlanOutcome(on.Plan.Value, []);
            },
            stop));
        return done is null ? Answers.Missing("client")
            : done.Refusal is { } refusal ? Answers.Refused(refusal)
            : TypedResults.Ok(new MoveView(id, done.Name, moved!, done.Version, form.Save && !moved!.Lines.IsEmpty));
    }

    /// <summary>Lines that stand stay; what may not be trained as it is, or is new, is worked out, the week fitted around the rest.</summary>
    private static (MovedProgramme Moved, BenchDraft Draft) Moved(PlanCase on, MoveForm form, IWeekSolver solver, CancellationToken stop)
    {
        var (about, plan) = (on.About, on.Plan.Value);
        var place = new ClientPlace(about.Place.Id, about.Home);
        var choices = plan.Choices;
        var (sessions, rebuild) = Rebuilt(choices);
        var programme = on.Bench.Edit(plan, Draft(choices)).Programme;
        LineChoice[] unsafeNow = [.. sessions.SelectMany(s => s.Lines).Where(l => !l.Against.IsEmpty).Select(l => new LineChoice(l.Written.Number, l.Written.Text) { Afresh = true })];
        if (unsafeNow.Length > 0)
        {
            choices = [.. choices.Where(c => !unsafeNow.Any(u => u.Line == c.Line)), .. unsafeNow];
            (sessions, rebuild) = Rebuilt(choices);
        }

        if (form.WholeWeek && WeekEndpoints.Solved(sessions, choices, about, on.By.On, solver, stop) is { IsEmpty: false } changes)
        {
            choices = LineChanges.On(choices, changes, programme);
            (sessions, rebuild) = Rebuilt(choices);
        }

        if (form.FitMinutes && about.Profile.SessionMinutes is { } minutes)
        {
            choices = Fitted(choices, programme, minutes);
            (sessions, rebuild) = Rebuilt(choices);
        }

        var edit = on.Bench.Edit(plan, Draft(choices));
        var review = ProgrammeReview.Of(sessions, about.Profile, about.Rules.Catalogue, on.By.On, plan.Block, about.Practice.Marks);
        return (
            MovedProgramme.Of(sessions, review, about.Profile, rebuild.AllGuessed, about.Practice.Marks.PoorFit, number => edit.StandingAt(place.Id).GetValueOrDefault(number)?.InForce),
            Draft(choices));

        BenchDraft Draft(ImmutableArray<LineChoice> by) => new(plan.Text, by, plan.Block);

        (ImmutableArray<RebuiltSession> Sessions, SessionRebuild Rebuild) Rebuilt(ImmutableArray<LineChoice> by)
        {
            var drafted = on.Bench.Edit(plan, Draft(by));
            var rebuild = on.Bench.RebuildAt(drafted, place);
            var at = drafted.ChoicesAt(place.Id);
            return ([.. drafted.Programme.Sessions.Select(s => rebuild.RebuildUntil(s, at, null, stop))], rebuild);
        }

        ImmutableArray<LineChoice> Fitted(ImmutableArray<LineChoice> by, WrittenProgramme programme, int minutes)
        {
            foreach (var session in programme.Sessions)
            {
                var before = by;
                var shrunk = ShrinkToFit.Into(
                    Duration.FromMinutes(minutes), rebuild.RebuildUntil(session, before, null, stop), about.Rules.ShrinkOrder, about.Home, about.Rules.Catalogue,
                    with => rebuild.RebuildUntil(session, LineChanges.On(before, with, programme), null, stop), stop);
                by = LineChanges.On(before, shrunk.Changes, programme);
            }

            return by;
        }
    }
}
