using Dapper;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>Sets as done.</summary>
public sealed class SetLogs(Database database)
{
    private sealed record Row(
        string Id, long Line, string Exercise, string Performed, long SetNumber, long LoadGrams, long Repetitions, double? Reserve, long Pain, long Finished);

    /// <summary>Newest day first, sets in order.</summary>
    public async Task<IReadOnlyList<SetLog>> OfClientAsync(string coach, string client)
    {
        await using var connection = database.Open();
        var rows = await connection.QueryAsync<Row>(
            """
            SELECT id AS Id, line AS Line, exercise AS Exercise, performed AS Performed, set_number AS SetNumber,
                   load_grams AS LoadGrams, repetitions AS Repetitions, reserve AS Reserve, pain AS Pain, finished AS Finished
            FROM set_log WHERE coach_id = @coach AND client_id = @client
            ORDER BY performed DESC, line, set_number
            """,
            new { coach, client });
        return [.. rows.Select(r => new SetLog(
            Guid.Parse(r.Id), (int)r.Line, r.Exercise, DateOnly.Parse(r.Performed, System.Globalization.CultureInfo.InvariantCulture),
            (int)r.SetNumber, Mass.FromGrams(r.LoadGrams), (int)r.Repetitions, r.Reserve, (int)r.Pain, (int)r.Finished))];
    }

    /// <summary>Adds the sets, all or none; a set already there (same id, same coach) is overwritten with the newer figures.</summary>
    public async Task SaveAsync(string coach, string client, IEnumerable<SetLog> sets)
    {
        await using var connection = database.Open();
        await using var transaction = await connection.BeginTransactionAsync();
        foreach (var set in sets)
        {
            await connection.ExecuteAsync(
                """
                INSERT INTO set_log (id, coach_id, client_id, line, exercise, performed, set_number, load_grams, repetitions, reserve, pain, finished)
                VALUES (@id, @coach, @client, @Line, @Exercise, @performed, @SetNumber, @grams, @Repetitions, @Reserve, @Pain, @Finished)
                ON CONFLICT (id) DO UPDATE SET load_grams = excluded.load_grams, repetitions = excluded.repetitions,
                    reserve = excluded.reserve, pain = excluded.pain, finished = excluded.finished
                WHERE coach_id = excluded.coach_id AND client_id = excluded.client_id
                """,
                new
                {
                    id = set.Id.ToString(),
                    coach,
                    client,
                    set.Line,
                    set.Exercise,
                    performed = set.On.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture),
                    set.SetNumber,
                    grams = set.Load.Grams,
                    set.Repetitions,
                    set.Reserve,
                    set.Pain,
                    set.Finished,
                },
                transaction);
        }

        await transaction.CommitAsync();
    }
}
