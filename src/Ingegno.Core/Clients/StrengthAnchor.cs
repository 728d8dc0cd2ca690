using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
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

    /// <summary>What is not known of it, beside <see cref="Spread"/>.</summary>
    public AnchorDoubt Doubt { get; init; } = AnchorDoubt.Usual;

    /// <summary>What the muscles met when it was first logged: there the maximum is what the log says it is. Null until then.</summary>
    public Mass? Pivot { get; init; }

    /// <summary>
    /// How repetitions fall off with the load against most people's, learned from the log: away from the <see cref="Pivot"/> the maximum counts as so many
    /// times its logarithm more. Above 0 heavier loads are borne better, and lighter ones worse, than the charts say.
    /// </summary>
    public double Steepness { get; init; }

    public Mass Low => Maximum * Math.Exp(-EightyPercent * Spread);

    public Mass High => Maximum * Math.Exp(EightyPercent * Spread);

    /// <summary>The greatest resistance possible when this share of the body moves too. Never under a tenth of a kilogram.</summary>
    public Mass GreatestResistance(Share bodyMoved, Mass bodyMass) =>
        Mass.FromKilograms(Math.Max(0.1, (IsTotal ? Maximum : Maximum + (bodyMoved * bodyMass)).Kilograms));

    /// <summary>The external part alone; negative where the body alone is too much.</summary>
    public Mass ExternalMaximum(Share bodyMoved, Mass bodyMass) =>
        IsTotal ? Maximum - (bodyMoved * bodyMass) : Maximum;

    /// <summary>The same anchor of a body that lasts and recovers as learned on other exercises.</summary>
    public StrengthAnchor Of(Learned learned) => this with
    {
        Endurance = learned.Endurance.Factor,
        Recovery = learned.Recovery.Factor,
        Doubt = AnchorDoubt.Elsewhere(learned),
    };

    /// <summary>So many times as strong: a factor on strength acts on all that is met, the body it moves counted.</summary>
    internal StrengthAnchor Stronger(double factor, Exercise exercise, ClientProfile client)
    {
        var body = IsTotal ? Mass.Zero : Resistance.BodyMoved(exercise.Load, client, new Geometry()) * client.BodyMass;
        return At(((Maximum + body) * factor) - body);
    }

    /// <summary>The same anchor moved along its own range, for "what if it is at the low end".</summary>
    public StrengthAnchor At(Mass maximum) => this with { Maximum = maximum };
}

/// <summary>
/// How far staying power and recovery on an exercise may be off, and how their doubts go with each other and with that of the maximum: all of
/// logarithms. A log that explains its sets by the one or the other leaves the covariances negative.
/// </summary>
/// <param name="Endurance">Standard deviation.</param>
/// <param name="Recovery">Standard deviation.</param>
/// <param name="MaximumWithEndurance">Covariance.</param>
/// <param name="MaximumWithRecovery">Covariance.</param>
/// <param name="EnduranceWithRecovery">Covariance.</param>
/// <param name="Steepness">Standard deviation; 0 until the exercise is logged, since it counts from there.</param>
/// <param name="MaximumWithSteepness">Covariance.</param>
/// <param name="EnduranceWithSteepness">Covariance.</param>
/// <param name="RecoveryWithSteepness">Covariance.</param>
public readonly record struct AnchorDoubt(
    double Endurance, double Recovery, double MaximumWithEndurance = 0, double MaximumWithRecovery = 0, double EnduranceWithRecovery = 0,
    double Steepness = 0, double MaximumWithSteepness = 0, double EnduranceWithSteepness = 0, double RecoveryWithSteepness = 0)
{
    /// <summary>Before anything is logged.</summary>
    public static AnchorDoubt Usual { get; } = Elsewhere(Learned.Nothing);

    /// <summary>Of an exercise that was not logged: what the log says of the body, and how far an exercise may lie from it.</summary>
    public static AnchorDoubt Elsewhere(Learned learned) => new(
        Math.Sqrt(Square(learned.Endurance.Spread) + Square(Learned.OwnSpread)), Math.Sqrt(Square(learned.Recovery.Spread) + Square(Learned.OwnRecoverySpread)));

    /// <summary>Variance of the logarithm of repetitions.</summary>
    /// <param name="maximum">How they bend with the logarithm of the maximum.</param>
    /// <param name="spread">Standard deviation of that.</param>
    public double Variance(double maximum, double endurance, double recovery, double steepness, double spread) =>
        Square(maximum * spread) + Square(endurance * Endurance) + Square(recovery * Recovery) + Square(steepness * Steepness)
        + (2 * ((maximum * endurance * MaximumWithEndurance) + (maximum * recovery * MaximumWithRecovery) + (endurance * recovery * EnduranceWithRecovery)
            + (maximum * steepness * MaximumWithSteepness) + (endurance * steepness * EnduranceWithSteepness) + (recovery * steepness * RecoveryWithSteepness)));

    private static double Square(double value) => value * value;
}
