using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>A thing many homes have, with figures good enough to start from; the coach corrects what was measured.</summary>
/// <param name="Fixture">Set for a fixture; its id is empty and given when it is added.</param>
/// <param name="Kit">Set for a thing that loads; its id is empty and given when it is added.</param>
public sealed record CommonThing(string Name, Fixture? Fixture, KitItem? Kit);

/// <summary>
/// The quick-start list, so that nobody starts from a blank page. Heights of domestic furniture, masses of filled vessels
/// and pulls of bands are common practice; nothing on it has passed a check.
/// </summary>
public static class CommonThings
{
    public static ImmutableArray<CommonThing> All { get; } =
    [
        Surface("Kitchen chairs", FixtureKind.Chair, 0.45, count: 2, back: 0.90),
        Surface("Table", FixtureKind.Table, 0.74),
        Surface("Kitchen counter", FixtureKind.Counter, 0.91),
        Surface("Sofa", FixtureKind.Sofa, 0.42),
        Surface("Bed", FixtureKind.Bed, 0.50),
        Surface("Low stool", FixtureKind.Step, 0.30),
        Surface("Doorstep", FixtureKind.Step, 0.17),
        Surface("Stairs", FixtureKind.Stairs, 0.18),
        Surface("Banister", FixtureKind.Banister, 0.95),
        Surface("Door with anchor", FixtureKind.DoorAnchor, 2.00),
        Surface("Pull-up bar", FixtureKind.PullUpBar, 2.05),
        Surface("Rack with safety arms", FixtureKind.Rack, 1.60),
        Surface("Garden fence", FixtureKind.Fence, 1.10),
        Surface("Tree", FixtureKind.Tree, 2.00),
        Thing(new Container
        {
            Id = "",
            Name = "Rucksack",
            OwnMass = Mass.FromKilograms(1),
            MostInAll = Mass.FromKilograms(15),
            Volume = Volume.FromLitres(30),
            Contents =
            [
                new("big bottle", Mass.FromKilograms(1.53), 6, Volume.FromLitres(1.7), Consumable: true),
                new("book", Mass.FromKilograms(0.8), 4, Volume.FromLitres(1.0)),
                new("bag of rice", Mass.FromKilograms(1.0), 2, Volume.FromLitres(1.3), Consumable: true),
            ],
        }),
        Thing(new Vessels { Id = "", Name = "Water jugs, 5 l", Count = 2 }),
        Thing(new Vessels { Id = "", Name = "Bottles, 1.5 l", Count = 2, Volume = Volume.FromLitres(1.5), OwnMass = Mass.FromGrams(40) }),
        Thing(new FixedWeights { Id = "", Name = "Tins", Shape = FixedWeightShape.Can, Weights = [new(Mass.FromGrams(480), 4)], Consumable = true }),
        Thing(new Container { Id = "", Name = "Laundry basket", Shape = ContainerShape.Basket, OwnMass = Mass.FromKilograms(1.2), MostInAll = Mass.FromKilograms(20), Contents = [new("big bottle", Mass.FromKilograms(1.53), 8)] }),
        Thing(new Container { Id = "", Name = "Shopping bag", Shape = ContainerShape.Bag, OwnMass = Mass.FromGrams(100), MostInAll = Mass.FromKilograms(10), Contents = [new("big bottle", Mass.FromKilograms(1.53), 4)] }),
        Thing(new FixedWeights { Id = "", Name = "Dumbbells", Weights = [new(Mass.FromKilograms(5), 2)] }),
        Thing(new PlateLoadedHandles { Id = "", Name = "Two handles with plates", Plates = [new(Mass.FromKilograms(1.25), 4), new(Mass.FromKilograms(2.5), 4)] }),
        Thing(new FixedWeights { Id = "", Name = "Kettlebell", Shape = FixedWeightShape.Kettlebell, Weights = [new(Mass.FromKilograms(16), 1)] }),
        Thing(new PlateLoadedBar { Id = "", Name = "Bar with plates", Plates = [new(Mass.FromKilograms(5), 2), new(Mass.FromKilograms(10), 2)] }),
        Thing(Loop("Light loop band", 62)),
        Thing(Loop("Medium loop band", 105)),
        Thing(new Band { Id = "", Name = "Tube with handles", Shape = BandShape.Tube, RestLength = Length.FromMetres(1.20), Pulls = [new(Length.FromMetres(1.80), Force.FromNewtons(34))] }),
        Thing(new Band { Id = "", Name = "Mini band", Shape = BandShape.MiniLoop, RestLength = Length.FromMetres(0.30), Pulls = [new(Length.FromMetres(0.45), Force.FromNewtons(50))] }),
        Thing(new Straps { Id = "", Name = "Straps with handles", Bears = Mass.FromKilograms(150) }),
        Thing(new Sliders { Id = "", Name = "Magazines", Slider = SliderKind.Magazine }),
        Thing(new Sliders { Id = "", Name = "Furniture gliders", Slider = SliderKind.FurnitureGlider }),
        Thing(new Scale { Id = "", Name = "Bathroom scale" }),
    ];

    private static CommonThing Surface(string name, FixtureKind kind, double height, int count = 1, double? back = null) => new(
        name,
        new Fixture
        {
            Id = "",
            Name = name,
            Kind = kind,
            Height = Length.FromMetres(height),
            Count = count,
            BackHeight = back is { } metres ? Length.FromMetres(metres) : null,
        },
        null);

    private static CommonThing Thing(KitItem item) => new(item.Name, null, item);

    /// <summary>One usual pull only, so the curve says "rough" until the client's own band is pulled.</summary>
    private static Band Loop(string name, double newtons) => new()
    {
        Id = "",
        Name = name,
        RestLength = Length.FromMetres(1.04),
        Pulls = [new(Length.FromMetres(1.56), Force.FromNewtons(newtons))],
    };
}
