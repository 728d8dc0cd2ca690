using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Ingegno.Server.Tests;

/// <summary>Clients go out whole and come in whole, or not at all.</summary>
public sealed partial class CaseFileApiTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_case_comes_back_as_it_went_but_for_the_names_of_its_own()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Monday\nGoblet squat 3 x 8 @ 20 kg\nPush-up 3 x 8 RPE 8", Api.Profile("Europe/Lisbon"));
        var line = Api.Lines(await api.PlanAsync())[0];
        await api.LogAsync(Api.Sets(line, "2026-11-20", left: 3));
        await api.LogAsync(Api.Sets(line, "2026-11-22", left: 2, pain: 3, painAt: "knee"));
        var went = (await api.GetAsync("files/case.json")).AsObject();
        went["madeElsewhere"] = new JsonObject { ["colour"] = "green" };

        var looked = await BringAsync(api.Coach, went.ToJsonString(), keep: false);
        looked["clients"]![0]!["sets"]!.GetValue<int>().ShouldBe(6);
        looked["clients"]![0]!["told"]!.AsArray().ShouldContain(t => t!.GetValue<string>().Contains("is there already"));
        (await ClientsAsync(api.Coach)).ShouldBe(1, "looking keeps nothing");

        string id = (await BringAsync(api.Coach, went.ToJsonString(), keep: true))["clients"]![0]!["id"]!.GetValue<string>();
        (await ClientsAsync(api.Coach)).ShouldBe(2);
        var back = new Api(api.Coach, id);
        Unnamed((await back.GetAsync("files/case.json")).ToJsonString()).ShouldBe(Unnamed(went.ToJsonString()));

        // It trains on: the same steps, worked out from the same log.
        var steps = (await api.GetAsync("progress"))["lines"]!.AsArray().Select(l => l!["step"]?["sentence"]?.GetValue<string>());
        (await back.GetAsync("progress"))["lines"]!.AsArray().Select(l => l!["step"]?["sentence"]?.GetValue<string>()).ShouldBe(steps);
    }

    /// <summary>What was decided on the Desk comes along, and can be taken back there as it could here.</summary>
    [Fact]
    public async Task Decisions_come_along_and_can_be_taken_back()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Monday\nGoblet squat 3 x 8 @ 20 kg\nPush-up 3 x 8 RPE 8");
        var line = Api.Lines(await api.PlanAsync())[1];
        await api.LogAsync(Api.Sets(line, "2026-11-18", more: 2, left: 4));
        await api.LogAsync(Api.Sets(line, "2026-11-20", more: 2, left: 4));
        string before = Prescribed(await api.PlanAsync());
        var step = (await api.ProposalsAsync()).First(p => p["take"] is not null && p["kind"]!.GetValue<string>() != "unsent");
        (await api.AnswerAsync(step)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var went = await api.GetAsync("files/case.json");
        went["decisions"]!.AsArray().Count.ShouldBe(1);

        string id = (await BringAsync(api.Coach, went.ToJsonString(), keep: true))["clients"]![0]!["id"]!.GetValue<string>();
        var back = new Api(api.Coach, id);
        Unnamed((await back.GetAsync("files/case.json")).ToJsonString()).ShouldBe(Unnamed(went.ToJsonString()));
        (await back.ProposalsAsync()).ShouldNotContain(p => p["subject"]!.GetValue<string>() == step["subject"]!.GetValue<string>());
        string asTaken = Prescribed(await api.PlanAsync());
        asTaken.ShouldNotBe(before, step.ToJsonString());
        Prescribed(await back.PlanAsync()).ShouldBe(asTaken);
        var decided = (await back.GetAsync("decisions"))[0]!;
        (await api.Coach.PostAsync($"/api/clients/{id}/decisions/{decided["id"]}/undo", null, Stop)).StatusCode.ShouldBe(HttpStatusCode.OK);
        Prescribed(await back.PlanAsync()).ShouldBe(before);
        Prescribed(await api.PlanAsync()).ShouldBe(asTaken, "the other client's plan is as it was");

        static string Prescribed(JsonNode plan) => string.Join('\n', Api.Lines(plan).Select(l => l["prescription"]!.ToJsonString()));
    }

    [Fact]
    public async Task A_practice_comes_back_from_its_zip_with_its_rules()
    {
        await using var host = new ClockedHost(Monday);
        var coach = await host.CoachAsync(first: true);
        await Api.WithPlanAsync(coach, "Push-up 3 x 8");
        await Api.WithPlanAsync(coach, "Plank 3 x 30 s");
        byte[] zip = await coach.GetByteArrayAsync("/api/files/practice.zip", Stop);
        using (var archive = new ZipArchive(new MemoryStream(zip)))
        {
            archive.Entries.Select(e => e.FullName).ShouldContain("practice.json");
            archive.Entries.Count.ShouldBe(3);
        }

        await using var other = new ClockedHost(Monday);
        var there = await other.CoachAsync(first: true);
        var brought = await BringAsync(there, zip, "?keep=true&rules=true");
        brought["kept"]!.GetValue<bool>().ShouldBeTrue();
        (await ClientsAsync(there)).ShouldBe(2);
    }

    /// <summary>Checks from the phone come along as they were answered, their photos where the file is a ZIP.</summary>
    [Fact]
    public async Task Checks_come_along_with_their_photos()
    {
        await using var host = new ClockedHost(Monday);
        var chair = new { name = "Home", fixtures = new[] { new { id = "chair", name = "Chair", kind = "chair", height = 0.45 } } };
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8 RPE 8", home: chair);
        string place = (await api.PlanAsync())["place"]!.GetValue<string>(), token = await api.SendAsync();
        var report = new { fixture = "chair", on = "2026-11-23", steps = new[] { new { step = "Sit", held = true } }, force = (double?)null, remark = "Creaks" };
        foreach (string? photo in (string?[])[Convert.ToBase64String(Picture), null])
        {
            (await host.CreateDefaultClient().PostAsJsonAsync($"/api/link/{token}/check", new { id = Guid.NewGuid(), place, report, photo }, Stop)).EnsureSuccessStatusCode();
        }

        (await api.AnswerAsync(await api.ProposalAsync("fixtureReport"))).EnsureSuccessStatusCode();
        byte[] zip = await api.Coach.GetByteArrayAsync($"/api/clients/{api.Id}/files/case.zip", Stop);
        using (var archive = new ZipArchive(new MemoryStream(zip)))
        {
            archive.Entries.Select(e => e.FullName.Split('/')[0]).ShouldBe(["case.json", "photos"]);
        }

        var went = await api.GetAsync("files/case.json");
        foreach (byte[] file in (byte[][])[zip, await api.Coach.GetByteArrayAsync("/api/files/practice.zip", Stop)])
        {
            var brought = await BringAsync(api.Coach, file, "?keep=true");
            brought["clients"]![0]!["told"]!.ToJsonString().ShouldNotContain("photo");
            var back = new Api(api.Coach, brought["clients"]![0]!["id"]!.GetValue<string>());
            Unnamed((await back.GetAsync("files/case.json")).ToJsonString()).ShouldBe(Unnamed(went.ToJsonString()));
            var reports = (await back.GetAsync("reports")).AsArray();
            reports.Count.ShouldBe(2);
            string pictured = reports.Single(r => r!["hasPhoto"]!.GetValue<bool>())!["id"]!.GetValue<string>();
            (await api.Coach.GetByteArrayAsync($"/api/clients/{back.Id}/reports/{pictured}/photo", Stop)).ShouldBe(Picture);
            (await back.ProposalsAsync()).Count(p => p["kind"]!.GetValue<string>() == "fixtureReport").ShouldBe(1, "the other was answered");
        }

        // Two checks of one id would be one.
        var twice = went.DeepClone();
        twice["checks"]![1]!["id"] = twice["checks"]![0]!["id"]!.GetValue<string>();
        (await BringAsync(api.Coach, twice.ToJsonString(), keep: true))["problems"]![0]!["path"]!.GetValue<string>().ShouldBe("checks[1].id");
        twice["checks"]![1]!["id"] = null;
        (await BringAsync(api.Coach, twice.ToJsonString(), keep: true))["kept"]!.GetValue<bool>().ShouldBeFalse();

        // The case file alone has no photos, and says so; a photo that is none keeps all out, with its place.
        (await BringAsync(api.Coach, went.ToJsonString(), keep: false))["clients"]![0]!["told"]!.ToJsonString().ShouldContain("1 photo is not in this file");
        int there = await ClientsAsync(api.Coach);
        var told = await BringAsync(api.Coach, WithPhotos([.. "GIF89a"u8]), "?keep=true");
        told["kept"]!.GetValue<bool>().ShouldBeFalse();
        told["problems"]![0]!["path"]!.GetValue<string>().ShouldMatch(@"^case\.json: checks\[\d\]\.photo$");
        told = await BringAsync(api.Coach, WithPhotos(new byte[6_000_000]), "?keep=true");
        told["problems"]![0]!["message"]!.GetValue<string>().ShouldContain("5 MB");
        (await ClientsAsync(api.Coach)).ShouldBe(there);

        byte[] WithPhotos(byte[] photo)
        {
            using var changed = new MemoryStream();
            changed.Write(zip);
            using (var archive = new ZipArchive(changed, ZipArchiveMode.Update, leaveOpen: true))
            {
                foreach (var entry in archive.Entries.Where(e => e.FullName.StartsWith("photos/", StringComparison.Ordinal)).ToArray())
                {
                    using var to = entry.Open();
                    to.SetLength(0);
                    to.Write(photo);
                }
            }

            return changed.ToArray();
        }
    }

    /// <summary>A JPEG as short as one can be: a start, a scan, an end.</summary>
    private static readonly byte[] Picture = [0xFF, 0xD8, 0xFF, 0xDA, 0, 4, 1, 2, 9, 9, 0xFF, 0xD9];

    [Theory]
    [InlineData("", "file")]
    [InlineData("{", "file")]
    [InlineData("[]", "file")]
    [InlineData("{\"format\":\"ingegno-case\",\"version\":9,\"client\":{\"name\":\"A\"}}", "file")]
    [InlineData("{\"format\":\"something\",\"version\":1,\"client\":{\"name\":\"A\"}}", "file")]
    [InlineData("{\"format\":\"ingegno-case\",\"version\":1,\"client\":{\"name\":\"A\"},\"log\":[null]}", "log[0]")]
    [InlineData("{\"format\":\"ingegno-case\",\"version\":1,\"client\":{\"name\":\"\"}}", "client.name")]
    [InlineData("{\"format\":\"ingegno-case\",\"version\":1,\"client\":{\"name\":\"A\"},\"log\":[{\"id\":\"3f2504e0-4f89-41d3-9a0c-0305e82c3301\",\"line\":1,\"exercise\":\"push-up\",\"on\":\"2026-11-20\",\"setNumber\":1,\"load\":0,\"repetitions\":4000}]}", "log[0].repetitions")]
    [InlineData("PK\u0003\u0004 not a zip", "file")]
    public async Task What_cannot_be_brought_in_is_told_with_its_place(string text, string place)
    {
        await using var host = new ClockedHost(Monday);
        var coach = await host.CoachAsync(first: true);
        var told = await BringAsync(coach, text, keep: true);
        told["kept"]!.GetValue<bool>().ShouldBeFalse();
        told["problems"]!.AsArray().ShouldContain(p => p!["path"]!.GetValue<string>() == place, told.ToJsonString());
        (await ClientsAsync(coach)).ShouldBe(0);
    }

    /// <summary>A case file cut short, with bytes changed, or with values of another kind: told or taken, never an error of the server, never half kept.</summary>
    [Fact]
    public async Task Changed_at_random_it_is_told_or_taken_whole()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Monday\nGoblet squat 3 x 8 @ 20 kg\nB1 Push-up 3 x 8 RPE 8");
        await api.LogAsync(Api.Sets(Api.Lines(await api.PlanAsync())[0], "2026-11-20", left: 3));
        var file = await api.GetAsync("files/case.json");
        file["checks"] = JsonNode.Parse($$"""[{ "id": "3f2504e0-4f89-41d3-9a0c-0305e82c3301", "place": {{file["placeIds"]![0]!.ToJsonString()}}, "report": { "fixture": "chair", "on": "2026-11-20", "steps": [{ "step": "Sit", "held": true }] }, "judged": false, "photo": "photos/a.jpg" }]""");
        byte[] whole = Encoding.UTF8.GetBytes(file.ToJsonString());
        var random = new Random(20261129);
        int before = 1;
        for (int i = 0; i < 120; i++)
        {
            byte[] changed = (i % 3) switch
            {
                0 => whole[..random.Next(whole.Length)],
                1 => [.. whole.Select(b => random.Next(800) == 0 ? (byte)random.Next(32, 127) : b)],
                _ => Encoding.UTF8.GetBytes(Values().Replace(Encoding.UTF8.GetString(whole), m => random.Next(60) == 0 ? ":" + (string[])["null", "-1", "1e300", "\"\"", "[]", "{}", "true"] switch { var v => v[random.Next(v.Length)] } : m.Value)),
            };
            var told = await BringAsync(api.Coach, changed, "?keep=true");
            int now = await ClientsAsync(api.Coach);
            now.ShouldBe(told["kept"]!.GetValue<bool>() ? before + 1 : before);
            before = now;
            if (told["kept"]!.GetValue<bool>())
            {
                // What was taken opens on every page.
                var taken = new Api(api.Coach, told["clients"]![0]!["id"]!.GetValue<string>());
                foreach (string page in (string[])["plan", "progress", "sheet", "desk", "figures", "files/case.json"])
                {
                    ((int)(await api.Coach.GetAsync($"/api/clients/{taken.Id}/{page}", Stop)).StatusCode).ShouldBeLessThan(500, page);
                }
            }
        }
    }

    [Fact]
    public async Task Erasing_takes_all_of_one_client_and_nothing_of_another()
    {
        await using var host = new ClockedHost(Monday);
        var coach = await host.CoachAsync(first: true);
        var gone = await Api.WithPlanAsync(coach, "Push-up 3 x 8");
        var stays = await Api.WithPlanAsync(coach, "Push-up 3 x 8");
        await gone.LogAsync(Api.Sets(Api.Lines(await gone.PlanAsync())[0], "2026-11-20"));
        await stays.LogAsync(Api.Sets(Api.Lines(await stays.PlanAsync())[0], "2026-11-20"));
        string token = await gone.SendAsync();
        string kept = (await stays.GetAsync("files/case.json")).ToJsonString();
        (await EraseAsync("Somebody Else")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        var answer = await EraseAsync("somebody strong");
        var receipt = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        receipt["rows"]!["set_log"]!.GetValue<int>().ShouldBe(3);
        receipt["letters"]!.GetValue<int>().ShouldBe(1);
        (await coach.GetAsync($"/api/clients/{gone.Id}", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await host.CreateClient().GetAsync($"/api/link/{token}", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await coach.GetFromJsonAsync<JsonNode>("/api/outbox", Stop))!.AsArray().ShouldBeEmpty();
        (await stays.GetAsync("files/case.json")).ToJsonString().ShouldBe(kept);
        File.ReadAllText(Path.Combine(host.Folder, "erased.txt")).ShouldContain(gone.Id);
        // Nothing of it is left in the file either.
        Encoding.Latin1.GetString(await ReadSharedAsync(Path.Combine(host.Folder, "ingegno.db"))).ShouldNotContain(gone.Id);

        Task<HttpResponseMessage> EraseAsync(string name) =>
            coach.SendAsync(new(HttpMethod.Delete, $"/api/clients/{gone.Id}") { Content = JsonContent.Create(new { name }) }, Stop);
    }

    private static async Task<byte[]> ReadSharedAsync(string path)
    {
        await using var file = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
        using var bytes = new MemoryStream();
        await file.CopyToAsync(bytes, Stop);
        return bytes.ToArray();
    }

    private static async Task<int> ClientsAsync(HttpClient coach) => (await coach.GetFromJsonAsync<JsonNode>("/api/desk", Stop))!.AsArray().Count;

    [Fact]
    public async Task Words_over_the_note_of_changes_have_the_bound_of_the_page()
    {
        await using var host = new ClockedHost(Monday);
        var coach = await host.CoachAsync(first: true);
        var told = await BringAsync(coach, $$"""{"format":"ingegno-case","version":2,"client":{"name":"A"},"changeWords":"{{new string('a', 2001)}}"}""", keep: true);
        told["kept"]!.GetValue<bool>().ShouldBeFalse();
        told["problems"]!.AsArray().ShouldContain(p => p!["path"]!.GetValue<string>() == "changeWords", told.ToJsonString());

        told = await BringAsync(
            coach, """{"format":"ingegno-case","version":2,"client":{"name":"A"},"decisions":[{"at":"2026-11-20T10:00:00Z","about":[],"sentence":"x","answer":"taken","before":{"fixture":5}}]}""", keep: true);
        told["kept"]!.GetValue<bool>().ShouldBeFalse();
        told["problems"]!.AsArray().ShouldContain(p => p!["path"]!.GetValue<string>() == "decisions[0].before", told.ToJsonString());
    }

    private static Task<JsonNode> BringAsync(HttpClient coach, string text, bool keep) => BringAsync(coach, Encoding.Latin1.GetBytes(text), keep ? "?keep=true" : "");

    private static async Task<JsonNode> BringAsync(HttpClient coach, byte[] bytes, string query)
    {
        using var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        var answer = await coach.PostAsync("/api/case-files" + query, content, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
    }

    /// <summary>Ids by the order they come in, so that only which is which counts.</summary>
    private static string Unnamed(string json)
    {
        var seen = new Dictionary<string, string>(StringComparer.Ordinal);
        return Ids().Replace(json, m => seen.TryGetValue(m.Value, out string? known) ? known : seen[m.Value] = $"id {seen.Count}");
    }

    [GeneratedRegex("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}")]
    private static partial Regex Ids();

    [GeneratedRegex(":(\"[^\"]*\"|-?[0-9.]+|true|false|null)")]
    private static partial Regex Values();
}
