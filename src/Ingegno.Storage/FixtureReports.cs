using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>Fixture checks done on the phone. A photo stays with the data and was stripped of all but its pixels.</summary>
public sealed class FixtureReports(Database database)
{
    private sealed record Row
    {
        public required string Id { get; init; }

        public required string Place { get; init; }

        public required string Document { get; init; }

        public bool HasPhoto { get; init; }

        public bool Judged { get; init; }
    }

    /// <summary>So many are kept of one client: whoever found their link could fill the disk with photos.</summary>
    public const int MostKept = 100;

    /// <summary>Keeps a report once: the id is made on the phone.</summary>
    /// <returns>False where so many are kept that no other is taken.</returns>
    public Task<bool> AddAsync(string coach, string client, string id, string place, FixtureReport report, byte[]? photo, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            int others = await connection.ExecuteScalarAsync<int>(
                "SELECT count(*) FROM fixture_report WHERE coach_id = @coach AND client_id = @client AND id <> @id", new { coach, client, id }, transaction);
            if (others >= MostKept)
            {
                return false;
            }

            await connection.ExecuteAsync(
                """
                INSERT INTO fixture_report (id, coach_id, client_id, place_id, fixture, reported_on, document, photo)
                VALUES (@id, @coach, @client, @place, @Fixture, @on, @document, @photo) ON CONFLICT (id) DO NOTHING
                """,
                new { id, coach, client, place, report.Fixture, on = SetLogs.Day(report.On), document = JsonSerializer.Serialize(report, TradeJson.Options), photo },
                transaction);
            await connection.BumpAsync(coach, client, transaction);
            return true;
        });

    /// <summary>Takes a report with its photo out for good; what the coach decided on it stands.</summary>
    /// <returns>False where there is none.</returns>
    public Task<bool> RemoveAsync(string coach, string client, string id) =>
        ChangeAsync("DELETE FROM fixture_report WHERE coach_id = @coach AND client_id = @client AND id = @id", coach, client, id);

    /// <summary>Takes the photo out for good, the report stays.</summary>
    /// <returns>False where there is none.</returns>
    public Task<bool> RemovePhotoAsync(string coach, string client, string id) =>
        ChangeAsync("UPDATE fixture_report SET photo = NULL WHERE coach_id = @coach AND client_id = @client AND id = @id AND photo IS NOT NULL", coach, client, id);

    private Task<bool> ChangeAsync(string statement, string coach, string client, string id) =>
        Writing.WithinAsync(database, null, async (connection, transaction) =>
        {
            // What is let go is overwritten, not only forgotten.
            await connection.ExecuteAsync("PRAGMA secure_delete = ON", transaction: transaction);
            if (await connection.ExecuteAsync(statement, new { coach, client, id }, transaction) == 0)
            {
                return false;
            }

            await connection.BumpAsync(coach, client, transaction);
            return true;
        });

    /// <summary>Newest first.</summary>
    public async Task<IReadOnlyList<ClientReport>> OfClientAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<Row>(
                    """
                    SELECT id AS Id, place_id AS Place, document AS Document, photo IS NOT NULL AS HasPhoto, judged_at IS NOT NULL AS Judged
                    FROM fixture_report WHERE coach_id = @coach AND client_id = @client ORDER BY reported_on DESC, rowid DESC
                    """,
                    new { coach, client }))
                .Select(r => new ClientReport(r.Id, r.Place, JsonSerializer.Deserialize<FixtureReport>(r.Document, TradeJson.Options)!, r.HasPhoto, r.Judged)),
        ];
    }

    /// <summary>Null when there is no such report or it has no photo.</summary>
    public async Task<byte[]?> PhotoAsync(string coach, string client, string id)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<byte[]?>(
            "SELECT photo FROM fixture_report WHERE coach_id = @coach AND client_id = @client AND id = @id", new { coach, client, id });
    }

    /// <param name="at">Null opens it again.</param>
    public Task JudgeAsync(string coach, string client, string id, DateTimeOffset? at, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                "UPDATE fixture_report SET judged_at = @at WHERE coach_id = @coach AND client_id = @client AND id = @id",
                new { coach, client, id, at = at?.ToString("O", CultureInfo.InvariantCulture) }, transaction);
            await connection.BumpAsync(coach, client, transaction);
            return true;
        });
}
