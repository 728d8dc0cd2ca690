using System.Data;
using System.Data.Common;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>Sets as done.</summary>
public sealed class SetLogs(Database database)
{
    private const string Columns =
        """
        id AS Id, line AS Line, exercise AS Exercise, performed AS Performed, set_number AS SetNumber,
        load_grams AS LoadGrams, repetitions AS Repetitions, reserve AS Reserve, pain AS Pain, finished AS Finished,
        stopped AS Stopped, pain_at AS PainAt, rest_before AS RestBefore, to_limit AS ToLimit, other_side AS OtherSide, done_at AS DoneAt,
        prescription AS Prescription
        """;

    private sealed record Row(
        string Id, long Line, string Exercise, string Performed, long SetNumber, long LoadGrams, long Repetitions, double? Reserve, long Pain,
        long Finished, string? Stopped, string? PainAt, double? RestBefore, long ToLimit, long? OtherSide, string? DoneAt, string? Prescription);

    /// <summary>Newest day first, sets in order.</summary>
    /// <param name="since">First day wanted; null for all.</param>
    public async Task<IReadOnlyList<SetLog>> OfClientAsync(string coach, string client, DateOnly? since = null)
    {
        await using var connection = database.Open();
        return [.. (await RowsAsync(connection, coach, client, since)).Select(ToSet)];
    }

    /// <summary>The same with what each was asked as.</summary>
    public async Task<IReadOnlyList<AskedSet>> AskedOfClientAsync(string coach, string client, DateOnly? since = null)
    {
        await using var connection = database.Open();
        var rows = (await RowsAsync(connection, coach, client, since)).AsList();
        string[] ids = [.. rows.Select(r => r.Prescription).OfType<string>().Distinct()];
        var asked = (await connection.QueryAsync<(string Id, string Document)>(
                "SELECT id, document FROM prescription WHERE coach_id = @coach AND id IN (SELECT value FROM json_each(@ids))",
                new { coach, ids = JsonSerializer.Serialize(ids) }))
            .ToDictionary(p => p.Id, p => JsonSerializer.Deserialize<Prescription>(p.Document, TradeJson.Options)!, StringComparer.Ordinal);
        return [.. rows.Select(r => new AskedSet(ToSet(r), r.Prescription is { } id ? asked.GetValueOrDefault(id) : null))];
    }

    private static async Task<IEnumerable<Row>> RowsAsync(DbConnection connection, string coach, string client, DateOnly? since) =>
        await connection.QueryAsync<Row>(
            $"""
             SELECT {Columns} FROM set_log
             WHERE client_id = @client AND coach_id = @coach AND performed >= @since
             ORDER BY performed DESC, line, set_number
             """,
            new { coach, client, since = since is { } day ? Day(day) : "" });

    /// <summary>
    /// Adds the sets, all or none. The same set again (same id; or same day, line, exercise and number from another phone) stands once: the
    /// later one by its own clock holds, and what the other said is kept beside it.
    /// </summary>
    /// <returns>Ids that belong to somebody else's set: these were not kept and need an id of their own.</returns>
    public Task<IReadOnlyList<Guid>> SaveAsync(string coach, string client, IEnumerable<AskedSet> sets, Writing? within = null) =>
        Writing.WithinAsync<IReadOnlyList<Guid>>(database, within, async (connection, transaction) =>
        {
            var taken = new List<Guid>();
            foreach (var set in sets)
            {
                if (!await SaveAsync(connection, transaction, coach, client, set))
                {
                    taken.Add(set.Set.Id);
                }
            }

            await connection.BumpAsync(coach, client, transaction);
            return taken;
        });

    /// <returns>False when the id belongs to somebody else's set.</returns>
    private static async Task<bool> SaveAsync(DbConnection connection, DbTransaction transaction, string coach, string client, AskedSet stored)
    {
        var set = stored.Set;
        // Its own row, and whatever stands where it belongs: a slot holds one set.
        Row[] rows =
        [
            .. await connection.QueryAsync<Row>(
                $"""
                 SELECT {Columns} FROM set_log
                 WHERE coach_id = @coach AND client_id = @client
                   AND (id = @id OR (performed = @performed AND line = @Line AND exercise = @Exercise AND set_number = @SetNumber))
                 """,
                new { coach, client, id = set.Id.ToString(), performed = Day(set.On), set.Line, set.Exercise, set.SetNumber },
                transaction),
        ];
        SetLog[] before = [.. rows.Select(ToSet)];

        // Sent again: the same figures are the same set, whatever the clock said when they were sent.
        if (before.Any(old => IsSame(old, set)))
        {
            return true;
        }

        if (before.Any(old => old.At > set.At))
        {
            await KeepBesideAsync(connection, transaction, coach, client, set);
            return true;
        }

        foreach (var old in before)
        {
            await KeepBesideAsync(connection, transaction, coach, client, old);
            await connection.ExecuteAsync("DELETE FROM set_log WHERE id = @id AND coach_id = @coach AND client_id = @client", new { id = old.Id.ToString(), coach, client }, transaction);
        }

        // A correction changes what was done, not what was asked.
        string? asked = rows.FirstOrDefault(r => r.Exercise == set.Exercise && r.Line == set.Line && r.Prescription is not null)?.Prescription;
        return await InsertAsync(connection, transaction, coach, client, stored, asked ?? await PrescriptionAsync(connection, transaction, coach, stored.As)) == 1;
    }

