using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>Finds what a saved line can be loaded with here today, under what its fixtures may carry.</summary>
public static class LineImplement
{
    /// <returns>
    /// The implement the line names; for a line on body weight alone, the one with the lightest first load; null when
    /// the set-up is gone or takes no load.
    /// </returns>
    public static HeldImplement? For(
        Prescription line, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        var held = SetUpSearch.For(exercise, client, home, rules).SetUps
            .Where(s => s.Geometry == line.Geometry && s.Implement is not null)
            .Select(s => s.Implement!);
        return line.Kit is null
            ? held.MinBy(h => h.Ladder.Rungs[0].Load)
            : held.FirstOrDefault(h => h.KitId == line.Kit && h.Hold == line.Hold);
    }
}
