using System.Collections.Concurrent;
using System.Data.Common;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Quantities;

namespace Ingegno.Storage;

/// <summary>
/// Documents read lately, kept as they were read, a version each: asked for again they cost a look at the version and not the reading. What is
/// kept is never changed, only let go.
/// </summary>
/// <param name="most">All are let go when there would be more.</param>
internal sealed class ReadLately<TKey, T>(int most)
    where TKey : notnull
{
    private readonly ConcurrentDictionary<TKey, Versioned<T>> _kept = new();

    private sealed record Row
    {
        /// <summary>Null where the version asked with is the newest.</summary>
        public string? Document { get; init; }

        public long Version { get; init; }
    }

    /// <summary>The document of one row, read only where its version is another than the kept one's.</summary>
    /// <param name="column">Holds the document; <paramref name="from"/> names table and row.</param>
    /// <param name="values">For the parameters in <paramref name="from"/>.</param>
    /// <returns>Null where there is no such row.</returns>
    internal async Task<Versioned<T>?> ReadAsync(DbConnection connection, TKey key, string column, string from, object values)
    {
        var kept = Find(key);
        var known = new DynamicParameters(values);
        known.Add("known", kept?.Version ?? -1);
        var row = await connection.QuerySingleOrDefaultAsync<Row>(
            $"SELECT CASE WHEN row_version = @known THEN NULL ELSE {column} END AS Document, row_version AS Version FROM {from}", known);
        return row is null ? null
            : row.Document is { } document ? Keep(key, JsonSerializer.Deserialize<T>(document, TradeJson.Options)!, row.Version)
            : kept;
    }

    internal Versioned<T>? Find(TKey key) => _kept.GetValueOrDefault(key);

    internal Versioned<T> Keep(TKey key, T value, long version)
    {
        if (_kept.Count >= most)
        {
            _kept.Clear();
        }

        return _kept[key] = new(value, version);
    }
}
