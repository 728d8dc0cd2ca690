using Ingegno.Core.Anatomy;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Ingegno.Server.Web;

/// <summary>Tells the OpenAPI document how quantities look in JSON: plain numbers in a documented unit.</summary>
internal sealed class QuantitySchemas : IOpenApiSchemaTransformer
{
    private static readonly Dictionary<Type, string> Units = new()
    {
        [typeof(Mass)] = "kilograms, three decimals",
        [typeof(Force)] = "newtons",
        [typeof(Volume)] = "litres",
        [typeof(Length)] = "metres, three decimals",
        [typeof(Duration)] = "seconds",
        [typeof(Share)] = "fraction of a whole",
        [typeof(Demand)] = "resistance over maximum",
    };

    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
        if (Units.TryGetValue(type, out string? unit))
        {
            schema.Type = JsonSchemaType.Number | NullIfNullable(context);
            schema.Format = "double";
            schema.Description = unit;
        }
        else if (type == typeof(Tempo))
        {
            schema.Type = JsonSchemaType.String | NullIfNullable(context);
            schema.Description = "lowering-pause-lifting-pause in seconds, such as 3-1-X-0";
        }
        else if (type == typeof(SaidReserve))
        {
            schema.Type = JsonSchemaType.Number | JsonSchemaType.String | NullIfNullable(context);
            schema.Description = "repetitions left: a number, a range such as \"5-6\", or \"7+\"";
        }
        else if (type == typeof(MuscleShares))
        {
            schema.Type = JsonSchemaType.Object;
            schema.AdditionalProperties = new OpenApiSchema { Type = JsonSchemaType.Number };
        }
        else if (context.JsonTypeInfo.ElementType is { } element && Units.ContainsKey(element))
        {
            schema.Items = new OpenApiSchema { Type = JsonSchemaType.Number, Format = "double" };
        }
        else if (type.IsEnum && NullIfNullable(context) == 0 && schema.Enum is { } names)
        {
            // Whichever property comes first writes the shared schema: whether that one may be null is its own matter.
            schema.Enum = [.. names.Where(n => n is not null && n.GetValueKind() != System.Text.Json.JsonValueKind.Null)];
        }
        else if (schema.Type is { } kinds && kinds.HasFlag(JsonSchemaType.String)
            && (kinds.HasFlag(JsonSchemaType.Integer) || kinds.HasFlag(JsonSchemaType.Number)))
        {
            // Numbers are also read from strings; the document promises numbers only.
            schema.Type = kinds & ~JsonSchemaType.String;
            schema.Pattern = null;
        }

        if (context.JsonPropertyInfo is { Set: null, IsGetNullable: false } && schema.Type is { } worked)
        {
            // Worked out, never read: it is null only where its type says so.
            schema.Type = worked & ~JsonSchemaType.Null;
        }

        if (schema.Properties is { Count: > 0 } properties)
        {
            // Every property is always written, null where it is unknown; so the front end need not ask which are there.
            schema.Required = new HashSet<string>(properties.Keys);
        }

        return Task.CompletedTask;
    }

    /// <summary>
    /// A nullable with a default value is written in place and must say itself that it may be null; any other refers
    /// to the shared schema of its type, which must not.
    /// </summary>
    private static JsonSchemaType NullIfNullable(OpenApiSchemaTransformerContext context) =>
        Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) is not null
            && context.JsonPropertyInfo?.AssociatedParameter is { HasDefaultValue: true }
            ? JsonSchemaType.Null
            : default;
}
