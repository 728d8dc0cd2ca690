using BenchmarkDotNet.Attributes;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Benchmarks;

/// <summary>Goal: the whole ladder of two handles with 12 plate pairs and a rucksack of 20 kinds of things under 5 ms.</summary>
[MemoryDiagnoser]
public class LadderBenchmarks
{
    private readonly PlateLoadedHandles _handles = new()
    {
        Id = "handles",
        Name = "Handles",
        Handles = 2,
        Plates = [.. Enumerable.Range(0, 12).Select(i => new Plates(Mass.FromGrams(500 + (250 * (i / 2))), i % 2 == 0 ? 4 : 2))],
        PlatesPerEnd = 5,
    };

    private readonly Container _rucksack = new()
    {
        Id = "rucksack",
        Name = "Rucksack",
        OwnMass = Mass.FromGrams(950),
        MostInAll = Mass.FromKilograms(20),
        Volume = Volume.FromLitres(35),
        Contents = [.. Enumerable.Range(0, 20).Select(i => new Content($"thing {i}", Mass.FromGrams(230 + (170 * i)), 1 + (i % 3), Volume.FromLitres(0.3 + (0.1 * i))))],
    };

    [Benchmark]
    public int Handles() => PlateLadder.OneHandle(_handles).Rungs.Length + PlateLadder.Pair(_handles).Rungs.Length;

    [Benchmark]
    public int Rucksack() => Packing.Ladder(_rucksack).Rungs.Length;

    [Benchmark(Baseline = true)]
    public int Both() => Handles() + Rucksack();
}
