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

    private SetRun(TrainedSet[] sets, ImmutableArray<PartnerDone>[] between, PartnerDone? before) => (Sets, _between, BeforeFirst) = (sets, between, before);

    internal TrainedSet[] Sets { get; }

    internal int Count => Sets.Length;

    internal TrainedSet this[int set] => Sets[set];

    /// <summary>
    /// Of the lines it is done back to back with, before its own first set, the last of them; <see cref="PartnerDone.After"/> is then the rest from
    /// its end to the first set. Null where its turn came first.
    /// </summary>
    internal PartnerDone? BeforeFirst { get; }

    /// <summary>After the set and before the next, in order.</summary>
    internal ImmutableArray<PartnerDone> Between(int set) => _between[set];

    /// <summary>Repetitions that were possible at least, where a later set refutes what was said of this one (<see cref="Progression.Refuted"/>).</summary>
    internal int? RefutedBy(int set) => Refuted.By(Sets[set].Set, Sets.Where(s => s.As.Style == Sets[set].As.Style).Select(s => s.Set));

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
        ImmutableArray<PartnerDone>[] between = [.. sets.Select((set, i) => i + 1 < sets.Length ? Between(set, sets[i + 1], others) : [])];
        return new(sets, between, BeforeTheFirst(sets[0], between.SelectMany(b => b).Select(p => p.Set.Set.Line).ToHashSet(), others));
    }

    private static PartnerDone? BeforeTheFirst(TrainedSet first, HashSet<int> partners, (TrainedSet Set, double Overlap)[] others)
    {
        if (first.Set.At is not { } ended)
        {
            return null;
        }

        var begun = ended - TimeSpan.FromSeconds((first.As.Style.Lasts * first.Set.Repetitions).Seconds);
        var (set, overlap) = others.Where(o => partners.Contains(o.Set.Set.Line) && o.Set.Set.At < begun).OrderByDescending(o => o.Set.Set.At).FirstOrDefault();
        return set is null ? null : new(set, overlap, Duration.FromSeconds((begun - set.Set.At!.Value).TotalSeconds));
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
