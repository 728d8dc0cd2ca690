using Ingegno.Core.Dosing;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Programmes;

/// <summary>What the lines of one letter mean for each other's rest.</summary>
public static class Supersets
{
    /// <summary>A partner's set takes about this long (common practice).</summary>
    private static readonly Duration PartnerSet = Duration.FromSeconds(40);

    /// <summary>
    /// Time between two sets of a line that is not its own rest: the sets of its partners and the rests behind them.
    /// Zero for a line that stands alone.
    /// </summary>
    public static Duration PartnerTime(WrittenLine line, WrittenSession session) =>
        line.Group is null
            ? Duration.Zero
            : session.Lines
                .Where(other => other.Group == line.Group && other.Number != line.Number)
                .Aggregate(Duration.Zero, (sum, other) => sum + PartnerSet + (other.Rest ?? HouseRules.UsualRest(other.Sets[0].Middle)));
}
