using System.Collections.Immutable;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Progression;

/// <summary>The latest estimates of one exercise, an exposure each.</summary>
/// <param name="Factors">Oldest first: maximum over what it was taken for at the start.</param>
public sealed record Exposures(string Exercise, ImmutableArray<double> Factors);

/// <summary>What is kept of a <see cref="Lesson"/> between two looks at the log: enough for forecasts, steps and the Desk.</summary>
/// <param name="Exposures">As many as a plateau needs.</param>
/// <param name="Moves">The last few, newest first.</param>
public sealed record Digest(Learned Learned, ImmutableArray<Exposures> Exposures, ImmutableArray<LearnedMove> Moves)
{
    private const int KeptMoves = 12, KeptExposures = 24;

    /// <summary>Exercises whose forecast keeps missing.</summary>
    public ImmutableArray<ForecastMiss> Misses { get; init; } = [];

    public static Digest Nothing { get; } = new(Learned.Nothing, [], []);

    public static Digest Of(Lesson lesson) => new(
        lesson.Learned,
        [.. lesson.Points.GroupBy(p => p.Exercise).Select(g => new Exposures(g.Key, [.. g.TakeLast(KeptExposures).Select(p => Math.Round(p.Factor, 4))]))],
        [.. lesson.Moves.Reverse().Take(KeptMoves)])
    {
        Misses = lesson.Misses,
    };

    /// <summary>Oldest first; empty when it was never logged.</summary>
    public ImmutableArray<double> Of(string exercise) => Exposures.FirstOrDefault(e => e.Exercise == exercise)?.Factors ?? [];
}
