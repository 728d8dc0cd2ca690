using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Ingegno.Storage;
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

/// <summary>A row of the Desk.</summary>
public sealed record DeskRow(string Id, string Name, string Note, DeskDecision Decision, ImmutableArray<DateOnly> Trained);

/// <summary>Clients and the Desk.</summary>
internal static class ClientEndpoints
{
    internal static void MapClients(this RouteGroupBuilder api)
    {
        api.MapGet("/desk", DeskAsync).WithName("getDesk");
        api.MapPost("/clients", AddAsync).WithName("addClient");
        api.MapGet("/clients/{id}", FindAsync).WithName("getClient");
        api.MapPut("/clients/{id}", SaveAsync).WithName("saveClient");
    }

    /// <summary>Clients ranked by the decision that waits, then by name.</summary>
    private static async Task<Ok<DeskRow[]>> DeskAsync(
        ClaimsPrincipal user, Storage.Clients clients, Places places, Storage.Practices practices, Plans plans, SetLogs logs, TimeProvider clock)
    {
        string coach = user.CoachId();
        var rules = (await practices.FindAsync(coach)).Value.Rules;
        var rows = new List<DeskRow>();
        foreach (var client in await clients.AllAsync(coach))
        {
            var place = await places.FindAsync(coach, client.Id);
            var plan = await plans.FindAsync(coach, client.Id);
            var sets = await logs.OfClientAsync(coach, client.Id);
            var decision = Decisions.For(client.Profile, place?.Home ?? new Home(), rules, plan.At(place?.Id ?? "").Value, sets, Today.ByThe(clock));
            rows.Add(new(
                client.Id, client.Profile.Name, client.Profile.Note, decision,
                [.. sets.Select(s => s.On).Distinct().OrderDescending().Take(8)]));
        }

        return TypedResults.Ok(rows.OrderBy(r => r.Decision.Rank).ToArray());
    }

    private static async Task<Results<Created<MadeView>, ValidationProblem>> AddAsync(
        NewClientForm form, ClaimsPrincipal user, Storage.Clients clients, TimeProvider clock)
    {
        var home = form.Home ?? new Home();
        InputProblem[] problems =
        [
            .. ClientProblems.Of(form.Profile, Catalogue.Shipped).Select(p => p with { Path = "profile." + p.Path }),
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
        string id, ClaimsPrincipal user, Storage.Clients clients, TimeProvider clock) =>
        await clients.FindAsync(user.CoachId(), id) is { } client
            ? TypedResults.Ok(ClientView.Of(client.Id, client.Profile, client.Version, Today.ByThe(clock)))
            : Answers.Missing("client");

    private static async Task<Results<Ok<ClientView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        string id, ClientForm form, ClaimsPrincipal user, Storage.Clients clients, TimeProvider clock)
    {
        var problems = ClientProblems.Of(form.Profile, Catalogue.Shipped);
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var result = await clients.SaveAsync(user.CoachId(), id, form.Profile, form.Version);
        return result.Saved ? TypedResults.Ok(ClientView.Of(id, form.Profile, result.Version, Today.ByThe(clock)))
            : result.Version == 0 ? Answers.Missing("client")
            : Answers.Stale();
    }
}
