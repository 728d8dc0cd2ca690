using Dapper;

namespace Ingegno.Storage;

/// <summary>A short text per client that changes whenever anything the Desk is worked out from does.</summary>
public sealed class DeskStamps(Database database)
{
    private const string Selected =
        """
        SELECT c.id,
            c.row_version || ' ' || coalesce(p.row_version, 0) || ' ' || coalesce(a.version, 0) || ' ' || coalesce(r.row_version, 0) || ' ' ||
            coalesce((SELECT group_concat(id || position || ':' || row_version) FROM (SELECT id, position, row_version FROM place WHERE client_id = c.id ORDER BY id)), ''),
            coalesce(json_extract(c.profile, '$.timeZone'), json_extract(r.document, '$.timeZone'), 'UTC')
        FROM client c
        LEFT JOIN plan p ON p.client_id = c.id
        LEFT JOIN activity a ON a.client_id = c.id
        LEFT JOIN practice r ON r.coach_id = c.coach_id
        WHERE c.coach_id = @coach
        """;

    /// <returns>Of each client its stamp and the time zone its days are counted in.</returns>
    public async Task<IReadOnlyList<(string Client, string Stamp, string Zone)>> OfCoachAsync(string coach)
    {
        await using var connection = database.Open();
        return
        [
            .. await connection.QueryAsync<(string, string, string)>(
                Selected,
                new { coach }),
        ];
    }

    /// <summary>Of one client; null when the coach has no such.</summary>
    public async Task<(string Stamp, string Zone)?> OfClientAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await connection.QuerySingleOrDefaultAsync<(string? Id, string Stamp, string Zone)>($"{Selected} AND c.id = @client", new { coach, client }) is ({ }, var stamp, var zone)
            ? (stamp, zone)
            : null;
    }
}
