using System.Data.Common;
using System.Text.Json;
using Dapper;

namespace Ingegno.Storage;

/// <summary>A plan as it was sent.</summary>
/// <param name="Sentence">Totals, minutes and sides read back in plain words.</param>
/// <param name="Document">What the phone gets, as JSON.</param>
public sealed record Sending(string Id, DateTimeOffset SentAt, long PlanVersion, string Sentence, string Document);

/// <summary>Whom a link belongs to.</summary>
public sealed record LinkHolder(string Coach, string Client, DateTimeOffset Expires);

/// <summary>What a link is for; each can be closed without the others.</summary>
public enum LinkPurpose
{
    /// <summary>Sent to the client: shows the training and takes its log.</summary>
    Training,

    /// <summary>Printed on a sheet: opens the same.</summary>
    Sheet,

    /// <summary>Given to a calendar: can read the days, and nothing else.</summary>
    Calendar,
}

/// <summary>What came of opening a link.</summary>
public enum LinkState
{
    Open,
    Expired,
    Revoked,
    Unknown,
}

/// <summary>Links of clients, and what was sent to them. A token has 128 random bits and is stored hashed.</summary>
public sealed class ClientLinks(Database database)
{
    private sealed record LinkRow(string Coach, string Client, string ExpiresAt, string? RevokedAt, string Purpose);

    private sealed record SendingRow(string Id, string SentAt, long PlanVersion, string Sentence, string Document);

