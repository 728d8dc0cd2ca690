using System.Data.Common;
using Dapper;

namespace Ingegno.Storage;

/// <summary>Somebody doing something.</summary>
/// <param name="Did">The name of the route or command.</param>
/// <param name="Client">Whom it is about; null for nobody.</param>
public sealed record Act(DateTimeOffset At, string Coach, string Name, string Did, string? Client);

/// <summary>Who changed what. A change writes its own entry, in the same commit: there is none without the other.</summary>
public sealed class Audit(Database database)
{
    private static readonly AsyncLocal<Act?> Acting = new();

    /// <summary>From here on, whatever is written on this path of the program is this; null for what the program does of its own accord.</summary>
    public static void Begin(Act? act) => Acting.Value = act;

    /// <summary>Rows changed on this connection so far; not asked where nobody acts.</summary>
    internal static long Changes(DbConnection connection, DbTransaction transaction) =>
        Acting.Value is null ? 0 : connection.ExecuteScalar<long>("SELECT total_changes()", transaction: transaction);

    /// <param name="before">Changes when the writing began: what changed nothing, for it came too late, is nobody's doing.</param>
    internal static void Write(DbConnection connection, DbTransaction transaction, long before)
    {
        if (Acting.Value is { } act && Changes(connection, transaction) > before)
        {
            connection.Execute(
                "INSERT INTO audit (at, coach_id, coach, did, client_id) VALUES (@at, @Coach, @Name, @Did, @Client)",
                new { at = Token.Text(act.At), act.Coach, act.Name, act.Did, act.Client }, transaction);
        }
    }

    /// <summary>Newest first.</summary>
    public async Task<IReadOnlyList<Act>> LatestAsync(int most)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<(string At, string Coach, string Name, string Did, string? Client)>(
                    "SELECT at, coach_id, coach, did, client_id FROM audit ORDER BY id DESC LIMIT @most", new { most }))
                .Select(a => new Act(Token.Time(a.At), a.Coach, a.Name, a.Did, a.Client)),
        ];
    }
}
