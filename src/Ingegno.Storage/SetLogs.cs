using System.Data;
using System.Data.Common;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>Who writes in the log, and when by the server's clock.</summary>
public sealed record LogWriter(string Name, DateTimeOffset At)
{
    public static LogWriter Phone(DateTimeOffset at) => new("the phone", at);
}

/// <summary>What became of a set.</summary>
/// <param name="Arrival">Null where its id belongs to somebody else's set: it was not kept and needs an id of its own.</param>
/// <param name="Version">Of what stands now.</param>
public sealed record SavedSet(Guid Id, SetArrival? Arrival, int Version);

/// <summary>Sets as done.</summary>
public sealed class SetLogs(Database database)
{
    private const string Columns = $"{FirstColumns}, version AS Version, reserve_most AS ReserveMost, kept_by AS KeptBy";

    private const string FirstColumns =
        """
        id AS Id, line AS Line, exercise AS Exercise, performed AS Performed, set_number AS SetNumber,
        load_grams AS LoadGrams, repetitions AS Repetitions, reserve AS Reserve, pain AS Pain, finished AS Finished,
        stopped AS Stopped, pain_at AS PainAt, rest_before AS RestBefore, to_limit AS ToLimit, other_side AS OtherSide, done_at AS DoneAt,
        prescription AS Prescription
        """;

    /// <summary>A prescription's id is made of what it says: what was read once never changes.</summary>
    private readonly ReadLately<(string Coach, string Id), Prescription> _asked = new(4096);

    private sealed record Row(
        string Id, long Line, string Exercise, string Performed, long SetNumber, long LoadGrams, long Repetitions, double? Reserve, long Pain,
        long Finished, string? Stopped, string? PainAt, double? RestBefore, long ToLimit, long? OtherSide, string? DoneAt, string? Prescription, long Version,
        double? ReserveMost, string? KeptBy);

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
        var asked = new Dictionary<string, Prescription>(StringComparer.Ordinal);
        var unread = new List<string>();
        foreach (string id in rows.Select(r => r.Prescription).OfType<string>().Distinct())
        {
            if (_asked.Find((coach, id)) is { } known)
            {
                asked[id] = known.Value;
            }
            else
            {
                unread.Add(id);
            }
        }

        if (unread.Count > 0)
        {
            foreach (var (id, document) in await connection.QueryAsync<(string Id, string Document)>(
                "SELECT id, document FROM prescription WHERE coach_id = @coach AND id IN (SELECT value FROM json_each(@ids))",
                new { coach, ids = JsonSerializer.Serialize(unread) }))
            {
                asked[id] = _asked.Keep((coach, id), JsonSerializer.Deserialize<Prescription>(document, TradeJson.Options)!, 0).Value;
            }
        }

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
    /// Adds the sets, all or none. What is kept already stands once; a correction of what its writer had seen takes its place, and what was said
    /// before is kept beside it; what its writer had not seen stands, and the other waits for the coach (<see cref="SetArrivals"/>).
    /// </summary>
    public Task<IReadOnlyList<SavedSet>> SaveAsync(string coach, string client, IEnumerable<AskedSet> sets, LogWriter by, Writing? within = null) =>
        Writing.WithinAsync<IReadOnlyList<SavedSet>>(database, within, async (connection, transaction) =>
        {
            var saved = new List<SavedSet>();
            foreach (var set in sets)
            {
                saved.Add(await SaveAsync(connection, transaction, coach, client, set, by));
            }

            await connection.BumpLogAsync(coach, client, transaction);
            return saved;
        });

