using System.Collections.Concurrent;
using System.Security.Claims;
using Ingegno.Server.Accounts;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Web;

/// <summary>How far something is that takes longer than a glance.</summary>
/// <param name="Part">Of the whole, 0 to 1; null where nobody can say.</param>
public sealed record HowFar(string Words, double? Part = null)
{
    internal static HowFar Of(int done, int all, string what) => new(FormattableString.Invariant($"{done:N0} of {all:N0} {what}"), all == 0 ? 1 : (double)done / all);
}

/// <summary>What is under way, by the name the page gave each when it asked; forgotten when it ends.</summary>
internal sealed class WorkUnderWay
{
    internal const int LongestName = 64;

    private readonly ConcurrentDictionary<(string Coach, string Run), HowFar?> _running = new();

    /// <summary>Nothing told yet is null; false where nothing of that name is under way.</summary>
    internal bool TryFind(string coach, string run, out HowFar? howFar) => _running.TryGetValue((coach, run), out howFar);

    /// <param name="run">Null where nobody asks how far it is.</param>
    internal async Task<T> FollowAsync<T>(string coach, string? run, Func<Action<HowFar>, Task<T>> work)
    {
        if (run is not { Length: > 0 and <= LongestName })
        {
            return await work(_ => { });
        }

        _running[(coach, run)] = null;
        try
        {
            return await work(howFar => _running[(coach, run)] = howFar);
        }
        finally
        {
            _running.TryRemove((coach, run), out _);
        }
    }
}

/// <summary>Asked again and again by a page that shows how far it is.</summary>
internal static class UnderWayEndpoints
{
    internal static void MapUnderWay(this RouteGroupBuilder api) => api.MapGet("/under-way/{run}", Find).WithName("howFar");

    private static Results<Ok<HowFar>, ProblemHttpResult> Find(string run, ClaimsPrincipal user, WorkUnderWay work) =>
        work.TryFind(user.CoachId(), run, out var howFar) ? TypedResults.Ok(howFar ?? new HowFar("just begun")) : Answers.Missing("work under way");
}