    /// <summary>Freezes what is sent and makes a link to it, both or neither.</summary>
    /// <returns>The token; nobody can read it back later.</returns>
    public Task<string> SendAsync(string coach, string client, Sending sending, DateTimeOffset expires, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            string token = Token.New();
            await connection.ExecuteAsync(
                """
                INSERT INTO sending (id, coach_id, client_id, sent_at, plan_version, sentence, document)
                VALUES (@Id, @coach, @client, @at, @PlanVersion, @Sentence, @Document)
                """,
                new { sending.Id, coach, client, at = Token.Text(sending.SentAt), sending.PlanVersion, sending.Sentence, sending.Document },
                transaction);
            await KeepAsync(connection, transaction, coach, client, token, LinkPurpose.Training, sending.SentAt, expires);
            await connection.BumpAsync(coach, client, transaction);
            return token;
        });

    /// <summary>A link of its own for a sheet or a calendar.</summary>
    /// <returns>The token; nobody can read it back later.</returns>
    public Task<string> MintAsync(string coach, string client, LinkPurpose purpose, DateTimeOffset now, DateTimeOffset expires) =>
        Writing.WithinAsync(database, null, async (connection, transaction) =>
        {
            string token = Token.New();
            await KeepAsync(connection, transaction, coach, client, token, purpose, now, expires);
            await connection.BumpAsync(coach, client, transaction);
            return token;
        });

    private static Task<int> KeepAsync(
        DbConnection connection, DbTransaction? transaction, string coach, string client, string token, LinkPurpose purpose, DateTimeOffset at, DateTimeOffset expires) =>
        connection.ExecuteAsync(
            "INSERT INTO link (id, coach_id, client_id, token_hash, made_at, expires_at, purpose) VALUES (@id, @coach, @client, @hash, @at, @expires, @purpose)",
            new
            {
                id = Guid.CreateVersion7().ToString(),
                coach,
                client,
                hash = Token.Hash(token),
                at = Token.Text(at),
                expires = Token.Text(expires),
                purpose = Name(purpose),
            },
            transaction);

    private static string Name(LinkPurpose purpose) => JsonNamingPolicy.CamelCase.ConvertName(purpose.ToString());

    /// <summary>A link that is used stays open: it runs out so many days after its last use, or when it was to, whichever is later.</summary>
    public const int DaysAfterUse = 30;

    /// <param name="calendar">A calendar's own link is wanted; it opens nothing else, and nothing else opens a calendar.</param>
    public async Task<(LinkState State, LinkHolder? Holder)> OpenAsync(string token, DateTimeOffset now, bool calendar = false)
    {
        await using var connection = database.Open();
        var row = await connection.QuerySingleOrDefaultAsync<LinkRow>(
            "SELECT coach_id AS Coach, client_id AS Client, expires_at AS ExpiresAt, revoked_at AS RevokedAt, purpose AS Purpose FROM link WHERE token_hash = @hash",
            new { hash = Token.Hash(token) });
        if (row is not null && calendar != (row.Purpose == Name(LinkPurpose.Calendar)))
        {
            row = null;
        }

        if (row is null || row.RevokedAt is not null || Token.Time(row.ExpiresAt) < now)
        {
            return (row is null ? LinkState.Unknown : row.RevokedAt is not null ? LinkState.Revoked : LinkState.Expired, null);
        }

        // Written once a day at most: every set that is logged is a use.
        var expires = Token.Time(row.ExpiresAt);
        if (expires < now.AddDays(DaysAfterUse - 1))
        {
            expires = now.AddDays(DaysAfterUse);
            await Writing.WithinAsync(database, null, async (writer, transaction) =>
            {
                await writer.ExecuteAsync(
                    "UPDATE link SET expires_at = @expires WHERE token_hash = @hash AND revoked_at IS NULL", new { expires = Token.Text(expires), hash = Token.Hash(token) }, transaction);
                await writer.BumpAsync(row.Coach, row.Client, transaction);
                return true;
            });
        }

        return (LinkState.Open, new LinkHolder(row.Coach, row.Client, expires));
    }

    /// <summary>Id of the newest version sent and when the client's first link was made: what a log is held against. Null when nothing was sent yet.</summary>
    public async Task<(string LastSent, DateTimeOffset FirstMade)?> LogsAgainstAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await connection.QuerySingleAsync<(string?, string?)>(
            """
            SELECT (SELECT id FROM sending WHERE coach_id = @coach AND client_id = @client ORDER BY sent_at DESC, id DESC LIMIT 1),
                (SELECT min(made_at) FROM link WHERE coach_id = @coach AND client_id = @client)
            """,
            new { coach, client }) is ({ } sent, { } made) ? (sent, Token.Time(made)) : null;
    }

    /// <summary>Whether a version was kept as sent: what was prepared to be posted with it then goes.</summary>
    public async Task<bool> WasSentAsync(string id)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<bool>("SELECT EXISTS (SELECT 1 FROM sending WHERE id = @id)", new { id });
    }

    /// <summary>The newest; null when nothing was sent yet.</summary>
    public async Task<Sending?> LastSentAsync(string coach, string client) => await SentAsync(coach, client, 1) is [var last] ? last : null;

    /// <summary>The newest versions sent, newest first.</summary>
    public async Task<IReadOnlyList<Sending>> SentAsync(string coach, string client, int most)
    {
        await using var connection = database.Open();
        var rows = await connection.QueryAsync<SendingRow>(
            """
            SELECT id AS Id, sent_at AS SentAt, plan_version AS PlanVersion, sentence AS Sentence, document AS Document FROM sending
            WHERE coach_id = @coach AND client_id = @client ORDER BY sent_at DESC, id DESC LIMIT @most
            """,
            new { coach, client, most });
        return [.. rows.Select(row => new Sending(row.Id, Token.Time(row.SentAt), row.PlanVersion, row.Sentence, row.Document))];
    }

    /// <summary>How many links of the client still open the training; an address of the calendar does not.</summary>
    public async Task<int> OpenCountAsync(string coach, string client, DateTimeOffset now)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<int>(
            "SELECT count(*) FROM link WHERE coach_id = @coach AND client_id = @client AND revoked_at IS NULL AND expires_at >= @now AND purpose <> 'calendar'",
            new { coach, client, now = Token.Text(now) });
    }

    /// <summary>When the last of the client's links closes or did; null where none is left that the coach has not closed.</summary>
    public async Task<DateTimeOffset?> LastEndAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await connection.ExecuteScalarAsync<string?>(
            "SELECT max(expires_at) FROM link WHERE coach_id = @coach AND client_id = @client AND revoked_at IS NULL AND purpose <> 'calendar'", new { coach, client }) is { } ends ? Token.Time(ends) : null;
    }

    /// <summary>Closes every link of the client.</summary>
    public Task RevokeAsync(string coach, string client, DateTimeOffset now) =>
        Writing.WithinAsync(database, null, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                "UPDATE link SET revoked_at = @now WHERE coach_id = @coach AND client_id = @client AND revoked_at IS NULL",
                new { coach, client, now = Token.Text(now) }, transaction);
            await connection.BumpAsync(coach, client, transaction);
            return true;
        });
}
