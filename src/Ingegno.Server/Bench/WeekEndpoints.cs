using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;
using Ingegno.Core.Weeks;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Bench;

/// <summary>A week chosen as a whole, and what stood in the way.</summary>
/// <param name="Obstacles">Why the client's minutes cannot be kept, or a group cannot be done; then the best week without that limit is given.</param>
public sealed record WeekView(WeekOutcome Outcome, ImmutableArray<string> Obstacles);

/// <summary>The week with one thing more than the home has.</summary>
/// <param name="Offer">Id of one of the offers for the client.</param>
public sealed record UnlockForm(string Text, ImmutableArray<LineChoice> Choices, string Offer) : IChoosing;

/// <summary>What to buy for a sum.</summary>
/// <param name="Tried">Offers tried alone, with their gains.</param>
public sealed record BasketForm(string Text, ImmutableArray<LineChoice> Choices, decimal Budget, ImmutableArray<TriedOffer> Tried) : IChoosing;

/// <summary>A basket within the budget.</summary>
/// <param name="Together">The week solved with all of it: less than the sum where two things would fill the same line. Its offer is the whole basket.</param>
public sealed record BasketView(ImmutableArray<UnlockOffer> Offers, decimal Cost, Unlock Together);

/// <summary>One choice a line over the whole week at once. Cancelling the request stops the search.</summary>
internal static class WeekEndpoints
{
    internal static void MapWeek(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/week", SolveAsync).WithName("solveWeek");
        api.MapGet("/clients/{id}/unlocks", OffersAsync).WithName("listUnlocks");
        api.MapPost("/clients/{id}/unlocks", UnlockAsync).WithName("unlock");
        api.MapPost("/clients/{id}/unlocks/basket", BasketAsync).WithName("fillBasket");
    }

    private static async Task<Results<Ok<ImmutableArray<UnlockOffer>>, ProblemHttpResult>> OffersAsync(string id, ClaimsPrincipal user, Cases cases) =>
        await cases.FindAsync(user.CoachId(), id) is { } about
            ? TypedResults.Ok(Unlocks.For(about.Home, about.Practice))
            : Answers.Missing("client");

    /// <summary>One offer a request, so that the page tells how far it is and can stop.</summary>
    private static async Task<Results<Ok<Unlock>, ValidationProblem, ProblemHttpResult>> UnlockAsync(
        string id, UnlockForm form, ClaimsPrincipal user, Cases cases, TimeProvider clock, IWeekSolver solver, CancellationToken stop)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var today = about.Today(clock);
        if (Unlocks.For(about.Home, about.Practice).FirstOrDefault(o => o.Id == form.Offer) is not { } offer
            || Unlocks.With(about.Home, offer, today) is not { } richer)
        {
            return Answers.Invalid([new("offer", "That is neither on the price list nor an unchecked fixture of this home.")]);
        }

