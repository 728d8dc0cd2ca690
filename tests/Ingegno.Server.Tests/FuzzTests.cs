using System.Globalization;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Server.Tests;

/// <summary>
/// Every route of the published document is sent bodies that are nearly right: whatever comes, it is answered in words, nothing of a refused
/// one is kept, and no answer is larger than a page needs. INGEGNO_FUZZ sets how many each gets.
/// </summary>
public sealed class FuzzTests(ServerHost host) : IClassFixture<ServerHost>
{
    private const int MostBytes = 1_000_000;

    /// <summary>Ends the sign-in everything else is asked with.</summary>
    private static readonly string[] LeftOut = ["signOut", "endSessions"];

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static int Rounds => int.TryParse(Environment.GetEnvironmentVariable("INGEGNO_FUZZ"), out int rounds) ? rounds : 20;

    [Fact]
    public async Task Whatever_comes_is_answered_in_words_and_a_refused_one_leaves_nothing()
    {
        var coach = await host.CoachAsync();
        var api = await Api.WithPlanAsync(coach, "Goblet squat 3 x 8 RPE 8, rest 90 s\nPush-up 3 x 8 RPE 8, rest 90 s");
        string token = await api.SendAsync();
        var document = JsonNode.Parse(await coach.GetStringAsync("/openapi/v1.json", Stop))!;
        var seeds = await SeedsAsync(api);
        var random = new Random(20261123);
        var bodies = new NearlyRight(document, random);
        var counts = new SortedDictionary<int, int>();
        var troubles = new List<string>();
        foreach (var (path, methods) in document["paths"]!.AsObject())
        {
            foreach (var (method, operation) in methods!.AsObject())
            {
                string name = operation!["operationId"]?.GetValue<string>() ?? path;
                for (int i = 0; i < Rounds && !LeftOut.Contains(name); i++)
                {
                    using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), Address(path, operation, api.Id, token, random, document));
                    string? sent = null;
                    if (operation["requestBody"]?["content"] is JsonObject content)
                    {
                        var schema = content.First().Value!["schema"];
                        sent = bodies.Text(seeds.GetValueOrDefault(name)?.DeepClone() ?? bodies.Of(schema), mutate: i > 0);
                        request.Content = new StringContent(sent, Encoding.UTF8, content.First().Key);
                    }

                    string before = await StateAsync();
                    using var answer = await coach.SendAsync(request, Stop);
                    byte[] body = await answer.Content.ReadAsByteArrayAsync(Stop);
                    int status = (int)answer.StatusCode;
                    counts[status] = counts.GetValueOrDefault(status) + 1;
                    string told = $"{method} {path} {sent?[..Math.Min(sent.Length, 300)]}: {status}";
                    if (status >= 500)
                    {
                        troubles.Add(told);
                    }
                    else if (status >= 400 && await StateAsync() != before)
                    {
                        troubles.Add($"{told}, refused and yet something was written");
                    }
                    else if (body.Length > MostBytes && !path.Contains("file", StringComparison.Ordinal))
                    {
                        troubles.Add($"{told}, {body.Length:N0} bytes");
                    }
                    else if (status >= 400 && Encoding.UTF8.GetString(body) is var words && (words.Contains(" at Ingegno.", StringComparison.Ordinal) || words.Contains("System.", StringComparison.Ordinal)))
                    {
                        troubles.Add($"{told}, in words of the machine: {words}");
                    }
                }
            }
        }

        TestContext.Current.TestOutputHelper?.WriteLine(string.Join(", ", counts.Select(c => $"{c.Value} x {c.Key}")));
        troubles.ShouldBeEmpty();
        (counts[200] > counts.Values.Sum() / 10).ShouldBeTrue("most must reach the route itself");
        await using var file = await OpenAsync();
        file.ExecuteScalar<string>("PRAGMA integrity_check").ShouldBe("ok");
    }

    /// <summary>Documents as the application itself gives them out, so that a change of one field meets the rest as it should be.</summary>
    private static async Task<Dictionary<string, JsonNode>> SeedsAsync(Api api)
    {
        var client = await api.GetAsync("");
        var plan = (await api.GetAsync("plan"))["plan"]!;
        var practice = (await api.Coach.GetFromJsonAsync<JsonNode>("/api/practice", Stop))!;
        var place = await api.GetAsync("places/now");
        var line = Api.Lines(await api.PlanAsync())[0];
        JsonNode bench = new JsonObject { ["text"] = plan["text"]!.DeepClone(), ["choices"] = plan["choices"]!.DeepClone() };
        JsonNode With(string name, JsonNode value)
        {
            var copy = bench.DeepClone();
            copy[name] = value;
            return copy;
        }

        var shrink = With("minutes", 20);
        shrink["session"] = 0;
        return new()
        {
            ["saveClient"] = new JsonObject { ["profile"] = client["profile"]!.DeepClone(), ["version"] = client["version"]!.DeepClone() },
            ["addClient"] = new JsonObject { ["profile"] = client["profile"]!.DeepClone() },
            ["savePractice"] = practice,
            ["saveHome"] = new JsonObject { ["home"] = place["home"]?.DeepClone(), ["version"] = place["version"]?.DeepClone() },
            ["savePlan"] = With("version", -1),
            ["rebuild"] = bench,
            ["solveWeek"] = bench,
            ["listWaitingChecks"] = bench,
            ["shrinkSession"] = shrink,
            ["spreadWeek"] = With("sessions", 2),
            ["saveLog"] = new JsonObject { ["sets"] = new JsonArray([.. Api.Sets(line, "2026-11-20")]) },
            ["logByLink"] = new JsonObject { ["phoneNow"] = "2026-11-23T09:00:00Z", ["sets"] = new JsonArray([.. Api.Sets(line, "2026-11-23")]), ["notes"] = new JsonArray() },
        };
    }

    private static string Address(string path, JsonNode operation, string client, string token, Random random, JsonNode document)
    {
        string[] odd = ["x", "0", "..%2f..%2fetc", new string('a', 300), "9999-12-31", "%F0%9F%A6%8A"];
        string address = path;
        var query = new List<string>();
        foreach (var parameter in operation["parameters"]?.AsArray() ?? [])
        {
            string name = parameter!["name"]!.GetValue<string>();
            string value = name switch
            {
                "id" when random.Next(8) > 0 => client,
                "token" when random.Next(8) > 0 => token,
                "exercise" when random.Next(2) > 0 => "goblet-squat",
                _ => odd[random.Next(odd.Length)],
            };
            if (parameter["in"]!.GetValue<string>() == "path")
            {
                address = address.Replace($"{{{name}}}", value, StringComparison.Ordinal);
            }
            else if (random.Next(3) == 0)
            {
                query.Add($"{name}={value}");
            }
        }

        return query.Count == 0 ? address : $"{address}?{string.Join('&', query)}";
    }

    private async Task<SqliteConnection> OpenAsync()
    {
        var connection = new SqliteConnection($"Data Source={host.DatabasePath}");
        await connection.OpenAsync(Stop);
        return connection;
    }

    /// <summary>Versions and rows of all that a person can write; what a log teaches is worked out by itself.</summary>
    private async Task<string> StateAsync()
    {
        await using var connection = await OpenAsync();
        string[] tables = [.. connection.Query<string>("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT IN ('learned', 'activity', 'link', 'sqlite_sequence') ORDER BY name")];
        string[] versioned = ["client", "plan", "place", "practice"];
        return string.Join(' ', tables.Select(t => connection.ExecuteScalar<long>($"SELECT count(*) FROM \"{t}\"").ToString(CultureInfo.InvariantCulture))
            .Concat(versioned.Select(t => connection.ExecuteScalar<long>($"SELECT coalesce(sum(row_version), 0) FROM {t}").ToString(CultureInfo.InvariantCulture))));
    }
}
