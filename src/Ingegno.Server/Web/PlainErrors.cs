using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Server.Web;

/// <summary>Turns whatever was thrown into problem details a person can act on; no stack trace leaves the server.</summary>
internal sealed partial class PlainErrors(IProblemDetailsService problems, ILogger<PlainErrors> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            BadHttpRequestException { InnerException: JsonException json } => Unreadable(json),
            NotSupportedException { Message: var message } when message.Contains("polymorphic", StringComparison.Ordinal) =>
                Unreadable(new JsonException(message, message.Split("Path: ")[^1].Split(" |")[0], null, null)),
            BadHttpRequestException { StatusCode: 413 } => new ProblemDetails
            {
                Status = 413,
                Title = "That is more than can be sent at once: split it into smaller parts.",
                Detail = exception.Message,
            },
            BadHttpRequestException bad => new ProblemDetails { Status = bad.StatusCode, Title = "The request could not be read.", Detail = bad.Message },
            _ => null,
        };
        if (problem is null)
        {
            // The route and not the address: a link's address is the key to it.
            Unexpected(log, exception, (context.Features.Get<IExceptionHandlerFeature>()?.Endpoint as RouteEndpoint)?.RoutePattern.RawText ?? "no route");
            problem = new ProblemDetails
            {
                Status = 500,
                Title = "Something went wrong here, not with what you typed. Reload to see whether it was kept, then try again.",
            };
        }

        context.Response.StatusCode = problem.Status!.Value;
        return await problems.TryWriteAsync(new ProblemDetailsContext { HttpContext = context, ProblemDetails = problem });
    }

    [LoggerMessage(LogLevel.Error, "Unexpected error at {Route}")]
    private static partial void Unexpected(ILogger log, Exception exception, string route);

    private static HttpValidationProblemDetails Unreadable(JsonException json)
    {
        string at = (json.Path ?? "$").TrimStart('$').TrimStart('.');
        string[] missing = [.. Missing(json.Message)];
        return new(missing.Length > 0
            ? missing.ToDictionary(name => at.Length == 0 ? name : $"{at}.{name}", string[] (_) => ["This is missing: give it."])
            : new Dictionary<string, string[]> { [at] = [Plain(json)] })
        {
            Status = 400,
            Title = missing.Length > 0 ? "Something is missing from what was sent." : "A value could not be read.",
        };
    }

    /// <summary>The framework lists fields it did not find, in quotes behind this word.</summary>
    private static IEnumerable<string> Missing(string message) =>
        message.Split("missing required properties including: ") is [_, var names] ? names.Split('\'').Where((_, i) => i % 2 == 1).Distinct() : [];

    /// <summary>The framework's messages name .NET types; ours are for people.</summary>
    private static string Plain(JsonException json) =>
        json.InnerException is null && !json.Message.Contains("System.", StringComparison.Ordinal) && !json.Message.Contains("Ingegno.", StringComparison.Ordinal)
            ? json.Message.Split(" Path:")[0]
            : "This value is missing or of the wrong kind: give a number, text or choice as the field asks.";
}

/// <summary>Answers the API gives besides the data itself.</summary>
internal static class Answers
{
    internal static ValidationProblem Invalid(IEnumerable<Core.Homes.InputProblem> problems) =>
        TypedResults.ValidationProblem(
            problems.GroupBy(p => p.Path).ToDictionary(g => g.Key, g => g.Select(p => p.Message).ToArray()),
            title: "Some values cannot be right. Nothing was saved.");

    internal static ProblemHttpResult Missing(string what) =>
        TypedResults.Problem(statusCode: 404, title: $"There is no such {what}.");

    internal static ProblemHttpResult TookTooLong(TimeSpan longest) =>
        TypedResults.Problem(
            statusCode: 503,
            title: $"This would take longer than {longest.TotalSeconds:0.###} seconds: it was stopped.",
            detail: "Nothing was changed. Ask for less at once: fewer lines or sessions.");

    internal static ProblemHttpResult Stale() =>
        TypedResults.Problem(
            statusCode: 409,
            title: "This was saved elsewhere in the meantime.",
            detail: "Nothing of yours was written. Load the newer version, then make your change again.");

    /// <summary>A command on a plan that was not done.</summary>
    internal static ProblemHttpResult Refused(Core.Plans.PlanRefusal refusal) =>
        refusal.IsStale
            ? TypedResults.Problem(statusCode: 409, title: "Nothing of yours was written.", detail: refusal.Reason)
            : TypedResults.Problem(statusCode: 422, title: "Nothing was changed.", detail: refusal.Reason);
}
