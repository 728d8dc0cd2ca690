using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Programmes from files, and programme and log as files, through the API.</summary>
public sealed class FileApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private const string Block = "Day;Exercise;Sets;Reps;Weight;Breather\nMonday;Front squat;4;6;72,5;3\n";

    [Fact]
    public async Task A_file_is_guessed_shown_and_put_right_and_nothing_is_kept()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nPush-up 3 x 8");
        string before = (await api.PlanAsync()).ToJsonString();
        var guessed = await ReadAsync(api, Block, "");
        guessed["columns"]!.AsArray().Select(c => c!.GetValue<string>()).ShouldBe(["session", "exercise", "sets", "repetitions", "load", "nothing"]);
        guessed["text"]!.GetValue<string>().ShouldBe("# Monday\nFront squat 4 x 6 @ 72.5 kg\n");
        var mended = await ReadAsync(api, Block, "?header=0&columns=session,exercise,sets,repetitions,load,rest");
        mended["text"]!.GetValue<string>().ShouldBe("# Monday\nFront squat 4 x 6 @ 72.5 kg, rest 180 s\n");
        (await api.PlanAsync()).ToJsonString().ShouldBe(before);
    }

    [Theory]
    [InlineData("?sheet=7", Block, "sheets")]
    [InlineData("?columns=load,load", Block, "6 columns")]
    [InlineData("?columns=1,2,3,4,5,nobody", Block, "6 columns")]
    [InlineData("", "", "no rows")]
    public async Task What_cannot_be_read_says_so(string query, string file, string words)
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nPush-up 3 x 8");
        var answer = await SendAsync(api, file, query);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync(Stop)).ShouldContain(words);
    }

    [Fact]
    public async Task Programme_and_log_come_out_as_files_for_their_coach_alone()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nPush-up 3 x 8");
        (await api.Coach.GetByteArrayAsync($"/api/clients/{api.Id}/files/programme.xlsx", Stop)).Take(2).ShouldBe("PK"u8.ToArray());
        (await api.Coach.GetStringAsync($"/api/clients/{api.Id}/files/programme.csv", Stop)).ShouldContain("Monday,,Push-up");
        (await api.Coach.GetStringAsync($"/api/clients/{api.Id}/files/programme.txt", Stop)).ShouldStartWith("# Monday\nPush-up ");
        (await api.Coach.GetAsync($"/api/clients/{api.Id}/files/programme.exe", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await api.Coach.GetStringAsync($"/api/clients/{api.Id}/files/log.csv", Stop)).ShouldContain("Date,Exercise,Set,Load kg");
        (await api.Coach.GetAsync($"/api/clients/{api.Id}/files/log.exe", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await api.Coach.GetAsync($"/api/clients/{Guid.NewGuid()}/files/log.csv", Stop)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await host.CreateClient().GetAsync($"/api/clients/{api.Id}/files/log.csv", Stop)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    private static async Task<JsonNode> ReadAsync(Api api, string file, string query)
    {
        var answer = await SendAsync(api, file, query);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync(Stop))!;
    }

    private static async Task<HttpResponseMessage> SendAsync(Api api, string file, string query)
    {
        using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(file)) { Headers = { ContentType = new MediaTypeHeaderValue("application/octet-stream") } };
        return await api.Coach.PostAsync($"/api/clients/{api.Id}/programme-file{query}", content, Stop);
    }

    /// <summary>What went out comes in without a set twice, and what is new is learned from.</summary>
    [Fact]
    public async Task A_log_comes_in_once_and_is_learned_from()
    {
        await using var host = new ClockedHost(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero));
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        await api.LogAsync(Api.Sets(Api.Lines(await api.PlanAsync())[0], "2026-11-20"));
        string own = await api.Coach.GetStringAsync($"/api/clients/{api.Id}/files/log.csv", Stop);
        (await ReadAsync(own, keep: true))["sets"]!.GetValue<int>().ShouldBe(0);

        const string Other = "Date,Exercise,Reps,RIR\n2026-11-16,Push-up,14,1\n2026-11-16,Push-up,12,0\n2026-11-18,Moon press,8,\n";
        var looked = await ReadAsync(Other, keep: false);
        looked["sets"]!.GetValue<int>().ShouldBe(2);
        looked["unknown"]![0]!["name"]!.GetValue<string>().ShouldBe("Moon press");
        (await ReadAsync(Other, keep: true))["kept"]!.GetValue<bool>().ShouldBeTrue();
        (await ReadAsync(Other, keep: true))["there"]!.GetValue<int>().ShouldBe(2, "the second time nothing is new");
        var logged = (await api.GetAsync("progress"))["lines"]![0]!["logs"]!.AsArray();
        logged.Count.ShouldBe(5);

        async Task<JsonNode> ReadAsync(string text, bool keep)
        {
            using var content = new ByteArrayContent(System.Text.Encoding.UTF8.GetBytes(text));
            content.Headers.ContentType = new("application/octet-stream");
            var answer = await api.Coach.PostAsync($"/api/clients/{api.Id}/log-file?keep={keep}", content, Stop);
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
            return (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        }
    }
}
