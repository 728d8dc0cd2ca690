using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

public sealed class ApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Theory]
    [InlineData("/api/desk")]
    [InlineData("/api/clients/some")]
    [InlineData("/api/clients/some/places/now")]
    [InlineData("/api/practice")]
    [InlineData("/api/devices/luggageScale/readings")]
    [InlineData("/api/clients/some/plan")]
    [InlineData("/api/clients/some/progress")]
    public async Task Nothing_is_shown_without_a_sign_in(string path) =>
        (await host.Stranger().GetAsync(path, Stop)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);

    [Fact]
    public async Task What_is_missing_from_a_request_is_named_field_by_field()
    {
        var coach = await host.CoachAsync();
        var answer = await coach.PostAsJsonAsync("/api/clients", new { }, TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain("\"profile\":[\"This is missing: give it.\"]");
    }

    [Fact]
    public async Task A_wrong_password_and_an_unknown_address_get_the_same_answer()
    {
        var wrong = await host.Stranger().PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = "no" }, Stop);
        var unknown = await host.Stranger().PostAsJsonAsync("/api/session", new { email = "nobody@lockside.example", password = "no" }, Stop);
        wrong.StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        unknown.StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await Title(wrong)).ShouldBe(await Title(unknown));
    }

    [Fact]
    public async Task A_second_first_account_is_refused() =>
        (await host.Stranger().PostAsJsonAsync("/api/coaches", new { name = "X", email = "x@example.org", password = "long enough to keep" }, Stop))
            .StatusCode.ShouldBe(HttpStatusCode.Conflict);

    [Fact]
    public async Task Another_sites_page_cannot_make_changes()
    {
        var coach = await host.CoachAsync();
        using var request = new HttpRequestMessage(HttpMethod.Delete, "/api/session");
        request.Headers.Add("Sec-Fetch-Site", "cross-site");
        (await coach.SendAsync(request, Stop)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task The_shell_is_sent_with_a_policy_that_names_its_script_by_hash()
    {
        var answer = await host.Stranger().GetAsync("/clients/some/bench", Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        string policy = answer.Headers.GetValues("Content-Security-Policy").Single();

        // sha256 of "start()", by openssl.
        policy.ShouldContain("'sha256-DIm7WJS6ZKDYe5qFLPy+h4JFI9Bol5QmYC57mt3Fb00='");
        policy.ShouldNotContain("unsafe-inline");
        policy.ShouldContain("default-src 'self'");
    }

    [Fact]
    public async Task An_address_of_the_API_that_does_not_exist_answers_in_words()
    {
        var answer = await host.Stranger().GetAsync("/api/flying-dragons", Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
    }

    [Theory]
    [InlineData("{", "")]
    [InlineData("{\"room\":{\"headroom\":\"high\"}}", "room.headroom")]
    [InlineData("{\"kit\":[{\"kind\":\"spaceship\",\"id\":\"a\",\"name\":\"b\"}]}", "kit[0]")]
    [InlineData("{\"kit\":[{\"kind\":\"container\",\"id\":\"a\"}]}", "kit[0]")]
    [InlineData("{\"kit\":[{\"kind\":\"plateLoadedHandles\",\"id\":\"a\",\"name\":\"b\",\"plates\":[{\"mass\":-2,\"count\":2}]}]}", "kit[0].plates[0].mass")]
    [InlineData("{\"kit\":null}", "kit")]
    [InlineData("{\"room\":{\"headroom\":1e308}}", "room.headroom")]
    [InlineData("{\"kit\":[{\"kind\":\"sliders\",\"id\":\"a\",\"name\":\"b\"},null]}", "kit[1]")]
    [InlineData("{\"kit\":[{\"kind\":\"container\",\"id\":\"a\",\"name\":\"b\",\"contents\":[null]}]}", "kit[0].contents[0]")]
    [InlineData("{\"kit\":[{\"id\":\"a\",\"name\":\"b\"}]}", "kit[0]")]
    public async Task Bad_input_gets_its_place_and_never_a_stack_trace(string json, string path)
    {
        var coach = await host.CoachAsync();
        var answer = await coach.PostAsync("/api/engine/load-ladder", new StringContent(json, Encoding.UTF8, "application/json"), Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        string body = await answer.Content.ReadAsStringAsync(Stop);
        body.ShouldNotContain(" at Ingegno.");
        body.ShouldNotContain("System.");
        JsonNode.Parse(body)!["errors"]!.AsObject().Select(p => p.Key).ShouldContain(key => key.StartsWith(path, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("/api/clients", "{}")]
    [InlineData("/api/clients", "{\"profile\":null}")]
    [InlineData("/api/clients", "null")]
    [InlineData("/api/session", "{}")]
    public async Task A_form_with_its_fields_missing_is_refused_not_a_500(string path, string json)
    {
        var coach = await host.CoachAsync();
        var answer = await coach.PostAsync(path, new StringContent(json, Encoding.UTF8, "application/json"), Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_load_ladder_answers_every_load_with_its_recipe()
    {
        var coach = await host.CoachAsync();
        var answer = await coach.PostAsJsonAsync("/api/engine/load-ladder", new
        {
            kit = new object[] { new { kind = "plateLoadedHandles", id = "h", name = "Handles", handles = 2, handleMass = 2, plates = new[] { new { mass = 2.5, count = 4 } } } },
        }, Stop);
        var implements = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["implements"]!.AsArray();
        var pair = implements.Single(i => i!["hold"]!.GetValue<string>() == "pair")!["ladder"]!["rungs"]!.AsArray();

        // By hand: two bare handles, or each with 2.5 kg on both ends.
        pair.Select(r => r!["load"]!.GetValue<double>()).ShouldBe([4, 14]);
        pair[1]!["recipe"]!["text"]!.GetValue<string>().ShouldBe("2.5 kg on each end");
    }

    [Fact]
    public async Task The_whole_job_over_the_API()
    {
        var coach = await host.CoachAsync();
        string id = await MarenAsync(coach);
        var bench = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = "Monday\nFront squat 3x6 RPE 8\nPlank 3 x 30 s", choices = Array.Empty<object>() }, Stop));
        bench["sessions"]![0]!["lines"]!.AsArray().Count.ShouldBe(2);

        long version = (await Json(await coach.GetAsync($"/api/clients/{id}/plan", Stop)))["version"]!.GetValue<long>();
        var saved = await Json(await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Monday\nFront squat 3x6 RPE 8\nPlank 3 x 30 s", choices = Array.Empty<object>(), version }, Stop));
        var line = saved["plan"]!["sessions"]![0]!["lines"]![0]!["prescription"]!;
        var stale = await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "other", choices = Array.Empty<object>(), version }, Stop);
        stale.StatusCode.ShouldBe(HttpStatusCode.Conflict);

        object[] sets = [.. line["counts"]!.AsArray().Select((count, i) => new
        {
            id = Guid.NewGuid(),
            line = 2,
            exercise = line["exercise"]!.GetValue<string>(),
            on = "2026-11-23",
            setNumber = i + 1,
            load = line["load"]!.GetValue<double>(),
            repetitions = count!.GetValue<int>(),
            reserve = 2,
            pain = 0,
        })];
        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets }, Stop)).EnsureSuccessStatusCode();
        var progress = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets }, Stop));
        progress["lines"]![0]!["logs"]!.AsArray().Count.ShouldBe(sets.Length);
        progress["lines"]![0]!["step"]!["sentence"]!.GetValue<string>().Length.ShouldBeGreaterThan(10);
    }

    [Theory]
    [InlineData("repetitions", 400)]
    [InlineData("pain", 11)]
    [InlineData("reserve", -2)]
    [InlineData("load", -1)]
    public async Task A_logged_figure_that_cannot_be_right_is_refused_with_its_place(string field, int value)
    {
        var coach = await host.CoachAsync();
        string id = await MarenAsync(coach);
        var set = new JsonObject
        {
            ["id"] = Guid.NewGuid().ToString(),
            ["line"] = 1,
            ["exercise"] = "plank",
            ["on"] = "2026-11-23",
            ["setNumber"] = 1,
            ["load"] = 0,
            ["repetitions"] = 8,
            ["reserve"] = 2,
            ["pain"] = 0,
        };
        set[field] = value;
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = new[] { set } }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Json(answer))["errors"]!.AsObject().Single().Key.ShouldBe($"sets[0].{field}");
    }

    [Fact]
    public async Task A_day_still_to_come_cannot_be_logged()
    {
        var coach = await host.CoachAsync();
        string id = await MarenAsync(coach);
        var set = new { id = Guid.NewGuid(), line = 1, exercise = "plank", on = "2026-12-24", setNumber = 1, load = 0, repetitions = 8, pain = 0 };
        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = new[] { set } }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Theory]
    [InlineData("")]
    [InlineData("x")]
    [InlineData("999999999999999999999 x 99999999999999999999")]
    [InlineData("Bench press 3x8 @ NaN kg tempo -1--1--1--1")]
    public async Task Absurd_text_is_answered_never_a_500(string text)
    {
        var coach = await host.CoachAsync();
        string id = await MarenAsync(coach);
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text, choices = Array.Empty<object>() }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Json(answer))["problems"]!.AsArray().Count.ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task Two_hundred_kilobytes_of_text_are_answered_in_words()
    {
        var coach = await host.CoachAsync();
        string id = await MarenAsync(coach);
        string text = string.Concat(Enumerable.Repeat("Bench press 3 x 8 @ 60 kg\n", 8000));
        var bench = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text, choices = Array.Empty<object>() }, Stop));
        bench["problems"]![0]!["message"]!.GetValue<string>().ShouldContain("Paste at most");
        var saved = await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text, choices = Array.Empty<object>(), version = 1 }, Stop);
        saved.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    /// <summary>The front end's types come from this file; INGEGNO_WRITE_OPENAPI=1 writes it anew.</summary>
    [Fact]
    public async Task The_API_document_in_the_front_end_is_the_servers()
    {
        string served = await host.Stranger().GetStringAsync("/openapi/v1.json", Stop);
        string path = Path.Combine(Repository.Root, "web", "openapi.json");
        if (Environment.GetEnvironmentVariable("INGEGNO_WRITE_OPENAPI") == "1")
        {
            await File.WriteAllTextAsync(path, served, Stop);
        }

        JsonNode.DeepEquals(JsonNode.Parse(served), JsonNode.Parse(await File.ReadAllTextAsync(path, Stop))).ShouldBeTrue();
    }

    private static async Task<string> MarenAsync(HttpClient coach) =>
        (await Json(await coach.GetAsync("/api/desk", Stop))).AsArray()
            .Single(row => row!["name"]!.GetValue<string>() == "Maren Ostholt")!["id"]!.GetValue<string>();

    private static async Task<JsonNode> Json(HttpResponseMessage answer) => (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;

    private static async Task<string> Title(HttpResponseMessage answer) => (await Json(answer))["title"]!.GetValue<string>();
}
