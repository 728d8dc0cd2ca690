using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>One plan in force: what training has brought a line to stays, wherever it is looked at, until something on its list changes it.</summary>
public sealed class PlanInForceTests : IDisposable
{
    private readonly ClockedHost _host = new(Now);
    private HttpClient? _coach;

    private const string Text = "# Monday\nGoblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 8 RPE 8, rest 90 s\nDead bug 3 x 8 a side, rest 60 s\n\n# Thursday\nHammer curl 3 x 10 RPE 8, rest 60 s";

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static DateTimeOffset Now => new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    public void Dispose() => _host.Dispose();

    private async Task<HttpClient> CoachAsync() => _coach ??= await _host.CoachAsync(first: true);

    /// <summary>So many weeks, trained with something to spare on their Fridays, the steps taken the same evening.</summary>
    private async Task<Api> TrainedAsync(int weeks)
    {
        await CoachAsync();
        var begin = Now.AddDays((-7 * weeks) - 3);
        SetClock(begin);
        var api = await Api.WithPlanAsync(await CoachAsync(), Text);
        for (int week = 1; week <= weeks; week++)
        {
            SetClock(begin.AddDays(7 * week));
            string day = begin.AddDays(7 * week).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
            var lines = Api.Lines(await api.PlanAsync());
            var progress = await api.LogAsync([.. lines.SelectMany(l => Api.Sets(l, day, left: 3))]);
            string[] keys = [.. progress["lines"]!.AsArray().Where(l => l!["step"]?["next"] is not null && l["step"]!["kind"]!.GetValue<string>() != "hold").Select(l => l!["key"]!.GetValue<string>())];
            (await api.TakeStepsAsync(keys, await api.VersionAsync())).EnsureSuccessStatusCode();
        }

        SetClock(Now);
        return api;

        void SetClock(DateTimeOffset to) => _host.Clock.AdjustTime(to);
    }

    [Fact]
    public async Task After_five_weeks_a_rest_is_changed_and_every_other_line_stands_everywhere()
    {
        var api = await TrainedAsync(5);
        var before = Api.Lines(await api.PlanAsync());
        (await api.ChangesAsync()).Count(c => c["kind"]!.GetValue<string>() == "stepped").ShouldBeGreaterThan(5, "training moved on");
        string text = (await api.PlanAsync())["text"]!.GetValue<string>().Replace("Push-up 3 x 8 RPE 8, rest 90 s", "Push-up 3 x 8 RPE 8, rest 120 s", StringComparison.Ordinal);

        // Bench, before anything is saved: lines in force, and beside them what the engine would say afresh.
        var bench = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text, choices = Array.Empty<object>() }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        var shown = bench["sessions"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).ToArray();
        shown[0]!["stands"]!.GetValue<bool>().ShouldBeTrue();
        shown[0]!["chosen"]!["prescription"]!["counts"]!.ToJsonString().ShouldBe(before[0]["prescription"]!["counts"]!.ToJsonString());
        shown[0]!["afresh"]!.GetValue<string>().ShouldContain("3 x ");
        shown[1]!["stands"]!.GetValue<bool>().ShouldBeFalse();

