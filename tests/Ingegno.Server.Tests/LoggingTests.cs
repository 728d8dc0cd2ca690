using System.Collections.Concurrent;
using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text;
using Dapper;
using Microsoft.Data.Sqlite;
using Serilog.Core;
using Serilog.Events;

namespace Ingegno.Server.Tests;

/// <summary>What is written down of a run holds no key to anything, nobody's name and nothing that was typed; an error names its route.</summary>
public sealed class LoggingTests
{
    private const string Typed = "Elbow still grumbles after Tuesday", Wrong = "not-the-password-at-all";

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Neither_keys_nor_names_nor_words_are_written_down()
    {
        var heard = new Heard();
        await using var host = new ClockedHost(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero)) { Hears = heard };
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8 RPE 8");
        using var stranger = host.CreateDefaultClient();
        string link = await api.SendAsync();
        string calendar = await TokenAsync("calendar", new { at = "18:00", remind = 30 }, "address", "/api/calendar/", ".ics");
        string invited = await TokenAsync("/api/accounts/invitations", new { email = "colleague@lockside.example" }, "address", "/join/", "");

        // As it should be, as it should not, and with bodies that cannot be read.
        foreach (string path in (string[])[$"/api/link/{link}", $"/api/link/{link}x", $"/api/calendar/{calendar}.ics", $"/api/calendar/{calendar}x.ics", $"/train/{link}", $"/join/{invited}"])
        {
            (await stranger.GetAsync(path, Stop)).Dispose();
        }

        string note = $$"""{"phoneNow":"2026-11-23T09:00:00Z","sets":[],"notes":[{"id":"{{Guid.NewGuid()}}","session":"Session 1","on":"2026-11-23","words":"{{Typed}}"}]}""";
        foreach (string body in (string[])[note, note[..40], "[]", $"\"{Typed}\""])
        {
            (await stranger.PostAsync($"/api/link/{link}/log", new StringContent(body, Encoding.UTF8, "application/json"), Stop)).Dispose();
            (await stranger.PostAsync($"/api/link/{link}/check", new StringContent(body, Encoding.UTF8, "application/json"), Stop)).Dispose();
            (await stranger.PostAsync($"/api/join/{invited}", new StringContent(body, Encoding.UTF8, "application/json"), Stop)).Dispose();
        }

        (await stranger.PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = Wrong }, Stop)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);

        // Something breaks under a link and under the coach's hands.
        await using (var file = new SqliteConnection($"Data Source={Path.Combine(host.Folder, "ingegno.db")}"))
        {
            await file.ExecuteAsync("PRAGMA foreign_keys = OFF; DROP TABLE link; DROP TABLE plan");
        }

        (await stranger.GetAsync($"/api/link/{link}", Stop)).StatusCode.ShouldBe(HttpStatusCode.InternalServerError);
        (await api.SaveAsync(Typed, [], 1)).StatusCode.ShouldBe(HttpStatusCode.InternalServerError);

        string all = heard.All;
        all.ShouldContain("/api/link/{token}");
        all.ShouldContain("/api/clients/{id}/plan");
        foreach (string kept in (string[])[link, calendar, invited, Typed, Wrong, "floor-torn-up", "Somebody Strong", "Vandermolen", "lockside.example"])
        {
            all.ShouldNotContain(kept, Case.Insensitive);
        }

        async Task<string> TokenAsync(string path, object form, string field, string before, string behind)
        {
            var made = await api.Coach.PostAsJsonAsync(path.StartsWith('/') ? path : $"/api/clients/{api.Id}/{path}", form, Stop);
            string told = await made.Content.ReadAsStringAsync(Stop);
            made.IsSuccessStatusCode.ShouldBeTrue(told);
            var match = System.Text.RegularExpressions.Regex.Match(told, $"{before}([A-Za-z0-9_-]{{22,}}){System.Text.RegularExpressions.Regex.Escape(behind)}");
            match.Success.ShouldBeTrue($"{field}: {told}");
            return match.Groups[1].Value;
        }
    }

    private sealed class Heard : ILogEventSink
    {
        private readonly ConcurrentQueue<string> _events = [];

        internal string All => string.Join('\n', _events);

        public void Emit(LogEvent logEvent) => _events.Enqueue($"{logEvent.RenderMessage(CultureInfo.InvariantCulture)} {logEvent.Exception}");
    }
}
