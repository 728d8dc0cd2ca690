using System.Globalization;
using Ingegno.Core.Quantities;
using Ingegno.Core.Weeks;
using Ingegno.Server.Accounts;
using Ingegno.Server.Backups;
using Ingegno.Server.Bench;
using Ingegno.Server.Calendars;
using Ingegno.Server.Catalogues;
using Ingegno.Server.Clients;
using Ingegno.Server.Demo;
using Ingegno.Server.Desk;
using Ingegno.Server.Devices;
using Ingegno.Server.Engine;
using Ingegno.Server.Figures;
using Ingegno.Server.Files;
using Ingegno.Server.Homes;
using Ingegno.Server.Links;
using Ingegno.Server.Log;
using Ingegno.Server.Plans;
using Ingegno.Server.Practices;
using Ingegno.Server.Sheets;
using Ingegno.Server.Web;
using Ingegno.Simulation;
using Ingegno.Solving;
using Ingegno.Storage;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HttpOverrides;
using Serilog;

namespace Ingegno.Server;

/// <summary>Puts the parts together: storage, sign-in, API, the built front end.</summary>
internal static class Application
{
    /// <summary>Largest request taken; a pasted block is far under it.</summary>
    private const int MostRequestBytes = 2_000_000;

    /// <summary>What runs then is let go; what was answered is safe.</summary>
    private static readonly TimeSpan LongestStop = TimeSpan.FromSeconds(4);

