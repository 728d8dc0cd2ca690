using System.Net.Http.Json;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Formats.CaseFiles;
using Ingegno.Simulation;

namespace Ingegno.Server.Tests;

/// <summary>
/// Simulated members train over weeks through the API, their coach taking what is proposed: the loop the product is for, closed. With
/// INGEGNO_WRITE_DEMO=1 the demo's history is made anew this way.
/// </summary>
public class SimulatedTrainingTests
{
    private const int GymWeeks = 6, HomeWeeks = 3;

    private static readonly DateOnly GymStarts = new(2026, 9, 21), HomeStarts = new(2026, 11, 2);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    /// <summary>What each member's weeks have in them.</summary>
    private static readonly Dictionary<string, (HiddenNature Nature, int Seed, int? MissedWeek, (int Week, string Joint, int Pain)? Hurt)> Members = new()
    {
        ["aldo-ferrin"] = (new(Endurance: 0.9, GainAWeek: 0), 11, null, null),
        ["gerda-halvorsen"] = (new(Endurance: 1.1, GainAWeek: 0.015), 12, null, (2, "knee", 6)),
        ["joost-aalders"] = (new(Recovery: 0.9, GainAWeek: -0.004), 13, null, null),
        ["maren-ostholt"] = (new(Endurance: 1.15, Unsaid: 0.5, GainAWeek: 0.012), 14, null, null),
        ["nadia-oskarsen"] = (new(Recovery: 0.8, GainAWeek: 0.008), 15, 2, null),
        ["runa-castellane"] = (new(GainAWeek: 0.0125), 16, null, null),
        ["tomas-brevik"] = (new(Endurance: 0.95, Unsaid: 1, GainAWeek: 0.008), 17, null, null),
    };

    public static TheoryData<string> Names => [.. Members.Keys];

    [Theory]
    [InlineData("maren-ostholt", "knee")]
    [InlineData("tomas-brevik", "shoulder")]
    [InlineData("joost-aalders", "elbow")]
    public async Task After_pain_over_5_nothing_that_loads_the_place_is_made_harder_until_the_coach_clears_it(string name, string joint)
    {
        using var host = new ClockedHost(Noon(HomeStarts));
        var member = await MemberAsync(host, name, Members[name].Nature, Members[name].Seed);
        (await member.SendAsync()).ShouldBeEmpty();
        for (int week = 0; week < HomeWeeks; week++)
        {
            if (week == 1)
            {
                member.Hurts = (joint, 7);
            }

            await WeekAsync(host, member, HomeStarts.AddDays(7 * week), [1, 3, 5]);
            var progress = await member.GetAsync($"/api/clients/{member.Id}/progress");
            bool hurt = member.Logged.Any(s => s["pain"]!.GetValue<int>() > 5);
            (week == 0 || hurt).ShouldBeTrue();
            foreach (var line in progress["lines"]!.AsArray().Where(l => hurt && Loads(l!["prescription"]!, joint)))
            {
                line!["step"]?["kind"]!.GetValue<string>().ShouldBeOneOf("hold", "stop", "swap");
            }

            await member.DecideAsync();
        }

        var row = await member.GetAsync($"/api/clients/{member.Id}/desk");
        row["proposals"]!.AsArray().ShouldContain(p => p!["kind"]!.GetValue<string>() == "pain" || p["kind"]!.GetValue<string>() == "stillHeld");
    }

    [Theory]
    [MemberData(nameof(Names))]
    public async Task The_demo_members_train_six_weeks_in_the_gym_and_three_at_home(string name)
    {
        bool write = Environment.GetEnvironmentVariable("INGEGNO_WRITE_DEMO") == "1";
        if (!write && name is not "maren-ostholt")
        {
            return;
        }

        var (nature, seed, missed, hurt) = Members[name];
        using var host = new ClockedHost(Noon(HomeStarts));
        var member = await MemberAsync(host, name, nature, seed);
        int session = 0;
        for (int week = 0; week < GymWeeks; week++)
        {
            foreach (int day in new[] { 0, 2, 4 })
            {
                await member.GymAsync(GymStarts.AddDays((7 * week) + day), session++);
            }

            member.WeekIsOver();
        }

        (await member.SendAsync()).ShouldBeEmpty();
        for (int week = 0; week < HomeWeeks; week++)
        {
            if (hurt is { } pain && pain.Week == week)
            {
                member.Hurts = (pain.Joint, pain.Pain);
            }

            if (week != missed)
            {
                await WeekAsync(host, member, HomeStarts.AddDays(7 * week), Days(name));
            }

            if (week < HomeWeeks - 1)
            {
                await member.DecideAsync();
            }
        }

        member.Logged.Count.ShouldBeGreaterThan(60);
        if (write)
        {
            await WriteAsync(name, member);
        }
    }

