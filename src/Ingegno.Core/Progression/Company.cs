using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Progression;

/// <summary>What the lines of a superset, as they are in force, take from each other.</summary>
public static class Company
{
    /// <summary>What a partner takes is known to so much of itself: muscles are shared by tables, not by measure (common practice).</summary>
    internal const double DrainSpread = 0.5;

    /// <param name="place">Of the line in the round, from 0.</param>
    /// <param name="round">All that is done back to back, in order; one line alone has no partners.</param>
    /// <returns>Its partners as it meets them; empty where it stands alone.</returns>
    public static ImmutableArray<PartnerSet> Of(int place, IReadOnlyList<Prescription> round, ClientProfile client, Catalogue catalogue, StrengthAnchors anchors) =>
        round.Count < 2 || catalogue.Find(round[place].Exercise) is not { } exercise ? [] :
        SharedWork.For(
            place, exercise,
            from i in Enumerable.Range(0, round.Count)
            where i != place
            let partner = catalogue.Find(round[i].Exercise)
            where partner is not null
            select SharedWork.InForce(i, partner, round[i], Foreseen.Of(round[i], partner, client, anchors.For(partner))));
}
