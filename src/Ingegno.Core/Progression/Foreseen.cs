using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
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
        double reserve, Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, ImmutableArray<PartnerSet> partners = default) =>
        anchor is not null && IsForecast(line, exercise)
        && Middle(PlanOf(line, partners), line.Geometry, exercise, client, anchor).Zip(line.Counts, (set, count) => set.ToFailure >= count + reserve).All(reached => reached);

    /// <param name="partners">Done back to back with it (<see cref="Company"/>); none for a line that stands alone.</param>
    /// <returns>Repetitions to failure of each set with their 80 percent range; empty where nothing is forecast.</returns>
    public static ImmutableArray<RepetitionRange> Of(
        Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, ImmutableArray<PartnerSet> partners = default) =>
        anchor is null || !IsForecast(line, exercise) ? [] : Of(PlanOf(line, partners), line.Geometry, exercise, client, anchor);

    /// <summary>The same of sets that are only thought of.</summary>
    /// <param name="exercise">One that is forecast.</param>
    public static ImmutableArray<RepetitionRange> Of(SetPlan plan, Geometry geometry, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        var middle = Middle(plan, geometry, exercise, client, anchor);
        double[] shared = plan.Partners.IsEmpty ? new double[middle.Length] : Bend(
            Middle(Drained(Math.Exp(Nudge)), geometry, exercise, client, anchor), Middle(Drained(Math.Exp(-Nudge)), geometry, exercise, client, anchor));
        return
        [
            .. BendsOf(plan, geometry, exercise, client, anchor).Select((bend, i) =>
            {
                double known = bend.Variance(anchor) + Math.Pow(bend.Maximum * Belief.DayForm, 2);
                return SetError.Range(
                    middle[i].ToFailure, Off(bend, known, i, -1), Off(bend, known, i, 1), Math.Pow(shared[i] * Company.DrainSpread, 2), bend.Maximum * Belief.DayForm,
                    client.Learned.Unsteadiness);
            }),
        ];

        // Near the maximum a set bends far more on one side than on the other.
        double Off(Bends bend, double known, int set, int side) => known <= 0 ? 0 : Math.Log(
            Math.Max(SetError.Fewest, Middle(plan, geometry, exercise, client, LyingOff(bend, known, side, exercise, client, anchor))[set].ToFailure)
            / Math.Max(SetError.Fewest, middle[set].ToFailure));

        SetPlan Drained(double by) => plan with { Partners = [.. plan.Partners.Select(p => p with { Drain = p.Drain * by })] };
    }

    /// <summary>
    /// The client on a weak and on a strong day, four of five times: as the body would likeliest lie off, so that the last set allows fewer or more.
    /// </summary>
    /// <param name="exercise">One that is forecast.</param>
    public static (StrengthAnchor Weaker, StrengthAnchor Stronger) Ends(SetPlan plan, Geometry geometry, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        var bend = BendsOf(plan, geometry, exercise, client, anchor)[^1];
        double known = bend.Variance(anchor) + Math.Pow(bend.Maximum * Belief.DayForm, 2);
        return known <= 0 ? (anchor, anchor) : (LyingOff(bend, known, -1, exercise, client, anchor), LyingOff(bend, known, 1, exercise, client, anchor));
    }

    /// <summary>
    /// Effective repetitions of a whole plan, four of five times. Who is weaker comes nearer to failure, or stops short of the count: both ends may lie on one
    /// side of the middle.
    /// </summary>
    /// <param name="exercise">One that is forecast.</param>
    public static EffectiveRange Given(SetPlan plan, Geometry geometry, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        var (weaker, stronger) = Ends(plan, geometry, exercise, client, anchor);
        double[] all = [Of(anchor), Of(weaker), Of(stronger)];
        return new(all.Min(), all.Max());

        double Of(StrengthAnchor body) => Middle(plan, geometry, exercise, client, body).Sum(set => set.Effective);
    }

    /// <summary>The body where it lies off by so much that one set is at an end of its range, the likeliest of all ways.</summary>
    /// <param name="known">Variance of the logarithm of that set's repetitions, over 0.</param>
    private static StrengthAnchor LyingOff(Bends bend, double known, int side, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        var (stronger, lasting, recovering, steeper) = bend.Likeliest(anchor, side * StrengthAnchor.EightyPercent / Math.Sqrt(known));
        return anchor.Stronger(Math.Exp(stronger), exercise, client) with
        {
            Endurance = anchor.Endurance * Math.Exp(lasting),
            Recovery = anchor.Recovery * Math.Exp(recovering),
            Steepness = anchor.Steepness + steeper,
        };
    }

    /// <summary>How the logarithm of a set's repetitions bends with what is not known: they are known to so many percent rather than to so many.</summary>
    private readonly record struct Bends(double Maximum, double Endurance, double Recovery, double Steepness)
    {
        internal double Variance(StrengthAnchor anchor) => anchor.Doubt.Variance(Maximum, Endurance, Recovery, Steepness, anchor.Spread);

        /// <summary>The likeliest shift of all unknowns that moves the set so far, the form of the day with the maximum (first-order reliability: Hasofer and Lind 1974; from memory).</summary>
        internal (double Maximum, double Endurance, double Recovery, double Steepness) Likeliest(StrengthAnchor anchor, double by)
        {
            var d = anchor.Doubt;
            double strength = Math.Pow(anchor.Spread, 2) + Math.Pow(Belief.DayForm, 2);
            return (
                by * ((Maximum * strength) + (Endurance * d.MaximumWithEndurance) + (Recovery * d.MaximumWithRecovery) + (Steepness * d.MaximumWithSteepness)),
                by * ((Maximum * d.MaximumWithEndurance) + (Endurance * Math.Pow(d.Endurance, 2)) + (Recovery * d.EnduranceWithRecovery) + (Steepness * d.EnduranceWithSteepness)),
                by * ((Maximum * d.MaximumWithRecovery) + (Endurance * d.EnduranceWithRecovery) + (Recovery * Math.Pow(d.Recovery, 2)) + (Steepness * d.RecoveryWithSteepness)),
                by * ((Maximum * d.MaximumWithSteepness) + (Endurance * d.EnduranceWithSteepness) + (Recovery * d.RecoveryWithSteepness) + (Steepness * Math.Pow(d.Steepness, 2))));
        }
    }

    /// <returns>One entry a set.</returns>
    private static ImmutableArray<Bends> BendsOf(SetPlan plan, Geometry geometry, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        double[] maximum = Along((m, by) => m.Stronger(by, exercise, client));
        double[] endurance = Along((m, by) => m with { Endurance = m.Endurance * by });
        double[] recovery = Along((m, by) => m with { Recovery = m.Recovery * by });
        double[] steepness = Along((m, by) => m with { Steepness = m.Steepness + Math.Log(by) });
        return [.. maximum.Select((bend, i) => new Bends(bend, endurance[i], recovery[i], steepness[i]))];

        double[] Along(Func<StrengthAnchor, double, StrengthAnchor> moved) => Bend(
            Middle(plan, geometry, exercise, client, moved(anchor, Math.Exp(Nudge))), Middle(plan, geometry, exercise, client, moved(anchor, Math.Exp(-Nudge))));
    }

    /// <summary>
    /// How far the last set of a line may lie from its forecast for want of knowledge of the body alone, as a part of it, four of five times: what a
    /// set to the limit would tell. 0 where nothing is forecast.
    /// </summary>
    internal static double Unknown(Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor) =>
        anchor is null || !IsForecast(line, exercise) ? 0
        : StrengthAnchor.EightyPercent * Math.Sqrt(Math.Max(0, BendsOf(PlanOf(line, []), line.Geometry, exercise, client, anchor)[^1].Variance(anchor)));

    private static double[] Bend(ImmutableArray<ForecastSet> up, ImmutableArray<ForecastSet> down) =>
        [.. up.Zip(down, (more, less) => Math.Log(Math.Max(SetError.Fewest, more.ToFailure) / Math.Max(SetError.Fewest, less.ToFailure)) / (2 * Nudge))];

    private static bool IsForecast(Prescription line, Exercise exercise) => exercise.IsForecast && line.Count.IsRepetitions();

    private static SetPlan PlanOf(Prescription line, ImmutableArray<PartnerSet> partners) =>
        new(line.Counts, line.Load, line.Style, line.Rest, partners.IsDefault ? [] : partners) { Form = line.Form };

    private static ImmutableArray<ForecastSet> Middle(SetPlan plan, Geometry geometry, Exercise exercise, ClientProfile client, StrengthAnchor anchor) =>
        plan.Forecast(new ExerciseEffort(exercise, client, anchor, geometry));
}
