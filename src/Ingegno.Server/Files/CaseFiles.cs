using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Practices;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Formats.CaseFiles;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Desk;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Files;

/// <summary>A client brought in, or what would be.</summary>
/// <param name="Id">Null while nothing was kept.</param>
/// <param name="NewExercises">Exercises of the practice's own that come with it.</param>
/// <param name="Told">What the coach should know: a name that is there twice, exercises that are told apart here.</param>
public sealed record BroughtIn(
    string? Id, string Name, string Note, ImmutableArray<string> Places, int Sessions, int Sets, ImmutableArray<string> NewExercises, ImmutableArray<string> Told);

/// <summary>Clients as case files: written out whole, and brought in with names of their own, all of it or nothing.</summary>
internal sealed class CaseFiles(
    Database database, Storage.Clients clients, Places places, Storage.Practices practices, Storage.Plans plans, SetLogs logs, SessionNotes notes, ChangeWords words, DecisionRecords decisions, FixtureReports reports, Learner learner, TimeProvider clock)
{
    private const int MostSets = 50_000, MostPlaces = 20, MostChanges = 20_000, MostDecisions = 20_000, LongestSentence = 4000;

    /// <summary>Null when the coach has no such client.</summary>
    internal async Task<CaseFile?> WriteAsync(string coach, string id)
    {
        if (await clients.FindAsync(coach, id) is not { } client)
        {
            return null;
        }

        var homes = await places.AllAsync(coach, id);
        var plan = (await plans.FindAsync(coach, id)).Value;
        var log = await logs.AskedOfClientAsync(coach, id);
        var own = (await practices.FindAsync(coach)).Value.Rules.Exercises;
        string said = JsonSerializer.Serialize(plan, TradeJson.Options);
        var logged = log.Select(s => s.Set.Exercise).ToHashSet(StringComparer.Ordinal);
        return new()
        {
            Format = CaseFile.FormatName,
            Version = CaseFile.Newest,
            Client = client.Profile with { Learned = Learned.Nothing },
            Home = homes[0].Home,
            Elsewhere = [.. homes.Skip(1).Select(p => p.Home)],
            PlaceIds = [.. homes.Select(p => p.Id)],
            Programme = plan.Text,
            Block = plan.Block,
            Plan = plan,
            Changes = [.. await plans.ChangesAsync(coach, id)],
            Log = [.. log.Select(s => s.Set)],
            Asked = [.. log.Where(s => s.As is not null).GroupBy(s => JsonSerializer.Serialize(s.As, TradeJson.Options), StringComparer.Ordinal).Select(g => new AskedSets(g.First().As!, [.. g.Select(s => s.Set.Id)]))],
            Notes = [.. await notes.OfClientAsync(coach, id)],
            Cleared = [.. await notes.ClearedAsync(coach, id)],
            Checks =
            [
                .. (await reports.OfClientAsync(coach, id)).Select(r => new CaseCheck(r.Id, r.Place, r.Report, r.Judged, r.HasPhoto ? $"{PracticeZip.Photos}{r.Id}.jpg" : null)),
            ],
            Decisions =
            [
                .. (await decisions.OfClientAsync(coach, id)).Reverse().Select(d => new CaseDecision(
                    d.At, d.About, d.Sentence, d.Answer, d.Undone, Element(d.Before), Element(d.After), d.Command)),
            ],
            ChangeWords = await words.FindAsync(coach, id),
            Exercises = [.. own.Where(o => logged.Contains(o.Id) || said.Contains($"\"{o.Id}\"", StringComparison.Ordinal) || plan.Text.Contains(o.Name, StringComparison.OrdinalIgnoreCase))],
            Other = await clients.OtherAsync(coach, id) is { } other ? JsonSerializer.Deserialize<Dictionary<string, JsonElement>>(other, TradeJson.Options) : null,
        };
    }

    /// <summary>The photo that belongs to a check from a client's phone; null where there is none.</summary>
    internal Task<byte[]?> PhotoAsync(string coach, string id, string check) => reports.PhotoAsync(coach, id, check);

    /// <summary>What stands against bringing each in, with its place; and what it would bring. Plans are worked through: as many at a time as there are cores.</summary>
    /// <param name="told">How many were looked at.</param>
    internal async Task<ImmutableArray<(ImmutableArray<InputProblem> Problems, BroughtIn View)>> LookAsync(string coach, CasesInFile read, Action<int> told)
    {
        var (files, paths) = (read.Cases, read.Paths);
        var practice = (await practices.FindAsync(coach)).Value;
        var names = (await clients.AllAsync(coach)).Select(c => c.Profile.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var looked = new (ImmutableArray<InputProblem>, BroughtIn)[files.Length];
        int done = 0;
        // A ZIP is unpacked by one at a time.
        var photos = await Task.Run(() => files.Select((f, i) => LookAtPhotos(read, i)).ToArray());
        await Task.Run(() => Parallel.For(0, files.Length, i =>
        {
            var (problems, view) = Look(practice, names.Contains(files[i].Client.Name), files[i], paths[i]);
            looked[i] = ([.. problems, .. photos[i].Problems], view with { Told = [.. view.Told, .. photos[i].Told] });
            told(Interlocked.Increment(ref done));
        }));
        return [.. looked];
    }

    private static (ImmutableArray<InputProblem> Problems, ImmutableArray<string> Told) LookAtPhotos(CasesInFile read, int which)
    {
        var problems = ImmutableArray.CreateBuilder<InputProblem>();
        int missing = 0;
        foreach (var (check, i) in read.Cases[which].Checks.Take(FixtureReports.MostKept).Select((c, i) => (c, i)).Where(c => c.c.Photo is not null))
        {
            try
            {
                missing += read.Photo(which, check) is null ? 1 : 0;
            }
            catch (InvalidDataException)
            {
                problems.Add(new(
                    $"{read.Paths[which]}checks[{i}].photo", $"{check.Photo} is no whole JPEG of up to {PracticeZip.MostBytesOfPhoto / 1_000_000} MB: put the photo there, or take the field out."));
            }
        }

        return (problems.ToImmutable(), missing == 0 ? [] : [$"{missing} {(missing == 1 ? "photo is" : "photos are")} not in this file: take the client out with photos to have them."]);
    }

    private static (ImmutableArray<InputProblem> Problems, BroughtIn View) Look(Practice practice, bool known, CaseFile file, string path)
    {
        var (added, told) = Added(practice.Rules.Exercises, file.Exercises);
        var rules = practice.Rules with { Exercises = [.. practice.Rules.Exercises, .. added] };
        InputProblem[] problems = [.. OwnExerciseProblems.Of(rules.Exercises).Select(p => p with { Path = $"exercises{p.Path}" })];
        problems = problems.Length > 0 ? problems : [.. Problems(file, rules)];
        return (
            [.. problems.Take(50).Select(p => p with { Path = path + p.Path })],
            new(
                null, file.Client.Name, file.Client.Note, [.. file.Elsewhere.Prepend(file.Home).Select(h => h.Name)], file.Plan?.Sessions.Length ?? 0, file.Log.Length, [.. added.Select(e => e.Name)],
                [
                    .. known ? [$"A client called {file.Client.Name} is there already; this would be another."] : Array.Empty<string>(),
                    .. told,
                ]));
    }

    /// <summary>Adds what was looked at; all names that must be its own are made anew, so the same file can be brought in twice.</summary>
    /// <param name="rules">Takes the place of the coach's own practice; own exercises of both stay.</param>
    /// <param name="told">How many are there, though not for good before all are.</param>
    /// <returns>Ids of the clients, in order.</returns>
    internal async Task<ImmutableArray<string>> AddAsync(string coach, CasesInFile read, Practice? rules, Action<int> told)
    {
        var files = read.Cases;
        var ids = ImmutableArray.CreateBuilder<string>(files.Length);
        var now = clock.GetUtcNow();
        CaseFile[] renamed = await Task.Run(() => files.AsParallel().AsOrdered().Select(Renamed).ToArray());
        await using (var writing = await Writing.BeginAsync(database))
        {
            var practice = await practices.FindAsync(coach);
            var (added, _) = Added(practice.Value.Rules.Exercises, [.. files.SelectMany(f => f.Exercises)]);
            if (!added.IsEmpty || rules is not null)
            {
                var taken = rules ?? practice.Value;
                await practices.SaveAsync(
                    coach, taken with { Rules = taken.Rules with { Exercises = [.. practice.Value.Rules.Exercises, .. added] } }, practice.Version, writing);
            }

            foreach (var (file, which) in renamed.Select((f, i) => (f, i)))
            {
                ids.Add(await AddAsync(coach, file, check => read.Photo(which, check), now, writing));
                told(ids.Count);
            }

            await writing.CommitAsync();
        }

        foreach (string id in ids)
        {
            learner.Ask(coach, id);
        }

        return ids.ToImmutable();
    }

    private async Task<string> AddAsync(string coach, CaseFile file, Func<CaseCheck, byte[]?> photo, DateTimeOffset now, Writing writing)
    {
        string id = Guid.CreateVersion7().ToString();
        await clients.AddAsync(
            coach, id, file.Client with { Learned = Learned.Nothing }, file.Home, now, file.PlaceIds[0], file.Other is null ? null : JsonSerializer.Serialize(file.Other, TradeJson.Options), writing);
        foreach (var (elsewhere, place) in file.Elsewhere.Zip(file.PlaceIds.Skip(1)))
        {
            await places.AddAsync(coach, id, place, elsewhere, writing);
        }

        await plans.SaveAsync(coach, id, file.Plan ?? Plan.Empty with { Text = file.Programme, Block = file.Block }, 0, file.Changes, writing);
        var asked = file.Asked.SelectMany(a => a.Sets.Select(s => (Set: s, a.As))).GroupBy(a => a.Set).ToDictionary(g => g.Key, g => g.First().As);
        await logs.SaveAsync(coach, id, file.Log.Select(s => new AskedSet(s with { Version = 0 }, asked.GetValueOrDefault(s.Id))), new("a case file", now), writing);
        await notes.SaveAsync(coach, id, file.Notes, writing);
        foreach (var cleared in file.Cleared)
        {
            await notes.ClearAsync(coach, id, cleared.Exercise, cleared.Through, writing);
        }

        foreach (var check in file.Checks.Reverse())
        {
            await reports.AddAsync(coach, id, check.Id, check.Place, check.Report, photo(check), writing);
            if (check.Judged)
            {
                await reports.JudgeAsync(coach, id, check.Id, now, writing);
            }
        }

        foreach (var decided in file.Decisions)
        {
            var record = new DecisionRecord(
                Guid.CreateVersion7().ToString(), id, decided.At, decided.About, decided.Sentence, decided.Answer, decided.Before?.GetRawText(), decided.After?.GetRawText(), false, decided.Command);
            await decisions.AddAsync(coach, record, writing);
            if (decided.Undone)
            {
                await decisions.UndoAsync(coach, record, now, writing);
            }
        }

        if (file.ChangeWords is { } said)
        {
            await words.SaveAsync(coach, id, said, writing);
        }

        return id;
    }

    /// <summary>Exercises the practice lacks; one that is called the same here and differs stays as it is here.</summary>
    private static (ImmutableArray<OwnExercise> Added, ImmutableArray<string> Told) Added(ImmutableArray<OwnExercise> own, ImmutableArray<OwnExercise> others)
    {
        var known = own.ToDictionary(o => o.Id, StringComparer.Ordinal);
        OwnExercise[] fresh = [.. others.Where(o => !known.ContainsKey(o.Id)).DistinctBy(o => o.Id, StringComparer.Ordinal)];
        return (
            [.. fresh],
            [
                .. others.Where(o => known.TryGetValue(o.Id, out var here) && Json(here) != Json(o)).Select(o => $"{o.Name} is another exercise in this practice; it stays as it is here."),
            ]);

        static string Json(OwnExercise exercise) => JsonSerializer.Serialize(exercise, TradeJson.Options);
    }

    private static InputProblem[] Problems(CaseFile file, HouseRules rules)
    {
        var catalogue = rules.Catalogue;
        if (file.Log.Length > MostSets || file.Elsewhere.Length >= MostPlaces || file.Changes.Length > MostChanges || file.Decisions.Length > MostDecisions || file.Programme.Length > ProgrammeReader.MostCharacters)
        {
            return [new("", $"The file is too large: at most {MostSets:N0} sets, {MostPlaces} places, {MostChanges:N0} changes, {MostDecisions:N0} decisions and {ProgrammeReader.MostCharacters:N0} letters of programme.")];
        }

        InputProblem[] problems =
        [
            .. ClientProblems.Of(file.Client, catalogue).Select(p => p with { Path = "client." + p.Path }),
            .. HomeProblems.Of(file.Home).Select(p => p with { Path = "home." + p.Path }),
            .. file.Elsewhere.SelectMany((h, i) => HomeProblems.Of(h).Select(p => p with { Path = $"elsewhere[{i}].{p.Path}" })),
            .. file.Block is { } block ? BlockProblems.Of(block).Select(p => p with { Path = "block." + p.Path }) : [],
            .. file.Log.SelectMany((s, i) => SetLogProblems.Of(s, $"log[{i}]", catalogue)),
            .. file.Plan is not null && file.PlaceIds.Length != file.Elsewhere.Length + 1 ? [new InputProblem("placeIds", "Name each place once, the home first.")] : Array.Empty<InputProblem>(),
            .. Problems(file.Checks, file.PlaceIds),
            .. file.Decisions.SelectMany((d, i) => Problems(d, $"decisions[{i}]")),
            .. file.ChangeWords?.Length > ChangeWords.Longest ? [new InputProblem("changeWords", $"Keep it under {ChangeWords.Longest} letters.")] : Array.Empty<InputProblem>(),
        ];
        return problems.Length > 0 || file.Plan is null ? problems : Works(file, rules);
    }

    private static IEnumerable<InputProblem> Problems(ImmutableArray<CaseCheck> checks, ImmutableArray<string> places)
    {
        if (checks.Length > FixtureReports.MostKept)
        {
            yield return new("checks", $"At most {FixtureReports.MostKept} checks are kept of one client: take the oldest out.");
        }

        foreach (var (check, i) in checks.Select((c, i) => (c, i)))
        {
            if (string.IsNullOrWhiteSpace(check.Id) || checks.Take(i).Any(c => string.Equals(c.Id, check.Id, StringComparison.OrdinalIgnoreCase)))
            {
                yield return new($"checks[{i}].id", "Give each check an id of its own.");
            }

            if (!places.Contains(check.Place, StringComparer.OrdinalIgnoreCase))
            {
                yield return new($"checks[{i}].place", "Name one of the places of placeIds.");
            }

            if (check.Report.Problem is { } wrong)
            {
                yield return wrong with { Path = $"checks[{i}].report.{wrong.Path}" };
            }
        }
    }

    private static IEnumerable<InputProblem> Problems(CaseDecision decided, string path)
    {
        if (decided.Sentence.Length > LongestSentence)
        {
            yield return new($"{path}.sentence", $"Keep it under {LongestSentence} letters.");
        }

        foreach (var (stood, name) in new[] { (decided.Before, "before"), (decided.After, "after") })
        {
            bool isRead = true;
            try
            {
                _ = Snapshot.Read(stood?.GetRawText());
            }
            catch (JsonException)
            {
                isRead = false;
            }

            if (!isRead)
            {
                yield return new($"{path}.{name}", "How things stood cannot be read: take it out, and the decision cannot be taken back any more.");
            }
        }
    }

    private static JsonElement? Element(string? json) => json is null ? null : JsonSerializer.Deserialize<JsonElement>(json, TradeJson.Options);

    /// <summary>A plan written by hand may name what is not there: it is worked through once before it is kept.</summary>
    private static InputProblem[] Works(CaseFile file, HouseRules rules)
    {
        try
        {
            ClientPlace[] homes = [.. file.Elsewhere.Prepend(file.Home).Zip(file.PlaceIds, (h, i) => new ClientPlace(i, h))];
            var today = DateOnly.FromDateTime(DateTime.UnixEpoch);
            _ = Freezing.Of(file.Client, file.Plan!, homes, today, rules);
            _ = Freezing.Against(file.Client, file.Plan!, homes, rules, today).ToArray();
            _ = Core.Sheets.SheetWriting.Of(file.Client, "", file.Plan!, file.Plan!.Sessions, file.Home, rules.Catalogue, new Dictionary<int, string>(), today);
            return [];
        }
        catch (Exception broken) when (broken is NullReferenceException or InvalidOperationException or KeyNotFoundException or ArgumentException or IndexOutOfRangeException or FormatException)
        {
            return [new("plan", "The plan does not hang together: take it out of the file, and its text is brought in to be rebuilt.")];
        }
    }

    /// <summary>Places, sets and changes with names nobody else has.</summary>
    private static CaseFile Renamed(CaseFile file)
    {
        string[] old = [.. file.PlaceIds.Take(file.Elsewhere.Length + 1), .. file.Log.Select(s => s.Id.ToString()), .. file.Changes.SelectMany(c => new[] { c.Id.ToString(), c.Command.ToString() }), .. file.Checks.Select(c => c.Id)];
        var names = old.Distinct(StringComparer.OrdinalIgnoreCase).ToDictionary(o => o, _ => Guid.CreateVersion7().ToString(), StringComparer.OrdinalIgnoreCase);
        var renamed = file with
        {
            PlaceIds = file.PlaceIds.Length > file.Elsewhere.Length ? [.. file.PlaceIds.Take(file.Elsewhere.Length + 1).Select(p => names[p])]
                : [.. Enumerable.Range(0, file.Elsewhere.Length + 1).Select(_ => Guid.CreateVersion7().ToString())],
            Log = [.. file.Log.Select(s => s with { Id = Guid.Parse(names[s.Id.ToString()]) })],
            Asked = [.. file.Asked.Select(a => a with { Sets = [.. a.Sets.Where(s => names.ContainsKey(s.ToString())).Select(s => Guid.Parse(names[s.ToString()]))] })],
            Plan = Anew(file.Plan),
            Changes = [.. file.Changes.Select(c => Anew(c)!)],
            Decisions = [.. file.Decisions.Select(d => Anew(d)!)],

            // The photo's place in the file stays: it is read from there.
            Checks = [.. file.Checks.Select(c => c with { Id = names[c.Id], Place = names.GetValueOrDefault(c.Place, c.Place) })],
        };
        return renamed;

        T? Anew<T>(T? value) where T : class
        {
            if (value is null)
            {
                return null;
            }

            var node = JsonSerializer.SerializeToNode(value, TradeJson.Options)!;
            return JsonSerializer.Deserialize<T>(NamesIn.Replaced(node, names), TradeJson.Options);
        }
    }
}
