using System.Security.Cryptography;
using System.Text;
using System.Text.RegularExpressions;
using Microsoft.Extensions.FileProviders;

namespace Ingegno.Server.Web;

/// <summary>Serves the built front end and the headers that keep it to its own origin.</summary>
internal static partial class FrontEnd
{
    /// <summary>
    /// The one style attribute in the page: the front-end framework's own, which hides its page-change announcer.
    /// </summary>
    private const string AnnouncerStyle = "'unsafe-hashes' 'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo='";

    private static readonly TimeSpan Forever = TimeSpan.FromDays(365);

    internal static void UseFrontEnd(this WebApplication app) =>
        app.UseStaticFiles(new StaticFileOptions
        {
            OnPrepareResponse = context =>
            {
                // Hashed names never change content; the shell must be asked for each time.
                bool hashed = context.Context.Request.Path.StartsWithSegments("/_app/immutable");
                context.Context.Response.Headers.CacheControl = hashed ? $"public, max-age={(int)Forever.TotalSeconds}, immutable" : "no-cache";
            },
        });

    /// <summary>No script but our own files and the shell's start script, told by its hash.</summary>
    internal static void UseSafeHeaders(this WebApplication app)
    {
        string policy = Policy(app.Environment.WebRootFileProvider);
        app.Use((context, next) =>
        {
            // At the last moment: an error clears what was set before it.
            context.Response.OnStarting(() =>
            {
                var headers = context.Response.Headers;
                headers.ContentSecurityPolicy = policy;
                headers.XContentTypeOptions = "nosniff";
                headers.XFrameOptions = "DENY";
                headers["Referrer-Policy"] = "no-referrer";
                headers["Cross-Origin-Opener-Policy"] = "same-origin";
                headers["Permissions-Policy"] = "camera=(self), geolocation=(), microphone=(), payment=()";
                if (context.Request.Path.StartsWithSegments("/api"))
                {
                    headers.CacheControl = "no-store";
                }
                else if (headers.CacheControl.Count == 0)
                {
                    // The shell, whichever address it was asked by.
                    headers.CacheControl = "no-cache";
                }

                return Task.CompletedTask;
            });
            return next();
        });
    }

    /// <summary>Refuses changes another site's page asks the browser to send: by what the browser says of the page, and by the page's own origin.</summary>
    internal static void UseSameOrigin(this WebApplication app)
    {
        string own = app.Services.GetRequiredService<Settings>().PublicUrl;
        app.Use((context, next) =>
        {
            var headers = context.Request.Headers;
            bool changes = !HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method);
            string origin = headers.Origin.ToString();
            bool isOwn = origin.Length == 0 || origin == own
                || (Uri.TryCreate(origin, UriKind.Absolute, out var page) && page.Authority == context.Request.Host.Value);
            if (changes && (headers["Sec-Fetch-Site"].ToString() is "cross-site" or "same-site" || !isOwn))
            {
                context.Response.StatusCode = StatusCodes.Status403Forbidden;
                return Task.CompletedTask;
            }

            return next();
        });
    }

    private static string Policy(IFileProvider files)
    {
        var shell = files.GetFileInfo("index.html");
        string hashes = shell.Exists ? string.Join(' ', ScriptHashes(shell)) : "";
        return $"default-src 'self'; script-src 'self' {hashes}; style-src 'self' {AnnouncerStyle}; img-src 'self'; "
            + "connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
    }

    private static IEnumerable<string> ScriptHashes(IFileInfo shell)
    {
        using var reader = new StreamReader(shell.CreateReadStream());
        foreach (Match script in InlineScript().Matches(reader.ReadToEnd()))
        {
            byte[] hash = SHA256.HashData(Encoding.UTF8.GetBytes(script.Groups[1].Value));
            yield return $"'sha256-{Convert.ToBase64String(hash)}'";
        }
    }

    [GeneratedRegex("<script[^>]*>(.+?)</script>", RegexOptions.Singleline)]
    private static partial Regex InlineScript();
}
