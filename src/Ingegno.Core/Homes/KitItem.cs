using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>Something that loads: dumbbells, a kettlebell, a bag with contents.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(FixedWeights), "fixedWeights")]
[JsonDerivedType(typeof(PlateLoadedHandles), "plateLoadedHandles")]
[JsonDerivedType(typeof(Container), "container")]
public abstract record KitItem
{
    /// <summary>Short and stable within the home, used by saved recipes.</summary>
    public required string Id { get; init; }

    /// <summary>The owner's word for it: "Rucksack", "Blue dumbbells".</summary>
    public required string Name { get; init; }
}

/// <summary>What a fixed weight is; it decides how it can be held.</summary>
public enum FixedWeightShape
{
    Dumbbell,
    Kettlebell,

    /// <summary>A jug, can or bottle of known mass with a handle or a grip.</summary>
    Jug,
}

/// <summary>Dumbbells, kettlebells, jugs or cans whose mass does not change: one line per mass and how many there are of it.</summary>
public sealed record FixedWeights : KitItem
{
    public FixedWeightShape Shape { get; init; }

    public ImmutableArray<WeightCount> Weights { get; init; } = [];
}

/// <summary>So many pieces of one mass.</summary>
public sealed record WeightCount(Mass Mass, int Count);

/// <summary>
/// One or two short handles that take plates. Both ends of a handle always carry the same;
/// a matched pair therefore needs four equal ends.
/// </summary>
public sealed record PlateLoadedHandles : KitItem
{
    /// <summary>1 or 2.</summary>
    public int Handles { get; init; } = 2;

    /// <summary>One empty handle with its collars.</summary>
    public Mass HandleMass { get; init; } = Mass.FromKilograms(2);

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

    /// <summary>Litres it holds. Null: room is no limit.</summary>
    public double? Litres { get; init; }

    public ImmutableArray<Content> Contents { get; init; } = [];
}

/// <summary>Like things that can be packed: so many pieces, each of one mass and room.</summary>
/// <param name="Litres">Room one piece takes; null counts as none.</param>
public sealed record Content(string Name, Mass Mass, int Count, double? Litres = null);
