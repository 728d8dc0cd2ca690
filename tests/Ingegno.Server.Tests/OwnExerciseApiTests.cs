using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>An exercise a coach adds is searched, read, given, sent, logged and retired like any other.</summary>
public sealed class OwnExerciseApiTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static async Task<HttpResponseMessage> PutAsync(HttpClient coach, object own) =>
        await coach.PutAsJsonAsync("/api/practice/exercises", own, Stop);

    private static async Task<JsonNode> LineAsync(Api api, string text) =>
        (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text, choices = Array.Empty<object>() }, Stop))
            .Content.ReadFromJsonAsync<JsonNode>(Stop))!["sessions"]![0]!["lines"]![0]!;

    [Fact]
    public async Task From_the_form_to_the_log_and_into_retirement()
    {
        const string text = "Hallway squat 3 x 8 RPE 8, rest 90 s";
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        (await LineAsync(api, text))["outcome"]!.GetValue<string>().ShouldBe("unknown");

        var made = await PutAsync(api.Coach, new { id = "", name = "Hallway squat", like = "goblet-squat", strength = 0.9 });
        made.StatusCode.ShouldBe(HttpStatusCode.OK, await made.Content.ReadAsStringAsync(Stop));
        var own = (await made.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        string id = own["id"]!.GetValue<string>();
        var catalogue = (await api.Coach.GetFromJsonAsync<JsonNode>("/api/catalogue", Stop))!.AsArray();
        catalogue.ShouldContain(e => e!["id"]!.GetValue<string>() == id);
        (await api.Coach.GetAsync($"/api/catalogue/{id}/doses", Stop)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await api.GetAsync("possible")).AsArray().ShouldContain(p => p!["exercise"]!.GetValue<string>() == id && p["possible"]!.GetValue<bool>());

        // Read, dosed and given as it stands; of the exercise it is like it is the first stand-in.
        var line = await LineAsync(api, text);
        line["reading"]!.GetValue<string>().ShouldStartWith("Hallway squat 3 x 8");
        var given = line["chosen"]!["prescription"]!;
        given["exercise"]!.GetValue<string>().ShouldBe(id);
        given["load"]!.GetValue<double>().ShouldBeGreaterThan(0);

        (await api.SaveAsync(text, [], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        string token = await api.SendAsync();
        var phone = (await host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!;
        phone["programme"]!["places"]![0]!["sessions"]![0]!["lines"]![0]!["prescription"]!["name"]!.GetValue<string>().ShouldBe("Hallway squat");
        var progress = await api.LogAsync([.. Api.Lines(await api.PlanAsync()).SelectMany(l => Api.Sets(l, "2026-11-23", more: 2, left: 3))]);
        progress["lines"]![0]!["prescription"]!["exercise"]!.GetValue<string>().ShouldBe(id);

        // Changed under the same id: the sets stay, the name is the new one.
        own["name"] = "Corridor squat";
        own["cues"] = new JsonArray("Sit between the heels", "Elbows inside the knees", "Stand tall");
        (await PutAsync(api.Coach, own)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await LineAsync(api, text.Replace("Hallway", "Corridor", StringComparison.Ordinal)))["chosen"]!["prescription"]!["exercise"]!.GetValue<string>().ShouldBe(id);

        // Retired: given no more, but the log is what it was.
        own["isRetired"] = true;
        (await PutAsync(api.Coach, own)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await api.Coach.GetFromJsonAsync<JsonNode>("/api/catalogue", Stop))!.AsArray().ShouldNotContain(e => e!["id"]!.GetValue<string>() == id);
        var retired = await LineAsync(api, text.Replace("Hallway", "Corridor", StringComparison.Ordinal));
        retired["written"]!["exercise"]!.GetValue<string>().ShouldBe(id);
        retired["chosen"]!["prescription"]!["exercise"]!.GetValue<string>().ShouldNotBe(id);
        retired["alternatives"]!.AsArray().ShouldNotContain(a => a!["prescription"]!["exercise"]!.GetValue<string>() == id);
        (await api.GetAsync("progress"))["lines"]![0]!["logs"]!.AsArray().Count.ShouldBe(progress["lines"]![0]!["logs"]!.AsArray().Count);

        // It cannot be taken out of the practice by saving a list without it.
        var practice = (await api.Coach.GetFromJsonAsync<JsonNode>("/api/practice", Stop))!;
        practice["practice"]!["rules"]!["exercises"] = new JsonArray();
        var refused = await api.Coach.PutAsJsonAsync("/api/practice", practice, Stop);
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await refused.Content.ReadAsStringAsync(Stop)).ShouldContain("retire it instead");
    }

    [Theory]
    [InlineData("""{"id":"","name":"","like":"push-up"}""", "name")]
    [InlineData("""{"id":"","name":"Push-ups","like":"push-up"}""", "name")]
    [InlineData("""{"id":"","name":"Odd","like":"nothing"}""", "like")]
    [InlineData("""{"id":"","name":"Odd","like":"push-up","strength":40}""", "strength")]
    public async Task What_is_wrong_is_told_at_its_field_and_nothing_is_saved(string form, string place)
    {
        await using var host = new ClockedHost(Monday);
        var coach = await host.CoachAsync(first: true);
        var answer = await PutAsync(coach, JsonNode.Parse(form)!);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["errors"]!.AsObject().ShouldContain(e => e.Key == place);
        (await coach.GetFromJsonAsync<JsonNode>("/api/practice", Stop))!["practice"]!["rules"]!["exercises"]!.AsArray().ShouldBeEmpty();
    }
}
