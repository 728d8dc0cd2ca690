using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Plans;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Bench;

/// <summary>A session that has to fit.</summary>
/// <param name="Session">Place of the session, from 0.</param>
/// <param name="Minutes">There are, warm-up and cool-down counted.</param>
public sealed record ShrinkForm(string Text, ImmutableArray<LineChoice> Choices, int Session, int Minutes, SeenPlan? Seen = null) : IChoosing;

/// <summary>A session made to fit, and what was done for it.</summary>
/// <param name="Session">As the client would train it.</param>
/// <param name="WhyLonger">Where it does not fit: even the main work takes longer, or there was no time to look further.</param>
public sealed record ShrinkView(ImmutableArray<string> Steps, ImmutableArray<LineChange> Changes, PlannedSession Session, string? WhyLonger);

/// <summary>Fits a session into 20, 30 or 45 minutes, for good or for today.</summary>
internal static class ShrinkEndpoints
{
    /// <summary>Of the longest work of any answer: what was found by then is given. A session of a dozen lines takes tenths of a second.</summary>
    private const double PartOfLongest = 0.6;

    internal static void MapShrink(this RouteGroupBuilder api) => api.MapPost("/clients/{id}/shrink", ShrinkAsync).WithName("shrinkSession").StopsInTime();

    private static async Task<Results<Ok<ShrinkView>, ValidationProblem, ProblemHttpResult>> ShrinkAsync(
        string id, ShrinkForm form, ClaimsPrincipal user, Cases cases, Storage.Plans plans, TimeProvider clock, Settings settings, CancellationToken stop)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        if (form.Minutes is < 5 or > 240)
        {
            return Answers.Invalid([new("minutes", "A session takes 5 to 240 minutes.")]);
        }

        return Fit(about, (await BenchEndpoints.PlanAsync(user, plans, about)).Value, form, about.Today(clock), settings.LongestWork, stop) is { } fitted
            ? TypedResults.Ok(fitted)
            : Answers.Invalid([new InputProblem("session", "That session is not in the text any more.")]);
    }

    /// <returns>Null where the text has no such session.</returns>
    internal static ShrinkView? Fit(Case about, Plan plan, ShrinkForm form, DateOnly today, TimeSpan longest, CancellationToken stop)
    {
        using var enough = CancellationTokenSource.CreateLinkedTokenSource(stop);
        enough.CancelAfter(longest * PartOfLongest);
        // Warm-up and cool-down shrink with the time there is.
        var client = about.Profile with { SessionMinutes = form.Minutes };
        var bench = PlanCommands.BenchOf(about, today, client);
        var edit = bench.Edit(plan, new BenchDraft(form.Text, form.Choices, null, form.Seen));
        if (form.Session < 0 || form.Session >= edit.Programme.Sessions.Length)
        {
            return null;
        }

        var written = edit.Programme.Sessions[form.Session];
        var choices = edit.ChoicesAt(about.Place.Id);
        var rebuild = bench.RebuildAt(edit, new ClientPlace(about.Place.Id, about.Home));
        var shrunk = ShrinkToFit.Into(
            Duration.FromMinutes(form.Minutes), rebuild.RebuildUntil(written, choices, null, stop), about.Rules.ShrinkOrder, about.Home, about.Rules.Catalogue,
            changes => rebuild.RebuildUntil(written, LineChanges.On(choices, changes, edit.Programme), null, stop), enough.Token);
        return new ShrinkView(shrunk.Steps, shrunk.Changes, LaidSession.Of(shrunk.Session, edit.LineOf), shrunk.WhyLonger);
    }
}
