using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>Works out the seven parts for one candidate against one written exercise.</summary>
internal static class FitParts
{
    private const double OtherLine = 0.6, OtherPattern = 0.3, OtherKind = 0.3;
    private const double OneLimbForTwo = 0.75, TwoLimbsForOne = 0.6;
    private const double NextRange = 0.7, FarRange = 0.4, HalfTheMovement = 0.5;
    private const double PerSkillStep = 0.85;

    /// <summary>Of two exercises only one can be forecast: how much of the work is reached shows in the log alone.</summary>
    private const double UnknownDose = 0.25;

    /// <param name="dose">Null where no load is modelled on either side: nothing to fall short of.</param>
    internal static double[] Of(Exercise written, Exercise candidate, Intent? intent, Dose? dose, Level level) =>
        With(written, candidate, level, dose is not null
            ? DosePart(intent!, dose.Feasible.Fraction, dose.Effective, dose.Equivalent)
            : written.IsForecast == candidate.IsForecast ? 1 : UnknownDose);

    /// <summary>The parts at the most a dose could reach: none searched for comes to more.</summary>
    internal static double[] AtMost(Exercise written, Exercise candidate, Intent intent, DoseBound bound, Level level) =>
        With(written, candidate, level, DosePart(intent, 1, bound.Effective, bound.Equivalent));

    private static double[] With(Exercise written, Exercise candidate, Level level, double dose) =>
    [
        written.Muscles.OverlapWith(candidate.Muscles).Fraction,
        Direction(written, candidate),
        written.Kind == candidate.Kind && written.IsBallistic == candidate.IsBallistic ? 1 : OtherKind,
        dose,
        written is { IsSlot: true, Sides: Exercises.Sides.Together } ? 1 : Sides(written.Sides, candidate.Sides),
        (written.IsSlot ? 1 : Range(written.Range, candidate.Range)) * (candidate.IsLoweringOnly && !written.IsLoweringOnly ? HalfTheMovement : 1),
        Skill(written, candidate, level),
    ];

    private static double Direction(Exercise written, Exercise candidate) =>
        written.Pattern != candidate.Pattern ? OtherPattern
        : written.IsSlot || StandIn.LineOf(written) == StandIn.LineOf(candidate) ? 1
        : OtherLine;

    /// <summary>
    /// Repetitions feasible of those asked, times how much of the intent is reached in effective repetitions (one a
    /// set added on both sides, so that an easy line with hardly any does not turn on crumbs), times how near the
    /// demand comes. Strength (five or fewer) lives on the demand and takes the count by its root; size comes with
    /// light loads too and takes it the other way round.
    /// </summary>
    private static double DosePart(Intent intent, double feasible, double effective, Demand equivalent)
    {
        int sets = intent.Repetitions.Length;
        double reached = Math.Min(1, (effective + sets) / (intent.Effective + sets));
        double nearness = Math.Min(1, equivalent.Value / Math.Max(0.05, intent.Equivalent.Value));
        bool strength = intent.Repetitions.Max() <= 5;
        return feasible * (strength ? Math.Sqrt(reached) * nearness : reached * Math.Sqrt(nearness));
    }

    private static double Sides(Sides written, Sides candidate) =>
        written == candidate ? 1 : written == Exercises.Sides.Together ? OneLimbForTwo : TwoLimbsForOne;

    private static double Range(HardestRange written, HardestRange candidate) => Math.Abs((int)written - (int)candidate) switch
    {
        0 => 1,
        1 => NextRange,
        _ => FarRange,
    };

    /// <summary>Each step of skill and balance over the written exercise and over what the level has in hand costs a little.</summary>
    private static double Skill(Exercise written, Exercise candidate, Level level)
    {
        int inHand = Gate.SkillAllowed(level) - 1;
        int over = Math.Max(0, candidate.Skill - Math.Max(written.Skill, inHand))
            + Math.Max(0, candidate.Steadiness - Math.Max(written.Steadiness, inHand));
        return Math.Pow(PerSkillStep, over);
    }
}
