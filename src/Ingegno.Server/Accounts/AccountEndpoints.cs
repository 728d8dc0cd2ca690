using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Accounts;

/// <summary>Who is signed in.</summary>
/// <param name="FirstRun">No coach account exists yet: the first one may be made.</param>
/// <param name="Coach">Null when nobody is signed in.</param>
public sealed record SessionView(bool FirstRun, CoachView? Coach);

/// <summary>A coach as shown to herself.</summary>
/// <param name="IsOwner">Made first: whose practice it is.</param>
public sealed record CoachView(string Id, string Name, string Email, bool IsOwner);

/// <summary>What is typed to sign in.</summary>
public sealed record SignInForm(string Email, string Password);

/// <summary>What is typed to make an account.</summary>
public sealed record NewCoachForm(string Name, string Email, string Password);

/// <summary>A changed password.</summary>
/// <param name="Current">As it was until now.</param>
public sealed record PasswordForm(string Current, string Next);

/// <summary>Sign-in, sign-out, the first account, the password.</summary>
internal static class AccountEndpoints
{
    internal static void MapAccounts(this RouteGroupBuilder api)
    {
        api.MapGet("/session", SessionAsync).WithName("getSession");
        api.MapPost("/session", SignInAsync).WithName("signIn").RequireRateLimiting(SignIn.RateLimit);
        api.MapDelete("/session", (Delegate)SignOutAsync).WithName("signOut");
        api.MapPost("/coaches", FirstCoachAsync).WithName("makeFirstCoach").RequireRateLimiting(SignIn.RateLimit);
        api.MapPost("/join/{token}", JoinAsync).WithName("join").RequireRateLimiting(SignIn.RateLimit);
    }

    internal static void MapOwnAccount(this RouteGroupBuilder signedIn)
    {
        signedIn.MapPost("/account/password", ChangePasswordAsync).WithName("changePassword");
        signedIn.MapDelete("/account/sessions", EndSessionsAsync).WithName("endSessions");
    }

    private static async Task<Ok<SessionView>> SessionAsync(ClaimsPrincipal user, Coaches coaches)
    {
        var coach = user.Identity?.IsAuthenticated == true ? await coaches.ByIdAsync(user.CoachId()) : null;
        return TypedResults.Ok(new SessionView(coach is null && !await coaches.AnyAsync(), coach is null ? null : await ViewAsync(coach, coaches)));
    }

    private static async Task<Results<Ok<CoachView>, EmptyHttpResult, ProblemHttpResult>> SignInAsync(SignInForm form, HttpContext context, Coaches coaches, Passwords passwords)
    {
        if (await context.TooManyForAsync(form.Email))
        {
            return TypedResults.Empty;
        }

        // An unknown address costs as much time as a wrong password, so that neither can be told from the other.
        var coach = await coaches.ByEmailAsync(form.Email.Trim());
        if (!passwords.Fits(coach, form.Password))
        {
            return TypedResults.Problem(statusCode: 401, title: "Address and password do not belong together. Check both and try again.");
        }

        await context.SignInAsync(coach!);
        return TypedResults.Ok(await ViewAsync(coach!, coaches));
    }

    private static async Task<NoContent> SignOutAsync(HttpContext context, Sessions sessions)
    {
        if (context.User.SessionToken() is { } token)
        {
            await sessions.EndAsync(token);
        }

        await context.SignOutAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Results<Ok<CoachView>, ValidationProblem, ProblemHttpResult>> FirstCoachAsync(
        NewCoachForm form, HttpContext context, Coaches coaches, Passwords passwords, TimeProvider clock)
    {
        InputProblem[] problems = [.. Problems(form)];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var coach = New(form, passwords);
        if (!await coaches.AddAsync(coach, clock.GetUtcNow(), onlyFirst: true))
        {
            return TypedResults.Problem(statusCode: 409, title: "There is an account already. Sign in with it.");
        }

        await context.SignInAsync(coach);
        return TypedResults.Ok(await ViewAsync(coach, coaches));
    }

    /// <summary>By an invitation, which is used up.</summary>
    private static async Task<Results<Ok<CoachView>, ValidationProblem, ProblemHttpResult>> JoinAsync(
        string token, NewCoachForm form, HttpContext context, Coaches coaches, Passwords passwords, TimeProvider clock)
    {
        InputProblem[] problems = [.. Problems(form)];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var coach = New(form, passwords);
        switch (await coaches.JoinAsync(coach, token, clock.GetUtcNow()))
        {
            case Joined.Known:
                return Answers.Invalid([new("email", "This address has an account already: sign in with it, or give another.")]);
            case Joined.NotInvited:
                return TypedResults.Problem(statusCode: 410, title: "This invitation was used or has run out. Ask whoever sent it for a new one.");
        }

        await context.SignInAsync(coach);
        return TypedResults.Ok(await ViewAsync(coach, coaches));
    }

    /// <summary>Ends every other session: whoever knew the old password is out.</summary>
    private static async Task<Results<NoContent, EmptyHttpResult, ValidationProblem>> ChangePasswordAsync(
        PasswordForm form, HttpContext context, Coaches coaches, Passwords passwords, Sessions sessions)
    {
        var user = context.User;
        var coach = await coaches.ByIdAsync(user.CoachId());
        if (await context.TooManyForAsync(coach?.Email ?? user.CoachId()))
        {
            return TypedResults.Empty;
        }

        if (!passwords.Fits(coach, form.Current))
        {
            return Answers.Invalid([new("current", "That is not the password as it is now.")]);
        }

        InputProblem[] problems = [.. Passwords.Problems(form.Next, "next")];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        await coaches.SetPasswordAsync(coach!.Id, passwords.Hash(coach, form.Next));
        await sessions.EndAllAsync(coach.Id, but: user.SessionToken());
        return TypedResults.NoContent();
    }

    /// <summary>Everywhere, here too.</summary>
    private static async Task<NoContent> EndSessionsAsync(HttpContext context, Sessions sessions)
    {
        await sessions.EndAllAsync(context.User.CoachId());
        await context.SignOutAsync();
        return TypedResults.NoContent();
    }

    internal static Coach New(NewCoachForm form, Passwords passwords)
    {
        var coach = new Coach(Guid.CreateVersion7().ToString(), form.Email.Trim(), form.Name.Trim(), "");
        return coach with { PasswordHash = passwords.Hash(coach, form.Password) };
    }

    internal static IEnumerable<InputProblem> Problems(NewCoachForm form)
    {
        if (string.IsNullOrWhiteSpace(form.Name) || form.Name.Length > 80)
        {
            yield return new("name", "Give your name, up to 80 letters.");
        }

        int at = form.Email.Trim().IndexOf('@', StringComparison.Ordinal);
        if (at < 1 || at == form.Email.Trim().Length - 1 || form.Email.Length > 200)
        {
            yield return new("email", "Give an address such as name@example.org.");
        }

        foreach (var problem in Passwords.Problems(form.Password))
        {
            yield return problem;
        }
    }

    private static async Task<CoachView> ViewAsync(Coach coach, Coaches coaches) =>
        new(coach.Id, coach.Name, coach.Email, await coaches.OwnerAsync() == coach.Id);
}
