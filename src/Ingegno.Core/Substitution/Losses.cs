using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;

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
            yield return $"pattern: {Words(done.Pattern)} for {Words(written.Pattern)}";
        }
        else if (done.Line != written.Line)
        {
            yield return $"direction: {Words(done.Line)}, not {Words(written.Line)}";
        }

        if (done.Range != written.Range)
        {
            yield return $"range: hardest {Words(done.Range)}, not {Words(written.Range)}";
        }

        if (written.Grip != Grip.None && done.Grip != written.Grip)
        {
            yield return done.Grip == Grip.None ? $"grip: nothing held, {Words(written.Grip)} was" : $"grip: {Words(done.Grip)}, not {Words(written.Grip)}";
        }

        if (done.Sides != written.Sides)
        {
            yield return done.Sides == Sides.OneAtATime ? "sides: one limb at a time" : "sides: both limbs, so one can help the other";
        }

        if (candidate.Dose is { } dose && intent is not null && dose.Equivalent.Value < intent.Equivalent.Value - SameLoad)
        {
            yield return $"load: demand {dose.Equivalent} of {intent.Equivalent}";
        }
    }

    private static string Words(Enum value)
    {
        var words = new StringBuilder();
        foreach (char c in value.ToString())
        {
            words.Append(char.IsUpper(c) && words.Length > 0 ? " " : "").Append(char.ToLowerInvariant(c));
        }

        return words.ToString();
    }
}
