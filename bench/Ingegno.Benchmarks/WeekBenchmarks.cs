using System.Collections.Immutable;
using BenchmarkDotNet.Attributes;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Substitution;
using Ingegno.Core.Weeks;
using Ingegno.Solving;

namespace Ingegno.Benchmarks;

/// <summary>Goal: a week of 4 sessions of 10 lines with 20 options each solved to proven optimum within 500 ms, never worse than line by line.</summary>
[MemoryDiagnoser]
public class WeekBenchmarks
{
    private static readonly MuscleGroup[] Groups = [.. Enum.GetValues<MuscleGroup>().Take(17)];

    private readonly WeekSolver _solver = new();

    private readonly WeekModel _week = Made(new Random(7));

    [GlobalSetup]
    public void Check()
    {
        var found = _solver.Solve(_week)!;
        long lineByLine = WeekScore.Of(_week, new int[_week.Slots.Length])!.Worth;
        if (!found.Proven || found.Score.Worth < lineByLine)
        {
            throw new InvalidOperationException("Not proven, or worse than line by line.");
        }

        Console.WriteLine($"// whole {found.Score.Worth}, line by line {lineByLine}");
    }

    [Benchmark]
    public WeekSolution? WholeWeek() => _solver.Solve(_week);

    [Benchmark(Baseline = true)]
    public WeekScore? LineByLine() => WeekScore.Of(_week, new int[_week.Slots.Length]);

    private static WeekModel Made(Random chance) => new(
        [.. Enumerable.Range(0, 40).Select(i => new WeekSlot(i + 1, i / 10, $"written-{i}", (Role)(i % 10 < 2 ? 0 : i % 10 < 6 ? 1 : 2), i % 10 > 7 ? "C" : null, Options(chance, i)))],
        4, 75 * 60, [(0, 1), (2, 3)],
        [.. Groups.Select(g => new WeekBand(g, 60, 200))],
        [.. Enum.GetValues<Pattern>().Take(16).Select(p => new WeekQuality($"{p}", WeekPrices.Default.PatternLost, IsPattern: true)), .. Enumerable.Range(0, 20).Select(r => new WeekQuality($"range {r}", WeekPrices.Default.RangeLost))]);

    private static ImmutableArray<WeekOption> Options(Random chance, int line) =>
    [
        .. Enumerable.Range(0, 20).Select(o => new WeekOption(
            $"exercise-{(line * 7 + o * 3) % 90}",
            (CandidateClass)(2 + (o / 5)),
            Math.Round(0.98 - (o * 0.01) - (chance.NextDouble() * 0.02), 2),
            [$"{(Pattern)((line + (o / 6)) % 16)}", $"range {(line + o) % 20}"],
            o % 3 == 0 ? null : $"kit-{chance.Next(5)}",
            o % 3 == 0 ? null : $"at {chance.Next(4)}",
            Enumerable.Range(0, 3).Select(k => Groups[(line + k + (o / 5)) % Groups.Length]).Distinct()
                .ToImmutableDictionary(g => g, _ => chance.Next(8, 36)),
            chance.Next(120, 330))).DistinctBy(o => o.Exercise),
    ];
}
