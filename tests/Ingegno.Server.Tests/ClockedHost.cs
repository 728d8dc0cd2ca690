using System.Net.Http.Json;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;
using Serilog;
using Serilog.Core;

namespace Ingegno.Server.Tests;

/// <summary>The whole application on an empty file, its clock moved by hand.</summary>
/// <param name="folder">Data to go on with; null for none.</param>
internal sealed class ClockedHost(DateTimeOffset start, string? folder = null) : WebApplicationFactory<Program>
{
    private readonly string _folder = folder ?? Directory.CreateTempSubdirectory("ingegno-clocked").FullName;

    internal string Folder => _folder;

    internal string Outbox => Path.Combine(_folder, "outbox");

    /// <summary>The data outlives it, for another to go on with.</summary>
    internal bool KeepsFolder { get; init; }

    /// <summary>Hears what the application writes down; null for nobody.</summary>
    internal ILogEventSink? Hears { get; init; }

    internal FakeTimeProvider Clock { get; } = new(start);

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("INGEGNO_DATA", _folder);
        builder.ConfigureTestServices(services =>
        {
            services.AddSingleton<TimeProvider>(Clock);
            if (Hears is { } sink)
            {
                services.AddSerilog(log => Application.Logged(log).WriteTo.Sink(sink), preserveStaticLogger: true);
            }
        });
    }

    /// <param name="first">The account is made first.</param>
    internal async Task<HttpClient> CoachAsync(bool first = false)
    {
        var client = CreateDefaultClient(new KeepsCookie());
        var answer = first
            ? await client.PostAsJsonAsync("/api/coaches", new { name = "Ilse Vandermolen", email = "coach@lockside.example", password = "floor-torn-up" })
            : await client.PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = "floor-torn-up" });
        answer.EnsureSuccessStatusCode();
        return client;
    }

    /// <summary>A browser by the application's clock: the machine's own would find every sign-in long expired.</summary>
    private sealed class KeepsCookie : DelegatingHandler
    {
        private string? _cookie;

        protected override async Task<HttpResponseMessage> SendAsync(HttpRequestMessage request, CancellationToken cancellationToken)
        {
            if (_cookie is not null)
            {
                request.Headers.Add("Cookie", _cookie);
            }

            var answer = await base.SendAsync(request, cancellationToken);
            if (answer.Headers.TryGetValues("Set-Cookie", out var set))
            {
                _cookie = set.First().Split(';')[0];
            }

            return answer;
        }
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (!KeepsFolder && Directory.Exists(_folder))
        {
            Directory.Delete(_folder, recursive: true);
        }
    }
}
