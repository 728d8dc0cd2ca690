using Dapper;

namespace Ingegno.Storage.Tests;

/// <summary>Writes that share a commit are each kept whole or not at all, and nobody's trouble is another's.</summary>
public sealed class SharedWritingTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-shared").FullName;
    private readonly Database _database;
    private readonly Coaches _coaches;
    private readonly SharedWriting _shared;

    public SharedWritingTests()
    {
        _database = new(Path.Combine(_folder, "ingegno.db"));
        _database.Migrate();
        (_coaches, _shared) = (new(_database), new(_database));
        using var connection = _database.Open();
        connection.Execute("CREATE TABLE said (word TEXT NOT NULL UNIQUE)");
    }

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        _database.Dispose();
        Directory.Delete(_folder, recursive: true);
    }

    private Task<int> SayAsync(params string[] words) => _shared.WriteAsync(writing => Writing.WithinAsync(_database, writing, async (connection, transaction) =>
    {
        foreach (string word in words)
        {
            await connection.ExecuteAsync("INSERT INTO said (word) VALUES (@word)", new { word }, transaction);
        }

        return words.Length;
    }));

    private string[] Said()
    {
        using var connection = _database.Open();
        return [.. connection.Query<string>("SELECT word FROM said ORDER BY word")];
    }

    [Fact]
    public async Task All_of_many_at_once_are_kept_before_they_are_answered()
    {
        await Parallel.ForEachAsync(Enumerable.Range(0, 400), new ParallelOptions { MaxDegreeOfParallelism = 20 }, async (i, _) =>
        {
            (await SayAsync($"word {i:000}")).ShouldBe(1);
            Said().ShouldContain($"word {i:000}");
        });
        Said().Length.ShouldBe(400);
    }

    [Fact]
    public async Task One_that_fails_leaves_nothing_behind_and_the_others_whole()
    {
        await SayAsync("taken");
        Task[] all =
        [
            .. Enumerable.Range(0, 60).Select(i => i % 3 == 0
                ? Should.ThrowAsync<Microsoft.Data.Sqlite.SqliteException>(() => SayAsync($"half {i}", "taken"))
                : (Task)SayAsync($"whole {i}", $"also {i}")),
        ];
        await Task.WhenAll(all);
        Said().Length.ShouldBe(1 + (40 * 2));
        Said().ShouldNotContain(w => w.StartsWith("half", StringComparison.Ordinal));
    }

    [Fact]
    public async Task It_takes_turns_with_writes_of_their_own()
    {
        await using (var alone = await Writing.BeginAsync(_database))
        {
            var waits = SayAsync("after");
            waits.IsCompleted.ShouldBeFalse();
            await alone.CommitAsync();
            await waits;
        }

        (await _coaches.AddAsync(new("1", "a@example.org", "A", "-"), DateTimeOffset.UnixEpoch, onlyFirst: true)).ShouldBeTrue();
        Said().ShouldBe(["after"]);
    }

    [Fact]
    public async Task A_turn_that_was_not_committed_is_given_back()
    {
        for (int i = 0; i < 3; i++)
        {
            await using var dropped = await Writing.BeginAsync(_database);
        }

        (await SayAsync("still")).ShouldBe(1);
    }
}
