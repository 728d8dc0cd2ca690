using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>A line of a plan as it stood.</summary>
/// <param name="Place">Id of the place where that is not the one in use; null there.</param>
public sealed record LineSnapshot(int Line, Prescription? Prescription, Prescription? Start, DateOnly? Since, string? Place = null);

/// <summary>A fixture's check as it stood.</summary>
public sealed record FixtureSnapshot(string Place, string Fixture, FixtureCheck? Check, string Report);

/// <summary>The weeks of a plan as they stood; none when nothing was laid out.</summary>
public sealed record BlockSnapshot(Block? Block);

/// <summary>
/// How things stood before a decision, or after it: only what it touched. Undoing writes the one back where the other still stands.
/// </summary>
public sealed record Snapshot
{
    public ImmutableArray<LineSnapshot> Lines { get; init; } = [];

    /// <summary>All sessions, where the whole plan was rebuilt.</summary>
    public ImmutableArray<PlannedSession>? Sessions { get; init; }

    public ImmutableArray<PlannedPlace>? Elsewhere { get; init; }

    public ImmutableArray<Soreness>? SoreJoints { get; init; }

    /// <summary>Exercise whose pain was cleared, and the clearance that stood.</summary>
    public string? Cleared { get; init; }

    public DateOnly? ClearedThrough { get; init; }

    public FixtureSnapshot? Fixture { get; init; }

    /// <summary>The weeks, where they were shifted or one made easier.</summary>
    public BlockSnapshot? Weeks { get; init; }

    internal string ToJson() => JsonSerializer.Serialize(this, TradeJson.Options);

    internal static Snapshot? Read(string? json) => json is null ? null : JsonSerializer.Deserialize<Snapshot>(json, TradeJson.Options);
}
