using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Clients;

/// <summary>A home with the version it was read at, every load it can make, and the client's own heights to measure it by.</summary>
public sealed record HomeView(Home Home, ImmutableArray<HeldImplement> Implements, Landmarks Landmarks, long Version);

/// <summary>A changed home and the version the change was made on.</summary>
public sealed record HomeForm(Home Home, long Version);

/// <summary>The home survey.</summary>
internal static class HomeEndpoints
{
    internal static void MapHomes(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/home", FindAsync).WithName("getHome");
        api.MapPut("/clients/{id}/home", SaveAsync).WithName("saveHome");
    }

    private static async Task<Results<Ok<HomeView>, ProblemHttpResult>> FindAsync(
        string id, ClaimsPrincipal user, Storage.Clients clients) =>
        await clients.FindAsync(user.CoachId(), id) is { } client && await clients.HomeAsync(user.CoachId(), id) is { } home
            ? TypedResults.Ok(View(home.Value, client.Profile, home.Version))
            : Answers.Missing("client");

    private static async Task<Results<Ok<HomeView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, HomeForm form, ClaimsPrincipal user, Storage.Clients clients)
    {
        var problems = HomeProblems.Of(form.Home);
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        if (await clients.FindAsync(user.CoachId(), id) is not { } client)
        {
            return Answers.Missing("client");
        }

        var result = await clients.SaveHomeAsync(user.CoachId(), id, form.Home, form.Version);
        return result.Saved ? TypedResults.Ok(View(form.Home, client.Profile, result.Version)) : Answers.Stale();
    }

    private static HomeView View(Home home, ClientProfile client, long version) =>
        new(home, HomeLadders.Of(home), new Landmarks(client.Stature), version);
}
