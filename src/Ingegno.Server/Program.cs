using Ingegno.Server;
using Ingegno.Server.Accounts;
using Ingegno.Server.Backups;

try
{
    return await RunAsync(args);
}
catch (SettingsError wrong)
{
    Console.Error.WriteLine($"Ingegno does not start. {wrong.Message}");
    return 1;
}

static async Task<int> RunAsync(string[] args)
{
    if (DataCommands.Run(args, Console.Out) is { } done)
    {
        return done;
    }

    if (await AccountCommands.RunAsync(args, Console.In, Console.Out) is { } accounts)
    {
        return accounts;
    }

    // A second run listens where the first did, also where the system chose the port.
    string[] addresses = [];
    RestoreOutcome? restored = null;
    while (true)
    {
        var builder = WebApplication.CreateBuilder(args);
        if (addresses.Length > 0)
        {
            builder.WebHost.UseUrls(addresses);
        }

        if (DataFolder.Against(Settings.From(builder.Configuration)) is { } against)
        {
            Console.Error.WriteLine($"Ingegno does not start. {against}");
            return 1;
        }

        builder.AddIngegno();
        var app = builder.Build();
        app.UseIngegno();
        await app.PrepareDataAsync();
        app.Lifetime.ApplicationStarted.Register(() => addresses = [.. app.Urls]);
        var asked = app.Services.GetRequiredService<RestoreAsked>();
        asked.Before = restored;
        var settings = app.Services.GetRequiredService<Settings>();
        await app.RunAsync();
        if (asked.File is not { } file)
        {
            return 0;
        }

        // Nothing uses the database now: the backup takes its place, and all that was kept at hand starts anew with it.
        restored = Restored.OrWhy(file, settings);
        Console.WriteLine(restored.Sentence);
    }
}

/// <summary>Entry point, public for the test host.</summary>
public partial class Program;
