using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>The engine's substitutes, what a home makes possible, and plans with what was added to a line.</summary>
public sealed class SubstitutesApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static readonly object Somebody = new { name = "Somebody", sex = "male", bodyMass = 70, stature = 1.75 };

    private static readonly object Empty = new { name = "Empty", room = new { headroom = 2.4, floorLength = 2.5 } };

    private static readonly string[] Asked = ["seated-dumbbell-press"], BothWays = ["liftFast", "liftEvenly"], BothLadders = ["density", "milestones"];

    [Fact]
    public async Task Substitutes_answers_with_choice_runners_up_and_refusals()
    {
        var answer = await Ask(new { line = "Overhead press 3 x 8 RPE 8", client = Somebody, home = Empty, ask = Asked });
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var line = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["line"]!;
        line["chosen"]!["prescription"]!["name"]!.GetValue<string>().ShouldBe("Push-up", "a pike push-up would be under six tenths of the count for him");
        line["chosen"]!["decided"]!.GetValue<string>().Length.ShouldBeGreaterThan(10);
        line["alternatives"]!.AsArray().Count.ShouldBeGreaterThan(0);
        line["refused"]!.AsArray().Select(r => r!["exercise"]!.GetValue<string>()).ShouldContain("seated-dumbbell-press");
    }

    [Theory]
    [InlineData("", "line")]
    [InlineData("Overhead press", "line")]
    [InlineData("Back squat 3 x 8\nBench press 3 x 8", "line")]
    public async Task A_text_that_is_not_one_line_is_told_so(string line, string path)
    {
        var answer = await Ask(new { line, client = Somebody, home = Empty });
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["errors"]!.AsObject().ShouldContain(e => e.Key == path);
    }

    [Fact]
    public async Task What_is_wrong_with_client_home_or_rules_is_named_with_its_place()
    {
        var answer = await Ask(new
        {
            line = "Back squat 3 x 8",
            client = new { name = "Somebody", bodyMass = 7, stature = 1.75, teachings = BothWays },
            home = Empty,
            rules = new { teachings = BothLadders },
        });
        var errors = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["errors"]!.AsObject().Select(e => e.Key).ToArray();
        errors.ShouldContain("client.bodyMass");
        errors.ShouldContain("client.teachings");
        errors.ShouldContain("rules.teachings");
    }

    [Fact]
    public async Task Every_home_exercise_is_possible_or_says_why_not()
    {
        var coach = await host.CoachAsync();
        var desk = (await coach.GetFromJsonAsync<JsonNode>("/api/desk", Stop))!.AsArray();
        foreach (var row in desk)
        {
            var list = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{row!["id"]}/possible", Stop))!.AsArray();
            list.Count.ShouldBeGreaterThan(160);
            list.ShouldAllBe(p => p!["possible"]!.GetValue<bool>() == (p["against"]!.AsArray().Count == 0));
            list.Count(p => p!["possible"]!.GetValue<bool>()).ShouldBeGreaterThan(20);
        }

        (await coach.GetAsync("/api/clients/nobody/possible", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    /// <summary>A home with nothing, and 200 lines: an answer for every one of them.</summary>
    [Fact]
    public async Task Two_hundred_lines_in_any_home_are_all_answered()
    {
        var coach = await host.CoachAsync();
        var desk = (await coach.GetFromJsonAsync<JsonNode>("/api/desk", Stop))!.AsArray();
        // Four days of fifty.
        string text = string.Join('\n', Enumerable.Range(0, 200).Select(i => (i % 50 == 0 ? $"\nDay {1 + (i / 50)}\n" : "") + (i % 4) switch
        {
            0 => "Back squat 4 x 6 @ 80 %",
            1 => "Lat pulldown 3 x 12 RPE 8",
            2 => "Nobody knows this 3 x 8",
            _ => "Bench press 3 x 8 for skill",
        }));
        var view = await (await coach.PostAsJsonAsync($"/api/clients/{desk[0]!["id"]}/bench", new { text, choices = Array.Empty<object>() }, Stop))
            .Content.ReadFromJsonAsync<JsonNode>(Stop);
        var lines = view!["sessions"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).ToArray();
        lines.Length.ShouldBe(200);
        lines.Where(l => l!["outcome"]!.GetValue<string>() != "unknown")
            .ShouldAllBe(l => l!["chosen"] != null || l["wouldOpen"]!.GetValue<string>().Length > 20);
        lines.Count(l => l!["outcome"]!.GetValue<string>() == "unknown").ShouldBe(50);
    }

    [Fact]
    public async Task Schools_and_drills_are_there_to_read()
    {
        var coach = await host.CoachAsync();
        (await coach.GetFromJsonAsync<JsonNode>("/api/schools", Stop))!.AsArray().Count.ShouldBe(22);
        (await coach.GetFromJsonAsync<JsonNode>("/api/drills", Stop))!.AsArray().Count.ShouldBeGreaterThanOrEqualTo(40);
        (await host.Stranger().GetAsync("/api/schools", Stop)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    private async Task<HttpResponseMessage> Ask(object form) =>
        await (await host.CoachAsync()).PostAsJsonAsync("/api/engine/substitutes", form, Stop);
}
