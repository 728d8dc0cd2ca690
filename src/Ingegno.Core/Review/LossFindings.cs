using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Review;

/// <summary>
/// What the move home has lost over the whole week: single swaps, each sensible, can together lose a pattern, a plane, a range, a grip,
/// one-limb work or a muscle.
/// </summary>
internal static class LossFindings
{
    internal static IEnumerable<Finding> Of(ReviewedWeek week) =>
        [.. Patterns(week), .. Parts(week with { Gym = [.. week.Gym.Where(l => !l.Exercise.IsSlot)] })];

    /// <summary>A slot of intent asks for a movement alone: plane, range, grip and sides were never its own to lose.</summary>
    private static IEnumerable<Finding> Parts(ReviewedWeek week) =>
        [.. Planes(week), .. Ranges(week), .. Muscles(week), .. OneLimb(week), .. Grips(week)];

    private static IEnumerable<Finding> Patterns(ReviewedWeek week) =>
        from lost in week.Gym.Select(l => l.Exercise.Pattern).Distinct().Except(week.Home.Where(l => IsKept(week, l)).Select(l => l.Exercise.Pattern))
        where lost is not (Pattern.TrunkBrace or Pattern.Jump)
        let lines = Numbers(week.Gym.Where(l => l.Exercise.Pattern == lost))
        select new Finding(
            FindingKind.PatternLost, Severity.Decide,
            Left(week, lost) is { Length: > 0 } light
                ? $"No loaded {PlainWords.Of(lost)} is left in the week: {string.Join(" and ", light)} {(light.Length == 1 ? "has" : "have")} the movement only."
                : $"No {PlainWords.Of(lost)} is left in the week.",
            "Single swaps can each be sensible and together lose a movement.",
            lines,
            week.Taking(lines, e => e.Pattern == lost));

    /// <summary>A movement on the floor without its load is no pull from above.</summary>
    private static bool IsKept(ReviewedWeek week, TrainedLine home) =>
        home.Exercise.IsForecast || week.Gym.Where(g => g.Exercise.Pattern == home.Exercise.Pattern).All(g => !g.Exercise.IsForecast);

    /// <summary>What still has the movement, by name.</summary>
    private static string[] Left(ReviewedWeek week, Pattern lost) =>
        [.. week.Home.Where(l => l.Exercise.Pattern == lost).Select(l => PlainWords.InSentence(l.Exercise.Name)).Distinct()];

    private static IEnumerable<Finding> Planes(ReviewedWeek week) =>
        from lost in week.Gym.Select(l => l.Exercise.Plane).Distinct().Except(week.Home.Select(l => l.Exercise.Plane))
        let lines = Numbers(week.Gym.Where(l => l.Exercise.Plane == lost))
        select new Finding(
            FindingKind.PlaneLost, Severity.Note,
            $"Nothing in the {PlainWords.Of(lost)} plane is left.",
            "The gym week moved sideways or turned; the home week only goes to and fro.",
            lines,
            week.Taking(lines, e => e.Plane == lost));

    /// <summary>Ranges of muscles that the gym visited in more than one.</summary>
    private static IEnumerable<Finding> Ranges(ReviewedWeek week)
    {
        foreach (var group in week.Trained)
        {
            TrainedLine[] gym = [.. week.Gym.Where(l => IsFor(l, group))], home = [.. week.Home.Where(l => IsFor(l, group))];
            if (home.Length == 0)
            {
                continue;
            }

            foreach (var lost in gym.Select(l => l.Exercise.Range).Distinct().Except(home.Select(l => l.Exercise.Range)))
            {
                var lines = Numbers(gym.Where(l => l.Exercise.Range == lost));
                yield return new Finding(
                    FindingKind.RangeLost, Severity.Note,
                    $"The {PlainWords.Of(group)} {Verb(group)} not loaded {In(lost)} any more.",
                    "Good weeks load a muscle long, in the middle and short; the floor takes the long range away from presses.",
                    lines,
                    week.Taking(lines, e => e.Range == lost && CountsFor(e, group)));
            }
        }
    }

    private static IEnumerable<Finding> Muscles(ReviewedWeek week) =>
        from lost in week.Gym.SelectMany(l => l.Exercise.Muscles.PrimeMovers).Distinct().Order()
        where week.Home.All(l => l.Exercise.Muscles.Weights.GetValueOrDefault(lost) < StillWorked)
        let lines = Numbers(week.Gym.Where(l => l.Exercise.Muscles.PrimeMovers.Contains(lost)))
        select new Finding(
            FindingKind.MuscleLost, Severity.Decide,
            $"Nothing trains the {Part(lost)} any more.",
            "It was a prime mover in the gym week.",
            lines,
            week.Taking(lines, e => e.Muscles.PrimeMovers.Contains(lost)));

    /// <summary>A muscle with at least this weight in some exercise is not lost.</summary>
    private const double StillWorked = 0.5;

    private static IEnumerable<Finding> OneLimb(ReviewedWeek week)
    {
        TrainedLine[] gym = [.. week.Gym.Where(l => l.Exercise.Sides == Sides.OneAtATime)];
        if (gym.Length > 0 && week.Home.All(l => l.Exercise.Sides == Sides.Together))
        {
            yield return new Finding(
                FindingKind.OneLimbLost, Severity.Note, "Nothing is done one limb at a time any more.",
                "One limb at a time keeps the sides even.", Numbers(gym), week.Taking(Numbers(gym), e => e.Sides == Sides.OneAtATime));
        }
    }

    private static IEnumerable<Finding> Grips(ReviewedWeek week) =>
        from lost in week.Gym.Where(IsPull).Select(l => l.Exercise.Grip).Where(g => g != Grip.None).Distinct()
            .Except(week.Home.Where(IsPull).Select(l => l.Exercise.Grip))
        where week.Home.Any(IsPull)
        let lines = Numbers(week.Gym.Where(l => IsPull(l) && l.Exercise.Grip == lost))
        select new Finding(
            FindingKind.GripLost, Severity.Note, $"No pull with a {PlainWords.Of(lost)} grip is left.",
            "Grips share the work of back and arm differently.", lines,
            week.Taking(lines, e => e.Grip == lost && e.Pattern is Pattern.HorizontalPull or Pattern.VerticalPull));

    private static bool IsPull(TrainedLine line) => line.Exercise.Pattern is Pattern.HorizontalPull or Pattern.VerticalPull;

    private static bool IsFor(TrainedLine line, MuscleGroup group) => CountsFor(line.Exercise, group);

    internal static bool CountsFor(Exercise exercise, MuscleGroup group) =>
        MuscleGroups.CountsOf(exercise.Muscles).GetValueOrDefault(group) >= MuscleGroups.PrimeMover;

    internal static ImmutableArray<int> Numbers(IEnumerable<TrainedLine> lines) => [.. lines.Select(l => l.Number).Distinct().Order()];

    private static string In(HardestRange range) => range switch
    {
        HardestRange.Long => "long",
        HardestRange.Short => "short",
        _ => "in the middle",
    };

    internal static string Verb(MuscleGroup group) =>
        PlainWords.Of(group).EndsWith('s') && group != MuscleGroup.Biceps && group != MuscleGroup.Triceps ? "are" : "is";

    /// <summary>"chest upper" as a coach says it: "upper chest".</summary>
    private static string Part(Muscle muscle)
    {
        string[] words = PlainWords.Of(muscle).Split(' ');
        return words is [var what, "upper" or "middle" or "lower"] ? $"{words[1]} {what}" : string.Join(' ', words);
    }
}
