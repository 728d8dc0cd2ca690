using System.Text.Json.Serialization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What ended a set.</summary>
public enum StopReason
{
    /// <summary>The muscles it is for.</summary>
    Muscle,
    Grip,
    Breath,
    Form,
    Pain,
}

/// <summary>One set as done.</summary>
/// <param name="Id">Made where it was logged, so that sending it twice is harmless.</param>
/// <param name="Line">Line of the plan it belongs to.</param>
/// <param name="Exercise">Catalogue id of what was done.</param>
/// <param name="SetNumber">From 1.</param>
/// <param name="Load">External load; a pair counts both pieces.</param>
/// <param name="Repetitions">Done, per side where one limb works; seconds for held work.</param>
/// <param name="Reserve">Repetitions that were left, as said; null when nobody said.</param>
/// <param name="Pain">0 to 10.</param>
/// <param name="Finished">Repetitions of the easier variation the set was finished on; counted apart, never among the whole ones.</param>
public sealed record SetLog(
    Guid Id,
    int Line,
    string Exercise,
    DateOnly On,
    int SetNumber,
    Mass Load,
    int Repetitions,
    SaidReserve? Reserve = null,
    int Pain = 0,
    int Finished = 0)
{
    /// <summary>What ended it; null when nobody said.</summary>
    public StopReason? Stopped { get; init; }

    /// <summary>Where it hurt; null without pain, or when nobody said.</summary>
    public Joint? PainAt { get; init; }

    /// <summary>The rest truly taken before it; null on a first set, or when nobody timed it.</summary>
    public Duration? RestBefore { get; init; }

    /// <summary>Asked to go to the true limit: nothing was left.</summary>
    public bool ToLimit { get; init; }

    /// <summary>Done on the other side, where it came to more or less than <see cref="Repetitions"/>, the side worked first.</summary>
    public int? OtherSide { get; init; }

    /// <summary>When it was done, by the clock of the phone it was logged on.</summary>
    public DateTimeOffset? At { get; init; }

    /// <summary>
    /// How often it was written: 1 as first kept, one more with each correction. In what is sent, the version of the set it was made from; 0 for
    /// one that is logged for the first time.
    /// </summary>
    public int Version { get; init; }

    /// <summary>Its repetitions tell what the muscles trained can do: nothing else gave out first.</summary>
    [JsonIgnore]
    public bool EndedByMuscle => Stopped is null or StopReason.Muscle;
}
