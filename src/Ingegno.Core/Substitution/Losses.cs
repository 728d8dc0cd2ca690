using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>All that a swap gives up, part by part. In contrast to <see cref="Reason.Loss"/>, which names the one that weighs most.</summary>
public static class Losses
{
    /// <summary>Demand this much lower is not called a loss of load.</summary>
    private const double SameLoad = 0.03;

    /// <summary>In the order pattern or direction, range, grip, sides, load; empty when nothing is given up.</summary>
    public static ImmutableArray<string> Of(Exercise written, Candidate candidate, Intent? intent) => [.. All(written, candidate, intent)];

    private static IEnumerable<string> All(Exercise written, Candidate candidate, Intent? intent)
    {
        var done = candidate.Exercise;
        if (done.Pattern != written.Pattern)
        {
            yield return $"pattern: {PlainWords.Of(done.Pattern)} for {PlainWords.Of(written.Pattern)}";
        }
        else if (!written.IsSlot && done.Line != written.Line)
        {
            yield return $"direction: {PlainWords.Of(done.Line)}, not {PlainWords.Of(written.Line)}";
        }

        if (!written.IsSlot && done.Range != written.Range)
        {
            yield return $"range: hardest {PlainWords.Of(done.Range)}, not {PlainWords.Of(written.Range)}";
        }

        if (written.Grip != Grip.None && done.Grip != written.Grip)
        {
            yield return done.Grip == Grip.None ? $"grip: nothing is held where it was {PlainWords.Of(written.Grip)}" : $"grip: {PlainWords.Of(done.Grip)}, not {PlainWords.Of(written.Grip)}";
        }

        if (done.Sides != written.Sides && written is not { IsSlot: true, Sides: Sides.Together })
        {
            yield return done.Sides == Sides.OneAtATime ? "sides: one limb at a time" : "sides: both limbs, so one can help the other";
        }

        if (candidate.Dose is { } dose && intent is not null && dose.Equivalent.Value < intent.Equivalent.Value - SameLoad)
        {
            yield return $"load: {dose.Equivalent.InPercent} of what could be lifted where {intent.Equivalent.InPercent} was asked";
        }
    }
}
