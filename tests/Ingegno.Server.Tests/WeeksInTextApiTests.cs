using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>A text of several weeks in a plan: one is trained, the Desk tells when it is done, and going on keeps what stays.</summary>
public sealed class WeeksInTextApiTests
{
    private const string First = "Week 1\nMonday\nGoblet squat 3 x 8 @ 20 kg\nPush-up 3 x 8 RPE 8\n\nFriday\nPlank 3 x 30 s";

    private const string Second = "Week 2\nMonday\nGoblet squat 3 x 6 @ 20 kg\nPush-up 3 x 10 RPE 8\n\nFriday\nPlank 3 x 45 s";

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_week_done_is_told_and_the_next_takes_its_place_with_its_lines_and_choices()
    {
        await using var host = new ClockedHost(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero));
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), $"{First}\n\n{Second}\n");
        var lines = Api.Lines(await api.PlanAsync());
        lines.Length.ShouldBe(3, "the second week waits");
        var bench = await BenchAsync($"{First}\n\n{Second}\n");
        bench["week"]!.GetValue<string>().ShouldBe("Week 1");
        bench["waiting"]!.AsArray().ShouldHaveSingleItem()!["text"]!.GetValue<string>().ShouldBe(Second);

        await api.LogAsync(Api.Sets(lines[0], "2026-11-23"));
        (await WaitingAsync()).ShouldBeNull("Friday is not trained yet");

        // A line put right in the middle of the week leaves what was trained before it.
        host.Clock.Advance(TimeSpan.FromDays(2));
        await api.SignInAsync();
        (await api.SaveAsync($"{First.Replace("3 x 30 s", "3 x 40 s", StringComparison.Ordinal)}\n\n{Second}\n", [], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        await api.LogAsync(Api.Sets(lines[2], "2026-11-25"));
        string told = (await WaitingAsync())!["sentence"]!.GetValue<string>();
        told.ShouldBe("Week 1 is trained: next in the text is week 2.");

        // What was chosen by hand on a line goes on with it.
        string other = bench["sessions"]![0]!["lines"]![1]!["alternatives"]!.AsArray().Select(a => a!["prescription"]!["exercise"]!.GetValue<string>()).First(e => e != "push-up");
        (await api.SaveAsync($"{First}\n\n{Second}\n", [new { line = 4, text = "Push-up 3 x 8 RPE 8", exercise = other }], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        var plan = await api.GetAsync("plan");
        (await api.SaveAsync(Second, [.. plan["plan"]!["choices"]!.AsArray().Select(c => (object)c!)], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        var after = Api.Lines(await api.PlanAsync());
        after.Select(l => l["line"]!.GetValue<int>()).ShouldBe(lines.Select(l => l["line"]!.GetValue<int>()), "the log goes on");
        after.Select(l => l["written"]!.GetValue<string>()).ShouldBe(["Goblet squat 3 x 6 @ 20 kg", "Push-up 3 x 10 RPE 8", "Plank 3 x 45 s"]);
        after[1]["prescription"]!["exercise"]!.GetValue<string>().ShouldBe(other);
        (await WaitingAsync()).ShouldBeNull();

        (await api.UndoAsync((await api.ChangesAsync())[0])).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await api.PlanAsync())["text"]!.GetValue<string>().ShouldStartWith("Week 1");

        async Task<JsonNode?> WaitingAsync() => (await api.ProposalsAsync()).FirstOrDefault(p => p["kind"]!.GetValue<string>() == "nextWeek");

        async Task<JsonNode> BenchAsync(string text)
        {
            var answer = await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text, choices = Array.Empty<object>() }, Stop);
            answer.EnsureSuccessStatusCode();
            return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        }
    }

    [Fact]
    public async Task A_week_gone_by_names_what_was_left_out_and_staying_with_it_is_an_answer()
    {
        await using var host = new ClockedHost(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero));
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), $"{First}\n\n{Second}\n");
        await api.LogAsync(Api.Sets(Api.Lines(await api.PlanAsync())[0], "2026-11-23"));
        host.Clock.Advance(TimeSpan.FromDays(7));
        await api.SignInAsync();
        var waits = await api.ProposalAsync("nextWeek");
        waits["sentence"]!.GetValue<string>().ShouldBe("Week 1 began on 23 Nov and Friday was not trained: next in the text is week 2.");
        (await api.AnswerAsync(waits, "refused")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await api.ProposalsAsync()).ShouldNotContain(p => p["kind"]!.GetValue<string>() == "nextWeek");
    }
}
