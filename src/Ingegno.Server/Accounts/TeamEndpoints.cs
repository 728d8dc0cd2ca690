using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Accounts;

/// <summary>An account of the practice.</summary>
/// <param name="IsOwner">Made first: invites, removes, restores.</param>
public sealed record AccountView(string Id, string Name, string Email, int Clients, bool IsOwner);

/// <summary>An invitation, shown once.</summary>
/// <param name="Address">Whoever opens it first may make an account.</param>
public sealed record InvitationView(string Address, DateTimeOffset Expires);

/// <summary>Somebody changed something.</summary>
/// <param name="Did">Name of the route.</param>
/// <param name="Client">Name of the client it was about; null for nobody, or one who is not there any more.</param>
public sealed record ActView(DateTimeOffset At, string Coach, string Did, string? Client);

/// <summary>Who else works here. For whom the practice belongs to.</summary>
internal static class TeamEndpoints
{
    private const int DaysInvited = 7, MostShown = 200;

    internal static void MapTeam(this RouteGroupBuilder api)
    {
        var owner = api.MapGroup("").AddEndpointFilter(OwnerOnly.Filter("page"));
        owner.MapGet("/accounts", AllAsync).WithName("getAccounts");
        owner.MapPost("/accounts/invitations", InviteAsync).WithName("invite");
        owner.MapDelete("/accounts/{account}", RemoveAsync).WithName("removeAccount");
        owner.MapGet("/audit", AuditAsync).WithName("getAudit");
    }

    private static async Task<Ok<ImmutableArray<AccountView>>> AllAsync(Coaches coaches) =>
        TypedResults.Ok((await coaches.ListAsync()).Select((c, i) => new AccountView(c.Coach.Id, c.Coach.Name, c.Coach.Email, c.Clients, i == 0)).ToImmutableArray());

    private static async Task<Ok<InvitationView>> InviteAsync(ClaimsPrincipal user, Coaches coaches, Settings settings, TimeProvider clock)
    {
        var expires = clock.GetUtcNow().AddDays(DaysInvited);
        return TypedResults.Ok(new InvitationView($"{settings.PublicUrl}/join/{await coaches.InviteAsync(user.CoachId(), clock.GetUtcNow(), expires)}", expires));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> RemoveAsync(string account, Coaches coaches)
    {
        if (await coaches.ByIdAsync(account) is null)
        {
            return Answers.Missing("account");
        }

        return await coaches.RemoveAsync(account)
            ? TypedResults.NoContent()
            : TypedResults.Problem(
                statusCode: 409, title: "This account cannot be removed.",
                detail: "The first account stays, and so does one that has clients: give their case files to another coach and erase them first.");
    }

    private static async Task<Ok<ImmutableArray<ActView>>> AuditAsync(ClaimsPrincipal user, Audit audit, Storage.Clients clients)
    {
        // Of other coaches' clients the owner sees that something was done, not of whom.
        var names = (await clients.AllAsync(user.CoachId())).ToDictionary(c => c.Id, c => c.Profile.Name, StringComparer.Ordinal);
        return TypedResults.Ok((await audit.LatestAsync(MostShown))
            .Select(a => new ActView(a.At, a.Name, a.Did, a.Client is { } id ? names.GetValueOrDefault(id) : null)).ToImmutableArray());
    }
}

/// <summary>Lets nobody but the first account through; to others there is nothing at the address.</summary>
internal static class OwnerOnly
{
    internal static Func<EndpointFilterInvocationContext, EndpointFilterDelegate, ValueTask<object?>> Filter(string what) => async (context, next) =>
        await context.HttpContext.RequestServices.GetRequiredService<Coaches>().OwnerAsync() == context.HttpContext.User.CoachId()
            ? await next(context)
            : Answers.Missing(what);
}
