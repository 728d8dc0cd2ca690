using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Programmes;

/// <summary>What a set counts in, and what ends it.</summary>
public enum CountKind
{
    /// <summary>So many, or from so many to so many.</summary>
    Repetitions,
    Seconds,

    /// <summary>As many as possible; the forecast tells how many that is likely to be.</summary>
    AsManyAsPossible,

    /// <summary>Repetitions up to a cap; effort may end the set before it.</summary>
    UpTo,

    /// <summary>Slow breaths while a position is held.</summary>
    Breaths,

    /// <summary>There and back, once, with something carried.</summary>
    Trips,
    Steps,

    /// <summary>Carried or walked so far.</summary>
    Metres,

    /// <summary>Repetitions until a perceived effort, written as a reserve.</summary>
    UntilEffort,

    /// <summary>Until the grip goes.</summary>
    UntilGrip,

    /// <summary>Repetitions in all, in as many sets as it takes.</summary>
    Total,
}

/// <summary>What one written set asks: an exact count has equal ends.</summary>
/// <param name="Low">Fewest; of as many as possible the floor, 1 where none is written.</param>
/// <param name="High">Most; of as many as possible the cap, 0 where the house rule's holds.</param>
public sealed record SetTarget(CountKind Kind, int Low, int High)
{
    /// <summary>What is planned with where effort ends the set, until the forecast tells (common practice).</summary>
    private const int UsualCount = 10;

    /// <summary>Of the one-repetition maximum, where this set is written with one of its own; at most one of percent and load is given.</summary>
    public Share? Percent { get; init; }

    /// <summary>As written, where this set has one of its own.</summary>
    public Mass? Load { get; init; }

    /// <summary>Repetitions left, where this set has an effort of its own.</summary>
    public double? Reserve { get; init; }

    /// <summary>Written with a load, a percent or an effort of its own.</summary>
    [JsonIgnore]
    public bool HasOwn => Percent is not null || Load is not null || Reserve is not null;

    /// <summary>The count to plan with: the middle of a range, rounded up; the cap of an "up to".</summary>
    public int Middle => Kind switch
    {
        CountKind.UpTo => High,
        CountKind.AsManyAsPossible => Low > 1 ? Low : UsualCount,
        CountKind.UntilEffort or CountKind.UntilGrip => UsualCount,
        CountKind.Total => Math.Min(Low, UsualCount),
        _ => (Low + High + 1) / 2,
    };

    /// <summary>The counts to plan with: one, or of a total as many even sets as it takes.</summary>
    public IEnumerable<int> Planned
    {
        get
        {
            int sets = Kind == CountKind.Total ? (Low + UsualCount - 1) / UsualCount : 1;
            return Kind == CountKind.Total ? Enumerable.Range(0, sets).Select(i => (Low / sets) + (i < Low % sets ? 1 : 0)) : [Math.Max(1, Middle)];
        }
    }

    /// <summary>Nothing says how many: the forecast has to.</summary>
    public bool IsOpen => Kind is CountKind.UntilEffort or CountKind.UntilGrip || (Kind == CountKind.AsManyAsPossible && Low <= 1);
}

/// <summary>What follows from the kind of a count.</summary>
public static class CountKinds
{
    /// <summary>Whole repetitions are counted, so their effort can be forecast.</summary>
    public static bool IsRepetitions(this CountKind kind) =>
        kind is CountKind.Repetitions or CountKind.UpTo or CountKind.AsManyAsPossible or CountKind.UntilEffort or CountKind.Total;

    /// <summary>
    /// Seconds one count takes where no tempo says so: a repetition 3, a slow breath 5, a trip 15, a step or a metre 1 (common practice). A set
    /// until the grip goes is planned as one count a 3 s.
    /// </summary>
    public static int SecondsEach(this CountKind kind) => kind switch
    {
        CountKind.Seconds or CountKind.Steps or CountKind.Metres => 1,
        CountKind.Breaths => 5,
        CountKind.Trips => 15,
        _ => 3,
    };
}
