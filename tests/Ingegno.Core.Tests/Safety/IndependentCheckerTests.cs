using System.Collections.Concurrent;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Safety;

/// <summary>Random homes, clients and sessions of anything that can be written, read by <see cref="IndependentChecker"/>: not one certain breach.</summary>
public class IndependentCheckerTests
{
    private static readonly Exercise[] Written = [.. Catalogue.Shipped.Exercises.Where(e => !e.IsSlot)];

    private static readonly KitItem[] Things =
    [
        new FixedWeights { Id = "bells", Name = "Dumbbells", Shape = FixedWeightShape.Dumbbell, Weights = [new(Mass.FromKilograms(6), 2), new(Mass.FromKilograms(14), 2)] },
        new FixedWeights { Id = "kettlebell", Name = "Kettlebell", Shape = FixedWeightShape.Kettlebell, Weights = [new(Mass.FromKilograms(16), 1)] },
        new FixedWeights { Id = "cans", Name = "Cans", Shape = FixedWeightShape.Can, Weights = [new(Mass.FromKilograms(0.5), 4)] },
        new FixedWeights { Id = "sack", Name = "Sack of rice", Shape = FixedWeightShape.Sack, Weights = [new(Mass.FromKilograms(20), 1)] },
        new FixedWeights { Id = "jug", Name = "Jug", Shape = FixedWeightShape.Jug, Weights = [new(Mass.FromKilograms(5), 2)] },
        People.Handles(2, 2, (1.25, 8), (2.5, 8)),
        new PlateLoadedBar { Id = "bar", Name = "Bar", Plates = [new(Mass.FromKilograms(10), 8), new(Mass.FromKilograms(5), 4)] },
        People.Rucksack(1, 25, ("bottle", 1.5, 14)),
        new Container { Id = "basket", Name = "Basket", Shape = ContainerShape.Basket, OwnMass = Mass.FromKilograms(2), Contents = [new("tin", Mass.FromKilograms(1), 10)] },
        People.Loop(),
        People.Loop("strong", 2.5),
        People.Loop("mini", 1.2) with { Shape = BandShape.MiniLoop, RestLength = Length.FromMetres(0.30), Pulls = [new(Length.FromMetres(0.45), Force.FromNewtons(40)), new(Length.FromMetres(0.6), Force.FromNewtons(70))] },
        People.Loop("tube") with { Shape = BandShape.Tube },
        new Straps { Id = "straps", Name = "Straps", Bears = Mass.FromKilograms(150) },
        new Straps { Id = "unknown-straps", Name = "Old straps" },
        new Sliders { Id = "pads", Name = "Pads", Slider = SliderKind.SliderPad },
        new Scale { Id = "scale", Name = "Scale" },
    ];

    private static readonly Gen<Fixture> Fixtures = Gen.Select(
        Gen.Enum<FixtureKind>().Where(k => k != FixtureKind.Wall), Gen.Int[5, 230], Gen.Int[1, 2], Gen.Int[0, 5], Gen.Int[0, 250], Gen.Int[0, 1_000_000],
        (kind, height, count, check, bears, id) => People.Fixture(kind, height / 100.0, count, check switch
        {
            0 => null,
            1 => new(CheckVerdict.NotPassed, People.Today, "coach"),
            2 => new(CheckVerdict.Passed, People.Today.AddDays(-200), "coach"),
            _ => People.Passed,
        }, bears < 30 ? null : bears) with
        { Id = $"{kind}-{id}" });

    private static readonly Gen<Home> Homes = Gen.Select(
        Gen.Int[160, 280], Gen.Int[100, 400], Gen.Enum<FloorKind>(), Gen.Int[0, 7], Fixtures.Array[0, 9], Gen.Int[0, (1 << 17) - 1], Gen.Int[0, 3],
        (headroom, floor, kind, flags, fixtures, kit, more) => new Home
        {
            Room = new Room
            {
                Headroom = Length.FromCentimetres(headroom),
                FloorLength = Length.FromCentimetres(floor),
                Floors = [kind],
                NeighboursBelow = (flags & 1) == 1,
                Outdoors = flags == 6,
            },
            Fixtures = [.. fixtures.DistinctBy(f => f.Id)],
            // Most homes have few things.
            Kit = [.. Things.Where((_, i) => (kit >> i & 1) == 1 && (more == 0 || i % 3 == more - 1))],
        });

