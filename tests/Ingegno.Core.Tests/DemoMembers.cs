using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests;

/// <summary>The made-up members of the demo, read from the case files that ship.</summary>
internal sealed record Member(ClientProfile Client, Home Home)
{
    private static readonly string Folder = Path.GetFullPath(Path.Combine(Here(), "../../src/Ingegno.Server/Demo"));

    internal static Member Named(string file) => Read(Path.Combine(Folder, file + ".json"));

    internal static Member Read(string path)
    {
        var json = JsonNode.Parse(File.ReadAllText(path))!;
        return new(
            json["client"].Deserialize<ClientProfile>(TradeJson.Options)!, json["home"].Deserialize<Home>(TradeJson.Options)!);
    }

    internal static IEnumerable<Member> All() => Directory.GetFiles(Folder, "*.json").Order().Select(Read);

    internal Member WithKit(params KitItem[] kit) => this with { Home = Home with { Kit = [.. kit] } };

    internal Member Keeping(Func<KitItem, bool> keep) => this with { Home = Home with { Kit = [.. Home.Kit.Where(keep)] } };

    internal Member Who(Func<ClientProfile, ClientProfile> change) => this with { Client = change(Client) };

    internal RebuiltLine Line(string exercise, int sets, int repetitions, HouseRules? rules = null, Intensity? intensity = null, int before = 0) =>
        Session([.. Enumerable.Repeat(Fill, before), Written(exercise, sets, repetitions, intensity)], rules).Lines[^1];

    internal RebuiltLine Line(WrittenLine line, params Teaching[] teachings) =>
        Session([line], HouseRules.Default with { Teachings = [.. teachings] }).Lines[0];

    internal RebuiltSession Session(WrittenLine[] lines, HouseRules? rules = null)
    {
        var session = new WrittenSession("test", [.. lines.Select((l, i) => l with { Number = i + 1 })]);
        return new SessionRebuild(Client, Home, Catalogue.Shipped, rules ?? HouseRules.Default, People.Today, new WrittenProgramme([session]))
            .Rebuild(session, [], People.AllExercises);
    }

    internal static WrittenLine Written(string exercise, int sets, int count, Intensity? intensity = null, CountKind kind = CountKind.Repetitions) => new()
    {
        Number = 1,
        Text = $"{exercise} {sets} x {count}",
        ExerciseName = exercise,
        Exercise = exercise,
        Sets = [.. Enumerable.Repeat(new SetTarget(kind, count, count), sets)],
        Intensity = intensity ?? new Intensity(Reserve: 2),
    };

    /// <summary>A line that takes the first place, so that the next one is no main lift.</summary>
    private static WrittenLine Fill => Written("dead-bug", 2, 8);

    private static string Here([CallerFilePath] string here = "") => Path.GetDirectoryName(here)!;
}
