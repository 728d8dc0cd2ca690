using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>
/// How a saved line stands today: homes change, passes run out and joints get sore after a plan was saved.
/// </summary>
/// <param name="Against">Why it must not be trained as planned; empty when nothing stands against it.</param>
/// <param name="Implement">
/// What the line is loaded with, or for a line on body weight alone could be (the lightest first load), under what its
/// fixtures may carry; null where nothing can be added.
/// </param>
public sealed record PlannedSetUp(ImmutableArray<string> Against, HeldImplement? Implement)
{
    public static PlannedSetUp Of(
        Prescription line, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        rules = rules.For(client);
        var found = SetUpSearch.For(exercise, client, home, rules);
        SetUp[] standing = [.. found.SetUps.Where(s => s.Geometry.IsAsSetUp(line.Geometry))];
        var held = standing.Select(s => s.Implement).OfType<HeldImplement>();
        var implement = line.Kit is null
            ? held.MinBy(h => h.Ladder.Rungs[0].Load)
            : held.FirstOrDefault(h => h.KitId == line.Kit && h.Hold == line.Hold);
        var against = Gate.Against(exercise, client, home, rules, isTheCoachs: true).Select(r => r.Reason).ToList();
        if (standing.Length == 0)
        {
            against.AddRange(found.Refusals.Select(r => r.Reason).DefaultIfEmpty("what it was set up on is not here any more"));
        }
        else if (line.Load != Mass.Zero && implement?.Ladder.At(line.Load) is null)
        {
            against.Add($"{line.Load} cannot be built or borne here any more{Nearest(line, implement)}");
        }

        return new([.. against.Distinct()], implement);
    }

    /// <summary>A jug gets emptied, a can eaten: the next recipe is named at once.</summary>
    private static string Nearest(Prescription line, HeldImplement? implement) =>
        implement is not null && RungChoice.Nearest(implement.Ladder, line.Load) is { } rung
            ? $"; nearest now is {LoadWords.Of(rung, implement)}"
            : "";
}
