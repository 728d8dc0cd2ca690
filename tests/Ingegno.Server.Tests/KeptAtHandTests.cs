using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>What is kept at hand never outlives what it was worked out from: the bench's rebuild and the Desk's rows.</summary>
public sealed class KeptAtHandTests(ServerHost host) : IClassFixture<ServerHost>
{
    private const string Text = "Goblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 20 RPE 8, rest 90 s";

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static async Task<string> BenchAsync(Api api, string text) =>
        (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text, choices = Array.Empty<object>() }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!["sessions"]!.ToJsonString();

    [Fact]
    public async Task The_bench_follows_the_practice()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Dead bug 3 x 8");
        string before = await BenchAsync(api, Text);
        await PracticeAsync(api.Coach, p => p["rules"]!["repetitionCap"] = 12);
        string after = await BenchAsync(api, Text);
        await PracticeAsync(api.Coach, p => p["rules"]!["repetitionCap"] = 30);
        after.ShouldNotBe(before);
        (await BenchAsync(api, Text)).ShouldBe(before);
    }

    [Fact]
    public async Task The_bench_follows_what_the_log_taught()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), Text);
        const string other = "Goblet squat 3 x 12 RPE 8, rest 60 s";
        string before = await BenchAsync(api, other);
        var lines = Api.Lines(await api.PlanAsync());
        await api.LogAsync([.. Api.Sets(lines[0], "2026-11-18", more: 12, left: 0), .. Api.Sets(lines[1], "2026-11-18", more: 12, left: 0)]);
        (await BenchAsync(api, other)).ShouldNotBe(before);
    }

    [Fact]
    public async Task The_bench_follows_the_plan_and_the_home()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), Text);
        string before = await BenchAsync(api, Text);
        object nudge = new { line = 2, text = "Push-up 3 x 20 RPE 8, rest 90 s", exercise = "push-up", rest = 200 };
        (await api.SaveAsync(Text, [nudge], await api.VersionAsync())).EnsureSuccessStatusCode();
        string nudged = await BenchAsync(api, Text);
        nudged.ShouldNotBe(before);
        await HomeAsync(api, home => home["kit"]![0]!["weights"]![0]!["mass"] = 10);
        (await BenchAsync(api, Text)).ShouldNotBe(nudged);
    }

    /// <summary>After each, the Desk of everybody must say of this client what the client's own row, worked out anew, says.</summary>
    public static TheoryData<string> Deeds => ["client", "plan", "place in use", "place", "another place", "practice", "log", "note", "decision", "undone", "report", "sent", "cleared"];

    [Theory]
    [MemberData(nameof(Deeds))]
    public async Task The_desk_follows(string deed)
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Goblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 8 RPE 8, rest 90 s");
        var lines = Api.Lines(await api.PlanAsync());
        await api.LogAsync([.. Api.Sets(lines[0], "2026-11-18", pain: 7, painAt: "knee"), .. Api.Sets(lines[1], "2026-11-20", left: 3)]);
        string shed = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/places", new { name = "Shed" }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        if (deed is "undone" or "cleared")
        {
            (await api.AnswerAsync(await api.ProposalAsync("pain"))).EnsureSuccessStatusCode();
        }

        string token = await api.SendAsync();
        string before = await RowAsync(api);
        await DoAsync(api, deed, lines, shed, token);
        string after = await RowAsync(api);
        after.ShouldNotBe(before, "it is about something the row shows");
        after.ShouldBe((await api.GetAsync("desk")).ToJsonString());
        if (deed == "practice")
        {
            await PracticeAsync(api.Coach, p => p["rules"]!["bans"] = new JsonArray());
        }
    }

    private static async Task<string> RowAsync(Api api) =>
        (await api.Coach.GetFromJsonAsync<JsonNode>("/api/desk", Stop))!.AsArray().Single(r => r!["id"]!.GetValue<string>() == api.Id)!.ToJsonString();

    private async Task DoAsync(Api api, string deed, JsonNode[] lines, string shed, string token)
    {
        switch (deed)
        {
            case "client":
                var client = (await api.Coach.GetFromJsonAsync<JsonNode>($"/api/clients/{api.Id}", Stop))!;
                client["profile"]!["note"] = "moved to the coast";
                (await api.Coach.PutAsJsonAsync($"/api/clients/{api.Id}", new { profile = client["profile"], version = client["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
                break;
            case "plan":
                (await api.SaveAsync("Push-up 3 x 8 RPE 8, rest 90 s", [], await api.VersionAsync())).EnsureSuccessStatusCode();
                break;
            case "place in use":
                (await api.Coach.PostAsync($"/api/clients/{api.Id}/places/{shed}/use", null, Stop)).EnsureSuccessStatusCode();
                break;
            case "place":
                await HomeAsync(api, home => home["kit"] = new JsonArray());
                break;
            case "another place":
                (await api.Coach.DeleteAsync($"/api/clients/{api.Id}/places/{(await api.PlanAsync())["place"]}", Stop)).EnsureSuccessStatusCode();
                break;
            case "practice":
                await PracticeAsync(api.Coach, p => p["rules"]!["bans"] = JsonNode.Parse("""[{ "exercise": "push-up", "attribute": null, "reason": "wrists" }]"""));
                break;
            case "log":
                await api.LogAsync(Api.Sets(lines[1], "2026-11-21", left: 3));
                break;
            case "note":
                (await host.Stranger().PostAsJsonAsync(
                    $"/api/link/{token}/log",
                    new { phoneNow = "2026-11-23T09:00:00Z", sets = Array.Empty<object>(), notes = new object[] { new { session = "Session 1", on = "2026-11-18", felt = "breath" }, new { session = "Session 1", on = "2026-11-20", felt = "breath" } } }, Stop)).EnsureSuccessStatusCode();
                break;
            case "decision":
                (await api.AnswerAsync(await api.ProposalAsync("pain"), "refused")).EnsureSuccessStatusCode();
                break;
            case "undone":
                (await api.Coach.PostAsync($"/api/clients/{api.Id}/decisions/{(await api.GetAsync("desk"))["undo"]!["id"]}/undo", null, Stop)).EnsureSuccessStatusCode();
                break;
            case "report":
                await HomeAsync(api, home => home["fixtures"] = JsonNode.Parse("""[{ "id": "chair", "name": "Chair", "kind": "chair", "height": 0.45 }]"""));
                await RowAsync(api);
                (await host.Stranger().PostAsJsonAsync(
                    $"/api/link/{token}/check",
                    new { id = Guid.NewGuid(), place = (await api.PlanAsync())["place"]!.GetValue<string>(), report = new { fixture = "chair", on = "2026-11-23", steps = new[] { new { step = "Sit", held = true } }, force = (double?)null, remark = "" }, photo = (string?)null }, Stop)).EnsureSuccessStatusCode();
                break;
            case "sent":
                (await api.SaveAsync("Push-up 3 x 8 RPE 8, rest 100 s", [], await api.VersionAsync())).EnsureSuccessStatusCode();
                await RowAsync(api);
                await api.SendAsync();
                break;
            default:
                (await api.AnswerAsync(await api.ProposalAsync("stillHeld"))).EnsureSuccessStatusCode();
                break;
        }
    }

    private static async Task HomeAsync(Api api, Action<JsonNode> change)
    {
        var place = await api.GetAsync("places/now");
        change(place["home"]!);
        string id = (await api.GetAsync("places")).AsArray()[0]!["id"]!.GetValue<string>();
        (await api.Coach.PutAsJsonAsync($"/api/clients/{api.Id}/places/{id}", new { home = place["home"], version = place["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
    }

    private static async Task PracticeAsync(HttpClient coach, Action<JsonNode> change)
    {
        var practice = (await coach.GetFromJsonAsync<JsonNode>("/api/practice", Stop))!;
        change(practice["practice"]!);
        (await coach.PutAsJsonAsync("/api/practice", new { practice = practice["practice"], version = practice["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
    }
}
