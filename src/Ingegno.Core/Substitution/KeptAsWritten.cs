using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>
/// What needs nothing stays: the rungs with which a written line goes across as it is. Own weight written is own weight done, a written load
/// is met within a twentieth, and where none was written the load moves so that the count may stay.
/// </summary>
internal static class KeptAsWritten
{
    /// <summary>A load this near the written one is that load.</summary>
    internal const double NearLoad = 0.05;

    /// <summary>Repetitions more or fewer than meant that may be left where the load was left open.</summary>
    private const double FewerLeft = 1, MoreLeft = 2;

    /// <summary>The rung to do it with on one set-up; null where it has none.</summary>
    /// <param name="least">Repetitions every set must leave where the load is ours to choose.</param>
    internal static Rung? RungOf(WrittenLine line, Exercise exercise, Intent intent, ExerciseEffort effort, SetUp setUp, double least)
    {
        bool ownWeight = intent.Load == Mass.Zero;
        if (ownWeight)
        {
            return setUp.Implement is null ? LoadLadder.BodyOnly.Rungs[0] : null;
        }

        if (line.Intensity is { Load: not null } or { Percent: not null })
        {
            // Weights and bands that only together come near it are not the written load.
            var plain = setUp.Implement is { Hold: Hold.Band } ? setUp.Ladder : new LoadLadder([.. setUp.Ladder.Rungs.Where(r => r.Pull is null)]);
            var nearest = RungChoice.Nearest(plain, intent.Load);
            return nearest is not null && IsNear(nearest.Load, intent.Load) ? nearest : null;
        }

        var possible = setUp.Ladder.Rungs
            .Where(r => r.Load > Mass.Zero && effort.DemandOf(r.Load) is var demand && demand >= RepetitionCost.LeastDemand && demand <= effort.MostDemand);
        if (intent.Cap is not null)
        {
            // Meant to be easy: the lightest there is.
            return possible.FirstOrDefault();
        }

        double wanted = Math.Max(least, intent.Reserve);
        var leaving = possible
            .Select(r => (Rung: r, Left: Plan(intent, r).Forecast(effort)[^1].Reserve))
            .Where(r => r.Left >= Math.Max(least, wanted - FewerLeft))
            .ToArray();
        if ((exercise.Band is not null || exercise.IsBallistic) && leaving.Length > 0 && leaving.All(r => r.Left > wanted + MoreLeft))
        {
            // The client's own band or bell is what was meant: the heaviest of it, and that it is too easy is said. What is swung is not done for as many as go.
            return leaving.MinBy(r => r.Left).Rung;
        }

        return leaving
            .Where(r => r.Left <= wanted + MoreLeft)
            .OrderBy(r => Math.Abs(r.Left - wanted)).ThenBy(r => r.Rung.Recipe.PieceCount)
            .Select(r => r.Rung)
            .FirstOrDefault();
    }

    /// <summary>Whether enough of the lowest count can be done, rested and at the plain tempo: a slower one is taken as it comes.</summary>
    internal static bool CanDo(Intent intent, Rung rung, ExerciseEffort effort)
    {
        var demand = effort.DemandOf(rung.Load);
        return demand <= effort.MostDemand
            && effort.FreshRepetitions(demand) >= RepetitionZone.EnoughOfTheCount * intent.Repetitions.Min();
    }

    private static SetPlan Plan(Intent intent, Rung rung) => new(intent.Repetitions, rung.Load, intent.Tempo, intent.Rest, intent.Partners);

    internal static bool IsNear(Mass load, Mass written) => Math.Abs(load.Kilograms - written.Kilograms) <= NearLoad * written.Kilograms;
}
