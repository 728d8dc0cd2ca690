using System.Data.Common;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>
/// Several writes that belong together: all of them are kept, or none. What is not committed is as if it had never been asked, whatever stopped it.
/// </summary>
public sealed class Writing : IAsyncDisposable
{
    /// <summary>Name of the point a part of a shared writing goes back to.</summary>
    private const string Part = "part";

    private readonly Database _database;
    private readonly IDisposable _turn;
    private readonly SqliteConnection _connection;
    private readonly SqliteTransaction _transaction;
    private readonly long _changes;
    private bool _ended;

    private Writing(Database database, IDisposable turn, SqliteConnection connection, SqliteTransaction transaction) =>
        (_database, _turn, _connection, _transaction, _changes) = (database, turn, connection, transaction, Audit.Changes(connection, transaction));

    /// <summary>Waits its turn: one writes at a time, in the order they came. Only another program's write can be met after that.</summary>
    public static async Task<Writing> BeginAsync(Database database)
    {
        var turn = await database.TurnToWriteAsync();
        try
        {
            var connection = database.Open();
            try
            {
                return new(database, turn, connection, connection.BeginTransaction());
            }
            catch
            {
                await connection.DisposeAsync();
                throw;
            }
        }
        catch
        {
            turn.Dispose();
            throw;
        }
    }

    /// <summary>Keeps them, and ends the turn: others may write from here on.</summary>
    public async Task CommitAsync()
    {
        Audit.Write(_connection, _transaction, _changes);
        await _transaction.CommitAsync();
        _database.Written();
        await DisposeAsync();
    }

    public async ValueTask DisposeAsync()
    {
        if (_ended)
        {
            return;
        }

        _ended = true;
        await _transaction.DisposeAsync();
        await _connection.DisposeAsync();
        _turn.Dispose();
    }

    /// <summary>One of several that share this commit: kept with the others, or, when it throws, as if only it had never been asked.</summary>
    internal async Task PartAsync(Func<Writing, Task> write)
    {
        _transaction.Save(Part);
        try
        {
            await write(this);
            _transaction.Release(Part);
        }
        catch
        {
            _transaction.Rollback(Part);
            _transaction.Release(Part);
            throw;
        }
    }

    /// <summary>Within these writes, or by itself where there are none to be part of.</summary>
    internal static async Task<T> WithinAsync<T>(Database database, Writing? within, Func<DbConnection, DbTransaction, Task<T>> write)
    {
        if (within is not null)
        {
            return await write(within._connection, within._transaction);
        }

        await using var alone = await BeginAsync(database);
        var result = await write(alone._connection, alone._transaction);
        await alone.CommitAsync();
        return result;
    }
}
