using System.Globalization;
using Dapper;

namespace Ingegno.Storage;

/// <summary>What was erased of a client.</summary>
/// <param name="Rows">By table, how many; tables that held nothing are left out.</param>
/// <param name="Sendings">Ids of what was sent, for the letters that went with it.</param>
public sealed record Erased(IReadOnlyDictionary<string, int> Rows, IReadOnlyList<string> Sendings);

/// <summary>
/// Erases everything about one client. Who was erased is written down by id alone beside the database: a backup taken before brings nobody back.
/// </summary>
/// <param name="list">Text file, an id and the moment a line.</param>
public sealed class Erasing(Database database, string list)
{
    /// <summary>Null when the coach has no such client.</summary>
    public async Task<Erased?> EraseAsync(string coach, string client, DateTimeOffset now)
    {
        using var turn = await database.TurnToWriteAsync();
        await using var connection = database.Open();
        await using var transaction = await connection.BeginTransactionAsync();
        if (!await connection.ExecuteScalarAsync<bool>("SELECT EXISTS (SELECT 1 FROM client WHERE id = @client AND coach_id = @coach)", new { client, coach }, transaction))
        {
            return null;
        }

        string[] sendings = [.. await connection.QueryAsync<string>("SELECT id FROM sending WHERE client_id = @client", new { client }, transaction)];
        var rows = new SortedDictionary<string, int>(StringComparer.Ordinal);
        foreach (string table in (await connection.QueryAsync<string>(
            "SELECT m.name FROM sqlite_master m WHERE m.type = 'table' AND EXISTS (SELECT 1 FROM pragma_table_info(m.name) WHERE name = 'client_id') ORDER BY m.name", transaction: transaction)).AsList())
        {
            // Names of tables come from the database itself.
            int gone = await connection.ExecuteAsync($"DELETE FROM \"{table}\" WHERE client_id = @client", new { client }, transaction);
            if (gone > 0)
            {
                rows[table] = gone;
            }
        }

        rows["client"] = await connection.ExecuteAsync("DELETE FROM client WHERE id = @client", new { client }, transaction);
        int prescriptions = await connection.ExecuteAsync(
            """
            DELETE FROM prescription WHERE coach_id = @coach AND id NOT IN (SELECT prescription FROM set_log WHERE prescription IS NOT NULL)
            AND NOT EXISTS (SELECT 1 FROM set_log_before b WHERE b.coach_id = @coach AND instr(b.document, prescription.id) > 0)
            """,
            new { coach }, transaction);
        if (prescriptions > 0)
        {
            rows["prescription"] = prescriptions;
        }

        await transaction.CommitAsync();
        database.Written();
        await File.AppendAllTextAsync(list, string.Create(CultureInfo.InvariantCulture, $"{client} {now.UtcDateTime:O}\n"));
        // Pages let go, now and earlier, still hold what was written in them: the file is written anew.
        await connection.ExecuteAsync("VACUUM");
        await connection.ExecuteAsync("PRAGMA wal_checkpoint(TRUNCATE)");
        return new(rows, sendings);
    }

    /// <summary>Takes those out again who were erased after a backup was taken; after every restore.</summary>
    /// <returns>How many were.</returns>
    public int Again()
    {
        if (!File.Exists(list))
        {
            return 0;
        }

        using var connection = database.Open();
        int again = 0;
        foreach (string id in File.ReadAllLines(list).Select(l => l.Split(' ')[0]).Where(id => id.Length > 0).Distinct(StringComparer.Ordinal))
        {
            again += connection.Execute("DELETE FROM client WHERE id = @id", new { id });
        }

        return again;
    }
}
