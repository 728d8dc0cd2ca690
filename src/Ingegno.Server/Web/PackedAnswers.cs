using Microsoft.Net.Http.Headers;

namespace Ingegno.Server.Web;

/// <summary>Answers that are packed (gzip) for who takes them so. None of them holds a secret beside words of somebody else's choosing.</summary>
internal static class PackedAnswers
{
    /// <summary>Whether who asks takes it packed; the answer says then that it is, and that it hangs on that.</summary>
    internal static bool SaysPacked(this HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.Vary = HeaderNames.AcceptEncoding;
        bool packed = context.Request.GetTypedHeaders().AcceptEncoding.Any(e => e.Value == "gzip" && e.Quality is not 0);
        if (packed)
        {
            headers.ContentEncoding = "gzip";
        }

        return packed;
    }
}