    private static async Task<SavedSet> SaveAsync(DbConnection connection, DbTransaction transaction, string coach, string client, AskedSet stored, LogWriter by)
    {
        var set = stored.Set;
        string id = set.Id.ToString();
        var slot = new { coach, client, id, performed = Day(set.On), set.Line, set.Exercise, set.SetNumber };
        var (others, known) = await connection.QuerySingleAsync<(bool, bool)>(
            """
            SELECT EXISTS (SELECT 1 FROM set_log WHERE id = @id AND (coach_id <> @coach OR client_id <> @client)),
                EXISTS (SELECT 1 FROM set_log WHERE coach_id = @coach AND client_id = @client AND id = @id)
                OR EXISTS (SELECT 1 FROM set_log
                    WHERE coach_id = @coach AND client_id = @client AND performed = @performed AND line = @Line AND exercise = @Exercise AND set_number = @SetNumber)
                OR EXISTS (SELECT 1 FROM set_log_before WHERE coach_id = @coach AND client_id = @client AND id = @id)
            """,
            slot, transaction);
        if (others)
        {
            return new(set.Id, null, 0);
        }

        if (!known)
        {
            // Nearly every set: nothing was ever said of it or in its place.
            await InsertAsync(
                connection, transaction, coach, client, set with { Version = 1 }, await PrescriptionAsync(connection, transaction, coach, stored.As), by);
            return new(set.Id, SetArrival.First, 1);
        }

        // Its own row, and whatever stands where it belongs: a slot holds one set.
        Row[] rows =
        [
            .. await connection.QueryAsync<Row>(
                $"""
                 SELECT {Columns} FROM set_log
                 WHERE coach_id = @coach AND client_id = @client
                   AND (id = @id OR (performed = @performed AND line = @Line AND exercise = @Exercise AND set_number = @SetNumber))
                 """,
                slot,
                transaction),
        ];
        SetLog[] standing = [.. rows.Select(ToSet)];
        SetLog[] former = [.. (await connection.QueryAsync<string>(
            "SELECT document FROM set_log_before WHERE coach_id = @coach AND client_id = @client AND id = @id", new { coach, client, id }, transaction)).Select(Read)];
        int version = standing.Select(s => s.Version).DefaultIfEmpty(0).Max();
        var arrival = SetArrivals.Of(set, standing, former);
        switch (arrival)
        {
            case SetArrival.Conflict:
                await SetConflicts.AddAsync(connection, transaction, coach, client, set, by);
                break;
            case SetArrival.First or SetArrival.Correction:
                foreach (var old in standing)
                {
                    await KeepBesideAsync(connection, transaction, coach, client, old);
                    await connection.ExecuteAsync("DELETE FROM set_log WHERE id = @id", new { id = old.Id.ToString() }, transaction);
                }

                // A correction changes what was done, not what was asked.
                string? asked = rows.FirstOrDefault(r => r.Exercise == set.Exercise && r.Line == set.Line && r.Prescription is not null)?.Prescription;
                version++;
                await InsertAsync(
                    connection, transaction, coach, client, set with { Version = version }, asked ?? await PrescriptionAsync(connection, transaction, coach, stored.As), by);
                break;
        }

        return new(set.Id, arrival, version);
    }

    /// <summary>What stands where a set belongs, and who wrote it; null for nothing.</summary>
    internal static async Task<(SetLog Set, string By)?> StandingAsync(DbConnection connection, string coach, string client, SetLog set) =>
        await connection.QueryFirstOrDefaultAsync<Row>(
            $"""
             SELECT {Columns} FROM set_log
             WHERE coach_id = @coach AND client_id = @client AND performed = @performed AND line = @Line AND exercise = @Exercise AND set_number = @SetNumber
             """,
            new { coach, client, performed = Day(set.On), set.Line, set.Exercise, set.SetNumber }) is { } row
            ? (ToSet(row), row.KeptBy ?? "")
            : null;

    /// <summary>A set by its id, whoever's it is, as it was kept before corrections named a version; for bringing a file up to date.</summary>
    internal static SetLog FindFormer(IDbConnection connection, IDbTransaction? transaction, string id) =>
        ToSet(connection.QuerySingle<Row>(
            $"SELECT {FirstColumns}, 1 AS Version, reserve AS ReserveMost, '' AS KeptBy FROM set_log WHERE id = @id", new { id }, transaction));

