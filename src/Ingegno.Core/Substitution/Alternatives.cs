using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;

namespace Ingegno.Core.Substitution;

/// <summary>Works a candidate out for showing: prescription, reason, bridge, and the ladder it stands on.</summary>
internal static class Alternatives
{
    internal static Alternative Of(
        Candidate candidate, Exercise written, WrittenLine line, Intent? intent, ClientProfile client, HouseRules rules)
    {
        var alternative = new Alternative
        {
            Prescription = Prescribing.Of(candidate, written, line, client),
            Fit = candidate.Fit,
            Class = candidate.Class,
            Leanings = [.. candidate.Leanings, .. TypedInstructions.LeftOut(line, candidate, client)],
            Reason = Reason.For(written, candidate, intent),
            Loses = Losses.Of(written, candidate, intent),
            Decided = Reason.Decided(written, candidate, intent),
            Loss = Reason.Loss(written, candidate, intent),
            LossMatters = Reason.LossMatters(written, candidate, intent),
        };
        if (candidate.Dose is not { } dose || candidate.Anchor is not { } anchor || intent is null)
        {
            return alternative;
        }

        var effort = new ExerciseEffort(candidate.Exercise, client, anchor, candidate.SetUp.Geometry);
        var plan = new SetPlan(dose.Repetitions, dose.Rung.Load, dose.Style, dose.Rest, intent.Partners) { Form = dose.Form };
        return alternative with
        {
            Leanings = [.. alternative.Leanings, .. DoseLeanings.On(dose, intent, candidate.Exercise, line, client, rules)],
            BodyMoved = effort.BodyMoved,
            Demand = effort.DemandOf(dose.Rung.Load),
            Bridge = dose.Bridge,
            Forecast = dose.Forecast,
            Foretold = new(() => Foreseen.Of(plan, candidate.SetUp.Geometry, candidate.Exercise, client, anchor)),
            Equivalent = dose.Equivalent,
            WantedLoad = effort.LoadFor(effort.DemandForEquivalent(intent.Equivalent)),
            Anchor = anchor,
            Totals = SetTotals.Of(plan, effort, dose.Effective),
            GivenRange = RangeOf(plan, dose, candidate, anchor, client, intent),
            Details = new(() => new(
                plan.Trace(effort),
                [
                    .. candidate.SetUp.Ladder.Rungs.Select(rung => new OfferedLoad(
                        rung.Load, LoadWords.Of(rung, candidate.SetUp.Implement), effort.EquivalentOf(effort.DemandOf(rung.Load)), rung.Pull)),
                ],
                TechniqueLimits.Of(candidate.Exercise, client, rules).Refused)),
        };
    }

    /// <summary>A rest-pause gives no more than was asked: its bouts end when the count is full.</summary>
    private static EffectiveRange RangeOf(
        SetPlan plan, Dose dose, Candidate candidate, StrengthAnchor anchor, ClientProfile client, Intent intent)
    {
        var range = Foreseen.Given(plan, candidate.SetUp.Geometry, candidate.Exercise, client, anchor);
        double most = dose.Form == SetForm.RestPause ? intent.Effective : double.MaxValue;
        double[] all = [dose.Effective, Math.Min(range.Low, most), Math.Min(range.High, most)];
        return new(all.Min(), all.Max());
    }
}
