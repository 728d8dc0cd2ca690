using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What carries a part of the gym set's effect at home, in the order the measures are taken.</summary>
public enum Measure
{
    Load,
    Repetitions,

    /// <summary>Slower, paused, pulsed or partial repetitions.</summary>
    SlowerOrPaused,
    ShorterRest,

    /// <summary>A maximal push first, or a hold at the end.</summary>
    Hold,
    RestPause,
    MoreSets,
}

/// <summary>One part of the bridge.</summary>
/// <param name="Effective">Effective repetitions this measure adds, all sets together.</param>
/// <param name="Text">What it is, in few words: "12.5 kg", "+4 reps", "4 s down".</param>
public sealed record BridgePart(Measure Measure, double Effective, string Text);

/// <summary>From what the gym set asks to what the home set gives, in effective repetitions and in demand.</summary>
/// <param name="Asked">Effective repetitions the written line asks.</param>
/// <param name="Given">Effective repetitions the home line gives; may be a little over.</param>
/// <param name="AskedDemand">Equivalent demand in the gym.</param>
/// <param name="GivenDemand">Equivalent demand at home.</param>
public sealed record Bridge(
    double Asked, double Given, Demand AskedDemand, Demand GivenDemand, ImmutableArray<BridgePart> Parts)
{
    /// <summary>What no measure carries; 0 when nothing is open.</summary>
    public double Open => Math.Max(0, Asked - Given);
}
