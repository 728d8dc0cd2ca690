using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Benchmarks;

/// <summary>
/// Grows a demo database to a large practice: its members copied until there are as many as are asked for, their log repeated back until each
/// has as many sets. For bench/desk.mjs (200 clients with two years of log, two million sets) and bench/load.
/// </summary>
internal static class DeskData
{
    private const int DaysBack = 25;

    private const string Before = "line, exercise";

    private const string Behind =
        "set_number, load_grams, repetitions, reserve, pain, finished, stopped, pain_at, rest_before, to_limit, other_side, done_at, prescription";

    internal static void Grow(string folder, int clients, int setsEach)
    {
        using var connection = new SqliteConnection($"Data Source={Path.Combine(folder, "ingegno.db")}");
        connection.Open();
        connection.Execute("PRAGMA synchronous = OFF");
        string coach = connection.QueryFirst<string>("SELECT id FROM coach");
        string[] members = [.. connection.Query<string>("SELECT id FROM client ORDER BY id")];
        long logged = connection.ExecuteScalar<long>("SELECT max(rowid) FROM set_log");
        using var transaction = connection.BeginTransaction();
        foreach (string member in members)
        {
            int sets = connection.ExecuteScalar<int>("SELECT count(*) FROM set_log WHERE client_id = @member", new { member }, transaction);
            // Days that fall together hold one set a slot, so some copies come out shorter.
            for (int back = 1; sets < setsEach; back++)
            {
                sets += Copy(connection, transaction, coach, member, member, back, logged);
            }
        }

        for (int i = members.Length; i < clients; i++)
        {
            string from = members[i % members.Length], id = Guid.CreateVersion7().ToString();
            connection.Execute(
                """
                INSERT INTO client (id, coach_id, profile, created_at)
                SELECT @id, coach_id, json_set(profile, '$.name', json_extract(profile, '$.name') || ' ' || @i), created_at FROM client WHERE id = @from;
                INSERT INTO place (id, coach_id, client_id, position, document) SELECT @id || '-p' || position, coach_id, @id, position, document FROM place WHERE client_id = @from;
                INSERT INTO plan (id, coach_id, client_id, document)
                SELECT @id || '-l', coach_id, @id, json_set(document, '$.place', @id || '-p0') FROM plan WHERE client_id = @from;
                INSERT INTO plan_change (id, coach_id, client_id, place_in_list, kind, document)
                SELECT @id || '-c' || place_in_list, coach_id, @id, place_in_list, kind, document FROM plan_change WHERE client_id = @from;
                INSERT INTO learned (client_id, coach_id, document) SELECT @id, coach_id, document FROM learned WHERE client_id = @from;
                """,
                new { id, i, from }, transaction);
            Copy(connection, transaction, coach, from, id, 0, long.MaxValue);
        }

        transaction.Commit();
        connection.Execute("ANALYZE main");
        Console.WriteLine(string.Create(
            CultureInfo.InvariantCulture,
            $"{connection.ExecuteScalar<int>("SELECT count(*) FROM client")} clients, {connection.ExecuteScalar<int>("SELECT count(*) FROM set_log"):N0} sets"));
    }

    private static int Copy(SqliteConnection connection, SqliteTransaction transaction, string coach, string from, string to, int back, long logged) =>
        connection.Execute(
            $"""
             INSERT OR IGNORE INTO set_log (id, coach_id, client_id, {Before}, performed, {Behind})
             SELECT lower(hex(randomblob(16))), @coach, @to, {Before}, {(back == 0 ? "performed" : $"date(performed, '-{back * DaysBack} days')")}, {Behind}
             FROM set_log WHERE client_id = @from AND rowid <= @logged
             """,
            new { coach, from, to, back, logged }, transaction);
}
