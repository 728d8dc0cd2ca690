using System.Collections.Concurrent;
using System.Text;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using OpenTelemetry.Metrics;
using OpenTelemetry.Trace;

namespace Ingegno.Server.Tests;

/// <summary>Metrics and traces go where they were asked for, by route and without a key in them; else nowhere.</summary>
public sealed class TelemetryTests
{
    private const int MostAsked = 500;

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Nothing_is_collected_unless_it_is_configured()
    {
        await using var host = new ClockedHost(DateTimeOffset.UtcNow);
        await host.CoachAsync(first: true);
        host.Services.GetService<TracerProvider>().ShouldBeNull();
    }

    [Fact]
    public async Task What_is_sent_names_routes_and_no_link()
    {
        await using var collector = await Collector.StartAsync();
        string token;
        await using (var host = new ClockedHost(DateTimeOffset.UtcNow).WithWebHostBuilder(web => web
            .UseSetting("OTEL_EXPORTER_OTLP_ENDPOINT", collector.Address)
            .UseSetting("OTEL_EXPORTER_OTLP_PROTOCOL", "http/protobuf")))
        {
            var coach = host.CreateDefaultClient();
            token = Guid.NewGuid().ToString("N");
            // A request is told when it has ended, which on a busy machine is after its answer was read: so it is asked again until one was told.
            for (int asked = 0; asked < MostAsked && !(collector.Paths.Contains("/v1/traces") && collector.Sent.Contains("link/{token}", StringComparison.Ordinal)); asked++)
            {
                (await coach.GetAsync($"/api/link/{token}?at={token}", Stop)).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
                (await coach.GetAsync($"/link/{token}", Stop)).Dispose();
                host.Services.GetRequiredService<TracerProvider>().ForceFlush();
                host.Services.GetRequiredService<MeterProvider>().ForceFlush();
            }
        }

        string sent = collector.Sent;
        collector.Paths.Distinct().Order().ShouldBe(["/v1/metrics", "/v1/traces"]);
        sent.ShouldContain("link/{token}");
        sent.ShouldNotContain(token);
    }

    /// <summary>Takes what an OTLP exporter sends, over HTTP as protocol buffers: text in them is readable as it is.</summary>
    private sealed class Collector(WebApplication app) : IAsyncDisposable
    {
        private readonly ConcurrentQueue<string> _bodies = new();

        internal string Sent => string.Join('\n', _bodies);

        internal ConcurrentQueue<string> Paths { get; } = new();

        internal string Address => app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses.Single();

        internal static async Task<Collector> StartAsync()
        {
            var builder = WebApplication.CreateSlimBuilder();
            builder.Logging.ClearProviders();
            builder.WebHost.UseUrls("http://127.0.0.1:0");
            var collector = new Collector(builder.Build());
            await collector.RunAsync();
            return collector;
        }

        private async Task RunAsync()
        {
            app.MapPost("/{**path}", async (HttpRequest request) =>
            {
                using var body = new MemoryStream();
                await request.Body.CopyToAsync(body);
                _bodies.Enqueue(Encoding.Latin1.GetString(body.ToArray()));
                Paths.Enqueue(request.Path);
            });
            await app.StartAsync(Stop);
        }

        public ValueTask DisposeAsync() => app.DisposeAsync();
    }
}
