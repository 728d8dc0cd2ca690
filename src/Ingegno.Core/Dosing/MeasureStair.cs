using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What may be used on one step of the stair, all before it included.</summary>
/// <param name="Cap">Most repetitions a set.</param>
/// <param name="Fewest">Ways at once at least, where there are any: over the zone a measure carries the set.</param>
/// <param name="Techniques">Most ways at once in which a repetition is made harder.</param>
/// <param name="Plain">Only a slower lowering or a pause; slower lifting, pulses and partial movements come later.</param>
/// <param name="Beyond">Rests may be cut, and a set pushed before, held at its end or broken up.</param>
public sealed record MeasureStep(int Cap, int Fewest, int Techniques, bool Plain, bool Beyond);

/// <summary>
/// The order in which measures are taken where the load is missing: counts to the top of the zone, one slower or paused phase, counts to the
/// ceiling, a second measure, shorter rest and the rest (common practice). The first step on which the set ends as asked is the last.
/// </summary>
public static class MeasureStair
{
    /// <summary>Under this demand no technique makes a load out of nothing: easy repetitions, and it is said.</summary>
    private static readonly Demand TooLight = SetForecast.HalfCredit;

    /// <param name="equivalent">Demand on the rung.</param>
    public static ImmutableArray<MeasureStep> For(Intent intent, Demand equivalent, HouseRules rules, DoseSpace space)
    {
        var zone = RepetitionZone.Of(intent.Repetitions.Min());
        int written = intent.Repetitions.Max(), most = MostOf(intent, rules);
        int top = Math.Min(most, Math.Max(zone.Most, written)), ceiling = Math.Min(most, Math.Max(zone.Ceiling, written));
        if (intent.IsTestSet)
        {
            return [new(most, 0, space.MostTechniques, false, true)];
        }

        return intent.Cap is null && equivalent < TooLight
            ? [new(top, 0, 0, true, false)]
            : [new(top, 0, 0, true, false), new(top, 0, 1, true, false), new(ceiling, 1, 1, true, false), new(ceiling, 1, space.MostTechniques, false, false), new(ceiling, 1, space.MostTechniques, false, true)];
    }

    /// <summary>Most repetitions a set of this line is ever given.</summary>
    public static int MostOf(Intent intent, HouseRules rules) =>
        intent.IsTestSet ? Math.Max(rules.TestSetCap, rules.RepetitionCap) : Math.Max(rules.RepetitionCap, intent.Repetitions.Max());
}
