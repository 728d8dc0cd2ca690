using Ingegno.Core.Exercises;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Core.Safety;
using Ingegno.Storage;

namespace Ingegno.Server.Log;

/// <summary>Reads what a client did and said lately.</summary>
internal sealed class Trainings(SetLogs logs, SessionNotes notes, Lessons lessons, Learner learner, Storage.Plans plans)
{
    internal async Task<Training> OfClientAsync(string coach, string client, DateOnly today, Catalogue catalogue)
    {
        var since = today.AddDays(-Training.Days);
        await learner.SettledAsync(coach, client);
        return new(
            await logs.AskedOfClientAsync(coach, client, since), await notes.OfClientAsync(coach, client, since), await notes.ClearedAsync(coach, client),
            [.. Answered(await plans.ChangesAsync(coach, client, ChangeKind.SwappedForPain))], (await lessons.FindAsync(coach, client)).Value, catalogue);
    }

    /// <summary>What was given up for pain and not taken back.</summary>
    private static IEnumerable<PainClearance> Answered(IReadOnlyList<PlanChange> changes)
    {
        var undone = Changing.Undone(changes);
        return
            from change in changes
            where change.Kind == ChangeKind.SwappedForPain && !undone.Contains(change.Id)
            from line in change.Lines
            where line.Before?.Prescription is { } was && (line.After is null or { IsAside: true } || line.After.Prescription?.Exercise != was.Exercise)
            select new PainClearance(line.Before!.Prescription!.Exercise, change.On);
    }
}
