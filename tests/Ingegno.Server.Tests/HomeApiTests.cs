using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Places, practice, devices and the computations of the survey, over the API.</summary>
public class HomeApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static async Task<JsonNode> Json(HttpResponseMessage answer)
    {
        answer.EnsureSuccessStatusCode();
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
    }

    private static async Task<string> ClientAsync(HttpClient coach) =>
        (await Json(await coach.PostAsJsonAsync("/api/clients", new { profile = new { name = "Somebody" } }, Stop)))["id"]!.GetValue<string>();

    private static async Task<string[]> ProblemsAsync(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        return [.. JsonNode.Parse(await answer.Content.ReadAsStringAsync(Stop))!["errors"]!.AsObject().Select(p => p.Key)];
    }

    [Fact]
    public async Task A_second_place_is_added_used_and_taken_out_but_never_the_last()
    {
        var coach = await host.CoachAsync();
        string id = await ClientAsync(coach);
        string first = (await Json(await coach.GetAsync($"/api/clients/{id}/places/now", Stop)))["id"]!.GetValue<string>();
        string shed = (await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/places", new { name = "Shed" }, Stop)))["id"]!.GetValue<string>();
        (await coach.PostAsync($"/api/clients/{id}/places/{shed}/use", null, Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Json(await coach.GetAsync($"/api/clients/{id}/places/now", Stop)))["home"]!["name"]!.GetValue<string>().ShouldBe("Shed");
        (await coach.DeleteAsync($"/api/clients/{id}/places/{first}", Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await coach.DeleteAsync($"/api/clients/{id}/places/{shed}", Stop)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await coach.GetAsync($"/api/clients/{id}/places/{first}", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ProblemsAsync(await coach.PostAsJsonAsync($"/api/clients/{id}/places", new { name = "" }, Stop))).ShouldBe(["name"]);
    }

    [Fact]
    public async Task A_saved_place_answers_with_what_it_can_do_and_a_stale_save_is_refused()
    {
        var coach = await host.CoachAsync();
        string id = await ClientAsync(coach);
        var view = await Json(await coach.GetAsync($"/api/clients/{id}/places/now", Stop));
        string place = view["id"]!.GetValue<string>();
        var home = new
        {
            name = "Flat",
            fixtures = new[] { new { id = "t", name = "Table", kind = "table", height = 0.74, @check = new { verdict = "passed", on = "2026-11-20", by = "me" } } },
            kit = new object[]
            {
                new { kind = "band", id = "b", name = "Loop", restLength = 1.04, pulls = new[] { new { length = 1.56, force = 60 }, new { length = 2.6, force = 140 } } },
                new { kind = "vessels", id = "j", name = "Jugs", count = 2, volume = 5, ownMass = 0.2, material = "water" },
            },
        };
        var after = await Json(await coach.PutAsJsonAsync($"/api/clients/{id}/places/{place}", new { home, version = view["version"]!.GetValue<long>() }, Stop));
        after["bands"]!["b"]!["points"]!.AsArray().Count.ShouldBeGreaterThan(10);
        after["uses"]!["t"]!.AsArray().ShouldNotBeEmpty();
        after["reach"]!.AsArray().Single(f => f!["name"]!.GetValue<string>() == "Horizontal press")!["rungs"]!.AsArray().ShouldNotBeEmpty();
        after["pushUps"]!.AsArray().Select(s => s!["name"]!.GetValue<string>()).ShouldContain("Table");
        (await coach.PutAsJsonAsync($"/api/clients/{id}/places/{place}", new { home, version = view["version"]!.GetValue<long>() }, Stop))
            .StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Contradictory_pulls_are_refused_with_their_place_and_nothing_is_saved()
    {
        var coach = await host.CoachAsync();
        string id = await ClientAsync(coach);
        var view = await Json(await coach.GetAsync($"/api/clients/{id}/places/now", Stop));
        string place = view["id"]!.GetValue<string>();
        var home = new { kit = new[] { new { kind = "band", id = "b", name = "Loop", restLength = 1.04, pulls = new[] { new { length = 1.56, force = 60 }, new { length = 2.6, force = 40 } } } } };
        (await ProblemsAsync(await coach.PutAsJsonAsync($"/api/clients/{id}/places/{place}", new { home, version = view["version"]!.GetValue<long>() }, Stop)))
            .ShouldBe(["kit[0].pulls"]);
        (await Json(await coach.GetAsync($"/api/clients/{id}/places/now", Stop)))["home"]!["kit"]!.AsArray().ShouldBeEmpty();
    }

    /// <summary>By hand: 4.6 kg of bottles and a bag of 0.9 make 5.5, three pieces.</summary>
    [Fact]
    public async Task Packing_answers_a_wanted_mass_in_words()
    {
        var coach = await host.CoachAsync();
        var container = new { kind = "container", id = "r", name = "Rucksack", ownMass = 0.9, contents = new[] { new { name = "big bottle", mass = 1.53, count = 6 }, new { name = "book", mass = 0.86, count = 3 } } };
        var packed = await Json(await coach.PostAsJsonAsync("/api/engine/packing", new { container, wanted = 5.5, inUse = 2.43 }, Stop));
        packed["best"]!["load"]!.GetValue<double>().ShouldBe(5.49);
        packed["best"]!["recipe"]!["text"]!.GetValue<string>().ShouldBe("3 big bottles");
        packed["moved"]!.GetValue<int>().ShouldBe(2);
        (await ProblemsAsync(await coach.PostAsJsonAsync("/api/engine/packing", new { container, wanted = -1 }, Stop))).ShouldBe(["wanted"]);
    }

    /// <summary>By hand: (3.2 - 0.2) / 0.998 = 3.006 l of water.</summary>
    [Fact]
    public async Task A_fill_is_told_as_a_mark()
    {
        var coach = await host.CoachAsync();
        var vessels = new { kind = "vessels", id = "j", name = "Jug", count = 1, volume = 5, ownMass = 0.2, material = "water" };
        (await Json(await coach.PostAsJsonAsync("/api/engine/fill", new { vessels, wanted = 3.2 }, Stop)))["mark"]!.GetValue<double>().ShouldBe(3.006, 0.001);
        (await ProblemsAsync(await coach.PostAsJsonAsync("/api/engine/fill", new { vessels, wanted = 9 }, Stop))).ShouldBe(["wanted"]);
    }

    [Fact]
    public async Task Band_fit_shows_what_one_pull_alone_would_say()
    {
        var coach = await host.CoachAsync();
        var fit = await Json(await coach.PostAsJsonAsync("/api/engine/band-fit", new { restLength = 1, pulls = new[] { new { length = 1.4, force = 32 }, new { length = 2.4, force = 67 } } }, Stop));
        fit["curve"]!["rough"]!.GetValue<bool>().ShouldBeFalse();
        fit["onePullOnly"]!.AsArray().Count.ShouldBe(2);
        (await ProblemsAsync(await coach.PostAsJsonAsync("/api/engine/band-fit", new { restLength = 0, pulls = Array.Empty<object>() }, Stop))).ShouldBe(["restLength"]);
    }

    [Fact]
    public async Task A_wanted_pull_is_answered_with_band_and_setting()
    {
        var coach = await host.CoachAsync();
        var bands = new[] { new { kind = "band", id = "b", name = "Grey", restLength = 1.04, pulls = new[] { new { length = 1.56, force = 62 }, new { length = 2.6, force = 148 } } } };
        var nearest = (await Json(await coach.PostAsJsonAsync("/api/engine/band-setting", new { bands, exercise = "band-standing-row", stature = 1.71, wanted = 10, mostSpread = 3, room = 3 }, Stop)))["nearest"]!.AsArray();
        nearest[0]!["pull"]!["mean"]!.GetValue<double>().ShouldBe(10, 0.5);
        (await ProblemsAsync(await coach.PostAsJsonAsync("/api/engine/band-setting", new { bands, exercise = "plank", stature = 1.71, wanted = 10 }, Stop))).ShouldBe(["exercise"]);
    }

    /// <summary>By hand: 0.64 of 80 kg less 20 on the scale.</summary>
    [Fact]
    public async Task Body_share_counts_a_helping_foot_and_tells_its_story()
    {
        var coach = await host.CoachAsync();
        var share = await Json(await coach.PostAsJsonAsync("/api/engine/body-share", new { exercise = "push-up", bodyMass = 80, stature = 1.75, sex = "male", footReading = 20 }, Stop));
        share["moved"]!.GetValue<double>().ShouldBe(51.2, 0.01);
        share["onHands"]!.GetValue<double>().ShouldBe(38.4, 0.01);
        share["story"]!["test"]!.GetValue<string>().ShouldContain("Ebben");
        var split = await Json(await coach.PostAsJsonAsync("/api/engine/body-share", new { exercise = "rear-foot-raised-split-squat", bodyMass = 80, stature = 1.75, sex = "male" }, Stop));

        // Common practice: 0.85 of a split stance on the working leg with the rear foot raised.
        split["workingLeg"]!.GetValue<double>().ShouldBe(0.85);
        share["workingLeg"].ShouldBeNull();
        (await ProblemsAsync(await coach.PostAsJsonAsync("/api/engine/body-share", new { exercise = "push-up", bodyMass = 80, stature = 1.75, sex = "male", footReading = 90 }, Stop)))
            .ShouldBe(["footReading"]);
    }

    /// <summary>Melrose and Dawes 2015 (from memory): at 45 degrees about 0.53 of the body; within 0.05.</summary>
    [Fact]
    public async Task A_level_along_the_body_tells_the_share_of_a_row()
    {
        var coach = await host.CoachAsync();
        var share = await Json(await coach.PostAsJsonAsync("/api/engine/body-share", new { exercise = "standing-lean-row", bodyMass = 80, stature = 1.75, sex = "male", bodyAngle = 45 }, Stop));
        share["share"]!.GetValue<double>().ShouldBe(0.5288, 0.05);
        (await ProblemsAsync(await coach.PostAsJsonAsync("/api/engine/body-share", new { exercise = "push-up", bodyMass = 80, stature = 1.75, sex = "male", bodyAngle = 45 }, Stop)))
            .ShouldBe(["bodyAngle"]);
    }

    [Fact]
    public async Task The_practice_is_saved_and_its_bans_bite_on_the_bench()
    {
        var coach = await host.CoachAsync();
        var view = await Json(await coach.GetAsync("/api/practice", Stop));
        view["practice"]!["rules"]!["bans"] = new JsonArray(new JsonObject { ["exercise"] = "wall-push-up", ["attribute"] = null, ["reason"] = "too easy here" });
        var saved = await Json(await coach.PutAsJsonAsync("/api/practice", view, Stop));
        string id = await ClientAsync(coach);
        var bench = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = "Wall push-up 3x10 RPE 8", choices = Array.Empty<object>() }, Stop));
        bench["sessions"]![0]!["lines"]![0]!["refused"]!.AsArray().Single(r => r!["exercise"]!.GetValue<string>() == "wall-push-up")!
            ["reasons"]![0]!["reason"]!.GetValue<string>().ShouldContain("too easy here");
        saved["practice"]!["rules"]!["bans"] = new JsonArray();
        (await coach.PutAsJsonAsync("/api/practice", saved, Stop)).EnsureSuccessStatusCode();
        (await coach.PutAsJsonAsync("/api/practice", saved, Stop)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    /// <summary>A pull of the stand-in rises, settles, and says when it may be taken.</summary>
    [Fact]
    public async Task The_luggage_scale_streams_readings_until_they_are_steady()
    {
        var coach = await host.CoachAsync();
        string stream = await coach.GetStringAsync("/api/devices/luggageScale/readings?name=Grey&restLength=1.04&length=1.8", Stop);
        var readings = stream.Split('\n').Where(l => l.StartsWith("data:", StringComparison.Ordinal)).Select(l => JsonNode.Parse(l[5..])!).ToArray();
        readings[0]["value"]!.GetValue<double>().ShouldBeLessThan(readings[^1]["value"]!.GetValue<double>() / 2);
        readings[0]["steady"]!.GetValue<bool>().ShouldBeFalse();
        var steady = readings.Where(r => r["steady"]!.GetValue<bool>()).Select(r => r["value"]!.GetValue<double>()).ToArray();
        steady.Length.ShouldBeGreaterThan(5);
        (steady.Max() - steady.Min()).ShouldBeLessThan(steady.Average() * 0.1);
        readings[0]["unit"]!.GetValue<string>().ShouldBe("newton");
    }

    [Theory]
    [InlineData("/api/devices/luggageScale/readings?restLength=1.04&length=0.9")]
    [InlineData("/api/devices/luggageScale/readings?restLength=1.04&length=9")]
    [InlineData("/api/devices/luggageScale/readings?restLength=0&length=1")]
    public async Task A_band_that_is_not_pulled_or_too_far_is_not_measured(string address) =>
        (await ProblemsAsync(await (await host.CoachAsync()).GetAsync(address, Stop))).ShouldBe(["length"]);
}
