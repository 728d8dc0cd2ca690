using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Formats.CaseFiles;

/// <summary>Sets that were asked as the same.</summary>
public sealed record AskedSets(Prescription As, ImmutableArray<Guid> Sets);

/// <summary>What the coach decided on the Desk.</summary>
/// <param name="About">What it was about, so that the same is not asked again.</param>
/// <param name="Before">How things beside the plan stood before it, and after, for taking it back; null where it touched none.</param>
/// <param name="Command">The changes of the plan that came of it, by their own; null where none did.</param>
public sealed record CaseDecision(
    DateTimeOffset At, ImmutableArray<Subject> About, string Sentence, Answer Answer, bool Undone = false, JsonElement? Before = null, JsonElement? After = null, Guid? Command = null);

/// <summary>A client's own check of a thing at home, as it came from the phone.</summary>
/// <param name="Id">What decisions name it by.</param>
/// <param name="Place">One of the case's place ids.</param>
/// <param name="Photo">Where the photo lies beside the case file, with forward slashes; null where there is none.</param>
public sealed record CaseCheck(string Id, string Place, FixtureReport Report, bool Judged = false, string? Photo = null);

/// <summary>
/// One client as one JSON document: who, where, the written programme, and what was logged. Fields this version
/// does not know are kept.
/// </summary>
public sealed record CaseFile
{
    public const string FormatName = "ingegno-case";

    /// <summary>1 had the text and the log; 2 has the plan in force with its history, and what sets were asked as.</summary>
    public const int Newest = 2;

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

    /// <summary>What is in force, as it was worked out and settled by hand; null where only the text is known. It names places by <see cref="PlaceIds"/>.</summary>
    public Plan? Plan { get; init; }

    /// <summary>How the plan came about, oldest first.</summary>
    public ImmutableArray<PlanChange> Changes { get; init; } = [];

    /// <summary>What the plan calls the places by: <see cref="Home"/> first, then <see cref="Elsewhere"/>.</summary>
    public ImmutableArray<string> PlaceIds { get; init; } = [];

    public ImmutableArray<SetLog> Log { get; init; } = [];

    /// <summary>What sets were asked as.</summary>
    public ImmutableArray<AskedSets> Asked { get; init; } = [];

    /// <summary>What the client said of sessions.</summary>
    public ImmutableArray<SessionNote> Notes { get; init; } = [];

    /// <summary>Pain the coach has cleared.</summary>
    public ImmutableArray<PainClearance> Cleared { get; init; } = [];

    /// <summary>Checks of things at home that came from the phone, newest first. Photos are files of their own, in a ZIP with this one.</summary>
    public ImmutableArray<CaseCheck> Checks { get; init; } = [];

    /// <summary>What the coach decided on the Desk, oldest first.</summary>
    public ImmutableArray<CaseDecision> Decisions { get; init; } = [];

    /// <summary>The coach's own words over the note of changes; null for the usual ones.</summary>
    public string? ChangeWords { get; init; }

    /// <summary>Exercises the practice added that programme, log or choices may refer to.</summary>
    public ImmutableArray<OwnExercise> Exercises { get; init; } = [];

    [JsonExtensionData]
    public IDictionary<string, JsonElement>? Other { get; init; }

    /// <summary>Reads this version and older ones; what an older one does not have stays empty.</summary>
    /// <exception cref="JsonException">Not a case file, or a newer one; the message names the place.</exception>
    public static CaseFile Parse(Stream json)
    {
        var file = JsonSerializer.Deserialize<CaseFile>(json, TradeJson.Options) ?? throw new JsonException("The file is empty.");
        return file.Format != FormatName ? throw new JsonException($"Expected \"format\": \"{FormatName}\".")
            : file.Version is < 1 or > Newest ? throw new JsonException($"This is version {file.Version} of a case file; up to {Newest} can be read here. Update Ingegno, or write the file from there anew.")
            : file with { Version = Newest };
    }

    public string ToJson() => JsonSerializer.Serialize(this, TradeJson.Options);
}
