using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>Reads from a written line how hard it is for this client: the load where one is written, else the load its effort implies.</summary>
public static class IntentReading
{
    /// <summary>Spread of a maximum read from a written load whose effort had to be assumed, and where it was written (common practice).</summary>
    private const double AssumedSpread = 0.12, WrittenSpread = 0.08;

    /// <summary>No written set asks more of the maximum than this (common practice).</summary>
    private const double MostDemandWritten = 1.2;

    /// <summary>
    /// What a line's own load says about the maximum: the anchor at which its last set ends with the reserve written,
    /// or the house rule's. Null when the line writes no load.
    /// </summary>
    /// <param name="partners">Sets of the partners of a superset, with what they drain.</param>
    public static StrengthAnchor? AnchorFromLine(
        WrittenLine line, Exercise exercise, ClientProfile client, HouseRules rules, ImmutableArray<PartnerSet> partners)
    {
        line = SetBlocks.Hardest(Strides.AsRepetitions(line, exercise));
        if (line.Intensity.Load is not { } written || !line.Sets[0].Kind.IsRepetitions() || line.Sets.Any(s => s.IsOpen)
            || exercise.Endurance == EnduranceClass.OwnLogOnly)
        {
            return null;
        }

        var plan = Plan(line, exercise, LoadOf(written, exercise), partners);
        double reserve = line.Intensity.Reserve ?? rules.ReserveFor(client);
        double spread = line.Intensity.Reserve is null ? AssumedSpread : WrittenSpread;
        var unknown = new StrengthAnchor(
            exercise.Id, Mass.Zero, exercise.IsInTotal, spread, AnchorBasis.Lifted,
            $"{exercise.Name} as written: {line.Sets.Length} x {line.Sets[0].Middle} with {written}, {reserve:0.#} left").Of(client.Learned);
        return unknown.At(Solve(plan, exercise, client, unknown, reserve));
    }

    /// <summary>Reads the line. Null for held seconds and for exercises without a load model: they are copied, not computed.</summary>
    /// <param name="anchor">The client's maximum on the written exercise.</param>
    /// <param name="partners">Sets of the partners of a superset, with what they drain.</param>
    public static Intent? Read(
        WrittenLine line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor, HouseRules rules, ImmutableArray<PartnerSet> partners)
    {
        line = SetBlocks.Hardest(Strides.AsRepetitions(line, exercise));
        if (anchor is null || exercise.Endurance == EnduranceClass.OwnLogOnly || !line.Sets[0].Kind.IsRepetitions())
        {
            return null;
        }

        var notes = new List<string>();
        double reserveWanted = line.Intensity.Reserve ?? rules.ReserveFor(client);
        Mass load;
        if (line.Intensity.Load is { } written)
        {
            load = LoadOf(written, exercise);
            anchor = Reconcile(line, exercise, client, anchor, rules, load, partners, notes);
        }
        else if (line.Intensity.Percent is { } percent)
        {
            load = PercentLoad(percent, exercise, client, anchor);
        }
        else if (!exercise.NeedsLoad)
        {
            // Nobody writes a load on what is done with the own weight, and nobody means one.
            load = Mass.Zero;
            anchor = Reconcile(line, exercise, client, anchor, rules, load, partners, notes);
        }
        else
        {
            if (line.Intensity.Reserve is null && line.Sets[^1].Kind != CountKind.AsManyAsPossible)
            {
                notes.Add($"No load or effort written: read as {reserveWanted:0.#} left on the last set.");
            }

            load = LoadLeaving(reserveWanted, line, exercise, client, anchor, partners);
        }

        var effort = new ExerciseEffort(exercise, client, anchor, new Geometry());
        var plan = Plan(line, exercise, load, partners);
        plan = plan with { Repetitions = Filled(line, plan, effort, reserveWanted, client, rules) };
        var intent = Describe(plan, line, effort, anchor, notes);
        return Purposes.IsCapped(line.Purpose) ? Capped(intent) : intent;
    }

