using System.Buffers;
using System.IO.Compression;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.TestHost;

namespace Ingegno.Server.Tests;

/// <summary>What takes longer than anybody waits is given up, said in words, and nothing is lost by it.</summary>
public sealed class LongestWorkTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static readonly string Programme = string.Join('\n', Enumerable.Range(0, 40).Select(i => $"Goblet squat {i % 5 + 2} x {i % 9 + 4}"));

    /// <summary>Long enough for a busy machine to come to the writing at all: the first request of a host has taken a second.</summary>
    private static readonly TimeSpan Bound = TimeSpan.FromSeconds(5);

    [Fact]
    public async Task A_bench_that_takes_too_long_is_stopped_and_said_so()
    {
        await using var impatient = host.WithWebHostBuilder(b => b.UseSetting("INGEGNO_LONGEST_WORK", "0.001"));
        var coach = impatient.CreateClient();
        (await coach.PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = "floor-torn-up" }, Stop)).EnsureSuccessStatusCode();
        string id = (await coach.GetFromJsonAsync<JsonArray>("/api/roster", Stop))![0]!["id"]!.GetValue<string>();
        string before = await coach.GetStringAsync($"/api/clients/{id}/plan", Stop);

        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = Programme, choices = Array.Empty<object>() }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["title"]!.GetValue<string>().ShouldBe("This would take longer than 0.001 seconds: it was stopped.");
        (await coach.GetStringAsync($"/api/clients/{id}/plan", Stop)).ShouldBe(before);
    }

    [Fact]
    public async Task The_same_in_the_usual_time_is_answered_whole()
    {
        var coach = await host.CoachAsync();
        string id = (await coach.GetFromJsonAsync<JsonArray>("/api/roster", Stop))![0]!["id"]!.GetValue<string>();
        var answer = await coach.PostAsJsonAsync($"/api/clients/{id}/bench", new { text = Programme, choices = Array.Empty<object>() }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["sessions"]![0]!["lines"]!.AsArray().Count.ShouldBe(40);
    }

    /// <summary>What is there in time is written out whole, however long that takes: no refusal behind half an answer.</summary>
    [Fact]
    public async Task What_is_worked_out_in_time_is_not_cut_while_it_is_written()
    {
        var builder = WebApplication.CreateSlimBuilder();
        builder.WebHost.UseTestServer();
        builder.Services.AddLongestWork(Bound);
        await using var app = builder.Build();
        app.UseRequestTimeouts();
        app.MapGet("/", () => new SlowlyWritten()).StopsInTime();
        await app.StartAsync(Stop);
        var answer = await app.GetTestClient().GetAsync("/", Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await answer.Content.ReadAsStringAsync(Stop)).ShouldBe("half, and half");
    }

    private sealed class SlowlyWritten : IResult
    {
        public async Task ExecuteAsync(HttpContext httpContext)
        {
            httpContext.Response.BodyWriter.Write("half, "u8);
            await Task.Delay(Bound + TimeSpan.FromSeconds(0.5), httpContext.RequestAborted);
            httpContext.Response.BodyWriter.Write("and half"u8);
        }
    }

    /// <summary>Megabytes go packed to who takes them packed, and hold the same.</summary>
    [Fact]
    public async Task A_long_answer_is_packed_for_who_takes_it_so_and_a_short_one_is_not()
    {
        var coach = await host.CoachAsync();
        string id = (await coach.GetFromJsonAsync<JsonArray>("/api/roster", Stop))![0]!["id"]!.GetValue<string>();
        string plain = await (await AskAsync(Programme, "identity")).Content.ReadAsStringAsync(Stop);
        var packed = await AskAsync(Programme, "gzip");
        packed.Content.Headers.ContentEncoding.ShouldBe(["gzip"]);
        byte[] bytes = await packed.Content.ReadAsByteArrayAsync(Stop);
        bytes.Length.ShouldBeLessThan(plain.Length / 4);
        using var read = new StreamReader(new GZipStream(new MemoryStream(bytes), CompressionMode.Decompress));
        (await read.ReadToEndAsync(Stop)).ShouldBe(plain);
        (await AskAsync("Goblet squat 3 x 8", "gzip")).Content.Headers.ContentEncoding.ShouldBeEmpty();

        Task<HttpResponseMessage> AskAsync(string text, string accepts)
        {
            var ask = new HttpRequestMessage(HttpMethod.Post, $"/api/clients/{id}/bench") { Content = JsonContent.Create(new { text, choices = Array.Empty<object>() }) };
            ask.Headers.TryAddWithoutValidation("Accept-Encoding", accepts);
            return coach.SendAsync(ask, Stop);
        }
    }
}
