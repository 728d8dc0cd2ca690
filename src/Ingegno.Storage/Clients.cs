using System.Text.Json;
using Dapper;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>A client of a coach.</summary>
public sealed record StoredClient(string Id, ClientProfile Profile, long Version);

/// <summary>Clients. Every query names the coach: nobody reaches another coach's rows.</summary>
public sealed class Clients(Database database)
{
    private readonly ReadLately<(string Coach, string Client), ClientProfile> _read = new(512);

    private sealed record Row(string Id, string Document, long Version);

    /// <summary>All clients of a coach, by name.</summary>
    public async Task<IReadOnlyList<StoredClient>> AllAsync(string coach)
    {
        await using var connection = database.Open();
        var rows = await connection.QueryAsync<Row>(
            """
            SELECT id AS Id, profile AS Document, row_version AS Version FROM client
            WHERE coach_id = @coach ORDER BY json_extract(profile, '$.name') COLLATE NOCASE, id
            """,
            new { coach });
        return [.. rows.Select(ToClient)];
    }

    /// <summary>Null when the coach has no such client.</summary>
    public async Task<StoredClient?> FindAsync(string coach, string id)
    {
        await using var connection = database.Open();
        return await _read.ReadAsync(connection, (coach, id), "profile", "client WHERE coach_id = @coach AND id = @id", new { coach, id }) is { } read
            ? new(id, read.Value, read.Version)
            : null;
    }

    /// <summary>Adds a client with a first place, both or neither.</summary>
    /// <param name="place">Id of the first place.</param>
    /// <param name="other">What a file had that is not known here, to be given out again; null for nothing.</param>
    public Task AddAsync(string coach, string id, ClientProfile profile, Home home, DateTimeOffset now, string? place = null, string? other = null, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                "INSERT INTO client (id, coach_id, profile, created_at, other) VALUES (@id, @coach, @profile, @now, @other)",
                new { id, coach, profile = Json(profile), now = now.ToString("O"), other }, transaction);
            await connection.ExecuteAsync(
                "INSERT INTO place (id, coach_id, client_id, position, document) VALUES (@place, @coach, @id, 0, @document)",
                new { place = place ?? Guid.CreateVersion7().ToString(), coach, id, document = Json(home) }, transaction);
            return true;
        });

    /// <summary>What the client's file had that is not known here, as JSON; null for nothing.</summary>
    public async Task<string?> OtherAsync(string coach, string id)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<string?>("SELECT other FROM client WHERE coach_id = @coach AND id = @id", new { coach, id });
    }

    /// <summary>Saves unless somebody else did meanwhile.</summary>
    public Task<SaveResult> SaveAsync(string coach, string id, ClientProfile profile, long version, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            var values = new { coach, id, version, document = Json(profile) };
            int changed = await connection.ExecuteAsync(
                "UPDATE client SET profile = @document, row_version = row_version + 1 WHERE coach_id = @coach AND id = @id AND row_version = @version",
                values, transaction);
            return new SaveResult(changed == 1, await connection.ExecuteScalarAsync<long>(
                "SELECT row_version FROM client WHERE coach_id = @coach AND id = @id", values, transaction));
        });

    private static StoredClient ToClient(Row row) => new(row.Id, Read<ClientProfile>(row.Document), row.Version);

    private static string Json<T>(T value) => JsonSerializer.Serialize(value, TradeJson.Options);

    private static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, TradeJson.Options)!;
}
