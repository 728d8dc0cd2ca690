using System.Security.Claims;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Clients;

/// <summary>A client with the version it was read at.</summary>
/// <param name="Sending">Whether anything may be sent to them, and if not why.</param>
/// <param name="Closeness">How closely home must copy the gym.</param>
public sealed record ClientView(string Id, ClientProfile Profile, long Version, SendingLeave Sending, Share Closeness)
{
    internal static ClientView Of(string id, ClientProfile profile, long version, DateOnly today) =>
        new(id, profile, version, SendingLeave.For(profile), RequiredCloseness.Of(profile, today));
}

/// <summary>A changed profile and the version the change was made on.</summary>
public sealed record ClientForm(ClientProfile Profile, long Version);

/// <summary>A new client; the home may come later.</summary>
public sealed record NewClientForm(ClientProfile Profile, Home? Home = null);

/// <summary>Id of something just made.</summary>
public sealed record MadeView(string Id);

/// <summary>Clients.</summary>
internal static class ClientEndpoints
{
    internal static void MapClients(this RouteGroupBuilder api)
    {
        api.MapPost("/clients", AddAsync).WithName("addClient");
        api.MapGet("/clients/{id}", FindAsync).WithName("getClient");
        api.MapPut("/clients/{id}", SaveAsync).WithName("saveClient");
    }

    private static async Task<Results<Created<MadeView>, ValidationProblem>> AddAsync(
        NewClientForm form, ClaimsPrincipal user, Storage.Clients clients, Storage.Practices practices, TimeProvider clock)
    {
        var catalogue = (await practices.FindAsync(user.CoachId())).Value.Rules.Catalogue;
        var home = form.Home ?? new Home();
        InputProblem[] problems =
        [
            .. ClientProblems.Of(form.Profile, catalogue).Select(p => p with { Path = "profile." + p.Path }),
            .. HomeProblems.Of(home).Select(p => p with { Path = "home." + p.Path }),
        ];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        string id = Guid.CreateVersion7().ToString();
        await clients.AddAsync(user.CoachId(), id, form.Profile, home, clock.GetUtcNow());
        return TypedResults.Created($"/api/clients/{id}", new MadeView(id));
    }

    private static async Task<Results<Ok<ClientView>, ProblemHttpResult>> FindAsync(
        string id, ClaimsPrincipal user, Cases cases, TimeProvider clock) =>
        await cases.FindAsync(user.CoachId(), id) is { } about
            ? TypedResults.Ok(ClientView.Of(id, about.Profile, about.Client.Version, about.Today(clock)))
            : Answers.Missing("client");

    private static async Task<Results<Ok<ClientView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, ClientForm form, ClaimsPrincipal user, Storage.Clients clients, Storage.Practices practices, TimeProvider clock)
    {
        var problems = ClientProblems.Of(form.Profile, (await practices.FindAsync(user.CoachId())).Value.Rules.Catalogue);
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var result = await clients.SaveAsync(user.CoachId(), id, form.Profile, form.Version);
        return result.Saved ? TypedResults.Ok(ClientView.Of(
                id, form.Profile, result.Version, ClientDay.Of(clock.GetUtcNow(), ClientDay.ZoneOf(form.Profile, (await practices.FindAsync(user.CoachId())).Value))))
            : result.Version == 0 ? Answers.Missing("client")
            : Answers.Stale();
    }
}
