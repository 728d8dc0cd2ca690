using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Dosing;

/// <summary>What a coach has fixed by hand on a line; null leaves it to the search.</summary>
public sealed record DoseWish(Mass? Load = null, int? Repetitions = null, Tempo? Tempo = null, Duration? Rest = null)
{
    public static DoseWish None { get; } = new();
}

/// <summary>
/// Finds the home dose that asks what the gym line asked, in the order of preference: the load nearest in
/// equivalent demand, then more repetitions, then slower or paused repetitions.
/// </summary>
public static class DoseSearch
{
    /// <summary>Reserve beyond this is kept in proportion to the way to failure, so that an easy set stays easy with a light load.</summary>
    private const double EasyReserve = 4;

    /// <summary>A rest that makes up for load is cut to this part, never under so many seconds (common practice).</summary>
    private const double CutRest = 0.6, ShortestRest = 30;

    /// <summary>Demand this much lower is not called short.</summary>
    private const double NearEnough = 0.03;

    /// <summary>Effective repetitions that must be gained before sets are given different counts.</summary>
    private const double WorthUnequalSets = 1.5;

    /// <summary>Reserve is met to the nearest whole repetition; nobody judges it finer. A beginner's floor is never rounded.</summary>
    private const double ReserveRounding = 0.5;

    /// <summary>The best dose, or null when not one repetition is possible or the ladder is empty.</summary>
    public static Dose? Find(
        Intent intent, ExerciseEffort effort, LoadLadder ladder, HouseRules rules, Level level, DoseWish wish)
    {
        if (ChooseRung(intent, effort, ladder, rules, wish) is not { } rung)
        {
            return null;
        }

        var demand = effort.DemandOf(rung.Load);
        if (demand < RepetitionCost.LeastDemand || demand.Value > 1 || (intent.Cap is { } cap && wish.Load is null && effort.EquivalentOf(demand) > cap))
        {
            return null;
        }

        double least = level == Level.Beginner ? rules.BeginnerReserve : rules.Teaches(Teaching.ToFailure) && IsRisky(effort.Exercise) ? 1 : 0;
        var search = new LineSearch(intent, effort, rung, rules, least, wish);
        return search.Best();
    }

    /// <summary>Failing a repetition could drop a load or the body: overhead, under a bar, hanging or head down.</summary>
    private static bool IsRisky(Exercise exercise) =>
        exercise.OverHead || exercise.Holds.Contains(Hold.Bar) || exercise.Load.Body is BodyModel.Hands or BodyModel.Pike;

    /// <summary>Nearest in equivalent demand, at most the house rule's step above; the lightest where all are heavier.</summary>
    private static Rung? ChooseRung(
        Intent intent, ExerciseEffort effort, LoadLadder ladder, HouseRules rules, DoseWish wish)
    {
        if (wish.Load is { } fixedLoad)
        {
            return RungChoice.Nearest(ladder, fixedLoad);
        }

        var wanted = effort.LoadFor(effort.DemandForEquivalent(intent.Equivalent));
        var below = ladder.Rungs.LastOrDefault(r => r.Load <= wanted);
        var above = ladder.Rungs.FirstOrDefault(r => r.Load > wanted);
        if (below is null || above is null)
        {
            return below ?? above;
        }

        double over = EquivalentOf(above) - intent.Equivalent.Value;
        return intent.Cap is null && over <= rules.MostAboveIntent && over < intent.Equivalent.Value - EquivalentOf(below) ? above : below;

        double EquivalentOf(Rung rung) => effort.EquivalentOf(effort.DemandOf(rung.Load)).Value;
    }

    /// <summary>Rest as written, or cut where that is taught and the load falls short.</summary>
    private static Duration RestFor(Intent intent, Demand equivalent, HouseRules rules) =>
        rules.Teaches(Teaching.RestShort) && equivalent.Value < intent.Equivalent.Value - NearEnough
            ? Duration.FromSeconds(Math.Max(ShortestRest, Math.Round(intent.Rest.Seconds * CutRest / 5) * 5))
            : intent.Rest;

