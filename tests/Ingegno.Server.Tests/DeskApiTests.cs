using System.IO.Compression;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Decisions of the Desk that touch more than one line, and what the demo has waiting.</summary>
public sealed class DeskApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static readonly string[] TrainedOn = ["2026-11-16", "2026-11-18", "2026-11-20"];

    /// <summary>Packed for who takes it packed, and the same within.</summary>
    [Fact]
    public async Task The_desk_is_sent_packed_to_who_says_so_and_plain_to_others()
    {
        var coach = await host.CoachAsync();
        string plain = await coach.GetStringAsync("/api/desk", Stop);
        foreach (var (accepts, isPacked) in new[] { ("gzip, deflate, br", true), ("br", false), ("gzip;q=0", false) })
        {
            var ask = new HttpRequestMessage(HttpMethod.Get, "/api/desk");
            ask.Headers.TryAddWithoutValidation("Accept-Encoding", accepts);
            var answer = await coach.SendAsync(ask, Stop);
            answer.Headers.Vary.ShouldBe(["Accept-Encoding"]);
            answer.Content.Headers.ContentEncoding.Contains("gzip").ShouldBe(isPacked, accepts);
            var body = await answer.Content.ReadAsStreamAsync(Stop);
            using var read = new StreamReader(isPacked ? new GZipStream(body, CompressionMode.Decompress) : body);
            (await read.ReadToEndAsync(Stop)).ShouldBe(plain, accepts);
        }
    }

    [Fact]
    public async Task Most_lines_going_down_ask_for_an_easier_week_that_reaches_the_phone_and_comes_back_with_undo()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach);
        (await coach.PutAsJsonAsync(
            $"/api/clients/{id}/plan", new { text = "Push-up 3 x 8 RPE 8\nGoblet squat 3 x 8 RPE 8\nDead bug 3 x 8 a side", choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        var lines = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]!.AsArray();
        var short1 = lines.SelectMany(l => TrainedOn.SelectMany(day => Session(l!, day)));
        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = short1 }, Stop)).EnsureSuccessStatusCode();

        var deload = (await ProposalsAsync(coach, id)).Single(p => p["kind"]!.GetValue<string>() == "deload");
        deload["sentence"]!.GetValue<string>().ShouldBe("3 of 3 lines go down together: an easier week from 23 Nov, about 60 % of the sets at the same loads.");
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = deload["subject"]!.GetValue<string>(), answer = "taken" }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        var block = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["block"]!;
        block["easier"]!.AsArray().Select(d => d!.GetValue<string>()).ShouldBe(["2026-11-23"]);
        (await ProposalsAsync(coach, id)).ShouldNotContain(p => p["kind"]!.GetValue<string>() == "deload" || p["kind"]!.GetValue<string>() == "change");

        (await coach.PostAsync($"/api/clients/{id}/sending", null, Stop)).EnsureSuccessStatusCode();
        string mail = (await GetAsync(coach, "/api/outbox"))[0]!["text"]!.GetValue<string>();
        string token = System.Text.RegularExpressions.Regex.Match(mail, "/train/([A-Za-z0-9_-]{22})").Groups[1].Value;
        var weeks = (await GetAsync(host.Stranger(), $"/api/link/{token}"))["programme"]!["weeks"]!.AsArray();
        weeks.Take(2).Select(w => (w!["starts"]!.GetValue<string>(), w["kind"]!.GetValue<string>())).ShouldBe([("2026-11-23", "easier"), ("2026-11-30", "full")]);

        var record = (await GetAsync(coach, $"/api/clients/{id}/decisions")).AsArray().First(d => d!["sentence"]!.GetValue<string>().Contains("easier week", StringComparison.Ordinal))!;
        (await coach.PostAsync($"/api/clients/{id}/decisions/{record["id"]}/undo", null, Stop)).EnsureSuccessStatusCode();
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["block"].ShouldBeNull();
        (await ProposalsAsync(coach, id)).ShouldContain(p => p["kind"]!.GetValue<string>() == "deload");
    }

    [Fact]
    public async Task A_line_nothing_stands_in_for_is_left_out_after_pain_and_comes_back_with_undo()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Push-up 3 x 8\nGoblet squat 3 x 8", choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        var plan = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!;
        var squat = plan["sessions"]![0]!["lines"]![1]!;
        var set = Session(squat, "2026-11-20")[0];
        (set["pain"], set["painAt"]) = (8, "knee");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = new[] { set } }, Stop)).EnsureSuccessStatusCode();
        var pain = (await ProposalsAsync(coach, id))[0];
        pain["kind"]!.GetValue<string>().ShouldBe("pain");
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = pain["subject"]!.GetValue<string>(), answer = "taken" }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        var undo = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["undo"]!;
        undo["sentence"]!.GetValue<string>().ShouldContain("it is left out");
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]!.AsArray().Count.ShouldBe(1);
        (await GetAsync(coach, $"/api/clients/{id}/sending"))["against"]!.AsArray().ShouldBeEmpty();
        (await coach.PostAsync($"/api/clients/{id}/decisions/{undo["id"]}/undo", null, Stop)).EnsureSuccessStatusCode();
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]!.ToJsonString().ShouldBe(plan["sessions"]!.ToJsonString());
    }

    [Fact]
    public async Task What_is_trained_elsewhere_goes_on_there_and_pain_there_is_told_first()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach);
        string shed = await ShedAsync(coach, id);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Goblet squat 3 x 8 RPE 8\nPush-up 3 x 8 RPE 8", choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        var plan = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!;
        var there = plan["elsewhere"]![0]!["sessions"]![0]!["lines"]![0]!;
        double load = there["prescription"]!["load"]!.GetValue<double>();
        load.ShouldNotBe(plan["sessions"]![0]!["lines"]![0]!["prescription"]!["load"]!.GetValue<double>());

        // Two sessions with repetitions over in the shed: its line climbs, the loft's stays.
        var sets = TrainedOn.Take(2).SelectMany(day => Session(there, day)).ToArray();
        foreach (var set in sets)
        {
            (set["repetitions"], set["reserve"]) = (set["repetitions"]!.GetValue<int>() + 4, 3);
        }

        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets }, Stop)).EnsureSuccessStatusCode();
        var progress = (await GetAsync(coach, $"/api/clients/{id}/progress"))["lines"]!.AsArray();
        progress.Select(l => l!["key"]!.GetValue<string>()).ShouldBe(["1", "2", $"1@{shed}"]);
        progress[0]!["logs"]!.AsArray().ShouldBeEmpty("the sets of the shed's load are the shed's");
        progress[2]!["logs"]!.AsArray().Count.ShouldBe(6);
        var step = (await ProposalsAsync(coach, id)).Single(p => p["sentence"]!.GetValue<string>().StartsWith("At Shed: ", StringComparison.Ordinal));
        await AnswerAsync(coach, id, step);
        var after = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!;
        after["sessions"]!.ToJsonString().ShouldBe(plan["sessions"]!.ToJsonString());
        after["elsewhere"]![0]!["sessions"]![0]!["lines"]![0]!["prescription"]!.ToJsonString().ShouldNotBe(there["prescription"]!.ToJsonString());
        await UndoLastAsync(coach, id);
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["elsewhere"]!.ToJsonString().ShouldBe(plan["elsewhere"]!.ToJsonString());

        // Pain there: the coach hears of it though the shed is not in use, and the swap reaches it.
        var sore = Session(there, "2026-11-21")[0];
        (sore["pain"], sore["painAt"]) = (8, "knee");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = new[] { sore } }, Stop)).EnsureSuccessStatusCode();
        var pain = (await ProposalsAsync(coach, id)).First(p => p["kind"]!.GetValue<string>() == "pain" && p["sentence"]!.GetValue<string>().StartsWith("At Shed: ", StringComparison.Ordinal));
        await AnswerAsync(coach, id, pain);
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["elsewhere"]![0]!["sessions"]![0]!["lines"]!.AsArray()
            .ShouldNotContain(l => l!["prescription"]!["exercise"]!.GetValue<string>() == "goblet-squat");
        await UndoLastAsync(coach, id);
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["elsewhere"]!.ToJsonString().ShouldBe(plan["elsewhere"]!.ToJsonString());
    }

    private static async Task<string> ShedAsync(HttpClient coach, string id)
    {
        string shed = (await (await coach.PostAsJsonAsync($"/api/clients/{id}/places", new { name = "Shed" }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        var place = await GetAsync(coach, $"/api/clients/{id}/places/{shed}");
        place["home"]!["kit"] = JsonNode.Parse("""[{ "kind": "fixedWeights", "id": "jars", "name": "Bells in the shed", "shape": "kettlebell", "weights": [{ "mass": 5, "count": 1 }, { "mass": 6, "count": 1 }, { "mass": 7, "count": 1 }] }]""");
        var saved = await coach.PutAsJsonAsync($"/api/clients/{id}/places/{shed}", new { home = place["home"], version = place["version"]!.GetValue<long>() }, Stop);
        saved.StatusCode.ShouldBe(HttpStatusCode.OK, await saved.Content.ReadAsStringAsync(Stop));
        return shed;
    }

    private static async Task AnswerAsync(HttpClient coach, string id, JsonNode proposal)
    {
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = proposal["subject"]!.GetValue<string>(), answer = "taken" }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
    }

    private static async Task UndoLastAsync(HttpClient coach, string id)
    {
        var undo = (await GetAsync(coach, $"/api/clients/{id}/desk"))["undo"]!;
        (await coach.PostAsync($"/api/clients/{id}/decisions/{undo["id"]}/undo", null, Stop)).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task A_corrected_set_keeps_what_it_said_before()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Push-up 3 x 8", choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        var line = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]![0]!;
        var set = Session(line, "2026-11-20")[0];
        (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = new[] { set } }, Stop)).EnsureSuccessStatusCode();
        int said = set["repetitions"]!.GetValue<int>();
        set["repetitions"] = said - 2;
        set["stopped"] = "grip";
        var view = await (await coach.PostAsJsonAsync($"/api/clients/{id}/log", new { sets = new[] { set } }, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop);
        view!["overwritten"]!.AsArray().ShouldHaveSingleItem()!["repetitions"]!.GetValue<int>().ShouldBe(said);
        view["lines"]![0]!["logs"]![0]!["stopped"]!.GetValue<string>().ShouldBe("grip");
    }

    /// <summary>Four short on the last set: more than one repetition, and more than a twentieth of any line here.</summary>
    private static JsonObject[] Session(JsonNode line, string day)
    {
        var prescription = line["prescription"]!;
        int[] counts = [.. prescription["counts"]!.AsArray().Select(c => c!.GetValue<int>())];
        return
        [
            .. counts.Select((count, i) => new JsonObject
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["line"] = line["line"]!.GetValue<int>(),
                ["exercise"] = prescription["exercise"]!.GetValue<string>(),
                ["on"] = day,
                ["setNumber"] = i + 1,
                ["load"] = prescription["load"]!.GetValue<double>(),
                ["repetitions"] = i == counts.Length - 1 ? count - 4 : count,
                ["reserve"] = 0,
            }),
        ];
    }

    private static async Task<string> AddAsync(HttpClient coach)
    {
        var profile = new
        {
            name = "Tired Throughout",
            bodyMass = 70,
            stature = 1.7,
            sex = "male",
            lifts = new[] { new { exercise = "push-up", load = 0, repetitions = 15 } },
            health = ProgressTests.Health,
        };
        var home = new
        {
            name = "Loft",
            kit = new object[] { new { kind = "fixedWeights", id = "bells", name = "Bells", shape = "dumbbell", weights = new[] { new { mass = 12, count = 2 }, new { mass = 16, count = 2 } } } },
        };
        var answer = await coach.PostAsJsonAsync("/api/clients", new { profile, home }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.Created, await answer.Content.ReadAsStringAsync(Stop));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
    }

    private static async Task<JsonNode[]> ProposalsAsync(HttpClient coach, string id) =>
        [.. (await GetAsync(coach, $"/api/clients/{id}/desk"))["proposals"]!.AsArray().Select(p => p!)];

    private static async Task<JsonNode> GetAsync(HttpClient client, string url) => (await (await client.GetAsync(url, Stop)).Content.ReadFromJsonAsync<JsonNode>(Stop))!;
}

