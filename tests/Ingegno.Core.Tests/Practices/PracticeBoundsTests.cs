using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Practices;

/// <summary>No number of a practice goes unchecked: whichever is put past all measure is refused, or not read at all.</summary>
public sealed class PracticeBoundsTests
{
    public static TheoryData<string> Numbers => [.. PathsOf(Written(), "")];

    private static JsonNode Written() => JsonSerializer.SerializeToNode(new Practice { Prices = [new("Kettlebell 16 kg", 40)] }, TradeJson.Options)!;

    private static IEnumerable<string> PathsOf(JsonNode? node, string path) => node switch
    {
        JsonObject fields => fields.SelectMany(f => PathsOf(f.Value, $"{path}/{f.Key}")),
        JsonArray list => list.SelectMany((entry, i) => PathsOf(entry, $"{path}/{i}")),
        JsonValue value when value.GetValueKind() == JsonValueKind.Number => [path],
        _ => [],
    };

    [Theory]
    [MemberData(nameof(Numbers))]
    public void None_goes_past_all_measure(string path)
    {
        string[] steps = path.Split('/', StringSplitOptions.RemoveEmptyEntries);
        foreach (double far in new[] { 1e9, -1e9, -7 })
        {
            var practice = Written();
            var within = At(practice, steps[..^1])!;
            if (within is JsonArray entries)
            {
                entries[int.Parse(steps[^1], CultureInfo.InvariantCulture)] = far;
            }
            else
            {
                within[steps[^1]] = far;
            }

            // What follows from another number is written and not read.
            if (Read(practice) is { } read && At(JsonSerializer.SerializeToNode(read, TradeJson.Options)!, steps)?.GetValue<double>() == far)
            {
                PracticeProblems.Of(read).ShouldNotBeEmpty($"{path} = {far}");
            }
        }
    }

    private static JsonNode? At(JsonNode node, string[] steps) =>
        steps.Aggregate((JsonNode?)node, (within, step) => within is JsonArray list ? list[int.Parse(step, CultureInfo.InvariantCulture)] : within?[step]);

    private static Practice? Read(JsonNode practice)
    {
        try
        {
            return practice.Deserialize<Practice>(TradeJson.Options);
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
