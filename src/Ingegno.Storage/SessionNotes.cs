using Dapper;
using Ingegno.Core.Progression;
using Ingegno.Core.Safety;

namespace Ingegno.Storage;

/// <summary>What a client said of a session, and what the coach cleared: short notes around the log.</summary>
public sealed class SessionNotes(Database database)
{
    private sealed record Row(string Session, string Performed, string? Felt, long? Sore);

    /// <summary>Newest first.</summary>
    public async Task<IReadOnlyList<SessionNote>> OfClientAsync(string coach, string client, DateOnly? since = null)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<Row>(
                    """
                    SELECT session AS Session, performed AS Performed, felt AS Felt, sore AS Sore FROM session_note
                    WHERE coach_id = @coach AND client_id = @client AND performed >= @since ORDER BY performed DESC, session
                    """,
                    new { coach, client, since = since is { } day ? SetLogs.Day(day) : "" }))
                .Select(r => new SessionNote(r.Session, SetLogs.Day(r.Performed), r.Felt is null ? null : Enum.Parse<Felt>(r.Felt), (int?)r.Sore)),
        ];
    }

    /// <summary>What is said again replaces what was said; what is not said now stays.</summary>
    public Task SaveAsync(string coach, string client, IEnumerable<SessionNote> notes, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            foreach (var note in notes)
            {
                await connection.ExecuteAsync(
                    """
                    INSERT INTO session_note (coach_id, client_id, session, performed, felt, sore)
                    VALUES (@coach, @client, @Session, @performed, @felt, @Sore)
                    ON CONFLICT (client_id, performed, session) DO UPDATE SET
                        felt = coalesce(excluded.felt, felt), sore = coalesce(excluded.sore, sore)
                    """,
                    new { coach, client, note.Session, performed = SetLogs.Day(note.On), felt = note.Felt?.ToString(), note.Sore },
                    transaction);
            }

            await connection.BumpAsync(coach, client, transaction);
            return true;
        });

    public async Task<IReadOnlyList<PainClearance>> ClearedAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<(string Exercise, string Through)>(
                    "SELECT exercise, through FROM pain_clearance WHERE coach_id = @coach AND client_id = @client", new { coach, client }))
                .Select(r => new PainClearance(r.Exercise, SetLogs.Day(r.Through))),
        ];
    }

    /// <param name="through">Null takes the clearance back.</param>
    public Task ClearAsync(string coach, string client, string exercise, DateOnly? through, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                through is null
                    ? "DELETE FROM pain_clearance WHERE coach_id = @coach AND client_id = @client AND exercise = @exercise"
                    : """
                      INSERT INTO pain_clearance (coach_id, client_id, exercise, through) VALUES (@coach, @client, @exercise, @through)
                      ON CONFLICT (client_id, exercise) DO UPDATE SET through = excluded.through WHERE coach_id = excluded.coach_id
                      """,
                new { coach, client, exercise, through = through is { } day ? SetLogs.Day(day) : null }, transaction);
            await connection.BumpAsync(coach, client, transaction);
            return true;
        });
}
