namespace Ingegno.Core.Progression;

/// <summary>What a set that arrives is to what is kept already.</summary>
public enum SetArrival
{
    /// <summary>Nothing is kept where it belongs.</summary>
    First,

    /// <summary>It is kept already, or was before it was corrected: a resend.</summary>
    Again,

    /// <summary>It changes what is kept, and whoever changed it had seen that.</summary>
    Correction,

    /// <summary>Something else is kept that its writer had not seen: what stands stays, and the coach is asked.</summary>
    Conflict,
}

/// <summary>
/// Two that write one set: whoever had seen what stands may change it, whoever had not is heard but does not win. No clock is asked, since a
/// phone's may say anything.
/// </summary>
public static class SetArrivals
{
    /// <param name="arriving">Its <see cref="SetLog.Version"/> is that of the set it was made from; 0 for one logged for the first time.</param>
    /// <param name="standing">Kept under its id or in its place: day, line, exercise and number.</param>
    /// <param name="former">What was kept there before.</param>
    public static SetArrival Of(SetLog arriving, IReadOnlyList<SetLog> standing, IReadOnlyList<SetLog> former)
    {
        if (standing.Count == 0)
        {
            return former.Any(IsSentAgain) ? SetArrival.Again : SetArrival.First;
        }

        // A phone that never heard that its first entry was kept corrects it without a version: the id is its own, and nobody else has changed it.
        return standing.Any(s => SaysTheSame(s, arriving)) ? SetArrival.Again
            : standing.All(s => s.Version == (s.Id == arriving.Id && arriving.Version == 0 ? 1 : arriving.Version)) ? SetArrival.Correction
            : former.Any(IsSentAgain) ? SetArrival.Again
            : SetArrival.Conflict;

        bool IsSentAgain(SetLog old) => old.Id == arriving.Id && SaysTheSame(old, arriving);
    }

    /// <summary>The same figures in the same place, whenever and under whatever id they were sent.</summary>
    public static bool SaysTheSame(SetLog a, SetLog b) =>
        a with { Id = b.Id, At = b.At, Version = b.Version } == b
        // The same entry of one phone, put on its day once by a clock and once by a clock put right.
        || (a.Id == b.Id && a.At is not null && a with { On = b.On, Version = b.Version } == b);
}
