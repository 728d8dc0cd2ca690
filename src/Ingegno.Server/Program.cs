using Ingegno.Server;
using Ingegno.Server.Backups;

if (DataCommands.Run(args, Console.Out) is { } done)
{
    return done;
}

while (true)
{
    var builder = WebApplication.CreateBuilder(args);
    builder.AddIngegno();
    var app = builder.Build();
    app.UseIngegno();
    await app.PrepareDataAsync();
    var asked = app.Services.GetRequiredService<RestoreAsked>();
    var settings = app.Services.GetRequiredService<Settings>();
    await app.RunAsync();
    if (asked.File is not { } file)
    {
        return 0;
    }

    // Nothing uses the database now: the backup takes its place, and all that was kept at hand starts anew with it.
    Console.WriteLine(Restored.OrWhy(file, settings));
}

/// <summary>Entry point, public for the test host.</summary>
public partial class Program;
