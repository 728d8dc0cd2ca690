using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Exercises;

/// <summary>One file of the catalogue: the exercises of one family. Its schema is docs/catalogue.schema.json.</summary>
public sealed record CatalogueFile
{
    /// <summary>Where the schema stands, for editors.</summary>
    [JsonPropertyName("$schema")]
    public string? Schema { get; init; }

    public required ExerciseFamily Family { get; init; }

    public required ImmutableArray<Exercise> Exercises { get; init; }

    /// <summary>The exercises with their family written in.</summary>
    public IEnumerable<Exercise> Members() => Exercises.Select(e => AskedOfBody.Completed(e with { Family = Family }));
}
