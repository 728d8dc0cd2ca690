using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>Something that makes a line possible for now and should not stay for ever: it gets a review date.</summary>
public static class Crutch
{
    /// <summary>Weeks until it is looked at (common practice).</summary>
    public const int ReviewWeeks = 3;

    /// <summary>Null where the line leans on none.</summary>
    public static string? Of(Prescription line, Exercise exercise) =>
        line.Partial != PartialPart.None ? "part of the range"
        : exercise.IsLoweringOnly ? "only the lowering"
        : exercise.IsAssisted && line.Load < Quantities.Mass.Zero ? "help from a band or a foot"
        : line.FinishOn is not null ? "finished on an easier variation"
        : exercise.Counted == Counted.Seconds && exercise.Harder.Length > 0 && exercise.Pattern is not Pattern.TrunkBrace ? "held instead of moved"
        : null;
}
