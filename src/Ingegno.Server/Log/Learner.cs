using System.Collections.Concurrent;
using System.Diagnostics;
using Ingegno.Server.Web;
using Ingegno.Storage;

namespace Ingegno.Server.Log;

/// <summary>
/// Learns from what was logged after it was answered: once for all the sets of a while, not with each. Whoever wants to know what a log taught
/// gets it learned first (<see cref="SettledAsync"/>), so that nobody ever reads a lesson that lacks a set they could see.
/// </summary>
internal sealed partial class Learner(LogLessons lessons, Lessons stored, Counters counters, ILogger<Learner> log) : BackgroundService
{
    /// <summary>Learned from when nothing more came for the first, at the latest after the second.</summary>
    private static readonly TimeSpan Quiet = TimeSpan.FromSeconds(4), Longest = TimeSpan.FromSeconds(30);

    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(500);

    private readonly ConcurrentDictionary<(string Coach, string Client), Unlearned> _waiting = new();

    /// <summary>One at a time learns from a log; few are at the same moment asked for.</summary>
    private readonly SemaphoreSlim[] _gates = [.. Enumerable.Range(0, 16).Select(_ => new SemaphoreSlim(1, 1))];

    /// <summary>Logs learned from at the same moment: a hundred phones that logged together leave a core to everybody else.</summary>
    private readonly SemaphoreSlim _hands = new(Math.Max(1, Environment.ProcessorCount - 1));

    /// <param name="First">When the first set came that is not learned from, in milliseconds of the machine.</param>
    private sealed record Unlearned(long First, long Last);

    /// <summary>Finds what a stop left unlearned; before anybody is served.</summary>
    internal async Task FindWaitingAsync()
    {
        foreach (var (coach, client) in await stored.WaitingAsync())
        {
            Ask(coach, client);
        }
    }

    /// <summary>The log was changed: it is to be learned from, some time soon.</summary>
    internal void Ask(string coach, string client)
    {
        long now = Environment.TickCount64;
        _waiting.AddOrUpdate((coach, client), _ => new(now, now), (_, before) => before with { Last = now });
    }

    /// <summary>Learns from what waits of this client, if anything does.</summary>
    internal async Task SettledAsync(string coach, string client)
    {
        var whose = (coach, client);
        if (!_waiting.ContainsKey(whose))
        {
            return;
        }

        var gate = _gates[(uint)client.GetHashCode(StringComparison.Ordinal) % _gates.Length];
        await gate.WaitAsync();
        try
        {
            if (_waiting.TryGetValue(whose, out var unlearned))
            {
                long asked = Stopwatch.GetTimestamp();
                await _hands.WaitAsync();
                try
                {
                    await lessons.LearnAsync(coach, client);
                }
                finally
                {
                    _hands.Release();
                }

                counters.Learned(Stopwatch.GetElapsedTime(asked));

                // What came in the meantime stays to be learned from.
                _waiting.TryRemove(new(whose, unlearned));
            }
        }
        finally
        {
            gate.Release();
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Look);
        while (await timer.WaitForNextTickAsync(stoppingToken))
        {
            foreach (var (whose, unlearned) in _waiting)
            {
                long now = Environment.TickCount64;
                if (stoppingToken.IsCancellationRequested)
                {
                    return;
                }

                if (now - unlearned.Last < Quiet.TotalMilliseconds && now - unlearned.First < Longest.TotalMilliseconds)
                {
                    continue;
                }

                try
                {
                    await SettledAsync(whose.Coach, whose.Client);
                }
                catch (Exception trouble)
                {
                    // The sets are safe; the next one that is logged, or the next start, learns from them.
                    _waiting.TryRemove(new(whose, unlearned));
                    NotLearned(log, whose.Client, trouble);
                }
            }
        }
    }

    [LoggerMessage(LogLevel.Warning, "The log of client {Client} could not be learned from")]
    private static partial void NotLearned(ILogger log, string client, Exception trouble);
}
