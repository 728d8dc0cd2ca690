using System.Text.Json;
using Dapper;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>What each client's log has taught, kept so that it need not be read from the start every time.</summary>
public sealed class Lessons(Database database)
{
    /// <summary>Nothing learned while nothing was logged.</summary>
    public async Task<Digest> FindAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await connection.QuerySingleOrDefaultAsync<string>(
            "SELECT document FROM learned WHERE coach_id = @coach AND client_id = @client", new { coach, client }) is { } json
            ? JsonSerializer.Deserialize<Digest>(json, TradeJson.Options)!
            : Digest.Nothing;
    }

    public async Task SaveAsync(string coach, string client, Digest digest)
    {
        await using var connection = database.Open();
        await connection.ExecuteAsync(
            """
            INSERT INTO learned (client_id, coach_id, document) SELECT id, coach_id, @document FROM client WHERE id = @client AND coach_id = @coach
            ON CONFLICT (client_id) DO UPDATE SET document = excluded.document
            """,
            new { coach, client, document = JsonSerializer.Serialize(digest, TradeJson.Options) });
    }
}
