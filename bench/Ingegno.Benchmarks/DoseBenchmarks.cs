using BenchmarkDotNet.Attributes;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Benchmarks;

/// <summary>Goals: one forecast of four sets 20 microseconds, one dose search 1 ms, its bound 50 microseconds.</summary>
[MemoryDiagnoser]
public class DoseBenchmarks
{
    private static readonly ClientProfile Client = new()
    {
        Name = "Somebody",
        BodyMass = Mass.FromKilograms(80),
        Stature = Length.FromMetres(1.80),
        Level = Level.Advanced,
        Lifts = [new KnownLift("back-squat", Mass.FromKilograms(140), 5), new KnownLift("barbell-bench-press", Mass.FromKilograms(100), 5)],
    };

    private static readonly StrengthAnchors Anchors = StrengthAnchors.Of(Client, Catalogue.Shipped);

    private readonly ExerciseEffort _goblet = On("goblet-squat");

    private readonly LoadLadder _near = Ladder(5, 60), _light = Ladder(1, 12);

    private readonly SetPlan _plan = new([12, 12, 11, 10], Mass.FromKilograms(24), new Tempo(3, 1, 1, 0), Duration.FromSeconds(90), []);

    private Intent _intent = null!;

    private static ExerciseEffort On(string id) =>
        new(Catalogue.Shipped[id], Client, Anchors.For(Catalogue.Shipped[id])!, new Geometry());

    private static LoadLadder Ladder(int from, int to) =>
        LoadLadder.From(Enumerable.Range(from, to - from + 1).Select(kg => new Rung(Mass.FromKilograms(kg), Recipe.Nothing)));

    [GlobalSetup]
    public void Prepare()
    {
        var written = Catalogue.Shipped["back-squat"];
        var line = new WrittenLine
        {
            Number = 1,
            Text = "",
            ExerciseName = "",
            Exercise = written.Id,
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, 8, 8), 4)],
            Intensity = new Intensity(Reserve: 1),
            Rest = Duration.FromSeconds(150),
        };
        _intent = IntentReading.Read(line, written, Client, Anchors.For(written), HouseRules.Default, [])!;
    }

    [Benchmark(Baseline = true)]
    public double Forecast() => _plan.Forecast(_goblet)[^1].ToFailure;

    /// <summary>A load near enough: repetitions alone carry it.</summary>
    [Benchmark]
    public double SearchNear() => DoseSearch.Find(_intent, _goblet, _near, HouseRules.Default, Client, DoseWish.None)!.Score;

    /// <summary>The worst: so light that the search tries every style, rest and form.</summary>
    [Benchmark]
    public double SearchLight() => DoseSearch.Find(_intent, _goblet, _light, HouseRules.Default, Client, DoseWish.None)!.Score;

    [Benchmark]
    public double Bound() => DoseSearch.Bound(_intent, _goblet, _light, HouseRules.Default, Client)!.Effective;
}
