using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using Dapper;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage.Tests;

/// <summary>
/// The demo's file as the version before plans had a list of changes made it, with decisions taken, refused and undone in it: brought up to date,
/// nothing of it is lost.
/// </summary>
public sealed class FormerFileTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-former").FullName;

    private string FilePath => Path.Combine(_folder, "ingegno.db");

    public FormerFileTests()
    {
        using var packed = new GZipStream(File.OpenRead(Path.Combine(AppContext.BaseDirectory, "Former", "demo-0006.db.gz")), CompressionMode.Decompress);
        using var file = File.Create(FilePath);
        packed.CopyTo(file);
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static SqliteConnection Open(string path)
    {
        var connection = new SqliteConnection($"Data Source={path}");
        connection.Open();
        return connection;
    }

    private sealed record Was(string Coach, string Client, string Text, JsonNode Sessions, JsonNode Elsewhere, string? Block, long Version);

    private List<Was> Plans()
    {
        using var connection = Open(FilePath);
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT coach_id, client_id, text, sessions, elsewhere, block, row_version FROM plan";
        using var reader = command.ExecuteReader();
        var plans = new List<Was>();
        while (reader.Read())
        {
            plans.Add(new(
                reader.GetString(0), reader.GetString(1), reader.GetString(2), JsonNode.Parse(reader.GetString(3))!, JsonNode.Parse(reader.GetString(4))!,
                reader.IsDBNull(5) ? null : reader.GetString(5), reader.GetInt64(6)));
        }

        return plans;
    }

    [Fact]
    public async Task Every_plan_is_in_force_as_it_was_and_its_list_gives_it_again()
    {
        var before = Plans();
        var database = new Database(FilePath);
        database.Migrate();
        var plans = new Plans(database);
        foreach (var was in before)
        {
            var (plan, version) = await plans.FindAsync(was.Coach, was.Client);
            (plan.Text, version).ShouldBe((was.Text, was.Version));
            plan.Sessions.SelectMany(s => s.Lines).Select(Said).ShouldBe(was.Sessions.AsArray().SelectMany(s => s!["lines"]!.AsArray()).Select(l => Said(l!)));
            plan.Elsewhere.SelectMany(e => e.Sessions).SelectMany(s => s.Lines).Select(Said)
                .ShouldBe(was.Elsewhere.AsArray().SelectMany(e => e!["sessions"]!.AsArray()).SelectMany(s => s!["lines"]!.AsArray()).Select(l => Said(l!)));
            plan.Sessions.SelectMany(s => s.Lines).ShouldAllBe(l => l.Number == l.Line % PlannedLine.AddedFrom);

            var changes = await plans.ChangesAsync(was.Coach, was.Client);
            changes[0].Kind.ShouldBe(ChangeKind.Written);
            var replayed = Changing.Replayed(changes);
            replayed.Sessions.SelectMany(s => s.Lines).Select(Said).ShouldBe(plan.Sessions.SelectMany(s => s.Lines).Select(Said));
            replayed.Versions.ShouldBe(plan.Versions);
            JsonSerializer.Serialize(replayed.Block, TradeJson.Options).ShouldBe(JsonSerializer.Serialize(plan.Block, TradeJson.Options));
        }

        // Three weeks of steps were taken on most of them.
        var all = await Task.WhenAll(before.Select(b => plans.ChangesAsync(b.Coach, b.Client)));
        all.Count(c => c.Count(x => x.Kind == ChangeKind.Stepped) >= 2).ShouldBeGreaterThan(4);
        all.SelectMany(c => c).Count(c => c.Kind == ChangeKind.SwappedForPain).ShouldBe(1);
        all.SelectMany(c => c).Count(c => c.Kind == ChangeKind.Shifted).ShouldBe(1);
    }

    private static string Said(PlannedLine line) => JsonSerializer.Serialize(new { line.Line, line.Written, line.Prescription, line.Since }, TradeJson.Options);

    private static string Said(JsonNode line) => Said(JsonSerializer.Deserialize<PlannedLine>(line, TradeJson.Options)!);

    [Fact]
    public async Task Decisions_keep_their_answers_and_can_still_be_taken_back()
    {
        using (var connection = Open(FilePath))
        {
            connection.ExecuteScalar<long>("SELECT count(*) FROM decision").ShouldBe(6);
        }

        var before = Plans();
        var database = new Database(FilePath);
        database.Migrate();
        var records = new DecisionRecords(database);
        var plans = new Plans(database);
        var decisions = new List<DecisionRecord>();
        foreach (var was in before)
        {
            decisions.AddRange(await records.OfClientAsync(was.Coach, was.Client));
        }

        decisions.Count.ShouldBe(6);
        decisions.ShouldAllBe(d => !d.About.IsEmpty);
        decisions.Count(d => d.Answer == Answer.Refused).ShouldBe(1);
        decisions.Count(d => d.Undone).ShouldBe(1);
        decisions.SelectMany(d => d.About).OfType<LineSubject>().ShouldContain(l => l.Step == StepKind.Repetitions && l.LastLogged != null && l.Next.Length > 0);
        foreach (var decision in decisions.Where(d => d is { Command: not null }))
        {
            var was = before.Single(b => b.Client == decision.Client);
            var plan = (await plans.FindAsync(was.Coach, was.Client)).Value;
            var changes = await plans.ChangesAsync(was.Coach, was.Client);
            var back = plan.Undo(changes, c => c.Command == decision.Command, Framing(plan), new(Guid.NewGuid(), new(2026, 11, 24), DateTimeOffset.UnixEpoch, "coach"));
            back.Refusal.ShouldBeNull(decision.Sentence);
            back.Changes.ShouldNotBeEmpty();
        }

        decisions.Count(d => d.Command is not null).ShouldBe(4);
    }

    /// <summary>Of nobody's home: sessions then keep their frames.</summary>
    private static Framing Framing(Plan plan) => new(
        new() { Name = "Nobody" }, new Dictionary<string, Core.Homes.Home>(), Core.Exercises.Catalogue.Shipped, Core.Dosing.HouseRules.Default, new(2026, 11, 23),
        _ => throw new InvalidOperationException($"nothing of {plan.Text.Length} letters is framed"));

    [Fact]
    public void A_copy_of_the_file_is_made_beside_it_first()
    {
        new Database(FilePath).Migrate();
        string copy = Path.Combine(_folder, "ingegno-before-0007.db");
        using var connection = Open(copy);
        connection.ExecuteScalar<string>("PRAGMA integrity_check").ShouldBe("ok");
        connection.ExecuteScalar<long>("SELECT count(*) FROM set_log").ShouldBe(2421);
        connection.ExecuteScalar<long>("SELECT count(*) FROM plan WHERE sessions <> '[]'").ShouldBe(7);
        new Database(FilePath).Migrate();
        Directory.GetFiles(_folder, "*-before-*").Length.ShouldBe(1, "a file that is up to date is not copied");
    }

    [Fact]
    public void Every_set_is_there_and_a_slot_holds_one()
    {
        using (var connection = Open(FilePath))
        {
            // Two phones once kept a set each in one slot: the later stays, the other is kept beside it.
            connection.Execute(
                """
                INSERT INTO set_log (id, coach_id, client_id, line, exercise, performed, set_number, load_grams, repetitions, pain, finished, done_at)
                SELECT '00000000-0000-7000-8000-000000000001', coach_id, client_id, line, exercise, performed, set_number, load_grams, repetitions + 1, pain, finished, '2020-01-01T00:00:00+00:00'
                FROM set_log WHERE done_at IS NOT NULL LIMIT 1
                """);
        }

        new Database(FilePath).Migrate();
        using var after = Open(FilePath);
        after.ExecuteScalar<long>("SELECT count(*) FROM set_log").ShouldBe(2421);
        after.ExecuteScalar<long>("SELECT count(*) FROM set_log_before").ShouldBe(1);
        after.ExecuteScalar<string>("PRAGMA integrity_check").ShouldBe("ok");
        after.Query("PRAGMA foreign_key_check").ShouldBeEmpty();
        Should.Throw<SqliteException>(() => after.Execute(
            "INSERT INTO set_log SELECT 'another', coach_id, client_id, line, exercise, performed, set_number, load_grams, repetitions, reserve, pain, finished, stopped, pain_at, rest_before, to_limit, other_side, done_at, prescription FROM set_log LIMIT 1"));
    }
}
