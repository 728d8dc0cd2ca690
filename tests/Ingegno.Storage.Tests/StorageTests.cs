using Dapper;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Practices;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Storage.Tests;

/// <summary>Every test has a real file of its own.</summary>
public sealed class StorageTests : IAsyncLifetime
{
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);
    private static readonly LogWriter By = LogWriter.Phone(Now);
    private readonly string _folder = Directory.CreateTempSubdirectory("ingegno-storage").FullName;
    private Database _database = null!;
    private Clients _clients = null!;
    private Places _places = null!;
    private Plans _plans = null!;
    private SetLogs _logs = null!;
    private string _ilse = "", _other = "";

    public async ValueTask InitializeAsync()
    {
        _database = new Database(Path.Combine(_folder, "deeper", "ingegno.db"));
        _database.Migrate();
        (_clients, _places, _plans, _logs) = (new Clients(_database), new Places(_database), new Plans(_database), new SetLogs(_database));
        _ilse = await AddCoach("ilse@example.org");
        _other = await AddCoach("other@example.org");
    }

    public ValueTask DisposeAsync()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
        return ValueTask.CompletedTask;
    }

    [Fact]
    public async Task Migrating_twice_changes_nothing_and_data_stays()
    {
        string client = await AddClient(_ilse, "Maren");
        _database.Migrate();
        (await _clients.FindAsync(_ilse, client)).ShouldNotBeNull();
    }

    [Fact]
    public async Task A_profile_and_a_home_come_back_as_they_went_in()
    {
        var profile = new ClientProfile { Name = "Maren", BodyMass = Mass.FromGrams(66_300), Lifts = [new KnownLift("front-squat", Mass.FromKilograms(72.5), 6, 1, new DateOnly(2026, 11, 2))] };
        var home = new Home { Name = "Boat", Kit = [new Container { Id = "bag", Name = "Rucksack", OwnMass = Mass.FromGrams(905), Contents = [new Content("bottle", Mass.FromGrams(1530), 3, Volume.FromLitres(1.7))] }] };
        string id = Guid.NewGuid().ToString();
        await _clients.AddAsync(_ilse, id, profile, home, Now);
        var back = await _clients.FindAsync(_ilse, id);
        back!.Profile.BodyMass.Grams.ShouldBe(66_300);
        back.Profile.Lifts.ShouldBe(profile.Lifts);
        var bag = (Container)(await _places.FindAsync(_ilse, id))!.Home.Kit[0];
        bag.OwnMass.Grams.ShouldBe(905);
        bag.Contents[0].ShouldBe(new Content("bottle", Mass.FromGrams(1530), 3, Volume.FromLitres(1.7)));
    }

    [Fact]
    public async Task No_coach_reaches_anothers_rows()
    {
        string client = await AddClient(_ilse, "Maren");
        await _plans.SaveAsync(_ilse, client, Plan.Empty with { Text = "mine" }, 0);
        await _logs.SaveAsync(_ilse, client, Done(Set(Guid.NewGuid(), 8)), By);

        (await _clients.AllAsync(_other)).ShouldBeEmpty();
        (await _clients.FindAsync(_other, client)).ShouldBeNull();
        (await _places.FindAsync(_other, client)).ShouldBeNull();
        (await _plans.FindAsync(_other, client)).Value.Text.ShouldBe("");
        (await _logs.OfClientAsync(_other, client)).ShouldBeEmpty();
        (await _clients.SaveAsync(_other, client, new ClientProfile { Name = "stolen" }, 1)).Saved.ShouldBeFalse();
        string place = (await _places.FindAsync(_ilse, client))!.Id;
        (await _places.SaveAsync(_other, client, place, new Home(), 1)).Saved.ShouldBeFalse();
        (await _places.AddAsync(_other, client, Guid.NewGuid().ToString(), new Home())).ShouldBeFalse();
        (await _places.UseAsync(_other, client, place)).ShouldBeFalse();
        (await _places.RemoveAsync(_other, client, place)).ShouldBeFalse();
        (await _plans.SaveAsync(_other, client, Plan.Empty with { Text = "stolen" }, 1)).Saved.ShouldBeFalse();
        (await _clients.FindAsync(_ilse, client))!.Profile.Name.ShouldBe("Maren");
        (await _plans.FindAsync(_ilse, client)).Value.Text.ShouldBe("mine");
    }

    [Fact]
    public async Task A_client_has_several_places_and_trains_in_the_first()
    {
        string client = await AddClient(_ilse, "Maren");
        string home = (await _places.FindAsync(_ilse, client))!.Id;
        string shed = Guid.NewGuid().ToString();
        (await _places.AddAsync(_ilse, client, shed, new Home { Name = "Slipway shed" })).ShouldBeTrue();
        (await _places.FindAsync(_ilse, client))!.Id.ShouldBe(home);

        (await _places.UseAsync(_ilse, client, shed)).ShouldBeTrue();
        (await _places.FindAsync(_ilse, client))!.Home.Name.ShouldBe("Slipway shed");
        (await _places.AllAsync(_ilse, client)).Select(p => p.Id).ShouldBe([shed, home]);

        (await _places.RemoveAsync(_ilse, client, shed)).ShouldBeTrue();
        (await _places.RemoveAsync(_ilse, client, home)).ShouldBeFalse();
        (await _places.FindAsync(_ilse, client))!.Id.ShouldBe(home);
    }

    [Fact]
    public async Task A_practice_is_the_default_until_saved_and_never_saved_stale()
    {
        var practices = new Practices(_database);
        (await practices.FindAsync(_ilse)).Version.ShouldBe(0);
        var changed = new Practice { Rules = HouseRules.Default with { PassDays = 30 }, Prices = [new Price("Loop band", 11.5m)] };
        (await practices.SaveAsync(_ilse, changed, 0)).ShouldBe(new SaveResult(true, 1));
        (await practices.SaveAsync(_ilse, new Practice(), 0)).Saved.ShouldBeFalse();
        var back = (await practices.FindAsync(_ilse)).Value;
        back.Rules.PassDays.ShouldBe(30);
        back.Prices.ShouldBe([new Price("Loop band", 11.5m)]);
        (await practices.FindAsync(_other)).Value.Rules.PassDays.ShouldBe(90);
    }

    /// <summary>A file of the first version, one home a client, comes through the later migrations with nothing lost.</summary>
    [Fact]
    public async Task An_old_file_is_brought_up_to_date()
    {
        var old = new Database(Path.Combine(_folder, "old.db"));
        await using (var connection = old.Open())
        {
            var assembly = typeof(Database).Assembly;
            string first = assembly.GetManifestResourceNames().Single(n => n.Contains("0001", StringComparison.Ordinal));
            using var reader = new StreamReader(assembly.GetManifestResourceStream(first)!);
            await connection.ExecuteAsync(await reader.ReadToEndAsync(TestContext.Current.CancellationToken));
            await connection.ExecuteAsync(
                $$"""
                CREATE TABLE SchemaVersions (SchemaVersionID INTEGER PRIMARY KEY AUTOINCREMENT, ScriptName TEXT NOT NULL, Applied DATETIME NOT NULL);
                INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('{{first}}', '2026-11-01');
                INSERT INTO coach VALUES ('c', 'c@example.org', 'C', 'x', '2026-11-01');
                INSERT INTO client VALUES ('k', 'c', '{"name":"Kim"}', 3, '2026-11-01');
                INSERT INTO home VALUES ('h', 'c', 'k', '{"name":"Flat","room":{"floorSlides":true},"kit":[{"kind":"container","id":"b","name":"Bag","contents":[{"name":"bottle","mass":1.5,"count":2,"litres":1.7}]}]}', 4);
                INSERT INTO set_log VALUES ('s', 'c', 'k', 1, 'push-up', '2026-11-02', 1, 0, 12, NULL, 0);
                """);
        }

        old.Migrate();
        var place = await new Places(old).FindAsync("c", "k");
        place!.Version.ShouldBe(4);
        place.Home.Room.Floors.ShouldBe([FloorKind.Wood]);
        ((Container)place.Home.Kit[0]).Contents[0].Volume.ShouldBe(Volume.FromLitres(1.7));
        (await old.Open().ExecuteScalarAsync<long>("SELECT repetitions FROM set_log WHERE id = 's'")).ShouldBe(12);
    }

    [Fact]
    public async Task A_stale_save_writes_nothing()
    {
        string client = await AddClient(_ilse, "Maren");
        var first = await _clients.SaveAsync(_ilse, client, new ClientProfile { Name = "first" }, 1);
        first.ShouldBe(new SaveResult(true, 2));
        var stale = await _clients.SaveAsync(_ilse, client, new ClientProfile { Name = "second" }, 1);
        stale.ShouldBe(new SaveResult(false, 2));
        (await _clients.FindAsync(_ilse, client))!.Profile.Name.ShouldBe("first");

        (await _plans.SaveAsync(_ilse, client, Plan.Empty with { Text = "a" }, 0)).ShouldBe(new SaveResult(true, 1));
        (await _plans.SaveAsync(_ilse, client, Plan.Empty with { Text = "b" }, 0)).Saved.ShouldBeFalse();
        (await _plans.SaveAsync(_ilse, client, Plan.Empty with { Text = "c" }, 1)).ShouldBe(new SaveResult(true, 2));
        (await _plans.FindAsync(_ilse, client)).Value.Text.ShouldBe("c");
    }

    [Fact]
    public async Task Choices_and_sessions_of_a_plan_come_back()
    {
        string client = await AddClient(_ilse, "Maren");
        var plan = new Plan(
            "Back squat 3x5",
            [
                new PlannedSession("Monday", Duration.FromMinutes(41),
                    [new PlannedLine(1, "A1", "A", "Back squat 3x5", "why", null) { Number = 1, Choice = new LineChoice(0, "", "split-squat", Pinned: true) }]),
            ],
            Now)
        {
            Place = "loft",
        };
        await _plans.SaveAsync(_ilse, client, plan, 0);
        var back = (await _plans.FindAsync(_ilse, client)).Value;
        back.Choices.ShouldBe([new LineChoice(1, "Back squat 3x5", "split-squat", Pinned: true)]);
        back.Sessions[0].Lines.ShouldBe(plan.Sessions[0].Lines);
        back.SavedAt.ShouldBe(Now);
    }

    [Fact]
    public async Task Sending_the_same_sets_again_doubles_nothing()
    {
        string client = await AddClient(_ilse, "Maren");
        var id = Guid.NewGuid();
        await _logs.SaveAsync(_ilse, client, Done(Set(id, 8), Set(Guid.NewGuid(), 7, 2)), By);
        await _logs.SaveAsync(_ilse, client, Done(Set(id, 9)), By);
        (await _logs.OfClientAsync(_ilse, client)).Select(s => s.Repetitions).ShouldBe([9, 7]);
    }

    /// <summary>Seven full and four kneeling are never eleven.</summary>
    [Fact]
    public async Task Repetitions_on_an_easier_variation_are_kept_apart()
    {
        string client = await AddClient(_ilse, "Maren");
        await _logs.SaveAsync(_ilse, client, Done(Set(Guid.NewGuid(), 7) with { Finished = 4 }), By);
        var kept = (await _logs.OfClientAsync(_ilse, client)).ShouldHaveSingleItem();
        (kept.Repetitions, kept.Finished).ShouldBe((7, 4));
    }

    [Fact]
    public async Task Another_coach_cannot_overwrite_a_set_by_its_id()
    {
        string mine = await AddClient(_ilse, "Maren"), theirs = await AddClient(_other, "Somebody");
        var id = Guid.NewGuid();
        await _logs.SaveAsync(_ilse, mine, Done(Set(id, 8)), By);
        (await _logs.SaveAsync(_other, theirs, Done(Set(id, 1)), By)).ShouldBe([new SavedSet(id, null, 0)], "what is not kept is said");
        (await _logs.OfClientAsync(_ilse, mine)).ShouldHaveSingleItem().Repetitions.ShouldBe(8);
    }

    [Fact]
    public async Task A_set_that_breaks_a_bound_keeps_none_of_its_batch()
    {
        string client = await AddClient(_ilse, "Maren");
        await Should.ThrowAsync<Microsoft.Data.Sqlite.SqliteException>(() =>
            _logs.SaveAsync(_ilse, client, Done(Set(Guid.NewGuid(), 8), Set(Guid.NewGuid(), 8, 2) with { Pain = 11 }), By));
        (await _logs.OfClientAsync(_ilse, client)).ShouldBeEmpty();
    }

    [Fact]
    public async Task Only_one_first_account_and_one_account_an_address()
    {
        var coaches = new Coaches(_database);
        (await coaches.AddAsync(new Coach("x", "x@example.org", "X", "h"), Now, onlyFirst: true)).ShouldBeFalse();
        (await coaches.AddAsync(new Coach("y", "ILSE@example.org", "Y", "h"), Now, onlyFirst: false)).ShouldBeFalse();
        (await coaches.ByEmailAsync("Ilse@Example.org"))!.Id.ShouldBe(_ilse);
    }

    private static SetLog Set(Guid id, int repetitions, int number = 1) =>
        new(id, 1, "split-squat", new DateOnly(2026, 11, 23), number, Mass.FromKilograms(14.2), repetitions, 2);

    private async Task<string> AddCoach(string email)
    {
        string id = Guid.NewGuid().ToString();
        (await new Coaches(_database).AddAsync(new Coach(id, email, "Coach", "hash"), Now, onlyFirst: false)).ShouldBeTrue();
        return id;
    }

    private async Task<string> AddClient(string coach, string name)
    {
        string id = Guid.NewGuid().ToString();
        await _clients.AddAsync(coach, id, new ClientProfile { Name = name }, new Home(), Now);
        return id;
    }

    private static IEnumerable<AskedSet> Done(params SetLog[] sets) => sets.Select(s => new AskedSet(s, null));
}
