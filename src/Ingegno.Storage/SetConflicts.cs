using System.Data.Common;
using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>A second account of a set as it is kept, with the instant it came.</summary>
public sealed record StoredConflict(string Id, SetLog Arrived, SetLog? Standing, string By, DateTimeOffset At, string StandingBy);

/// <summary>Sets that two have told differently, until the coach has said which holds.</summary>
public sealed class SetConflicts(Database database)
{
    private sealed record Row(string Id, string Document, string CameBy, string CameAt);

    /// <summary>Those that wait, oldest first; what has come to say the same since waits no more.</summary>
    public async Task<IReadOnlyList<StoredConflict>> OfClientAsync(string coach, string client)
    {
        await using var connection = database.Open();
        var rows = await connection.QueryAsync<Row>(
            """
            SELECT id AS Id, document AS Document, came_by AS CameBy, came_at AS CameAt FROM set_conflict
            WHERE coach_id = @coach AND client_id = @client AND settled_at IS NULL ORDER BY came_at, id
            """,
            new { coach, client });
        var found = new List<StoredConflict>();
        foreach (var row in rows)
        {
            var arrived = SetLogs.Read(row.Document);
            var standing = await SetLogs.StandingAsync(connection, coach, client, arrived);
            if (standing is null || !SetArrivals.SaysTheSame(standing.Value.Set, arrived))
            {
                found.Add(new(row.Id, arrived, standing?.Set, row.CameBy, DateTimeOffset.Parse(row.CameAt, CultureInfo.InvariantCulture), standing?.By ?? ""));
            }
        }

        return found;
    }

    /// <summary>Once, however often it is sent.</summary>
    internal static async Task AddAsync(DbConnection connection, DbTransaction transaction, string coach, string client, SetLog set, LogWriter by)
    {
        var known = await connection.QueryAsync<string>(
            "SELECT document FROM set_conflict WHERE coach_id = @coach AND client_id = @client AND set_id = @id",
            new { coach, client, id = set.Id.ToString() }, transaction);
        if (!known.Any(d => SetArrivals.SaysTheSame(SetLogs.Read(d), set)))
        {
            await connection.ExecuteAsync(
                """
                INSERT INTO set_conflict (id, coach_id, client_id, set_id, document, came_by, came_at)
                VALUES (@conflict, @coach, @client, @id, @document, @Name, @at)
                """,
                new
                {
                    conflict = Guid.CreateVersion7().ToString(),
                    coach,
                    client,
                    id = set.Id.ToString(),
                    document = JsonSerializer.Serialize(set, TradeJson.Options),
                    by.Name,
                    at = by.At.ToString("O", CultureInfo.InvariantCulture),
                },
                transaction);
        }
    }

    /// <param name="at">Null opens it again.</param>
    public Task SettleAsync(string coach, string client, string id, DateTimeOffset? at, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                "UPDATE set_conflict SET settled_at = @at WHERE coach_id = @coach AND client_id = @client AND id = @id",
                new { coach, client, id, at = at?.ToString("O", CultureInfo.InvariantCulture) }, transaction);
            await connection.BumpAsync(coach, client, transaction);
            return true;
        });
}
