using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Dosing;

/// <summary>
/// The styles a repetition of one exercise may have for one client under the house rules. In contrast to <see cref="DoseSpace"/> no line and no
/// rung bears on it, so it is worked out once and used for all of them.
/// </summary>
public sealed class StyleSpace(Exercise exercise, HouseRules rules, TechniqueLimits limits)
{
    /// <summary>Pulses for legs, and for arms and trunk: 3 to 5 and 2 to 3 (common practice).</summary>
    private static readonly ImmutableArray<int> LegPulses = [3, 4, 5], UpperPulses = [2, 3];

    private readonly ConcurrentDictionary<RepetitionStyle, ImmutableArray<RepetitionStyle>> _beyond = new();

    public TechniqueLimits Limits => limits;

    /// <summary>Slower, paused and partial versions of a style, cheapest first, itself left out.</summary>
    public ImmutableArray<RepetitionStyle> Beyond(RepetitionStyle start) => _beyond.GetOrAdd(start, from => [.. From(from)]);

    /// <summary>
    /// Slower, paused and partial versions of a style. Pauses, pulses and partial movements are added only where the exercise
    /// is loaded.
    /// </summary>
    private IEnumerable<RepetitionStyle> From(RepetitionStyle start)
    {
        int most = rules.MostTechniques(exercise);
        var extras = Extras();
        bool pause = Limits.Allows(Technique.Pause);
        bool low = pause && exercise.LoadedAfterLowering;
        bool high = pause && !exercise.LoadedAfterLowering && exercise.LoadedAfterLifting && rules.Teaches(Teaching.PauseAtHardest);
        var tempo = start.Tempo;
        var found = new List<(RepetitionStyle Style, double Price)>();
        foreach (int lowering in Span(tempo.Lowering, rules.SlowestLowering, Limits.Allows(Technique.SlowLowering)))
        {
            foreach (int afterLowering in Span(tempo.AfterLowering, rules.LongestPause, low))
            {
                foreach (int lifting in Span(tempo.Lifting, rules.SlowestLifting, !tempo.FastLifting && Limits.Allows(Technique.SlowBothWays)))
                {
                    foreach (int afterLifting in Span(tempo.AfterLifting, rules.LongestPause, high))
                    {
                        var slower = tempo with { Lowering = lowering, AfterLowering = afterLowering, Lifting = lifting, AfterLifting = afterLifting };
                        found.AddRange(extras
                            .Select(extra => new RepetitionStyle(slower, extra.Partial, extra.Pulses))
                            .Where(s => s != start && rules.Allows(s) && MeasurePrice.Techniques(start, s) <= most)
                            .Select(s => (s, MeasurePrice.OfStyle(start, s))));
                    }
                }
            }
        }

        return found.OrderBy(f => f.Price).Select(f => f.Style);
    }

    private ImmutableArray<(PartialPart Partial, int Pulses)> Extras()
    {
        bool loaded = exercise.LoadedAfterLowering || exercise.LoadedAfterLifting;
        var extras = ImmutableArray.Create((PartialPart.None, 0));
        if (loaded && Limits.Allows(Technique.OneAndAHalf))
        {
            extras = extras.Add((PartialPart.AndAQuarter, 0)).Add((PartialPart.AndAHalf, 0));
        }

        return loaded && Limits.Allows(Technique.Pulses)
            ? extras.AddRange((HouseRules.IsForLegs(exercise) ? LegPulses : UpperPulses).Select(p => (PartialPart.None, p)))
            : extras;
    }

    private static IEnumerable<int> Span(int from, int to, bool allowed) =>
        Enumerable.Range(from, allowed ? Math.Max(1, to - from + 1) : 1);
}
