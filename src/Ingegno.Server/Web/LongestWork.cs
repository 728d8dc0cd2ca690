using Microsoft.AspNetCore.Http.Timeouts;

namespace Ingegno.Server.Web;

/// <summary>
/// The one bound of all routes that work something out: past it, or when whoever asked has left, the work stops before its next line. Files in and
/// out, and the search of a whole week, which tells how far it is, have none.
/// </summary>
internal static class LongestWork
{
    private const string Policy = "working it out";

    internal static void AddLongestWork(this IServiceCollection services, TimeSpan longest) => services.AddRequestTimeouts(o => o.AddPolicy(Policy, new RequestTimeoutPolicy
    {
        Timeout = longest,
        TimeoutStatusCode = StatusCodes.Status503ServiceUnavailable,
        WriteTimeoutResponse = context => Answers.TookTooLong(longest).ExecuteAsync(context),
    }));

    /// <summary>
    /// For routes whose handlers look at the token of the request. The bound is on the work: once its result is there nothing stops it from being
    /// written out, else words of a refusal could stand behind half an answer.
    /// </summary>
    internal static TBuilder StopsInTime<TBuilder>(this TBuilder routes)
        where TBuilder : IEndpointConventionBuilder
    {
        routes.WithRequestTimeout(Policy);
        routes.AddEndpointFilter(async (context, next) =>
        {
            var result = await next(context);
            context.HttpContext.Features.Get<IHttpRequestTimeoutFeature>()?.DisableTimeout();
            context.HttpContext.RequestAborted.ThrowIfCancellationRequested();
            return result;
        });
        return routes;
    }
}
