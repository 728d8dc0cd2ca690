using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Quantities;

namespace Ingegno.Simulation;

/// <summary>
/// Somebody with a phone: opens a link, trains the session that is next on it and logs every set through the same API as the page does. Of
/// the product it knows the answers of that API only.
/// </summary>
/// <param name="http">Reaches the server.</param>
/// <param name="token">Of the link.</param>
/// <param name="truth">The truth about an exercise as prescribed, which the body has and the server never asks for; null for what is not counted in repetitions.</param>
public sealed class SimulatedClient(HttpClient http, string token, SimulatedBody body, Func<JsonNode, HiddenExercise?> truth, int seed)
{
    private const int UsualHold = 30;

    private readonly Random _chance = new(seed);
    private int _turn = -1;

    /// <summary>Pain to report: exercise or null for any with the joint, where, how much. Once.</summary>
    public (string Joint, int Pain)? Hurts { get; set; }

    /// <summary>Trains one session on a day, unless the body stays in bed.</summary>
    /// <returns>Sets as logged; empty when it was missed.</returns>
    public async Task<IReadOnlyList<JsonNode>> TrainAsync(DateOnly day, DateTimeOffset phoneNow)
    {
        var view = (await http.GetFromJsonAsync<JsonNode>($"/api/link/{token}"))!;
        var sessions = view["programme"]!["places"]![0]!["sessions"]!.AsArray();
        if (!body.Wakes())
        {
            return [];
        }

        _turn = (_turn + 1) % sessions.Count;
        var session = sessions[_turn]!;
        var held = view["heldBack"]!.AsArray().Select(l => l!["line"]!.GetValue<int>()).ToHashSet();
        var lines = session["lines"]!.AsArray().ToDictionary(l => l!["line"]!.GetValue<int>(), l => l!);
        var sets = new List<JsonNode>();
        var last = new Dictionary<int, int>();
        var at = new DateTimeOffset(day.ToDateTime(new TimeOnly(17, 30)), TimeSpan.Zero);
        foreach (var step in session["steps"]!.AsArray())
        {
            int line = step!["line"]!.GetValue<int>(), number = step["set"]!.GetValue<int>();
            if (held.Contains(line))
            {
                continue;
            }

            bool limit = view["toLimit"] is JsonObject asked && asked["line"]!.GetValue<int>() == line && number == LastOf(line);
            bool finds = !limit && number == LastOf(line) && view["calibrates"]!.AsArray().Any(l => l!.GetValue<int>() == line);
            var set = Do(lines[line]["prescription"]!, line, number, step, limit, finds);
            at += TimeSpan.FromSeconds(step["lasts"]!.GetValue<double>());
            set["on"] = day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
            set["at"] = at.ToString("O", System.Globalization.CultureInfo.InvariantCulture);
            if (Hurts is { } hurt && lines[line]["joints"]!.AsArray().Any(j => j!.GetValue<string>() == hurt.Joint))
            {
                (set["pain"], set["painAt"], set["stopped"]) = (hurt.Pain, hurt.Joint, "pain");
                held.Add(line);
                Hurts = null;
            }

            sets.Add(set);
        }

        var answer = await http.PostAsJsonAsync($"/api/link/{token}/log", new
        {
            phoneNow,
            sets,
            notes = new[] { new { session = session["title"]!.GetValue<string>(), on = day, felt = _chance.NextDouble() < 0.8 ? "muscle" : "both", sore = _chance.Next(0, 2) } },
        });
        answer.EnsureSuccessStatusCode();
        return sets;

        int LastOf(int line) => session["steps"]!.AsArray().Where(s => s!["line"]!.GetValue<int>() == line).Max(s => s!["set"]!.GetValue<int>());
    }

    /// <param name="finds">As many as leave what is asked to be left.</param>
    private JsonObject Do(JsonNode asked, int line, int number, JsonNode step, bool limit, bool finds)
    {
        int count = step["count"]!.GetValue<int>();
        double load = asked["load"]!.GetValue<double>();
        var set = new JsonObject
        {
            ["id"] = Id(),
            ["line"] = line,
            ["exercise"] = asked["exercise"]!.GetValue<string>(),
            ["setNumber"] = number,
            ["load"] = load,
            ["pain"] = 0,
        };
        if (truth(asked) is not { } hidden)
        {
            set["repetitions"] = asked["count"]!.GetValue<string>() == "seconds" ? count + _chance.Next(-UsualHold / 10, (UsualHold / 10) + 1) : count;
            return set;
        }

        body.Learns(hidden);
        string[] tempo = (asked["tempo"]?.GetValue<string>() ?? "2-0-1-0").Split('-');
        double Phase(int i) => double.TryParse(tempo[i], out double seconds) ? seconds : 1;
        double rest = number == 1 ? 0 : Math.Round(asked["rest"]!.GetValue<double>() * (0.95 + (0.25 * _chance.NextDouble())));
        bool sided = asked["perSide"]!.GetValue<bool>();
        double other = sided ? count * (Phase(0) + Phase(1) + Phase(2) + Phase(3)) : 0;
        var outcome = body.Does(new AskedSet(
            hidden.Exercise, Mass.FromKilograms(load), count, (int?)asked["reserve"]?.GetValue<double>(), Phase(0), Phase(1), Phase(2), Phase(3),
            Duration.FromSeconds(number == 1 ? 0 : rest + other), limit, finds));

        set["repetitions"] = outcome.Repetitions;
        set["reserve"] = outcome.SaidLeft;
        set["toLimit"] = limit;
        set["stopped"] = outcome.Failed ? "muscle" : null;
        set["restBefore"] = number == 1 ? null : rest + other;
        return set;
    }

    private string Id()
    {
        byte[] bytes = new byte[16];
        _chance.NextBytes(bytes);
        return new Guid(bytes).ToString();
    }
}