        (await api.SaveAsync(text, [], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        var after = Api.Lines(await api.PlanAsync());
        after[1]["prescription"]!["rest"]!.GetValue<double>().ShouldBe(120);
        after[1]["prescription"]!["counts"]!.ToJsonString().ShouldBe(before[1]["prescription"]!["counts"]!.ToJsonString());
        foreach (int line in new[] { 0, 2, 3 })
        {
            after[line].ToJsonString().ShouldBe(before[line].ToJsonString());
        }

        // Log and phone say the same.
        var progress = (await api.GetAsync("progress"))["lines"]!.AsArray();
        progress.Select(l => l!["prescription"]!.ToJsonString()).ShouldBe(after.Select(l => l["prescription"]!.ToJsonString()));
        string token = await api.SendAsync();
        var phone = (await _host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["programme"]!["places"]![0]!["sessions"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray());
        phone.Select(l => l!["prescription"]!["counts"]!.ToJsonString()).ShouldBe(after.Select(l => l["prescription"]!["counts"]!.ToJsonString()));
        var changes = await api.ChangesAsync(3);
        changes[0]["kind"]!.GetValue<string>().ShouldBe("written");
        changes.Count(c => c["kind"]!.GetValue<string>() == "stepped").ShouldBeGreaterThan(1);
    }

    [Fact]
    public async Task An_unchanged_save_changes_nothing()
    {
        var api = await TrainedAsync(2);
        var before = await api.GetAsync("plan");
        (await api.SaveAsync(before["plan"]!["text"]!.GetValue<string>(), [], before["version"]!.GetValue<long>())).EnsureSuccessStatusCode();
        (await api.GetAsync("plan")).ToJsonString().ShouldBe(before.ToJsonString());
    }

    [Fact]
    public async Task A_line_put_in_between_keeps_the_others_and_their_log()
    {
        var api = await TrainedAsync(2);
        var before = Api.Lines(await api.PlanAsync());
        string text = Text.Replace("Push-up", "Plank 3 x 30 s, rest 60 s\nPush-up", StringComparison.Ordinal);
        (await api.SaveAsync(text, [], await api.VersionAsync())).EnsureSuccessStatusCode();
        var after = Api.Lines(await api.PlanAsync());
        after.Length.ShouldBe(before.Length + 1);
        foreach (var line in before)
        {
            var now = after.Single(l => l["line"]!.GetValue<int>() == line["line"]!.GetValue<int>());
            now["prescription"]!.ToJsonString().ShouldBe(line["prescription"]!.ToJsonString());
        }

        (await api.GetAsync("progress"))["lines"]!.AsArray().Count(l => l!["logs"]!.AsArray().Count == 6).ShouldBe(4);
    }

    [Fact]
    public async Task Another_exercise_in_its_place_is_a_new_line_that_shows_the_old_log()
    {
        var api = await TrainedAsync(2);
        (await api.SaveAsync(Text.Replace("Push-up 3 x 8", "Close push-up 3 x 8", StringComparison.Ordinal), [], await api.VersionAsync())).EnsureSuccessStatusCode();
        var line = Api.Lines(await api.PlanAsync())[1];
        line["line"]!.GetValue<int>().ShouldBeGreaterThan(7);
        var progress = (await api.GetAsync("progress"))["lines"]!.AsArray().Single(l => l!["line"]!.GetValue<int>() == line["line"]!.GetValue<int>())!;
        progress["logs"]!.AsArray().ShouldBeEmpty();
        progress["former"]!.AsArray().ShouldHaveSingleItem()!["sets"]!.GetValue<int>().ShouldBe(6);
    }

    [Fact]
    public async Task What_the_engine_says_afresh_is_taken_on_request_and_taken_back_from_the_list()
    {
        var api = await TrainedAsync(3);
        var before = Api.Lines(await api.PlanAsync());
        object afresh = new { line = 2, text = "Goblet squat 3 x 8 RPE 8, rest 90 s", afresh = true };
        (await api.SaveAsync(Text, [afresh], await api.VersionAsync())).EnsureSuccessStatusCode();
        var after = Api.Lines(await api.PlanAsync());
        after[0]["prescription"]!.ToJsonString().ShouldNotBe(before[0]["prescription"]!.ToJsonString());
        after.Skip(1).Select(l => l.ToJsonString()).ShouldBe(before.Skip(1).Select(l => l.ToJsonString()));
        var change = (await api.ChangesAsync(2))[0];
        change["kind"]!.GetValue<string>().ShouldBe("rebuilt");
        change["who"]!.GetValue<string>().ShouldBe("Ilse Vandermolen");
        (await api.UndoAsync(change)).EnsureSuccessStatusCode();
        Api.Lines(await api.PlanAsync())[0].ToJsonString().ShouldBe(before[0].ToJsonString());
        var again = await api.UndoAsync(change);
        again.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await again.Content.ReadFromJsonAsync<JsonNode>(Stop))!["detail"]!.GetValue<string>().ShouldBe("This was taken back already.");
    }

    [Fact]
    public async Task Sets_are_judged_by_what_they_were_asked_as()
    {
        var api = await Api.WithPlanAsync(await CoachAsync(), "Push-up 3 x 8 RPE 8, rest 90 s");
        var line = Api.Lines(await api.PlanAsync())[0];
        int asked = line["prescription"]!["counts"]![0]!.GetValue<int>();
        foreach (string day in new[] { "2026-11-16", "2026-11-18", "2026-11-20" })
        {
            await api.LogAsync(Api.Sets(line, day));
        }

        // The line asks more from now on; what was done whole stays whole, and is not short of what nobody had asked.
        object nudge = new { line = 1, text = "Push-up 3 x 8 RPE 8, rest 90 s", exercise = "push-up", repetitions = asked + 4 };
        (await api.SaveAsync("Push-up 3 x 8 RPE 8, rest 90 s", [nudge], await api.VersionAsync())).EnsureSuccessStatusCode();
        var progress = (await api.GetAsync("progress"))["lines"]![0]!;
        (progress["step"]?["sentence"]?.GetValue<string>() ?? "").ShouldNotContain("short");
        progress["askedOtherwise"]![0]!["words"]!.GetValue<string>().ShouldStartWith($"3 x {asked}");
        (await api.ProposalsAsync()).ShouldNotContain(p => p["kind"]!.GetValue<string>() == "change");
    }

    [Fact]
    public async Task A_day_logged_late_is_kept_as_it_was_asked_then()
    {
        var api = await TrainedAsync(2);
        // A line whose step changed what it asks.
        var lines = (await api.GetAsync("progress"))["lines"]!.AsArray();
        int stepped = lines.IndexOf(lines.First(l => l!["askedOtherwise"]!.AsArray().Count > 0));
        var sets = lines[stepped]!["logs"]!.AsArray().Where(s => s!["on"]!.GetValue<string>() == "2026-11-20").Select(s => s!.DeepClone().AsObject()).ToArray();
        var corrected = await api.LogAsync([.. sets.Select(s => { s["repetitions"] = 3; return s; })]);
        corrected["overwritten"]!.AsArray().Count.ShouldBe(3);
        corrected["lines"]![stepped]!["askedOtherwise"]!.AsArray().ShouldNotBeEmpty("a correction changes what was done, not what was asked");
    }

    [Fact]
    public async Task The_same_set_sent_three_times_is_one_set_and_no_correction()
    {
        var api = await Api.WithPlanAsync(await CoachAsync(), "Push-up 3 x 8");
        var set = Api.Sets(Api.Lines(await api.PlanAsync())[0], "2026-11-20")[0];
        JsonNode view = null!;
        for (int i = 0; i < 3; i++)
        {
            view = await api.LogAsync(set);
        }

        view["overwritten"]!.AsArray().ShouldBeEmpty();
        view["lines"]![0]!["logs"]!.AsArray().Count.ShouldBe(1);
        set["id"] = Guid.NewGuid().ToString();
        view = await api.LogAsync(set);
        view["lines"]![0]!["logs"]!.AsArray().Count.ShouldBe(1, "one slot holds one set");
    }

    [Fact]
    public async Task Pain_on_a_second_line_does_not_release_the_first_on_the_phone()
    {
        var api = await Api.WithPlanAsync(await CoachAsync(), "Goblet squat 3 x 8\nSplit squat 3 x 8 a side\nPush-up 3 x 8");
        string token = await api.SendAsync();
        var lines = Api.Lines(await api.PlanAsync());
        await api.LogAsync([.. Api.Sets(lines[0], "2026-11-20", pain: 7, painAt: "knee")]);
        (await HeldAsync(token)).ShouldBe([1, 2], "all that loads the knee");
        await api.LogAsync([.. Api.Sets(lines[1], "2026-11-21", pain: 8, painAt: "knee")]);
        (await HeldAsync(token)).ShouldBe([1, 2]);
        // Another day, elsewhere: nothing is let go by it.
        await api.LogAsync([.. Api.Sets(lines[2], "2026-11-22", pain: 7, painAt: "wrist")]);
        (await HeldAsync(token)).ShouldBe([1, 2, 3]);
        // The page carries the same rule for what hurts next.
        var squat = (await _host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["programme"]!["places"]![0]!["sessions"]![0]!["lines"]![0]!;
        squat["leavesOut"]!.AsArray().Single(b => b!["at"]?.GetValue<string>() == "knee")!["lines"]!.AsArray().Select(l => l!.GetValue<int>()).ShouldBe([1, 2]);
        squat["leavesOut"]!.AsArray().Single(b => b!["at"]?.GetValue<string>() == "neck")!["lines"]!.AsArray().Select(l => l!.GetValue<int>()).ShouldBe([1]);
    }

    private async Task<int[]> HeldAsync(string token) =>
        [.. (await _host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["heldBack"]!.AsArray().Select(h => h!["line"]!.GetValue<int>()).Order()];

    [Fact]
    public async Task What_a_client_named_of_their_health_keeps_lines_out_and_never_reaches_the_phone()
    {
        var api = await Api.WithPlanAsync(await CoachAsync(), "Plank 3 x 45 s\nPush-up 3 x 8\nPike push-up 3 x 5");
        string token = await api.SendAsync();
        (await HeldAsync(token)).ShouldBeEmpty();
        var client = (await api.Coach.GetFromJsonAsync<JsonNode>($"/api/clients/{api.Id}", Stop))!;
        foreach (var answer in client["profile"]!["health"]!["answers"]!.AsArray())
        {
            answer!["applies"] = answer["question"]!.GetValue<string>() is "bloodPressure" or "pregnancy";
        }

        (await api.Coach.PutAsJsonAsync($"/api/clients/{api.Id}", new { profile = client["profile"], version = client["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
        (await HeldAsync(token)).ShouldNotBeEmpty();
        string held = (await _host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["heldBack"]!.ToJsonString();
        held.ShouldContain("left out until the coach has changed it");
        held.ShouldNotContain("pressure", Case.Insensitive);
        held.ShouldNotContain("named", Case.Insensitive);
    }

    [Fact]
    public async Task A_place_taken_out_while_its_lines_are_in_force_is_told_and_kept_on_the_list()
    {
        var api = await Api.WithPlanAsync(await CoachAsync(), "Push-up 3 x 8");
        string shed = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/places", new { name = "Shed" }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        (await api.SaveAsync("Push-up 3 x 9", [], await api.VersionAsync())).EnsureSuccessStatusCode();
        (await api.PlanAsync())["elsewhere"]!.AsArray().Count.ShouldBe(1);
        (await api.Coach.DeleteAsync($"/api/clients/{api.Id}/places/{shed}", Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await api.PlanAsync())["elsewhere"]!.AsArray().ShouldBeEmpty();
        (await api.ChangesAsync())[0]["cause"]!.GetValue<string>().ShouldStartWith("Shed was taken out");
        (await api.Coach.DeleteAsync($"/api/clients/{api.Id}/places/{(await api.PlanAsync())["place"]}", Stop)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        Api.Lines(await api.PlanAsync()).Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_text_that_takes_lines_out_says_which_before_it_is_saved()
    {
        var api = await TrainedAsync(1);
        var bench = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text = "# Monday\nPush-up 3 x 8 RPE 8, rest 90 s", choices = Array.Empty<object>() }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        bench["gone"]!.AsArray().Select(g => g!["written"]!.GetValue<string>()[..4]).ShouldBe(["Gobl", "Dead", "Hamm"]);
        bench["sessions"]![0]!["lines"]![0]!["stands"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task Moving_the_roster_keeps_what_stands_and_says_what_it_would_change()
    {
        var api = await TrainedAsync(2);
        var before = await api.PlanAsync();
        var moved = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/move", new { wholeWeek = true, fitMinutes = false, save = true, version = await api.VersionAsync() }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        moved["moved"]!["lines"]!.AsArray().ShouldAllBe(l => l!["stands"]!.GetValue<bool>());
        (await api.PlanAsync())["sessions"]!.ToJsonString().ShouldBe(before["sessions"]!.ToJsonString());

        // The bells are gone: lines that need them change, and say from what to what; the others stay.
        var place = await api.GetAsync("places/now");
        place["home"]!["kit"] = new JsonArray();
        (await api.Coach.PutAsJsonAsync($"/api/clients/{api.Id}/places/{before["place"]}", new { home = place["home"], version = place["version"]!.GetValue<long>() }, Stop)).EnsureSuccessStatusCode();
        moved = (await (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/move", new { wholeWeek = true, fitMinutes = false, save = true, version = await api.VersionAsync() }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        var curl = moved["moved"]!["lines"]!.AsArray()[3]!;
        curl["was"]!.GetValue<string>().ShouldStartWith("Hammer curl");
        var after = Api.Lines(await api.PlanAsync());
        after[2].ToJsonString().ShouldBe(Api.Lines(before)[2].ToJsonString());
        after[3]["prescription"]?["exercise"]?.GetValue<string>().ShouldNotBe("hammer-curl");
    }

    [Fact]
    public async Task A_refused_step_stands_on_the_list_as_held()
    {
        var api = await TrainedAsync(1);
        var lines = Api.Lines(await api.PlanAsync());
        await api.LogAsync([.. lines.SelectMany(l => Api.Sets(l, "2026-11-22", more: 3, left: 4))]);
        (await api.AnswerAsync(await api.ProposalAsync("ready"), "refused")).EnsureSuccessStatusCode();
        var held = (await api.ChangesAsync())[0];
        held["kind"]!.GetValue<string>().ShouldBe("held");
        held["againstUndoing"]!.GetValue<string>().ShouldBe("Nothing was changed by it.");
    }
}