    private static readonly Gen<ClientProfile> Clients = Gen.Select(
        Gen.Select(Gen.Enum<Level>(), Gen.Enum<Sex>(), Gen.Int[42, 150], Gen.Int[148, 202], Gen.Int[1940, 2006]),
        Gen.Select(Gen.Enum<Joint>(), Gen.Int[0, 10]).Array[0, 2], Gen.Enum<Screen>().Array[0, 2], Gen.Enum<HealthQuestion>().Array[0, 2],
        Gen.Enum<ExerciseAttribute>().Array[0, 2], Gen.Int[0, 500], Gen.Int[0, 3],
        (body, sore, screens, named, bans, notYet, lifts) => People.Man with
        {
            Level = body.Item1,
            Sex = body.Item2,
            BodyMass = Mass.FromKilograms(body.Item3),
            Stature = Length.FromCentimetres(body.Item4),
            BirthYear = body.Item5,
            Lifts = lifts == 0 ? [] : lifts == 1 ? [.. People.Man.Lifts, new("push-up", Mass.Zero, 12)] : People.Man.Lifts,
            SoreJoints = [.. sore.Select(s => new Soreness(s.Item1, s.Item2))],
            Screens = [.. Enum.GetValues<Screen>().Select(s => new Screened(s, screens.Contains(s) ? ScreenResult.Failed : ScreenResult.Passed))],
            Health = new HealthScreen { Answers = [.. Enum.GetValues<HealthQuestion>().Select(q => new HealthAnswer(q, named.Contains(q)))] },
            Bans = [.. bans.Select(b => new Ban(null, b, "generated"))],
            NotYet = [.. TradeTable.Ladders.SelectMany(l => l).Where((_, i) => i == notYet)],
        });

    private static readonly Gen<WrittenLine[]> Sessions = Gen.Select(Gen.Int[0, Written.Length - 1], Gen.Int[1, 25], Gen.Int[1, 5], Gen.Int[0, 4]).Array[1, 7]
        .Select(made => made.Select((m, i) => new WrittenLine
        {
            Number = i + 1,
            Text = $"line {i + 1}",
            ExerciseName = Written[m.Item1].Name,
            Exercise = Written[m.Item1].Id,
            Group = m.Item4 < 3 ? null : m.Item4 == 3 ? "A" : "B",
            Sets = [.. Enumerable.Repeat(Target(Written[m.Item1], m.Item2), m.Item3)],
            Intensity = m.Item2 % 3 == 0 ? new Intensity(Reserve: 2) : m.Item2 % 3 == 1 ? new Intensity(Percent: Share.Of(0.7)) : new Intensity(),
        }).ToArray());

    private static SetTarget Target(Exercise e, int count) =>
        e.Counted == Counted.Seconds ? new(CountKind.Seconds, 5 * count, 5 * count) : new(CountKind.Repetitions, count, count);

    /// <summary>Sessions hold four lines on average; with CsCheck_Iter=10000 it is the whole trial.</summary>
    [Fact]
    public void A_coach_with_tables_of_his_own_finds_no_certain_breach()
    {
        var found = new ConcurrentBag<string>();
        Gen.Select(Homes, Clients, Sessions).Sample((home, client, lines) =>
        {
            var session = new WrittenSession("generated", [.. lines]);
            var rebuilt = new SessionRebuild(client, home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session])).Rebuild(session, []);
            foreach (string breach in new IndependentChecker(client, home, HouseRules.Default).Breaches(rebuilt))
            {
                found.Add(breach);
            }
        });
        found.ShouldBeEmpty(string.Join("\n", found.GroupBy(b => b).OrderByDescending(g => g.Count()).Select(g => $"{g.Count()} x {g.Key}")));
    }

    [Fact]
    public void The_table_knows_every_exercise_that_can_be_given() =>
        Catalogue.Shipped.Exercises.Where(e => e is { IsSlot: false, Setting: not Setting.Gym }).Select(e => e.Id).Except(TradeTable.Rows.Keys).ShouldBeEmpty();
}
