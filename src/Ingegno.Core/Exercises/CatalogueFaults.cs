using System.Collections.Immutable;

namespace Ingegno.Core.Exercises;

/// <summary>Contradictions within catalogue data, each a sentence that names the exercise.</summary>
public static class CatalogueFaults
{
    public static ImmutableArray<string> Of(ImmutableArray<Exercise> exercises) =>
        [.. Twice(exercises.Select(e => e.Id), "id"),
            .. Twice(exercises.SelectMany(NameMatch.KeysOf), "name"),
            .. exercises.SelectMany(OfOne),
            .. Links(exercises),
            .. LadderCircles(exercises)];

    private static IEnumerable<string> Twice(IEnumerable<string> values, string what) =>
        values.GroupBy(v => v).Where(g => g.Count() > 1).Select(g => $"The {what} \"{g.Key}\" is used twice.");

    private static IEnumerable<string> OfOne(Exercise e)
    {
        if (e.NeedsLoad && e.Holds.IsEmpty && e.Band is null && e.Setting != Setting.Gym)
        {
            yield return $"{e.Id}: needs a load but says no way to hold one.";
        }

        if (e.SetUp.IsEmpty || e.Cues.Length < 3)
        {
            yield return $"{e.Id}: set-up steps and three cues are missing.";
        }

        if (e.Skill is < 1 or > 4 || e.Steadiness is < 1 or > 4 || e.Joints.Any(j => j.Level is < 1 or > 3))
        {
            yield return $"{e.Id}: skill and steadiness go from 1 to 4, joint stress from 1 to 3.";
        }

        if (e.Load.LoadCounts is not (> 0 and <= 1) || e.Strength is { Ratio: <= 0 })
        {
            yield return $"{e.Id}: load share and strength ratio must be above 0.";
        }

        if (e.Fixtures.Any(f => f.LowestOfStature > f.HighestOfStature || f.Kinds.IsEmpty || f.Count < 1))
        {
            yield return $"{e.Id}: a fixture need must name kinds and a height range.";
        }
    }

    private static IEnumerable<string> Links(ImmutableArray<Exercise> exercises)
    {
        var byId = exercises.DistinctBy(e => e.Id).ToDictionary(e => e.Id);
        foreach (var e in exercises)
        {
            if (e.Strength is { } link && !byId.ContainsKey(link.Reference))
            {
                yield return $"{e.Id}: its strength follows \"{link.Reference}\", which is not in the catalogue.";
            }

            var seen = new HashSet<string>();
            for (var at = e; at?.Strength is { } next; at = byId.GetValueOrDefault(next.Reference))
            {
                if (!seen.Add(at.Id))
                {
                    yield return $"{e.Id}: its strength links run in a circle.";
                    break;
                }
            }
        }
    }

    /// <summary>Going from harder to harder must end.</summary>
    private static IEnumerable<string> LadderCircles(ImmutableArray<Exercise> exercises)
    {
        var byId = exercises.DistinctBy(e => e.Id).ToDictionary(e => e.Id);
        var done = new HashSet<string>();
        var under = new HashSet<string>();
        return exercises.SelectMany(Walk);

        IEnumerable<string> Walk(Exercise e)
        {
            if (under.Contains(e.Id))
            {
                return [$"{e.Id}: its ladder of harder exercises runs in a circle."];
            }

            if (!done.Add(e.Id))
            {
                return [];
            }

            under.Add(e.Id);
            string[] found = [.. e.Harder.Where(h => byId.ContainsKey(h.Exercise)).SelectMany(h => Walk(byId[h.Exercise]))];
            under.Remove(e.Id);
            return found;
        }
    }
}
