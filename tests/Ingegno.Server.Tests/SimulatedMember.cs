using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Simulation;

namespace Ingegno.Server.Tests;

/// <summary>
/// A simulated body behind a client of the server: trained in the gym first, then from links, its coach taking what the Desk proposes. The
/// truth lies around the estimate as far as the estimate says it may, and nothing tells the server.
/// </summary>
internal sealed partial class SimulatedMember
{
    private readonly HttpClient _coach;
    private readonly HttpClient _phone;
    private readonly ClientProfile _profile;
    private readonly StrengthAnchors _anchors;
    private readonly SimulatedBody _body;
    private readonly Random _chance;
    private readonly int _seed;
    private readonly Dictionary<string, double> _strength = new(StringComparer.Ordinal);
    private SimulatedClient? _client;

    internal SimulatedMember(HttpClient coach, HttpClient phone, string id, ClientProfile profile, HiddenNature nature, int seed)
    {
        (_coach, _phone, Id, _profile, _seed) = (coach, phone, id, profile, seed);
        _anchors = StrengthAnchors.Of(profile, Catalogue.Shipped);
        _chance = new Random(seed);
        _body = new SimulatedBody([], nature, seed);
    }

    internal string Id { get; }

    internal List<JsonNode> Logged { get; } = [];

    /// <summary>Pain to report once.</summary>
    internal (string Joint, int Pain)? Hurts
    {
        set => _client!.Hurts = value;
    }

    /// <summary>A day in the gym: the written lines as the gym would have them.</summary>
    internal async Task GymAsync(DateOnly day, int session)
    {
        var plan = await GetAsync($"/api/clients/{Id}/plan");
        var bench = (await (await _coach.PostAsJsonAsync($"/api/clients/{Id}/bench", new { text = plan["plan"]!["text"]!.GetValue<string>(), choices = Array.Empty<object>() }))
            .Content.ReadFromJsonAsync<JsonNode>())!;
        var sessions = bench["sessions"]!.AsArray();
        if (!_body.Wakes())
        {
            return;
        }

        var sets = new List<JsonNode>();
        foreach (var line in sessions[session % sessions.Count]!["lines"]!.AsArray())
        {
            if (line!["intent"] is not JsonObject intent || Catalogue.Shipped.Find(line["written"]!["exercise"]?.GetValue<string>() ?? "") is not { IsSlot: false } exercise
                || Truth(exercise, new Geometry()) is not { } hidden)
            {
                continue;
            }

            _body.Learns(hidden);
            int number = 0;
            foreach (var count in intent["repetitions"]!.AsArray())
            {
                var outcome = _body.Does(new AskedSet(
                    exercise.Id, Mass.FromKilograms(intent["load"]!.GetValue<double>()), count!.GetValue<int>(), 2, 2, 0, 1, 0,
                    Duration.FromSeconds(number == 0 ? 0 : intent["rest"]!.GetValue<double>())));
                if (outcome.Repetitions > 0)
                {
                    sets.Add(new JsonObject
                    {
                        ["id"] = NewId(),
                        ["line"] = line["written"]!["number"]!.GetValue<int>(),
                        ["exercise"] = exercise.Id,
                        ["on"] = Text(day),
                        ["setNumber"] = ++number,
                        ["load"] = Math.Round(intent["load"]!.GetValue<double>(), 3),
                        ["repetitions"] = outcome.Repetitions,
                        ["reserve"] = outcome.SaidLeft,
                        ["pain"] = 0,
                        ["at"] = $"{Text(day)}T17:30:00Z",
                    });
                }
            }
        }

        (await _coach.PostAsJsonAsync($"/api/clients/{Id}/log", new { sets })).EnsureSuccessStatusCode();
        Logged.AddRange(sets);
    }

