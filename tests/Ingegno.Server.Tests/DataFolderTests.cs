using System.Text;
using Dapper;
using Ingegno.Storage;
using Microsoft.Extensions.Configuration;

namespace Ingegno.Server.Tests;

/// <summary>Nobody else reads the data, and a file that cannot be used is named with what to do, and left as it is.</summary>
public sealed class DataFolderTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-folder").FullName;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private Settings Here => Settings.From(new ConfigurationBuilder().AddInMemoryCollection(new Dictionary<string, string?> { ["INGEGNO_DATA"] = _folder, ["INGEGNO_CHECK_FILE"] = "1" }).Build());

    private string Made()
    {
        using var database = new Database(Here.DatabaseFile);
        database.Migrate();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        return Here.DatabaseFile;
    }

    /// <summary>As they stand, whatever the mask was when they were made.</summary>
    [Fact]
    public void Files_are_the_servers_alone()
    {
        string file = Made();
        string mails = Directory.CreateDirectory(Path.Combine(_folder, "outbox")).FullName, letter = Path.Combine(mails, "letter.eml");
        File.WriteAllText(letter, "a link");
        foreach (string open in new[] { file, letter })
        {
            File.SetUnixFileMode(open, (UnixFileMode)0b110_110_110);
        }

        File.SetUnixFileMode(mails, (UnixFileMode)0b111_111_111);
        DataFolder.Against(Here).ShouldBeNull();
        ((int)File.GetUnixFileMode(file)).ShouldBe(0b110_000_000);
        ((int)File.GetUnixFileMode(letter)).ShouldBe(0b110_000_000);
        ((int)File.GetUnixFileMode(mails)).ShouldBe(0b111_000_000);
        ((int)File.GetUnixFileMode(_folder)).ShouldBe(0b111_000_000);
        File.WriteAllText(letter + "2", "another");
        ((int)File.GetUnixFileMode(letter + "2")).ShouldBe(0b110_000_000, "what is made later too");
    }

    [Fact]
    public void What_is_not_its_own_is_left_as_it_is()
    {
        Made();
        string script = Path.Combine(_folder, "somebodys.sh");
        File.WriteAllText(script, "echo");
        const UnixFileMode everybodys = (UnixFileMode)0b111_101_101;
        File.SetUnixFileMode(script, everybodys);
        File.SetUnixFileMode(_folder, everybodys);
        DataFolder.Against(Here).ShouldBeNull();
        File.GetUnixFileMode(script).ShouldBe(everybodys);
        File.GetUnixFileMode(_folder).ShouldBe(everybodys);
        ((int)File.GetUnixFileMode(Here.DatabaseFile)).ShouldBe(0b110_000_000);
    }

    [Fact]
    public void Nothing_there_is_a_beginning() => DataFolder.Against(Here).ShouldBeNull();

    [Fact]
    public void An_empty_file_is_named()
    {
        File.WriteAllText(Here.DatabaseFile, "");
        Refused("0 bytes");
    }

    [Fact]
    public void What_is_no_database_is_named()
    {
        File.WriteAllText(Here.DatabaseFile, string.Concat(Enumerable.Repeat("not a database at all ", 400)), Encoding.ASCII);
        Refused("backup");
    }

    [Fact]
    public void A_damaged_one_is_named()
    {
        string file = Made();
        byte[] bytes = File.ReadAllBytes(file);
        Array.Fill(bytes, (byte)0x5A, bytes.Length / 2, bytes.Length / 3);
        File.WriteAllBytes(file, bytes);
        Refused("damaged");
    }

    [Fact]
    public void A_newer_one_is_left_to_the_newer_version()
    {
        using (var connection = new Database(Made()).Open())
        {
            connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Ingegno.Storage.Migrations.9999-from-tomorrow.sql', '2030-01-01')");
        }

        Refused("newer version");
    }

    [Fact]
    public void A_locked_one_says_so()
    {
        using var connection = new Database(Made()).Open();
        connection.Execute("BEGIN IMMEDIATE");
        DataFolder.Against(Here)!.ShouldContain("locked by another program");
    }

    private void Refused(string because)
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        byte[] before = File.ReadAllBytes(Here.DatabaseFile);
        string against = DataFolder.Against(Here).ShouldNotBeNull();
        against.ShouldContain(Here.DatabaseFile);
        against.ShouldContain(because);
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        File.ReadAllBytes(Here.DatabaseFile).ShouldBe(before);
    }
}
