using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>Who is signed in where. A session runs out some days after its last use, and is gone for good once it was ended.</summary>
public sealed class Sessions(Database database)
{
    /// <summary>Days a session lives after its last use.</summary>
    public const int Days = 14;

    /// <returns>The token its cookie carries.</returns>
    public Task<string> BeginAsync(string coach, DateTimeOffset now) => Writing.WithinAsync(database, null, async (connection, transaction) =>
    {
        string token = Token.New();
        await connection.ExecuteAsync("DELETE FROM session WHERE ends_at < @now", new { now = Token.Text(now) }, transaction);
        await connection.ExecuteAsync(
            "INSERT INTO session (token_hash, coach_id, made_at, ends_at) VALUES (@hash, @coach, @made, @ends)",
            new { hash = Token.Hash(token), coach, made = Token.Text(now), ends = Token.Text(now.AddDays(Days)) }, transaction);
        return token;
    });

    /// <summary>Whether it still opens; a use puts its end off, written once a day at most.</summary>
    public async Task<bool> IsOpenAsync(string token, DateTimeOffset now)
    {
        Audit.Begin(null);
        string hash = Token.Hash(token);
        await using var connection = database.Open();
        if (await connection.ExecuteScalarAsync<string?>("SELECT ends_at FROM session WHERE token_hash = @hash", new { hash }) is not { } text || Token.Time(text) < now)
        {
            return false;
        }

        if (Token.Time(text) < now.AddDays(Days - 1))
        {
            await Writing.WithinAsync(database, null, (writer, transaction) => writer.ExecuteAsync(
                "UPDATE session SET ends_at = @ends WHERE token_hash = @hash", new { ends = Token.Text(now.AddDays(Days)), hash }, transaction));
        }

        return true;
    }

    public Task EndAsync(string token) => Writing.WithinAsync(database, null, (connection, transaction) =>
        connection.ExecuteAsync("DELETE FROM session WHERE token_hash = @hash", new { hash = Token.Hash(token) }, transaction));

    /// <summary>Hashes of all there are; none where the file cannot be read.</summary>
    public IReadOnlyList<string> All()
    {
        try
        {
            using var connection = database.Open();
            return [.. connection.Query<string>("SELECT token_hash FROM session")];
        }
        catch (SqliteException)
        {
            return [];
        }
    }

    /// <summary>Ends those that are in a backup and were ended since.</summary>
    public void KeepOnly(IReadOnlyList<string> open)
    {
        using var connection = database.Open();
        connection.Execute("DELETE FROM session WHERE token_hash NOT IN @open", new { open });
    }

    /// <param name="but">The one that goes on; null ends all.</param>
    public Task EndAllAsync(string coach, string? but = null) => Writing.WithinAsync(database, null, (connection, transaction) =>
        connection.ExecuteAsync(
            "DELETE FROM session WHERE coach_id = @coach AND token_hash <> @but", new { coach, but = but is null ? "" : Token.Hash(but) }, transaction));
}
