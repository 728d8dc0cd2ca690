using Ingegno.Storage;

namespace Ingegno.Server.Accounts;

/// <summary>Whatever a signed-in coach's request writes is written down with who it was.</summary>
internal static class Audited
{
    internal static RouteGroupBuilder WithAudit(this RouteGroupBuilder api)
    {
        api.AddEndpointFilter((context, next) =>
        {
            var http = context.HttpContext;
            if (!HttpMethods.IsGet(http.Request.Method))
            {
                Audit.Begin(new(
                    http.RequestServices.GetRequiredService<TimeProvider>().GetUtcNow(), http.User.CoachId(), http.User.CoachName(),
                    http.GetEndpoint()?.Metadata.GetMetadata<IEndpointNameMetadata>()?.EndpointName ?? http.Request.Method,
                    http.Request.RouteValues["id"] as string));
            }

            return next(context);
        });
        return api;
    }
}
