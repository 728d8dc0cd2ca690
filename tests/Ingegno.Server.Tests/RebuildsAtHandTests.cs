using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>A week worked on step by step is answered as the stateless engine answers the same question out of nothing.</summary>
public sealed class RebuildsAtHandTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private const string Week = "# Monday\nA1 Bench press 4 x 8 @ 75 %, rest 90 s\nA2 Barbell row 4 x 8, rest 90 s\nBack squat 5 x 5 RPE 8\nDumbbell curl 3 x 12";

    private static readonly JsonObject Profile = new()
    {
        ["name"] = "Worked On",
        ["bodyMass"] = 80,
        ["stature"] = 1.8,
        ["sex"] = "male",
        ["level"] = "advanced",
        ["lifts"] = new JsonArray(Lift("barbell-bench-press", 100), Lift("back-squat", 130)),
    };

    private static JsonObject Lift(string exercise, double load) => new() { ["exercise"] = exercise, ["load"] = load, ["repetitions"] = 5 };

    private static JsonObject Home(params double[] masses) => new()
    {
        ["name"] = "Loft",
        ["kit"] = new JsonArray(new JsonObject
        {
            ["kind"] = "fixedWeights",
            ["id"] = "bells",
            ["name"] = "Bells",
            ["shape"] = "dumbbell",
            ["weights"] = new JsonArray([.. masses.Select(m => new JsonObject { ["mass"] = m, ["count"] = 2 })]),
        }),
    };

    [Fact]
    public async Task Every_nudge_answers_as_a_rebuild_out_of_nothing()
    {
        var coach = await host.CoachAsync();
        var home = Home(12, 16, 24);
        var made = await coach.PostAsJsonAsync("/api/clients", new { profile = Profile, home }, Stop);
        made.StatusCode.ShouldBe(HttpStatusCode.Created, await made.Content.ReadAsStringAsync(Stop));
        string id = (await made.Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        var stored = (await (await coach.GetAsync($"/api/clients/{id}", Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!["profile"]!;
        string[] lines = Week.Split('\n');
        JsonObject Choice(int line, Action<JsonObject> with)
        {
            var choice = new JsonObject { ["line"] = line, ["text"] = lines[line - 1] };
            with(choice);
            return choice;
        }

        JsonObject[][] steps =
        [
            [],
            [Choice(2, c => c["load"] = 32)],
            [Choice(2, c => c["load"] = 48), Choice(4, c => c["tempo"] = "4-1-1-0")],
            [Choice(4, c => c["tempo"] = "4-1-1-0")],
            [Choice(2, c => c["load"] = 32), Choice(5, c => c["leftOut"] = true)],
            [Choice(3, c => c["group"] = "")],
            [],
        ];
        string first = await AskedAsync(steps[0]);
        foreach (var step in steps)
        {
            await AskedAsync(step);
        }

        (await AskedAsync(steps[^1])).ShouldBe(first, "back where it began");

        // Another home is another question.
        var place = (await (await coach.GetAsync($"/api/clients/{id}/places/now", Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        place["home"]!["kit"] = Home(6)["kit"]!.DeepClone();
        (await coach.PutAsJsonAsync($"/api/clients/{id}/places/{place["id"]}", new { home = place["home"], version = place["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
        home = Home(6);
        (await AskedAsync([])).ShouldNotBe(first);

        async Task<string> AskedAsync(JsonObject[] choices)
        {
            var bench = await (await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = Week, choices }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop);
            var anew = await coach.PostAsJsonAsync("/api/engine/rebuild", new { client = stored, home, programme = Week, choices }, Stop);
            anew.StatusCode.ShouldBe(HttpStatusCode.OK, await anew.Content.ReadAsStringAsync(Stop));
            string asked = bench!["sessions"]!.ToJsonString();
            asked.ShouldBe((await anew.Content.ReadFromJsonAsync<JsonNode>(Stop))!["sessions"]!.ToJsonString());
            return asked;
        }
    }
}
