using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Review;

/// <summary>What the review looks for.</summary>
public enum FindingKind
{
    PatternLost,
    PlaneLost,
    RangeLost,
    OneLimbLost,
    GripLost,
    MuscleLost,
    TooFewSets,
    TooManySets,
    PiledUp,
    UnderTheLoadFloor,
    FailureForBeginner,
    JumpContacts,
    Conditioning,
    TooLong,
    TooManyRepetitions,
    RestsMissing,
    AllCircuit,
    ExercisesMerged,
    NoSteadiness,
    NoPurpose,
    Unbalanced,
    NothingPossible,
    NoPhases,
    NoEasierWeek,
    OneLevelForAll,
    MoreSessionsThanDays,
}

/// <summary>How much a finding weighs.</summary>
public enum Severity
{
    /// <summary>Good to know.</summary>
    Note,

    /// <summary>A coach should decide on it.</summary>
    Decide,

    /// <summary>Not to be sent like this.</summary>
    Mend,
}

/// <summary>A change of one line that a remedy makes; null leaves a part as it is.</summary>
/// <param name="Line">Line number in the text.</param>
/// <param name="Exercise">Catalogue id to take.</param>
/// <param name="Alone">Without a second exercise beside it; false leaves that open.</param>
/// <param name="Group">Letter to do it back to back under; empty for alone.</param>
/// <param name="LeftOut">Not done for now; false leaves that open.</param>
public sealed record LineChange(
    int Line, string? Exercise = null, int? Sets = null, int? Repetitions = null, Duration? Rest = null, bool Alone = false,
    string? Group = null, bool LeftOut = false);

/// <summary>What one click would do about a finding.</summary>
/// <param name="Words">"Take the band pulldown on line 4".</param>
/// <param name="Block">The block to train it in; null leaves that as it is.</param>
public sealed record Remedy(string Words, ImmutableArray<LineChange> Changes, Block? Block = null);

/// <summary>One thing the review found.</summary>
/// <param name="Sentence">What, in a coach's words, with its figures.</param>
/// <param name="Why">Why it matters, and where the mark comes from.</param>
/// <param name="Lines">Line numbers that cause it; empty where the whole week does.</param>
/// <param name="Remedy">Null where only the coach can mend it.</param>
public sealed record Finding(FindingKind Kind, Severity Severity, string Sentence, string Why, ImmutableArray<int> Lines, Remedy? Remedy = null);