    /// <summary>What is written down of a run: addresses of requests, which hold the keys of links, are left out.</summary>
    internal static LoggerConfiguration Logged(LoggerConfiguration log) => log
        .MinimumLevel.Information()
        .MinimumLevel.Override("Microsoft.AspNetCore", Serilog.Events.LogEventLevel.Warning)
        .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture);

    internal static void AddIngegno(this WebApplicationBuilder builder)
    {
        var settings = Settings.From(builder.Configuration);
        builder.Services.AddSingleton(settings);
        builder.Services.AddSingleton(settings.Clock);
        builder.Services.AddSingleton(new Database(settings.DatabaseFile)).AddSingleton<SharedWriting>();
        builder.Services.AddSingleton<Coaches>().AddSingleton<Audit>().AddSingleton<Storage.Clients>().AddSingleton<Places>().AddSingleton<Storage.Practices>().AddSingleton<Cases>().AddSingleton<Storage.Plans>().AddSingleton<SetLogs>().AddSingleton<SetConflicts>();
        builder.Services.AddSingleton<SessionNotes>().AddSingleton<ChangeWords>().AddSingleton<Lessons>().AddSingleton<ClientLinks>().AddSingleton<FixtureReports>().AddSingleton<DecisionRecords>().AddSingleton<DeskStamps>();
        builder.Services.AddSingleton<Trainings>().AddSingleton<PhoneCases>().AddSingleton<LinkViews>().AddSingleton<LogLessons>().AddSingleton<Learner>().AddHostedService(services => services.GetRequiredService<Learner>()).AddSingleton<Progresses>().AddSingleton<Sender>().AddSingleton<DeskRows>().AddSingleton<Answering>().AddSingleton<PlanCommands>().AddSingleton<SheetWriter>().AddSingleton<CaseFiles>().AddSingleton<RestoreAsked>().AddHostedService<DeskWarming>().AddHostedService<QuietMemory>();
        builder.Services.AddSingleton(services => new Storage.Backups(services.GetRequiredService<Database>(), settings.BackupFolder)).AddHostedService<BackupSchedule>();
        builder.Services.AddSingleton(services => new Erasing(services.GetRequiredService<Database>(), settings.ErasedFile));
        builder.Services.AddSingleton(new SimulatedPost(Path.Combine(settings.DataFolder, "outbox")));
        builder.Services.AddHttpClient();
        builder.Services.AddSingleton<Devices.Devices>();
        builder.Services.AddSingleton<DemoData>();
        builder.Services.AddSingleton<IWeekSolver, WeekSolver>().AddSingleton<WorkUnderWay>().AddSingleton<RebuildsAtHand>().AddSingleton<BlockAhead>();
        builder.Services.AddSerilog(log => Logged(log), preserveStaticLogger: true);
        builder.AddTelemetry(settings);
        builder.Services.AddDataProtection()
            .SetApplicationName("Ingegno")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(settings.DataFolder, "keys")));
        builder.Services.AddSignIn();
        builder.Services.ConfigureHttpJsonOptions(o => TradeJson.Apply(o.SerializerOptions));
        builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        builder.Services.AddLongestWork(settings.LongestWork);
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<PlainErrors>();
        builder.Services.AddOpenApi(o => o
            .AddSchemaTransformer<QuantitySchemas>()
            .AddDocumentTransformer((document, _, _) =>
            {
                document.Info = new() { Title = "Ingegno", Version = "1" };
                document.Servers?.Clear();
                return Task.CompletedTask;
            }));
        builder.Services.Configure<HostOptions>(o => o.ShutdownTimeout = LongestStop);
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = MostRequestBytes;
        });
    }

    internal static void UseIngegno(this WebApplication app)
    {
        if (app.Services.GetRequiredService<Settings>().Proxies is { IsEmpty: false } proxies)
        {
            var forwarded = new ForwardedHeadersOptions { ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto | ForwardedHeaders.XForwardedHost };
            forwarded.KnownIPNetworks.Clear();
            forwarded.KnownProxies.Clear();
            foreach (var proxy in proxies)
            {
                forwarded.KnownProxies.Add(proxy);
            }

            app.UseForwardedHeaders(forwarded);
        }

        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseSafeHeaders();
        app.UseSameOrigin();
        app.UseFrontEnd();
        app.UsePlainJson();
        app.UseAuthentication();
        app.UseAuthorization();
        app.UseRateLimiter();
        app.UseRequestTimeouts();

        var api = app.MapGroup("/api");
        api.MapAccounts();
        var signedIn = api.MapGroup("").RequireAuthorization().WithAudit().WithChoicesChecked();
        signedIn.MapOwnAccount();
        signedIn.MapTeam();
        signedIn.MapClients();
        signedIn.MapPlaces();
        signedIn.MapPractice();
        signedIn.MapDevices();
        signedIn.MapBench();
        signedIn.MapWeek();
        signedIn.MapUnderWay();
        signedIn.MapBlock();
        signedIn.MapShrink();
        signedIn.MapRoster();
        signedIn.MapCatalogue();
        signedIn.MapLog();
        signedIn.MapEngine();
        signedIn.MapReturn();
        signedIn.MapDesk();
        signedIn.MapHistory();
        signedIn.MapSending();
        signedIn.MapFiles();
        signedIn.MapFigures();
        signedIn.MapSheets();
        signedIn.MapChangeNotes();
        signedIn.MapCalendars();
        signedIn.MapCaseFiles();
        signedIn.MapErasing();
        signedIn.MapBackups();
        api.MapLinks();
        api.MapLinkFigures();
        api.MapLinkCalendar();
        api.MapFallback(() => TypedResults.Problem(statusCode: 404, title: "There is nothing at this address."));
        app.MapHealth();
        app.MapOpenApi();
        app.MapFallbackToFile("index.html");
    }

    /// <summary>Brings the file up to date, and fills an empty one with the demo where asked.</summary>
    internal static async Task PrepareDataAsync(this WebApplication app)
    {
        app.Services.GetRequiredService<Database>().Migrate();

        await app.Services.GetRequiredService<Sender>().FinishAsync();
        await app.Services.GetRequiredService<Learner>().FindWaitingAsync();
        if (app.Services.GetRequiredService<Settings>().Demo is not DemoKind.None and var demo)
        {
            await app.Services.GetRequiredService<DemoData>().FillIfEmptyAsync(demo);
        }
    }
}