    /// <summary>A set by its id, whoever's it is; for bringing a file up to date.</summary>
    internal static SetLog Find(IDbConnection connection, IDbTransaction? transaction, string id) =>
        ToSet(connection.QuerySingle<Row>($"SELECT {Columns} FROM set_log WHERE id = @id", new { id }, transaction));

    private static bool IsSame(SetLog a, SetLog b) => a with { Id = b.Id, At = b.At } == b;

    private static Task<int> KeepBesideAsync(DbConnection connection, DbTransaction transaction, string coach, string client, SetLog set) =>
        connection.ExecuteAsync(
            "INSERT INTO set_log_before (id, coach_id, client_id, document) VALUES (@id, @coach, @client, @document) ON CONFLICT DO NOTHING",
            new { id = set.Id.ToString(), coach, client, document = JsonSerializer.Serialize(set, TradeJson.Options) },
            transaction);

    /// <summary>An id of another coach's or client's set is never touched: the insert then does nothing.</summary>
    private static Task<int> InsertAsync(DbConnection connection, DbTransaction transaction, string coach, string client, AskedSet stored, string? prescription)
    {
        var set = stored.Set;
        return connection.ExecuteAsync(
            """
            INSERT INTO set_log (id, coach_id, client_id, line, exercise, performed, set_number, load_grams, repetitions, reserve, pain, finished,
                stopped, pain_at, rest_before, to_limit, other_side, done_at, prescription)
            VALUES (@id, @coach, @client, @Line, @Exercise, @performed, @SetNumber, @grams, @Repetitions, @Reserve, @Pain, @Finished,
                @stopped, @painAt, @rest, @ToLimit, @OtherSide, @at, @prescription)
            ON CONFLICT (id) DO NOTHING
            """,
            new
            {
                id = set.Id.ToString(),
                coach,
                client,
                set.Line,
                set.Exercise,
                performed = Day(set.On),
                set.SetNumber,
                grams = set.Load.Grams,
                set.Repetitions,
                set.Reserve,
                set.Pain,
                set.Finished,
                stopped = set.Stopped?.ToString(),
                painAt = set.PainAt?.ToString(),
                rest = set.RestBefore?.Seconds,
                set.ToLimit,
                set.OtherSide,
                at = set.At?.ToString("O", CultureInfo.InvariantCulture),
                prescription,
            },
            transaction);
    }

    private static async Task<string?> PrescriptionAsync(DbConnection connection, DbTransaction transaction, string coach, Prescription? asked)
    {
        if (asked is null)
        {
            return null;
        }

        string document = JsonSerializer.Serialize(asked, TradeJson.Options);
        string id = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(document)))[..32];
        await connection.ExecuteAsync(
            "INSERT INTO prescription (coach_id, id, document) VALUES (@coach, @id, @document) ON CONFLICT DO NOTHING",
            new { coach, id, document },
            transaction);
        return id;
    }

    /// <summary>What sets said before they were corrected, or on another phone; newest day first.</summary>
    /// <param name="since">Sets of this day and later.</param>
    public async Task<IReadOnlyList<SetLog>> OverwrittenAsync(string coach, string client, DateOnly since)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<string>("SELECT document FROM set_log_before WHERE coach_id = @coach AND client_id = @client", new { coach, client }))
                .Select(d => JsonSerializer.Deserialize<SetLog>(d, TradeJson.Options)!)
                .Where(s => s.On >= since)
                .OrderByDescending(s => s.On).ThenBy(s => s.SetNumber),
        ];
    }

    internal static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    internal static DateOnly Day(string text) => DateOnly.ParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static SetLog ToSet(Row r) => new(
        Guid.Parse(r.Id), (int)r.Line, r.Exercise, Day(r.Performed), (int)r.SetNumber, Mass.FromGrams(r.LoadGrams), (int)r.Repetitions, r.Reserve, (int)r.Pain,
        (int)r.Finished)
    {
        Stopped = r.Stopped is null ? null : Enum.Parse<StopReason>(r.Stopped),
        PainAt = r.PainAt is null ? null : Enum.Parse<Joint>(r.PainAt),
        RestBefore = r.RestBefore is { } seconds ? Duration.FromSeconds(seconds) : null,
        ToLimit = r.ToLimit != 0,
        OtherSide = (int?)r.OtherSide,
        At = r.DoneAt is null ? null : DateTimeOffset.Parse(r.DoneAt, CultureInfo.InvariantCulture),
    };
}
