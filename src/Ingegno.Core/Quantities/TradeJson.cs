using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>
/// The one set of JSON rules for the catalogue, the case file, stored documents and the API: camelCase names,
/// enumerations by name, quantities as numbers in their documented unit, dates as ISO 8601.
/// </summary>
public static class TradeJson
{
    public static JsonSerializerOptions Options { get; } = Create();

    /// <summary>Applies the rules to options made elsewhere, such as the web framework's.</summary>
    public static void Apply(JsonSerializerOptions options)
    {
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.DictionaryKeyPolicy = JsonNamingPolicy.CamelCase;
        options.ReadCommentHandling = JsonCommentHandling.Skip;
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
    }

    private static JsonSerializerOptions Create()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        Apply(options);
        options.MakeReadOnly(populateMissingResolver: true);
        return options;
    }
}
