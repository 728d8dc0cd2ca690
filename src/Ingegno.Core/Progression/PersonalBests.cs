using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>The best of one exercise, in the unit that is right for it.</summary>
/// <param name="InWords">"14 at 24 kg", "9 with the hands at 42 cm", "6 with 12 kg taken off", "55 s".</param>
public sealed record PersonalBest(string Exercise, string Name, DateOnly On, string InWords);

/// <summary>
/// Finds them: repetitions count at a fixed load; on a lower surface or with less help a best is one however many repetitions it had; holds
/// count in seconds.
/// </summary>
public static class PersonalBests
{
    private const int FewestRepetitions = 3;

    /// <returns>One an exercise, newest first; exercises done once only have none.</returns>
    public static ImmutableArray<PersonalBest> Of(IEnumerable<TrainedSet> log, Catalogue catalogue) =>
    [
        .. log.Where(s => s.Set.Repetitions > 0 && s.Set.EndedByMuscle && s.Set.Pain == 0 && !s.IsUnitSlip)
            .GroupBy(s => s.Set.Exercise)
            .Where(g => g.Select(s => s.Set.On).Distinct().Count() > 1 && catalogue.Find(g.Key) is not null)
            .Select(g => Best(g.ToArray(), catalogue[g.Key]))
            .OrderByDescending(b => b.On).ThenBy(b => b.Name, StringComparer.Ordinal),
    ];

    private static PersonalBest Best(TrainedSet[] sets, Exercise exercise)
    {
        if (exercise.Counted == Exercises.Counted.Seconds)
        {
            return Told(sets.MaxBy(s => s.Set.Repetitions)!, s => $"{s.Set.Repetitions} s");
        }

        TrainedSet[] whole = [.. sets.Where(s => s.Set.Repetitions >= FewestRepetitions)];
        whole = whole.Length > 0 ? whole : sets;
        if (exercise.IsAssisted)
        {
            var least = whole.MaxBy(s => (s.Set.Load.Kilograms, s.Set.Repetitions))!;
            return Told(least, s => s.Set.Load < Mass.Zero ? $"{s.Set.Repetitions} with {s.Set.Load * -1} taken off" : $"{s.Set.Repetitions} without help");
        }

        if (whole.Any(s => s.As.Geometry.Hands is not null || s.As.Geometry.Grip is not null) && whole.All(s => s.Set.Load == Mass.Zero))
        {
            var lowest = whole.OrderBy(s => HeightOf(s.As.Geometry).Metres).ThenByDescending(s => s.Set.Repetitions).First();
            return Told(lowest, s => $"{s.Set.Repetitions} with the {(s.As.Geometry.Grip is null ? "hands" : "grip")} at {HeightOf(s.As.Geometry)}");
        }

        var heaviest = whole.MaxBy(s => (s.Set.Load.Kilograms, s.Set.Repetitions))!;
        return Told(heaviest, s => s.Set.Load > Mass.Zero ? $"{s.Set.Repetitions} at {s.Set.Load}" : $"{s.Set.Repetitions}");

        PersonalBest Told(TrainedSet set, Func<TrainedSet, string> words) => new(exercise.Id, exercise.Name, set.Set.On, words(set));
    }

    private static Length HeightOf(Loads.Geometry geometry) => geometry.Hands ?? geometry.Grip ?? Length.Zero;
}
