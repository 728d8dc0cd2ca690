using System.Collections.Immutable;
using System.IO.Compression;
using System.Net.Mime;
using System.Reflection;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.Metadata;

namespace Ingegno.Server.Bench;

/// <summary>
/// A bench as a page is told it. What was worked out of a line before, and stands, was written out before as well: the bytes of its large parts are
/// kept for as long as they are, so that a nudge writes out one line and not the week. Of all that might be done instead only what it is compared by is told
/// (<see cref="Alternative.InShort"/>): every load and every curve would be nine tenths of the answer, and nobody looks at them.
/// </summary>
internal sealed class ToldBench(BenchView view) : IResult, IEndpointMetadataProvider
{
    /// <summary>Lines, 28 KB each, over which packing costs less than it saves: two hundred are 5.6 MB plain and 0.8 packed.</summary>
    private const int MostPlain = 30;

    private static readonly JsonSerializerOptions Told = new(TradeJson.Options) { TypeInfoResolver = new DefaultJsonTypeInfoResolver().WithAddedModifier(KeepParts) };

    public static void PopulateMetadata(MethodInfo method, EndpointBuilder builder) =>
        builder.Metadata.Add(new ProducesResponseTypeMetadata(StatusCodes.Status200OK, typeof(BenchView), [MediaTypeNames.Application.Json]));

    public async Task ExecuteAsync(HttpContext httpContext)
    {
        httpContext.Response.ContentType = "application/json; charset=utf-8";
        if (view.Sessions.Sum(s => s.Lines.Length) <= MostPlain || !httpContext.SaysPacked())
        {
            await JsonSerializer.SerializeAsync(httpContext.Response.BodyWriter, view, Told, httpContext.RequestAborted);
            return;
        }

        await using var packed = new GZipStream(httpContext.Response.Body, CompressionLevel.Optimal);
        await JsonSerializer.SerializeAsync(packed, view, Told, httpContext.RequestAborted);
    }

    /// <summary>The parts of a line that are large and stay the same object while nothing they were worked out from changes.</summary>
    private static void KeepParts(JsonTypeInfo type)
    {
        if (type.Type != typeof(RebuiltLine))
        {
            return;
        }

        foreach (var part in type.Properties)
        {
            part.CustomConverter = part.PropertyType == typeof(WrittenLine) ? KeptLine
                : part.PropertyType == typeof(Alternative) ? KeptChosen
                : part.PropertyType == typeof(ImmutableArray<RefusedAlternative>) ? KeptRefused
                : part.PropertyType == typeof(ImmutableArray<Alternative>) ? part.Name == "alternatives" ? Shortened : KeptAdded
                : part.CustomConverter;
        }
    }

    private static readonly Kept<WrittenLine> KeptLine = new(TradeJson.Options);

    private static readonly Kept<Alternative> KeptChosen = new(TradeJson.Options);

    private static readonly KeptList<Alternative> KeptAdded = new(list => list), Shortened = new(list => [.. list.Select(a => a.InShort)]);

    private static readonly KeptList<RefusedAlternative> KeptRefused = new(list => list);

    /// <summary>Written out once for as long as it lives.</summary>
    private sealed class Kept<T>(JsonSerializerOptions by) : JsonConverter<T>
        where T : class
    {
        private readonly ConditionalWeakTable<T, byte[]> _written = [];

        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => throw new NotSupportedException();

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteRawValue(_written.GetValue(value, v => JsonSerializer.SerializeToUtf8Bytes(v, by)), skipInputValidation: true);
    }

    private sealed class KeptList<T>(Func<ImmutableArray<T>, ImmutableArray<T>> told) : JsonConverter<ImmutableArray<T>>
        where T : class
    {
        private readonly ConditionalWeakTable<T[], byte[]> _written = [];

        public override ImmutableArray<T> Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => throw new NotSupportedException();

        public override void Write(Utf8JsonWriter writer, ImmutableArray<T> value, JsonSerializerOptions options) => writer.WriteRawValue(
            _written.GetValue(
                ImmutableCollectionsMarshal.AsArray(value) ?? [],
                list => JsonSerializer.SerializeToUtf8Bytes(told(ImmutableCollectionsMarshal.AsImmutableArray(list)), TradeJson.Options)),
            skipInputValidation: true);
    }
}
