using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests;

/// <summary>Made-up clients and homes the tests start from.</summary>
internal static class People
{
    internal static readonly DateOnly Today = new(2026, 11, 23);

    internal static readonly FixtureCheck Passed = new(CheckVerdict.Passed, new DateOnly(2026, 11, 9), "coach");

    internal static ClientProfile Man { get; } = new()
    {
        Name = "A man of 80 kg",
        Level = Level.Intermediate,
        Sex = Sex.Male,
        BodyMass = Mass.FromKilograms(80),
        Stature = Length.FromMetres(1.80),
        Lifts =
        [
            new KnownLift("barbell-bench-press", Mass.FromKilograms(80), 8),
            new KnownLift("back-squat", Mass.FromKilograms(110), 6),
            new KnownLift("lat-pulldown", Mass.FromKilograms(60), 10),
        ],
    };

    internal static ClientProfile With(this ClientProfile client, string exercise, double load, int repetitions, double reserve = 0) =>
        client with { Lifts = client.Lifts.Add(new KnownLift(exercise, Mass.FromKilograms(load), repetitions, reserve)) };

    internal static Fixture Fixture(FixtureKind kind, double height, int count = 1, FixtureCheck? check = null, double? bears = 200) => new()
    {
        Id = $"{kind}-{height}",
        Name = kind.ToString(),
        Kind = kind,
        Height = Length.FromMetres(height),
        Count = count,
        Bears = bears is { } kg ? Mass.FromKilograms(kg) : null,
        Check = check,
    };

    internal static PlateLoadedHandles Handles(int handles, double handleMass, params (double Mass, int Count)[] plates) => new()
    {
        Id = "handles",
        Name = "Handles",
        Handles = handles,
        HandleMass = Mass.FromKilograms(handleMass),
        Plates = [.. plates.Select(p => new Plates(Mass.FromKilograms(p.Mass), p.Count))],
    };

    internal static Container Rucksack(double own, double? most, params (string Name, double Mass, int Count)[] contents) => new()
    {
        Id = "rucksack",
        Name = "Rucksack",
        Shape = ContainerShape.Rucksack,
        OwnMass = Mass.FromKilograms(own),
        MostInAll = most is { } kg ? Mass.FromKilograms(kg) : null,
        Contents = [.. contents.Select(c => new Content(c.Name, Mass.FromKilograms(c.Mass), c.Count))],
    };

    /// <summary>The same home with a floor and something that slides on it.</summary>
    internal static Home Sliding(this Home home) => home with
    {
        Room = home.Room with { Floors = [FloorKind.Wood] },
        Kit = home.Kit.Add(new Sliders { Id = "sliders", Name = "Magazines", Slider = SliderKind.Magazine }),
    };

    /// <summary>A loop 1.04 m long that pulls 31 N at half its length more and 74 N at one and a half times more.</summary>
    internal static Band Loop(string id = "loop", double factor = 1, int count = 1) => new()
    {
        Id = id,
        Name = id,
        Count = count,
        RestLength = Length.FromMetres(1.04),
        Pulls =
        [
            new BandPull(Length.FromMetres(1.56), Force.FromNewtons(31 * factor)),
            new BandPull(Length.FromMetres(2.60), Force.FromNewtons(74 * factor)),
        ],
    };

    /// <summary>Every exercise, for questions after one that does not come near the top.</summary>
    internal static IReadOnlySet<string> AllExercises { get; } = Catalogue.Shipped.Exercises.Select(e => e.Id).ToHashSet();

    internal static Exercise Exercise(string id) => Catalogue.Shipped[id];
}
