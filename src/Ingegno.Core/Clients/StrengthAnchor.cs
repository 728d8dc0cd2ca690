using Ingegno.Core.Quantities;

namespace Ingegno.Core.Clients;

/// <summary>How well a maximum is known.</summary>
public enum AnchorBasis
{
    /// <summary>From a set of this very exercise.</summary>
    Lifted,

    /// <summary>From the client's log of it.</summary>
    Learned,

    /// <summary>Carried over from another lift by the strength ratios.</summary>
    Transferred,

    /// <summary>Nothing lifted is known: from level, sex and body mass alone.</summary>
    LevelAndBodyMass,
}

/// <summary>An estimated maximum with how far it may be off.</summary>
/// <param name="Maximum">External maximum, or for exercises measured in total the resistance with the body counted.</param>
/// <param name="IsTotal">True when <paramref name="Maximum"/> counts the body.</param>
/// <param name="Spread">Standard deviation of its logarithm.</param>
/// <param name="Story">How it came about, in words.</param>
public sealed record StrengthAnchor(
    string Exercise, Mass Maximum, bool IsTotal, double Spread, AnchorBasis Basis, string Story)
{
    /// <summary>An 80 percent range reaches so many standard deviations to each side: the ten-percent quantile of the normal distribution.</summary>
    internal const double EightyPercent = 1.2816;

    /// <summary>Staying power learned from the log: repetitions past the first, against most people's. 1 until the log says otherwise.</summary>
    public double Endurance { get; init; } = 1;

    /// <summary>Speed of recovery learned from the log: a rest counts as so many times its length. 1 until the log says otherwise.</summary>
    public double Recovery { get; init; } = 1;

    /// <summary>
    /// How the uncertainty of the maximum goes with that of endurance: covariance of their logarithms. A log that explains its sets by the one or
    /// the other leaves it negative; 0 until something is learned.
    /// </summary>
    public double WithEndurance { get; init; }

    public Mass Low => Maximum * Math.Exp(-EightyPercent * Spread);

    public Mass High => Maximum * Math.Exp(EightyPercent * Spread);

    /// <summary>The greatest resistance possible when this share of the body moves too. Never under a tenth of a kilogram.</summary>
    public Mass GreatestResistance(Share bodyMoved, Mass bodyMass) =>
        Mass.FromKilograms(Math.Max(0.1, (IsTotal ? Maximum : Maximum + (bodyMoved * bodyMass)).Kilograms));

    /// <summary>The external part alone; negative where the body alone is too much.</summary>
    public Mass ExternalMaximum(Share bodyMoved, Mass bodyMass) =>
        IsTotal ? Maximum - (bodyMoved * bodyMass) : Maximum;

    /// <summary>The same anchor of a body that lasts and recovers as learned.</summary>
    public StrengthAnchor Of(Learned learned) => this with { Endurance = learned.Endurance.Factor, Recovery = learned.Recovery.Factor };

    /// <summary>The same anchor moved along its own range, for "what if it is at the low end".</summary>
    public StrengthAnchor At(Mass maximum) => this with { Maximum = maximum };
}
