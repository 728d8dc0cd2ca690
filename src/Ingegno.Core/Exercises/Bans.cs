using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Exercises;

/// <summary>An attribute of exercises a coach may ban as a whole.</summary>
public enum ExerciseAttribute
{
    Jumps,
    BehindTheBodyDips,
    PressingOverhead,
    Hanging,
    UpsideDown,
    SpinalFlexion,
    Kneeling,
    OneLegBalance,
    Bands,
    DeadliftsFromTheFloor,
    LoadedRotation,
}

/// <summary>An exercise, or all with an attribute, that is not to be given, with the coach's reason.</summary>
/// <param name="Exercise">Catalogue id; null when an attribute is banned.</param>
public sealed record Ban(string? Exercise, ExerciseAttribute? Attribute, string Reason)
{
    /// <summary>True when this entry keeps the exercise out.</summary>
    public bool Covers(Exercise exercise) =>
        Exercise == exercise.Id || (Attribute is { } attribute && Has(exercise, attribute));

    /// <summary>Read off the exercise's own data, so that a new exercise is covered without being listed.</summary>
    public static bool Has(Exercise exercise, ExerciseAttribute attribute) => attribute switch
    {
        ExerciseAttribute.Jumps => exercise.Room.Noise == Noise.Loud,
        ExerciseAttribute.BehindTheBodyDips => exercise is { Pattern: Pattern.Dip, OffByDefault: not null },
        ExerciseAttribute.PressingOverhead => exercise.Pattern == Pattern.VerticalPress,
        ExerciseAttribute.Hanging => Hangs(exercise),
        ExerciseAttribute.UpsideDown => exercise.Family == ExerciseFamily.Overhead && exercise.Conditions.Contains(HealthQuestion.Dizziness),
        ExerciseAttribute.SpinalFlexion => exercise.Pattern == Pattern.TrunkFlexion,
        ExerciseAttribute.Kneeling => exercise.Kneels,
        ExerciseAttribute.OneLegBalance => exercise.Sides == Sides.OneAtATime && exercise.Steadiness >= 3,
        ExerciseAttribute.Bands => exercise.Band is not null || exercise.WantsMiniBand,
        ExerciseAttribute.DeadliftsFromTheFloor => exercise is { Pattern: Pattern.Hinge, Family: ExerciseFamily.Hinges, Range: HardestRange.Long }
            && exercise.Name.Contains("deadlift", StringComparison.OrdinalIgnoreCase) && !exercise.Name.Contains("Romanian", StringComparison.Ordinal),
        ExerciseAttribute.LoadedRotation => exercise is { Pattern: Pattern.TrunkRotation, NeedsLoad: true },
        _ => throw new ArgumentOutOfRangeException(nameof(attribute)),
    };

    /// <summary>Arms over the head in degrees, where the body hangs from the hands.</summary>
    private const double Overhead = 150;

    private static bool Hangs(Exercise e) =>
        e is { Load.Body: BodyModel.Hands, Pattern: Pattern.VerticalPull }
        || (e.Poses is { Support: PoseSupport.Hands } poses && Math.Max(poses.Start.Shoulder, poses.End.Shoulder) >= Overhead);
}
