using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;
using Ingegno.Core.Weeks;
using Ingegno.Server.Practices;
using Ingegno.Solving;

namespace Ingegno.Server.Tests;

/// <summary>A member's week chosen as a whole.</summary>
public sealed class WeekApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private async Task<(HttpClient Coach, string Id)> Of(string name)
    {
        var coach = await host.CoachAsync();
        var desk = (await coach.GetFromJsonAsync<JsonNode>("/api/desk", Stop))!.AsArray();
        return (coach, desk.First(r => r!["name"]!.GetValue<string>().StartsWith(name, StringComparison.Ordinal))!["id"]!.GetValue<string>());
    }

    private static int Worth(JsonNode score) => score["objective"]!.GetValue<int>();

    [Theory]
    [InlineData("Joost")]
    [InlineData("Tomas")]
    [InlineData("Runa")]
    public async Task The_whole_week_is_never_worth_less_than_line_by_line(string name)
    {
        var (coach, id) = await Of(name);
        var plan = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["plan"]!;
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/week", new { text = plan["text"]!.GetValue<string>(), choices = Array.Empty<object>() }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        var view = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        var outcome = view["outcome"]!;
        outcome["proven"]!.GetValue<bool>().ShouldBeTrue();
        outcome["sentences"]!.AsArray().Count.ShouldBeGreaterThan(0);
        if (outcome["before"] is { } before)
        {
            Worth(outcome["after"]!).ShouldBeGreaterThanOrEqualTo(Worth(before));
        }

        // What is proposed can be taken: the bench rebuilds every changed line with it.
        var choices = outcome["changes"]!.AsArray().Select(c => new
        {
            line = c!["line"]!.GetValue<int>(),
            text = plan["text"]!.GetValue<string>().Split('\n')[c["line"]!.GetValue<int>() - 1].Trim(),
            exercise = c["exercise"]!.GetValue<string>(),
        }).ToArray();
        var bench = await (await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = plan["text"]!.GetValue<string>(), choices }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop);
        var lines = bench!["sessions"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).ToDictionary(l => l!["written"]!["number"]!.GetValue<int>());
        choices.ShouldAllBe(c => lines[c.line]!["chosen"]!["prescription"]!["exercise"]!.GetValue<string>() == c.exercise);
    }

    /// <summary>What the bench leaves out of its answer, the search must not miss: it weighs what the core alone would.</summary>
    [Theory]
    [InlineData("Joost")]
    [InlineData("Runa")]
    public async Task The_week_is_weighed_with_all_that_is_known_of_every_option(string name)
    {
        var (coach, id) = await Of(name);
        string text = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["plan"]!["text"]!.GetValue<string>();
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/week", new { text, choices = Array.Empty<object>() }, Stop);
        var after = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["outcome"]!["after"]!;

        var client = Read<ClientProfile>((await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}", Stop))!["profile"]!);
        var home = Read<Home>((await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/places/now", Stop))!["home"]!);
        var (practice, today) = (new Practice(), new DateOnly(2026, 11, 23));
        var programme = ProgrammeReading.Read(text, practice, client.Unit).Programme;
        var rebuild = new SessionRebuild(client, home, practice.Rules.Catalogue, practice.Rules, today, programme, practice);
        var model = WeekReading.Of([.. programme.Sessions.Select(s => rebuild.Rebuild(s, []))], client, practice.Rules.Catalogue, _ => false, client.SessionMinutes * 60, practice, today);
        var solver = new WeekSolver();
        var solution = solver.Solve(model, stop: Stop) ?? solver.Solve(model with { MostSeconds = null }, stop: Stop)!;
        Worth(after).ShouldBe(solution.Score.Objective);
        after["outsideBands"]!.GetValue<int>().ShouldBe(solution.Score.OutsideBands);
    }

    private static T Read<T>(JsonNode node) => System.Text.Json.JsonSerializer.Deserialize<T>(node, TradeJson.Options)!;

    [Fact]
    public async Task Minutes_nobody_can_keep_are_told_with_the_cheapest_way_out()
    {
        var (coach, id) = await Of("Joost");
        string text = "Monday\n" + string.Join('\n', Enumerable.Repeat("Pull-up 5 x 5 RPE 8, rest 3 min", 8));
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/week", new { text, choices = Array.Empty<object>() }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var obstacles = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["obstacles"]!.AsArray();
        obstacles.ShouldHaveSingleItem()!.GetValue<string>().ShouldContain("Cheapest: leave out line");
    }

    [Fact]
    public async Task A_week_without_a_line_is_refused_in_words()
    {
        var (coach, id) = await Of("Joost");
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/week", new { text = "", choices = Array.Empty<object>() }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await coach.PostAsJsonAsync("/api/clients/nobody/week", new { text = "", choices = Array.Empty<object>() }, Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    /// <summary>A thing more costs next to nothing at worst: only the nine best ways a line are weighed, and with it they may be others.</summary>
    [Fact]
    public async Task What_one_purchase_or_check_would_unlock_is_told()
    {
        var (coach, id) = await Of("Tomas");
        var plan = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/plan", Stop))!["plan"]!;
        var offers = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{id}/unlocks", Stop))!.AsArray();
        offers.Count.ShouldBeGreaterThan(10);
        string[] asked = ["Pull-up bar for a door", "Loop band, medium", "Slider pads"];
        foreach (string offer in asked)
        {
            var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/unlocks", new { text = plan["text"]!.GetValue<string>(), choices = Array.Empty<object>(), offer }, Stop);
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
            var unlock = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
            unlock["gain"]!.GetValue<int>().ShouldBeGreaterThan(-100, offer);
        }

        var bar = await (await coach.PostAsJsonAsync($"/api/clients/{id}/unlocks", new { text = "Monday\nPull-up 3 x 6 RPE 8", choices = Array.Empty<object>(), offer = asked[0] }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop);
        bar!["gain"]!.GetValue<int>().ShouldBeGreaterThan(100);
        bar["gainPerMoney"]!.GetValue<double>().ShouldBeGreaterThan(0);
        bar["lines"]!.AsArray().Count.ShouldBe(1);
        bar["offer"]!["price"]!.GetValue<string>().ShouldBe("30 EUR");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/unlocks", new { text = "x", choices = Array.Empty<object>(), offer = "a yacht" }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }
}
