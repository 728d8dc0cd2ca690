using System.Collections.Immutable;

namespace Ingegno.Core.Effort;

/// <summary>Published points of how many repetitions a share of the maximum allows.</summary>
internal static class LoadChart
{
    /// <summary>
    /// Repetitions at a share of the one-repetition maximum. Haff and Triplett, Essentials of Strength Training and
    /// Conditioning, 4th ed. (from memory), without its rows for 11 and 12, which kink. Heaviest first.
    /// </summary>
    internal static readonly ImmutableArray<(double Share, double Repetitions)> Points =
    [
        (1.00, 1), (0.95, 2), (0.93, 3), (0.90, 4), (0.87, 5), (0.85, 6),
        (0.83, 7), (0.80, 8), (0.77, 9), (0.75, 10), (0.65, 15),
    ];

    /// <summary>
    /// Back squats to failure at 60, 80 and 90 percent. Shimano et al. 2006, J Strength Cond Res 20:819-823 (from memory; means rounded);
    /// a single at the maximum.
    /// </summary>
    internal static ImmutableArray<(double Share, double Repetitions)> Squat(bool trained) =>
        [(1.00, 1), (0.90, 6), (0.80, 12), (0.60, SquatAt60(trained))];

    internal static double SquatAt60(bool trained) => trained ? 30 : 36;

    /// <summary>
    /// Mean repetitions to failure at 40, 60 and 80 percent. Hoeger et al. 1990, J Appl Sport Sci Res 4:47-54
    /// (from memory; men).
    /// </summary>
    internal readonly record struct Hoeger(double At40, double At60, double At80);

    internal static Hoeger Bench(bool trained) => trained ? new(38.8, 22.6, 12.2) : new(34.9, 19.7, 9.8);

    internal static Hoeger LegPress(bool trained) => trained ? new(77.6, 45.5, 19.4) : new(80.1, 33.9, 15.2);

    internal static Hoeger LegExtension(bool trained) => trained ? new(32.9, 18.3, 11.6) : new(23.4, 15.4, 9.3);

    internal static Hoeger LegCurl(bool trained) => trained ? new(24.3, 15.4, 7.2) : new(18.6, 11.2, 6.3);

    internal static Hoeger ArmCurl(bool trained) => trained ? new(35.3, 21.3, 11.4) : new(24.3, 15.3, 7.6);

    internal static Hoeger SitUp(bool trained) => trained ? new(27.1, 18.9, 12.2) : new(21.1, 15.0, 8.3);
}
