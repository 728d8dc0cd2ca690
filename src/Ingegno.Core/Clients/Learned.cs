using System.Collections.Immutable;
using System.Globalization;

namespace Ingegno.Core.Clients;

/// <summary>A factor on what holds for most people, with how well it is known.</summary>
/// <param name="Factor">1 for most.</param>
/// <param name="Spread">Standard deviation of its logarithm.</param>
public readonly record struct LearnedFactor(double Factor, double Spread);

/// <summary>What a client's log has taught about the body behind it.</summary>
/// <param name="Endurance">Repetitions past the first, against most people's, all exercises alike; 0.6 to 1.6.</param>
/// <param name="Recovery">What a rest is worth, against most people's, all exercises alike; 0.4 to 2.5.</param>
/// <param name="LeftUnsaid">Repetitions left beyond what the client says is left; negative when fewer are.</param>
/// <param name="LeftUnsaidSpread">Standard deviation of it, repetitions.</param>
/// <param name="Anchors">Maxima of the exercises logged, with how they last and recover; they stand before lifts and written loads.</param>
public sealed record Learned(
    LearnedFactor Endurance, LearnedFactor Recovery, double LeftUnsaid, double LeftUnsaidSpread, ImmutableArray<StrengthAnchor> Anchors)
{
    /// <summary>
    /// Spread of endurance before anything is logged: from body to body, and on one exercise against the same body's others; and of
    /// what is left unsaid (common practice). Together they make 0.28: repetitions at 60 percent scatter by 15 to 40 percent between people
    /// (Hoeger et al. 1990, Shimano et al. 2006, J Strength Cond Res 20:819-823; from memory).
    /// </summary>
    public const double UsualSpread = 0.2, OwnSpread = 0.2, UsualUnsaidSpread = 1;

    /// <summary>
    /// People leave more than they say, about a repetition and less near failure (Halperin et al. 2022, Sports Med 52:377-390; from memory).
    /// </summary>
    public const double UsualUnsaid = 0.5;

    /// <summary>
    /// Spread of recovery, from body to body and on one exercise against the others: wider than that of endurance, since the pools it acts on are a
    /// convention themselves (common practice).
    /// </summary>
    public const double RecoverySpread = 0.3, OwnRecoverySpread = 0.3;

    /// <summary>How far sets lie from their forecasts against most people's: under 1 for a steady client.</summary>
    public double Unsteadiness { get; init; } = 1;

    /// <summary>What this client says is left whatever is; null for who judges. Such answers teach little.</summary>
    public double? SaysAlways { get; init; }

    /// <summary>What every maximum gains a week, of its logarithm.</summary>
    public double GainAWeek { get; init; }

    /// <summary>Standard deviation of it.</summary>
    public double GainAWeekSpread { get; init; } = GainSpread;

    /// <summary>It with its 80 percent range, as a coach says it.</summary>
    public string GainInWords => string.Create(
        CultureInfo.InvariantCulture,
        $"{Percent(GainAWeek):0.0} % a week ({Percent(GainAWeek - (StrengthAnchor.EightyPercent * GainAWeekSpread)):0.0} to {Percent(GainAWeek + (StrengthAnchor.EightyPercent * GainAWeekSpread)):0.0})");

    private static double Percent(double logarithm) => 100 * (Math.Exp(logarithm) - 1);

    /// <summary>The last day that was learned from; null before the first.</summary>
    public DateOnly? Through { get; init; }

    /// <summary>
    /// Nothing is gained until the log tells; from one client to another it differs by so much a week: 40, 20 and 10 percent in about half a year of
    /// untrained, trained and advanced people lie within two of it (American College of Sports Medicine 2009, Med Sci Sports Exerc 41:687-708; from memory).
    /// </summary>
    public const double GainSpread = 0.006;

    /// <summary>Weeks it goes on without a set: after them nothing is gained (common practice).</summary>
    public const double LongestGain = 1.5;

    public static Learned Nothing { get; } = new(new(1, UsualSpread), new(1, RecoverySpread), 0, UsualUnsaidSpread, []);
}
