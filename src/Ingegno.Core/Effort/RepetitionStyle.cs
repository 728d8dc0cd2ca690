using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>What part of a movement is done beside, or instead of, the whole one.</summary>
public enum PartialPart
{
    None,

    /// <summary>One whole and a quarter at the hard end count one.</summary>
    AndAQuarter,

    /// <summary>One whole and a half at the hard end count one.</summary>
    AndAHalf,

    /// <summary>The short half of the range only.</summary>
    ShortHalf,
}

/// <summary>
/// How one counted repetition is done: its tempo, a partial movement, and pulses at the hard end. In contrast,
/// <see cref="SetForm"/> says how the set or the series around it is built.
/// </summary>
/// <param name="Pulses">Small movements at the hard end, a second each (common practice).</param>
public readonly record struct RepetitionStyle(Tempo Tempo, PartialPart Partial = PartialPart.None, int Pulses = 0)
{
    /// <summary>Most pulses that are still small movements and not a hold.</summary>
    public const int MostPulses = 10;

    public static RepetitionStyle Plain { get; } = new(Tempo.Reference);

    public static implicit operator RepetitionStyle(Tempo tempo) => new(tempo);

    /// <summary>Seconds of lowering and lifting that are done at the hard end on top of the whole movement.</summary>
    internal double ExtraSeconds => Partial switch
    {
        PartialPart.AndAQuarter => 0.25 * Moving,
        PartialPart.AndAHalf => 0.5 * Moving,
        _ => 0,
    };

    private int Moving => Math.Max(1, Tempo.Lowering) + Math.Max(1, Tempo.Lifting);

    /// <summary>How long one repetition takes.</summary>
    public Duration Lasts => Duration.FromSeconds(
        Tempo.Seconds + ExtraSeconds + Pulses - (Partial == PartialPart.ShortHalf ? 0.5 * Moving : 0));

    /// <summary>Whole movements it is worth in path: one and a half for a whole and a half.</summary>
    public double Path => Partial switch
    {
        PartialPart.AndAQuarter => 1.25,
        PartialPart.AndAHalf => 1.5,
        PartialPart.ShortHalf => 0.5,
        _ => 1,
    };

    /// <summary>"3-1-1-0, one and a half, 3 pulses".</summary>
    public override string ToString() => string.Join(", ", Words());

    private IEnumerable<string> Words()
    {
        yield return Tempo.ToString();
        if (Partial != PartialPart.None)
        {
            yield return Named(Partial);
        }

        if (Pulses > 0)
        {
            yield return PulsesNamed(Pulses);
        }
    }

    /// <summary>A partial movement as a coach calls it.</summary>
    public static string Named(PartialPart partial) => partial switch
    {
        PartialPart.AndAQuarter => "one and a quarter",
        PartialPart.AndAHalf => "one and a half",
        PartialPart.ShortHalf => "short half only",
        _ => "",
    };

    /// <summary>"3 pulses".</summary>
    public static string PulsesNamed(int pulses) => pulses == 1 ? "1 pulse" : $"{pulses} pulses";
}
