using System.Globalization;
using Dapper;

namespace Ingegno.Storage;

/// <summary>What a coach answered to a proposal.</summary>
public enum Answer
{
    Taken,
    Refused,

    /// <summary>Asked again after a while.</summary>
    Later,
}

/// <summary>A decision with how things stood before and after it.</summary>
/// <param name="Subject">What it is about, the same for the same proposal: "line 3, load, 44 kg, log of 2026-11-24".</param>
/// <param name="Before">Null where nothing but the answer was written.</param>
public sealed record DecisionRecord(
    string Id, string Client, DateTimeOffset At, string Subject, string Sentence, Answer Answer, string? Before, string? After, bool Undone);

/// <summary>Decisions of a coach; every one can be undone once.</summary>
public sealed class DecisionRecords(Database database)
{
    private sealed record Row(
        string Id, string Client, string At, string Subject, string Sentence, string Answer, string? Before, string? After, string? UndoneAt);

    private const string Columns =
        """
        id AS Id, client_id AS Client, decided_at AS At, subject AS Subject, sentence AS Sentence, answer AS Answer, before AS Before, after AS After,
        undone_at AS UndoneAt
        """;

    public async Task AddAsync(string coach, DecisionRecord record)
    {
        await using var connection = database.Open();
        await connection.ExecuteAsync(
            """
            INSERT INTO decision (id, coach_id, client_id, decided_at, subject, sentence, answer, before, after)
            VALUES (@Id, @coach, @Client, @at, @Subject, @Sentence, @answer, @Before, @After)
            """,
            new
            {
                record.Id,
                coach,
                record.Client,
                at = Text(record.At),
                record.Subject,
                record.Sentence,
                answer = record.Answer.ToString().ToLowerInvariant(),
                record.Before,
                record.After,
            });
        await connection.BumpAsync(coach, record.Client);
    }

    /// <summary>Newest first.</summary>
    public async Task<IReadOnlyList<DecisionRecord>> OfClientAsync(string coach, string client, DateTimeOffset? since = null)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<Row>(
                    $"SELECT {Columns} FROM decision WHERE coach_id = @coach AND client_id = @client AND decided_at >= @since ORDER BY decided_at DESC, id DESC",
                    new { coach, client, since = since is { } time ? Text(time) : "" }))
                .Select(ToRecord),
        ];
    }

    public async Task<DecisionRecord?> FindAsync(string coach, string id)
    {
        await using var connection = database.Open();
        return await connection.QuerySingleOrDefaultAsync<Row>($"SELECT {Columns} FROM decision WHERE coach_id = @coach AND id = @id", new { coach, id }) is { } row
            ? ToRecord(row)
            : null;
    }

    public async Task UndoAsync(string coach, DecisionRecord record, DateTimeOffset at)
    {
        await using var connection = database.Open();
        await connection.ExecuteAsync(
            "UPDATE decision SET undone_at = @at WHERE coach_id = @coach AND id = @Id", new { coach, record.Id, at = Text(at) });
        await connection.BumpAsync(coach, record.Client);
    }

    private static DecisionRecord ToRecord(Row r) => new(
        r.Id, r.Client, DateTimeOffset.Parse(r.At, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal), r.Subject, r.Sentence,
        Enum.Parse<Answer>(r.Answer, ignoreCase: true), r.Before, r.After, r.UndoneAt is not null);

    private static string Text(DateTimeOffset time) => time.UtcDateTime.ToString("O", CultureInfo.InvariantCulture);
}
