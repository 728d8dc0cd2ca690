using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Bodies made from a published schema, and one thing in them changed to what no form expects.</summary>
internal sealed class NearlyRight(JsonNode document, Random random)
{
    private const int Deepest = 6;

    /// <summary>Stands for half a character, which no string of this language holds when it is written out.</summary>
    private const string Half = "@half@", Huge = "@huge@";

    /// <summary>A document the schema allows.</summary>
    internal JsonNode? Of(JsonNode? schema, int depth = 0)
    {
        if (schema?["$ref"]?.GetValue<string>() is { } reference)
        {
            schema = document["components"]!["schemas"]![reference.Split('/')[^1]];
        }

        if (schema is null || depth > Deepest)
        {
            return null;
        }

        if ((schema["oneOf"] ?? schema["anyOf"]) is JsonArray ways)
        {
            return Of(ways[random.Next(ways.Count)], depth);
        }

        if (schema["enum"] is JsonArray values)
        {
            return values[random.Next(values.Count)]?.DeepClone();
        }

        string[] types = schema["type"] switch
        {
            JsonArray several => [.. several.Select(t => t!.GetValue<string>())],
            JsonValue one => [one.GetValue<string>()],
            _ => [schema["properties"] is null ? "null" : "object"],
        };
        return types.FirstOrDefault(t => t != "null") switch
        {
            "object" => ObjectOf(schema, depth),
            "array" => new JsonArray([.. Enumerable.Range(0, random.Next(3)).Select(_ => Of(schema["items"], depth + 1)).Where(n => n is not null)]),
            "string" => schema["format"]?.GetValue<string>() switch
            {
                "uuid" => Guid.NewGuid().ToString(),
                "date" => "2026-11-20",
                "date-time" => "2026-11-20T09:00:00Z",
                _ => "Push-up 3 x 8",
            },
            "integer" => random.Next(-1, 12),
            "number" => Math.Round(random.NextDouble() * 40, 2),
            "boolean" => random.Next(2) == 0,
            _ => null,
        };
    }

    private JsonObject ObjectOf(JsonNode schema, int depth)
    {
        var made = new JsonObject();
        string[] required = [.. (schema["required"]?.AsArray() ?? []).Select(r => r!.GetValue<string>())];
        foreach (var (name, part) in schema["properties"]?.AsObject() ?? [])
        {
            if (required.Contains(name) || random.Next(2) == 0)
            {
                made[name] = Of(part, depth + 1);
            }
        }

        return made;
    }

    /// <summary>As sent.</summary>
    internal string Text(JsonNode? body, bool mutate)
    {
        if (mutate && random.Next(12) == 0)
        {
            string whole = body?.ToJsonString() ?? "null";
            return random.Next(2) == 0 ? whole[..random.Next(whole.Length + 1)] : whole + "]";
        }

        if (mutate && body is not null)
        {
            Change(body);
        }

        return (body?.ToJsonString() ?? "null").Replace(Half, "\\ud800", StringComparison.Ordinal).Replace($"\"{Huge}\"", "1e400", StringComparison.Ordinal);
    }

    private void Change(JsonNode body)
    {
        // One place anywhere, the deep ones as likely as the others.
        (JsonNode Within, object Key)[] places = [.. PlacesIn(body)];
        if (places.Length == 0)
        {
            return;
        }

        var (within, key) = places[random.Next(places.Length)];
        var now = within is JsonObject o ? o[(string)key] : within.AsArray()[(int)key];
        JsonNode? odd = random.Next(18) switch
        {
            0 => null,
            1 => "",
            2 => "\0",
            3 => Half,
            4 => Huge,
            5 => 1e308,
            6 => -1,
            7 => 99_999_999,
            8 => "0001-01-01",
            9 => "9999-12-31T23:59:59Z",
            10 => new string('a', 20_000),
            11 => new JsonArray(),
            12 => new JsonObject(),
            13 => true,
            14 => new JsonArray([.. Enumerable.Range(0, 400).Select(_ => now?.DeepClone())]),
            15 => 0.000001,
            16 => "\u202e\u0007 name",
            _ => JsonNode.Parse(string.Concat(Enumerable.Repeat("[", 60)) + string.Concat(Enumerable.Repeat("]", 60))),
        };
        if (within is JsonObject fields)
        {
            if (random.Next(10) == 0)
            {
                fields.Remove((string)key);
            }
            else
            {
                fields[(string)key] = odd;
            }
        }
        else
        {
            within.AsArray()[(int)key] = odd;
        }
    }

    private static IEnumerable<(JsonNode Within, object Key)> PlacesIn(JsonNode? node) => node switch
    {
        JsonObject fields => fields.SelectMany(f => PlacesIn(f.Value).Prepend((fields, f.Key))),
        JsonArray list => list.SelectMany((entry, i) => PlacesIn(entry).Prepend((list, i))),
        _ => [],
    };
}
