using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Formats.CaseFiles;

/// <summary>
/// One client as one JSON document: who, where, the written programme, and what was logged. Fields this version
/// does not know are kept.
/// </summary>
public sealed record CaseFile
{
    public const string FormatName = "ingegno-case";

    public required string Format { get; init; }

    public required int Version { get; init; }

    public required ClientProfile Client { get; init; }

    public Home Home { get; init; } = new();

    /// <summary>Further places the client trains in; <see cref="Home"/> is the one in use.</summary>
    public ImmutableArray<Home> Elsewhere { get; init; } = [];

    /// <summary>The programme in the notation of docs/formats.md.</summary>
    public string Programme { get; init; } = "";

    /// <summary>The weeks it is trained over; null where nothing is planned.</summary>
    public Block? Block { get; init; }

    public ImmutableArray<SetLog> Log { get; init; } = [];

    /// <summary>Exercises the practice added that programme, log or choices may refer to.</summary>
    public ImmutableArray<OwnExercise> Exercises { get; init; } = [];

    [JsonExtensionData]
    public IDictionary<string, JsonElement>? Other { get; init; }

    /// <exception cref="JsonException">Not a case file; the message names the place.</exception>
    public static CaseFile Parse(Stream json)
    {
        var file = JsonSerializer.Deserialize<CaseFile>(json, TradeJson.Options) ?? throw new JsonException("The file is empty.");
        return file is { Format: FormatName, Version: 1 }
            ? file
            : throw new JsonException($"Expected \"format\": \"{FormatName}\", \"version\": 1.");
    }

    public string ToJson() => JsonSerializer.Serialize(this, TradeJson.Options);
}
