using System.Data.Common;
using Dapper;

namespace Ingegno.Storage;

/// <summary>Counts changes around a client, in the same transaction as the change.</summary>
internal static class Activity
{
    internal static Task BumpAsync(this DbConnection connection, string coach, string client, DbTransaction? transaction = null) =>
        connection.BumpAsync(coach, client, 0, transaction);

    /// <summary>The same for a change of the log, which is to be learned from.</summary>
    internal static Task BumpLogAsync(this DbConnection connection, string coach, string client, DbTransaction? transaction = null) =>
        connection.BumpAsync(coach, client, 1, transaction);

    private static Task<int> BumpAsync(this DbConnection connection, string coach, string client, int logged, DbTransaction? transaction) =>
        connection.ExecuteAsync(
            """
            INSERT INTO activity (client_id, coach_id, version, logged) SELECT id, coach_id, 1, @logged FROM client WHERE id = @client AND coach_id = @coach
            ON CONFLICT (client_id) DO UPDATE SET version = version + 1, logged = logged + @logged
            """,
            new { coach, client, logged },
            transaction);
}
