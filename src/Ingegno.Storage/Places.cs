using System.Text.Json;
using Dapper;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>A place of a client; the first of the list is where they train now.</summary>
public sealed record StoredPlace(string Id, Home Home, long Version);

/// <summary>The places a client trains in. Every query names the coach.</summary>
public sealed class Places(Database database)
{
    private readonly ReadLately<string, Home> _read = new(1024);

    /// <summary>The place in use first; empty when the coach has no such client.</summary>
    public async Task<IReadOnlyList<StoredPlace>> AllAsync(string coach, string client)
    {
        await using var connection = database.Open();
        var places = new List<StoredPlace>();
        foreach (string id in await connection.QueryAsync<string>(
            "SELECT id FROM place WHERE coach_id = @coach AND client_id = @client ORDER BY position, id", new { coach, client }))
        {
            // One that was taken away since its row was seen is left out.
            if (await _read.ReadAsync(connection, id, "document", "place WHERE id = @id", new { id }) is { } read)
            {
                places.Add(new(id, read.Value, read.Version));
            }
        }

        return places;
    }

    /// <summary>The place in use, or the one named; null when there is none such.</summary>
    public async Task<StoredPlace?> FindAsync(string coach, string client, string? place = null)
    {
        var all = await AllAsync(coach, client);
        return all.Where(p => place is null || p.Id == place).Take(1).SingleOrDefault();
    }

    /// <summary>Adds a place at the end of the list; false when the coach has no such client.</summary>
    public Task<bool> AddAsync(string coach, string client, string id, Home home, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) => await connection.ExecuteAsync(
            """
            INSERT INTO place (id, coach_id, client_id, position, document)
            SELECT @id, @coach, @client, (SELECT coalesce(max(position), -1) + 1 FROM place WHERE client_id = @client), @document
            WHERE EXISTS (SELECT 1 FROM client WHERE id = @client AND coach_id = @coach)
            """,
            new { id, coach, client, document = JsonSerializer.Serialize(home, TradeJson.Options) }, transaction) == 1);

    /// <summary>Saves unless somebody else did meanwhile.</summary>
    public Task<SaveResult> SaveAsync(string coach, string client, string place, Home home, long version, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            var values = new { coach, client, place, version, document = JsonSerializer.Serialize(home, TradeJson.Options) };
            int changed = await connection.ExecuteAsync(
                """
                UPDATE place SET document = @document, row_version = row_version + 1
                WHERE coach_id = @coach AND client_id = @client AND id = @place AND row_version = @version
                """,
                values, transaction);
            return new SaveResult(changed == 1, await connection.ExecuteScalarAsync<long>(
                "SELECT row_version FROM place WHERE coach_id = @coach AND client_id = @client AND id = @place", values, transaction));
        });

    /// <summary>Puts a place first: from now on the client trains there.</summary>
    public Task<bool> UseAsync(string coach, string client, string place, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
            await connection.ExecuteAsync(
                """
                UPDATE place SET position = (SELECT min(position) - 1 FROM place WHERE client_id = @client)
                WHERE coach_id = @coach AND client_id = @client AND id = @place
                """,
                new { coach, client, place }, transaction) == 1);

    /// <summary>Removes a place, never the last one; false when it is the last or not there.</summary>
    public Task<bool> RemoveAsync(string coach, string client, string place, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
            await connection.ExecuteAsync(
                """
                DELETE FROM place WHERE coach_id = @coach AND client_id = @client AND id = @place
                  AND (SELECT count(*) FROM place WHERE client_id = @client) > 1
                """,
                new { coach, client, place }, transaction) == 1);
}