    /// <summary>Skill, joint care and activation are never asked hard, and no effective repetitions are asked of them.</summary>
    private static Intent Capped(Intent intent)
    {
        var cap = Demand.Of(Purposes.CappedDemand);
        return intent with { Cap = cap, Effective = 0, Equivalent = intent.Equivalent > cap ? cap : intent.Equivalent };
    }

    private static Intent Describe(
        SetPlan plan, WrittenLine line, ExerciseEffort effort, StrengthAnchor anchor, List<string> notes)
    {
        var demand = effort.DemandOf(plan.Load);
        var forecast = plan.Forecast(effort);
        var last = forecast[^1];
        if (forecast.Any(s => s.Reserve < -0.5))
        {
            notes.Add("Rests too short, or load too heavy, for these repetitions by the estimated maximum: read as taken to failure.");
        }

        return new Intent
        {
            Repetitions = plan.Repetitions,
            RangeWidth = line.Sets[0].High - line.Sets[0].Low,
            Load = plan.Load,
            Demand = demand,
            Equivalent = effort.EquivalentOf(demand),
            Effective = forecast.Sum(s => s.Effective),
            Reserves = [.. forecast.Select(s => Math.Max(0, s.Reserve))],
            LastToFailure = last.ToFailure,
            IsFast = effort.Exercise.IsBallistic && plan.Repetitions.Min() <= DoseSearch.MostForPower,
            IsTestSet = line.Sets.All(s => s.Kind == CountKind.AsManyAsPossible),
            Tempo = plan.Style.Tempo,
            Rest = plan.Rest,
            Partners = plan.Partners,
            Totals = SetTotals.Of(plan, effort, forecast.Sum(s => s.Effective)),
            Anchor = anchor,
            Notes = [.. notes],
        };
    }

    /// <summary>A pair is written per hand, help as what it takes off, everything else as one load.</summary>
    private static Mass LoadOf(Mass written, Exercise exercise) =>
        exercise.IsLoadedPerHand ? written * 2 : exercise.IsAssisted && written > Mass.Zero ? written * -1 : written;

    private static SetPlan Plan(WrittenLine line, Exercise exercise, Mass load, ImmutableArray<PartnerSet> partners)
    {
        ImmutableArray<int> repetitions = [.. line.Sets.SelectMany(s => s.Planned)];
        return new SetPlan(
            repetitions,
            load,
            line.Tempo ?? Tempo.Reference,
            HouseRules.RestOf(line, repetitions[0]),
            partners);
    }

    /// <summary>Counts that effort decides, set by set: as many as possible, up to a cap, until an effort.</summary>
    private static ImmutableArray<int> Filled(
        WrittenLine line, SetPlan plan, ExerciseEffort effort, double reserve, ClientProfile client, HouseRules rules)
    {
        double atFailure = client.Level == Level.Beginner ? rules.BeginnerReserve : 0;
        var repetitions = plan.Repetitions;
        if (repetitions.Length != line.Sets.Length)
        {
            return repetitions;
        }

        for (int i = 0; i < repetitions.Length; i++)
        {
            var target = line.Sets[i];
            if (target.Kind is CountKind.Repetitions)
            {
                continue;
            }

            double toFailure = (plan with { Repetitions = repetitions[..(i + 1)] }).Forecast(effort)[^1].ToFailure;
            double left = target.Kind == CountKind.AsManyAsPossible ? atFailure : reserve;
            int most = target.High > 0 && target.Kind is (CountKind.UpTo or CountKind.AsManyAsPossible) ? target.High : rules.TestSetCap;
            repetitions = repetitions.SetItem(i, Math.Clamp((int)Math.Floor(toFailure - left + 1e-9), 1, Math.Max(1, most)));
        }

        return repetitions;
    }

    private static Mass PercentLoad(Share percent, Exercise exercise, ClientProfile client, StrengthAnchor anchor)
    {
        var bodyMoved = Resistance.BodyMoved(exercise.Load, client, new Geometry());
        return anchor.IsTotal
            ? (percent * anchor.Maximum) - (bodyMoved * client.BodyMass)
            : percent * anchor.Maximum;
    }

