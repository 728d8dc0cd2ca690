using Dapper;

namespace Ingegno.Storage;

/// <summary>A coach account. The password is kept as a hash only.</summary>
public sealed record Coach(string Id, string Email, string Name, string PasswordHash);

/// <summary>Coach accounts.</summary>
public sealed class Coaches(Database database)
{
    public async Task<bool> AnyAsync()
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<bool>("SELECT EXISTS (SELECT 1 FROM coach)");
    }

    /// <summary>The ids of all.</summary>
    public async Task<IReadOnlyList<string>> AllAsync()
    {
        await using var connection = database.Open();
        return [.. await connection.QueryAsync<string>("SELECT id FROM coach")];
    }

    /// <summary>Whose practice this is: the account made first.</summary>
    public async Task<string?> OwnerAsync()
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<string?>("SELECT id FROM coach ORDER BY created_at, id LIMIT 1");
    }

    /// <summary>Whatever the case of the address; null when there is none.</summary>
    public async Task<Coach?> ByEmailAsync(string email)
    {
        await using var connection = database.Open();
        return await connection.QuerySingleOrDefaultAsync<Coach>(
            "SELECT id AS Id, email AS Email, name AS Name, password_hash AS PasswordHash FROM coach WHERE email = @email",
            new { email });
    }

    public async Task<Coach?> ByIdAsync(string id)
    {
        await using var connection = database.Open();
        return await connection.QuerySingleOrDefaultAsync<Coach>(
            "SELECT id AS Id, email AS Email, name AS Name, password_hash AS PasswordHash FROM coach WHERE id = @id",
            new { id });
    }

    /// <summary>Adds an account. With <paramref name="onlyFirst"/> only while there is none; false when it was refused.</summary>
    public Task<bool> AddAsync(Coach coach, DateTimeOffset now, bool onlyFirst) =>
        Writing.WithinAsync(database, null, async (connection, transaction) => await connection.ExecuteAsync(
            """
            INSERT INTO coach (id, email, name, password_hash, created_at)
            SELECT @Id, @Email, @Name, @PasswordHash, @now
            WHERE (NOT @onlyFirst OR NOT EXISTS (SELECT 1 FROM coach))
              AND NOT EXISTS (SELECT 1 FROM coach WHERE email = @Email)
            """,
            new { coach.Id, coach.Email, coach.Name, coach.PasswordHash, now = now.ToString("O"), onlyFirst }, transaction) == 1);
}