    private static Task<int> KeepBesideAsync(DbConnection connection, DbTransaction transaction, string coach, string client, SetLog set) =>
        connection.ExecuteAsync(
            "INSERT INTO set_log_before (id, coach_id, client_id, document) VALUES (@id, @coach, @client, @document) ON CONFLICT DO NOTHING",
            new { id = set.Id.ToString(), coach, client, document = JsonSerializer.Serialize(set, TradeJson.Options) },
            transaction);

    private static Task<int> InsertAsync(
        DbConnection connection, DbTransaction transaction, string coach, string client, SetLog set, string? prescription, LogWriter by) =>
        connection.ExecuteAsync(
            """
            INSERT INTO set_log (id, coach_id, client_id, line, exercise, performed, set_number, load_grams, repetitions, reserve, pain, finished,
                stopped, pain_at, rest_before, to_limit, other_side, done_at, prescription, version, reserve_most, kept_at, kept_by)
            VALUES (@id, @coach, @client, @Line, @Exercise, @performed, @SetNumber, @grams, @Repetitions, @least, @Pain, @Finished,
                @stopped, @painAt, @rest, @ToLimit, @OtherSide, @at, @prescription, @Version, @most, @keptAt, @keptBy)
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
                least = set.Reserve?.Least,
                most = set.Reserve?.Most,
                set.Pain,
                set.Finished,
                stopped = set.Stopped?.ToString(),
                painAt = set.PainAt?.ToString(),
                rest = set.RestBefore?.Seconds,
                set.ToLimit,
                set.OtherSide,
                at = set.At?.ToString("O", CultureInfo.InvariantCulture),
                prescription,
                set.Version,
                keptAt = by.At.ToString("O", CultureInfo.InvariantCulture),
                keptBy = by.Name,
            },
            transaction);

    /// <summary>A phone's prescription comes with every set of it: written out once.</summary>
    private static readonly ConditionalWeakTable<Prescription, WrittenPrescription> Written = [];

    /// <param name="Id">Made of what it says.</param>
    private sealed record WrittenPrescription(string Id, string Document)
    {
        internal static WrittenPrescription Of(Prescription asked)
        {
            string document = JsonSerializer.Serialize(asked, TradeJson.Options);
            return new(Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(document)))[..32], document);
        }
    }

    private static async Task<string?> PrescriptionAsync(DbConnection connection, DbTransaction transaction, string coach, Prescription? asked)
    {
        if (asked is null)
        {
            return null;
        }

        var (id, document) = Written.GetValue(asked, WrittenPrescription.Of);
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
                .Select(Read)
                .Where(s => s.On >= since)
                .OrderByDescending(s => s.On).ThenBy(s => s.SetNumber),
        ];
    }

    internal static SetLog Read(string document) => JsonSerializer.Deserialize<SetLog>(document, TradeJson.Options)!;

    internal static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    internal static DateOnly Day(string text) => DateOnly.ParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static SetLog ToSet(Row r) => new(
        Guid.Parse(r.Id), (int)r.Line, r.Exercise, Day(r.Performed), (int)r.SetNumber, Mass.FromGrams(r.LoadGrams), (int)r.Repetitions,
        r.Reserve is not { } least ? null : r.ReserveMost is { } most ? SaidReserve.Between(least, most) : SaidReserve.OrMore(least), (int)r.Pain,
        (int)r.Finished)
    {
        Stopped = r.Stopped is null ? null : Enum.Parse<StopReason>(r.Stopped),
        PainAt = r.PainAt is null ? null : Enum.Parse<Joint>(r.PainAt),
        RestBefore = r.RestBefore is { } seconds ? Duration.FromSeconds(seconds) : null,
        ToLimit = r.ToLimit != 0,
        OtherSide = (int?)r.OtherSide,
        At = r.DoneAt is null ? null : DateTimeOffset.Parse(r.DoneAt, CultureInfo.InvariantCulture),
        Version = (int)r.Version,
    };
}
