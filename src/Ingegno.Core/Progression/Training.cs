using Ingegno.Core.Exercises;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Progression;

/// <summary>What a client did and said lately, and what was learned from it: all that next week is decided from.</summary>
/// <param name="Asked">Sets of the last <see cref="Days"/>, newest day first, each with what it was asked as.</param>
/// <param name="Answered">Reports of pain the coach has answered by another exercise.</param>
/// <param name="Catalogue">Knows every exercise done, the practice's own among them.</param>
public sealed record Training(
    IReadOnlyList<AskedSet> Asked, IReadOnlyList<SessionNote> Notes, IReadOnlyList<PainClearance> Cleared, IReadOnlyList<PainClearance> Answered, Digest Digest,
    Catalogue Catalogue)
{
    /// <summary>Steps look back over so many days; older sets are in the digest.</summary>
    public const int Days = 100;

    public static Training None { get; } = new([], [], [], [], Digest.Nothing, Catalogue.Shipped);

    public IReadOnlyList<SetLog> Sets { get; } = [.. Asked.Select(a => a.Set)];

    public PainHold Pain { get; } = new([.. Asked.Select(a => a.Set)], Cleared, Answered, Catalogue);

    /// <summary>How sore the muscles of a session were after it was last trained; null when nobody asked.</summary>
    public int? SoreAfter(string session) => Notes.FirstOrDefault(n => n.Session == session && n.Sore is not null)?.Sore;

    public DateOnly? ClearedThrough(string exercise) => Cleared.FirstOrDefault(c => c.Exercise == exercise)?.Through;

    /// <summary>Last day a line was trained; null for never.</summary>
    public DateOnly? LastTrained(int line) => Sets.Where(s => s.Line == line).Select(s => (DateOnly?)s.On).Max();
}
