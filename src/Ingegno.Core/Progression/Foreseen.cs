using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>
/// What the next session of a line is forecast to allow, set by set, with what was learned so far. The range holds all that is not known: the
/// maximum, how long this client lasts and how soon they recover, the form of the day, and how far their sets lie from their forecasts.
/// </summary>
public static class Foreseen
{
    /// <summary>A small step of a logarithm, to see how the forecast bends.</summary>
    private const double Nudge = 0.01;

    /// <summary>Whether every set is forecast to reach its count with so many left over; false where nothing is forecast.</summary>
    public static bool Leaves(
        double reserve, Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, ImmutableArray<PartnerSet> partners = default)
    {
        var sets = Middle(line, exercise, client, anchor, partners);
        return !sets.IsEmpty && sets.Zip(line.Counts, (set, count) => set.ToFailure >= count + reserve).All(reached => reached);
    }

    /// <param name="partners">Done back to back with it (<see cref="Company"/>); none for a line that stands alone.</param>
    /// <returns>Repetitions to failure of each set with their 80 percent range; empty where nothing is forecast.</returns>
    public static ImmutableArray<RepetitionRange> Of(
        Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, ImmutableArray<PartnerSet> partners = default)
    {
        var middle = Middle(line, exercise, client, anchor, partners);
        if (anchor is null || middle.IsEmpty)
        {
            return [];
        }

        double[] shared = partners.IsDefaultOrEmpty ? new double[middle.Length] : Bend(
            Middle(line, exercise, client, anchor, [.. partners.Select(p => p with { Drain = p.Drain * Math.Exp(Nudge) })]),
            Middle(line, exercise, client, anchor, [.. partners.Select(p => p with { Drain = p.Drain * Math.Exp(-Nudge) })]));
        return
        [
            .. BendsOf(line, exercise, client, anchor, partners).Select((bend, i) => SetError.Range(
                middle[i].ToFailure, bend.Variance(anchor) + Math.Pow(shared[i] * Company.DrainSpread, 2), bend.Maximum * Belief.DayForm, client.Learned.Unsteadiness)),
        ];
    }

    /// <summary>How the logarithm of a set's repetitions bends with what is not known: they are known to so many percent rather than to so many.</summary>
    private readonly record struct Bends(double Maximum, double Endurance, double Recovery, double Steepness)
    {
        internal double Variance(StrengthAnchor anchor) => anchor.Doubt.Variance(Maximum, Endurance, Recovery, Steepness, anchor.Spread);
    }

    /// <returns>One entry a set; empty where nothing is forecast.</returns>
    private static ImmutableArray<Bends> BendsOf(
        Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, ImmutableArray<PartnerSet> partners)
    {
        if (anchor is null)
        {
            return [];
        }

        double[] maximum = Along((m, by) => m.Stronger(by, exercise, client));
        double[] endurance = Along((m, by) => m with { Endurance = m.Endurance * by });
        double[] recovery = Along((m, by) => m with { Recovery = m.Recovery * by });
        double[] steepness = Along((m, by) => m with { Steepness = m.Steepness + Math.Log(by) });
        return [.. maximum.Select((bend, i) => new Bends(bend, endurance[i], recovery[i], steepness[i]))];

        double[] Along(Func<StrengthAnchor, double, StrengthAnchor> moved) => Bend(
            Middle(line, exercise, client, moved(anchor, Math.Exp(Nudge)), partners), Middle(line, exercise, client, moved(anchor, Math.Exp(-Nudge)), partners));
    }

    /// <summary>
    /// How far the last set of a line may lie from its forecast for want of knowledge of the body alone, as a part of it, four of five times: what a
    /// set to the limit would tell. 0 where nothing is forecast.
    /// </summary>
    internal static double Unknown(Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor)
    {
        var bends = BendsOf(line, exercise, client, anchor, []);
        return bends is not [.., var last] ? 0 : StrengthAnchor.EightyPercent * Math.Sqrt(Math.Max(0, last.Variance(anchor!)));
    }

    private static double[] Bend(ImmutableArray<ForecastSet> up, ImmutableArray<ForecastSet> down) =>
        [.. up.Zip(down, (more, less) => Math.Log(Math.Max(SetError.Fewest, more.ToFailure) / Math.Max(SetError.Fewest, less.ToFailure)) / (2 * Nudge))];

    private static ImmutableArray<ForecastSet> Middle(
        Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, ImmutableArray<PartnerSet> partners) =>
        anchor is null || !exercise.IsForecast || !line.Count.IsRepetitions()
            ? []
            : (new SetPlan(line.Counts, line.Load, line.Style, line.Rest, partners.IsDefault ? [] : partners) { Form = line.Form }).Forecast(new ExerciseEffort(exercise, client, anchor, line.Geometry));
}
