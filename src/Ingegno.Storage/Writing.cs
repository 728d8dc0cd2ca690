using System.Data.Common;

namespace Ingegno.Storage;

/// <summary>
/// Several writes that belong together: all of them are kept, or none. What is not committed is as if it had never been asked, whatever stopped it.
/// </summary>
public sealed class Writing : IAsyncDisposable
{
    private readonly DbConnection _connection;
    private readonly DbTransaction _transaction;

    private Writing(DbConnection connection, DbTransaction transaction) => (_connection, _transaction) = (connection, transaction);

    /// <summary>Waits its turn: one writes at a time.</summary>
    public static async Task<Writing> BeginAsync(Database database)
    {
        var connection = database.Open();
        return new(connection, await connection.BeginTransactionAsync());
    }

    public Task CommitAsync() => _transaction.CommitAsync();

    public async ValueTask DisposeAsync()
    {
        await _transaction.DisposeAsync();
        await _connection.DisposeAsync();
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
