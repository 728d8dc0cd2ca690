using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>A decision with how things stood before and after it.</summary>
/// <param name="About">What it is about, the same for the same proposal.</param>
/// <param name="Before">What it wrote beside the plan, as it stood; null where there was nothing.</param>
/// <param name="Command">The changes of the plan that came of it; null where it changed nothing there.</param>
public sealed record DecisionRecord(
    string Id, string Client, DateTimeOffset At, ImmutableArray<Subject> About, string Sentence, Answer Answer, string? Before, string? After, bool Undone, Guid? Command = null);

/// <summary>Decisions of a coach; every one can be undone once.</summary>
public sealed class DecisionRecords(Database database)
{
    private sealed record Row(
        string Id, string Client, string At, string About, string Sentence, string Answer, string? Before, string? After, string? UndoneAt, string? Command);

    private const string Columns =
        """
        id AS Id, client_id AS Client, decided_at AS At, about AS About, sentence AS Sentence, answer AS Answer, before AS Before, after AS After,
        undone_at AS UndoneAt, command AS Command
        """;

    public Task AddAsync(string coach, DecisionRecord record, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                """
                INSERT INTO decision (id, coach_id, client_id, decided_at, about, sentence, answer, before, after, command)
                VALUES (@Id, @coach, @Client, @at, @about, @Sentence, @answer, @Before, @After, @command)
                """,
                new
                {
                    record.Id,
                    coach,
                    record.Client,
                    at = Text(record.At),
                    about = JsonSerializer.Serialize(record.About, TradeJson.Options),
                    record.Sentence,
                    answer = record.Answer.ToString().ToLowerInvariant(),
                    record.Before,
                    record.After,
                    command = record.Command?.ToString(),
                },
                transaction);
            await connection.BumpAsync(coach, record.Client, transaction);
            return true;
        });

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

    /// <summary>The decision whose changes of the plan a command names; null where none does.</summary>
    public async Task<DecisionRecord?> OfCommandAsync(string coach, string client, Guid command)
    {
        await using var connection = database.Open();
        return await connection.QueryFirstOrDefaultAsync<Row>(
            $"SELECT {Columns} FROM decision WHERE coach_id = @coach AND client_id = @client AND command = @command", new { coach, client, command = command.ToString() }) is { } row
            ? ToRecord(row)
            : null;
    }

    public Task UndoAsync(string coach, DecisionRecord record, DateTimeOffset at, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            await connection.ExecuteAsync(
                "UPDATE decision SET undone_at = @at WHERE coach_id = @coach AND id = @Id", new { coach, record.Id, at = Text(at) }, transaction);
            await connection.BumpAsync(coach, record.Client, transaction);
            return true;
        });

    private static DecisionRecord ToRecord(Row r) => new(
        r.Id, r.Client, DateTimeOffset.Parse(r.At, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal),
        JsonSerializer.Deserialize<ImmutableArray<Subject>>(r.About, TradeJson.Options), r.Sentence,
        Enum.Parse<Answer>(r.Answer, ignoreCase: true), r.Before, r.After, r.UndoneAt is not null,
        r.Command is null ? null : Guid.Parse(r.Command));

    private static string Text(DateTimeOffset time) => time.UtcDateTime.ToString("O", CultureInfo.InvariantCulture);
}
