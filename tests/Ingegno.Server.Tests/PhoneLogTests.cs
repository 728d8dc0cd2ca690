using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>What a phone sends: every entry is kept, refused or asked about by itself, and nobody's word is lost or wins silently.</summary>
public sealed class PhoneLogTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Sending_again_doubles_nothing()
    {
        var (api, token) = await SentAsync();
        var one = Set(1, 8);
        (await LogAsync(token, [one]))["kept"]!.AsArray().Count.ShouldBe(1);
        (await LogAsync(token, [one]))["kept"]![0]!["conflict"]!.GetValue<bool>().ShouldBeFalse();
        (await DoneAsync(token)).Length.ShouldBe(1);
        (await api.GetAsync("progress"))["lines"]![0]!["logs"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task Two_phones_that_tell_one_set_differently_ask_the_coach_and_the_answer_can_be_undone()
    {
        var (api, token) = await SentAsync();
        await LogAsync(token, [Set(1, 8)]);
        var other = Set(1, 9);
        (await LogAsync(token, [other]))["kept"]![0]!["conflict"]!.GetValue<bool>().ShouldBeTrue();
        await LogAsync(token, [other]);
        (await RepetitionsAsync(token)).ShouldBe([8], "what stands stays");
        (await api.ProposalsAsync()).Count(p => p["kind"]!.GetValue<string>() == "toldTwice").ShouldBe(1, "asked once, however often it is sent");
        var answered = await Json(await api.AnswerAsync(await api.ProposalAsync("toldTwice")));
        (await RepetitionsAsync(token)).ShouldBe([9]);
        (await api.ProposalsAsync()).ShouldNotContain(p => p["kind"]!.GetValue<string>() == "toldTwice");
        (await api.GetAsync("progress"))["overwritten"]!.AsArray().ShouldContain(s => s!["repetitions"]!.GetValue<int>() == 8);
        (await api.Coach.PostAsync($"/api/clients/{api.Id}/decisions/{answered["undo"]!["id"]}/undo", null, Stop)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await RepetitionsAsync(token)).ShouldBe([8]);
        (await api.AnswerAsync(await api.ProposalAsync("toldTwice"), "refused")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await RepetitionsAsync(token)).ShouldBe([8]);
        (await LogAsync(token, [other]))["kept"]!.AsArray().Count.ShouldBe(1);
        (await api.ProposalsAsync()).ShouldNotContain(p => p["kind"]!.GetValue<string>() == "toldTwice", "settled is settled");
    }

    [Fact]
    public async Task Mondays_offline_edit_arriving_on_Wednesday_does_not_undo_Tuesdays_correction()
    {
        var (api, token) = await SentAsync();
        var first = Set(1, 8);
        (await LogAsync(token, [first]))["kept"]![0]!["version"]!.GetValue<int>().ShouldBe(1);
        await api.LogAsync(With(first, 9, version: 1));
        (await RepetitionsAsync(token)).ShouldBe([9]);
        (await LogAsync(token, [With(first, 10, version: 1)]))["kept"]![0]!["conflict"]!.GetValue<bool>().ShouldBeTrue();
        (await RepetitionsAsync(token)).ShouldBe([9]);
        string sentence = (await api.ProposalAsync("toldTwice"))["sentence"]!.GetValue<string>();
        sentence.ShouldContain("9, from Ilse Vandermolen, stands");
        sentence.ShouldContain("10 came from the phone");
        // Having seen what stands, the phone may change it.
        (await LogAsync(token, [With(first, 11, version: 2)]))["kept"]![0]!["version"]!.GetValue<int>().ShouldBe(3);
        (await RepetitionsAsync(token)).ShouldBe([11]);
    }

    /// <summary>A phone 400 days ahead logged first; the coach's correction must still hold.</summary>
    [Fact]
    public async Task A_clock_ahead_does_not_bar_the_coachs_correction()
    {
        var (api, token) = await SentAsync();
        var asked = Set(1, 8, on: "2027-12-28", at: "2027-12-28T09:00:00Z");
        var answer = await LogAsync(token, [asked], "2027-12-28T09:01:00Z");
        answer["kept"]!.AsArray().ShouldBeEmpty();
        answer["asked"]![0]!["question"]!.GetValue<string>().ShouldBe("The clock of this phone is 400 days ahead. Which day was it?");
        answer["asked"]![0]!["suggested"]!.GetValue<string>().ShouldBe("2026-11-23");
        // The client has said the day.
        asked["on"] = "2026-11-23";
        asked["at"] = null;
        (await LogAsync(token, [asked], "2027-12-28T09:01:00Z"))["kept"]!.AsArray().Count.ShouldBe(1);
        await api.LogAsync(With(asked, 7, version: 1));
        (await RepetitionsAsync(token)).ShouldBe([7]);
    }

    [Fact]
    public async Task Every_entry_that_cannot_be_right_is_refused_by_itself_with_words()
    {
        var (_, token) = await SentAsync();
        object?[] sets =
        [
            Set(1, 8), Set(2, 400), With(Set(3, 8), reserve: -1), null, "a word", new { id = Guid.NewGuid() }, With(Set(3, 8), exercise: "no-such-thing"),
            With(Set(3, 8), line: 77), Set(3, 8, at: "not a time"), With(Set(2, 7), reserve: "5-6"),
        ];
        object?[] notes =
        [
            new { id = Guid.NewGuid(), on = "2026-11-23", felt = "muscle" }, new { id = Guid.NewGuid(), session = (string?)null, on = "2026-11-23" },
            new { id = Guid.NewGuid(), session = new string('x', 10_001), on = "2026-11-23" }, new { id = Guid.NewGuid(), session = "Session 1", on = "2026-11-23", sore = 9 },
            new { id = Guid.NewGuid(), session = "Session 1", on = "2026-11-23", felt = "muscle" }, new { id = Guid.NewGuid(), session = new string('y', 9_000), on = "2026-11-23", sore = 1 },
        ];
        var answer = await LogAsync(token, sets, notes: notes);
        answer["kept"]!.AsArray().Count.ShouldBe(4, answer.ToJsonString());
        var refused = answer["refused"]!.AsArray().Select(r => (Entry: r!["entry"]!.GetValue<string>(), Reason: r["reason"]!.GetValue<string>())).ToArray();
        refused.Select(r => r.Entry).Order().ShouldBe(
            ["notes[0]", "notes[1]", "notes[2]", "notes[3]", "sets[1]", "sets[2]", "sets[3]", "sets[4]", "sets[5]", "sets[6]", "sets[7]", "sets[8]"]);
        refused.ShouldAllBe(r => r.Reason.Length > 20 && !r.Reason.Contains("System.") && !r.Reason.Contains("Ingegno."));
        refused.Single(r => r.Entry == "sets[7]").Reason.ShouldBe("This line was never sent to you: tell the coach what was done.");
        (await RepetitionsAsync(token)).ShouldBe([8, 7]);
        (await DoneAsync(token))[1]["reserve"]!.GetValue<string>().ShouldBe("5-6");
    }

    [Fact]
    public async Task Half_an_upload_or_too_much_keeps_nothing_and_says_so()
    {
        var (_, token) = await SentAsync();
        var half = await host.Stranger().PostAsync($"/api/link/{token}/log", new StringContent("{\"phoneNow\":\"2026-11-23T09:00:00Z\",\"sets\":[{\"id\":", Encoding.UTF8, "application/json"), Stop);
        half.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        var much = await host.Stranger().PostAsJsonAsync($"/api/link/{token}/log", new { phoneNow = "2026-11-23T09:00:00Z", sets = Enumerable.Range(0, 501).Select(_ => Set(1, 8)) }, Stop);
        much.StatusCode.ShouldBe(HttpStatusCode.RequestEntityTooLarge);
        (await Json(much))["detail"]!.GetValue<string>().ShouldBe("At most 500 sets at a time.");
        (await DoneAsync(token)).ShouldBeEmpty();
    }

    /// <summary>A text cut in the middle of a character is valid JSON and no text: where it stands is refused, the sets beside it are kept.</summary>
    [Theory]
    [InlineData("""{"phoneNow":"\ud83d","sets":[SET]}""", 1, 0)]
    [InlineData("""{"phoneNow":"2026-11-23T09:00:00Z","sets":[{"id":"\ud83d","line":1},SET]}""", 1, 1)]
    [InlineData("""{"phoneNow":"2026-11-23T09:00:00Z","sets":[{"\ud83d":1,"id":"\u0033f2504e0-4f89-41d3-9a0c-0305e82c3301"},SET]}""", 1, 1)]
    [InlineData("""{"\ud83d":1,"phoneNow":"2026-11-23T09:00:00Z","sets":[SET]}""", 0, null)]
    public async Task Half_a_character_is_refused_where_it_stands(string batch, int kept, int? refused)
    {
        var (_, token) = await SentAsync();
        var answer = await host.Stranger().PostAsync(
            $"/api/link/{token}/log", new StringContent(batch.Replace("SET", JsonSerializer.Serialize(Set(1, 8)), StringComparison.Ordinal), Encoding.UTF8, "application/json"), Stop);
        answer.StatusCode.ShouldBe(refused is null ? HttpStatusCode.BadRequest : HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        (await DoneAsync(token)).Length.ShouldBe(kept);
        if (refused is { } count)
        {
            (await Json(answer))["refused"]!.AsArray().Count.ShouldBe(count);
        }
    }

    /// <summary>Trained in the morning without a signal, taken out of the plan at noon: it was trained all the same.</summary>
    [Fact]
    public async Task A_set_of_a_line_that_is_gone_since_is_kept_and_shown()
    {
        var (api, token) = await SentAsync("Push-up 3 x 8\nGoblet squat 3 x 8");
        (await api.SaveAsync("Goblet squat 3 x 8", [], await api.VersionAsync())).StatusCode.ShouldBe(HttpStatusCode.OK);
        await api.SendAsync();
        (await LogAsync(token, [Set(1, 8)]))["kept"]!.AsArray().Count.ShouldBe(1);
        var gone = (await api.GetAsync("progress"))["gone"]!.AsArray().ShouldHaveSingleItem()!;
        gone["name"]!.GetValue<string>().ShouldBe("Push-up");
        gone["logs"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_renewed_link_is_the_same_clients_and_a_used_one_stays_open()
    {
        await using var host = new ClockedHost(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero));
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        string first = await api.SendAsync(), second = await api.SendAsync();
        async Task<JsonNode> OpenAsync(string token) => (await host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!;
        (await OpenAsync(first))["clientId"]!.GetValue<string>().ShouldBe((await OpenAsync(second))["clientId"]!.GetValue<string>());
        for (int week = 0; week < 20; week++)
        {
            host.Clock.Advance(TimeSpan.FromDays(7));
            await OpenAsync(first);
        }

        (await host.CreateClient().GetAsync($"/api/link/{second}", Stop)).StatusCode.ShouldBe(HttpStatusCode.Gone, "nobody used it");
        host.Clock.Advance(TimeSpan.FromDays(29));
        await OpenAsync(first);
        host.Clock.Advance(TimeSpan.FromDays(31));
        (await host.CreateClient().GetAsync($"/api/link/{first}", Stop)).StatusCode.ShouldBe(HttpStatusCode.Gone);
    }

    private async Task<(Api Api, string Token)> SentAsync(string text = "Push-up 3 x 8")
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), text);
        return (api, await api.SendAsync());
    }

    private static JsonObject Set(int number, int repetitions, string on = "2026-11-23", string at = "2026-11-23T09:00:00Z") => new()
    {
        ["id"] = Guid.NewGuid().ToString(),
        ["line"] = 1,
        ["exercise"] = "push-up",
        ["on"] = on,
        ["setNumber"] = number,
        ["load"] = 0,
        ["repetitions"] = repetitions,
        ["reserve"] = 2,
        ["at"] = at,
    };

    private static JsonObject With(JsonObject set, int? repetitions = null, int? version = null, JsonNode? reserve = null, string? exercise = null, int? line = null)
    {
        var changed = set.DeepClone().AsObject();
        foreach (var (name, value) in new (string, JsonNode?)[] { ("repetitions", repetitions), ("version", version), ("reserve", reserve), ("exercise", exercise), ("line", line) })
        {
            if (value is not null)
            {
                changed[name] = value;
            }
        }

        return changed;
    }

    private async Task<JsonNode> LogAsync(string token, object?[] sets, string phoneNow = "2026-11-23T09:02:00Z", object?[]? notes = null)
    {
        var answer = await host.Stranger().PostAsJsonAsync($"/api/link/{token}/log", new { phoneNow, sets, notes = notes ?? [] }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        return await Json(answer);
    }

    private async Task<JsonNode[]> DoneAsync(string token) =>
        [.. (await host.Stranger().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["done"]!.AsArray().Select(s => s!)];

    private async Task<int[]> RepetitionsAsync(string token) => [.. (await DoneAsync(token)).Select(s => s["repetitions"]!.GetValue<int>())];

    private static async Task<JsonNode> Json(HttpResponseMessage answer) => (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
}
