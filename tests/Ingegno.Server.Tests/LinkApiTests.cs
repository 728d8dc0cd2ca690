using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Ingegno.Server.Tests;

/// <summary>From sending a plan to a log that came from the phone, and back to the Desk.</summary>
public sealed partial class LinkApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_is_sent_is_frozen_read_back_and_opened_without_an_account()
    {
        var (coach, id, token) = await SentAsync("A1. Push-up 3 x 8 RPE 8 rest 90s\nA2. Dead bug 3 x 6 a side rest 60s");
        var sending = await GetAsync(coach, $"/api/clients/{id}/sending");
        var lines = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]!.AsArray().Select(l => l!["prescription"]!).ToArray();
        int repetitions = lines.Sum(l => l["counts"]!.AsArray().Sum(c => c!.GetValue<int>()) * (l["perSide"]!.GetValue<bool>() ? 2 : 1));
        sending["sentence"]!.GetValue<string>().ShouldContain($"2 exercises, 6 sets, {repetitions} repetitions in all, both sides counted on 1 of them");
        sending["isNew"]!.GetValue<bool>().ShouldBeFalse();
        var view = await GetAsync(host.Stranger(), $"/api/link/{token}");
        var session = view["programme"]!["places"]![0]!["sessions"]![0]!;
        // Partners take turns, set by set.
        session["steps"]!.AsArray().Select(s => s!["line"]!.GetValue<int>()).ShouldBe([1, 2, 1, 2, 1, 2]);
        session["lines"]![0]!["prescription"]!["tempo"]!.GetValue<string>().ShouldNotBeEmpty();
        session["lines"]![0]!["pace"]![0]!["word"]!.GetValue<string>().ShouldBe("lower");
        view.ToJsonString().ShouldNotContain("health", Case.Insensitive);

        // A later plan does not change what was sent.
        var version = (await GetAsync(coach, $"/api/clients/{id}/plan"))["version"]!.GetValue<long>();
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Push-up 5 x 5", choices = Array.Empty<object>(), version }, Stop)).EnsureSuccessStatusCode();
        (await GetAsync(host.Stranger(), $"/api/link/{token}"))["programme"]!.ToJsonString().ShouldBe(view["programme"]!.ToJsonString());
        (await GetAsync(coach, $"/api/clients/{id}/sending"))["isNew"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task An_unanswered_health_screen_and_a_blank_line_are_refused_in_words()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach, health: false);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Push-up 3 x 8\nFlying dragon 3 x 8", choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        var answer = await coach.PostAsync($"/api/clients/{id}/sending", null, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        string detail = (await Json(answer))["detail"]!.GetValue<string>();
        detail.ShouldContain("health screen was not asked");
        detail.ShouldContain("Flying dragon");
    }

    [Fact]
    public async Task A_link_is_the_clients_alone_and_can_be_closed()
    {
        var (coach, id, token) = await SentAsync("Push-up 3 x 8");
        (await host.Stranger().GetAsync("/api/link/AAAAAAAAAAAAAAAAAAAAAA", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await coach.DeleteAsync($"/api/clients/{id}/links", Stop)).EnsureSuccessStatusCode();
        var closed = await host.Stranger().GetAsync($"/api/link/{token}", Stop);
        closed.StatusCode.ShouldBe(HttpStatusCode.Gone);
        (await Json(closed))["title"]!.GetValue<string>().ShouldContain("waits on this phone");
        // Revoked in mid-session: the sets are refused, not swallowed, so the phone keeps them.
        var late = await LogAsync(token, [Set(1, 1, 8)]);
        late.StatusCode.ShouldBe(HttpStatusCode.Gone);
    }

    [Fact]
    public async Task A_fixture_checked_on_the_phone_is_used_only_after_the_coach_passed_it()
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = "Push-up 3 x 8", choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        string token = await SendAsync(coach, id);
        var view = await GetAsync(host.Stranger(), $"/api/link/{token}");
        var place = view["programme"]!["places"]![0]!;
        place["toCheck"]![0]!["steps"]!.AsArray().Count.ShouldBe(4);
        // A JPEG with a block of camera data in front of its picture, and a second picture with its own behind it.
        byte[] jpeg =
        [
            0xFF, 0xD8, 0xFF, 0xE1, 0, 8, 1, 2, 3, 4, 5, 6, 0xFF, 0xDA, 0, 4, 1, 2, 9, 9, 0xFF, 0xD9,
            0xFF, 0xD8, 0xFF, 0xE1, 0, 4, 7, 7, 0xFF, 0xDA, 0, 4, 1, 2, 5, 5, 0xFF, 0xD9,
        ];
        var report = new { fixture = "chair", on = "2026-11-23", steps = new[] { new { step = "Push down", held = true } } };
        var form = new { id = Guid.NewGuid(), place = place["id"]!.GetValue<string>(), report, photo = Convert.ToBase64String(jpeg) };
        (await host.Stranger().PostAsJsonAsync($"/api/link/{token}/check", form, Stop)).EnsureSuccessStatusCode();
        (await host.Stranger().PostAsJsonAsync($"/api/link/{token}/check", form with { photo = "aGFsZg==" }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);

        var row = await GetAsync(coach, $"/api/clients/{id}/desk");
        var proposal = row["proposals"]!.AsArray().Single(p => p!["kind"]!.GetValue<string>() == "fixtureReport")!;
        byte[] photo = await coach.GetByteArrayAsync($"/api/clients/{id}/reports/{form.id}/photo", Stop);
        photo.ShouldBe([0xFF, 0xD8, 0xFF, 0xDA, 0, 4, 1, 2, 9, 9, 0xFF, 0xD9]);
        (await PlaceAsync(coach, id)).ToJsonString().ShouldNotContain("\"passed\"");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = proposal["subject"]!.GetValue<string>(), answer = "taken" }, Stop)).EnsureSuccessStatusCode();
        (await PlaceAsync(coach, id)).ToJsonString().ShouldContain("\"passed\"");

        // The photo goes, the check stays; then the check goes, the verdict stays.
        (await GetAsync(coach, $"/api/clients/{id}/reports")).AsArray().ShouldHaveSingleItem()!["thing"]!.GetValue<string>().ShouldBe("Chair");
        var without = await coach.DeleteAsync($"/api/clients/{id}/reports/{form.id}/photo", Stop);
        (await Json(without)).AsArray().ShouldHaveSingleItem()!["hasPhoto"]!.GetValue<bool>().ShouldBeFalse();
        (await coach.GetAsync($"/api/clients/{id}/reports/{form.id}/photo", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await coach.DeleteAsync($"/api/clients/{id}/reports/{form.id}/photo", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Json(await coach.DeleteAsync($"/api/clients/{id}/reports/{form.id}", Stop))).AsArray().ShouldBeEmpty();
        (await PlaceAsync(coach, id)).ToJsonString().ShouldContain("\"passed\"");
    }

    [Fact]
    public async Task So_many_checks_are_kept_of_a_client_and_one_that_is_sent_again_is_no_other()
    {
        var (coach, id, token) = await SentAsync("Push-up 3 x 8");
        string place = (await GetAsync(host.Stranger(), $"/api/link/{token}"))["programme"]!["places"]![0]!["id"]!.GetValue<string>();
        var report = new { fixture = "chair", on = "2026-11-23", steps = new[] { new { step = "Push down", held = true } } };
        var ids = Enumerable.Range(0, Storage.FixtureReports.MostKept).Select(_ => Guid.NewGuid()).ToArray();
        foreach (var kept in ids)
        {
            (await SendAsync(kept)).EnsureSuccessStatusCode();
        }

        var one = await SendAsync(Guid.NewGuid());
        one.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await one.Content.ReadAsStringAsync(Stop)).ShouldContain("ask the coach to delete old ones");
        (await SendAsync(ids[0])).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await coach.DeleteAsync($"/api/clients/{id}/reports/{ids[0]}", Stop)).EnsureSuccessStatusCode();
        (await SendAsync(Guid.NewGuid())).StatusCode.ShouldBe(HttpStatusCode.OK);

        Task<HttpResponseMessage> SendAsync(Guid with) => host.Stranger().PostAsJsonAsync($"/api/link/{token}/check", new { id = with, place, report, photo = (string?)null }, Stop);
    }

    [Fact]
    public async Task Pain_on_the_phone_waits_first_on_the_desk_is_swapped_with_one_answer_and_comes_back_with_undo()
    {
        var (coach, id, token) = await SentAsync("Push-up 3 x 8\nGoblet squat 3 x 8");
        (await LogAsync(token, [Set(1, 1, 8, pain: 7, painAt: "wrist")])).EnsureSuccessStatusCode();
        var row = (await GetAsync(coach, "/api/desk")).AsArray()
            .TakeWhile(r => r!["proposals"]!.AsArray().Any(p => p!["kind"]!.GetValue<string>() is "pain")).Single(r => r!["id"]!.GetValue<string>() == id)!;
        var proposal = row["proposals"]![0]!;
        proposal["sentence"]!.GetValue<string>().ShouldContain("pain 7 of 10 at the wrist");
        string before = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]!.ToJsonString();
        var after = await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = proposal["subject"]!.GetValue<string>(), answer = "taken" }, Stop);
        after.StatusCode.ShouldBe(HttpStatusCode.OK, await after.Content.ReadAsStringAsync(Stop));
        var now = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]![0]!["prescription"]!;
        (now["exercise"]?.GetValue<string>()).ShouldNotBe("push-up");
        string decision = (await Json(after))["undo"]!["id"]!.GetValue<string>();
        (await coach.PostAsync($"/api/clients/{id}/decisions/{decision}/undo", null, Stop)).EnsureSuccessStatusCode();
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]!.ToJsonString().ShouldBe(before);
    }

    [Fact]
    public async Task A_step_taken_on_the_desk_is_undone_and_a_refused_one_stays_away()
    {
        var (coach, id, token) = await SentAsync("Push-up 3 x 8 RPE 8");
        var counts = (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]![0]!["prescription"]!["counts"]!;
        (await LogAsync(token, [.. Enumerable.Range(1, 3).Select(i => Set(1, i, counts[i - 1]!.GetValue<int>()))])).EnsureSuccessStatusCode();
        var ready = await ProposalAsync(coach, id, "ready");
        var taken = await Json(await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = ready["subject"]!.GetValue<string>(), answer = "taken" }, Stop));
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]![0]!["prescription"]!["counts"]![0]!.GetValue<int>()
            .ShouldBe(counts[0]!.GetValue<int>() + 1);
        (await coach.PostAsync($"/api/clients/{id}/decisions/{taken["undo"]!["id"]}/undo", null, Stop)).EnsureSuccessStatusCode();
        (await GetAsync(coach, $"/api/clients/{id}/plan"))["plan"]!["sessions"]![0]!["lines"]![0]!["prescription"]!["counts"]!.ToJsonString().ShouldBe(counts.ToJsonString());
        ready = await ProposalAsync(coach, id, "ready");
        (await coach.PostAsJsonAsync($"/api/clients/{id}/decisions", new { subject = ready["subject"]!.GetValue<string>(), answer = "refused" }, Stop)).EnsureSuccessStatusCode();
        (await GetAsync(coach, $"/api/clients/{id}/desk"))["proposals"]!.AsArray().ShouldNotContain(p => p!["kind"]!.GetValue<string>() == "ready");
    }

    private static async Task<JsonNode> ProposalAsync(HttpClient coach, string id, string kind) =>
        (await GetAsync(coach, $"/api/clients/{id}/desk"))["proposals"]!.AsArray().Single(p => p!["kind"]!.GetValue<string>() == kind)!;

    private static object Set(
        int line, int number, int repetitions, double? reserve = 2, string on = "2026-11-23", string at = "2026-11-23T09:00:00Z", int pain = 0, string? painAt = null) =>
        new { id = Guid.NewGuid(), line, exercise = "push-up", on, setNumber = number, load = 0, repetitions, reserve, at, pain, painAt };

    private Task<HttpResponseMessage> LogAsync(string token, object[] sets, string phoneNow = "2026-11-23T09:02:00Z") =>
        host.Stranger().PostAsJsonAsync($"/api/link/{token}/log", new { phoneNow, sets, notes = Array.Empty<object>() }, Stop);

    private async Task<(HttpClient Coach, string Id, string Token)> SentAsync(string text)
    {
        var coach = await host.CoachAsync();
        string id = await AddAsync(coach);
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text, choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        return (coach, id, await SendAsync(coach, id));
    }

    private static async Task<string> SendAsync(HttpClient coach, string id)
    {
        var sent = await coach.PostAsync($"/api/clients/{id}/sending", null, Stop);
        sent.StatusCode.ShouldBe(HttpStatusCode.OK, await sent.Content.ReadAsStringAsync(Stop));
        var outbox = await GetAsync(coach, "/api/outbox");
        return Token().Match(outbox[0]!["text"]!.GetValue<string>()).Groups[1].Value;
    }

    private static async Task<string> AddAsync(HttpClient coach, bool health = true)
    {
        var profile = new
        {
            name = "Somebody Else",
            bodyMass = 70,
            stature = 1.7,
            sex = "male",
            lifts = new[] { new { exercise = "push-up", load = 0, repetitions = 15 } },
            health = health ? ProgressTests.Health : new { answers = Array.Empty<object>() },
        };
        var home = new
        {
            name = "Loft",
            fixtures = new[] { new { id = "chair", name = "Chair", kind = "chair", height = 0.45 } },
            kit = new object[]
            {
                new { kind = "fixedWeights", id = "bells", name = "Bells", shape = "dumbbell", weights = new[] { new { mass = 12, count = 2 }, new { mass = 16, count = 2 } } },
                new { kind = "band", shape = "loop", id = "loop", name = "Grey loop", restLength = 1.04, pulls = new[] { new { length = 1.56, force = 62 }, new { length = 2.6, force = 148 } } },
            },
        };
        var answer = await coach.PostAsJsonAsync("/api/clients", new { profile, home }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.Created, await answer.Content.ReadAsStringAsync(Stop));
        return (await Json(answer))["id"]!.GetValue<string>();
    }

    private static async Task<JsonNode> PlaceAsync(HttpClient coach, string id)
    {
        var places = await GetAsync(coach, $"/api/clients/{id}/places");
        return await GetAsync(coach, $"/api/clients/{id}/places/{places[0]!["id"]!.GetValue<string>()}");
    }

    private static async Task<JsonNode> GetAsync(HttpClient client, string url) => await Json(await client.GetAsync(url, Stop));

    private static async Task<JsonNode> Json(HttpResponseMessage answer) => (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;

    [GeneratedRegex("/train/([A-Za-z0-9_-]{22})")]
    private static partial Regex Token();
}
