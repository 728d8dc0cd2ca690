namespace Ingegno.Core.Effort;

/// <summary>
/// How a set, or the series of sets of an exercise, is built. In contrast, <see cref="RepetitionStyle"/> says how each
/// repetition is done.
/// </summary>
public enum SetForm
{
    /// <summary>Sets with rests between them.</summary>
    Straight,

    /// <summary>Before each set a hard push or pull of 20 to 30 s against something immovable, then straight into the set.</summary>
    PushFirst,

    /// <summary>
    /// One set near failure, then small ones after short rests until they add up to the first: twice its repetitions in
    /// all, in place of every set of the exercise.
    /// </summary>
    RestPause,

    /// <summary>The last repetition of each set is held at the hard end until the budget is spent.</summary>
    HoldToFatigue,
}
