using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>The step from one rung of load to the next: how big it is, and what earns it.</summary>
public static class LoadStep
{
    /// <summary>A step of load is at most this much of what the muscles meet (ACSM 2009, Med Sci Sports Exerc 41:687-708; from memory).</summary>
    public const double Largest = 0.10;

    /// <summary>Repetitions over the target that earn a step when done in so many sessions running (2-for-2, Haff and Triplett; from memory).</summary>
    public const int OverTarget = 2, SessionsRunning = 2;

    /// <summary>How much more the muscles meet, body share counted: 0.1 is a tenth.</summary>
    public static double Jump(Prescription line, Exercise exercise, Rung next, ClientProfile client, StrengthAnchor anchor)
    {
        var effort = new ExerciseEffort(exercise, client, anchor, line.Geometry);
        double now = Met(line.Load);
        return (Met(next.Load) - now) / now;

        double Met(Mass load) => Resistance.Of(exercise.Load, load, effort.BodyMoved, client.BodyMass).Kilograms;
    }

    /// <summary>
    /// Repetitions in every set of this rung after which the next may be taken: two over the target where the jump is a step, else as many as
    /// forecast the target there, and never fewer. Null where no number of repetitions under the cap does.
    /// </summary>
    public static int? Earning(
        Prescription line, Exercise exercise, Rung next, ClientProfile client, StrengthAnchor anchor, HouseRules rules)
    {
        int over = line.Counts.Max() + OverTarget;
        return Jump(line, exercise, next, client, anchor) > Largest
            ? EarningCount(line, exercise, next, client, anchor, rules) is { } earning ? Math.Max(over, earning) : null
            : over;
    }

    /// <summary>
    /// Repetitions on this rung that forecast the planned count on the next, with the same left over: the maximum at
    /// which the next rung allows the planned count, read back at this rung. Depends on the curve's shape, not on
    /// where the estimate stands today.
    /// </summary>
    /// <returns>Null where more than the cap of the house rules would be needed: the rung is out of reach by repetitions.</returns>
    public static int? EarningCount(
        Prescription line, Exercise exercise, Rung next, ClientProfile client, StrengthAnchor anchor, HouseRules rules)
    {
        double reserve = line.Reserve ?? rules.Reserve;
        var effort = new ExerciseEffort(exercise, client, anchor, line.Geometry);
        double met = Resistance.Of(exercise.Load, next.Load, effort.BodyMoved, client.BodyMass).Kilograms;
        double least = Crossing.Of(greatest => At(greatest, next.Load, line.Counts)[^1].Reserve - reserve, met / 2, met * 50);
        int count = line.Counts.Max();
        while (At(least, line.Load, [.. line.Counts.Select(_ => count + 1)])[^1].Reserve >= reserve)
        {
            if (++count > rules.RepetitionCap)
            {
                return null;
            }
        }

        return count;

        ImmutableArray<ForecastSet> At(double greatest, Mass load, ImmutableArray<int> counts)
        {
            var body = anchor.IsTotal ? Mass.Zero : effort.BodyMoved * client.BodyMass;
            var stronger = new ExerciseEffort(exercise, client, anchor.At(Mass.FromKilograms(greatest) - body), line.Geometry);
            return new SetPlan(counts, load, line.Style, line.Rest, []) { Form = line.Form }.Forecast(stronger);
        }
    }
}
