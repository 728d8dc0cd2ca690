using System.Net;
using System.Net.Http.Headers;
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
}