    /// <summary>What stands against sending; empty when the plan went out and the phone has the new link.</summary>
    internal async Task<string> SendAsync()
    {
        var answer = await _coach.PostAsync($"/api/clients/{Id}/sending", null);
        if (!answer.IsSuccessStatusCode)
        {
            return (await answer.Content.ReadFromJsonAsync<JsonNode>())!["detail"]!.GetValue<string>();
        }

        var outbox = await GetAsync("/api/outbox");
        string token = Token().Match(outbox[0]!["text"]!.GetValue<string>()).Groups[1].Value;
        _client ??= new SimulatedClient(_phone, token, _body, Truth, _seed + 1000);
        return "";
    }

    internal async Task TrainAsync(DateOnly day, DateTimeOffset now) => Logged.AddRange(await _client!.TrainAsync(day, now));

    internal void WeekIsOver() => _body.Grows();

    /// <summary>The coach takes every step the Desk proposes, and sends.</summary>
    internal async Task DecideAsync()
    {
        var row = await GetAsync($"/api/clients/{Id}/desk");
        foreach (var proposal in row["proposals"]!.AsArray().Where(p => p!["take"] is not null && p["kind"]!.GetValue<string>() is "earned" or "ready" or "change"))
        {
            var answer = await _coach.PostAsJsonAsync($"/api/clients/{Id}/decisions", new { subject = proposal!["subject"]!.GetValue<string>(), answer = "taken" });
            answer.IsSuccessStatusCode.ShouldBeTrue(await answer.Content.ReadAsStringAsync());
        }

        (await SendAsync()).ShouldBeEmpty();
    }

    internal async Task<JsonNode> GetAsync(string url) => (await _coach.GetFromJsonAsync<JsonNode>(url))!;

    private HiddenExercise? Truth(JsonNode asked) =>
        asked["count"]!.GetValue<string>() is "repetitions" or "upTo" or "asManyAsPossible" or "untilEffort"
            && Catalogue.Shipped.Find(asked["exercise"]!.GetValue<string>()) is { } exercise
            ? Truth(exercise, asked["geometry"].Deserialize<Geometry>(TradeJson.Options)!)
            : null;

    private HiddenExercise? Truth(Exercise exercise, Geometry geometry)
    {
        if (_anchors.For(exercise) is not { } anchor || !exercise.IsForecast)
        {
            return null;
        }

        if (!_strength.TryGetValue(exercise.Id, out double factor))
        {
            _strength[exercise.Id] = factor = Math.Exp(Math.Min(0.1, anchor.Spread) * Math.Sqrt(-2 * Math.Log(1 - _chance.NextDouble())) * Math.Cos(2 * Math.PI * _chance.NextDouble()));
        }

        var moved = Resistance.BodyMoved(exercise.Load, _profile, geometry);
        return new(exercise.Id, RegionOf(exercise.Pattern), anchor.GreatestResistance(moved, _profile.BodyMass) * factor, moved * _profile.BodyMass, exercise.Load.LoadCounts);
    }

    private static MuscleRegion RegionOf(Pattern pattern) => pattern switch
    {
        Pattern.Squat or Pattern.KneeExtension or Pattern.KneeFlexion or Pattern.Jump => MuscleRegion.Knee,
        Pattern.Hinge or Pattern.HipThrust or Pattern.HipExtension or Pattern.HipAbduction or Pattern.HipAdduction => MuscleRegion.Hip,
        Pattern.CalfRaise or Pattern.ShinRaise => MuscleRegion.Ankle,
        Pattern.ElbowFlexion or Pattern.ElbowExtension or Pattern.Forearm => MuscleRegion.Elbow,
        Pattern.TrunkBrace or Pattern.TrunkFlexion or Pattern.TrunkRotation => MuscleRegion.Trunk,
        _ => MuscleRegion.Arms,
    };

    private string NewId()
    {
        byte[] bytes = new byte[16];
        _chance.NextBytes(bytes);
        return new Guid(bytes).ToString();
    }

    private static string Text(DateOnly day) => day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);

    [GeneratedRegex("/train/([A-Za-z0-9_-]{22})")]
    private static partial Regex Token();
}
