using System.Collections.Immutable;

namespace Ingegno.Core.Homes;

/// <summary>What a floor is made of.</summary>
public enum FloorKind
{
    Wood,
    Laminate,
    Tile,
    Carpet,
    Rubber,
    Concrete,
    Grass,
}

/// <summary>Something that may slide under a hand or a foot.</summary>
public enum SliderKind
{
    PaperPlate,
    Magazine,
    Towel,
    FurnitureGlider,
    SliderPad,
}

/// <summary>Which slider slides on which floor (common practice): the two together decide, neither alone.</summary>
public static class Sliding
{
    /// <summary>True when hands or feet glide on it; a pair that grips is never offered for a sliding exercise.</summary>
    public static bool Slides(SliderKind slider, FloorKind floor) => floor switch
    {
        FloorKind.Wood or FloorKind.Laminate or FloorKind.Tile => true,
        FloorKind.Carpet => slider is SliderKind.PaperPlate or SliderKind.Magazine or SliderKind.SliderPad,
        _ => false,
    };

    /// <summary>Every slider here that slides on a floor here; empty when nothing does.</summary>
    public static ImmutableArray<(Sliders Slider, FloorKind Floor)> In(Home home) =>
        [.. from slider in home.Kit.OfType<Sliders>()
            where slider.Count > 0
            from floor in home.Room.Floors
            where Slides(slider.Slider, floor)
            select (slider, floor)];
}
