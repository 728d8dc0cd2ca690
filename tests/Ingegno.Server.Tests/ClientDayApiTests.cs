using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Today, tomorrow and later are the client's, not the server's.</summary>
public sealed class ClientDayApiTests
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Theory]
    // Monday, seven in the evening in Los Angeles; and both nights on which its clocks change.
    [InlineData("2026-11-24T03:00:00Z", "2026-11-23")]
    [InlineData("2026-11-02T07:30:00Z", "2026-11-01")]
    [InlineData("2027-03-15T06:30:00Z", "2027-03-14")]
    public async Task A_client_in_Los_Angeles_logs_decides_and_is_due_on_their_own_day(string now, string day)
    {
        using var host = new ClockedHost(DateTimeOffset.Parse(now, System.Globalization.CultureInfo.InvariantCulture));
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8 RPE 8", Api.Profile("America/Los_Angeles"));
        var there = DateOnly.ParseExact(day, "yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        (await api.GetAsync("progress"))["today"]!.GetValue<string>().ShouldBe(day);
        string token = await api.SendAsync();
        (await host.CreateClient().GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["today"]!.GetValue<string>().ShouldBe(day);
        (await api.ChangesAsync())[0]["on"]!.GetValue<string>().ShouldBe(day);

        // The day after tomorrow there is refused; tomorrow is allowed, for phones whose clocks are ahead.
        var line = Api.Lines(await api.PlanAsync())[0];
        var early = await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/log", new { sets = Api.Sets(line, there.AddDays(2).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture)) }, Stop);
        early.StatusCode.ShouldBe(HttpStatusCode.BadRequest);

        // "Later" holds for the client's day, and not an hour longer.
        await api.LogAsync(Api.Sets(line, day, left: 3));
        var ready = (await api.ProposalsAsync()).First(p => p["take"]?.GetValue<string>().StartsWith("Take", StringComparison.Ordinal) == true);
        (await api.AnswerAsync(ready, "later")).EnsureSuccessStatusCode();
        (await api.ProposalsAsync()).ShouldNotContain(p => p["subject"]!.GetValue<string>() == ready["subject"]!.GetValue<string>());
        var week = (await api.GetAsync("desk"))["week"]!.AsArray();
        week.Single(d => d!["done"]!.GetValue<bool>())!["day"]!.GetValue<string>().ShouldBe(day);
        host.Clock.Advance(TimeSpan.FromHours(6));
        (await api.ProposalsAsync()).ShouldContain(p => p["subject"]!.GetValue<string>() == ready["subject"]!.GetValue<string>());
    }
}
