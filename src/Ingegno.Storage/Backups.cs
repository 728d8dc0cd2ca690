using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>A copy that was opened and read through.</summary>
/// <param name="Path">Of the file.</param>
/// <param name="At">When it was taken.</param>
/// <param name="Bytes">Its size.</param>
public sealed record Backup(string Path, DateTimeOffset At, long Bytes);

/// <summary>A file that may not take the place of the database, with what to do.</summary>
public sealed class RefusedBackupException(string message, Exception? inner = null) : Exception(message, inner);

/// <summary>
/// Whole copies of the database in a folder beside it, each verified before it counts. The newest are kept, then the newest of each of the last days, then one a week.
/// </summary>
/// <param name="database">Copied while it is in use.</param>
/// <param name="folder">Made when missing.</param>
public sealed class Backups(Database database, string folder)
{
    /// <summary>Days the newest copy of each is kept, and weeks after them.</summary>
    private const int Days = 7, Weeks = 8;

    /// <summary>The newest so many are kept whatever their days: one taken by hand never lets go of this morning's.</summary>
    private const int Newest = 6;

    private const string Start = "ingegno-", End = ".db", Stamp = "yyyyMMdd-HHmmss";

    /// <summary>A database and what SQLite keeps beside it.</summary>
    private static readonly string[] Files = ["", "-wal", "-shm"];

    /// <summary>Newest first.</summary>
    public IReadOnlyList<Backup> All() => !Directory.Exists(folder) ? [] :
    [
        .. from path in Directory.GetFiles(folder, $"{Start}*{End}")
           let at = TimeOf(path)
           where at is not null
           orderby at descending
           select new Backup(path, at.Value, new FileInfo(path).Length),
    ];

    /// <summary>Copies, verifies, and lets go what is old. A copy that does not verify is not kept, nor is an older one let go for it.</summary>
    /// <param name="letGo">False keeps all there are, for the one about to be restored may be among the old.</param>
    /// <exception cref="RefusedBackupException">The copy is damaged, and so is the database.</exception>
    public Backup Take(DateTimeOffset now, bool letGo = true)
    {
        Directory.CreateDirectory(folder);
        // Two in a second are two: none takes another's place.
        var named = now;
        while (File.Exists(PathOf(named)))
        {
            named = named.AddSeconds(1);
        }

        string path = PathOf(named);
        string unfinished = path + ".part";
        File.Delete(unfinished);
        try
        {
            database.CopyTo(unfinished);
            if (Verify(unfinished) is { } damage)
            {
                throw new RefusedBackupException($"The copy is damaged, so the database is: {damage}. Put the newest backup in its place.");
            }

            File.Move(unfinished, path);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            File.Delete(unfinished);
        }

        if (letGo)
        {
            LetGo(now);
        }

        return new(path, TimeOf(path)!.Value, new FileInfo(path).Length);
    }

    private void LetGo(DateTimeOffset now)
    {
        var kept = new HashSet<string>();
        foreach (var (place, backup) in All().Index())
        {
            // Days and weeks of the calendar: slots that moved along with the days would let every old copy go.
            int age = (int)(now - backup.At).TotalDays, day = (int)(backup.At - DateTimeOffset.UnixEpoch).TotalDays;
            string slot = age < Days ? $"day {day}" : $"week {day / 7}";
            bool first = kept.Add(slot);
            if (place >= Newest && (!first || age >= Days + (7 * Weeks)))
            {
                File.Delete(backup.Path);
            }
        }
    }

    private string PathOf(DateTimeOffset at) => System.IO.Path.Combine(folder, Start + at.UtcDateTime.ToString(Stamp, CultureInfo.InvariantCulture) + End);

    private static DateTimeOffset? TimeOf(string path) =>
        DateTimeOffset.TryParseExact(
            System.IO.Path.GetFileNameWithoutExtension(path)[Start.Length..], Stamp, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at) ? at : null;

    /// <summary>What is wrong with a file as a database of ours; null where nothing is.</summary>
    private static string? Verify(string path)
    {
        try
        {
            return new Database(path).Damage();
        }
        catch (SqliteException wrong)
        {
            return wrong.Message;
        }
    }

    /// <summary>
    /// Puts a backup in the place of the database, which nothing may be using. What stood there is kept beside it under the name of the moment, so the way
    /// back is open.
    /// </summary>
    /// <param name="backup">Read through first; it stays as it is.</param>
    /// <param name="database">Where it goes.</param>
    /// <returns>Where what stood there before is now; null where nothing did.</returns>
    /// <exception cref="RefusedBackupException">No file, damaged, or made by a newer version. Nothing was changed.</exception>
    public static string? Restore(string backup, string database, DateTimeOffset now)
    {
        if (!File.Exists(backup))
        {
            throw new RefusedBackupException($"There is no file {backup}.");
        }

        // Read through as a copy: opening a file may write beside it.
        string copy = database + ".restoring";
        try
        {
            File.Copy(backup, copy, overwrite: true);
            if (Verify(copy) is { } damage)
            {
                throw new RefusedBackupException($"{backup} is no whole backup: {damage}. Take another.");
            }

            try
            {
                if (new Database(copy).NewerScript() is { } newer)
                {
                    throw new RefusedBackupException($"{backup} was made by a newer version of Ingegno ({newer}). Update first, then restore.");
                }
            }
            catch (SqliteException other)
            {
                throw new RefusedBackupException($"{backup} is a database of something else.", other);
            }

            SqliteConnection.ClearAllPools();
            string? before = null;
            if (File.Exists(database))
            {
                before = $"{database}.before-{now.UtcDateTime.ToString(Stamp, CultureInfo.InvariantCulture)}";
                foreach (string end in Files.Where(end => File.Exists(database + end)))
                {
                    File.Move(database + end, before + end);
                }
            }

            File.Move(copy, database);
            return before;
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            foreach (string end in Files)
            {
                File.Delete(copy + end);
            }
        }
    }
}
