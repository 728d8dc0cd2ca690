using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json.Serialization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>What a drill is for, in the order of a session.</summary>
public enum DrillKind
{
    /// <summary>3 to 5 minutes at an effort of 5 to 7 of 10.</summary>
    Raise,

    /// <summary>Takes the joints through their range.</summary>
    Loosen,

    /// <summary>Balance and crawls.</summary>
    Steady,

    /// <summary>Wakes the muscles of the day.</summary>
    SwitchOn,

    /// <summary>Works on a range that a screen found wanting.</summary>
    Mobility,
    Breathing,
    Stretch,
}

/// <summary>What a drill counts.</summary>
public enum DrillUnit
{
    Seconds,
    Repetitions,
    Breaths,
    Steps,
}

/// <summary>How much of a drill: sets of a count between low and high.</summary>
public sealed record DrillDose(int Sets, int Low, int High, DrillUnit Unit)
{
    /// <summary>"3 x 30 s", "6 to 10", "10 to 20 breaths".</summary>
    public override string ToString()
    {
        if (Unit == DrillUnit.Seconds && Low == High && Low >= 120 && Low % 60 == 0)
        {
            return $"{Low / 60} min";
        }

        string count = Low == High ? Low.ToString(CultureInfo.InvariantCulture) : $"{Low} to {High}";
        string unit = Unit switch
        {
            DrillUnit.Seconds => " s",
            DrillUnit.Breaths => " breaths",
            DrillUnit.Steps => " steps",
            _ => "",
        };
        return $"{(Sets > 1 ? $"{Sets} x " : "")}{count}{unit}";
    }
}

/// <summary>
/// A warm-up, mobility or cool-down item. In contrast to an <see cref="Exercise"/> it has no load and no maximum: it is
/// given as it stands, chosen by what the day trains or by a screen that failed.
/// </summary>
public sealed record Drill
{
    /// <summary>Lower case, hyphens; stable for ever.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    public ImmutableArray<string> Synonyms { get; init; } = [];

    public required DrillKind Kind { get; init; }

    /// <summary>Patterns it prepares for; empty for all.</summary>
    public ImmutableArray<Pattern> Patterns { get; init; } = [];

    /// <summary>Muscles it wakes or stretches.</summary>
    public ImmutableArray<Muscle> Muscles { get; init; } = [];

    /// <summary>Joints it moves.</summary>
    public ImmutableArray<Joint> Joints { get; init; } = [];

    /// <summary>The movement screen it works towards; null for none.</summary>
    public Screen? Opens { get; init; }

    /// <summary>A trait it answers; null for none.</summary>
    public Trait? For { get; init; }

    public required DrillDose Dose { get; init; }

    public bool PerSide { get; init; }

    /// <summary>Clear floor over stature.</summary>
    public Share FloorOfStature { get; init; } = Share.Of(0.6);

    public Noise Noise { get; init; } = Noise.Quiet;

    /// <summary>A knee is on the floor.</summary>
    public bool Kneels { get; init; }

    /// <summary>True for what a coach may ban as a whole.</summary>
    public bool Has(ExerciseAttribute attribute) => attribute switch
    {
        ExerciseAttribute.Kneeling => Kneels,
        ExerciseAttribute.Jumps => Noise == Noise.Loud,
        _ => false,
    };

    /// <summary>Answers of the health screen with which it is not given.</summary>
    public ImmutableArray<HealthQuestion> Conditions { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    public required ImmutableArray<string> SetUp { get; init; }

    public required ImmutableArray<string> Cues { get; init; }
}

/// <summary>One file of drills. Its schema is docs/drills.schema.json.</summary>
public sealed record DrillFile
{
    /// <summary>Where the schema stands, for editors.</summary>
    [JsonPropertyName("$schema")]
    public string? Schema { get; init; }

    public required ImmutableArray<Drill> Drills { get; init; }
}
