using System.Collections.Immutable;

namespace Ingegno.Core.Exercises;

/// <summary>
/// Slots of intent: "any row" asks for a movement and its muscles and leaves the exercise to the home. A slot reads like an exercise of
/// a programme but is never done; what fills it is chosen as for any written line, only that range, grip and line are free.
/// </summary>
public static class Slots
{
    /// <summary>What a slot is called, and the exercise it takes its pattern and muscles from.</summary>
    private static readonly ImmutableArray<(string Name, string Model)> Models =
    [
        ("Any squat", "goblet-squat"),
        ("Any one-leg squat", "split-squat"),
        ("Any hinge", "romanian-deadlift"),
        ("Any hip thrust", "barbell-hip-thrust"),
        ("Any knee curl", "leg-curl"),
        ("Any press from the chest", "barbell-bench-press"),
        ("Any press overhead", "overhead-press"),
        ("Any row", "seated-cable-row"),
        ("Any pull from above", "lat-pulldown"),
        ("Any chest fly", "cable-fly"),
        ("Any rear-shoulder work", "rear-shoulder-fly"),
        ("Any shoulder raise", "lateral-raise"),
        ("Any arm curl", "dumbbell-curl"),
        ("Any arm extension", "overhead-triceps-extension"),
        ("Any calf raise", "calf-raise-machine"),
        ("Any trunk hold", "plank"),
        ("Any trunk curl", "crunch"),
        ("Any hip to the side", "side-lying-leg-raise"),
    ];

    /// <summary>The slots whose model stands in the catalogue.</summary>
    internal static IEnumerable<Exercise> From(IReadOnlyDictionary<string, Exercise> byId) =>
        from slot in Models
        where byId.ContainsKey(slot.Model)
        select Of(slot.Name, byId[slot.Model]);

    private static Exercise Of(string name, Exercise model) => model with
    {
        Id = name.ToLowerInvariant().Replace(' ', '-'),
        Name = name,
        Synonyms = [],
        SharedNames = [],
        Setting = Setting.Gym,
        IsSlot = true,
        Grip = Grip.None,
        Skill = 1,
        Steadiness = 1,
        Harder = [],
        OffByDefault = null,
        Emphasis = [],
        Strength = model.Strength ?? (model.IsForecast ? new StrengthLink(model.Id, 1) : null),
    };
}
