using System.Runtime.InteropServices;
using Ingegno.Storage;
using Microsoft.Data.Sqlite;

namespace Ingegno.Server;

/// <summary>The folder everything is kept in: nobody's but the server's own, and looked at before anything in it is touched.</summary>
internal static partial class DataFolder
{
    private const UnixFileMode Own = UnixFileMode.UserRead | UnixFileMode.UserWrite, OwnFolder = Own | UnixFileMode.UserExecute;

    /// <summary>For group and others nothing.</summary>
    private const uint NobodyElse = 0x3F;

    [LibraryImport("libc", EntryPoint = "umask")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static partial uint SetMask(uint mask);

    /// <summary>
    /// Whatever this program makes from here on is its user's alone, and what is there of its own becomes so. What else lies in the folder is
    /// somebody else's and left as it is, and so is then the folder.
    /// </summary>
    internal static void Close(string folder)
    {
        _ = SetMask(NobodyElse);
        Directory.CreateDirectory(folder);
        FileSystemInfo[] entries = [.. new DirectoryInfo(folder).EnumerateFileSystemInfos()];
        if (entries.All(IsOwn))
        {
            File.SetUnixFileMode(folder, OwnFolder);
        }

        foreach (var entry in entries.Where(IsOwn).Where(e => e.LinkTarget is null))
        {
            File.SetUnixFileMode(entry.FullName, entry is DirectoryInfo ? OwnFolder : Own);
            foreach (var within in entry is DirectoryInfo ours ? ours.EnumerateFileSystemInfos("*", SearchOption.AllDirectories).Where(e => e.LinkTarget is null) : [])
            {
                File.SetUnixFileMode(within.FullName, within is DirectoryInfo ? OwnFolder : Own);
            }
        }
    }

    /// <summary>Database and its copies, the sign-in keys, the letters, the backups, the list of the erased.</summary>
    private static bool IsOwn(FileSystemInfo entry) => entry.Name is "keys" or "outbox" or "backups" or "erased.txt" || entry.Name.StartsWith("ingegno", StringComparison.Ordinal);

    /// <summary>What stands against starting on this file, with the remedy; null for nothing. The file is not changed.</summary>
    internal static string? Against(Settings settings)
    {
        string file = settings.DatabaseFile;
        try
        {
            Close(settings.DataFolder);
            if (!File.Exists(file))
            {
                return null;
            }

            if (new FileInfo(file).Length == 0)
            {
                return $"{file} is empty: 0 bytes. Put a backup in its place, or take it away to begin anew.";
            }

            using (File.Open(file, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite))
            {
            }

            using var database = new Database(file);
            return database.NewerScript() is { } script ? $"{file} was made by a newer version of Ingegno ({script}). Start that version; this one leaves it as it is."
                : settings.ChecksFile && database.Damage() is { } damage ? $"{file} is damaged: {damage}. Put a backup in its place (dotnet Ingegno.Server.dll backups lists them)."
                : database.IsLocked() ? $"{file} is locked by another program. Stop it, or wait until it has done."
                : null;
        }
        catch (SqliteException broken) when (broken.SqliteErrorCode is 11 or 26)
        {
            return $"{file} is damaged or no database: {broken.Message} Put a backup in its place (dotnet Ingegno.Server.dll backups lists them).";
        }
        catch (SqliteException locked) when (locked.SqliteErrorCode is 5 or 6)
        {
            return $"{file} is locked by another program. Stop it, or wait until it has done.";
        }
        catch (Exception closed) when (closed is UnauthorizedAccessException or IOException)
        {
            return $"{settings.DataFolder} cannot be written: {closed.Message} Give the folder to the user the server runs as, and see that there is room.";
        }
    }
}
