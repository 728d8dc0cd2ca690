using Ingegno.Storage;

namespace Ingegno.Server.Backups;

/// <summary>What is done to the data from the command line, the server standing still or, for a backup, running.</summary>
internal static class DataCommands
{
    /// <returns>Exit code; null where the arguments name no command, and the server is to start.</returns>
    internal static int? Run(string[] args, TextWriter said)
    {
        if (args is not (["backup"] or ["backups"] or ["restore", _]))
        {
            return null;
        }

        var settings = Settings.From(new ConfigurationBuilder().AddEnvironmentVariables().Build());
        if (args is ["backup"] && !File.Exists(settings.DatabaseFile))
        {
            said.WriteLine($"There is no database in {settings.DataFolder}. INGEGNO_DATA names the folder.");
            return 1;
        }

        try
        {
            var backups = new Storage.Backups(new Database(settings.DatabaseFile), settings.BackupFolder);
            switch (args)
            {
                case ["backup"]:
                    said.WriteLine($"Backup taken and read through: {backups.Take(settings.Clock.GetUtcNow()).Path}");
                    break;
                case ["backups"]:
                    foreach (var backup in backups.All())
                    {
                        said.WriteLine($"{backup.At:yyyy-MM-dd HH:mm} UTC  {backup.Bytes / 1e6,8:0.0} MB  {backup.Path}");
                    }

                    break;
                case ["restore", var file]:
                    said.WriteLine(Restored.From(file, settings));
                    break;
            }

            return 0;
        }
        catch (Exception refused) when (refused is RefusedBackupException or IOException or UnauthorizedAccessException or Microsoft.Data.Sqlite.SqliteException)
        {
            said.WriteLine($"Nothing was changed. {refused.Message}");
            return 1;
        }
    }
}
