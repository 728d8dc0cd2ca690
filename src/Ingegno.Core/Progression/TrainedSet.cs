using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>A set as done, with what it was asked as: heights, tempo and rest stand there.</summary>
public sealed record TrainedSet(SetLog Set, Prescription As)
{
    /// <summary>Whether learning reads the same off both: what was done, and what of the prescription bears on it.</summary>
    internal bool IsReadLike(TrainedSet other) =>
        Set == other.Set
        && (ReferenceEquals(As, other.As)
            || (As.Count == other.As.Count && As.Geometry == other.As.Geometry && As.Style == other.As.Style && As.Rest == other.As.Rest
                && As.Form == other.As.Form && As.PerSide == other.As.PerSide));
}
