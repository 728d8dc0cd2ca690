using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Programmes;

/// <summary>How heavy a line was written; at most one of percent and load is given.</summary>
/// <param name="Percent">Of the one-repetition maximum, 0 to 1.2.</param>
/// <param name="Load">As written; per hand for exercises done with a pair.</param>
/// <param name="Reserve">Repetitions left on the last, hardest set.</param>
public sealed record Intensity(Share? Percent = null, Mass? Load = null, double? Reserve = null)
{
    public static Intensity NotWritten { get; } = new();
}

/// <summary>One line of a session as a coach wrote it.</summary>
public sealed record WrittenLine
{
    /// <summary>What the line is called by: its line in the pasted text, from 1, later where a line above holds several exercises.</summary>
    public required int Number { get; init; }

    /// <summary>Line of the pasted text it stands on, from 1; 0 where it was not read from one.</summary>
    public int TextLine { get; init; }

    /// <summary>The line exactly as typed.</summary>
    public required string Text { get; init; }

    /// <summary>Letter of a superset or circuit, "A"; null when the line stands alone.</summary>
    public string? Group { get; init; }

    /// <summary>Place within the group, from 1; 0 when it stands alone.</summary>
    public int PlaceInGroup { get; init; }

    /// <summary>The exercise as typed.</summary>
    public required string ExerciseName { get; init; }

    /// <summary>Catalogue id; null when the name is not known.</summary>
    public string? Exercise { get; init; }

    /// <summary>One entry a set; never empty.</summary>
    public required ImmutableArray<SetTarget> Sets { get; init; }

    /// <summary>Sets of it are written with loads or efforts of their own: <see cref="SetBlocks"/>.</summary>
    [JsonIgnore]
    public bool IsInBlocks => Sets.Any(s => s.HasOwn);

    /// <summary>Of the sets the last so many are left to the day: one of "2-3 x 10".</summary>
    public int OptionalSets { get; init; }

    /// <summary>Of all sets; where sets have loads or efforts of their own, of the hardest of them.</summary>
    public Intensity Intensity { get; init; } = Intensity.NotWritten;

    public Tempo? Tempo { get; init; }

    public Duration? Rest { get; init; }

    public bool PerSide { get; init; }

    /// <summary>Sides take turns within a set; else one side is done first. The count is per side all the same.</summary>
    public bool Alternating { get; init; }

    /// <summary>Techniques as written, each once.</summary>
    public ImmutableArray<WrittenTechnique> Techniques { get; init; } = [];

    /// <summary>What it is for, where the coach wrote it; null leaves it to the repetitions.</summary>
    public Purpose? Purpose { get; init; }
}

/// <summary>One training day as written.</summary>
public sealed record WrittenSession(string Title, ImmutableArray<WrittenLine> Lines)
{
    /// <summary>Drills typed among the lines.</summary>
    public ImmutableArray<TypedDrill> Drills { get; init; } = [];
}

/// <summary>The week of a text that is trained.</summary>
/// <param name="Name">"Week 1", or "Weeks 1 to 4".</param>
/// <param name="Weeks">How many it stands for.</param>
public sealed record TrainedWeek(string Name, int Weeks);

/// <summary>A week of the text that is not trained yet: kept as typed, and read when it is its turn.</summary>
/// <param name="Number">Its place among the weeks.</param>
/// <param name="Name">"Week 2".</param>
/// <param name="Lines">Lines with something on them, its headings too.</param>
/// <param name="Text">All of it, its heading first.</param>
public sealed record WaitingWeek(int Number, string Name, int Lines, string Text);

/// <summary>The sessions of a pasted text, in order.</summary>
public sealed record WrittenProgramme(ImmutableArray<WrittenSession> Sessions)
{
    /// <summary>The week trained now, where the text has weeks: the first of them.</summary>
    public TrainedWeek? Week { get; init; }

    /// <summary>The other weeks, by number; a plan holds one week at a time.</summary>
    public ImmutableArray<WaitingWeek> Waiting { get; init; } = [];
}
