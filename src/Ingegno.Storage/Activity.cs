using System.Data.Common;
using Dapper;

namespace Ingegno.Storage;

/// <summary>Counts changes around a client, in the same transaction as the change.</summary>
internal static class Activity
{
    internal static Task BumpAsync(this DbConnection connection, string coach, string client, DbTransaction? transaction = null) =>
        connection.ExecuteAsync(
            """
            INSERT INTO activity (client_id, coach_id, version) SELECT id, coach_id, 1 FROM client WHERE id = @client AND coach_id = @coach
            ON CONFLICT (client_id) DO UPDATE SET version = version + 1
            """,
            new { coach, client },
            transaction);
}
