using Dapper;

namespace Ingegno.Storage;

/// <summary>A coach account. The password is kept as a hash only.</summary>
public sealed record Coach(string Id, string Email, string Name, string PasswordHash);

/// <summary>What came of an invitation.</summary>
public enum Joined
{
    In,

    /// <summary>The invitation is used, run out, or was never made.</summary>
    NotInvited,

    /// <summary>The address has an account already.</summary>
    Known,
}

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

    /// <summary>All accounts, the first one first, with how many clients each has.</summary>
    public async Task<IReadOnlyList<(Coach Coach, int Clients)>> ListAsync()
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<(string Id, string Email, string Name, int Clients)>(
                    "SELECT id, email, name, (SELECT count(*) FROM client WHERE coach_id = coach.id) FROM coach ORDER BY created_at, id"))
                .Select(c => (new Coach(c.Id, c.Email, c.Name, ""), c.Clients)),
        ];
    }

    public Task SetPasswordAsync(string id, string hash) => Writing.WithinAsync(database, null, (connection, transaction) =>
        connection.ExecuteAsync("UPDATE coach SET password_hash = @hash WHERE id = @id", new { id, hash }, transaction));

    /// <summary>Removes an account that has no clients any more; false when it has, is the first, or is not there.</summary>
    public Task<bool> RemoveAsync(string id) => Writing.WithinAsync(database, null, async (connection, transaction) => await connection.ExecuteAsync(
        """
        DELETE FROM coach WHERE id = @id AND NOT EXISTS (SELECT 1 FROM client WHERE coach_id = @id)
          AND id <> (SELECT id FROM coach ORDER BY created_at, id LIMIT 1)
        """,
        new { id }, transaction) == 1);

    /// <returns>The token that lets one more coach in; nobody can read it back later.</returns>
    public Task<string> InviteAsync(string by, DateTimeOffset now, DateTimeOffset expires) => Writing.WithinAsync(database, null, async (connection, transaction) =>
    {
        string token = Token.New();
        await connection.ExecuteAsync(
            "INSERT INTO invitation (token_hash, made_by, made_at, expires_at) VALUES (@hash, @by, @made, @expires)",
            new { hash = Token.Hash(token), by, made = Token.Text(now), expires = Token.Text(expires) }, transaction);
        return token;
    });

    /// <summary>Adds an account by an invitation, which is used up with it; both or neither.</summary>
    public Task<Joined> JoinAsync(Coach coach, string token, DateTimeOffset now) => Writing.WithinAsync(database, null, async (connection, transaction) =>
    {
        var values = new { hash = Token.Hash(token), now = Token.Text(now), coach.Id, coach.Email, coach.Name, coach.PasswordHash };
        return await connection.ExecuteScalarAsync<bool>("SELECT EXISTS (SELECT 1 FROM coach WHERE email = @Email)", values, transaction) ? Joined.Known
            : await connection.ExecuteAsync(
                "UPDATE invitation SET used_at = @now WHERE token_hash = @hash AND used_at IS NULL AND expires_at >= @now", values, transaction) == 0 ? Joined.NotInvited
            : await connection.ExecuteAsync(
                "INSERT INTO coach (id, email, name, password_hash, created_at) VALUES (@Id, @Email, @Name, @PasswordHash, @now)", values, transaction) == 1 ? Joined.In
            : Joined.NotInvited;
    });

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
