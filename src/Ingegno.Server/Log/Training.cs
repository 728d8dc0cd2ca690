using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Core.Safety;
using Ingegno.Storage;

namespace Ingegno.Server.Log;

/// <summary>What a client did and said lately, and what was learned from it: all that next week is decided from.</summary>
internal sealed record Training(
    IReadOnlyList<SetLog> Sets, IReadOnlyList<SessionNote> Notes, IReadOnlyList<PainClearance> Cleared, Digest Digest)
{
    /// <summary>Steps look back over so many days; older sets are in the digest.</summary>
    internal const int Days = 100;

    internal static Training None { get; } = new([], [], [], Digest.Nothing);

    internal PainHold Pain { get; } = new(Sets, Cleared, Catalogue.Shipped);

    /// <summary>How sore the muscles of a session were after it was last trained; null when nobody asked.</summary>
    internal int? SoreAfter(string session) => Notes.FirstOrDefault(n => n.Session == session && n.Sore is not null)?.Sore;

    internal DateOnly? ClearedThrough(string exercise) => Cleared.FirstOrDefault(c => c.Exercise == exercise)?.Through;
}

/// <summary>Reads it.</summary>
internal sealed class Trainings(SetLogs logs, SessionNotes notes, Lessons lessons)
{
    internal async Task<Training> OfClientAsync(string coach, string client, DateOnly today)
    {
        var since = today.AddDays(-Training.Days);
        return new(
            await logs.OfClientAsync(coach, client, since), await notes.OfClientAsync(coach, client, since), await notes.ClearedAsync(coach, client),
            await lessons.FindAsync(coach, client));
    }
}
