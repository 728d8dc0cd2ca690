using Dapper;

namespace Ingegno.Storage;

/// <summary>The coach's own words over a client's note of changes.</summary>
public sealed class ChangeWords(Database database)
{
    /// <summary>Letters kept at most.</summary>
    public const int Longest = 2000;

    /// <returns>Null where the usual words are to stand.</returns>
    public async Task<string?> FindAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<string?>("SELECT words FROM change_words WHERE client_id = @client AND coach_id = @coach", new { client, coach });
    }

    /// <param name="words">Null goes back to the usual ones.</param>
    public Task SaveAsync(string coach, string client, string? words, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
            await connection.ExecuteAsync(
                words is null
                    ? "DELETE FROM change_words WHERE client_id = @client AND coach_id = @coach"
                    : "INSERT INTO change_words (client_id, coach_id, words) VALUES (@client, @coach, @words) ON CONFLICT (client_id) DO UPDATE SET words = excluded.words WHERE coach_id = excluded.coach_id",
                new { client, coach, words },
                transaction));
}
