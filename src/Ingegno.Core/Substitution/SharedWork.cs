using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>
/// What the lines of a superset take from each other. A set of one drains the budget of another by its own drain times the overlap
/// of their muscles; the time it takes is rest for the other.
/// </summary>
internal static class SharedWork
{
    /// <summary>Less than this of a budget is not worth working a line out again.</summary>
    private const double WorthCounting = 0.02;

    /// <summary>One set of a line, as its partners meet it.</summary>
    /// <param name="Drain">Of its own budget, 0 to 1; 0 where it is not computed.</param>
    internal sealed record Worked(int Line, Exercise Exercise, Duration Lasts, Duration RestAfter, double Drain);

    /// <summary>A set in the gym: the first of the line as written.</summary>
    internal static Worked InTheGym(WrittenLine line, Exercise exercise, Intent? intent)
    {
        var rest = line.Rest ?? HouseRules.UsualRest(line.Sets[0].Middle);
        return intent is null
            ? new(line.Number, exercise, Supersets.PartnerLasts, rest, 0)
            : new(line.Number, exercise, Lasts(exercise, Duration.FromSeconds(intent.Tempo.Seconds), intent.Repetitions[0]), rest,
                intent.Repetitions[0] / Math.Max(1, intent.Repetitions[0] + intent.Reserves[0]));
    }

    /// <summary>A set at home, as rebuilt.</summary>
    internal static Worked AtHome(int line, Exercise exercise, Alternative chosen) =>
        OneSet(line, exercise, chosen.Prescription, chosen.Forecast.IsEmpty ? null : chosen.Forecast[0].ToFailure);

    /// <summary>A set of a plan in force, as it is foreseen.</summary>
    internal static Worked InForce(int line, Exercise exercise, Prescription given, ImmutableArray<RepetitionRange> foreseen) =>
        OneSet(line, exercise, given, foreseen.IsEmpty ? null : foreseen[0].Middle);

    private static Worked OneSet(int line, Exercise exercise, Prescription given, double? toFailure) => toFailure is not { } possible
        ? new(line, exercise, Supersets.PartnerLasts, given.Rest, 0)
        : new(line, exercise, Lasts(exercise, given.Style.Lasts, given.Counts[0]), given.Rest, Math.Min(1, given.Counts[0] / Math.Max(1, possible)));

    /// <summary>The partners of a line, in the order of the round.</summary>
    internal static ImmutableArray<PartnerSet> For(int line, Exercise exercise, IEnumerable<Worked> group) =>
        [.. group.Where(w => w.Line != line).OrderBy(w => w.Line).Select(w => new PartnerSet(
            w.Lasts, w.RestAfter, w.Drain * exercise.Muscles.OverlapWith(w.Exercise.Muscles).Fraction, w.Line < line))];

    internal static bool IsWorthCounting(ImmutableArray<PartnerSet> partners) => partners.Sum(p => p.Drain) >= WorthCounting;

    private static Duration Lasts(Exercise exercise, Duration repetition, int count) =>
        exercise.Sides == Sides.OneAtATime ? (repetition * (2 * count)) + SetPlan.SideSwitch : repetition * count;
}
