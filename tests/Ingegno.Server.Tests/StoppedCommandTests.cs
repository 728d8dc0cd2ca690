using System.Net.Http.Json;
using System.Text;
using Microsoft.Data.Sqlite;

namespace Ingegno.Server.Tests;

/// <summary>Every command that writes in several steps is stopped after each of its statements; then all of it is in the file, or nothing.</summary>
public sealed class StoppedCommandTests(ServerHost host) : IClassFixture<ServerHost>
{
    /// <summary>Whatever a command may write to; a row of any of them can be the one that is stopped at.</summary>
    private static readonly string[] Tables =
        ["client", "plan", "plan_change", "decision", "place", "activity", "pain_clearance", "fixture_report", "set_log", "set_log_before", "prescription", "session_note", "sending", "link", "learned"];

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    public static TheoryData<string> Commands => ["save", "steps", "swap", "undo", "refuse", "rebuild", "clear", "place", "take place out", "send", "log", "phone"];

    [Theory]
    [MemberData(nameof(Commands))]
    public async Task It_is_all_or_nothing(string command)
    {
        var coach = await host.CoachAsync();
        int statements = 0;
        for (bool done = false; !done; statements++)
        {
            // A client anew each time: what stopped half way must not help the next.
            var api = await Api.WithPlanAsync(coach, "Goblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 8 RPE 8, rest 90 s");
            var act = await PrepareAsync(api, command);
            // Learned by and by from what was logged to prepare it: asked for, it is learned at once.
            await api.Coach.GetAsync($"/api/clients/{api.Id}", Stop);
            string before = await DumpAsync();
            await StopAfterAsync(statements);
            var answer = await act();
            await StopAfterAsync(null);
            done = answer.IsSuccessStatusCode;
            if (!done)
            {
                ((int)answer.StatusCode).ShouldBe(500, await answer.Content.ReadAsStringAsync(Stop));
                (await DumpAsync()).ShouldBe(before, $"{command}, stopped at row {statements + 1}");
            }

            statements.ShouldBeLessThan(60);
            // What was kept is learned from before anybody else looks.
            await api.Coach.GetAsync($"/api/clients/{api.Id}", Stop);
        }

        statements.ShouldBeGreaterThan(command is "place" or "clear" ? 1 : 2, "it wrote in several steps");
    }

