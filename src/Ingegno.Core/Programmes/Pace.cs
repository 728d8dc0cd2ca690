using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Programmes;

/// <summary>One phase of a repetition, for a pacer.</summary>
/// <param name="Word">"lower", "hold low", "lift", "hold high".</param>
public sealed record PacePhase(string Word, int Seconds);

/// <summary>The phases of a repetition in the order they are done: a press or squat begins at the top, a pull or raise at the bottom.</summary>
public static class Pace
{
    /// <summary>Empty where seconds, steps or breaths are counted: there is no repetition to pace.</summary>
    public static ImmutableArray<PacePhase> Of(Prescription line, Exercise exercise)
    {
        if (!line.Count.IsRepetitions())
        {
            return [];
        }

        var tempo = line.Tempo ?? Tempo.Reference;
        PacePhase lower = new("lower", Math.Max(1, tempo.Lowering)), low = new("hold low", tempo.AfterLowering);
        PacePhase lift = new(tempo.FastLifting ? "lift fast" : "lift", Math.Max(1, tempo.Lifting)), high = new("hold high", tempo.AfterLifting);
        PacePhase[] phases = BeginsHigh(exercise) ? [lower, low, lift, high] : [lift, high, lower, low];
        return [.. phases.Where(p => p.Seconds > 0)];
    }

    /// <summary>On the hands, pressing begins with straight arms.</summary>
    private static bool BeginsHigh(Exercise exercise) =>
        exercise is { Pattern: Pattern.VerticalPress, Poses.Support: PoseSupport.HandsAndFeet } || exercise.Pattern is Pattern.HorizontalPress or Pattern.Dip or Pattern.Fly or Pattern.Squat or Pattern.Hinge or Pattern.KneeFlexion or Pattern.Jump;
}
