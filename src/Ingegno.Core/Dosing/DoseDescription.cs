using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>Tells a found plan: its forecast, its bridge measure by measure, and how much of what was asked is feasible.</summary>
internal static class DoseDescription
{
    internal static Dose Of(
        ScoredPlan best, LineDose line, DoseSpace space, Intent intent, ExerciseEffort effort, HouseRules rules, DoseWish wish)
    {
        var plan = best.Plan;
        int cap = Math.Max(plan.Repetitions[^1], rules.RepetitionCap);
        return new Dose(() => BridgeTo(best, line, space, intent, wish))
        {
            Rung = line.Rung,
            Repetitions = plan.Repetitions,
            TopOfRange = plan.Form == SetForm.RestPause
                ? plan.Repetitions[0]
                : Math.Min(cap, plan.Repetitions[^1] + ((intent.RangeWidth + 1) / 2)),
            Style = plan.Style,
            Form = plan.Form,
            Rest = plan.Rest,
            Forecast = plan.Forecast(effort),
            Equivalent = line.Equivalent,
            Effective = best.Effective,
            Score = best.Score,
            Feasible = Share.Of(Math.Min(1.0, plan.Repetitions.Sum() * effort.PathOf(plan.Style) / AskedHere(line, intent, effort, rules))),
        };
    }

    /// <summary>
    /// Repetitions asked at this rung. A rung a little over the intended demand, within the house rule, asks
    /// proportionally fewer; a much heavier one is held against all of them.
    /// </summary>
    private static double AskedHere(LineDose line, Intent intent, ExerciseEffort effort, HouseRules rules)
    {
        double over = line.Equivalent.Value - intent.Equivalent.Value;
        double fewer = over > 0 && over <= rules.MostAboveIntent
            ? effort.FreshRepetitions(effort.DemandOf(line.Rung.Load))
                / effort.FreshRepetitions(effort.DemandForEquivalent(intent.Equivalent))
            : 1;
        return intent.Repetitions.Sum() * fewer;
    }

    /// <summary>Measures are laid on in the order they are taken; each carries what the line gives more with it than without.</summary>
    private static Bridge BridgeTo(ScoredPlan best, LineDose line, DoseSpace space, Intent intent, DoseWish wish)
    {
        var plan = best.Plan;
        var written = new DoseMake(space.Written, intent.Rest, SetForm.Straight, intent.Repetitions.Length);
        double given = best.Effective, carried = 0;
        var parts = ImmutableArray.CreateBuilder<BridgePart>();
        var measures = Measures(plan, written, plan.Repetitions.Max() - intent.Repetitions.Max()).ToArray();
        Lay(Measure.Load, measures.Length == 0 ? given : AsWritten(), LoadWords(line));
        for (int i = 0; i < measures.Length; i++)
        {
            var (measure, with, text) = measures[i];
            Lay(measure, i == measures.Length - 1 ? given : Counted(with)?.Effective ?? 0, text);
        }

        return new Bridge(intent.Effective, given, intent.Equivalent, line.Equivalent, parts.ToImmutable());

        void Lay(Measure measure, double reached, string text)
        {
            double adds = Math.Max(0, Math.Min(reached, given) - carried);
            carried += adds;
            parts.Add(new(measure, adds, text));
        }

        ScoredPlan? Counted(DoseMake with) => wish.Repetitions is { } count ? line.ByHand(with, count, 0) : line.Best(with, 0);

        double AsWritten() =>
            Counted(written) is { } most
                ? line.Scored(line.Plan(written, Math.Min(intent.Repetitions[^1], most.Plan.Repetitions[^1])), 0).Effective
                : 0;
    }

    /// <summary>The measures of a plan over a plain one, in order, each with the make that has it and all before it.</summary>
    private static IEnumerable<(Measure Measure, DoseMake With, string Text)> Measures(SetPlan plan, DoseMake make, int more)
    {
        if (more > 0)
        {
            yield return (Measure.Repetitions, make, more == 1 ? "+1 rep" : $"+{more} reps");
        }

        if (plan.Style != make.Style)
        {
            string words = StyleWords(make.Style, plan.Style);
            make = make with { Style = plan.Style };
            yield return (Measure.SlowerOrPaused, make, words);
        }

        if (plan.Rest < make.Rest)
        {
            make = make with { Rest = plan.Rest };
            yield return (Measure.ShorterRest, make, $"{plan.Rest} rest");
        }

        if (plan.Form != SetForm.Straight)
        {
            make = make with { Form = plan.Form };
            yield return plan.Form switch
            {
                SetForm.PushFirst => (Measure.Hold, make, "push first"),
                SetForm.HoldToFatigue => (Measure.Hold, make, "hold at the end"),
                _ => (Measure.RestPause, make, "rest-pause"),
            };
        }

        if (plan.Form != SetForm.RestPause && plan.Repetitions.Length > make.Sets)
        {
            int sets = plan.Repetitions.Length - make.Sets;
            yield return (Measure.MoreSets, make with { Sets = plan.Repetitions.Length }, sets == 1 ? "+1 set" : $"+{sets} sets");
        }
    }

    private static string LoadWords(LineDose line) => line.Rung.Load > Mass.Zero ? line.Rung.Load.ToString() : "own weight";

    /// <summary>The phases that got longer, and what is added to each repetition.</summary>
    private static string StyleWords(RepetitionStyle before, RepetitionStyle style)
    {
        var (was, tempo) = (before.Tempo, style.Tempo);
        var words = new List<string>();
        AddIf(tempo.Lowering > was.Lowering, $"{tempo.Lowering} s down");
        AddIf(tempo.AfterLowering > was.AfterLowering, $"{tempo.AfterLowering} s hold low");
        AddIf(tempo.Lifting > was.Lifting, $"{tempo.Lifting} s up");
        AddIf(tempo.AfterLifting > was.AfterLifting, $"{tempo.AfterLifting} s hold high");
        AddIf(style.Partial != before.Partial, RepetitionStyle.Named(style.Partial));
        AddIf(style.Pulses > before.Pulses, RepetitionStyle.PulsesNamed(style.Pulses));
        return words.Count == 0 ? tempo.ToString() : string.Join(", ", words);

        void AddIf(bool changed, string phase)
        {
            if (changed)
            {
                words.Add(phase);
            }
        }
    }
}
