using System.Collections.Immutable;
using Ingegno.Core.Programmes;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>The sets of a line within bounds that make sense; what lies outside is told and clamped.</summary>
internal static class LineSets
{
    /// <summary>Sets of a line at most.</summary>
    internal const int Most = 20;

    internal static ImmutableArray<SetTarget> Of(
        SetsRead read, (int Line, int Column, int Length) at, ImmutableArray<TextProblem>.Builder problems)
    {
        int sets = read.Sets ?? read.Targets.Length;
        if (sets is < 1 or > Most)
        {
            problems.Add(new(at.Line, at.Column, at.Length, $"{sets} sets: a line has 1 to {Most}."));
            sets = Math.Clamp(sets, 1, Most);
        }

        if (read.Targets.Length > 1 && read.Targets.Length != sets)
        {
            problems.Add(new(at.Line, at.Column, at.Length, $"{sets} sets, but {read.Targets.Length} counts are given: write one count a set, or one for all."));
            sets = Math.Min(Most, read.Targets.Length);
        }

        var (most, words) = Bounds(read.Targets[0].Kind);
        if (read.Targets.Any(t => t.Low < 1 || t.Low > most || t.High > most))
        {
            problems.Add(new(at.Line, at.Column, at.Length, words));
        }

        if (read.Reserve is not (null or >= 0 and <= 9))
        {
            problems.Add(new(at.Line, at.Column, at.Length, "Effort goes from RPE 1 to 10, or 0 to 9 repetitions in reserve."));
        }

        ImmutableArray<SetTarget> bounded = [.. read.Targets.Select(t => t with
        {
            Low = Math.Clamp(t.Low, 1, most),
            High = t.Kind is CountKind.AsManyAsPossible or CountKind.UntilEffort or CountKind.UntilGrip ? Math.Clamp(t.High, 0, most) : Math.Clamp(t.High, 1, most),
        })];
        return bounded.Length == 1 ? [.. Enumerable.Repeat(bounded[0], sets)] : bounded;
    }

    /// <summary>Most of a count in one set, and what to say over it.</summary>
    private static (int Most, string Words) Bounds(CountKind kind) => kind switch
    {
        CountKind.Seconds => (3600, "A set lasts 1 second to an hour."),
        CountKind.Breaths => (100, "A position is held for 1 to 100 breaths."),
        CountKind.Trips => (50, "A carry has 1 to 50 trips a set."),
        CountKind.Steps => (500, "A set has 1 to 500 steps."),
        CountKind.Total => (500, "A total has 1 to 500 repetitions."),
        CountKind.Metres => (1000, "A set goes 1 to 1000 m."),
        _ => (100, "A set has 1 to 100 repetitions."),
    };
}
