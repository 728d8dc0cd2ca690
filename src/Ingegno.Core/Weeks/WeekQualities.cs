using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Weeks;

/// <summary>What a week should not lose: a movement, a range of a muscle, one-limb work, a grip of the pulls.</summary>
/// <param name="Name">As an option has it.</param>
/// <param name="Price">Taken off where nothing in the week has it.</param>
/// <param name="IsPattern">A movement, told apart from its parts.</param>
public sealed record WeekQuality(string Name, int Price, bool IsPattern = false);

/// <summary>Reads the qualities of exercises and of the written week.</summary>
public static class WeekQualities
{
    private const string OneLimb = "one limb";

    /// <summary>A prime mover's range counts as visited.</summary>
    private static readonly ImmutableHashSet<Pattern> NotMissed = [Pattern.TrunkBrace, Pattern.Jump];

    public static ImmutableHashSet<string> Of(Exercise exercise) => [.. All(exercise, WeekPrices.Default).Select(q => q.Name)];

    /// <summary>Of a slot of intent only the movement: the rest was never asked for.</summary>
    public static ImmutableArray<WeekQuality> Wanted(IEnumerable<Exercise> written, WeekPrices prices) =>
        [.. written.SelectMany(e => All(e, prices).Where(q => !e.IsSlot || q.IsPattern)).Distinct()];

    private static IEnumerable<WeekQuality> All(Exercise exercise, WeekPrices prices)
    {
        if (!NotMissed.Contains(exercise.Pattern))
        {
            yield return new($"pattern {exercise.Pattern}", prices.PatternLost, IsPattern: true);
        }

        foreach (var group in MuscleGroups.CountsOf(exercise.Muscles).Where(c => c.Key != MuscleGroup.Small && c.Value >= MuscleGroups.PrimeMover))
        {
            yield return new($"{group.Key} {exercise.Range}", prices.RangeLost);
        }

        if (exercise.Sides == Sides.OneAtATime)
        {
            yield return new(OneLimb, prices.OneLimbLost);
        }

        if (exercise.Pattern is Pattern.HorizontalPull or Pattern.VerticalPull && exercise.Grip != Grip.None)
        {
            yield return new($"pull {exercise.Grip}", prices.GripLost);
        }
    }
}
