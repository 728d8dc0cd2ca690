using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>The space itself. Unknown means not asked yet and is treated as an ordinary room.</summary>
public sealed record Room
{
    /// <summary>Floor to the lowest thing overhead. Null: not measured; 2.40 m is assumed.</summary>
    public Length? Headroom { get; init; }

    /// <summary>Clear floor, longer side. Null: not measured; 2.50 m is assumed.</summary>
    public Length? FloorLength { get; init; }

    /// <summary>Clear floor, shorter side. Null: not measured; 1.50 m is assumed.</summary>
    public Length? FloorWidth { get; init; }

    /// <summary>Somebody below hears landings and drops.</summary>
    public bool NeighboursBelow { get; init; }

    /// <summary>What the clear floor is made of; several where the place has several. Decides what slides and what grips.</summary>
    public ImmutableArray<FloorKind> Floors { get; init; } = [];

    /// <summary>There is usable ground outdoors: no ceiling, nobody below.</summary>
    public bool Outdoors { get; init; }

    /// <summary>The headroom to plan with: as measured, else an ordinary ceiling (common practice).</summary>
    public Length HeadroomOrUsual() => Headroom ?? Length.FromMetres(2.40);

    /// <summary>The clear length to plan with: as measured, else an ordinary corner (common practice).</summary>
    public Length FloorLengthOrUsual() => FloorLength ?? Length.FromMetres(2.50);
}
