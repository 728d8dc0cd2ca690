using Ingegno.Server.Backups;
using Ingegno.Storage;
using Microsoft.Extensions.Configuration;

namespace Ingegno.Server.Tests;

/// <summary>What came of a restore is known to the run after it, whichever way it went.</summary>
public sealed class RestoreOutcomeTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-restore").FullName;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    [Fact]
    public void A_file_that_is_no_backup_changes_nothing_and_says_so()
    {
        var settings = Settings.From(new ConfigurationBuilder().AddInMemoryCollection(new Dictionary<string, string?> { ["INGEGNO_DATA"] = _folder }).Build());
        using (var database = new Database(settings.DatabaseFile))
        {
            database.Migrate();
        }

        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        byte[] before = File.ReadAllBytes(settings.DatabaseFile);
        string wrong = Path.Combine(_folder, "not-a-backup.db");
        File.WriteAllText(wrong, "shopping list");

        var refused = Restored.OrWhy(wrong, settings);
        refused.Done.ShouldBeFalse();
        refused.Sentence.ShouldStartWith("Nothing was changed.");
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        File.ReadAllBytes(settings.DatabaseFile).ShouldBe(before);

        var backup = new Storage.Backups(new Database(settings.DatabaseFile), settings.BackupFolder).Take(new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero));
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        var done = Restored.OrWhy(backup.Path, settings);
        done.Done.ShouldBeTrue(done.Sentence);
        done.Sentence.ShouldStartWith("Restored from");
    }
}
