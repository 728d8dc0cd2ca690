using BenchmarkDotNet.Attributes;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Benchmarks;

/// <summary>
/// Goals: packing 25 kinds of things up to 40 kg on the 10 g grid under 20 ms, with room to spare and with room that binds;
/// every ladder of a whole home under 50 ms; the reach chart with it, under what a browser needs to answer in 100 ms.
/// </summary>
[MemoryDiagnoser]
public class HomeBenchmarks
{
    private static readonly FixtureCheck Passed = new(CheckVerdict.Passed, new DateOnly(2026, 11, 9), "bench");

    private readonly Container _roomy = new()
    {
        Id = "bag",
        Name = "Bag",
        OwnMass = Mass.FromGrams(950),
        MostInAll = Mass.FromKilograms(40),
        Contents = [.. Enumerable.Range(0, 25).Select(i => new Content($"thing {i}", Mass.FromGrams(230 + (170 * i)), 1 + (i % 4), Volume.FromLitres(0.3 + (0.1 * i))))],
    };

    private readonly ClientProfile _client = new()
    {
        Name = "bench",
        Lifts = [new KnownLift("barbell-bench-press", Mass.FromKilograms(60), 8), new KnownLift("back-squat", Mass.FromKilograms(90), 6)],
    };

    private Home _home = new();
    private Container _tight = new() { Id = "bag", Name = "Bag" };

    [GlobalSetup]
    public void Setup()
    {
        _tight = _roomy with { Volume = Volume.FromLitres(22) };
        _home = new Home
        {
            Room = new Room { Headroom = Length.FromMetres(2.5), FloorLength = Length.FromMetres(3), Floors = [FloorKind.Wood] },
            Fixtures = [.. CommonThings.All.Select(t => t.Fixture).OfType<Fixture>().Select((f, i) => f with { Id = $"f{i}", Bears = Mass.FromKilograms(150), Check = Passed })],
            Kit = [.. CommonThings.All.Select(t => t.Kit).OfType<KitItem>().Select((k, i) => k with { Id = $"k{i}" })],
        };
    }

    [Benchmark]
    public int PackingWithRoomToSpare() => Packing.Ladder(_roomy).Rungs.Length;

    [Benchmark]
    public int PackingWhereRoomBinds() => Packing.Ladder(_tight).Rungs.Length;

    [Benchmark(Baseline = true)]
    public int WholeHomeLadders() => HomeLadders.Of(_home).Length;

    [Benchmark]
    public int Reach() =>
        ReachChart.Of(_client, _home, Catalogue.Shipped, HouseRules.Default, new DateOnly(2026, 11, 23), new WrittenProgramme([])).Length;
}
