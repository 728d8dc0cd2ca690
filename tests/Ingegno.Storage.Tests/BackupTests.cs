using Dapper;

namespace Ingegno.Storage.Tests;

/// <summary>Nothing is lost: copies are whole, old ones go, and what a restore replaces is kept.</summary>
public sealed class BackupTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-backups-").FullName;
    private readonly Database _database;
    private readonly Backups _backups;

    public BackupTests()
    {
        _database = new Database(File_);
        _database.Migrate();
        Write("before");
        _backups = new Backups(_database, Path.Combine(_folder, "backups"));
    }

    private string File_ => Path.Combine(_folder, "ingegno.db");

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    [Fact]
    public void A_backup_holds_what_stood_then_and_a_restore_keeps_what_it_replaces()
    {
        var backup = _backups.Take(Now);
        Write("after");
        string? before = Backups.Restore(backup.Path, File_, Now.AddMinutes(5));
        Read(File_).ShouldBe("before");
        Read(before!).ShouldBe("after");
        _backups.All().ShouldHaveSingleItem().At.ShouldBe(Now);
    }

    [Fact]
    public void Two_in_a_second_are_two() =>
        _backups.Take(Now).Path.ShouldNotBe(_backups.Take(Now).Path);

    [Fact]
    public void The_newest_of_each_of_seven_days_stays_then_one_a_week_and_no_more()
    {
        for (int hour = 24 * 100; hour >= 0; hour -= 12)
        {
            _backups.Take(Now.AddHours(-hour));
        }

        int[] ages = [.. _backups.All().Select(b => (int)(Now - b.At).TotalDays)];
        // The newest six, two a day here, then one a day and one a week.
        ages.Length.ShouldBeInRange(7 + 7, 8 + 9 + 3);
        int[] days = [.. _backups.All().Select(b => (Now.Date - b.At.Date).Days)];
        days[..6].ShouldBe([0, 1, 1, 2, 2, 3]);
        days.Distinct().Take(7).ShouldBe([0, 1, 2, 3, 4, 5, 6]);
        days[6..].Distinct().Count().ShouldBe(days[6..].Length);
        ages.ShouldAllBe(a => a < 7 + (7 * 8));
        ages.ShouldBeInOrder();
    }

    [Fact]
    public void What_is_damaged_foreign_newer_or_missing_is_refused_and_nothing_is_changed()
    {
        string whole = _backups.Take(Now).Path, bad = Path.Combine(_folder, "bad.db"), newer = Path.Combine(_folder, "newer.db");
        byte[] bytes = File.ReadAllBytes(whole);
        File.WriteAllBytes(bad, bytes[..(bytes.Length / 2)]);
        Refused(bad).ShouldContain("no whole backup");
        File.WriteAllText(bad, "a letter, not a database, and long enough to be read as one by somebody who does not look");
        Refused(bad).ShouldContain("no whole backup");
        File.Copy(whole, newer);
        using (var connection = new Database(newer).Open())
        {
            connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Ingegno.Storage.Migrations.9999-later.sql', '2030-01-01')");
        }

        Refused(newer).ShouldContain("newer version");
        Refused(Path.Combine(_folder, "nobody.db")).ShouldContain("no file");
        Read(File_).ShouldBe("before");
        Directory.GetFiles(_folder, "*.restoring*").ShouldBeEmpty();

        string Refused(string file) => Should.Throw<RefusedBackupException>(() => Backups.Restore(file, File_, Now)).Message;
    }

    private void Write(string name)
    {
        using var connection = _database.Open();
        connection.Execute("CREATE TABLE IF NOT EXISTS told (name TEXT); DELETE FROM told; INSERT INTO told VALUES (@name)", new { name });
    }

    private static string Read(string file)
    {
        using var connection = new Database(file).Open();
        return connection.ExecuteScalar<string>("SELECT name FROM told")!;
    }
}
