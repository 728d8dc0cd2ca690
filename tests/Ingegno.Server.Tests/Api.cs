using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>A coach's work on one client of their own, as the pages do it.</summary>
internal sealed class Api(HttpClient coach, string id)
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    internal string Id { get; } = id;

    internal HttpClient Coach { get; } = coach;

    internal static async Task<Api> WithPlanAsync(HttpClient coach, string text, object? profile = null, object? home = null)
    {
        var made = await coach.PostAsJsonAsync(
            "/api/clients",
            new { profile = profile ?? Profile(), home = home ?? Home },
            Stop);
        made.StatusCode.ShouldBe(HttpStatusCode.Created, await made.Content.ReadAsStringAsync(Stop));
        var api = new Api(coach, (await made.Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>());
        (await api.SaveAsync(text, [], 0)).StatusCode.ShouldBe(HttpStatusCode.OK);
        return api;
    }

    internal static object Profile(string? timeZone = null) => new
    {
        name = "Somebody Strong",
        bodyMass = 78,
        stature = 1.78,
        sex = "male",
        timeZone,
        lifts = new[] { new { exercise = "push-up", load = 0, repetitions = 25 }, new { exercise = "goblet-squat", load = 24, repetitions = 12 } },
        health = ProgressTests.Health,
    };

    internal static readonly object Home = new
    {
        name = "Loft",
        kit = new object[]
        {
            new { kind = "fixedWeights", id = "bells", name = "Bells", shape = "dumbbell", weights = new[] { new { mass = 8, count = 2 }, new { mass = 12, count = 2 }, new { mass = 16, count = 2 }, new { mass = 20, count = 2 } } },
        },
    };

    internal Task<HttpResponseMessage> SaveAsync(string text, object[] choices, long version, object? seen = null) =>
        Coach.PutAsJsonAsync($"/api/clients/{Id}/plan", new { text, choices, version, seen }, Stop);

    internal async Task<JsonNode> GetAsync(string path) => (await Coach.GetFromJsonAsync<JsonNode>($"/api/clients/{Id}/{path}", Stop))!;

    internal async Task<JsonNode> PlanAsync() => (await GetAsync("plan"))["plan"]!;

    internal async Task<long> VersionAsync() => (await GetAsync("plan"))["version"]!.GetValue<long>();

    internal static JsonNode[] Lines(JsonNode plan) => [.. plan["sessions"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).Select(l => l!)];

    /// <summary>All sets of a line as asked, with so many repetitions more and so many left.</summary>
    internal static JsonObject[] Sets(JsonNode line, string day, int more = 0, double? left = 2, int pain = 0, string? painAt = null)
    {
        var asked = line["prescription"]!;
        return
        [
            .. asked["counts"]!.AsArray().Select((count, i) => new JsonObject
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["line"] = line["line"]!.GetValue<int>(),
                ["exercise"] = asked["exercise"]!.GetValue<string>(),
                ["on"] = day,
                ["setNumber"] = i + 1,
                ["load"] = asked["load"]!.GetValue<double>(),
                ["repetitions"] = count!.GetValue<int>() + more,
                ["reserve"] = left,
                ["pain"] = pain,
                ["painAt"] = painAt,
            }),
        ];
    }

    internal async Task<JsonNode> LogAsync(params JsonObject[] sets)
    {
        var answer = await Coach.PostAsJsonAsync($"/api/clients/{Id}/log", new { sets }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
    }

    /// <summary>After a long time: the sign-in has run out.</summary>
    internal async Task SignInAsync() => (await Coach.PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = "floor-torn-up" }, Stop)).EnsureSuccessStatusCode();

    internal async Task<JsonNode[]> ProposalsAsync() => [.. (await GetAsync("desk"))["proposals"]!.AsArray().Select(p => p!)];

    internal async Task<JsonNode> ProposalAsync(string kind) => (await ProposalsAsync()).First(p => p["kind"]!.GetValue<string>() == kind);

    internal Task<HttpResponseMessage> AnswerAsync(JsonNode proposal, string answer = "taken") =>
        Coach.PostAsJsonAsync($"/api/clients/{Id}/decisions", new { subject = proposal["subject"]!.GetValue<string>(), answer }, Stop);

    internal Task<HttpResponseMessage> TakeStepsAsync(string[] lines, long version) =>
        Coach.PostAsJsonAsync($"/api/clients/{Id}/steps", new { lines, version }, Stop);

    internal async Task<string> SendAsync()
    {
        var sent = await Coach.PostAsync($"/api/clients/{Id}/sending", null, Stop);
        sent.StatusCode.ShouldBe(HttpStatusCode.OK, await sent.Content.ReadAsStringAsync(Stop));
        string mail = (await Coach.GetFromJsonAsync<JsonNode>("/api/outbox", Stop))![0]!["text"]!.GetValue<string>();
        return System.Text.RegularExpressions.Regex.Match(mail, "/train/([A-Za-z0-9_-]{22})").Groups[1].Value;
    }

    internal async Task<JsonNode[]> ChangesAsync(int? line = null) =>
        [.. (await GetAsync($"plan/changes{(line is null ? "" : $"?line={line}")}")).AsArray().Select(c => c!)];

    internal Task<HttpResponseMessage> UndoAsync(JsonNode change) => Coach.PostAsync($"/api/clients/{Id}/plan/changes/{change["id"]}/undo", null, Stop);
}
