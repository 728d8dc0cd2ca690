using System.Net.Http.Json;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Ingegno.Server.Tests;

/// <summary>The whole application on its own data folder, its clock at a fixed start.</summary>
public sealed class ServerHost : WebApplicationFactory<Program>
{
    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-server").FullName;

    private Task<HttpClient>? _coach;

    /// <summary>Members without a history, or "1" for all of the demo.</summary>
    internal string Demo { get; init; } = "members";

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        string shell = Path.Combine(_folder, "web");
        Directory.CreateDirectory(shell);
        File.WriteAllText(Path.Combine(shell, "index.html"), "<!doctype html><title>shell</title><script>start()</script>");
        builder.UseWebRoot(shell);
        builder.UseSetting("INGEGNO_DATA", _folder);
        builder.UseSetting("INGEGNO_DEMO", Demo);
        builder.UseSetting("INGEGNO_NOW", "2026-11-23T09:00:00Z");
        // No answer of a test hangs on how busy the machine is.
        builder.UseSetting("INGEGNO_LONGEST_WORK", "120");
    }

    /// <summary>The file behind it, for tests that put a stop into its midst.</summary>
    internal string DatabasePath => Path.Combine(_folder, "ingegno.db");

    /// <summary>A browser without a sign-in.</summary>
    internal HttpClient Stranger() => CreateClient(new WebApplicationFactoryClientOptions { AllowAutoRedirect = false });

    /// <summary>A browser signed in as the demo coach.</summary>
    internal Task<HttpClient> CoachAsync() => _coach ??= SignInAsync();

    /// <summary>Signed in once: the door lets only so many try in a minute.</summary>
    private async Task<HttpClient> SignInAsync()
    {
        var client = Stranger();
        var answer = await client.PostAsJsonAsync("/api/session", new { email = "coach@lockside.example", password = "floor-torn-up" });
        answer.EnsureSuccessStatusCode();
        return client;
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (Directory.Exists(_folder))
        {
            Directory.Delete(_folder, recursive: true);
        }
    }
}
