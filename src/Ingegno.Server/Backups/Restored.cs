using Ingegno.Storage;

namespace Ingegno.Server.Backups;

/// <summary>A restore somebody asked for on the screen: done between two runs of the server, when nothing uses the database.</summary>
internal sealed class RestoreAsked
{
    /// <summary>The backup; null while none was asked for.</summary>
    internal string? File { get; set; }

    /// <summary>What came of the one before this run; null where there was none.</summary>
    internal RestoreOutcome? Before { get; set; }
}

/// <summary>What came of a restore.</summary>
/// <param name="Done">False where nothing was changed.</param>
/// <param name="Sentence">What was done, or why not.</param>
public sealed record RestoreOutcome(bool Done, string Sentence);

/// <summary>Puts a backup in place, and takes those out again who were erased since.</summary>
internal static class Restored
{
    /// <returns>What was done, in words.</returns>
    /// <exception cref="RefusedBackupException">Nothing was changed.</exception>
    internal static string From(string file, Settings settings)
    {
        IReadOnlyList<string> open = File.Exists(settings.DatabaseFile) ? new Sessions(new Database(settings.DatabaseFile)).All() : [];
        string? before = Storage.Backups.Restore(file, settings.DatabaseFile, settings.Clock.GetUtcNow());
        var database = new Database(settings.DatabaseFile);
        database.Migrate();
        new Sessions(database).KeepOnly(open);
        int erased = new Erasing(database, settings.ErasedFile).Again();
        return $"Restored from {file}.{(before is null ? "" : $" What was there is kept: {before}.")}{(erased == 0 ? "" : $" {erased} who were erased since were taken out again.")}";
    }

    /// <summary>The same where there is nobody to refuse it to: the server goes on with what it had.</summary>
    internal static RestoreOutcome OrWhy(string file, Settings settings)
    {
        try
        {
            return new(true, From(file, settings));
        }
        catch (Exception refused) when (refused is RefusedBackupException or IOException or UnauthorizedAccessException or Microsoft.Data.Sqlite.SqliteException)
        {
            return new(false, $"Nothing was changed. {refused.Message}");
        }
    }
}
