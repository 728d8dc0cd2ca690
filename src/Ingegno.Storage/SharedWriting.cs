using System.Collections.Concurrent;

namespace Ingegno.Storage;

/// <summary>
/// Small writes that come from many at once share a commit: each is kept whole or not at all by itself, and is safe on the disk before it is
/// answered, but twenty of them wait for the disk once and not twenty times.
/// </summary>
public sealed class SharedWriting(Database database)
{
    /// <summary>Written before the disk is waited for: more would make the first of them wait for the last.</summary>
    private const int MostTogether = 64;

    private readonly ConcurrentQueue<Waiting> _waiting = new();
    private int _isWriting;

    /// <param name="Write">Its part.</param>
    /// <param name="Done">Set once it is safe, or with what went wrong with it.</param>
    private sealed record Waiting(Func<Writing, Task> Write, TaskCompletionSource Done);

    /// <returns>When it is safe on the disk.</returns>
    public async Task<T> WriteAsync<T>(Func<Writing, Task<T>> write)
    {
        T? result = default;
        var done = new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously);
        _waiting.Enqueue(new(async writing => result = await write(writing), done));
        if (Interlocked.CompareExchange(ref _isWriting, 1, 0) == 0)
        {
            _ = Task.Run(WriteAllAsync);
        }

        await done.Task;
        return result!;
    }

    private async Task WriteAllAsync()
    {
        do
        {
            while (!_waiting.IsEmpty)
            {
                await WriteSomeAsync();
            }

            Volatile.Write(ref _isWriting, 0);

            // One that came between the last look and the line above found somebody writing: it is written now.
        }
        while (!_waiting.IsEmpty && Interlocked.CompareExchange(ref _isWriting, 1, 0) == 0);
    }

    private async Task WriteSomeAsync()
    {
        var written = new List<Waiting>();
        try
        {
            await using var writing = await Writing.BeginAsync(database);
            while (written.Count < MostTogether && _waiting.TryDequeue(out var next))
            {
                try
                {
                    await writing.PartAsync(next.Write);
                    written.Add(next);
                }
                catch (Exception trouble)
                {
                    next.Done.SetException(trouble);
                }
            }

            await writing.CommitAsync();
        }
        catch (Exception trouble)
        {
            // Nothing of it is kept. Where not even a turn was had, those who wait are told too, for nobody else would.
            while (written.Count == 0 && _waiting.TryDequeue(out var next))
            {
                written.Add(next);
            }

            written.ForEach(w => w.Done.SetException(trouble));
            return;
        }

        written.ForEach(w => w.Done.SetResult());
    }
}
