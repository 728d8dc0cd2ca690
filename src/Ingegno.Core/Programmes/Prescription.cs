using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Programmes;

/// <summary>A fixture a prescription leans on.</summary>
/// <param name="Fixture">Id within the home.</param>
/// <param name="Height">At which it is used; lower than the fixture's own where a strap hangs from it.</param>
public sealed record Support(string Fixture, FixtureRole Role, Length Height);

/// <summary>Finishing a set on an easier variation: seven full, four kneeling. Each is logged for itself.</summary>
/// <param name="Exercise">Catalogue id.</param>
/// <param name="Expected">Repetitions of it the forecast expects after failing the first.</param>
public sealed record Finish(string Exercise, string Name, int Expected);

/// <summary>
/// What the client is told to do on one line at home. Frozen when a plan is saved: later changes of the home or of
/// the catalogue do not alter it. Nothing in it is blank except what the exercise does not have.
/// </summary>
public sealed record Prescription
{
    /// <summary>Catalogue id.</summary>
    public required string Exercise { get; init; }

    public required string Name { get; init; }

    public required CountKind Count { get; init; }

    /// <summary>Count per set, per side where <see cref="PerSide"/>.</summary>
    public required ImmutableArray<int> Counts { get; init; }

    /// <summary>
    /// Of the sets the last so many are left to the day: done where the one before was whole and left what was planned. The log tells which.
    /// </summary>
    public int OptionalSets { get; init; }

    /// <summary>Sets it had before a lay-off took some away: they come back one a week. 0 where none was taken.</summary>
    public int FullSets { get; init; }

    /// <summary>Upper end to climb to before the load goes up.</summary>
    public required int TopOfRange { get; init; }

    public required bool PerSide { get; init; }

    /// <summary>External load; a pair counts both pieces.</summary>
    public required Mass Load { get; init; }

    /// <summary>Kit item it is built with; null for body weight alone.</summary>
    public string? Kit { get; init; }

    public Hold? Hold { get; init; }

    /// <summary>"Rucksack on the back: 3 big bottles + 2 books = 7.4 kg"; "own weight".</summary>
    public required string LoadInWords { get; init; }

    public Tempo? Tempo { get; init; }

    /// <summary>A partial movement done beside, or instead of, the whole one.</summary>
    public PartialPart Partial { get; init; }

    /// <summary>Pulses at the hard end of each repetition.</summary>
    public int Pulses { get; init; }

    /// <summary>How the sets are built; of a rest-pause <see cref="Counts"/> are the bouts.</summary>
    public SetForm Form { get; init; }

    /// <summary>Sides take turns within a set; else one side is done first.</summary>
    public bool Alternating { get; init; }

    /// <summary>An easier variation the set is finished on where it ends early; null for most lines.</summary>
    public Finish? FinishOn { get; init; }

    /// <summary>How each repetition is done; plain where no tempo is given.</summary>
    [JsonIgnore]
    public RepetitionStyle Style => new(Tempo ?? Programmes.Tempo.Reference, Partial, Pulses);

    public required Duration Rest { get; init; }

    /// <summary>Repetitions to leave on the last set; null for held or counted work without a forecast.</summary>
    public double? Reserve { get; init; }

    /// <summary>Heights the body share was worked out with.</summary>
    public required Geometry Geometry { get; init; }

    /// <summary>The fixtures it leans on, by id; the words for them stand in <see cref="Placement"/>.</summary>
    public ImmutableArray<Support> Supports { get; init; } = [];

    /// <summary>Where things stand: "Feet: Berth, 44 cm".</summary>
    public ImmutableArray<string> Placement { get; init; } = [];

    /// <summary>What the line is for, where the coach wrote it.</summary>
    public Purpose? Purpose { get; init; }

    public ImmutableArray<string> SetUp { get; init; } = [];

    public ImmutableArray<string> Cues { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    /// <summary>"4 x 8 a side", "3 x 10/10/8", "3 x 30 s", "24 in all: 12 + 5 + 4 + 3".</summary>
    public string CountInWords => CountWords.Of(this);
}
