using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Plans;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>A plan as trained at a place, with the version it was read at.</summary>
public static class PlansAtPlaces
{
    public static Versioned<Plan> At(this Versioned<Plan> plan, string place) => plan with { Value = plan.Value.At(place) };
}

/// <summary>The one plan in force of each client, and the list of its changes.</summary>
public sealed class Plans(Database database)
{
    /// <summary>A nudge on the bench asks for the same one over and over.</summary>
    private readonly ReadLately<(string Coach, string Client), Plan> _read = new(256);

    /// <summary>The empty plan at version 0 when none was saved yet.</summary>
    public async Task<Versioned<Plan>> FindAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return await _read.ReadAsync(connection, (coach, client), "document", "plan WHERE coach_id = @coach AND client_id = @client", new { coach, client })
            ?? new(Plan.Empty, 0);
    }

    /// <summary>Oldest first.</summary>
    public async Task<IReadOnlyList<PlanChange>> ChangesAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<string>(
                    "SELECT document FROM plan_change WHERE coach_id = @coach AND client_id = @client ORDER BY place_in_list", new { coach, client }))
                .Select(d => JsonSerializer.Deserialize<PlanChange>(d, TradeJson.Options)!),
        ];
    }

    /// <summary>Changes of one kind with those that took them back; oldest first.</summary>
    public async Task<IReadOnlyList<PlanChange>> ChangesAsync(string coach, string client, ChangeKind kind)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<string>(
                    "SELECT document FROM plan_change WHERE coach_id = @coach AND client_id = @client AND kind IN (@kind, @undone) ORDER BY place_in_list",
                    new { coach, client, kind = Name(kind), undone = Name(ChangeKind.Undone) }))
                .Select(d => JsonSerializer.Deserialize<PlanChange>(d, TradeJson.Options)!),
        ];
    }

    /// <summary>The texts the plan has had, newest first, each with the client's day it was taken; one taken back counts as taken again.</summary>
    public async Task<IReadOnlyList<(DateOnly On, string Text)>> TextsAsync(string coach, string client)
    {
        await using var connection = database.Open();
        return
        [
            .. (await connection.QueryAsync<(string On, string Text)>(
                    """
                    SELECT json_extract(document, '$.on'), json_extract(document, '$.text.after.text') FROM plan_change
                    WHERE coach_id = @coach AND client_id = @client AND json_extract(document, '$.text.before.text') IS NOT json_extract(document, '$.text.after.text')
                    ORDER BY place_in_list DESC
                    """,
                    new { coach, client }))
                .Select(t => (DateOnly.ParseExact(t.On, "yyyy-MM-dd", CultureInfo.InvariantCulture), t.Text)),
        ];
    }

    /// <summary>Writes the plan and what changed it, together.</summary>
    /// <param name="version">The version it was read at; 0 for a first save.</param>
    public Task<SaveResult> SaveAsync(string coach, string client, Plan plan, long version, IReadOnlyList<PlanChange>? changes = null, Writing? within = null) =>
        Writing.WithinAsync(database, within, async (connection, transaction) =>
        {
            var values = new { id = Guid.CreateVersion7().ToString(), coach, client, document = JsonSerializer.Serialize(plan, TradeJson.Options), version };
            int changed = await connection.ExecuteAsync(
                version == 0
                    ? """
                      INSERT INTO plan (id, coach_id, client_id, document)
                      SELECT @id, coach_id, id, @document FROM client WHERE id = @client AND coach_id = @coach
                      ON CONFLICT (client_id) DO NOTHING
                      """
                    : "UPDATE plan SET document = @document, row_version = row_version + 1 WHERE coach_id = @coach AND client_id = @client AND row_version = @version",
                values, transaction);
            foreach (var change in changed == 1 ? changes ?? [] : [])
            {
                await connection.ExecuteAsync(
                    """
                    INSERT INTO plan_change (id, coach_id, client_id, place_in_list, kind, document)
                    VALUES (@id, @coach, @client, (SELECT coalesce(max(place_in_list), 0) + 1 FROM plan_change WHERE client_id = @client), @kind, @document)
                    """,
                    new { id = change.Id.ToString(), coach, client, kind = Name(change.Kind), document = JsonSerializer.Serialize(change, TradeJson.Options) },
                    transaction);
            }

            return new SaveResult(changed == 1, await connection.ExecuteScalarAsync<long>(
                "SELECT row_version FROM plan WHERE coach_id = @coach AND client_id = @client", values, transaction));
        });

    internal static string Name(ChangeKind kind) => JsonNamingPolicy.CamelCase.ConvertName(kind.ToString());
}
