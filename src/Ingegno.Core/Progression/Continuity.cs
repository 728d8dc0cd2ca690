using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Progression;

/// <summary>The estimate of a family on a day, on the family's gym lift.</summary>
/// <param name="Low">Of the 80 percent range.</param>
/// <param name="AtHome">Trained with exercises made for the home; false for the gym's own.</param>
public sealed record ContinuityPoint(DateOnly On, Mass Maximum, Mass Low, Mass High, bool AtHome);

/// <summary>
/// One line a strength family through gym and home: the swaps change, the muscle's strength goes on. It follows the exercise logged first,
/// which what is done on the others moves as far as they share its strength; that a stand-in turns out better than its usual ratio is no gain.
/// </summary>
public sealed record Continuity(string Family, string Reference, ImmutableArray<ContinuityPoint> Points)
{
    /// <param name="anchors">Maxima before anything was logged, as the lesson started from.</param>
    /// <returns>Families with anything logged, in the order they are drawn elsewhere.</returns>
    public static ImmutableArray<Continuity> Of(Lesson lesson, StrengthAnchors anchors, Catalogue catalogue)
    {
        var byPattern = lesson.Points.ToLookup(p => catalogue[p.Exercise].Pattern);
        // What is done in both places belongs to where the rest of that day was done.
        var atHome = lesson.Points.Where(p => catalogue[p.Exercise].Setting == Setting.Home).Select(p => p.On).ToHashSet();
        return
        [
            .. from family in ReachFamily.All
               let reference = catalogue[family.Reference]
               let anchor = anchors.For(reference)
               where anchor is not null
               let days = family.Patterns.SelectMany(p => byPattern[p]).GroupBy(p => p.On).OrderBy(g => g.Key)
               where days.Any()
               select new Continuity(family.Name, reference.Name, [.. days.Select(day => Day(day.Key, day.Last().Family, anchor, atHome.Contains(day.Key)))]),
        ];
    }

    private static ContinuityPoint Day(DateOnly on, LearnedFactor family, StrengthAnchor anchor, bool atHome) => new(
        on, anchor.Maximum * family.Factor, anchor.Maximum * (family.Factor * Math.Exp(-StrengthAnchor.EightyPercent * family.Spread)),
        anchor.Maximum * (family.Factor * Math.Exp(StrengthAnchor.EightyPercent * family.Spread)), atHome);
}
