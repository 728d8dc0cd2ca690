using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>
/// The easier variation a set is finished on: a test set that would end under its floor, or any line where the coach asks it. The
/// nearest easier neighbour of the ladder that has a set-up here.
/// </summary>
internal static class FinishChoice
{
    /// <param name="among">Candidates for the line among some exercises.</param>
    /// <param name="byHand">The coach asks it, however many repetitions are expected.</param>
    /// <returns>Null where none is wanted, or nothing easier is possible here.</returns>
    internal static Finish? For(
        Candidate chosen, WrittenLine line, Func<Func<Exercise, bool>, IEnumerable<Candidate>> among, Catalogue catalogue, ClientProfile client, HouseRules rules, bool byHand)
    {
        if (chosen is not { Dose: { } dose, Anchor: { } anchor } || !(byHand || IsShortTestSet(dose, line, rules)))
        {
            return null;
        }

        var demand = new ExerciseEffort(chosen.Exercise, client, anchor, chosen.SetUp.Geometry).DemandOf(dose.Rung.Load);
        var easier = catalogue.EasierThan(chosen.Exercise.Id).Select(e => e.Exercise).ToHashSet(StringComparer.Ordinal);
        return among(e => easier.Contains(e.Id))
            .Where(c => c.Dose is not null && c.Anchor is not null)
            .Select(c => (Candidate: c, Expected: Expected(c)))
            .Where(c => c.Expected >= 1)
            .OrderBy(c => c.Expected)
            .Select(c => new Finish(c.Candidate.Exercise.Id, c.Candidate.Exercise.Name, c.Expected))
            .FirstOrDefault();

        int Expected(Candidate candidate)
        {
            var effort = new ExerciseEffort(candidate.Exercise, client, candidate.Anchor!, candidate.SetUp.Geometry);
            var light = effort.DemandOf(candidate.SetUp.Ladder.Rungs[0].Load);
            return light < RepetitionCost.LeastDemand
                ? 0
                : (int)Math.Floor(BackOff.Repetitions(demand, light, effort.CostOfRepetition(light, RepetitionStyle.Plain)));
        }
    }

    /// <summary>As many as possible, and fewer than the floor expected in some set.</summary>
    private static bool IsShortTestSet(Dose dose, WrittenLine line, HouseRules rules) =>
        line.Sets.All(s => s.Kind == CountKind.AsManyAsPossible) && dose.Repetitions.Min() < Math.Max(rules.TestSetFloor, line.Sets[0].Low);
}
