using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>
/// The small steps between variations: the same exercise on the client's own surfaces, a little more of the body each time. Wall, galley top,
/// table, chair seat, step, floor, feet raised are one ladder, and the history on it does not break.
/// </summary>
public static class MicroSteps
{
    /// <summary>A step under this is none, of what the muscles meet.</summary>
    private const double LeastStep = 0.01;

    /// <summary>The next harder set-up of the same exercise here; null where there is none.</summary>
    public static Prescription? Above(Prescription line, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        if (line.Supports.IsEmpty && line.Geometry == new Geometry())
        {
            return null;
        }

        double now = Moved(line.Geometry);
        var next = SetUpSearch.For(exercise, client, home, rules.For(client)).SetUps
            .Where(s => line.Kit is null || (s.Implement is { } held && held.KitId == line.Kit && held.Hold == line.Hold && held.Ladder.At(line.Load) is not null))
            .Select(s => (SetUp: s, Moved: Moved(s.Geometry)))
            .Where(s => s.Moved > now * (1 + LeastStep))
            .OrderBy(s => s.Moved)
            .Select(s => s.SetUp)
            .FirstOrDefault();
        if (next is null)
        {
            return null;
        }

        var placed = Prescribing.On(line, next);
        return placed with { Name = $"{exercise.Name}, {Where(placed)}" };

        double Moved(Geometry geometry) => Resistance.BodyMoved(exercise.Load, client, geometry).Fraction;
    }

    /// <summary>"hands: berth, 44 cm"; on the floor nothing is placed. How a height is met stands with the placement.</summary>
    private static string Where(Prescription placed) =>
        placed.Placement.IsEmpty ? "on the floor" : string.Join(", ", placed.Placement.Select(p => char.ToLowerInvariant(p[0]) + p[1..].Split(" (")[0]));
}
