using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Who gets in, how they leave, and that nobody reaches another coach's clients.</summary>
public sealed class AccountTests(ServerHost host) : IClassFixture<ServerHost>
{
    private const string Password = "floor-torn-up", OtherPassword = "seven-herons-waiting";

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private async Task<HttpClient> SignedInAsync(string email = "coach@lockside.example", string password = Password)
    {
        var client = host.Stranger();
        (await client.PostAsJsonAsync("/api/session", new { email, password }, Stop)).EnsureSuccessStatusCode();
        return client;
    }

    /// <summary>Another coach, by an invitation of the first.</summary>
    private async Task<HttpClient> JoinedAsync(string email)
    {
        var owner = await host.CoachAsync();
        string address = (await Json(await owner.PostAsync("/api/accounts/invitations", null, Stop)))["address"]!.GetValue<string>();
        var client = host.Stranger();
        (await client.PostAsJsonAsync($"/api/join/{address.Split('/')[^1]}", new { name = "Ottoline Brask", email, password = OtherPassword }, Stop)).EnsureSuccessStatusCode();
        return client;
    }

    private static async Task<JsonNode> Json(HttpResponseMessage answer)
    {
        answer.EnsureSuccessStatusCode();
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
    }

    private static async Task<HttpStatusCode> DeskAsync(HttpClient client) => (await client.GetAsync("/api/desk", Stop)).StatusCode;

