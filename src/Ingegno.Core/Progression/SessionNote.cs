namespace Ingegno.Core.Progression;

/// <summary>What a session was felt as.</summary>
public enum Felt
{
    Muscle,
    Breath,
    Both,
}

/// <summary>What the client said of a session with one tap after it, and with one before the next day for its muscles.</summary>
/// <param name="Session">Its title.</param>
/// <param name="Sore">0 not at all to 3 very; null when not asked.</param>
public sealed record SessionNote(string Session, DateOnly On, Felt? Felt = null, int? Sore = null);