/// <summary>The demo with its history: what a coach finds on a Monday.</summary>
public sealed class DemoDeskTests
{
    [Fact]
    public async Task The_demo_has_a_pain_report_a_plateau_a_missed_week_and_an_earned_rung_waiting()
    {
        using var host = new ServerHost { Demo = "1" };
        var rows = (await (await (await host.CoachAsync()).GetAsync("/api/desk", TestContext.Current.CancellationToken))
            .Content.ReadFromJsonAsync<JsonNode>(TestContext.Current.CancellationToken))!.AsArray();
        string[] kinds = [.. rows.SelectMany(r => r!["proposals"]!.AsArray()).Select(p => p!["kind"]!.GetValue<string>()).Distinct()];
        kinds.ShouldContain("pain");
        kinds.ShouldContain("stuck");
        kinds.ShouldContain("missed");
        kinds.ShouldContain("earned");
        rows[0]!["proposals"]![0]!["kind"]!.GetValue<string>().ShouldBe("pain", "who hurts comes first");
        foreach (var row in rows)
        {
            row!["proposals"]!.AsArray().Select(p => p!["sentence"]!.GetValue<string>()).ShouldBeUnique($"{row["name"]}: the coach has to tell them apart");
        }

        var coach = await host.CoachAsync();
        // Who missed the last week was sent a step they have not trained yet.
        foreach (var row in rows.Where(r => r!["proposals"]!.AsArray().All(p => p!["kind"]!.GetValue<string>() != "missed")))
        {
            var progress = (await coach.GetFromJsonAsync<JsonNode>($"/api/clients/{row!["id"]}/progress", TestContext.Current.CancellationToken))!;
            foreach (var line in progress["lines"]!.AsArray().Where(l => l!["logs"]!.AsArray().Count > 0))
            {
                line!["logs"]![0]!["load"]!.GetValue<double>().ShouldBe(line["prescription"]!["load"]!.GetValue<double>(), 0.01, $"{row["name"]} trained another plan: {line["prescription"]!["name"]}");
            }
        }
    }
}
