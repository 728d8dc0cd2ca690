using System.Collections.Immutable;

namespace Ingegno.Core.Clients;

/// <summary>A factor on what holds for most people, with how well it is known.</summary>
/// <param name="Factor">1 for most.</param>
/// <param name="Spread">Standard deviation of its logarithm.</param>
public readonly record struct LearnedFactor(double Factor, double Spread);

/// <summary>What a client's log has taught about the body behind it.</summary>
/// <param name="Endurance">Repetitions past the first, against most people's; 0.6 to 1.6.</param>
/// <param name="Recovery">What a rest is worth, against most people's; 0.6 to 1.6.</param>
/// <param name="LeftUnsaid">Repetitions left beyond what the client says is left; negative when fewer are.</param>
/// <param name="LeftUnsaidSpread">Standard deviation of it, repetitions.</param>
/// <param name="Anchors">Maxima of the exercises logged; they stand before lifts and written loads.</param>
public sealed record Learned(
    LearnedFactor Endurance, LearnedFactor Recovery, double LeftUnsaid, double LeftUnsaidSpread, ImmutableArray<StrengthAnchor> Anchors)
{
    /// <summary>Spread of endurance and recovery before anything is logged, and of what is left unsaid (common practice).</summary>
    public const double UsualSpread = 0.25, UsualUnsaidSpread = 1;

    /// <summary>How far sets lie from their forecasts against most people's: under 1 for a steady client.</summary>
    public double Unsteadiness { get; init; } = 1;

    public static Learned Nothing { get; } = new(new(1, UsualSpread), new(1, UsualSpread), 0, UsualUnsaidSpread, []);
}
