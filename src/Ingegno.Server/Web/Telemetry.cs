using System.Diagnostics;
using System.Diagnostics.Metrics;
using OpenTelemetry;
using OpenTelemetry.Instrumentation.AspNetCore;
using OpenTelemetry.Metrics;
using OpenTelemetry.Resources;
using OpenTelemetry.Trace;

namespace Ingegno.Server.Web;

/// <summary>What the server counts for whoever watches it: how long a log takes to be learned from.</summary>
internal sealed class Counters(IMeterFactory meters)
{
    internal const string Name = "Ingegno";

    private readonly Histogram<double> _learned = meters.Create(Name).CreateHistogram<double>(
        "ingegno.learning.duration", "s", "From asking for a client's log to having learned from it.");

    internal void Learned(TimeSpan took) => _learned.Record(took.TotalSeconds);
}

/// <summary>
/// Metrics and traces by OpenTelemetry, sent only where the environment names a collector. A request is told by its route: a link's address is the key
/// to it, and neither an address, what was asked with it nor an exception's words leave the server.
/// </summary>
internal static class Telemetry
{
    /// <summary>Names of OpenTelemetry's semantic conventions for HTTP.</summary>
    private const string Path = "url.path", Query = "url.query", FormerTarget = "http.target", FormerAddress = "http.url";

    internal static void AddTelemetry(this WebApplicationBuilder builder, Settings settings)
    {
        builder.Services.AddSingleton<Counters>();
        if (settings.Collector is null)
        {
            return;
        }

        builder.Services.AddOpenTelemetry()
            .ConfigureResource(resource => resource.AddService("ingegno"))
            .WithTracing(traces => traces.AddAspNetCoreInstrumentation(Guarded).AddProcessor<ByRoute>())
            .WithMetrics(metrics => metrics.AddAspNetCoreInstrumentation().AddMeter(Counters.Name, "System.Runtime"))
            .UseOtlpExporter();
    }

    private static void Guarded(AspNetCoreTraceInstrumentationOptions options) => options.RecordException = false;

    /// <summary>The address gives way to the route before anything is exported.</summary>
    private sealed class ByRoute : BaseProcessor<Activity>
    {
        public override void OnEnd(Activity data)
        {
            data.SetTag(Path, data.GetTagItem("http.route") as string ?? "no route");
            data.SetTag(Query, null);
            data.SetTag(FormerTarget, null);
            data.SetTag(FormerAddress, null);
        }
    }
}
