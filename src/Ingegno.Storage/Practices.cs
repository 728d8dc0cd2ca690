using System.Text.Json;
using Dapper;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>The practice of each coach.</summary>
public sealed class Practices(Database database)
{
    private readonly ReadLately<string, Practice> _read = new(64);

    private sealed record Row
    {
        /// <summary>Null where the version asked with is the newest.</summary>
        public string? Document { get; init; }

        public long Version { get; init; }
    }

    /// <summary>The defaults at version 0 while nothing was saved.</summary>
    public async Task<Versioned<Practice>> FindAsync(string coach)
    {
        var kept = _read.Find(coach);
        await using var connection = database.Open();
        var row = await connection.QuerySingleOrDefaultAsync<Row>(
            "SELECT CASE WHEN row_version = @known THEN NULL ELSE document END AS Document, row_version AS Version FROM practice WHERE coach_id = @coach",
            new { coach, known = kept?.Version ?? -1 });
        return row is null ? new(new Practice(), 0)
            : row.Document is { } document ? _read.Keep(coach, JsonSerializer.Deserialize<Practice>(document, TradeJson.Options)!, row.Version)
            : kept!;
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
