using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>How a band runs in an exercise; decides what sets its length before the movement starts.</summary>
public enum BandHold
{
    /// <summary>Stood on: foot to hand or shoulder, longer with a wider stance.</summary>
    Underfoot,

    /// <summary>Tied or looped round an anchor; longer the further one stands away.</summary>
    Anchored,

    /// <summary>Round the upper back, an end in each hand.</summary>
    AroundBack,

    /// <summary>From hand to hand.</summary>
    HandToHand,

    /// <summary>A short loop round both thighs.</summary>
    AroundThighs,

    /// <summary>Hung from above and under the chest: takes weight off.</summary>
    Sling,

    /// <summary>Hung from the bar and under the knees: takes weight off.</summary>
    UnderKnees,
}

/// <summary>
/// The length of a band along a movement, from the client's own dimensions.
/// Paths over stature: press and row 0.33, squat 0.28, curl 0.25 (common practice).
/// </summary>
public sealed record BandRun
{
    public required BandHold Hold { get; init; }

    /// <summary>
    /// Length of one run at the start, over stature: hand height over the feet, hand to hand, half round the back. Of a
    /// sling, the height of the chest at the bottom. Not used where an anchor's distance is chosen instead.
    /// </summary>
    public Share Start { get; init; }

    /// <summary>How much one run lengthens until the end, over stature; negative where the body rises towards the band's anchor.</summary>
    public required Share Path { get; init; }

    /// <summary>Runs side by side that the movement lengthens together.</summary>
    public int Strands { get; init; } = 1;

    /// <summary>Gets easier toward its end (press, squat, hinge), so a pull at the end counts less for failure.</summary>
    public bool EasesOff { get; init; }

    /// <summary>For help: the hardest position is at the end (pull-up), not at the start (push-up, dip).</summary>
    public bool HardestAtEnd { get; init; }

    /// <summary>Where the anchor must stand; null without one.</summary>
    public AnchorZone? Anchor { get; init; }

    /// <summary>Takes weight off instead of adding it.</summary>
    public bool Assists => Hold is BandHold.Sling or BandHold.UnderKnees;
}
