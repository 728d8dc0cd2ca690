using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Dosing;

/// <summary>
/// What a measure must earn before it is taken, in effective repetitions a written set. The order of preference stands in the
/// prices: more repetitions cost nothing, slower or partial ones more than unequal counts, shorter rest more than those, a push
/// first or rest-pause more again (common practice). Of two doses the one with less left open, prices added, is the better.
/// </summary>
public static class MeasurePrice
{
    /// <summary>Sets of different counts.</summary>
    public const double UnequalSets = 0.5;

    /// <summary>Each phase made longer, partial movement or pulses, and each second a repetition gets longer by them.</summary>
    public const double Technique = 1.0, Second = 0.1;

    /// <summary>A partial movement or pulses on top of that: slower and paused come first.</summary>
    public const double PartialOrPulses = 0.5;

    /// <summary>A rest made shorter, and each further step.</summary>
    public const double ShorterRest = 1.5, RestStep = 0.5;

    public const double PushFirst = 2.0, RestPause = 2.5;

    /// <summary>Another set, in effective repetitions in all; only where the house rules allow one.</summary>
    public const double AddedSet = 2.5;

    /// <summary>Of measures equally dear the plainer goes first: lowering, pause, lifting, partial, pulses.</summary>
    private const double Plainness = 0.001;

    public static double OfStyle(RepetitionStyle from, RepetitionStyle to) =>
        (Technique * Techniques(from, to))
        + (Second * Math.Max(0, (to.Lasts - from.Lasts).Seconds))
        + (PartialOrPulses * ((from.Partial == to.Partial ? 0 : 1) + (from.Pulses == to.Pulses ? 0 : 1)))
        + (Plainness * ((to.Tempo.AfterLowering - from.Tempo.AfterLowering)
            + (to.Tempo.AfterLifting - from.Tempo.AfterLifting)
            + (2 * (to.Tempo.Lifting - from.Tempo.Lifting))
            + (3 * (int)to.Partial) + (4 * to.Pulses)));

    public static double OfForm(SetForm form) => form switch
    {
        SetForm.PushFirst => PushFirst,
        SetForm.RestPause => RestPause,
        _ => 0,
    };

    /// <param name="steps">0 for the rest as written.</param>
    public static double OfRest(int steps) => steps == 0 ? 0 : ShorterRest + (RestStep * (steps - 1));

    /// <summary>Ways at once in which a repetition is made harder: each phase that differs, partial movement, pulses.</summary>
    public static int Techniques(RepetitionStyle from, RepetitionStyle to) =>
        Changed(from.Tempo, to.Tempo) + (from.Partial == to.Partial ? 0 : 1) + (from.Pulses == to.Pulses ? 0 : 1);

    private static int Changed(Tempo from, Tempo to) =>
        (from.Lowering == to.Lowering ? 0 : 1) + (from.AfterLowering == to.AfterLowering ? 0 : 1)
        + (from.Lifting == to.Lifting ? 0 : 1) + (from.AfterLifting == to.AfterLifting ? 0 : 1);

    /// <summary>Only lowered slower or paused.</summary>
    public static bool IsPlain(RepetitionStyle from, RepetitionStyle to) =>
        from.Tempo.Lifting == to.Tempo.Lifting && from.Partial == to.Partial && from.Pulses == to.Pulses;

    /// <summary>A push first and a rest-pause are techniques too.</summary>
    public static int Techniques(SetForm form) => form == SetForm.Straight ? 0 : 1;
}
