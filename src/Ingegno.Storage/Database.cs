using System.Reflection;
using Dapper;
using DbUp;
using DbUp.Sqlite.Helpers;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>The SQLite file: brings it up to date and opens connections. Write-ahead log, foreign keys on.</summary>
public sealed class Database : IDisposable
{
    /// <summary>Seconds a write waits for its turn, and at the file's own lock.</summary>
    private const int LongestWait = 10;

    private const string CodeName = "Ingegno.Storage.Migrations.0008-plan-histories.cs";

    private readonly string _connectionString;
    private readonly string _path;
    private readonly SemaphoreSlim _turn = new(1, 1);
    private long _writings;

    /// <param name="path">File; made when missing, its folder too.</param>
    public Database(string path)
    {
        _path = Path.GetFullPath(path);
        Directory.CreateDirectory(Path.GetDirectoryName(_path)!);
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = path,
            ForeignKeys = true,
            DefaultTimeout = LongestWait,
        }.ToString();
    }

    /// <summary>
    /// Runs the numbered migrations the file has not had yet, each in a transaction. A file that has data is copied beside itself first.
    /// </summary>
    /// <exception cref="InvalidOperationException">A migration failed; the copy is as the file was.</exception>
    public void Migrate()
    {
        using var connection = Open();
        using (var pragma = connection.CreateCommand())
        {
            pragma.CommandText = "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL;";
            pragma.ExecuteNonQuery();
        }

        using var shared = new SharedConnection(connection);
        var upgrade = DeployChanges.To
            .SqliteDatabase(shared)
            .WithScriptsEmbeddedInAssembly(Assembly.GetExecutingAssembly(), name => name.EndsWith(".sql", StringComparison.Ordinal))
            .WithScript(CodeName, new Migrations.PlanHistories())
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build();
        if (upgrade.GetExecutedScripts().Count > 0 && upgrade.GetScriptsToExecute() is { Count: > 0 } waiting)
        {
            CopyBeside(connection, waiting[0].Name);
        }

        var result = upgrade.PerformUpgrade();
        if (!result.Successful)
        {
            throw new InvalidOperationException($"Migration {result.ErrorScript?.Name} failed: {result.Error.Message}", result.Error);
        }
    }

    /// <summary>"ingegno-before-0007.db" beside the file; one that is there already, from an update that failed, is left.</summary>
    private void CopyBeside(SqliteConnection connection, string script)
    {
        string number = new([.. script.Split('.').First(part => part.Length > 0 && char.IsAsciiDigit(part[0])).TakeWhile(char.IsAsciiDigit)]);
        string copy = Path.Combine(Path.GetDirectoryName(_path)!, $"{Path.GetFileNameWithoutExtension(_path)}-before-{number}{Path.GetExtension(_path)}");
        if (!File.Exists(copy))
        {
            Copy(connection, copy);
        }
    }

    /// <summary>A whole copy as it stands at one moment, while others read and write.</summary>
    /// <param name="copy">A file that is not there yet.</param>
    internal void CopyTo(string copy)
    {
        using var connection = Open();
        Copy(connection, copy);
    }

    private static void Copy(SqliteConnection connection, string copy)
    {
        using var vacuum = connection.CreateCommand();
        vacuum.CommandText = "VACUUM INTO $copy";
        vacuum.Parameters.AddWithValue("$copy", copy);
        vacuum.ExecuteNonQuery();
    }

    /// <summary>The newest script the file has had that this version does not know; null where it knows them all.</summary>
    public string? NewerScript()
    {
        using var connection = Open();
        var known = Assembly.GetExecutingAssembly().GetManifestResourceNames().Append(CodeName).ToHashSet(StringComparer.Ordinal);
        if (!connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM sqlite_master WHERE name = 'SchemaVersions')"))
        {
            return null;
        }

        return connection.Query<string>("SELECT ScriptName FROM SchemaVersions").Where(script => !known.Contains(script)).Max();
    }

    /// <summary>Another program is writing and does not let go.</summary>
    public bool IsLocked()
    {
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder(_connectionString) { DefaultTimeout = 1, Pooling = false }.ToString());
        connection.Open();
        try
        {
            connection.Execute("BEGIN IMMEDIATE; ROLLBACK");
            return false;
        }
        catch (SqliteException busy) when (busy.SqliteErrorCode == 5)
        {
            return true;
        }
    }

    /// <summary>The first damage SQLite finds when it reads the whole file, references between rows too; null where it is whole.</summary>
    public string? Damage()
    {
        using var connection = Open();
        string found = connection.ExecuteScalar<string>("PRAGMA integrity_check(1)")!;
        return found != "ok" ? found
            : connection.ExecuteScalar<string?>("SELECT \"table\" FROM pragma_foreign_key_check LIMIT 1") is { } table ? $"a row of {table} belongs to nothing"
            : null;
    }

    /// <summary>An open connection; the caller disposes it.</summary>
    public SqliteConnection Open()
    {
        var connection = new SqliteConnection(_connectionString);
        connection.Open();
        return connection;
    }

    /// <summary>How often something was written since the start.</summary>
    public long Writings => Volatile.Read(ref _writings);

    internal void Written() => Interlocked.Increment(ref _writings);

    public void Dispose() => _turn.Dispose();

    /// <summary>
    /// The one turn to write there is, given back when disposed. Waiting here costs nothing; at the file's own lock a waiting writer sleeps and
    /// looks again, and many of them starve each other.
    /// </summary>
    internal async Task<IDisposable> TurnToWriteAsync()
    {
        if (!await _turn.WaitAsync(TimeSpan.FromSeconds(LongestWait)))
        {
            throw new TimeoutException($"Nobody let anything be written for {LongestWait} seconds.");
        }

        return new Turn(_turn);
    }

    private sealed class Turn(SemaphoreSlim turn) : IDisposable
    {
        public void Dispose() => turn.Release();
    }
}
