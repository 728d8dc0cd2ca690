using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Dapper;
using Ingegno.Server.Log;
using Ingegno.Storage;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Server.Tests;

/// <summary>A phone's set is safe and answered first, and learned from afterwards; nobody ever reads a lesson without it.</summary>
public sealed class LearnerTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private async Task<(Api Api, string Token, JsonObject[] Sets)> SentAsync()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Goblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 8 RPE 8, rest 90 s");
        return (api, await api.SendAsync(), [.. Api.Sets(Api.Lines(await api.PlanAsync())[0], "2026-11-23", more: 6, left: 0)]);
    }

    private async Task LogAsync(string token, JsonObject[] sets) =>
        (await host.Stranger().PostAsJsonAsync($"/api/link/{token}/log", new { phoneNow = "2026-11-23T09:00:00Z", sets, notes = Array.Empty<object>() }, Stop))
            .EnsureSuccessStatusCode();

    private bool Waits(Api api)
    {
        using var database = new Database(host.DatabasePath);
        using var connection = database.Open();
        return connection.ExecuteScalar<bool>(
            "SELECT a.logged > coalesce(l.logged, 0) FROM activity a LEFT JOIN learned l ON l.client_id = a.client_id WHERE a.client_id = @Id", new { api.Id });
    }

    [Fact]
    public async Task Whoever_looks_sees_what_the_last_set_taught()
    {
        var (api, token, sets) = await SentAsync();
        var before = await api.GetAsync("progress");
        await LogAsync(token, sets);
        var after = await api.GetAsync("progress");
        after["moves"]!.AsArray().Count.ShouldBeGreaterThan(before["moves"]!.AsArray().Count);
        after["learned"]!.ToJsonString().ShouldNotBe(before["learned"]!.ToJsonString());
        Waits(api).ShouldBeFalse();
    }

    [Fact]
    public async Task What_a_stop_left_unlearned_is_found_at_the_next_start()
    {
        var (api, token, sets) = await SentAsync();
        await LogAsync(token, sets);
        await api.GetAsync("progress");
        // The set reached the file and the lesson did not; how soon it would have is the machine's affair.
        using (var database = new Database(host.DatabasePath))
        {
            await using var connection = database.Open();
            await connection.ExecuteAsync("DELETE FROM learned WHERE client_id = @Id", new { api.Id });
        }

        Waits(api).ShouldBeTrue("kept, not learned from yet");
        // As a new process would: nothing in memory, only the file.
        var learner = ActivatorUtilities.CreateInstance<Learner>(host.Services);
        await learner.FindWaitingAsync();
        string coach = (await api.Coach.GetFromJsonAsync<JsonNode>("/api/session", Stop))!["coach"]!["id"]!.GetValue<string>();
        await learner.SettledAsync(coach, api.Id);
        Waits(api).ShouldBeFalse();
    }

    [Fact]
    public async Task It_learns_by_itself_when_nobody_looks()
    {
        var (api, token, sets) = await SentAsync();
        await LogAsync(token, sets);
        for (int i = 0; i < 1200 && Waits(api); i++)
        {
            await Task.Delay(100, Stop);
        }

        Waits(api).ShouldBeFalse();
    }
}
