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

/// <summary>A step of the stair that is climbed where the load is missing.</summary>
public enum StairMeasure
{
    /// <summary>Counts to the top of the zone.</summary>
    Repetitions,

    /// <summary>One phase slower, or a loaded pause.</summary>
    OnePhase,

    /// <summary>Counts to the ceiling.</summary>
    Ceiling,

    /// <summary>A second measure, pulses or one-and-a-half, where the exercise and the house take two.</summary>
    SecondMeasure,

    /// <summary>Shorter rest, a push first, a hold at the end, rest-pause.</summary>
    Rest,
}

/// <summary>
/// The order in which measures are taken where the load is missing, as it ships (common practice): counts to the top of the zone, one slower or
/// paused phase, counts to the ceiling, a second measure, shorter rest and the rest. A practice orders them its own way. The first step on which
/// the set ends as asked is the last.
/// </summary>
public static class MeasureStair
{
    /// <summary>Under this demand no technique makes a load out of nothing: easy repetitions, and it is said.</summary>
    private static readonly Demand TooLight = SetForecast.HalfCredit;

    /// <summary>As it ships.</summary>
    public static ImmutableArray<StairMeasure> Usual { get; } = [.. Enum.GetValues<StairMeasure>()];

    /// <summary>Why an order is none; null where it is one: each step once, the zone before its ceiling, one measure before two.</summary>
    public static string? Against(ImmutableArray<StairMeasure> order) =>
        order.Length != Usual.Length || order.Distinct().Count() != Usual.Length ? "Name each measure once."
        : order.IndexOf(StairMeasure.Ceiling) < order.IndexOf(StairMeasure.Repetitions) ? "Counts go to the top of the zone before they go to its ceiling."
        : order.IndexOf(StairMeasure.SecondMeasure) < order.IndexOf(StairMeasure.OnePhase) ? "One slower or paused phase comes before a second measure."
        : null;

    /// <param name="equivalent">Demand on the rung.</param>
    public static ImmutableArray<MeasureStep> For(Intent intent, Demand equivalent, HouseRules rules, DoseSpace space)
    {
        var zone = rules.Zones.Of(intent.Repetitions.Min());
        int written = intent.Repetitions.Max(), most = MostOf(intent, rules);
        int top = Math.Min(most, Math.Max(zone.Most, written)), ceiling = Math.Min(most, Math.Max(zone.Ceiling, written));
        if (intent.IsTestSet)
        {
            return [new(most, 0, space.MostTechniques, false, true)];
        }

        // Fast work is never replaced by slow work, nor by a set that goes on for want of load (common practice).
        return intent.IsFast || (intent.Cap is null && equivalent < TooLight) ? [new(top, 0, 0, true, false)] : [.. Climbed(rules.Stair, Math.Min(most, written), top, ceiling, space.MostTechniques)];
    }

    /// <summary>Each step with all before it; over the zone a measure carries the set.</summary>
    private static IEnumerable<MeasureStep> Climbed(ImmutableArray<StairMeasure> stair, int written, int top, int ceiling, int techniques)
    {
        var at = new MeasureStep(written, 0, 0, true, false);
        if (stair[0] != StairMeasure.Repetitions)
        {
            yield return at;
        }

        foreach (var measure in stair)
        {
            at = measure switch
            {
                StairMeasure.Repetitions => at with { Cap = Math.Max(at.Cap, top) },
                StairMeasure.OnePhase => at with { Techniques = Math.Max(at.Techniques, 1) },
                StairMeasure.Ceiling => at with { Cap = ceiling },
                StairMeasure.SecondMeasure => at with { Techniques = techniques, Plain = false },
                StairMeasure.Rest => at with { Beyond = true },
                _ => throw new ArgumentOutOfRangeException(nameof(stair)),
            };
            yield return at with { Fewest = at.Cap > top && at.Techniques > 0 ? 1 : 0 };
        }
    }

    /// <summary>Most repetitions a set of this line is ever given.</summary>
    public static int MostOf(Intent intent, HouseRules rules) =>
        intent.IsTestSet ? Math.Max(rules.TestSetCap, rules.RepetitionCap) : Math.Max(rules.RepetitionCap, intent.Repetitions.Max());
}
