using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Substitution;

/// <summary>The change of set-up that brings a stand-in nearer to what the written exercise trains.</summary>
internal static class EmphasisChoice
{
    /// <summary>A muscle must be short by this much of the mix before a change is worth a cue.</summary>
    private const double WorthACue = 0.05;

    /// <summary>Null where no change helps, or it is the same exercise.</summary>
    internal static Emphasis? For(Exercise written, Exercise candidate) =>
        written.Id == candidate.Id
            ? null
            : candidate.Emphasis
                .Select(e => (emphasis: e, gain: e.Towards.Sum(m => Part(written, m) - Part(candidate, m))))
                .Where(p => p.gain >= WorthACue)
                .OrderByDescending(p => p.gain)
                .Select(p => p.emphasis)
                .FirstOrDefault();

    private static double Part(Exercise e, Muscle muscle) => e.Muscles.Weights.GetValueOrDefault(muscle) / e.Muscles.Weights.Values.Sum();
}
