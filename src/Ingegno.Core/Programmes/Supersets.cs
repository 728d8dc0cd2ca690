using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Programmes;

/// <summary>What the lines of one letter mean for each other's rest.</summary>
public static class Supersets
{
    /// <summary>A partner's set takes about this long (common practice).</summary>
    internal static Duration PartnerLasts { get; } = Duration.FromSeconds(40);

    /// <summary>
    /// The partners' sets of every round, in order: their time alone, without what they drain through shared muscles.
    /// Empty for a line that stands alone.
    /// </summary>
    public static ImmutableArray<PartnerSet> Partners(WrittenLine line, WrittenSession session) =>
        line.Group is null
            ? []
            : [.. session.Lines
                .Where(other => other.Group == line.Group && other.Number != line.Number)
                .Select(other => new PartnerSet(
                    PartnerLasts, HouseRules.RestOf(other), 0, other.Number < line.Number))];
}
