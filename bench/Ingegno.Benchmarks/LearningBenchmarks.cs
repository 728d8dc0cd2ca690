using BenchmarkDotNet.Attributes;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Benchmarks;

/// <summary>A set learned from at the end of a long log: eight exercises, three sets each, three days a week.</summary>
[MemoryDiagnoser]
public class LearningBenchmarks
{
    private static readonly string[] Exercises =
    [
        "dumbbell-bench-press", "one-arm-dumbbell-row", "goblet-squat", "dumbbell-romanian-deadlift", "dumbbell-curl", "seated-dumbbell-press", "push-up", "lateral-raise",
    ];

    private readonly ClientProfile _client = new()
    {
        Name = "Somebody with a long log",
        BodyMass = Mass.FromKilograms(80),
        Lifts = [new KnownLift("barbell-bench-press", Mass.FromKilograms(80), 6, 1), new KnownLift("back-squat", Mass.FromKilograms(110), 5, 1)],
    };

    private StrengthAnchors _anchors = null!;
    private TrainedSet[] _log = null!;
    private LearnedSoFar _soFar = null!;

    [Params(1_000, 10_000)]
    public int Sets { get; set; }

    [GlobalSetup]
    public void SetUp()
    {
        _anchors = StrengthAnchors.Of(_client, Catalogue.Shipped);
        int aDay = Exercises.Length * 3;
        _log =
        [
            .. from i in Enumerable.Range(0, Sets)
               let line = i % aDay / 3
               select new TrainedSet(
                   new SetLog(Guid.NewGuid(), line, Exercises[line], new DateOnly(2020, 1, 6).AddDays(i / aDay * 7 / 3), (i % 3) + 1, Load(line), 10, 2), Line(line)),
        ];
        _soFar = Learning.From(_client, Catalogue.Shipped, _anchors, _log[..^1]).SoFar;
    }

    [Benchmark(Baseline = true, Description = "the whole log read from the start")]
    public Lesson Whole() => Learning.From(_client, Catalogue.Shipped, _anchors, _log);

    [Benchmark(Description = "one set more, gone on from what was learned")]
    public Lesson OneMore() => Learning.From(_client, Catalogue.Shipped, _anchors, _log, _soFar);

    private static Mass Load(int line) => Mass.FromKilograms(Exercises[line] == "push-up" ? 0 : 16);

    private static Prescription Line(int line) => new()
    {
        Exercise = Exercises[line],
        Name = Exercises[line],
        Count = CountKind.Repetitions,
        Counts = [10, 10, 10],
        TopOfRange = 10,
        PerSide = false,
        Load = Load(line),
        LoadInWords = "",
        Rest = Duration.FromSeconds(120),
        Reserve = 2,
        Geometry = new(),
    };
}
