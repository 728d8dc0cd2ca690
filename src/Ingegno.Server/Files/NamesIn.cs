using System.Text.Json.Nodes;

namespace Ingegno.Server.Files;

/// <summary>Names within a document: the same things under other names.</summary>
internal static class NamesIn
{
    /// <summary>Every text that is one of the names, whole, is the new one.</summary>
    internal static JsonNode? Replaced(JsonNode? node, IReadOnlyDictionary<string, string> names) => node switch
    {
        JsonObject fields => new JsonObject(fields.Select(f => KeyValuePair.Create(f.Key, Replaced(f.Value, names)))),
        JsonArray list => new JsonArray([.. list.Select(n => Replaced(n, names))]),
        JsonValue value when value.TryGetValue(out string? text) && names.TryGetValue(text, out string? other) => JsonValue.Create(other),
        _ => node?.DeepClone(),
    };
}
