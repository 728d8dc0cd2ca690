using System.Collections.Immutable;
using Ingegno.Core.Anatomy;

namespace Ingegno.Core.Exercises;

/// <summary>What of the set-up is changed.</summary>
public enum EmphasisBy
{
    StepLength,
    FootDistance,
    Stance,
    Lean,
    Grip,
    Elbows,
}

/// <summary>A change of the set-up that brings some muscles in more: a longer step for the buttocks, a shorter one for the thighs.</summary>
/// <param name="Change">As a cue: "Longer step".</param>
/// <param name="Towards">Muscles that get more of the work.</param>
public sealed record Emphasis(EmphasisBy By, string Change, ImmutableArray<Muscle> Towards);
