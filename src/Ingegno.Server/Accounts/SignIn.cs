using System.Security.Claims;
using System.Threading.RateLimiting;
using Ingegno.Storage;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Server.Accounts;

/// <summary>Cookie sign-in for coaches; passwords are hashed by the framework's own hasher.</summary>
internal static class SignIn
{
    internal const string RateLimit = "sign-in";

    internal static void AddSignIn(this IServiceCollection services)
    {
        services.AddSingleton<IPasswordHasher<Coach>, PasswordHasher<Coach>>();
        services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie(o =>
        {
            o.Cookie.Name = "ingegno";
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.HttpOnly = true;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
            o.ExpireTimeSpan = TimeSpan.FromDays(14);
            o.SlidingExpiration = true;

            // The front end shows its own sign-in page; the API only says that it is needed.
            o.Events.OnRedirectToLogin = context =>
            {
                context.Response.StatusCode = StatusCodes.Status401Unauthorized;
                return Task.CompletedTask;
            };
        });
        services.AddAuthorization();
        services.AddRateLimiter(o =>
        {
            o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            o.AddPolicy(RateLimit, context => RateLimitPartition.GetFixedWindowLimiter(
                context.Connection.RemoteIpAddress,
                _ => new FixedWindowRateLimiterOptions { PermitLimit = 20, Window = TimeSpan.FromMinutes(1) }));
        });
    }

    internal static Task SignInAsync(this HttpContext context, Coach coach) =>
        context.SignInAsync(
            CookieAuthenticationDefaults.AuthenticationScheme,
            new ClaimsPrincipal(new ClaimsIdentity(
                [new Claim(ClaimTypes.NameIdentifier, coach.Id), new Claim(ClaimTypes.Name, coach.Name)],
                CookieAuthenticationDefaults.AuthenticationScheme)),
            new AuthenticationProperties { IsPersistent = true });

    /// <summary>The signed-in coach's name, as it stands in the list of changes.</summary>
    internal static string CoachName(this ClaimsPrincipal user) => user.Identity?.Name ?? "coach";

    /// <summary>The signed-in coach's id.</summary>
    internal static string CoachId(this ClaimsPrincipal user) => user.FindFirstValue(ClaimTypes.NameIdentifier)!;
}
