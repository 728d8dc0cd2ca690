using System.Collections.Immutable;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Substitution;

/// <summary>A strength family as coaches speak of it, and the lift its resistances are compared on.</summary>
/// <param name="Reference">Catalogue id of the gym lift.</param>
public sealed record ReachFamily(string Name, string Reference, ImmutableArray<Pattern> Patterns)
{
    /// <summary>In the order they are drawn: presses, pulls, legs, arms.</summary>
    public static ImmutableArray<ReachFamily> All { get; } =
    [
        new("Horizontal press", "barbell-bench-press", [Pattern.HorizontalPress]),
        new("Vertical press", "overhead-press", [Pattern.VerticalPress]),
        new("Horizontal pull", "barbell-row", [Pattern.HorizontalPull]),
        new("Vertical pull", "lat-pulldown", [Pattern.VerticalPull]),
        new("Squat", "back-squat", [Pattern.Squat]),
        new("Hinge", "romanian-deadlift", [Pattern.Hinge]),
        new("Hip thrust", "barbell-hip-thrust", [Pattern.HipThrust]),
        new("Leg curl", "leg-curl", [Pattern.KneeFlexion]),
        new("Lateral raise", "lateral-raise", [Pattern.ShoulderRaise]),
        new("Elbow flexion", "barbell-curl", [Pattern.ElbowFlexion]),
        new("Elbow extension", "triceps-pushdown", [Pattern.ElbowExtension]),
        new("Calf", "calf-raise-machine", [Pattern.CalfRaise]),
    ];
}
