using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>A set of another line, done while this one rested.</summary>
/// <param name="Overlap">Of the muscles of both, 0 to 1: so much of its drain is felt here.</param>
/// <param name="After">From the end of the set before it to its own end.</param>
internal sealed record PartnerDone(TrainedSet Set, double Overlap, Duration After);

/// <summary>
/// The sets of one line on one day, with what was done between them. The phone's clock tells: without one, or where a set was corrected since,
/// nothing was.
/// </summary>
internal sealed class SetRun
{
    /// <summary>Fewer muscles in common than this are not worth counting.</summary>
    private const double LeastOverlap = 0.05;

    private readonly ImmutableArray<PartnerDone>[] _between;

    private SetRun(TrainedSet[] sets, ImmutableArray<PartnerDone>[] between) => (Sets, _between) = (sets, between);

    internal TrainedSet[] Sets { get; }

    internal int Count => Sets.Length;

    internal TrainedSet this[int set] => Sets[set];

    /// <summary>After the set and before the next, in order.</summary>
    internal ImmutableArray<PartnerDone> Between(int set) => _between[set];

    /// <param name="day">All sets of the day, this line's among them.</param>
    internal static SetRun Of(TrainedSet[] sets, IEnumerable<TrainedSet> day, Catalogue catalogue)
    {
        var muscles = catalogue[sets[0].Set.Exercise].Muscles;
        (TrainedSet Set, double Overlap)[] others = sets.Length < 2 || sets.All(s => s.Set.At is null) ? [] :
        [
            .. from other in day
               where other.Set.At is not null && other.Set.Line != sets[0].Set.Line
               let overlap = muscles.OverlapWith(catalogue[other.Set.Exercise].Muscles).Fraction
               where overlap >= LeastOverlap
               select (other, overlap),
        ];
        return new(sets, [.. sets.Select((set, i) => i + 1 < sets.Length ? Between(set, sets[i + 1], others) : [])]);
    }

    private static ImmutableArray<PartnerDone> Between(TrainedSet set, TrainedSet next, (TrainedSet Set, double Overlap)[] others) =>
        set.Set.At is not { } ended || next.Set.At is not { } nextEnded ? [] :
        [
            .. from other in others
               let at = other.Set.Set.At!.Value
               where at > ended && at < nextEnded
               orderby at
               select new PartnerDone(other.Set, other.Overlap, Duration.FromSeconds((at - ended).TotalSeconds)),
        ];
}