    /// <returns>The command itself, everything before it done.</returns>
    private async Task<Func<Task<HttpResponseMessage>>> PrepareAsync(Api api, string command)
    {
        var lines = Api.Lines(await api.PlanAsync());
        long version = await api.VersionAsync();
        switch (command)
        {
            case "save":
                return () => api.SaveAsync("Goblet squat 3 x 5 RPE 8, rest 90 s\nPush-up 3 x 8 RPE 8, rest 120 s\nDead bug 3 x 8 a side", [], version);
            case "log":
                return () => api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/log", new { sets = lines.SelectMany(l => Api.Sets(l, "2026-11-20")) }, Stop);
            case "send":
                return () => api.Coach.PostAsync($"/api/clients/{api.Id}/sending", null, Stop);
            case "phone":
                string token = await api.SendAsync();
                return () => host.Stranger().PostAsJsonAsync(
                    $"/api/link/{token}/log",
                    new { phoneNow = "2026-11-23T09:00:00Z", sets = Api.Sets(lines[0], "2026-11-23"), notes = Array.Empty<object>() }, Stop);
            case "place" or "take place out":
                string shed = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/places", new { name = "Shed" }, Stop)).Content.ReadFromJsonAsync<System.Text.Json.Nodes.JsonNode>(Stop))!["id"]!.GetValue<string>();
                (await api.SaveAsync("Goblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 9 RPE 8, rest 90 s", [], version)).EnsureSuccessStatusCode();
                return command == "place"
                    ? () => api.Coach.PostAsync($"/api/clients/{api.Id}/places/{shed}/use", null, Stop)
                    : () => api.Coach.DeleteAsync($"/api/clients/{api.Id}/places/{shed}", Stop);
            case "steps" or "refuse":
                await api.LogAsync([.. lines.SelectMany(l => Api.Sets(l, "2026-11-20", left: 3))]);
                var ready = (await api.ProposalsAsync()).First(p => p["take"]?.GetValue<string>().StartsWith("Take", StringComparison.Ordinal) == true);
                return () => api.AnswerAsync(ready, command == "steps" ? "taken" : "refused");
            default:
                await api.LogAsync([.. Api.Sets(lines[0], "2026-11-20", pain: 7, painAt: "knee")]);
                var pain = await api.ProposalAsync("pain");
                if (command == "swap")
                {
                    return () => api.AnswerAsync(pain);
                }

                if (command == "rebuild")
                {
                    // A joint gone sore stops the line on the Desk, which can rebuild it from there.
                    var client = (await api.Coach.GetFromJsonAsync<System.Text.Json.Nodes.JsonNode>($"/api/clients/{api.Id}", Stop))!;
                    client["profile"]!["soreJoints"] = System.Text.Json.Nodes.JsonNode.Parse("""[{ "joint": "shoulder", "pain": 8 }]""");
                    (await api.Coach.PutAsJsonAsync($"/api/clients/{api.Id}", new { profile = client["profile"], version = client["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
                    var stopped = await api.ProposalAsync("unsafeSetUp");
                    return () => api.AnswerAsync(stopped);
                }

                (await api.AnswerAsync(pain)).EnsureSuccessStatusCode();
                if (command == "clear")
                {
                    var held = await api.ProposalAsync("stillHeld");
                    return () => api.AnswerAsync(held);
                }

                var undo = (await api.GetAsync("desk"))["undo"]!["id"]!.GetValue<string>();
                return () => api.Coach.PostAsync($"/api/clients/{api.Id}/decisions/{undo}/undo", null, Stop);
        }
    }

    /// <summary>Lets so many rows through and fails at the next; null lets all through.</summary>
    private async Task StopAfterAsync(int? rows)
    {
        await using var connection = await OpenAsync();
        var sql = new StringBuilder("CREATE TABLE IF NOT EXISTS stop_after (rows INTEGER NOT NULL) STRICT; DELETE FROM stop_after;");
        foreach (string table in Tables)
        {
            foreach (string deed in new[] { "INSERT", "UPDATE", "DELETE" })
            {
                sql.Append(System.Globalization.CultureInfo.InvariantCulture, $"DROP TRIGGER IF EXISTS stop_{table}_{deed};");
                if (rows is not null)
                {
                    sql.Append(System.Globalization.CultureInfo.InvariantCulture, $"""
                        CREATE TRIGGER stop_{table}_{deed} BEFORE {deed} ON {table} BEGIN
                            SELECT RAISE(ABORT, 'stopped by the test') WHERE (SELECT rows FROM stop_after) = 0;
                            UPDATE stop_after SET rows = rows - 1;
                        END;
                        """);
                }
            }
        }

        sql.Append(System.Globalization.CultureInfo.InvariantCulture, $"INSERT INTO stop_after VALUES ({rows ?? 0});");
        await using var command = connection.CreateCommand();
        command.CommandText = sql.ToString();
        await command.ExecuteNonQueryAsync(Stop);
    }

    private async Task<string> DumpAsync()
    {
        await using var connection = await OpenAsync();
        var dump = new StringBuilder();
        foreach (string table in Tables)
        {
            await using var command = connection.CreateCommand();
            command.CommandText = $"SELECT * FROM {table} ORDER BY 1, 2";
            await using var reader = await command.ExecuteReaderAsync(Stop);
            while (await reader.ReadAsync(Stop))
            {
                object[] values = new object[reader.FieldCount];
                reader.GetValues(values);
                dump.Append(table).Append(' ').AppendJoin('|', values).AppendLine();
            }
        }

        return dump.ToString();
    }

    private async Task<SqliteConnection> OpenAsync()
    {
        var connection = new SqliteConnection($"Data Source={host.DatabasePath}");
        await connection.OpenAsync(Stop);
        return connection;
    }
}
