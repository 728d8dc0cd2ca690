using System.Text.Json;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Server.Desk;

/// <summary>A fixture's check as it stood.</summary>
public sealed record FixtureSnapshot(string Place, string Fixture, FixtureCheck? Check, string Report);

/// <summary>Two accounts of a set, and what stood.</summary>
public sealed record ConflictSnapshot(string Conflict, SetLog? Standing);

/// <summary>
/// How things beside the plan stood before a decision, or after it: only what it touched. What it changed on the plan is in the list of changes.
/// </summary>
public sealed record Snapshot
{
    /// <summary>Exercise whose pain was cleared, and the clearance that stood.</summary>
    public string? Cleared { get; init; }

    public DateOnly? ClearedThrough { get; init; }

    public FixtureSnapshot? Fixture { get; init; }

    public ConflictSnapshot? Conflict { get; init; }

    internal string ToJson() => JsonSerializer.Serialize(this, TradeJson.Options);

    internal static Snapshot? Read(string? json) => json is null ? null : JsonSerializer.Deserialize<Snapshot>(json, TradeJson.Options);
}
