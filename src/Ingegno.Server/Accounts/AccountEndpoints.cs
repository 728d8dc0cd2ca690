using System.Security.Claims;
using Ingegno.Core.Homes;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Server.Accounts;

/// <summary>Who is signed in.</summary>
/// <param name="FirstRun">No coach account exists yet: the first one may be made.</param>
/// <param name="Coach">Null when nobody is signed in.</param>
public sealed record SessionView(bool FirstRun, CoachView? Coach);

/// <summary>A coach as shown to herself.</summary>
public sealed record CoachView(string Id, string Name, string Email);

/// <summary>What is typed to sign in.</summary>
public sealed record SignInForm(string Email, string Password);

/// <summary>What is typed to make the first account.</summary>
public sealed record FirstCoachForm(string Name, string Email, string Password);

/// <summary>Sign-in, sign-out and the first account.</summary>
internal static class AccountEndpoints
{
    private const int ShortestPassword = 10;

    internal static void MapAccounts(this RouteGroupBuilder api)
    {
        api.MapGet("/session", SessionAsync).WithName("getSession");
        api.MapPost("/session", SignInAsync).WithName("signIn").RequireRateLimiting(SignIn.RateLimit);
        api.MapDelete("/session", (Delegate)SignOutAsync).WithName("signOut");
        api.MapPost("/coaches", FirstCoachAsync).WithName("makeFirstCoach").RequireRateLimiting(SignIn.RateLimit);
    }

    private static async Task<Ok<SessionView>> SessionAsync(ClaimsPrincipal user, Coaches coaches)
    {
        var coach = user.Identity?.IsAuthenticated == true ? await coaches.ByIdAsync(user.CoachId()) : null;
        return TypedResults.Ok(new SessionView(!await coaches.AnyAsync(), coach is null ? null : View(coach)));
    }

    private static async Task<Results<Ok<CoachView>, ProblemHttpResult>> SignInAsync(
        SignInForm form, HttpContext context, Coaches coaches, IPasswordHasher<Coach> hasher)
    {
        var coach = await coaches.ByEmailAsync(form.Email.Trim());

        // An unknown address costs as much time as a wrong password, so that neither can be told from the other.
        string hash = coach?.PasswordHash ?? hasher.HashPassword(new Coach("", "", "", ""), "nobody");
        var result = hasher.VerifyHashedPassword(coach ?? new Coach("", "", "", ""), hash, form.Password);
        if (coach is null || result == PasswordVerificationResult.Failed)
        {
            return TypedResults.Problem(statusCode: 401, title: "Address and password do not belong together. Check both and try again.");
        }

        await context.SignInAsync(coach);
        return TypedResults.Ok(View(coach));
    }

    private static async Task<NoContent> SignOutAsync(HttpContext context)
    {
        await context.SignOutAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Results<Ok<CoachView>, ValidationProblem, ProblemHttpResult>> FirstCoachAsync(
        FirstCoachForm form, HttpContext context, Coaches coaches, IPasswordHasher<Coach> hasher, TimeProvider clock)
    {
        InputProblem[] problems = [.. Problems(form)];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var coach = New(form.Name.Trim(), form.Email.Trim(), form.Password, hasher);
        if (!await coaches.AddAsync(coach, clock.GetUtcNow(), onlyFirst: true))
        {
            return TypedResults.Problem(statusCode: 409, title: "There is an account already. Sign in with it.");
        }

        await context.SignInAsync(coach);
        return TypedResults.Ok(View(coach));
    }

    internal static Coach New(string name, string email, string password, IPasswordHasher<Coach> hasher)
    {
        var coach = new Coach(Guid.CreateVersion7().ToString(), email, name, "");
        return coach with { PasswordHash = hasher.HashPassword(coach, password) };
    }

    private static IEnumerable<InputProblem> Problems(FirstCoachForm form)
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

        if (form.Password.Length is < ShortestPassword or > 200)
        {
            yield return new("password", $"Choose at least {ShortestPassword} characters.");
        }
    }

    private static CoachView View(Coach coach) => new(coach.Id, coach.Name, coach.Email);
}