    [Fact]
    public async Task A_cookie_kept_from_before_the_sign_out_opens_nothing()
    {
        var client = host.CreateClient(new() { HandleCookies = false });
        var answer = await client.PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = Password }, Stop);
        string cookie = answer.Headers.GetValues("Set-Cookie").Single().Split(';')[0];
        client.DefaultRequestHeaders.Add("Cookie", cookie);
        (await DeskAsync(client)).ShouldBe(HttpStatusCode.OK);
        (await client.DeleteAsync("/api/session", Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await DeskAsync(client)).ShouldBe(HttpStatusCode.Unauthorized, "the browser forgot it, a copy of it did not");
    }

    [Fact]
    public async Task A_new_password_ends_every_other_session_and_is_no_usual_one()
    {
        var here = await JoinedAsync("brask@lockside.example");
        var there = await SignedInAsync("brask@lockside.example", OtherPassword);
        foreach (string weak in new[] { "short", "          ", "password123", "qwertyuiop", "1234567890" })
        {
            var refused = await here.PostAsJsonAsync("/api/account/password", new { current = OtherPassword, next = weak }, Stop);
            refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest, weak);
        }

        (await here.PostAsJsonAsync("/api/account/password", new { current = "not this one", next = "nine-quiet-otters" }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await DeskAsync(there)).ShouldBe(HttpStatusCode.OK);
        (await here.PostAsJsonAsync("/api/account/password", new { current = OtherPassword, next = "nine-quiet-otters" }, Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await DeskAsync(here)).ShouldBe(HttpStatusCode.OK);
        (await DeskAsync(there)).ShouldBe(HttpStatusCode.Unauthorized);
        (await here.DeleteAsync("/api/account/sessions", Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await DeskAsync(here)).ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task An_invitation_lets_one_in_once()
    {
        var owner = await host.CoachAsync();
        string token = (await Json(await owner.PostAsync("/api/accounts/invitations", null, Stop)))["address"]!.GetValue<string>().Split('/')[^1];
        object form = new { name = "Ivo Tarn", email = "tarn@lockside.example", password = OtherPassword };
        (await host.Stranger().PostAsJsonAsync("/api/join/never-made", form, Stop)).StatusCode.ShouldBe(HttpStatusCode.Gone);
        (await host.Stranger().PostAsJsonAsync($"/api/join/{token}", new { name = "X", email = "coach@lockside.example", password = OtherPassword }, Stop))
            .StatusCode.ShouldBe(HttpStatusCode.BadRequest, "that address is taken, and the invitation not used up");
        (await host.Stranger().PostAsJsonAsync($"/api/join/{token}", form, Stop)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await host.Stranger().PostAsJsonAsync($"/api/join/{token}", new { name = "Y", email = "y@lockside.example", password = OtherPassword }, Stop)).StatusCode.ShouldBe(HttpStatusCode.Gone);
        var tarn = (await Json(await owner.GetAsync("/api/accounts", Stop))).AsArray().Single(a => a!["email"]!.GetValue<string>() == "tarn@lockside.example")!;
        tarn["isOwner"]!.GetValue<bool>().ShouldBeFalse();
        (await owner.DeleteAsync($"/api/accounts/{tarn["id"]}", Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
    }

    /// <summary>Routes of the published document that name a client.</summary>
    [Fact]
    public async Task Another_coach_finds_nothing_on_any_route_of_a_client()
    {
        var owner = await host.CoachAsync();
        var api = await Api.WithPlanAsync(owner, "Goblet squat 3 x 8 RPE 8, rest 90 s");
        var other = await JoinedAsync("isolated@lockside.example");
        var document = JsonNode.Parse(await owner.GetStringAsync("/openapi/v1.json", Stop))!;
        var bodies = new NearlyRight(document, new Random(7));
        int tried = 0;
        var open = new List<string>();
        foreach (var (path, methods) in document["paths"]!.AsObject().Where(p => p.Key.Contains("/clients/{id}", StringComparison.Ordinal)))
        {
            foreach (var (method, operation) in methods!.AsObject())
            {
                string address = path.Replace("{id}", api.Id, StringComparison.Ordinal).Replace("{kind}", "csv", StringComparison.Ordinal);
                using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), System.Text.RegularExpressions.Regex.Replace(address, "{[^}]*}", "x"));
                if (operation!["requestBody"]?["content"] is JsonObject content)
                {
                    request.Content = new StringContent(bodies.Text(bodies.Of(content.First().Value!["schema"]), mutate: false), System.Text.Encoding.UTF8, content.First().Key);
                }

                var answer = await other.SendAsync(request, Stop);
                int status = (int)answer.StatusCode;
                // A body that is refused before anybody is asked whose it is tells nothing either.
                if (status is not (404 or 400))
                {
                    open.Add($"{method} {path}: {status}");
                }

                (await answer.Content.ReadAsStringAsync(Stop)).ShouldNotContain("Goblet");
                tried += status == 404 ? 1 : 0;
            }
        }

        open.ShouldBeEmpty();
        tried.ShouldBeGreaterThan(30);
        (await Json(await other.GetAsync("/api/desk", Stop))).AsArray().Count.ShouldBe(0);
        foreach (string owners in new[] { "/api/accounts", "/api/audit", "/api/backups" })
        {
            (await other.GetAsync(owners, Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound, owners);
        }
    }

    [Fact]
    public async Task Who_changed_what_stands_beside_the_change()
    {
        var owner = await host.CoachAsync();
        var api = await Api.WithPlanAsync(owner, "Goblet squat 3 x 8 RPE 8, rest 90 s");
        var acts = (await Json(await owner.GetAsync("/api/audit", Stop))).AsArray();
        acts.ShouldContain(a => a!["did"]!.GetValue<string>() == "savePlan" && a["coach"]!.GetValue<string>() == "Ilse Vandermolen" && a["client"] != null);
        int before = acts.Count;
        await owner.PostAsJsonAsync($"/api/clients/{api.Id}/bench", new { text = "Push-up 3 x 8", choices = Array.Empty<object>() }, Stop);
        (await Json(await owner.GetAsync("/api/audit", Stop))).AsArray().Count.ShouldBe(before, "what only computes changes nothing");
    }

    [Theory]
    [InlineData("/api/desk", HttpStatusCode.Unauthorized)]
    [InlineData("/api/nothing-here", HttpStatusCode.NotFound)]
    [InlineData("/clients/some/bench", HttpStatusCode.OK)]
    [InlineData("/health/ready", HttpStatusCode.OK)]
    public async Task Every_answer_carries_the_headers(string path, HttpStatusCode status)
    {
        var answer = await host.Stranger().GetAsync(path, Stop);
        answer.StatusCode.ShouldBe(status);
        answer.Headers.GetValues("X-Content-Type-Options").Single().ShouldBe("nosniff");
        answer.Headers.GetValues("Content-Security-Policy").Single().ShouldContain("frame-ancestors 'none'");
        answer.Headers.CacheControl!.ToString().ShouldBe(path.StartsWith("/api", StringComparison.Ordinal) ? "no-store" : "no-cache");
    }

    [Theory]
    [InlineData("https://elsewhere.example")]
    [InlineData("null")]
    [InlineData("http://localhost:81")]
    public async Task A_change_from_another_origin_is_refused(string origin)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/session") { Content = JsonContent.Create(new { email = "a@b.example", password = "x" }) };
        request.Headers.Add("Origin", origin);
        (await host.Stranger().SendAsync(request, Stop)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Theory]
    [InlineData("{\"email\":\"\\ud800\",\"password\":\"x\"}")]
    [InlineData("{\"email\":\"a\\u0000b\",\"password\":\"x\"}")]
    [InlineData("{\"email\":null,\"password\":\"x\"}")]
    public async Task What_is_no_text_is_refused_before_sign_in_too(string json) =>
        (await host.Stranger().PostAsync("/api/session", new StringContent(json, System.Text.Encoding.UTF8, "application/json"), Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
}
