namespace Ingegno.Core.Exercises;

/// <summary>Patterns a coach turns to when the written one is not to be had, though hardly a muscle vector says so (common practice).</summary>
internal static class Patterns
{
    private static readonly HashSet<(Pattern, Pattern)> Related =
    [
        (Pattern.KneeFlexion, Pattern.Hinge),
        (Pattern.KneeFlexion, Pattern.HipThrust),
        (Pattern.KneeExtension, Pattern.Squat),
        (Pattern.TrunkFlexion, Pattern.TrunkBrace),
        (Pattern.TrunkFlexion, Pattern.TrunkRotation),
        (Pattern.TrunkRotation, Pattern.TrunkBrace),
        (Pattern.ElbowExtension, Pattern.Dip),
        (Pattern.ElbowExtension, Pattern.HorizontalPress),
        (Pattern.Dip, Pattern.ElbowExtension),
        (Pattern.HorizontalPull, Pattern.VerticalPull),
        (Pattern.VerticalPull, Pattern.HorizontalPull),
        (Pattern.Jump, Pattern.Squat),
    ];

    internal static bool AreRelated(Pattern written, Pattern other) => Related.Contains((written, other));
}
