using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>Something one trains with: dumbbells, a kettlebell, a bag with contents, a band, straps.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(FixedWeights), "fixedWeights")]
[JsonDerivedType(typeof(PlateLoadedHandles), "plateLoadedHandles")]
[JsonDerivedType(typeof(PlateLoadedBar), "plateLoadedBar")]
[JsonDerivedType(typeof(Container), "container")]
[JsonDerivedType(typeof(Vessels), "vessels")]
[JsonDerivedType(typeof(Band), "band")]
[JsonDerivedType(typeof(Straps), "straps")]
[JsonDerivedType(typeof(Sliders), "sliders")]
[JsonDerivedType(typeof(Scale), "scale")]
public abstract record KitItem
{
    /// <summary>Short and stable within the home, used by saved recipes.</summary>
    public required string Id { get; init; }

    /// <summary>The owner's word for it: "Rucksack", "Blue dumbbells".</summary>
    public required string Name { get; init; }
}

/// <summary>What a fixed weight is; it decides how it can be held and what it is called.</summary>
public enum FixedWeightShape
{
    Dumbbell,
    Kettlebell,

    /// <summary>A closed jug of known mass with a handle.</summary>
    Jug,

    /// <summary>A can or bottle that fits the hand.</summary>
    Can,

    /// <summary>A closed sack: hugged, shouldered or laid across the hips, never held in one hand.</summary>
    Sack,
}

/// <summary>Dumbbells, kettlebells, jugs or cans whose mass does not change: one line per mass and how many there are of it.</summary>
public sealed record FixedWeights : KitItem
{
    public FixedWeightShape Shape { get; init; }

    public ImmutableArray<WeightCount> Weights { get; init; } = [];

    /// <summary>Gets eaten or emptied: its count drifts, and recipes that used it are flagged.</summary>
    public bool Consumable { get; init; }
}

/// <summary>So many pieces of one mass.</summary>
/// <param name="Error">How far the mass may be off, where it was weighed; null when it is printed on it.</param>
public sealed record WeightCount(Mass Mass, int Count, Mass? Error = null);

/// <summary>
/// One or two short handles that take plates. Both ends of a handle always carry the same;
/// a matched pair therefore needs four equal ends.
/// </summary>
public sealed record PlateLoadedHandles : KitItem
{
    /// <summary>1 or 2.</summary>
    public int Handles { get; init; } = 2;

    /// <summary>One empty handle, without collars unless they stay on.</summary>
    public Mass HandleMass { get; init; } = Mass.FromKilograms(2);

    /// <summary>One collar; two go on a handle. Zero where they are counted with the handle.</summary>
    public Mass CollarMass { get; init; }

    public ImmutableArray<Plates> Plates { get; init; } = [];

    /// <summary>How many plates fit one end. Null: no limit by count.</summary>
    public int? PlatesPerEnd { get; init; }

    /// <summary>Free sleeve on one end. Null: not measured. Plates without a thickness take no room.</summary>
    public Length? SleeveRoom { get; init; }

    /// <summary>The most one loaded handle may weigh. Null: no limit.</summary>
    public Mass? MostPerHandle { get; init; }
}

/// <summary>So many plates of one mass.</summary>
public sealed record Plates(Mass Mass, int Count, Length? Thickness = null);

/// <summary>A long bar for both hands. Loaded like a handle: both ends equal.</summary>
public sealed record PlateLoadedBar : KitItem
{
    public Mass BarMass { get; init; } = Mass.FromKilograms(20);

    /// <summary>One collar; two go on.</summary>
    public Mass CollarMass { get; init; }

    public ImmutableArray<Plates> Plates { get; init; } = [];

    public int? PlatesPerEnd { get; init; }

    public Length? SleeveRoom { get; init; }

    /// <summary>The most the loaded bar may weigh. Null: no limit.</summary>
    public Mass? MostInAll { get; init; }
}

/// <summary>How a container is carried.</summary>
public enum ContainerShape
{
    /// <summary>Worn on the back or in front, hugged, or hung from one hand by its top handle.</summary>
    Rucksack,

