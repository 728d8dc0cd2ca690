using System.IO.Compression;
using System.Net.Mime;
using System.Reflection;
using System.Text.Json;
using Ingegno.Core.Quantities;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.Metadata;

namespace Ingegno.Server.Desk;

/// <summary>
/// All rows of the Desk as they are sent, written out and packed once for as many as ask: a thousand clients are over a megabyte, and a tenth of it
/// packed. Nothing in it is chosen by who asks, so that its length tells nothing of what it holds.
/// </summary>
internal sealed class ToldDesk : IResult, IEndpointMetadataProvider
{
    private readonly byte[] _plain, _packed;

    internal ToldDesk(IReadOnlyList<DeskRow> rows)
    {
        _plain = JsonSerializer.SerializeToUtf8Bytes(rows, TradeJson.Options);
        using var packed = new MemoryStream();
        using (var zip = new GZipStream(packed, CompressionLevel.Fastest))
        {
            zip.Write(_plain);
        }

        _packed = packed.ToArray();
    }

    public static void PopulateMetadata(MethodInfo method, EndpointBuilder builder) =>
        builder.Metadata.Add(new ProducesResponseTypeMetadata(StatusCodes.Status200OK, typeof(DeskRow[]), [MediaTypeNames.Application.Json]));

    public async Task ExecuteAsync(HttpContext httpContext)
    {
        var response = httpContext.Response;
        response.ContentType = MediaTypeNames.Application.Json;
        byte[] body = httpContext.SaysPacked() ? _packed : _plain;
        response.ContentLength = body.Length;
        await response.Body.WriteAsync(body, httpContext.RequestAborted);
    }
}
