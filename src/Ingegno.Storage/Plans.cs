using System.Collections.Immutable;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Blocks;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Storage;

/// <summary>One prescribed line of a saved plan.</summary>
/// <param name="Line">Line number in the text; logs refer to it.</param>
/// <param name="Tag">"B1", or empty.</param>
/// <param name="Written">The line as typed.</param>
/// <param name="Prescription">Null where nothing here was possible.</param>
public sealed record PlannedLine(int Line, string Tag, string? Group, string Written, string Why, Prescription? Prescription)
{
    /// <summary>Exercises added to a line are numbered this far on from it, so that each has a log of its own.</summary>
    public const int AddedFrom = 1000;

    /// <summary>The line as it was when anything but repetitions was last raised; null in plans that did not keep it.</summary>
    public Prescription? Start { get; init; }

    /// <summary>First day whose sets count for the next step: what earned the last one earns nothing twice. Null: all do.</summary>
    public DateOnly? Since { get; init; }

    /// <summary>Harder variations possible when it was saved, nearest first.</summary>
    public ImmutableArray<Prescription> Harder { get; init; } = [];

    /// <summary>What to do instead on a day when the set-up does not stand, best first.</summary>
    public ImmutableArray<Prescription> Instead { get; init; } = [];

    /// <summary>Mobility work behind this line.</summary>
    public ImmutableArray<GivenDrill> Behind { get; init; } = [];
}

/// <summary>One prescribed session of a saved plan.</summary>
/// <param name="Length">With warm-up and cool-down.</param>
public sealed record PlannedSession(string Title, Duration Length, ImmutableArray<PlannedLine> Lines)
{
    public ImmutableArray<GivenDrill> WarmUp { get; init; } = [];

    public ImmutableArray<GivenDrill> CoolDown { get; init; } = [];

    /// <summary>Put out before it starts; empty in plans saved before there was one.</summary>
    public ImmutableArray<LaidOut> LayOut { get; init; } = [];
}

/// <summary>The same programme rebuilt for another place: travel, work.</summary>
/// <param name="Place">Id of the place.</param>
public sealed record PlannedPlace(string Place, string Name, ImmutableArray<PlannedSession> Sessions);

/// <summary>A client's programme as typed, the coach's choices, and what was saved for the client.</summary>
public sealed record Plan(
    string Text, ImmutableArray<LineChoice> Choices, ImmutableArray<PlannedSession> Sessions, DateTimeOffset? SavedAt)
{
    /// <summary>The weeks it is trained over; null until the coach has said so.</summary>
    public Block? Block { get; init; }

    /// <summary>Place the sessions are made for; null in plans saved before places had their own.</summary>
    public string? Place { get; init; }

    public string PlaceName { get; init; } = "";

    /// <summary>The client's other places.</summary>
    public ImmutableArray<PlannedPlace> Elsewhere { get; init; } = [];

    /// <summary>The plan as trained at a place: what was made for it comes to the front, the rest is kept. As it is where nothing was.</summary>
    public Plan At(string place) =>
        Place is { } here && here != place && Elsewhere.FirstOrDefault(p => p.Place == place) is { } there
            ? this with
            {
                Place = place,
                PlaceName = there.Name,
                Sessions = there.Sessions,
                Elsewhere = [.. Elsewhere.Where(p => p != there), new PlannedPlace(here, PlaceName, Sessions)],
            }
            : this;

    public static Plan Empty { get; } = new("", [], [], null);
}

/// <summary>A plan as trained at a place, with the version it was read at.</summary>
public static class PlansAtPlaces
{
    public static Versioned<Plan> At(this Versioned<Plan> plan, string place) => plan with { Value = plan.Value.At(place) };
}

/// <summary>The one current plan of each client.</summary>
public sealed class Plans(Database database)
{
    private sealed record Row(string Text, string Choices, string Sessions, string? SavedAt, string? Block, string? Place, string PlaceName, string Elsewhere, long Version);

    /// <summary>The empty plan at version 0 when none was saved yet.</summary>
    public async Task<Versioned<Plan>> FindAsync(string coach, string client)
    {
        await using var connection = database.Open();
        var row = await connection.QuerySingleOrDefaultAsync<Row>(
            """
            SELECT text AS Text, choices AS Choices, sessions AS Sessions, saved_at AS SavedAt, block AS Block, place AS Place, place_name AS PlaceName,
                   elsewhere AS Elsewhere, row_version AS Version
            FROM plan WHERE coach_id = @coach AND client_id = @client
            """,
            new { coach, client });
        return row is null
            ? new(Plan.Empty, 0)
            : new(
                new Plan(
                    row.Text,
                    JsonSerializer.Deserialize<ImmutableArray<LineChoice>>(row.Choices, TradeJson.Options),
                    JsonSerializer.Deserialize<ImmutableArray<PlannedSession>>(row.Sessions, TradeJson.Options),
                    row.SavedAt is null ? null : DateTimeOffset.Parse(row.SavedAt, System.Globalization.CultureInfo.InvariantCulture))
                {
                    Block = row.Block is null ? null : JsonSerializer.Deserialize<Block>(row.Block, TradeJson.Options),
                    Place = row.Place,
                    PlaceName = row.PlaceName,
                    Elsewhere = JsonSerializer.Deserialize<ImmutableArray<PlannedPlace>>(row.Elsewhere, TradeJson.Options),
                },
                row.Version);
    }

    /// <param name="version">The version it was read at; 0 for a first save.</param>
    public async Task<SaveResult> SaveAsync(string coach, string client, Plan plan, long version)
    {
        await using var connection = database.Open();
        var values = new
        {
            id = Guid.CreateVersion7().ToString(),
            coach,
            client,
            text = plan.Text,
            choices = JsonSerializer.Serialize(plan.Choices, TradeJson.Options),
            sessions = JsonSerializer.Serialize(plan.Sessions, TradeJson.Options),
            savedAt = plan.SavedAt?.ToString("O"),
            block = plan.Block is null ? null : JsonSerializer.Serialize(plan.Block, TradeJson.Options),
            place = plan.Place,
            placeName = plan.PlaceName,
            elsewhere = JsonSerializer.Serialize(plan.Elsewhere, TradeJson.Options),
            version,
        };
        int changed = await connection.ExecuteAsync(
            version == 0
                ? """
                  INSERT INTO plan (id, coach_id, client_id, text, choices, sessions, saved_at, block, place, place_name, elsewhere)
                  VALUES (@id, @coach, @client, @text, @choices, @sessions, @savedAt, @block, @place, @placeName, @elsewhere)
                  ON CONFLICT (client_id) DO NOTHING
                  """
                : """
                  UPDATE plan SET text = @text, choices = @choices, sessions = @sessions, saved_at = @savedAt, block = @block,
                      place = @place, place_name = @placeName, elsewhere = @elsewhere, row_version = row_version + 1
                  WHERE coach_id = @coach AND client_id = @client AND row_version = @version
                  """,
            values);
        return new(changed == 1, await connection.ExecuteScalarAsync<long>(
            "SELECT row_version FROM plan WHERE coach_id = @coach AND client_id = @client", values));
    }
}
