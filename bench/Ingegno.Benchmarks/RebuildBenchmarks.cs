using BenchmarkDotNet.Attributes;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Benchmarks;

/// <summary>Goal: one six-line session rebuilt, from text to alternatives, under 20 ms.</summary>
[MemoryDiagnoser]
public class RebuildBenchmarks
{
    private const string Text = """
        Saturday, legs and press
        Front squat 4 x 6 @ 72.5 kg, rest 3:00
        Push press 5 x 4 @ 80 %, rest 2:30
        B1 Seated cable row 3 x 10 @ 45 kg, rest 0:30
        B2 Leg extension 3 x 14 RPE 8, rest 1:00
        C1 Dead bug 3 x 8 each side, rest 0:20
        C2 Hammer curl 3 x 13 @ 9 kg, rest 1:00
        """;

    private static readonly DateOnly Today = new(2026, 11, 23);

    private static readonly FixtureCheck Passed = new(CheckVerdict.Passed, Today, "coach");

    private readonly ClientProfile _client = new()
    {
        Name = "Somebody",
        BodyMass = Mass.FromKilograms(66),
        Stature = Length.FromMetres(1.71),
        Lifts = [new KnownLift("front-squat", Mass.FromKilograms(72.5), 6, 1), new KnownLift("overhead-press", Mass.FromKilograms(37.5), 6, 1)],
    };

    private readonly Home _home = new()
    {
        Room = new Room { Headroom = Length.FromMetres(1.83), FloorLength = Length.FromMetres(3.1), Floors = [FloorKind.Wood] },
        Fixtures =
        [
            new Fixture { Id = "step", Name = "Step", Kind = FixtureKind.Step, Height = Length.FromMetres(0.21), Check = Passed },
            new Fixture { Id = "berth", Name = "Berth", Kind = FixtureKind.Bed, Height = Length.FromMetres(0.44), Check = Passed },
            new Fixture { Id = "table", Name = "Table", Kind = FixtureKind.Table, Height = Length.FromMetres(0.72), Check = Passed },
        ],
        Kit =
        [
            new PlateLoadedHandles
            {
                Id = "handles",
                Name = "Two handles",
                PlatesPerEnd = 2,
                Plates = [new Plates(Mass.FromKilograms(1.25), 4), new Plates(Mass.FromKilograms(2.5), 8)],
            },
            new Container
            {
                Id = "rucksack",
                Name = "Rucksack",
                OwnMass = Mass.FromKilograms(0.9),
                MostInAll = Mass.FromKilograms(15),
                Contents = [new Content("big bottle", Mass.FromGrams(1530), 6), new Content("book", Mass.FromGrams(860), 3), new Content("small bottle", Mass.FromGrams(530), 4)],
            },
        ],
    };

    /// <summary>Everything anew, home ladders and strength anchors included: what one key on the bench costs.</summary>
    private readonly WrittenSession _oneLine = ProgrammeReader
        .Read("Seated cable row 3 x 10 @ 45 kg, rest 1:30", Catalogue.Shipped, MassUnit.Kilogram).Programme.Sessions[0];

    private readonly string _week = string.Join("\n\n", Enumerable.Range(1, 5).Select(day => $"Day {day}\n" + string.Join('\n', new[]
    {
        "Back squat 4 x 6 @ 80 %, rest 3:00", "Bench press 4 x 8 RPE 8, rest 2:00", "Barbell row 3 x 10 RPE 8, rest 2:00",
        "Overhead press 3 x 8 RPE 8, rest 2:00", "Romanian deadlift 3 x 8 RPE 8, rest 2:00", "Lat pulldown 3 x 12 RPE 9, rest 1:30",
        "Leg curl 3 x 12 RPE 8, rest 1:30", "Lateral raise 3 x 15 RPE 8, rest 1:00",
    })));

    private static readonly HashSet<string> Written = ["seated-cable-row"];

    private SessionRebuild _prepared = null!;

    [GlobalSetup]
    public void Prepare()
    {
        _prepared = new SessionRebuild(_client, _home, Catalogue.Shipped, HouseRules.Default, Today, new WrittenProgramme([_oneLine]));
        _prepared.Rebuild(_oneLine, []);
    }

    private static readonly string[] Typed =
    [
        "Squat 1x5 @ 100 kg, then 3x8 @ 80 kg", "DB bnech press 3 sets of 10 @ 2x12 kg", "SL RDL 3x8/side, 3 s down", "Paused goblet squat 3x8 + 5 pulses",
        "Curl / triceps pushdown 3x12", "Power thing 3x8", "3 rounds: 10 push-ups, 15 squats, plank 30 s", "Bench 5/3/1+ @ 75/85/95 %", "Chins 4x6 RPE 8 rest 2-3 min", "- [x] Lat PD 3x10",
    ];

    private static readonly string Long = string.Join('\n', Enumerable.Range(0, 300).Select(i => Typed[i % Typed.Length]));

    [Benchmark(Baseline = true)]
    public int Session()
    {
        var read = ProgrammeReader.Read(Text, Catalogue.Shipped, MassUnit.Kilogram);
        var rebuild = new SessionRebuild(_client, _home, Catalogue.Shipped, HouseRules.Default, Today, read.Programme);
        return rebuild.Rebuild(read.Programme.Sessions[0], []).Lines.Length;
    }

    /// <summary>All candidates for one line in a home that is prepared already, asked so that nothing worked out before answers; goal 5 ms.</summary>
    [Benchmark]
    public int OneLine() => _prepared.Rebuild(_oneLine, [], Written).Lines[0].Alternatives.Length;

    /// <summary>Forty lines of a week, text to alternatives; goal 150 ms.</summary>
    [Benchmark]
    public int WeekOfForty()
    {
        var read = ProgrammeReader.Read(_week, Catalogue.Shipped, MassUnit.Kilogram);
        var rebuild = new SessionRebuild(_client, _home, Catalogue.Shipped, HouseRules.Default, Today, read.Programme);
        return read.Programme.Sessions.Sum(s => rebuild.Rebuild(s, []).Lines.Length);
    }

    [Benchmark]
    public int ReadText() => ProgrammeReader.Read(Text, Catalogue.Shipped, _client.Unit).Programme.Sessions.Length;

    /// <summary>As much as one paste may hold, in coaches' words, slips included: read anew at every pause of the typing.</summary>
    [Benchmark]
    public int ReadThreeHundredLines() => ProgrammeReader.Read(Long, Catalogue.Shipped, _client.Unit).Problems.Length;
}
