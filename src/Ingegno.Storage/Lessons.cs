using System.Text.Json;
using Dapper;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>What each client's log has taught, kept so that it need not be read from the start every time.</summary>
public sealed class Lessons(Database database)
{
    private readonly ReadLately<(string Coach, string Client), Digest> _read = new(256);

    /// <summary>Nothing learned, at version 0, while nothing was logged.</summary>
    public async Task<Versioned<Digest>> FindAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await _read.ReadAsync(connection, (coach, client), "document", "learned WHERE coach_id = @coach AND client_id = @client", new { coach, client })
            ?? new(Digest.Nothing, 0);
    }

    /// <summary>How often the log of a client was changed so far; read before the log that is learned from.</summary>
    public async Task<long> LoggedAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<long>("SELECT logged FROM activity WHERE coach_id = @coach AND client_id = @client", new { coach, client });
    }

    /// <param name="logged">How often the log had been changed that it was learned from; what was learned of a longer one stays.</param>
    public async Task SaveAsync(string coach, string client, Digest digest, long logged)
    {
        Audit.Begin(null);
        await Writing.WithinAsync(database, null, (connection, transaction) => connection.ExecuteAsync(
            """
            INSERT INTO learned (client_id, coach_id, document, logged) SELECT id, coach_id, @document, @logged FROM client WHERE id = @client AND coach_id = @coach
            ON CONFLICT (client_id) DO UPDATE SET document = excluded.document, logged = excluded.logged, row_version = row_version + 1
            WHERE excluded.logged >= learned.logged
            """,
            new { coach, client, document = JsonSerializer.Serialize(digest, TradeJson.Options), logged }, transaction));
    }

    /// <summary>Whose log was changed and not learned from since.</summary>
    public async Task<IReadOnlyList<(string Coach, string Client)>> WaitingAsync()
    {
        await using var connection = database.Open();
        return
        [
            .. await connection.QueryAsync<(string, string)>(
                "SELECT a.coach_id, a.client_id FROM activity a LEFT JOIN learned l ON l.client_id = a.client_id WHERE a.logged > coalesce(l.logged, 0)"),
        ];
    }
}
