using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>What was not read is told before it is sent, what was answered once is not asked again, and sets with loads of their own keep them.</summary>
public sealed class ReadingTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static async Task<JsonNode> BenchAsync(Api api, string text) =>
        (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text, choices = Array.Empty<object>() }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;

    private static Task<HttpResponseMessage> NameAsync(Api api, string typed, string exercise) =>
        api.Coach.PutAsJsonAsync("/api/practice/names", new { typed, exercise }, Stop);

    private static string? ExerciseOf(JsonNode bench) => bench["sessions"]![0]!["lines"]![0]!["written"]!["exercise"]?.GetValue<string>();

    [Fact]
    public async Task A_name_answered_for_good_is_known_to_every_client_and_forgotten_when_asked()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        var asked = await BenchAsync(api, "Power push 3x8");
        ExerciseOf(asked).ShouldBeNull();
        asked["problems"]![0]!["meant"]!.AsArray().Count.ShouldBeGreaterThan(1);
        (await NameAsync(api, "power push", "push-up")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var known = await BenchAsync(api, "Power-pushes 3x8");
        ExerciseOf(known).ShouldBe("push-up");
        known["problems"]!.AsArray().ShouldBeEmpty();
        // Answered anew, the newer answer holds.
        (await NameAsync(api, "POWER PUSH", "pike-push-up")).StatusCode.ShouldBe(HttpStatusCode.OK);
        ExerciseOf(await BenchAsync(api, "power push 3x8")).ShouldBe("pike-push-up");
        var practice = (await api.Coach.GetFromJsonAsync<JsonNode>("/api/practice", Stop))!;
        practice["practice"]!["names"]!.AsArray().ShouldHaveSingleItem();
        practice["practice"]!["names"] = new JsonArray();
        (await api.Coach.PutAsJsonAsync("/api/practice", practice, Stop)).StatusCode.ShouldBe(HttpStatusCode.OK);
        ExerciseOf(await BenchAsync(api, "power push 3x8")).ShouldBeNull();
    }

    [Theory]
    [InlineData("", "push-up", "typed")]
    [InlineData("12", "push-up", "typed")]
    [InlineData("power push", "no-such-thing", "exercise")]
    public async Task A_name_that_cannot_be_kept_is_refused_at_its_place(string typed, string exercise, string place)
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        var answer = await NameAsync(api, typed, exercise);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync(Stop)).ShouldContain($"names[0].{place}");
    }

    [Fact]
    public async Task Sending_asks_about_what_was_not_read()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8 zipped to 40\nGlute bridge 3 x 10");
        var proposal = await api.ProposalAsync("unsent");
        proposal["sentence"]!.GetValue<string>().ShouldContain("not read");
        proposal.ToJsonString().ShouldContain("zipped to 40");
        (await api.AnswerAsync(proposal)).EnsureSuccessStatusCode();
        var clean = await Api.WithPlanAsync(api.Coach, "Push-up 3 x 8");
        (await clean.ProposalAsync("unsent"))["sentence"]!.GetValue<string>().ShouldNotContain("not read");
    }

    /// <summary>Typed drills come first in warm-up and cool-down, stay there whatever changes on the lines, and reach the phone; one that health forbids does not.</summary>
    [Fact]
    public async Task Typed_drills_go_with_the_session()
    {
        const string text = "Monday\nLeg swings 2x12 each leg\nPush-up 3 x 8 RPE 8\nLying twist 2 x 30 s each side";
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), text);
        string[] Ends(JsonNode session) =>
            [Told(session["warmUp"]![0]!), Told(session["coolDown"]![0]!)];
        static string Told(JsonNode drill) => $"{drill["name"]} {drill["dose"]}";
        string[] wanted = ["Leg swings 2 x 12, a side", "Lying turn 2 x 30 s, a side"];
        Ends((await BenchAsync(api, text))["sessions"]![0]!).ShouldBe(wanted);
        Ends((await api.PlanAsync())["sessions"]![0]!).ShouldBe(wanted);
        (await api.SaveAsync(text.Replace("RPE 8", "RPE 8, rest 2:00", StringComparison.Ordinal), [], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        Ends((await api.PlanAsync())["sessions"]![0]!).ShouldBe(wanted);
        string token = await api.SendAsync();
        var phone = (await host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!;
        Ends(phone["programme"]!["places"]![0]!["sessions"]![0]!).ShouldBe(wanted);
    }

    /// <summary>A top set and its back-offs are saved, looked at again and trained as two lines of one exercise.</summary>
    [Fact]
    public async Task Blocks_of_sets_are_kept_in_the_plan_and_on_the_phone()
    {
        const string text = "Goblet squat 1 x 6 @ 16 kg, then 2 x 10 @ 12 kg";
        await using var host = new ClockedHost(Monday);
        object bells = new
        {
            kind = "fixedWeights",
            id = "bells",
            name = "Bells",
            shape = "kettlebell",
            weights = new[] { new { mass = 12, count = 1 }, new { mass = 16, count = 1 } },
        };
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), text, home: new { name = "Loft", kit = new[] { bells }, fixtures = Array.Empty<object>() });
        var lines = Api.Lines(await api.PlanAsync());
        lines.Select(l => (l["prescription"]!["exercise"]!.GetValue<string>(), l["prescription"]!["load"]!.GetValue<double>(), l["prescription"]!["counts"]!.ToJsonString()))
            .ShouldBe([("goblet-squat", 16, "[6]"), ("goblet-squat", 12, "[10,10]")]);
        var bench = await BenchAsync(api, text);
        bench["sessions"]![0]!["lines"]![0]!["stands"]!.GetValue<bool>().ShouldBeTrue();
        bench["sessions"]![0]!["lines"]![0]!["added"]!.AsArray().ShouldHaveSingleItem();
        string token = await api.SendAsync();
        (await api.Coach.GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["programme"]!["places"]![0]!["sessions"]![0]!["lines"]!.AsArray().Count.ShouldBe(2);
    }
}
