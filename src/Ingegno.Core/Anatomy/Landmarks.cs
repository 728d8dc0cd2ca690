using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// Heights of body landmarks and lengths of segments from stature.
/// Source: Drillis and Contini, through Winter (from memory); sternum and overhead reach by common practice.
/// </summary>
public sealed record Landmarks(Length Stature)
{
    public Length Knee => Stature * 0.285;

    public Length Hip => Stature * 0.530;

    /// <summary>Middle of the breastbone, where the first incline push-up sets the hands (common practice).</summary>
    public Length Sternum => Stature * 0.735;

    public Length Shoulder => Stature * 0.818;

    /// <summary>Shoulder to the middle of a closed grip: upper arm, forearm and half a hand.</summary>
    public Length ArmToGrip => Stature * (0.186 + 0.146 + 0.054);

    /// <summary>Knuckles of a raised arm, standing (common practice).</summary>
    public Length Reach => Stature * 1.24;
}
