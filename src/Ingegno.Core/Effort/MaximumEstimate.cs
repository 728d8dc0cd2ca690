using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// The maximum at which the forecast of a set equals what was done: repetitions plus reserve, with its tempo and
/// its exercise's own curve. The exact inverse of the forecast.
/// </summary>
public static class MaximumEstimate
{
    /// <summary>Spread (SD of the logarithm) of a tested single, a set of 2 to 10, and a longer set (common practice).</summary>
    private const double SingleSpread = 0.025, SetSpread = 0.05, LongSetSpread = 0.12;

    /// <param name="geometry">As the set was done.</param>
    /// <param name="style">As the set was done.</param>
    /// <param name="budgetLeft">What earlier sets had left of the budget, 1 when rested.</param>
    /// <returns>The estimate, external or total as the exercise's strength link says.</returns>
    public static StrengthAnchor FromSet(
        Exercise exercise, ClientProfile client, KnownLift set, Geometry geometry, RepetitionStyle style, double budgetLeft = 1)
    {
        double target = set.Repetitions + set.Reserve;
        bool total = exercise.IsInTotal;
        var bodyMoved = Resistance.BodyMoved(exercise.Load, client, geometry);
        var met = Resistance.Of(exercise.Load, set.Load, bodyMoved, client.BodyMass);
        var unknown = new StrengthAnchor(exercise.Id, Mass.Zero, total, SpreadOf(target), AnchorBasis.Lifted, Story(exercise, set)).Of(client.Learned);

        // The greatest resistance lies between half of what was met (no set over the maximum is logged as done)
        // and fifty times it (past the lightest demand computed); the forecast rises with it all the way.
        return unknown.At(AsAnchor(Crossing.Of(greatest => ToFailure(greatest) - target, met.Kilograms / 2, met.Kilograms * 50)));

        Mass AsAnchor(double greatest) =>
            Mass.FromKilograms(greatest) - (total ? Mass.Zero : bodyMoved * client.BodyMass);

        double ToFailure(double greatest)
        {
            var effort = new ExerciseEffort(exercise, client, unknown.At(AsAnchor(greatest)), geometry);
            return budgetLeft / effort.CostOfRepetition(effort.DemandOf(set.Load), style);
        }
    }

    private static double SpreadOf(double repetitions) =>
        repetitions < 1.5 ? SingleSpread : repetitions <= 10 ? SetSpread : LongSetSpread;

    private static string Story(Exercise exercise, KnownLift set)
    {
        string load = set.Load > Mass.Zero ? $" with {set.Load}" : "";
        string reserve = set.Reserve > 0 ? $" and {set.Reserve:0.#} left" : " to failure";
        return $"{exercise.Name}: {set.Repetitions}{load}{reserve}";
    }
}
