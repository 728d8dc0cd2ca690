using System.Collections.Concurrent;
using Ingegno.Core.Weeks;

namespace Ingegno.Server.Bench;

/// <summary>How far the searches under way are, by the name the page gave each; a search is forgotten when it ends.</summary>
internal sealed class WeekSearches
{
    private readonly ConcurrentDictionary<(string Coach, string Run), WeekProgress?> _running = new();

    /// <summary>Nothing found yet is null; false where no such search runs.</summary>
    internal bool TryFind(string coach, string run, out WeekProgress? progress) => _running.TryGetValue((coach, run), out progress);

    /// <param name="run">Null where nobody asks how far it is.</param>
    internal async Task<T> FollowAsync<T>(string coach, string? run, Func<Action<WeekProgress>?, Task<T>> search)
    {
        if (run is null)
        {
            return await search(null);
        }

        _running[(coach, run)] = null;
        try
        {
            return await search(progress => _running[(coach, run)] = progress);
        }
        finally
        {
            _running.TryRemove((coach, run), out _);
        }
    }
}
