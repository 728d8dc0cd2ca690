using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ingegno.Formats.Tables;

namespace Ingegno.Server.Tests;

/// <summary>Blocks, templates, sessions made to fit, the roster and plans for several places, over the API.</summary>
public sealed class BlockApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static readonly object[] None = [];

    private async Task<(HttpClient Coach, string Id, JsonNode Plan)> Of(string name)
    {
        var coach = await host.CoachAsync();
        var desk = (await coach.GetFromJsonAsync<JsonNode>("/api/desk", Stop))!.AsArray();
        string id = desk.First(r => r!["name"]!.GetValue<string>().StartsWith(name, StringComparison.Ordinal))!["id"]!.GetValue<string>();
        return (coach, id, (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!);
    }

    private static async Task<JsonNode> Json(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
    }

    private static string[] Paths(JsonNode problem) => [.. problem["errors"]!.AsObject().Select(e => e.Key)];

    private static object Phases(params int[] weeks) => new
    {
        starts = "2026-11-30",
        phases = weeks.Select(w => new { name = "Phase", purpose = "growth", weeks = w }).ToArray(),
    };

    [Fact]
    public async Task A_block_is_laid_out_saved_and_read_back()
    {
        var (coach, id, plan) = await Of("Tomas");
        string text = plan["plan"]!["text"]!.GetValue<string>();
        var laid = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/block", new { text, choices = None, block = Phases(4, 3) }, Stop));
        laid["weeks"]!.AsArray().Count.ShouldBe(7);
        laid["targets"]!.AsArray().ShouldAllBe(t => t!["weeks"]!.AsArray().Count == 7);
        var saved = await Json(await coach.PutAsJsonAsync(
            $"/api/clients/{id}/plan", new { text, choices = None, version = plan["version"]!.GetValue<long>(), block = Phases(4, 3) }, Stop));
        saved["plan"]!["block"]!["phases"]!.AsArray().Count.ShouldBe(2);
        (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["plan"]!["block"]!["starts"]!.GetValue<string>().ShouldBe("2026-11-30");

        // Its weeks stand across the sheets of the workbook, line by line as laid out.
        var sheet = TableFile.Read(await coach.GetByteArrayAsync($"/api/clients/{id}/files/programme.xlsx", Stop))[0];
        string[] header = [.. sheet.Rows[0].SkipWhile(c => !c.StartsWith("Week", StringComparison.Ordinal))];
        header.Length.ShouldBe(7);
        header[0].ShouldStartWith("Week 1, 30 Nov");
        int line = saved["plan"]!["sessions"]![0]!["lines"]![0]!["number"]!.GetValue<int>();
        var inForce = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/block", new { text, choices = saved["plan"]!["choices"], block = Phases(4, 3) }, Stop));
        var ahead = inForce["targets"]!.AsArray().Single(t => t!["line"]!.GetValue<int>() == line)!["weeks"]!.AsArray();
        string[] counts = [.. ahead.Select(w => w!["prescription"]!["countInWords"]!.GetValue<string>())];
        sheet.Rows[1].TakeLast(7).Zip(counts, (cell, count) => cell[..Math.Min(cell.Length, count.Length)]).ShouldBe(counts);
    }

    [Theory]
    [InlineData(0, "block.phases[0].weeks")]
    [InlineData(99, "block.phases[0].weeks")]
    public async Task A_phase_of_no_or_too_many_weeks_is_refused_with_its_place(int weeks, string path)
    {
        var (coach, id, plan) = await Of("Tomas");
        string text = plan["plan"]!["text"]!.GetValue<string>();
        var refused = await coach.PostAsJsonAsync($"/api/clients/{id}/block", new { text, choices = None, block = Phases(weeks) }, Stop);
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        Paths((await refused.Content.ReadFromJsonAsync<JsonNode>(Stop))!).ShouldContain(path);
    }

    [Fact]
    public async Task A_block_without_weeks_or_client_is_told_in_words()
    {
        var (coach, id, _) = await Of("Tomas");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/block", new { text = "", choices = None }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await coach.PostAsJsonAsync("/api/clients/nobody/block", new { text = "", choices = None, block = Phases(4) }, Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await coach.GetAsync("/api/clients/nobody/templates", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Theory]
    [InlineData(20)]
    [InlineData(30)]
    public async Task A_session_made_to_fit_comes_back_frozen_with_its_steps(int minutes)
    {
        var (coach, id, plan) = await Of("Aldo");
        string text = plan["plan"]!["text"]!.GetValue<string>();
        var fitted = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/shrink", new { text, choices = None, session = 0, minutes }, Stop));
        fitted["steps"]!.AsArray().Count.ShouldBeGreaterThan(0);
        if (fitted["whyLonger"] is null)
        {
            fitted["session"]!["length"]!.GetValue<double>().ShouldBeLessThanOrEqualTo(minutes * 60);
        }

        fitted["session"]!["layOut"]!.AsArray().Count.ShouldBeGreaterThan(0);
    }

    [Theory]
    [InlineData(0, 2, "minutes")]
    [InlineData(9, 30, "session")]
    public async Task Minutes_nobody_has_and_sessions_nobody_wrote_are_refused(int session, int minutes, string path)
    {
        var (coach, id, plan) = await Of("Aldo");
        var refused = await coach.PostAsJsonAsync(
            $"/api/clients/{id}/shrink", new { text = plan["plan"]!["text"]!.GetValue<string>(), choices = None, session, minutes }, Stop);
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        Paths((await refused.Content.ReadFromJsonAsync<JsonNode>(Stop))!).ShouldBe([path]);
    }

    [Fact]
    public async Task The_roster_shows_before_it_saves_and_refuses_a_plan_that_changed()
    {
        var (coach, id, plan) = await Of("Joost");
        (await coach.GetFromJsonAsync<JsonNode>("/api/roster", Stop))!.AsArray().Count.ShouldBeGreaterThanOrEqualTo(7);
        var shown = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/move", new { wholeWeek = true, fitMinutes = false, save = false }, Stop));
        shown["saved"]!.GetValue<bool>().ShouldBeFalse();
        shown["moved"]!["worst"]!.GetValue<double>().ShouldBe(
            shown["moved"]!["lines"]!.AsArray().Min(l => l!["fit"]!.GetValue<double>()), 1e-9);
        (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["version"]!.GetValue<long>().ShouldBe(plan["version"]!.GetValue<long>(), "nothing saved yet");
        var save = new { wholeWeek = true, fitMinutes = false, save = true, version = shown["version"]!.GetValue<long>() };
        (await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/move", save, Stop)))["saved"]!.GetValue<bool>().ShouldBeTrue();
        (await coach.PostAsJsonAsync($"/api/clients/{id}/move", save, Stop)).StatusCode.ShouldBe(HttpStatusCode.Conflict, "saved on an older version");
    }

    /// <summary>Tomas has 45 minutes and an hour's sessions.</summary>
    [Fact]
    public async Task A_roster_that_keeps_to_minutes_has_no_session_longer_than_the_client_has_time_for()
    {
        var (coach, id, _) = await Of("Tomas");
        var free = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/move", new { wholeWeek = false, fitMinutes = false, save = false }, Stop));
        var kept = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/move", new { wholeWeek = false, fitMinutes = true, save = false }, Stop));
        free["moved"]!["longest"]!.GetValue<double>().ShouldBeGreaterThan(45 * 60);
        kept["moved"]!["longest"]!.GetValue<double>().ShouldBeLessThanOrEqualTo(45 * 60);
    }

    [Fact]
    public async Task A_plan_is_made_for_every_place_and_follows_the_client_there()
    {
        var (coach, id, plan) = await Of("Runa");
        string first = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/places/now", Stop))!["id"]!.GetValue<string>();
        var made = await coach.PostAsJsonAsync($"/api/clients/{id}/places", new { name = "Her brother's flat" }, Stop);
        string flat = (await made.Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        string text = plan["plan"]!["text"]!.GetValue<string>();
        var saved = (await Json(await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text, choices = None, version = plan["version"]!.GetValue<long>() }, Stop)))["plan"]!;
        var there = saved["elsewhere"]!.AsArray().ShouldHaveSingleItem()!;
        there["name"]!.GetValue<string>().ShouldBe("Her brother's flat");
        int[] Lines(JsonNode sessions) => [.. sessions.AsArray().SelectMany(s => s!["lines"]!.AsArray()).Select(l => l!["line"]!.GetValue<int>() % 1000).Distinct().Order()];
        Lines(there["sessions"]!).ShouldBe(Lines(saved["sessions"]!), "a line keeps its number, so its log is one history");

        await coach.PostAsync($"/api/clients/{id}/places/{flat}/use", null, Stop);
        var now = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["plan"]!;
        now["placeName"]!.GetValue<string>().ShouldBe("Her brother's flat");
        now["sessions"]!.ToJsonString().ShouldBe(there["sessions"]!.ToJsonString());
        await coach.PostAsync($"/api/clients/{id}/places/{first}/use", null, Stop);
        (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["plan"]!["sessions"]!.ToJsonString().ShouldBe(saved["sessions"]!.ToJsonString());
    }

    [Fact]
    public async Task A_basket_keeps_to_its_budget_and_says_what_it_is_worth_together()
    {
        var (coach, id, plan) = await Of("Tomas");
        string text = plan["plan"]!["text"]!.GetValue<string>();
        var offers = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/unlocks", Stop))!.AsArray();
        var tried = offers.Select(o => new { id = o!["id"]!.GetValue<string>(), gain = 100 }).ToArray();
        var basket = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/unlocks/basket", new { text, choices = None, budget = 30, tried }, Stop));
        basket["cost"]!.GetValue<decimal>().ShouldBeLessThanOrEqualTo(30);
        basket["offers"]!.AsArray().Count.ShouldBeGreaterThan(1);
        (await coach.PostAsJsonAsync($"/api/clients/{id}/unlocks/basket", new { text, choices = None, budget = -1, tried }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    /// <summary>Sixty lines, seven sessions for two days, five minutes: answered in words, never with an error of the server.</summary>
    [Fact]
    public async Task Weeks_nobody_could_train_are_answered_in_words()
    {
        var (coach, id, _) = await Of("Tomas");
        string sixty = "Monday\n" + string.Join('\n', Enumerable.Range(0, 60).Select(i => i % 2 == 0 ? "Push-up 3 x 10 RPE 8, rest 60 s" : "Plank 2 x 30 s"));
        string seven = string.Join("\n\n", Enumerable.Range(1, 7).Select(i => $"Session {i}\nPush-up 3 x 10 RPE 8, rest 60 s"));
        var longest = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/week", new { text = sixty, choices = None }, Stop));
        longest["obstacles"]!.AsArray().ShouldHaveSingleItem()!.GetValue<string>().ShouldContain("Cheapest");
        var fitted = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/shrink", new { text = seven, choices = None, session = 0, minutes = 5 }, Stop));
        fitted["whyLonger"]!.GetValue<string>().ShouldContain("the main work alone takes that long");
        var bench = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = seven, choices = None }, Stop));
        bench["review"]!["findings"]!.AsArray().ShouldContain(f => f!["sentence"]!.GetValue<string>() == "7 sessions are written, 2 days are there.");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/spread", new { text = seven, sessions = 9, everySecondDay = false }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }
}
