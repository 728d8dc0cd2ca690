using System.Globalization;
using System.Security.Claims;
using System.Threading.RateLimiting;
using Ingegno.Storage;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Server.Accounts;

/// <summary>Cookie sign-in for coaches. The cookie names a session that is kept on the server: one that was ended opens nothing any more.</summary>
internal static class SignIn
{
    internal const string RateLimit = "sign-in";

    private const string SessionClaim = "session";

    private const int TriesFromAddress = 20;

    internal static void AddSignIn(this IServiceCollection services)
    {
        services.AddSingleton<IPasswordHasher<Coach>, PasswordHasher<Coach>>().AddSingleton<Passwords>().AddSingleton<Sessions>().AddSingleton<AccountTries>();
        services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie(o =>
        {
            o.Cookie.Name = "ingegno";
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.HttpOnly = true;
            // Over TLS; behind a proxy that was named, by what it says of the client's side.
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
            o.ExpireTimeSpan = TimeSpan.FromDays(Sessions.Days);
            o.SlidingExpiration = true;

            // The front end shows its own sign-in page; the API only says that it is needed.
            o.Events.OnRedirectToLogin = context =>
            {
                context.Response.StatusCode = StatusCodes.Status401Unauthorized;
                return Task.CompletedTask;
            };
            o.Events.OnValidatePrincipal = async context =>
            {
                var services = context.HttpContext.RequestServices;
                if (context.Principal?.FindFirstValue(SessionClaim) is not { } token
                    || !await services.GetRequiredService<Sessions>().IsOpenAsync(token, services.GetRequiredService<TimeProvider>().GetUtcNow()))
                {
                    context.RejectPrincipal();
                }
            };
        });
        services.AddAuthorization();
        services.AddRateLimiter(o =>
        {
            o.OnRejected = (context, stop) => new(TooManyAsync(context.HttpContext, context.Lease.TryGetMetadata(MetadataName.RetryAfter, out var after) ? after : TimeSpan.FromMinutes(1), stop));
            o.AddPolicy(RateLimit, context => RateLimitPartition.GetFixedWindowLimiter(
                context.Connection.RemoteIpAddress,
                _ => new FixedWindowRateLimiterOptions { PermitLimit = TriesFromAddress, Window = TimeSpan.FromMinutes(1) }));
        });
    }

    private static Task TooManyAsync(HttpContext context, TimeSpan after, CancellationToken stop)
    {
        context.Response.StatusCode = StatusCodes.Status429TooManyRequests;
        context.Response.Headers.RetryAfter = Math.Ceiling(after.TotalSeconds).ToString(CultureInfo.InvariantCulture);
        return context.RequestServices.GetRequiredService<IProblemDetailsService>().WriteAsync(new()
        {
            HttpContext = context,
            ProblemDetails = { Status = StatusCodes.Status429TooManyRequests, Title = $"Too many tries. Wait {Math.Ceiling(after.TotalMinutes):0} min and try again." },
        }).AsTask().WaitAsync(stop);
    }

    /// <summary>Refuses a try where an account had too many, from wherever they came.</summary>
    internal static async Task<bool> TooManyForAsync(this HttpContext context, string email)
    {
        using var lease = context.RequestServices.GetRequiredService<AccountTries>().Try(email);
        if (lease.IsAcquired)
        {
            return false;
        }

        await TooManyAsync(context, lease.TryGetMetadata(MetadataName.RetryAfter, out var after) ? after : TimeSpan.FromMinutes(5), context.RequestAborted);
        return true;
    }

    internal static async Task SignInAsync(this HttpContext context, Coach coach)
    {
        var services = context.RequestServices;
        string token = await services.GetRequiredService<Sessions>().BeginAsync(coach.Id, services.GetRequiredService<TimeProvider>().GetUtcNow());
        await context.SignInAsync(
            CookieAuthenticationDefaults.AuthenticationScheme,
            new ClaimsPrincipal(new ClaimsIdentity(
                [new Claim(ClaimTypes.NameIdentifier, coach.Id), new Claim(ClaimTypes.Name, coach.Name), new Claim(SessionClaim, token)],
                CookieAuthenticationDefaults.AuthenticationScheme)),
            new AuthenticationProperties { IsPersistent = true });
    }

    /// <summary>The signed-in coach's name, as it stands in the list of changes.</summary>
    internal static string CoachName(this ClaimsPrincipal user) => user.Identity?.Name ?? "coach";

    /// <summary>The signed-in coach's id.</summary>
    internal static string CoachId(this ClaimsPrincipal user) => user.FindFirstValue(ClaimTypes.NameIdentifier)!;

    /// <summary>The token of the session; null for nobody.</summary>
    internal static string? SessionToken(this ClaimsPrincipal user) => user.FindFirstValue(SessionClaim);
}

/// <summary>Tries to sign in to one account, counted apart from where they come from: guesses may come from many places.</summary>
internal sealed class AccountTries : IDisposable
{
    private const int Tries = 10;

    private readonly PartitionedRateLimiter<string> _tries = PartitionedRateLimiter.Create<string, string>(email => RateLimitPartition.GetFixedWindowLimiter(
        email, _ => new FixedWindowRateLimiterOptions { PermitLimit = Tries, Window = TimeSpan.FromMinutes(5) }));

    internal RateLimitLease Try(string email) => _tries.AttemptAcquire(email.Trim().ToUpperInvariant());

    public void Dispose() => _tries.Dispose();
}
