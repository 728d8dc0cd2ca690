using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Dosing;

/// <summary>
/// All that a dose on one rung may be made of within the house rules: styles of repetition, rests, forms and added sets, each
/// list cheapest first and beginning with what was written. A measure a coach fixed by hand leaves its list with that one.
/// </summary>
public sealed class DoseSpace
{
    /// <summary>Rests are cut to these parts, never under so many seconds (common practice).</summary>
    private static readonly ImmutableArray<double> RestCuts = [0.8, 0.6, 0.4];

    private const double ShortestRest = 30;

    /// <summary>A rest that makes up for load from the start, where that is taught (common practice).</summary>
    private const double TaughtRest = 0.6;

    /// <summary>Demand this much lower is not called short.</summary>
    private const double NearEnough = 0.03;

    /// <summary>Where only the lowering is done it is slow: 3 to 5 s (common practice).</summary>
    private const int UsualLowering = 4;

    /// <summary>Heavier than this no rest-pause is done.</summary>
    private static readonly Demand MostForRestPause = Demand.Of(0.80);

    private readonly StyleSpace? _othersOf;

    /// <param name="equivalent">Equivalent demand on the rung.</param>
    public DoseSpace(Intent intent, Exercise exercise, Demand equivalent, HouseRules rules, StyleSpace styles, DoseWish wish)
    {
        bool fixedCount = wish.Repetitions is not null, plainOnly = intent.Cap is not null || fixedCount;
        Written = AsWritten(intent, exercise, rules);
        Start = new(wish.Tempo ?? Written.Tempo, wish.Partial ?? PartialPart.None, wish.Pulses ?? 0);
        MostTechniques = rules.MostTechniques(exercise);
        _othersOf = wish.FixesStyle || plainOnly ? null : styles;

        var rest = wish.Rest ?? (rules.Teaches(Teaching.RestShort) && equivalent.Value < intent.Equivalent.Value - NearEnough
            ? Shortened(intent.Rest, TaughtRest)
            : intent.Rest);
        Rests = wish.Rest is not null || plainOnly
            ? [rest]
            : [.. RestCuts.Select(cut => Shortened(intent.Rest, cut)).Where(r => r < rest).Prepend(rest).Distinct()];
        Forms = wish.Form is { } form ? [form] : plainOnly ? [SetForm.Straight] : FormsOf(equivalent, styles.Limits);
        int sets = intent.Repetitions.Length;
        Sets = wish.Sets is { } count ? [count] : plainOnly ? [sets] : [.. Enumerable.Range(sets, rules.MostAddedSets + 1)];
    }

    /// <summary>As written, where that keeps within the house rules.</summary>
    public RepetitionStyle Written { get; }

    /// <summary>As written, or as fixed by hand: what a slower style starts from.</summary>
    public RepetitionStyle Start { get; }

    public ImmutableArray<RepetitionStyle> Styles => [Start, .. StylesBeyondStart()];

    /// <summary>Most lines never need them, so they are made when first asked for.</summary>
    internal ImmutableArray<RepetitionStyle> StylesBeyondStart() => _othersOf?.Beyond(Start) ?? [];

    /// <summary>Longest first.</summary>
    public ImmutableArray<Duration> Rests { get; }

    public ImmutableArray<SetForm> Forms { get; }

    /// <summary>How many sets.</summary>
    public ImmutableArray<int> Sets { get; }

    /// <summary>Most techniques at once, the form counted.</summary>
    public int MostTechniques { get; }

    /// <summary>Where lifting fast is taught and no other tempo was written, the compound lifts go up as fast as they can.</summary>
    private static RepetitionStyle AsWritten(Intent intent, Exercise exercise, HouseRules rules)
    {
        var tempo = rules.Allows(intent.Tempo) ? intent.Tempo : Tempo.Reference;
        if (exercise.IsLoweringOnly)
        {
            return tempo with { Lowering = Math.Max(tempo.Lowering, Math.Min(UsualLowering, rules.SlowestLowering)) };
        }

        return tempo == Tempo.Reference && rules.Teaches(Teaching.LiftFast) && exercise.Kind == MovementKind.Compound
            ? tempo with { FastLifting = true }
            : tempo;
    }

    private static Duration Shortened(Duration rest, double cut) =>
        Duration.FromSeconds(Math.Min(rest.Seconds, Math.Max(ShortestRest, Math.Round(rest.Seconds * cut / 5) * 5)));

    private static ImmutableArray<SetForm> FormsOf(Demand equivalent, TechniqueLimits limits)
    {
        var forms = ImmutableArray.Create(SetForm.Straight);
        if (limits.Allows(Technique.IsometricFirst))
        {
            forms = forms.Add(SetForm.PushFirst);
        }

        return limits.Allows(Technique.RestPause) && equivalent <= MostForRestPause ? forms.Add(SetForm.RestPause) : forms;
    }
}
