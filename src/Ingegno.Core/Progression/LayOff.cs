using System.Collections.Immutable;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What days without training ask of the first session after them (common practice).</summary>
internal static class LayOff
{
    /// <summary>Days from which the same again is enough, from which it is lighter, and from which it is a return.</summary>
    private const int SameAgain = 10, Lighter = 21, Return = 42;

    /// <summary>A tenth lighter after three weeks, a fifth after six.</summary>
    private const double Tenth = 0.10, Fifth = 0.20;

    /// <summary>Null where the last session is near enough, or nobody said what day it is.</summary>
    internal static Step? Of(LineCase about, SetLog[][] sessions)
    {
        int days = about.Today is { } today ? today.DayNumber - sessions[0][0].On.DayNumber : 0;
        if (days <= SameAgain)
        {
            return null;
        }

        ImmutableArray<string> why = [$"{days} days since {sessions[0][0].On:d MMM}: over {SameAgain} nothing is raised, over {Lighter} it is a tenth lighter, over {Return} a fifth and half the sets."];
        if (days <= Lighter)
        {
            return new(StepKind.Hold, $"The same again: {days} days without it.", why, about.Line);
        }

        double less = days > Return ? Fifth : Tenth;
        string sets = days > Return ? "half the sets the first time, the rest week by week" : "a set less the first time";
        return Down(about, less) is { } next
            ? new(StepKind.Back, $"Back after {days / 7} weeks with {next.Load}, {next.CountInWords}; {sets}.", why, next)
            : new(StepKind.Hold, $"Back after {days / 7} weeks with the same, stopping earlier; {sets}.", why, about.Line);
    }

    /// <summary>The heaviest load at least so much lighter in what the muscles meet; null where there is none.</summary>
    private static Prescription? Down(LineCase about, double less)
    {
        if (about.Implement is not { } implement || about.Anchor is not { } anchor)
        {
            return null;
        }

        var rung = implement.Ladder.Below(about.Line.Load);
        while (rung is { } at && at.Load > Mass.Zero)
        {
            if (LoadStep.Jump(about.Line, about.Exercise, at, about.Client, anchor) <= -less + 0.02)
            {
                return Correction.On(about.Line, at, implement);
            }

            rung = implement.Ladder.Below(at.Load);
        }

        return null;
    }
}
