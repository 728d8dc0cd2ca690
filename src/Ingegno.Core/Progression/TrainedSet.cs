using System.Text.Json.Serialization;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>A set as done, with what it was asked as: heights, tempo and rest stand there.</summary>
public sealed record TrainedSet(SetLog Set, Prescription As)
{
    /// <summary>
    /// Nothing was left, and nobody had to judge it: a set to the limit, one that the muscle is said to have ended, or one short of its count with none
    /// left and nothing else to blame.
    /// </summary>
    [JsonIgnore]
    public bool IsToFailure => Set.ToLimit
        || (Set.Reserve is { Least: 0, Most: 0 } && (Set.Stopped == StopReason.Muscle || (Set is { Stopped: null, Pain: 0 } && IsShort)));

    /// <summary>Logged in the wrong unit, as far as anybody can tell (<see cref="Progression.UnitSlip"/>).</summary>
    [JsonIgnore]
    public bool IsUnitSlip => UnitSlip.Is(Set, As);

    /// <summary>Not ended by its count: the count tells how it felt, whatever is answered.</summary>
    internal bool IsByFeel => IsToFailure || Sides.Done(Set) != Asked;

    private int? Asked => As.Counts.IsDefaultOrEmpty ? null : As.Counts[Math.Clamp(Set.SetNumber, 1, As.Counts.Length) - 1];

    private bool IsShort => Sides.Done(Set) < Asked;

    /// <summary>Whether learning reads the same off both: what was done, and what of the prescription bears on it.</summary>
    internal bool IsReadLike(TrainedSet other) =>
        Set == other.Set
        && (ReferenceEquals(As, other.As)
            || (As.Load == other.As.Load && As.Count == other.As.Count && As.Geometry == other.As.Geometry && As.Style == other.As.Style && As.Rest == other.As.Rest
                && As.Form == other.As.Form && As.PerSide == other.As.PerSide && As.Counts.SequenceEqual(other.As.Counts)));
}
