using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>Tells every figure of a forecast with its formula, inputs and source.</summary>
internal static class ForecastStory
{
    private const string Chart =
        "Haff and Triplett, Essentials of Strength Training and Conditioning, 4th ed.; below 65 % Hoeger et al. 1990, J Appl Sport Sci Res 4:47-54 (both from memory)";

    private const string Rohmert = "Rohmert 1960, Int Z angew Physiol 18:123-164 (from memory)";

    private const string Pools = "Pools of 60 : 37 : 3 that refill over 30 s, 170 s and 30 min: common practice, re-estimated from the log";

    internal static ImmutableArray<Explained> Of(
        SetPlan plan, ExerciseEffort effort, Demand demand, ClientProfile client, StrengthAnchor anchor)
    {
        var sets = plan.Forecast(effort);
        var equivalent = effort.EquivalentOf(demand);
        double fresh = effort.FreshRepetitions(demand), cost = effort.CostOfRepetition(demand, plan.Style);
        return
        [
            new("Maximum", $"{anchor.Maximum}{(anchor.IsTotal ? ", body counted" : "")}", anchor.Story, $"80 percent range {anchor.Low} to {anchor.High}"),
            new("Resistance", $"{effort.ResistanceOf(plan.Load)}",
                effort.BodyMoved.Fraction > 0
                    ? $"{plan.Load} + {effort.BodyMoved} of {client.BodyMass}"
                    : $"{plan.Load}",
                "Body share by set-up: docs/method.md, How much of the body is moved"),
            new("Demand", $"{demand}", $"{effort.ResistanceOf(plan.Load)} / {effort.GreatestAt(plan.Load)}", "Resistance over the most that could be met, body counted in both"),
            new("On the common scale", $"{equivalent}", $"where pressing allows as many: {Number(fresh)} repetitions", Chart),
            .. Cost(plan, effort, demand, fresh, cost),
            new("To failure, rested", Number(1 / cost), $"1 / {Part(cost)}", Pools),
            .. sets.Select((set, i) => Set(set, i, cost, plan)),
            new("Effective", Number(sets.Sum(s => s.Effective)), EffectiveFormula(sets, equivalent), EffectiveSource(equivalent)),
        ];
    }

    private static IEnumerable<Explained> Cost(SetPlan plan, ExerciseEffort effort, Demand demand, double fresh, double cost)
    {
        var exercise = effort.Exercise;
        var tempo = plan.Style.Tempo;
        if (exercise.IsLoweringOnly)
        {
            yield return new("Cost of a lowering", Part(cost), $"{Math.Max(1, tempo.Lowering)} s / {Number(Math.Max(1, tempo.Lowering) / cost)} s it could be held at demand / 1.3", Rohmert);
            yield break;
        }

        double lowering = RepetitionCost.LoweringWeight(demand);
        yield return new("A second of lowering", Part(lowering), $"hold({demand}) / hold({Number(demand.Value / 1.3, 2)}), a second of lifting weighing 1", $"{Rohmert}; lowering strength 1.3 of lifting: common practice");
        List<string> phases = plan.Style.Partial == PartialPart.ShortHalf
            ? [$"half of {Math.Max(1, tempo.Lowering) + Math.Max(1, tempo.Lifting)} s x 1"]
            : [$"{Math.Max(1, tempo.Lowering)} s down x {Part(lowering)}", $"{Math.Max(1, tempo.FastLifting ? 1 : tempo.Lifting)} s up x 1"];
        AddPause(tempo.AfterLowering, "low", exercise.LoadedAfterLowering);
        AddPause(tempo.AfterLifting, "high", exercise.LoadedAfterLifting);
        if (plan.Style.ExtraSeconds > 0)
        {
            phases.Add($"{Number(plan.Style.ExtraSeconds)} s {RepetitionStyle.Named(plan.Style.Partial)} x 1");
        }

        if (plan.Style.Pulses > 0)
        {
            phases.Add($"{plan.Style.Pulses} s of pulses x 1");
        }

        yield return new(
            "Cost of a repetition",
            Part(cost),
            $"1 / {Number(fresh)} x ({string.Join(" + ", phases)}) / ({Number((2 * lowering) + 1, 2)} of 2-0-1-0); at least half a plain one",
            $"Repetitions: {Chart}. Weights of the phases: common practice on {Rohmert}");

        void AddPause(int seconds, string where, bool loaded)
        {
            if (seconds > 0)
            {
                phases.Add($"{seconds} s held {where} x {(loaded ? 1 : 0)}");
            }
        }
    }

    private static Explained Set(ForecastSet set, int place, double cost, SetPlan plan)
    {
        double left = set.ToFailure * cost;
        string pushed = plan.Form == SetForm.PushFirst ? " after a maximal push that takes up to half" : "";
        string held = set.HeldSeconds > 0 ? $", then held {Number(set.HeldSeconds)} s" : "";
        return new(
            plan.Form == SetForm.RestPause ? $"Bout {place + 1}" : $"Set {place + 1}",
            $"{set.Planned} of {Number(set.ToFailure)}{held}",
            $"{Part(left)} of the budget left{pushed} / {Part(cost)}; leaves {Number(set.Reserve)}, effort {Number(Math.Clamp(10 - set.Reserve, 1, 10))} of 10",
            $"{Pools}; effort 10 less what is left: Zourdos et al. 2016, J Strength Cond Res 30:267-275 (from memory)");
    }

    private static string EffectiveFormula(ImmutableArray<ForecastSet> sets, Demand equivalent) =>
        equivalent >= SetForecast.AllCount ? $"all of them from {SetForecast.AllCount}: {string.Join(" + ", sets.Select(s => Number(s.Effective)))}"
        : equivalent < SetForecast.FullCredit ? $"5 less what each set leaves, of which {SetForecast.Credit(equivalent) * 100:0} percent count at {equivalent}: {string.Join(" + ", sets.Select(s => Number(s.Effective)))}"
        : $"5 less what each set leaves: {string.Join(" + ", sets.Select(s => Number(s.Effective)))}";

    private static string EffectiveSource(Demand equivalent) => equivalent < SetForecast.FullCredit
        ? "Lasevicius et al. 2018, Eur J Sport Sci 18:772-780; Schoenfeld et al. 2021, Sports 9:32 (from memory)"
        : "Repetitions before failure that count: common practice";

    private static string Part(double value) => Number(value, 3);

    private static string Number(double value, int decimals = 1) => value.ToString("F" + decimals, CultureInfo.InvariantCulture);
}
