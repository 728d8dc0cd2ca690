using System.Collections.Immutable;
using System.Data;
using System.Globalization;
using System.Text.Json;
using Dapper;
using DbUp.Engine;
using Ingegno.Core.Blocks;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Storage.Migrations;

/// <summary>
/// Plans become one document each with a list of changes, decisions get typed subjects, and of sets that stand twice in one slot the later stands
/// and the others are kept beside. Everything else of the file is left as it is.
/// </summary>
internal sealed class PlanHistories : IScript
{
    private sealed record PlanRow
    {
        public required string Id { get; init; }

        public required string Coach { get; init; }

        public required string Client { get; init; }

        public required string CoachName { get; init; }

        public required string Text { get; init; }

        public required string Choices { get; init; }

        public required string Sessions { get; init; }

        public string? SavedAt { get; init; }

        public string? Block { get; init; }

        public required string Place { get; init; }

        public required string PlaceName { get; init; }

        public required string Elsewhere { get; init; }

        public long Version { get; init; }
    }

    private sealed record DecisionRow(string Id, string At, string Subject, string Sentence, string Answer, string? Before, string? After, string? UndoneAt);

    private sealed record AskedRow(long Line, string Performed, string Document);

    private sealed record TwiceRow(string Id, string Coach, string Client);

    /// <returns>Nothing more to run.</returns>
    public string ProvideScript(Func<IDbCommand> dbCommandFactory)
    {
        using var command = dbCommandFactory();
        var (connection, transaction) = (command.Connection!, command.Transaction);
        foreach (var row in connection.Query<PlanRow>(
            """
            SELECT p.id AS Id, p.coach_id AS Coach, p.client_id AS Client, o.name AS CoachName, p.text AS Text, p.choices AS Choices, p.sessions AS Sessions,
                   p.saved_at AS SavedAt, p.block AS Block,
                   coalesce(p.place, (SELECT id FROM place WHERE client_id = p.client_id ORDER BY position, id LIMIT 1), '') AS Place,
                   p.place_name AS PlaceName, p.elsewhere AS Elsewhere, p.row_version AS Version
            FROM plan p JOIN coach o ON o.id = p.coach_id
            """, transaction: transaction).ToArray())
        {
            Convert(connection, transaction, row);
        }

        foreach (var row in connection.Query<(string Id, string Subject)>("SELECT id, subject FROM decision", transaction: transaction).ToArray())
        {
            connection.Execute(
                "UPDATE decision SET about = @about WHERE id = @Id", new { row.Id, about = Json(FormerSubjects.Of(row.Subject)) }, transaction);
        }

        OneSetASlot(connection, transaction);
        return "";
    }

    private static void Convert(IDbConnection connection, IDbTransaction? transaction, PlanRow row)
    {
        var former = new FormerPlan(
            row.Id, row.Coach, row.Client, row.CoachName, row.Text, Read<ImmutableArray<LineChoice>>(row.Choices), Read<ImmutableArray<PlannedSession>>(row.Sessions),
            row.SavedAt is null ? null : DateTimeOffset.Parse(row.SavedAt, CultureInfo.InvariantCulture), row.Block is null ? null : Read<Block>(row.Block), row.Place, row.PlaceName,
            Read<ImmutableArray<PlannedPlace>>(row.Elsewhere), row.Version);
        FormerDecision[] decisions =
        [
            .. connection.Query<DecisionRow>(
                """
                SELECT id AS Id, decided_at AS At, subject AS Subject, sentence AS Sentence, answer AS Answer, before AS Before, after AS After, undone_at AS UndoneAt
                FROM decision WHERE client_id = @Client AND coach_id = @Coach
                """, row, transaction)
                .Select(d => new FormerDecision(
                    d.Id, DateTimeOffset.Parse(d.At, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal), d.Subject, d.Sentence, d.Answer == "taken",
                    d.Before is null ? null : Read<FormerSnapshot>(d.Before), d.After is null ? null : Read<FormerSnapshot>(d.After), d.UndoneAt is not null)),
        ];
        FormerAsked[] asked =
        [
            .. connection.Query<AskedRow>(
                """
                SELECT s.line AS Line, s.performed AS Performed, p.document AS Document
                FROM set_log s JOIN prescription p ON p.id = s.prescription AND p.coach_id = s.coach_id
                WHERE s.client_id = @Client AND s.coach_id = @Coach
                GROUP BY s.line, s.performed, p.id ORDER BY s.performed
                """, row, transaction)
                .Select(a => new FormerAsked((int)a.Line, SetLogs.Day(a.Performed), Read<Prescription>(a.Document))),
        ];
        var plan = former.AsPlan();
        if (!plan.Sessions.IsEmpty || plan.Block is not null)
        {
            var (changes, commands) = FormerHistory.Of(former, decisions, asked);
            plan = plan with { Versions = Changing.Replayed(changes).Versions };
            for (int i = 0; i < changes.Count; i++)
            {
                connection.Execute(
                    "INSERT INTO plan_change (id, coach_id, client_id, place_in_list, kind, document) VALUES (@id, @Coach, @Client, @place, @kind, @document)",
                    new { id = changes[i].Id.ToString(), row.Coach, row.Client, place = i + 1, kind = Plans.Name(changes[i].Kind), document = Json(changes[i]) }, transaction);
            }

            foreach (var (decision, command) in commands)
            {
                connection.Execute(
                    "UPDATE decision SET command = @command, before = NULL, after = NULL WHERE id = @decision", new { decision, command = command.ToString() }, transaction);
            }
        }

        connection.Execute(
            "INSERT INTO plan_2 (id, coach_id, client_id, document, row_version) VALUES (@Id, @Coach, @Client, @document, @Version)",
            new { row.Id, row.Coach, row.Client, document = Json(plan), row.Version }, transaction);
    }

    private static void OneSetASlot(IDbConnection connection, IDbTransaction? transaction)
    {
        foreach (var twice in connection.Query<TwiceRow>(
            """
            SELECT id AS Id, coach_id AS Coach, client_id AS Client FROM (
                SELECT id, coach_id, client_id,
                       row_number() OVER (PARTITION BY client_id, performed, line, exercise, set_number ORDER BY done_at DESC, id DESC) AS place
                FROM set_log)
            WHERE place > 1
            """, transaction: transaction).ToArray())
        {
            var set = SetLogs.FindFormer(connection, transaction, twice.Id);
            connection.Execute(
                "INSERT INTO set_log_before (id, coach_id, client_id, document) VALUES (@Id, @Coach, @Client, @document) ON CONFLICT DO NOTHING",
                new { twice.Id, twice.Coach, twice.Client, document = Json(set) }, transaction);
            connection.Execute("DELETE FROM set_log WHERE id = @Id", twice, transaction);
        }
    }

    private static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, TradeJson.Options)!;

    private static string Json<T>(T value) => JsonSerializer.Serialize(value, TradeJson.Options);
}
