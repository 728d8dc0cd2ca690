using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>A thing that could be bought or lent, as it would stand in a home.</summary>
/// <param name="Item">As on the practice's price list.</param>
/// <param name="Lent">Too dear or too big to buy for a while: asked of the hall.</param>
public sealed record Purchase(string Item, KitItem? Kit, Fixture? Fixture, bool Lent);

/// <summary>Small kit and what a hall may lend; the figures of a thing are those usually sold (common practice).</summary>
public static class Purchases
{
    public static ImmutableArray<Purchase> All { get; } =
    [
        Of("Loop band, light", Band("light", 55, 128)), Of("Loop band, medium", Band("medium", 95, 220)), Of("Loop band, heavy", Band("heavy", 170, 390)),
        Of("Mini band", new Band { Id = "buy-mini", Name = "Mini band", Shape = BandShape.MiniLoop, RestLength = Length.FromMetres(0.30), Pulls = [Pull(0.45, 45), Pull(0.60, 72)] }),
        Of("Pair of straps with handles", new Straps { Id = "buy-straps", Name = "Straps", Bears = Mass.FromKilograms(200) }),
        Of("Slider pads", new Sliders { Id = "buy-sliders", Name = "Slider pads", Slider = SliderKind.SliderPad }),
        new("Door anchor", null, Checked("buy-anchor", FixtureKind.DoorAnchor, 2.0, 90), Lent: false),
        new("Pull-up bar for a door", null, Checked("buy-bar", FixtureKind.PullUpBar, 2.0, 130), Lent: false),
        Of("Kettlebell, 16 kg", new FixedWeights { Id = "buy-bell", Name = "Kettlebell", Shape = FixedWeightShape.Kettlebell, Weights = [new(Mass.FromKilograms(16), 1)] }),
        Of("Pair of handles with 20 kg of plates", new PlateLoadedHandles
        {
            Id = "buy-handles", Name = "Handles", Handles = 2, HandleMass = Mass.FromKilograms(2),
            Plates = [new(Mass.FromKilograms(1.25), 4), new(Mass.FromKilograms(2.5), 6)],
        }),
        Of("Rucksack, fitted", new Container
        {
            Id = "buy-rucksack", Name = "Rucksack", Shape = ContainerShape.Rucksack, OwnMass = Mass.FromKilograms(1.2), MostInAll = Mass.FromKilograms(25),
            Contents = [new("bottle", Mass.FromKilograms(1.53), 12)],
        }),
        new("Bar with 100 kg of plates", new PlateLoadedBar
        {
            Id = "lend-bar", Name = "Bar", BarMass = Mass.FromKilograms(20),
            Plates = [new(Mass.FromKilograms(20), 4), new(Mass.FromKilograms(5), 2), new(Mass.FromKilograms(2.5), 2), new(Mass.FromKilograms(1.25), 2)],
        }, null, Lent: true),
        new("Pair of dumbbells to 30 kg", new PlateLoadedHandles
        {
            Id = "lend-handles", Name = "Handles", Handles = 2, HandleMass = Mass.FromKilograms(2), Plates = [new(Mass.FromKilograms(5), 20), new(Mass.FromKilograms(1.25), 8)],
        }, null, Lent: true),
    ];

    /// <summary>The home with the thing in it; a bought fixture counts as checked on the day, so that the answer is what it would be after its check.</summary>
    public static Home With(Home home, Purchase purchase, DateOnly today) => home with
    {
        Kit = purchase.Kit is { } kit ? home.Kit.Add(kit) : home.Kit,
        Fixtures = purchase.Fixture is { } fixture
            ? home.Fixtures.Add(fixture with { Check = new FixtureCheck(CheckVerdict.Passed, today, "if it passes its check") })
            : home.Fixtures,
    };

    private static Purchase Of(string item, KitItem kit) => new(item, kit, null, Lent: false);

    private static Band Band(string name, double half, double oneAndAHalf) => new()
    {
        Id = $"buy-{name}",
        Name = $"Loop band, {name}",
        RestLength = Length.FromMetres(1.04),
        Pulls = [Pull(1.56, half), Pull(2.6, oneAndAHalf)],
    };

    private static BandPull Pull(double metres, double newtons) => new(Length.FromMetres(metres), Force.FromNewtons(newtons));

    private static Fixture Checked(string id, FixtureKind kind, double height, double bears) => new()
    {
        Id = id,
        Name = kind == FixtureKind.DoorAnchor ? "Door anchor" : "Pull-up bar",
        Kind = kind,
        Height = Length.FromMetres(height),
        Bears = Mass.FromKilograms(bears),
    };
}