    /// <summary>The search on one rung.</summary>
    private sealed class LineSearch(
        Intent intent, ExerciseEffort effort, Rung rung, HouseRules rules, double leastReserve, DoseWish wish)
    {
        private readonly double _reserveWanted = Math.Max(leastReserve, intent.Reserve);
        private readonly Demand _equivalent = effort.EquivalentOf(effort.DemandOf(rung.Load));
        private readonly Duration _rest = wish.Rest ?? RestFor(intent, effort.EquivalentOf(effort.DemandOf(rung.Load)), rules);

        public Dose? Best()
        {
            var start = wish.Tempo ?? Lifted(Bounded(intent.Tempo));
            int most = MostRepetitions(start);
            var plain = Plan(start, wish.Repetitions ?? (intent.Cap is null ? most : Math.Min(most, intent.Repetitions[^1])));
            var chosen = plain;
            if (wish.Tempo is null && intent.Cap is null && wish.Repetitions is null && plain.Repetitions[^1] >= rules.RepetitionCap && CouldDoMore(plain))
            {
                chosen = Slower(start) ?? plain;
            }

            if (chosen.Repetitions[^1] < 1)
            {
                return null;
            }

            return Describe(plain, wish.Repetitions is null ? SetBySet(chosen) ?? chosen : chosen);
        }

        /// <summary>
        /// Equal sets of many light repetitions leave the first ones far from failure. Where that costs effective
        /// repetitions, each set gets the count that leaves what its gym set left, never more than the set before it; null
        /// when that gains too little.
        /// </summary>
        private SetPlan? SetBySet(SetPlan equal)
        {
            double before = Effective(equal);
            if (intent.Cap is not null || intent.Effective - before < WorthUnequalSets || _reserveWanted > EasyReserve)
            {
                return null;
            }

            var plan = equal;
            for (int i = 0; i < plan.Repetitions.Length; i++)
            {
                double left = Math.Max(leastReserve, Math.Max(intent.Reserves[i], _reserveWanted) - ReserveRounding);
                double toFailure = (plan with { Repetitions = plan.Repetitions[..(i + 1)] }).Forecast(effort)[^1].ToFailure;
                int count = (int)Math.Floor(toFailure - left + 1e-9);
                int most = i == 0 ? rules.RepetitionCap : plan.Repetitions[i - 1];
                plan = plan with { Repetitions = plan.Repetitions.SetItem(i, Math.Clamp(count, 1, most)) };
            }

            return Effective(plan) - before >= WorthUnequalSets ? plan : null;
        }

        /// <summary>The fewest added seconds that bring the count under the cap with the reserve wanted; else the slowest allowed.</summary>
        private SetPlan? Slower(Tempo start)
        {
            SetPlan? slowest = null;
            foreach (var tempo in TempoSteps.From(start, effort.Exercise, rules))
            {
                var plan = Plan(tempo, MostRepetitions(tempo));
                if (plan.Repetitions[^1] < 1)
                {
                    break;
                }

                slowest = plan;
                if (!CouldDoMore(plan))
                {
                    return plan;
                }
            }

            return slowest;
        }

        private bool CouldDoMore(SetPlan plan) => IsPossible(plan with { Repetitions = [.. plan.Repetitions.Select(r => r + 1)] });

        /// <summary>Most repetitions on the last set that leave the wanted reserve, up to the cap; they fall as effort rises, so halving finds them.</summary>
        private int MostRepetitions(Tempo tempo)
        {
            int low = 0, high = rules.RepetitionCap;
            while (low < high)
            {
                int middle = (low + high + 1) / 2;
                if (IsPossible(Plan(tempo, middle)))
                {
                    low = middle;
                }
                else
                {
                    high = middle - 1;
                }
            }

            return low;
        }

        private bool IsPossible(SetPlan plan)
        {
            var forecast = plan.Forecast(effort);
            double easy = Math.Max(0, _reserveWanted - EasyReserve);
            double wanted = _reserveWanted - easy
                + (easy * forecast[^1].ToFailure / Math.Max(intent.LastToFailure, _reserveWanted));
            return forecast.All(s => s.Reserve >= leastReserve - 1e-9)
                && forecast[^1].Reserve >= Math.Max(leastReserve, wanted - ReserveRounding) - 1e-9;
        }

        /// <summary>The written shape of the sets (10/10/8) is kept in proportion.</summary>
        private SetPlan Plan(Tempo tempo, int last)
        {
            double factor = (double)last / intent.Repetitions[^1];
            ImmutableArray<int> repetitions =
                [.. intent.Repetitions.Select(r => Math.Min(Math.Max(last, rules.RepetitionCap), (int)Math.Round(r * factor)))];
            return new SetPlan(repetitions.SetItem(repetitions.Length - 1, last), rung.Load, tempo, _rest, intent.PartnerTime);
        }

        /// <summary>Where lifting fast is taught and no other tempo was written, the compound lifts go up as fast as they can.</summary>
        private Tempo Lifted(Tempo tempo) =>
            tempo == Tempo.Reference && rules.Teaches(Teaching.LiftFast) && effort.Exercise.Kind == MovementKind.Compound
                ? tempo with { FastLifting = true }
                : tempo;

        private Tempo Bounded(Tempo tempo) => rules.Allows(tempo) ? tempo : Tempo.Reference;

        private Dose Describe(SetPlan plain, SetPlan chosen)
        {
            var forecast = chosen.Forecast(effort);
            int last = chosen.Repetitions[^1];
            return new Dose
            {
                Rung = rung,
                Repetitions = chosen.Repetitions,
                TopOfRange = Math.Min(Math.Max(last, rules.RepetitionCap), last + ((intent.RangeWidth + 1) / 2)),
                Tempo = chosen.Tempo,
                Rest = _rest,
                Forecast = forecast,
                Equivalent = _equivalent,
                Bridge = BridgeTo(plain, chosen, forecast),
                Feasible = Share.Of(Math.Min(1.0, chosen.Repetitions.Sum() / AskedHere())),
            };
        }

        /// <summary>
        /// Repetitions asked at this rung. A rung a little over the intended demand, within the house rule, asks
        /// proportionally fewer; a much heavier one is held against all of them.
        /// </summary>
        private double AskedHere()
        {
            double over = _equivalent.Value - intent.Equivalent.Value;
            double fewer = over > 0 && over <= rules.MostAboveIntent
                ? effort.FreshRepetitions(effort.DemandOf(rung.Load))
                    / effort.FreshRepetitions(effort.DemandForEquivalent(intent.Equivalent))
                : 1;
            return intent.Repetitions.Sum() * fewer;
        }

        private Bridge BridgeTo(SetPlan plain, SetPlan chosen, ImmutableArray<ForecastSet> forecast)
        {
            var asWritten = Plan(plain.Tempo, Math.Min(intent.Repetitions[^1], chosen.Repetitions[^1]));
            double given = forecast.Sum(s => s.Effective);
            int more = chosen.Repetitions.Max() - intent.Repetitions.Max();
            bool loadAlone = more <= 0 && chosen.Tempo == plain.Tempo;
            double byLoad = loadAlone ? given : Math.Min(Effective(asWritten), given);
            double byRepetitions = Math.Max(byLoad, Effective(plain));
            var parts = ImmutableArray.CreateBuilder<BridgePart>();
            parts.Add(new(Measure.Load, byLoad, LoadWords()));
            if (more > 0 && chosen.Tempo == plain.Tempo)
            {
                parts.Add(new(Measure.Repetitions, Math.Max(0, given - byLoad), Repetitions(more)));
            }
            else if (chosen.Tempo != plain.Tempo)
            {
                double fromRepetitions = more > 0 ? Math.Max(0, Math.Min(byRepetitions, given) - byLoad) : 0;
                if (fromRepetitions > 0)
                {
                    parts.Add(new(Measure.Repetitions, fromRepetitions, Repetitions(more)));
                }

                parts.Add(new(Measure.SlowerOrPaused, Math.Max(0, given - byLoad - fromRepetitions), TempoWords(plain.Tempo, chosen.Tempo)));
            }

            return new Bridge(intent.Effective, given, intent.Equivalent, _equivalent, parts.ToImmutable());
        }

        private double Effective(SetPlan plan) =>
            plan.Repetitions[^1] < 1 ? 0 : plan.Forecast(effort).Sum(s => s.Effective);

        private string LoadWords() => rung.Load > Mass.Zero ? rung.Load.ToString() : "own weight";

        private static string Repetitions(int more) => more == 1 ? "+1 rep" : $"+{more} reps";

        /// <summary>The phases that got longer.</summary>
        private static string TempoWords(Tempo before, Tempo tempo)
        {
            var words = new List<string>();
            AddIf(tempo.Lowering > before.Lowering, $"{tempo.Lowering} s down");
            AddIf(tempo.AfterLowering > before.AfterLowering, $"{tempo.AfterLowering} s hold low");
            AddIf(tempo.Lifting > before.Lifting, $"{tempo.Lifting} s up");
            AddIf(tempo.AfterLifting > before.AfterLifting, $"{tempo.AfterLifting} s hold high");
            return string.Join(", ", words);

            void AddIf(bool changed, string phase)
            {
                if (changed)
                {
                    words.Add(phase);
                }
            }
        }
    }
}
