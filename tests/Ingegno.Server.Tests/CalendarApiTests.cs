using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>A calendar reads the days and nothing else, until its link is closed.</summary>
public sealed class CalendarApiTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task An_address_reads_the_days_and_opens_nothing_else()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Wednesday\nPush-up 3 x 8\n\nSaturday\nPlank 3 x 30 s");
        string training = await api.SendAsync();
        var made = await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/calendar", new { at = "07:15", remind = 20 }, Stop);
        string address = new Uri((await made.Content.ReadFromJsonAsync<JsonNode>(Stop))!["address"]!.GetValue<string>()).PathAndQuery;
        (await api.GetAsync("sending"))["openLinks"]!.GetValue<int>().ShouldBe(1, "an address of days opens no training");
        var phone = host.CreateClient();
        var answer = await phone.GetAsync(address, Stop);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("text/calendar");
        string text = await answer.Content.ReadAsStringAsync(Stop);
        text.ShouldContain("20261125T071500");
        text.ShouldContain("20261128T071500");
        text.ShouldContain("SUMMARY:Wednesday");
        text.ShouldContain("Push-up");

        string token = address.Split('/')[^1].Split('.')[0];
        foreach (string path in (string[])[$"/api/link/{token}", $"/api/link/{token}/figures"])
        {
            (await phone.GetAsync(path, Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        }

        (await phone.PostAsJsonAsync($"/api/link/{token}/log", new { sets = Array.Empty<object>(), notes = Array.Empty<object>() }, Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await phone.GetAsync($"/api/calendar/{training}.ics", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await api.Coach.DeleteAsync($"/api/clients/{api.Id}/links", Stop)).EnsureSuccessStatusCode();
        (await phone.GetAsync(address, Stop)).StatusCode.ShouldBe(HttpStatusCode.Gone);
    }

    [Theory]
    [InlineData("25:00", null)]
    [InlineData("7", null)]
    [InlineData("18:00", -5)]
    [InlineData("18:00", 100_000)]
    public async Task An_hour_that_is_none_is_told(string at, int? remind)
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        (await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/calendar", new { at, remind }, Stop)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }
}
