using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Plans;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Homes;

/// <summary>A place in the list of a client's places; the first is where they train now.</summary>
public sealed record PlaceName(string Id, string Name);

/// <summary>A changed place and the version the change was made on.</summary>
public sealed record PlaceForm(Home Home, long Version);

/// <summary>A new place, by name; the rest is described on the survey.</summary>
public sealed record NewPlaceForm(string Name);

/// <summary>The places of a client and the survey of each.</summary>
internal static class PlaceEndpoints
{
    private const int MostPlaces = 12;

    internal static void MapPlaces(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/places", ListAsync).WithName("listPlaces");
        api.MapPost("/clients/{id}/places", AddAsync).WithName("addPlace");
        api.MapGet("/clients/{id}/places/{place}", FindAsync).WithName("getPlace");
        api.MapPut("/clients/{id}/places/{place}", SaveAsync).WithName("savePlace");
        api.MapDelete("/clients/{id}/places/{place}", RemoveAsync).WithName("removePlace");
        api.MapPost("/clients/{id}/places/{place}/use", UseAsync).WithName("usePlace");
        api.MapGet("/common-things", () => TypedResults.Ok(CommonThings.All)).WithName("getCommonThings");
    }

    private static async Task<Results<Ok<PlaceName[]>, ProblemHttpResult>> ListAsync(string id, ClaimsPrincipal user, Places places) =>
        await places.AllAsync(user.CoachId(), id) is { Count: > 0 } all
            ? TypedResults.Ok(all.Select(p => new PlaceName(p.Id, p.Home.Name)).ToArray())
            : Answers.Missing("client");

    private static async Task<Results<Created<PlaceName>, ValidationProblem, ProblemHttpResult>> AddAsync(
        string id, NewPlaceForm form, ClaimsPrincipal user, Places places)
    {
        var home = new Home { Name = form.Name };
        var problems = HomeProblems.Of(home);
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        if ((await places.AllAsync(user.CoachId(), id)).Count >= MostPlaces)
        {
            return Answers.Invalid([new("name", $"A client has at most {MostPlaces} places: take one out first.")]);
        }

        string place = Guid.CreateVersion7().ToString();
        return await places.AddAsync(user.CoachId(), id, place, home)
            ? TypedResults.Created($"/api/clients/{id}/places/{place}", new PlaceName(place, home.Name))
            : Answers.Missing("client");
    }

    /// <param name="place">An id, or "now" for the place in use.</param>
    private static async Task<Results<Ok<PlaceView>, ProblemHttpResult>> FindAsync(
        string id, string place, ClaimsPrincipal user, Cases cases, Storage.Plans plans, TimeProvider clock) =>
        await cases.FindAsync(user.CoachId(), id, place == "now" ? null : place) is { } about
            ? TypedResults.Ok(await ViewAsync(about, user.CoachId(), plans, clock))
            : Answers.Missing("place");

    private static async Task<Results<Ok<PlaceView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, string place, PlaceForm form, ClaimsPrincipal user, Cases cases, Places places, Storage.Plans plans, TimeProvider clock)
    {
        var problems = HomeProblems.Of(form.Home);
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        if (await cases.FindAsync(user.CoachId(), id, place) is not { } about)
        {
            return Answers.Missing("place");
        }

        var result = await places.SaveAsync(user.CoachId(), id, place, form.Home, form.Version);
        return result.Saved
            ? TypedResults.Ok(await ViewAsync(about with { Place = new(place, form.Home, result.Version) }, user.CoachId(), plans, clock))
            : Answers.Stale();
    }

    /// <summary>What was planned there goes with it and stays in the list of changes; the log is kept.</summary>
    private static async Task<Results<NoContent, ProblemHttpResult>> RemoveAsync(
        string id, string place, ClaimsPrincipal user, PlanCommands commands, Places places)
    {
        string coach = user.CoachId();
        bool last = false;
        var done = await commands.RunAsync(
            coach, user.CoachName(), id,
            on => Task.FromResult(on.Plan.Value.Without(place, on.About.Places.FirstOrDefault(p => p.Id == place)?.Home.Name ?? "", on.By)),
            async (_, _, writing) =>
            {
                last = !await places.RemoveAsync(coach, id, place, writing);
                return true;
            },
            () => !last);
        return done is null ? Answers.Missing("client")
            : last ? TypedResults.Problem(statusCode: 409, title: "The last place of a client stays.", detail: "Add another place first, or change this one.")
            : TypedResults.NoContent();
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> UseAsync(
        string id, string place, ClaimsPrincipal user, PlanCommands commands, Places places)
    {
        string coach = user.CoachId();
        bool missing = false;
        var done = await commands.RunAsync(
            coach, user.CoachName(), id,
            on => Task.FromResult(
                on.About.Place.Id == place || on.Plan.Version == 0 || on.About.Places.FirstOrDefault(p => p.Id == place) is not { } there
                    ? new PlanOutcome(on.Plan.Value, [])
                    : on.Plan.Value.Noted(ChangeKind.WentOver, $"Trains at {there.Home.Name} from now on.", [], on.By)),
            async (_, _, writing) =>
            {
                missing = !await places.UseAsync(coach, id, place, writing);
                return true;
            },
            () => !missing);
        return done is null || missing ? Answers.Missing("place") : TypedResults.NoContent();
    }

    private static async Task<PlaceView> ViewAsync(Case about, string coach, Storage.Plans plans, TimeProvider clock)
    {
        var plan = await plans.FindAsync(coach, about.Client.Id);
        var programme = ProgrammeReading.Read(plan.Value.Text, about.Practice, about.Profile.Unit).Programme;
        return PlaceView.Of(about, programme, about.Today(clock));
    }
}
