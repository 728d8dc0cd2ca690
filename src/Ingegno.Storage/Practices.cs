using System.Text.Json;
using Dapper;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>The practice of each coach.</summary>
public sealed class Practices(Database database)
{
    private readonly ReadLately<string, Practice> _read = new(64);

    /// <summary>The defaults at version 0 while nothing was saved.</summary>
    public async Task<Versioned<Practice>> FindAsync(string coach)
    {
        await using var connection = database.Open();
        return await _read.ReadAsync(connection, coach, "document", "practice WHERE coach_id = @coach", new { coach }) ?? new(new Practice(), 0);
    }

    /// <param name="version">The version it was read at; 0 for a first save.</param>
    public Task<SaveResult> SaveAsync(string coach, Practice practice, long version, Writing? within = null) => Writing.WithinAsync(database, within, async (connection, transaction) =>
    {
        var values = new { coach, version, document = JsonSerializer.Serialize(practice, TradeJson.Options) };
        int changed = await connection.ExecuteAsync(
            version == 0
                ? "INSERT INTO practice (coach_id, document) VALUES (@coach, @document) ON CONFLICT (coach_id) DO NOTHING"
                : "UPDATE practice SET document = @document, row_version = row_version + 1 WHERE coach_id = @coach AND row_version = @version",
            values, transaction);
        return new SaveResult(changed == 1, await connection.ExecuteScalarAsync<long>(
            "SELECT row_version FROM practice WHERE coach_id = @coach", values, transaction));
    });
}
