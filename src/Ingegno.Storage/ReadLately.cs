using System.Collections.Concurrent;

namespace Ingegno.Storage;

/// <summary>
/// Rows read lately, kept as they were read, a version each: asked for again they cost a look at the version and not the reading. What is kept
/// is never changed, only let go.
/// </summary>
/// <param name="most">All are let go when there would be more.</param>
internal sealed class ReadLately<TKey, T>(int most)
    where TKey : notnull
{
    private readonly ConcurrentDictionary<TKey, Versioned<T>> _kept = new();

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
