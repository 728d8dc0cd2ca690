using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests.Judged;

/// <summary>
/// Ordinary programmes for ordinary homes, each line with what a good coach would send (judged-cases.json): the whole of what the bench answers
/// is held against it. Docs/judged-cases.md says what is short of it and where a case is thought unfair.
/// </summary>
public sealed class JudgedCasesTests(ServerHost host, ITestOutputHelper output) : IClassFixture<ServerHost>
{
    /// <summary>Of 100 lines so many are sensible, and none is wrong.</summary>
    private const double Wanted = 95;

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Nearly_all_lines_are_sensible_and_none_is_wrong()
    {
        string here = Path.Combine(Repository.Root, "tests", "Ingegno.Server.Tests", "Judged");
        var known = (await File.ReadAllTextAsync(Path.Combine(here, "known-ids.txt"), Stop)).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).ToHashSet();
        var coach = await host.CoachAsync();
        var sides = (await coach.GetFromJsonAsync<JsonArray>("/api/catalogue", Stop))!.ToDictionary(e => Text(e!["id"]), e => Text(e!["sides"]));
        var judge = new LineJudge(known, sides);
        var verdicts = new List<Verdict>();
        foreach (var about in JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(here, "judged-cases.json"), Stop))!.AsArray())
        {
            var answer = await coach.PostAsJsonAsync("/api/engine/rebuild", new { client = about!["client"], home = about["home"], programme = Text(about["programme"]), on = about["on"] }, Stop);
            answer.EnsureSuccessStatusCode();
            verdicts.AddRange(judge.Of(about, (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!));
        }

        string report = string.Join('\n', verdicts.Where(v => v.Kind != VerdictKind.Sensible).Select(v => $"{v.Kind} {v.About}: {string.Join("; ", v.Why)}"));
        output.WriteLine(report);
        verdicts.Where(v => v.Kind == VerdictKind.Wrong).ShouldBeEmpty(report);
        Verdict[] judged = [.. verdicts.Where(v => v.Kind != VerdictKind.New)];
        judged.Length.ShouldBeGreaterThan(220);
        (100.0 * judged.Count(v => v.Kind == VerdictKind.Sensible) / judged.Length).ShouldBeGreaterThanOrEqualTo(Wanted, report);
    }

    private static string Text(JsonNode? node) => node!.GetValue<string>();
}
