using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization.Metadata;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Formats.CaseFiles;

namespace Ingegno.Formats.Schemas;

/// <summary>
/// The JSON schemas that are published in docs/, made from the types that read the files, so that neither can drift.
/// </summary>
public static class PublishedSchema
{
    private static readonly HashSet<Type> Numbers =
        [typeof(Mass), typeof(Force), typeof(Volume), typeof(Length), typeof(Duration), typeof(Share), typeof(Demand)];

    /// <summary>Of a family of exercises; unknown fields are refused.</summary>
    public static JsonObject Catalogue { get; } = Of(typeof(CatalogueFile), "A family of exercises", strict: true);

    /// <summary>Of warm-up, mobility and cool-down items; unknown fields are refused.</summary>
    public static JsonObject Drills { get; } = Of(typeof(DrillFile), "Warm-up, mobility and cool-down items", strict: true);

    /// <summary>Of a client with home, programme and log; unknown fields are kept.</summary>
    public static JsonObject CaseFile { get; } = Of(typeof(CaseFile), "A client with home, programme and log", strict: false);

    private static JsonObject Of(Type type, string title, bool strict)
    {
        var options = new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            TransformSchemaNode = (context, node) => Written(context, node, strict),
        };
        var schema = TradeJson.Options.GetJsonSchemaAsNode(type, options).AsObject();
        schema.Insert(0, "$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.Insert(1, "title", title);
        return schema;
    }

    private static JsonNode Written(JsonSchemaExporterContext context, JsonNode node, bool strict)
    {
        var type = Nullable.GetUnderlyingType(context.TypeInfo.Type) ?? context.TypeInfo.Type;
        bool mayBeNull = type != context.TypeInfo.Type;
        if (Numbers.Contains(type))
        {
            return Typed("number", mayBeNull);
        }

        if (type == typeof(Tempo))
        {
            return Typed("string", mayBeNull);
        }

        if (type == typeof(SaidReserve))
        {
            return new JsonObject
            {
                ["description"] = "repetitions left: a number, a range such as \"5-6\", or \"7+\"",
                ["type"] = new JsonArray(mayBeNull ? ["number", "string", "null"] : ["number", "string"]),
            };
        }

        if (type == typeof(MuscleShares))
        {
            return new JsonObject
            {
                ["type"] = "object",
                ["minProperties"] = 1,
                ["propertyNames"] = new JsonObject
                {
                    ["enum"] = new JsonArray([.. Enum.GetNames<Muscle>().Select(n => (JsonNode)JsonNamingPolicy.CamelCase.ConvertName(n))]),
                },
                ["additionalProperties"] = new JsonObject { ["type"] = "number", ["exclusiveMinimum"] = 0, ["maximum"] = 1 },
            };
        }

        foreach (var worked in context.TypeInfo.Properties.Where(p => p.Set is null && p.AssociatedParameter is null))
        {
            // Worked out from the rest: not a field of the file.
            (node["properties"] as JsonObject)?.Remove(worked.Name);
        }

        if (strict && context.TypeInfo.Kind == JsonTypeInfoKind.Object && node is JsonObject made && made.ContainsKey("properties"))
        {
            made["additionalProperties"] = false;
        }

        return node;
    }

    private static JsonObject Typed(string type, bool mayBeNull) =>
        new() { ["type"] = mayBeNull ? new JsonArray(type, "null") : type };
}
