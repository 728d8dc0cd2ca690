using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>A way to the load that is missing.</summary>
/// <param name="Exercise">Catalogue id of what reaches it; null for a purchase that lets more than one.</param>
/// <param name="Words">"Feet-raised push-up, 81 %".</param>
public sealed record WayToLoad(string? Exercise, string Words);

/// <summary>
/// A line whose load stays below what was asked and that no measure makes up: said, with what would reach it - leverage, one limb at
/// a time, or the smallest purchase. Each null where nothing of its kind does.
/// </summary>
public sealed record LoadGap(string Sentence, WayToLoad? Leverage, WayToLoad? OneLimb, WayToLoad? Purchase)
{
    /// <summary>A load this much lighter on the common scale still asks the same.</summary>
    private const double NearEnough = 0.05;

    /// <summary>From this demand down to what was asked nothing here reaches; null where the load is near enough or made up.</summary>
    /// <param name="purchase">The smallest thing that would reach a demand, asked only where the line is short.</param>
    internal static LoadGap? Of(
        Exercise written, Intent intent, Candidate chosen, Choice found, Func<Demand, string?> purchase)
    {
        var needed = Demand.Of(intent.Equivalent.Value - NearEnough);
        if (intent.Cap is not null || chosen.Dose is not { } dose || dose.Equivalent >= needed || !Matters(intent, dose))
        {
            return null;
        }

        Candidate[] reaching = [.. found.Candidates.Where(c =>
            c.Exercise.Id != chosen.Exercise.Id && c.Exercise.Pattern == written.Pattern && c.Dose is { } d && d.Equivalent >= needed)];
        string load = dose.Rung.Load > Mass.Zero ? $"{dose.Rung.Load}" : "Own weight";
        return new(
            $"{load} is {dose.Equivalent.InPercent} of what could be lifted, the gym asks {intent.Equivalent.InPercent}; repetitions and techniques {(dose.Bridge.Open >= 1 ? $"leave {dose.Bridge.Open:0} effective repetitions open" : "make up the effort, not the practice of heavy loads")}.",
            Way(reaching.FirstOrDefault(c => c.Exercise.Sides == chosen.Exercise.Sides)),
            chosen.Exercise.Sides == Sides.Together ? Way(reaching.FirstOrDefault(c => c.Exercise.Sides == Sides.OneAtATime)) : null,
            purchase(needed) is { } thing ? new(null, thing) : null);
    }

    /// <summary>Size comes with lighter loads too; strength does not, and under the floor neither does.</summary>
    private static bool Matters(Intent intent, Dose dose) =>
        dose.Bridge.Open >= 1 || dose.Equivalent < SetForecast.HalfCredit || intent.Repetitions.Max() <= GoalTable.Strength.MostRepetitions;

    private static WayToLoad? Way(Candidate? candidate) => candidate is null ? null
        : new(candidate.Exercise.Id, $"{candidate.Exercise.Name}, {candidate.Dose!.Equivalent.InPercent}");
}
