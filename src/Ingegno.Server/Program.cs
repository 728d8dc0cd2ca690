using Ingegno.Server;

if (Ingegno.Server.Backups.DataCommands.Run(args, Console.Out) is { } done)
{
    return done;
}

var builder = WebApplication.CreateBuilder(args);
builder.AddIngegno();
var app = builder.Build();
app.UseIngegno();
await app.PrepareDataAsync();
await app.RunAsync();
return 0;

/// <summary>Entry point, public for the test host.</summary>
public partial class Program;