    /// <summary>
    /// A written load that the estimate calls too heavy, or a written reserve it does not give, moves the maximum
    /// within its own range; what is left over becomes a note. A written programme is never called impossible. Where no effort is written, a tested
    /// maximum gives way until nothing is left, one that was only carried over until the house's usual reserve is.
    /// </summary>
    private static StrengthAnchor Reconcile(
        WrittenLine line, Exercise exercise, ClientProfile client, StrengthAnchor anchor, HouseRules rules, Mass load, ImmutableArray<PartnerSet> partners, List<string> notes)
    {
        var plan = Plan(line, exercise, load, partners);
        var forecast = plan.Forecast(new ExerciseEffort(exercise, client, anchor, new Geometry()));
        double reserve = forecast[^1].Reserve;
        bool guessed = anchor.Basis is AnchorBasis.Transferred or AnchorBasis.LevelAndBodyMass;
        double? wanted = line.Intensity.Reserve ?? (!forecast.Any(s => s.Reserve < 0) ? null : guessed ? rules.ReserveFor(client) : 0);
        if (line.Sets.Any(s => s.IsOpen) || wanted is not { } target || Math.Abs(reserve - target) < 0.5)
        {
            return anchor;
        }

        var fitting = Solve(plan, exercise, client, anchor, target);
        if (fitting >= anchor.Low && fitting <= anchor.High)
        {
            return anchor.At(fitting);
        }

        // A programme somebody wrote is done by somebody: a maximum carried over from another lift gives way to it, a tested one does not.
        if (fitting > anchor.High && guessed)
        {
            notes.Add($"Heavier than the estimate of {anchor.Maximum} carried over from other lifts: the line itself is believed.");
            return anchor.At(fitting);
        }

        notes.Add(fitting > anchor.High
            ? $"Heavier than the estimate of {anchor.Maximum} (to {anchor.High}) allows for these repetitions: check the lift it comes from."
            : $"Lighter than a set that leaves {target:0.#} by the estimate of {anchor.Maximum} (from {anchor.Low}).");
        return anchor.At(fitting > anchor.High ? anchor.High : anchor.Low);
    }

    /// <summary>The maximum at which the last set of the plan ends with this reserve; reserve rises with it.</summary>
    private static Mass Solve(SetPlan plan, Exercise exercise, ClientProfile client, StrengthAnchor shape, double reserve)
    {
        var bodyMoved = Resistance.BodyMoved(exercise.Load, client, new Geometry());
        var body = shape.IsTotal ? Mass.Zero : bodyMoved * client.BodyMass;
        double met = Resistance.Of(exercise.Load, plan.Load, bodyMoved, client.BodyMass).Kilograms;
        return Mass.FromKilograms(Crossing.Of(Spare, met / 2, met * 50)) - body;

        double Spare(double greatest) =>
            plan.Forecast(new ExerciseEffort(exercise, client, shape.At(Mass.FromKilograms(greatest) - body), new Geometry()))[^1].Reserve - reserve;
    }

    /// <summary>The load whose last set ends with this reserve: below 0 the help of an assisted exercise, of any other 0 where body weight alone is already heavier.</summary>
    private static Mass LoadLeaving(
        double reserve, WrittenLine line, Exercise exercise, ClientProfile client, StrengthAnchor anchor, ImmutableArray<PartnerSet> partners)
    {
        var effort = new ExerciseEffort(exercise, client, anchor, new Geometry());
        var load = effort.LoadFor(Demand.Of(Crossing.Of(Short, RepetitionCost.LeastDemand.Value, MostDemandWritten)));
        bool helped = exercise.IsAssisted && Resistance.BodyMoved(exercise.Load, client, new Geometry()) > Share.Zero;
        return helped ? (load < Mass.Zero ? load : Mass.Zero)
            : exercise.Holds.IsEmpty && !exercise.NeedsLoad || load < Mass.Zero ? Mass.Zero
            : load;

        double Short(double demand) => reserve - Plan(line, exercise, effort.LoadFor(Demand.Of(demand)), partners).Forecast(effort)[^1].Reserve;
    }
}
