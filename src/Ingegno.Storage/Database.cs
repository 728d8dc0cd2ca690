using System.Reflection;
using DbUp;
using DbUp.Sqlite.Helpers;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>The SQLite file: brings it up to date and opens connections. Write-ahead log, foreign keys on.</summary>
public sealed class Database
{
    private readonly string _connectionString;

    /// <param name="path">File; made when missing, its folder too.</param>
    public Database(string path)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(path))!);
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = path,
            ForeignKeys = true,
            DefaultTimeout = 10,
        }.ToString();
    }

    /// <summary>Runs the numbered migrations the file has not had yet, each in a transaction.</summary>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as before it.</exception>
    public void Migrate()
    {
        using var connection = Open();
        using (var pragma = connection.CreateCommand())
        {
            pragma.CommandText = "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL;";
            pragma.ExecuteNonQuery();
        }

        using var shared = new SharedConnection(connection);
        var result = DeployChanges.To
            .SqliteDatabase(shared)
            .WithScriptsEmbeddedInAssembly(Assembly.GetExecutingAssembly(), name => name.EndsWith(".sql", StringComparison.Ordinal))
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!result.Successful)
        {
            throw new InvalidOperationException($"Migration {result.ErrorScript?.Name} failed: {result.Error.Message}", result.Error);
        }
    }

    /// <summary>An open connection; the caller disposes it.</summary>
    public SqliteConnection Open()
    {
        var connection = new SqliteConnection(_connectionString);
        connection.Open();
        return connection;
    }
}
