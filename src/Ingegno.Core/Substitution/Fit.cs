using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>The parts a fit is made of, in the order they are weighted and drawn.</summary>
public enum FitPart
{
    Muscles,
    Direction,
    Kind,
    Dose,
    Sides,
    Range,
    Skill,
}

/// <summary>What a line is for in its session; it decides what a substitute must copy first.</summary>
public enum Role
{
    /// <summary>Copies the movement.</summary>
    Main,

    /// <summary>Between the two.</summary>
    Secondary,

    /// <summary>Copies the workload, even at the cost of direction.</summary>
    Accessory,
}

/// <summary>How well a substitute stands in for a written line: seven parts, each 0.05 to 1, and their weighted geometric mean.</summary>
/// <param name="Score">0.05 to 1.</param>
/// <param name="Parts">In the order of <see cref="FitPart"/>.</param>
/// <param name="Decisive">The part that cost most.</param>
public sealed record Fit(Share Score, ImmutableArray<Share> Parts, FitPart Decisive)
{
    /// <summary>A part is never quite zero, so that one failing does not hide the others.</summary>
    private const double Least = 0.05;

    /// <summary>In the order of <see cref="FitPart"/>, adding up to 1.</summary>
    public static ImmutableArray<double> WeightsFor(Role role, FitWeights weights) => role switch
    {
        Role.Main => Scaled(weights.Main),
        Role.Secondary => [.. Scaled(weights.Main).Zip(Scaled(weights.Accessory), (m, a) => (m + a) / 2)],
        Role.Accessory => Scaled(weights.Accessory),
        _ => throw new ArgumentOutOfRangeException(nameof(role)),
    };

    private static ImmutableArray<double> Scaled(ImmutableArray<double> weights) => [.. weights.Select(w => w / weights.Sum())];

    /// <param name="parts">Seven values in the order of <see cref="FitPart"/>; held in 0.05 to 1.</param>
    public static Fit Of(IReadOnlyList<double> parts, Role role, FitWeights practice)
    {
        var weights = WeightsFor(role, practice);
        var held = parts.Select(p => Math.Clamp(p, Least, 1)).ToArray();
        double score = 0;
        int decisive = 0;
        for (int i = 0; i < held.Length; i++)
        {
            score += weights[i] * Math.Log(held[i]);
            if (weights[i] * Math.Log(held[i]) < weights[decisive] * Math.Log(held[decisive]) - 1e-12)
            {
                decisive = i;
            }
        }

        return new Fit(Share.Of(Math.Exp(score)), [.. held.Select(Share.Of)], (FitPart)decisive);
    }

    public Share this[FitPart part] => Parts[(int)part];
}
