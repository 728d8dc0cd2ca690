using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>From a saved plan through the log to the next one, over the API, on a client of its own.</summary>
public sealed class ProgressTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static readonly string[] FirstLine = ["1"];

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    /// <summary>Every question of the health screen answered, nothing applies.</summary>
    internal static readonly object Health = new
    {
        answers = new[] { "heart", "bloodPressure", "chestPain", "dizziness", "pregnancy", "recentSurgery", "unexplainedJointPain" }
            .Select(question => new { question, applies = false }),
    };

    [Fact]
    public async Task A_step_that_is_taken_stands_in_the_plan_and_a_stale_one_does_not()
    {
        var (coach, id) = await WithPlanAsync("Push-up 3 x 8 RPE 8");
        var plan = await Json(await coach.GetAsync($"/api/clients/{id}/plan", Stop));
        var progress = await LogAsync(coach, id, Prescription(plan), pain: 0);
        var step = progress["lines"]![0]!["step"]!;
        step["kind"]!.GetValue<string>().ShouldBe("repetitions");
        int before = Prescription(plan)["counts"]![0]!.GetValue<int>();
        step["next"]!["counts"]![0]!.GetValue<int>().ShouldBe(before + 1);

        long version = progress["planVersion"]!.GetValue<long>();
        (await coach.PostAsJsonAsync($"/api/clients/{id}/steps", new { lines = FirstLine, version }, Stop)).EnsureSuccessStatusCode();
        var after = await Json(await coach.GetAsync($"/api/clients/{id}/plan", Stop));
        Prescription(after)["counts"]![0]!.GetValue<int>().ShouldBe(before + 1);
        var again = await coach.PostAsJsonAsync($"/api/clients/{id}/steps", new { lines = FirstLine, version }, Stop);
        again.StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Pain_stops_the_line_on_plan_and_desk_and_no_step_can_be_taken()
    {
        var (coach, id) = await WithPlanAsync("Push-up 3 x 8 RPE 8");
        var plan = await Json(await coach.GetAsync($"/api/clients/{id}/plan", Stop));
        var progress = await LogAsync(coach, id, Prescription(plan), pain: 7);
        progress["lines"]![0]!["step"]!["kind"]!.GetValue<string>().ShouldBe("stop");
        long version = progress["planVersion"]!.GetValue<long>();
        (await coach.PostAsJsonAsync($"/api/clients/{id}/steps", new { lines = FirstLine, version }, Stop)).EnsureSuccessStatusCode();
        var after = await Json(await coach.GetAsync($"/api/clients/{id}/plan", Stop));
        Prescription(after).ToJsonString().ShouldBe(Prescription(plan).ToJsonString());
        after["stopped"]![0]!["reason"]!.GetValue<string>().ShouldContain("pain 7 of 10");
        var first = await Json(await coach.GetAsync($"/api/clients/{id}/desk", Stop));
        first["proposals"]![0]!["sentence"]!.GetValue<string>().ShouldContain("pain 7 of 10");
    }

    [Fact]
    public async Task The_desk_asks_for_the_home_then_for_the_programme_then_for_nothing()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach, new { });
        (await DecisionAsync(coach, id)).ShouldContain("Describe the home");
        string other = await AddAsync(coach, HomeWithAChair);
        (await DecisionAsync(coach, other)).ShouldContain("Paste the gym programme");
        var (_, planned) = await WithPlanAsync("Push-up 3 x 8 RPE 8");
        (await DecisionAsync(coach, planned)).ShouldContain("never sent");
    }

    [Fact]
    public async Task A_line_nothing_stands_in_for_waits_on_the_desk()
    {
        var (coach, id) = await WithPlanAsync("Flying dragon 3 x 8");
        (await DecisionAsync(coach, id)).ShouldContain("1 line has no stand-in yet");
    }

    private static readonly object HomeWithAChair = new
    {
        name = "Loft",
        fixtures = new[] { new { id = "chair", name = "Chair", kind = "chair", height = 0.45 } },
    };

    private async Task<(HttpClient Coach, string Id)> WithPlanAsync(string text)
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach, HomeWithAChair);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text, choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        return (coach, id);
    }

    private static async Task<string> AddAsync(HttpClient coach, object home)
    {
        var profile = new { name = "Somebody", bodyMass = 70, stature = 1.7, sex = "male", lifts = new[] { new { exercise = "push-up", load = 0, repetitions = 15 } }, health = Health };
        var answer = await coach.PostAsJsonAsync("/api/clients", new { profile, home }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.Created);
        return (await Json(answer))["id"]!.GetValue<string>();
    }

    private static async Task<JsonNode> LogAsync(HttpClient coach, string id, JsonNode prescription, int pain)
    {
        object[] sets = [.. prescription["counts"]!.AsArray().Select((count, i) => new
        {
            id = Guid.NewGuid(),
            line = 1,
            exercise = prescription["exercise"]!.GetValue<string>(),
            on = "2026-11-23",
            setNumber = i + 1,
            load = 0,
            repetitions = count!.GetValue<int>(),
            reserve = 2,
            pain,
        })];
        return await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets }, Stop));
    }

    private static async Task<string> DecisionAsync(HttpClient coach, string id) =>
        (await Json(await coach.GetAsync("/api/desk", Stop))).AsArray()
            .Single(row => row!["id"]!.GetValue<string>() == id)!["proposals"]!.AsArray().FirstOrDefault()?["sentence"]!.GetValue<string>() ?? "";

    private static JsonNode Prescription(JsonNode plan) => plan["plan"]!["sessions"]![0]!["lines"]![0]!["prescription"]!;

    private static async Task<JsonNode> Json(HttpResponseMessage answer) => (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
}