        return Compared(form.Text, form.Choices, about, richer, offer, today, solver, stop) is { } unlock
            ? TypedResults.Ok(unlock)
            : Answers.Invalid([NothingToChoose]);
    }

    private static readonly InputProblem NothingToChoose = new("text", "No line of this week can be trained here yet: there is nothing to choose among.");

    private const decimal MostBudget = 5000;

    /// <summary>The best basket within a sum, by what each thing gained alone, weighed together.</summary>
    private static async Task<Results<Ok<BasketView>, ValidationProblem, ProblemHttpResult>> BasketAsync(
        string id, BasketForm form, ClaimsPrincipal user, Cases cases, TimeProvider clock, IWeekSolver solver, CancellationToken stop)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        if (form.Budget is < 0 or > MostBudget)
        {
            return Answers.Invalid([new("budget", $"Give a budget from 0 to {MostBudget:0} {about.Practice.Currency}.")]);
        }

        var today = about.Today(clock);
        var basket = Basket.Under(form.Budget, Unlocks.For(about.Home, about.Practice), form.Tried);
        if (basket.IsEmpty)
        {
            return Answers.Invalid([new("budget", "Nothing tried so far gains anything for that money.")]);
        }

        var richer = basket.Aggregate(about.Home, (home, offer) => Unlocks.With(home, offer, today) ?? home);
        decimal cost = basket.Sum(o => o.Cost ?? 0);
        var whole = new UnlockOffer(
            "basket", string.Join(", ", basket.Select(o => o.Words)), cost, Lent: false, FormattableString.Invariant($"{cost:0.##} {about.Practice.Currency}"));
        return Compared(form.Text, form.Choices, about, richer, whole, today, solver, stop) is { } together
            ? TypedResults.Ok(new BasketView(basket, cost, together))
            : Answers.Invalid([NothingToChoose]);
    }

    /// <summary>The week solved here and in a richer home; null where there is nothing to choose among.</summary>
    private static Unlock? Compared(
        string text, ImmutableArray<LineChoice> choices, Case about, Home richer, UnlockOffer offer, DateOnly today, IWeekSolver solver, CancellationToken stop)
    {
        return Weighed(about.Home) is { } without && Weighed(richer) is { } with ? Unlocks.Told(offer, without, with, about.Rules.Catalogue) : null;

        (WeekModel, WeekSolution)? Weighed(Home home)
        {
            var view = BenchEndpoints.Rebuild(text, choices, about.Profile, home, about.Practice, today, stop);
            // Minutes are left out: what a thing unlocks is asked of the exercises.
            var model = WeekReading.Of(view.Sessions, about.Profile, about.Rules.Catalogue, l => l.ChosenByHand, null, about.Practice, today);
            return !model.Slots.IsEmpty && solver.Solve(model, stop: stop) is { } solution ? (model, solution) : null;
        }
    }

    private static async Task<Results<Ok<WeekView>, ValidationProblem, ProblemHttpResult>> SolveAsync(
        string id, BenchForm form, ClaimsPrincipal user, Cases cases, Storage.Plans plans, TimeProvider clock, IWeekSolver solver, WorkUnderWay work, RebuildsAtHand rebuilds,
        CancellationToken stop, string? run = null)
    {
        if (run is { Length: 0 or > WorkUnderWay.LongestName })
        {
            return Answers.Invalid([new("run", $"Name the search in 1 to {WorkUnderWay.LongestName} letters.")]);
        }

        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var today = about.Today(clock);
        var view = BenchEndpoints.Rebuild(form, await BenchEndpoints.PlanAsync(user, plans, about), about, rebuilds, today, stop);
        var model = ModelOf(view.Sessions, form.Choices, about, today);
        if (model.Slots.IsEmpty)
        {
            return Answers.Invalid([NothingToChoose]);
        }

        int[] before = [.. model.Slots.Select(s => PlaceNow(s, view.Sessions))];
        if (await SearchAsync(model) is { } found)
        {
            return TypedResults.Ok(new WeekView(WeekStory.Of(model, before, found, about.Rules.Catalogue), []));
        }

        var obstacles = WeekObstacles.Of(model, [.. view.Sessions.Select(s => s.Title)]);
        return await SearchAsync(model with { MostSeconds = null }) is { } longer
            ? TypedResults.Ok(new WeekView(WeekStory.Of(model with { MostSeconds = null }, before, longer, about.Rules.Catalogue), obstacles))
            : Answers.Invalid([.. obstacles.DefaultIfEmpty("No choice of exercises fits this week.").Select(o => new InputProblem("text", o))]);

        Task<WeekSolution?> SearchAsync(WeekModel week) =>
            work.FollowAsync(coach, run, told => Task.Run(() => solver.Solve(week, found => told(new(found.Words)), stop), stop));
    }

    /// <summary>
    /// The changes that fit a week as a whole around the lines that stand, within the client's minutes where that can be; null where there is
    /// nothing to choose.
    /// </summary>
    internal static ImmutableArray<LineChange>? Solved(
        ImmutableArray<RebuiltSession> sessions, ImmutableArray<LineChoice> choices, Case about, DateOnly today, IWeekSolver solver, CancellationToken stop)
    {
        var model = ModelOf(sessions, choices, about, today, standingStays: true);
        return !model.Slots.IsEmpty && (solver.Solve(model, stop: stop) ?? solver.Solve(model with { MostSeconds = null }, stop: stop)) is { } found
            ? WeekStory.Of(model, [.. model.Slots.Select(s => PlaceNow(s, sessions))], found, about.Rules.Catalogue).Changes
            : null;
    }

    /// <summary>The week to choose among: what was kept or chosen by hand stays.</summary>
    private static WeekModel ModelOf(ImmutableArray<RebuiltSession> sessions, ImmutableArray<LineChoice> choices, Case about, DateOnly today, bool standingStays = false)
    {
        var pinned = choices.Where(c => c.Pinned || c.Exercise is not null).Select(c => (c.Line, c.Text)).ToHashSet();
        return WeekReading.Of(
            sessions, about.Profile, about.Rules.Catalogue, l => (standingStays && l.Stands) || l.ChosenByHand || pinned.Contains((l.Written.Number, l.Written.Text)),
            about.Profile.SessionMinutes * 60, about.Practice, today);
    }

    private static int PlaceNow(WeekSlot slot, ImmutableArray<RebuiltSession> sessions)
    {
        string? now = sessions.SelectMany(s => s.Lines).First(l => l.Written.Number == slot.Line).Chosen?.Prescription.Exercise;
        int place = slot.Options.Select((o, i) => (o, i)).FirstOrDefault(p => p.o.Exercise == now).i;
        return place;
    }
}
