using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>What is handed out: what a client needs, and a code of its own that can be closed.</summary>
public sealed class SheetApiTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_sheet_says_the_dose_and_not_what_is_the_coachs_business()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Monday\nGoblet squat 3 x 8 @ 20 kg, rest 90 s\nB1 Push-up 3 x 8 RPE 8\nPlank 3 x 30 s");
        var sheet = (await api.GetAsync("sheet"))["sheet"]!;
        var lines = sheet["sessions"]![0]!["lines"]!.AsArray();
        lines.Count.ShouldBe(3);
        lines[0]!["dose"]!.GetValue<string>().ShouldContain(" x ");
        lines[2]!["counted"]!.GetValue<string>().ShouldBe("s");
        string said = sheet.ToJsonString();
        said.ShouldNotContain("best for you");
        said.ShouldNotContain("as heavy as");
        said.ShouldNotContain("give or take");
        (await api.Coach.GetAsync($"/api/clients/{api.Id}/sheet?session=0&minutes=1", Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await api.Coach.GetAsync($"/api/clients/{api.Id}/sheet?session=7&minutes=20", Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await api.GetAsync("sheet?session=0&minutes=15"))["sheet"]!["sessions"]![0]!["under"]!.GetValue<string>().ShouldContain("minutes");
        (await api.GetAsync("figures")).AsArray().Count.ShouldBe(3, "every line is drawn");
    }

    /// <summary>What is done instead where a set-up does not stand is drawn as well as what was planned.</summary>
    [Fact]
    public async Task The_phone_has_a_figure_of_all_that_may_be_done_instead()
    {
        await using var host = new ClockedHost(Monday);
        object home = new
        {
            name = "Loft",
            fixtures = new[] { new { id = "chair", kind = "chair", name = "Kitchen chair", height = 0.45, bears = 120, check = new { verdict = "passed", on = "2026-11-20", by = "coach" } } },
        };
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Decline push-up 3 x 8\nBulgarian split squat 3 x 8 a side", home: home);
        string token = await api.SendAsync();
        var phone = host.CreateClient();
        var view = (await phone.GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!;
        string[] figures = [.. (await phone.GetFromJsonAsync<JsonArray>($"/api/link/{token}/figures", Stop))!.Select(f => $"{f!["line"]} {f["exercise"]}")];
        string[] instead =
        [
            .. from line in view["programme"]!["places"]![0]!["sessions"]![0]!["lines"]!.AsArray()
               from other in line!["instead"]!.AsArray()
               select $"{line["line"]} {other!["prescription"]!["exercise"]}",
        ];
        instead.ShouldNotBeEmpty();
        figures.Intersect(instead).ShouldBe(instead, ignoreOrder: true);
    }

    [Fact]
    public async Task A_printed_sheet_has_a_link_of_its_own_that_is_closed_with_the_others()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        (await PrintAsync()).ShouldStartWith("%PDF-");
        (await OpenAsync()).ShouldBe(0, "nothing was sent: there is nothing a code could open");
        await api.SendAsync();
        await PrintAsync();
        (await OpenAsync()).ShouldBe(2);
        (await api.Coach.DeleteAsync($"/api/clients/{api.Id}/links", Stop)).EnsureSuccessStatusCode();
        (await OpenAsync()).ShouldBe(0);

        async Task<string> PrintAsync()
        {
            (await api.Coach.PostAsync($"/api/clients/{api.Id}/sheet.pdf?paper=papyrus", null, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
            var answer = await api.Coach.PostAsync($"/api/clients/{api.Id}/sheet.pdf?paper=letter", null, Stop);
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
            return Encoding.Latin1.GetString((await answer.Content.ReadAsByteArrayAsync(Stop))[..8]);
        }

        async Task<int> OpenAsync() => (await api.GetAsync("sending"))["openLinks"]!.GetValue<int>();
    }

    [Fact]
    public async Task Nothing_is_printed_for_whom_a_physician_has_not_cleared()
    {
        await using var host = new ClockedHost(Monday);
        var profile = System.Text.Json.JsonSerializer.SerializeToNode(Api.Profile())!.AsObject();
        profile.Remove("health");
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8", profile);
        (await api.Coach.PostAsync($"/api/clients/{api.Id}/sheet.pdf", null, Stop)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }
}
