using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Plans;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;
using Ingegno.Server.Practices;
using Ingegno.Storage;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Caching.Memory;

namespace Ingegno.Server.Log;

/// <summary>What a whole log taught, and the log.</summary>
internal sealed record LogLesson(Lesson Lesson, ImmutableArray<TrainedSet> Sets);

/// <summary>
/// Reads a client's whole log for what it teaches, and keeps the digest of it. While somebody trains, what was learned before the day is kept at
/// hand, so that the next set costs the day and not the years.
/// </summary>
internal sealed partial class LogLessons(
    Storage.Clients clients, Storage.Practices practices, Storage.Plans plans, SetLogs logs, Lessons lessons, ILogger<LogLessons> log) : IDisposable
{
    /// <summary>Logs kept at hand at once, and for how long after the last look.</summary>
    private const int MostAtHand = 60, MinutesAtHand = 30;

    private readonly MemoryCache _atHand = new(new MemoryCacheOptions { SizeLimit = MostAtHand });

    /// <param name="Case">Client, rules and programme it was learned under: with others all starts anew.</param>
    private sealed record AtHand(string Case, LearnedSoFar SoFar);

    public void Dispose() => _atHand.Dispose();

    private void NotKept(string client, Exception trouble) => NotKept(log, client, trouble);

    [LoggerMessage(LogLevel.Warning, "What the log of client {Client} taught could not be kept")]
    private static partial void NotKept(ILogger log, string client, Exception trouble);

    /// <summary>Works the lesson out anew and keeps its digest. Null when the coach has no such client.</summary>
    internal async Task<LogLesson?> LearnAsync(string coach, string client)
    {
        long logged = await lessons.LoggedAsync(coach, client);
        var read = await ReadAsync(coach, client);
        if (read is not null)
        {
            try
            {
                await lessons.SaveAsync(coach, client, Digest.Of(read.Lesson), logged);
            }
            catch (SqliteException trouble)
            {
                // The sets are safe and say it all again: the next one that is logged learns from them too.
                NotKept(client, trouble);
            }
        }

        return read;
    }

    /// <summary>Null when the coach has no such client.</summary>
    internal async Task<LogLesson?> ReadAsync(string coach, string client)
    {
        if (await clients.FindAsync(coach, client) is not { } about)
        {
            return null;
        }

        var plan = (await plans.FindAsync(coach, client)).Value;
        var practice = (await practices.FindAsync(coach)).Value;
        return Of(client, about.Profile, practice, plan, await logs.AskedOfClientAsync(coach, client));
    }

    private LogLesson Of(string id, ClientProfile profile, Practice practice, Plan plan, IReadOnlyList<AskedSet> sets)
    {
        var rules = practice.Rules;
        var client = profile with { Learned = Learned.Nothing };
        var programme = ProgrammeReading.Read(plan.Text, practice, client.Unit).Programme;
        var planned = plan.Sessions.SelectMany(s => s.Lines).Select(l => l.Prescription).OfType<Prescription>()
            .GroupBy(p => p.Exercise).ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        ImmutableArray<TrainedSet> trained =
        [
            .. sets.Where(s => rules.Catalogue.Find(s.Set.Exercise) is not null).Select(s => new TrainedSet(s.Set, s.As ?? AsPlanned(s.Set))),
        ];
        // What was known by then had aged until then.
        DateOnly? begins = trained.IsEmpty ? null : trained.Min(t => t.Set.On);
        string under = JsonSerializer.Serialize(new { client, rules, practice.Names, plan.Text, begins }, TradeJson.Options);
        var before = _atHand.Get<AtHand>(id) is { } known && known.Case == under ? known.SoFar : null;
        var lesson = Learning.From(client, rules.Catalogue, WrittenAnchors.Of(client, rules.Catalogue, rules, programme, begins), trained, before);
        _atHand.Set(id, new AtHand(under, lesson.SoFar), new MemoryCacheEntryOptions { Size = 1, SlidingExpiration = TimeSpan.FromMinutes(MinutesAtHand) });
        return new(lesson, trained);

        Prescription AsPlanned(SetLog set) => planned.GetValueOrDefault(set.Exercise) ?? AsUsual(set, rules.Catalogue);
    }

    /// <summary>Sets older than their prescriptions, gym sets among them: plain repetitions with a usual rest.</summary>
    private static Prescription AsUsual(SetLog set, Catalogue catalogue)
    {
        var exercise = catalogue.Find(set.Exercise)!;
        return new Prescription
        {
            Exercise = exercise.Id,
            Name = exercise.Name,
            Count = exercise.Counted == Counted.Repetitions ? CountKind.Repetitions : CountKind.Seconds,
            Counts = [set.Repetitions],
            TopOfRange = set.Repetitions,
            PerSide = exercise.Sides == Sides.OneAtATime,
            Load = set.Load,
            LoadInWords = set.Load.ToString(),
            Rest = HouseRules.UsualRest(set.Repetitions),
            Geometry = new Geometry(),
        };
    }
}