    private static async Task WriteAsync(string name, SimulatedMember member)
    {
        string path = Path.Combine(Repository.Root, "src", "Ingegno.Server", "Demo", name + ".json");
        var file = JsonNode.Parse(await File.ReadAllTextAsync(path, Stop))!;
        var back = (await member.GetAsync($"/api/clients/{member.Id}/plan"))["plan"]!["text"];
        back!.GetValue<string>().ShouldBe(file["programme"]!.GetValue<string>());
        file.AsObject().Remove("log");
        var options = new JsonSerializerOptions { WriteIndented = true, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };
        var inLine = new JsonSerializerOptions { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };
        string[] sets =
        [
            .. member.Logged.OrderBy(s => s["on"]!.GetValue<string>(), StringComparer.Ordinal).Select(s => "    " + Bare(s.AsObject()).ToJsonString(inLine)),
        ];
        string whole = file.ToJsonString(options);
        string head = whole[..whole.LastIndexOf('}')].TrimEnd();
        await File.WriteAllTextAsync(path, $"{head},\n  \"log\": [\n{string.Join(",\n", sets)}\n  ]\n}}\n", Stop);
    }

    /// <summary>Only what says something.</summary>
    private static JsonObject Bare(JsonObject set) => new(
        set.Where(p => p.Value is not null && !(p.Key == "pain" && p.Value.GetValue<int>() == 0) && !(p.Key == "toLimit" && !p.Value.GetValue<bool>()))
            .Select(p => KeyValuePair.Create(p.Key, (JsonNode?)p.Value!.DeepClone())));

    private static async Task WeekAsync(ClockedHost host, SimulatedMember member, DateOnly monday, int[] days)
    {
        foreach (int day in days)
        {
            host.Clock.SetUtcNow(Noon(monday.AddDays(day)).AddHours(8));
            await member.TrainAsync(monday.AddDays(day), host.Clock.GetUtcNow());
        }

        member.WeekIsOver();
    }

    /// <summary>A client of the demo as the case file describes it, log left out, their plan saved.</summary>
    private static async Task<SimulatedMember> MemberAsync(ClockedHost host, string name, HiddenNature nature, int seed)
    {
        var coach = await host.CoachAsync(first: true);
        await using var stream = File.OpenRead(Path.Combine(Repository.Root, "src", "Ingegno.Server", "Demo", name + ".json"));
        var file = CaseFile.Parse(stream);
        var profile = JsonSerializer.SerializeToNode(file.Client, TradeJson.Options)!;
        var made = await coach.PostAsJsonAsync("/api/clients", new { profile, home = JsonSerializer.SerializeToNode(file.Home, TradeJson.Options) }, Stop);
        made.IsSuccessStatusCode.ShouldBeTrue(await made.Content.ReadAsStringAsync(Stop));
        string id = (await made.Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        (await coach.PutAsJsonAsync($"/api/clients/{id}/plan", new { text = file.Programme, choices = Array.Empty<object>(), version = 0 }, Stop)).EnsureSuccessStatusCode();
        return new SimulatedMember(coach, host.CreateClient(), id, file.Client, nature, seed);
    }

    private static int[] Days(string name) => name switch
    {
        "gerda-halvorsen" or "nadia-oskarsen" or "tomas-brevik" => [1, 4],
        _ => [0, 2, 4],
    };

    private static bool Loads(JsonNode prescription, string joint) =>
        Catalogue.Shipped.Find(prescription["exercise"]!.GetValue<string>()) is { } exercise
        && exercise.Joints.Any(j => j.Joint == Enum.Parse<Joint>(joint, ignoreCase: true));

    private static DateTimeOffset Noon(DateOnly day) => new(day.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero);
}
