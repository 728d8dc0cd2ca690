using System.Collections.Immutable;

namespace Ingegno.Core.Progression;

/// <summary>An exercise whose sets keep falling outside the range that was shown for them.</summary>
/// <param name="Outside">Of the last sets that tell, so many.</param>
/// <param name="Above">Of those outside, more was done than foreseen.</param>
public sealed record ForecastMiss(string Exercise, int Outside, int Above)
{
    /// <summary>Looked at an exercise's last sets, and how many of them outside are no chance: one in five is to be expected.</summary>
    public const int LastSets = 9;

    private const int Enough = 6;

    /// <param name="sets">In order; sets that only say "at least so many" tell nothing here.</param>
    internal static ImmutableArray<ForecastMiss> Of(IEnumerable<TrainedSet> sets, IReadOnlyDictionary<Guid, SetHindsight> hindsight) =>
    [
        .. from exercise in sets.Where(s => s.Set is { EndedByMuscle: true } && (s.Set.ToLimit || s.Set.Reserve is { IsOpen: false })).GroupBy(s => s.Set.Exercise)
           let last = exercise.TakeLast(LastSets).Select(s => hindsight[s.Set.Id]).ToArray()
           let above = last.Count(h => h.Observed > h.ToFailure.High)
           let below = last.Count(h => h.Observed < h.ToFailure.Low)
           where above + below >= Enough
           select new ForecastMiss(exercise.Key, above + below, above),
    ];
}
