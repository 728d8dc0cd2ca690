using Ingegno.Core.Anatomy;
using Ingegno.Core.Programmes;
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
            schema.Type = JsonSchemaType.Number;
            schema.Format = "double";
            schema.Description = unit;
        }
        else if (type == typeof(Tempo))
        {
            schema.Type = JsonSchemaType.String;
            schema.Description = "lowering-pause-lifting-pause in seconds, such as 3-1-X-0";
        }
        else if (type == typeof(MuscleShares))
        {
            schema.Type = JsonSchemaType.Object;
            schema.AdditionalProperties = new OpenApiSchema { Type = JsonSchemaType.Number };
        }
        else if (schema.Type is { } kinds && kinds.HasFlag(JsonSchemaType.String)
            && (kinds.HasFlag(JsonSchemaType.Integer) || kinds.HasFlag(JsonSchemaType.Number)))
        {
            // Numbers are also read from strings; the document promises numbers only.
            schema.Type = kinds & ~JsonSchemaType.String;
            schema.Pattern = null;
        }

        return Task.CompletedTask;
    }
}