    /// <summary>Hugged, or held by two handles.</summary>
    Basket,

    /// <summary>Hung from one hand.</summary>
    Bag,
}

/// <summary>A rucksack, basket or bag and the things that may go into it.</summary>
public sealed record Container : KitItem
{
    public ContainerShape Shape { get; init; }

    public Mass OwnMass { get; init; }

    /// <summary>The most it may weigh in all, itself included. Null: as much as goes in.</summary>
    public Mass? MostInAll { get; init; }

    /// <summary>Room inside. Null: room is no limit.</summary>
    public Volume? Volume { get; init; }

    public ImmutableArray<Content> Contents { get; init; } = [];
}

/// <summary>Like things that can be packed: so many pieces, each of one mass and room.</summary>
/// <param name="Volume">Room one piece takes; null counts as none.</param>
/// <param name="Error">How far the mass of one may be off, where it was weighed; null when it is printed on it.</param>
/// <param name="Consumable">Gets eaten or emptied: its count drifts.</param>
public sealed record Content(
    string Name, Mass Mass, int Count, Volume? Volume = null, Mass? Error = null, bool Consumable = false);

/// <summary>What fills a vessel; its density is in <see cref="Loads.Filling"/>.</summary>
public enum FillMaterial
{
    Water,
    Milk,
    Sand,
    Salt,
    Sugar,
    Rice,
    Flour,
}

/// <summary>Equal jugs or cans with a lid that can be filled to any mark. In contrast, <see cref="FixedWeights"/> stay as they are.</summary>
public sealed record Vessels : KitItem
{
    public int Count { get; init; } = 1;

    /// <summary>Room inside one, to the brim.</summary>
    public Volume Volume { get; init; } = Volume.FromLitres(5);

    /// <summary>One empty, with its lid.</summary>
    public Mass OwnMass { get; init; } = Mass.FromKilograms(0.2);

    public FillMaterial Material { get; init; } = FillMaterial.Water;
}

/// <summary>How a band is made; decides where the hands go.</summary>
public enum BandShape
{
    /// <summary>A closed loop about a metre long laid flat.</summary>
    Loop,

    /// <summary>A tube with a handle at each end.</summary>
    Tube,

    /// <summary>A short closed loop for round the thighs or ankles.</summary>
    MiniLoop,
}

/// <summary>One reading: stretched to so long, it pulled so hard.</summary>
public sealed record BandPull(Length Length, Force Force);

/// <summary>Elastic bands, told by their own pulls: colours mean nothing between makers.</summary>
public sealed record Band : KitItem
{
    public BandShape Shape { get; init; }

    /// <summary>Laid flat and just straight, end to end.</summary>
    public Length RestLength { get; init; }

    /// <summary>As read off a luggage scale; two far apart make a curve, one only a rough one.</summary>
    public ImmutableArray<BandPull> Pulls { get; init; } = [];

    /// <summary>How many like it.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Colour its owner knows it by, as six hexadecimal digits; null for none.</summary>
    public string? Swatch { get; init; }
}

/// <summary>Straps or rings with handles, to hang from a rail that is too high.</summary>
public sealed record Straps : KitItem
{
    /// <summary>How far below the rail the handles can hang at most.</summary>
    public Length LongestDrop { get; init; } = Length.FromMetres(1.2);

    /// <summary>What they may carry together. Null: not known, and they are then not used.</summary>
    public Mass? Bears { get; init; }
}

/// <summary>Things to slide on; whether they do depends on the floor.</summary>
public sealed record Sliders : KitItem
{
    public SliderKind Slider { get; init; }

    public int Count { get; init; } = 2;
}

/// <summary>What a scale measures.</summary>
public enum ScaleKind
{
    Bathroom,
    Luggage,
    Kitchen,
}

/// <summary>A scale in the house, for weighing and for reading off how much a foot helps.</summary>
public sealed record Scale : KitItem
{
    public ScaleKind Measures { get; init; }

    /// <summary>Smallest difference it shows.</summary>
    public Mass Step { get; init; } = Mass.FromKilograms(0.1);
}
