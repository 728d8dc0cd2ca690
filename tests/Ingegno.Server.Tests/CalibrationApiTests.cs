using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Last sets that are as many as leave what is meant: where the phone asks for one, and what may not come of it.</summary>
public sealed class CalibrationApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    /// <summary>One exercise on two days: what Monday's open last set told is no target for next Monday, whatever came on Thursday.</summary>
    [Fact]
    public async Task The_set_that_found_the_numbers_is_no_target_after_the_exercise_was_done_on_another_day()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nPush-up 2 x 8 RPE 8\n\nThursday\nPush-up 2 x 8 RPE 8");
        var lines = Api.Lines(await api.PlanAsync());
        var monday = Api.Sets(lines[0], "2026-11-16", left: 6);
        int asked = monday[^1]["repetitions"]!.GetValue<int>();
        monday[^1]["repetitions"] = asked + 17;
        monday[^1]["reserve"] = 2;
        await api.LogAsync([.. monday]);
        await api.LogAsync([.. Api.Sets(lines[1], "2026-11-19", left: 6)]);
        var step = (await api.GetAsync("progress"))["lines"]!.AsArray().Single(l => l!["line"]!.GetValue<int>() == lines[0]["line"]!.GetValue<int>())!["step"]!;
        int[] next = [.. step["next"]!["counts"]!.AsArray().Select(c => c!.GetValue<int>())];
        next.Max().ShouldBeLessThan(asked + 17, step["sentence"]!.GetValue<string>());
        (next.Max() - next.Min()).ShouldBeLessThanOrEqualTo(2, step["sentence"]!.GetValue<string>());
    }

    /// <summary>Who always answers the same finds the numbers anew by open last sets, but never on what hurts.</summary>
    [Fact]
    public async Task A_line_that_hurts_is_never_asked_for_an_open_last_set()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nPush-up 3 x 8 RPE 8\nGoblet squat 3 x 10 RPE 8\nOne-arm dumbbell row 3 x 10 RPE 8");
        string token = await api.SendAsync();
        var lines = Api.Lines(await api.PlanAsync());
        (await OpenAsync(token)).Length.ShouldBe(lines.Length, "nothing was done yet: every line finds its numbers");
        foreach (string day in (string[])["2026-11-05", "2026-11-09", "2026-11-12", "2026-11-16"])
        {
            await api.LogAsync([.. lines.SelectMany(l => Api.Sets(l, day, left: 2))]);
        }

        int hurt = lines[0]["line"]!.GetValue<int>();
        int[] before = await OpenAsync(token);
        before.ShouldContain(hurt, "always two: its last set tells what the answer does not");
        await api.LogAsync([.. Api.Sets(lines[0], "2026-11-19", left: 2, pain: 2, painAt: "shoulder")]);
        (await OpenAsync(token)).ShouldNotContain(hurt);
    }

    private async Task<int[]> OpenAsync(string token) =>
        [.. (await host.Stranger().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["calibrates"]!.AsArray().Select(l => l!.GetValue<int>())];
}
