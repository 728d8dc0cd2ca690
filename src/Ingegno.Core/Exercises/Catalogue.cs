using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>Every exercise known, by id and by name. Immutable; the shipped one is read once.</summary>
public sealed class Catalogue
{
    private readonly FrozenDictionary<string, Exercise> _byId;
    private readonly FrozenDictionary<string, Exercise> _byName;
    private readonly ImmutableArray<(string Name, uint[] Pairs, Exercise Exercise)> _offered;
    private readonly FrozenDictionary<string, Drill> _drillsByName;
    private readonly ILookup<string, Exercise> _followers;
    private readonly ILookup<string, Exercise> _byShared;
    private readonly ILookup<string, HarderNeighbour> _easier;

    /// <exception cref="InvalidDataException">The data contradicts itself; the message names the exercise.</exception>
    public Catalogue(IEnumerable<Exercise> exercises, IEnumerable<Drill>? drills = null)
    {
        Drills = [.. (drills ?? []).OrderBy(d => d.Kind).ThenBy(d => d.Id, StringComparer.Ordinal)];
        var all = exercises.OrderBy(e => e.Id, StringComparer.Ordinal).ToImmutableArray();
        _drillsByName = Drills.SelectMany(d => d.Synonyms.Prepend(d.Name).Select(NameMatch.Normalise).Distinct(StringComparer.Ordinal), (d, key) => (key, d))
            .DistinctBy(p => p.key, StringComparer.Ordinal).ToFrozenDictionary(p => p.key, p => p.d, StringComparer.Ordinal);
        Exercises = [.. all.Where(e => !e.IsRetired)];
        Retired = [.. all.Where(e => e.IsRetired)];
        if (CatalogueFaults.Of(Exercises) is [var first, ..])
        {
            throw new InvalidDataException(first);
        }

        Slots = [.. Core.Exercises.Slots.From(Exercises.ToDictionary(e => e.Id, StringComparer.Ordinal))];
        _byId = all.Concat(Slots).ToFrozenDictionary(e => e.Id, StringComparer.Ordinal);
        _followers = all.Concat(Slots).Where(e => e.Strength is not null).ToLookup(e => e.Strength!.Reference);
        _byName = Exercises.Concat(Slots)
            .Concat(Retired)
            .SelectMany(NameMatch.KeysOf, (e, key) => (key, e))
            .DistinctBy(p => p.key, StringComparer.Ordinal)
            .ToFrozenDictionary(p => p.key, p => p.e, StringComparer.Ordinal);
        _offered = [.. _byName.Where(p => !p.Value.IsRetired).Select(p => (p.Key, NameMatch.PairsOf(p.Key), p.Value))];
        _byShared = Exercises
            .SelectMany(e => e.SharedNames.Select(NameMatch.Normalise).Distinct(), (e, key) => (key, e))
            .ToLookup(p => p.key, p => p.e, StringComparer.Ordinal);
        _easier = Exercises
            .SelectMany(e => e.Harder, (e, step) => (step.Exercise, Easier: new HarderNeighbour(e.Id, step.By)))
            .ToLookup(p => p.Exercise, p => p.Easier, StringComparer.Ordinal);
    }

    /// <summary>Every exercise that can be given; slots of intent are none, and none is retired.</summary>
    public ImmutableArray<Exercise> Exercises { get; }

    /// <summary>Given no more, but still read where a programme names them, unless another has the name now.</summary>
    public ImmutableArray<Exercise> Retired { get; }

    /// <summary>What a programme may ask for without naming an exercise.</summary>
    public ImmutableArray<Exercise> Slots { get; }

    /// <summary>Warm-up, mobility and cool-down items, in the order of a session.</summary>
    public ImmutableArray<Drill> Drills { get; }

    /// <summary>The catalogue that ships inside the core.</summary>
    public static Catalogue Shipped => LazyShipped.Value;

    private static readonly Lazy<Catalogue> LazyShipped = new(ReadShipped);

    /// <summary>By id, or null.</summary>
    public Exercise? Find(string id) => _byId.GetValueOrDefault(id);

    /// <summary>By id.</summary>
    /// <exception cref="KeyNotFoundException">No such exercise: a bug, not an input error.</exception>
    public Exercise this[string id] => _byId[id];

    /// <summary>The exercises whose strength is told by their ratio to this one.</summary>
    public IEnumerable<Exercise> Followers(string id) => _followers[id];

    /// <summary>By name or synonym, whatever the case, spacing and hyphens; null when nothing matches exactly.</summary>
    public Exercise? Named(string typed) => _byName.GetValueOrDefault(NameMatch.Normalise(typed));

    /// <summary>
    /// What else some coaches mean by a name: other exercises than the one <see cref="Named"/> finds. Empty for most names.
    /// </summary>
    public ImmutableArray<Exercise> AlsoMeant(string typed) =>
        [.. _byShared[NameMatch.Normalise(typed)].Where(e => e.Id != Named(typed)?.Id)];

    /// <summary>A drill by its name or a synonym, whatever the case, spacing and plural; null when none matches.</summary>
    public Drill? DrillNamed(string typed) => _drillsByName.GetValueOrDefault(NameMatch.Normalise(typed));

    /// <summary>The easier neighbours on the ladder, and what the step back from this one changes.</summary>
    public IEnumerable<HarderNeighbour> EasierThan(string id) => _easier[id];

    /// <summary>True where steps up the ladder lead from one to the other; a step of load alone asks no new skill and is none.</summary>
    public bool IsHarderThan(string id, string than)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        var open = new Stack<string>([id]);
        while (open.TryPop(out string? at))
        {
            foreach (var easier in _easier[at].Where(s => s.By != LadderStep.Load && seen.Add(s.Exercise)))
            {
                if (easier.Exercise == than)
                {
                    return true;
                }

                open.Push(easier.Exercise);
            }
        }

        return false;
    }

    /// <summary>The exercises whose names come nearest to what was typed, best first; those some coaches call just that lead.</summary>
    public ImmutableArray<Exercise> Nearest(string typed, int most = 3)
    {
        string name = NameMatch.Normalise(typed), kind = name[(name.LastIndexOf(' ') + 1)..];
        uint[] pairs = NameMatch.PairsOf(name);
        return
        [
            .. AlsoMeant(typed).Concat(_offered
                .Select(p => (p.Exercise, Likeness: NameMatch.Likeness(pairs, p.Pairs) + (IsKind(p.Name) ? OfOneKind : 0)))
                .Where(p => p.Likeness >= 0.3)
                .OrderByDescending(p => p.Likeness)
                .ThenBy(p => p.Exercise.Id, StringComparer.Ordinal)
                .Select(p => p.Exercise))
                .DistinctBy(e => e.Id)
                .Take(most),
        ];

        // The last word says what it is: any row is nearer to a "power row" than a power clean.
        bool IsKind(string known) => kind.Length > 2 && (known == kind || known.EndsWith(' ' + kind, StringComparison.Ordinal));
    }

    /// <summary>What the same last word adds to a likeness (common practice).</summary>
    private const double OfOneKind = 0.3;

    private static Catalogue ReadShipped() =>
        new(
            Read<CatalogueFile>("catalogue/").SelectMany(file => file.Members()),
            Read<DrillFile>("drills/").SelectMany(file => file.Drills));

    private static IEnumerable<T> Read<T>(string folder)
    {
        var assembly = typeof(Catalogue).Assembly;
        foreach (string name in assembly.GetManifestResourceNames().Where(n => n.StartsWith(folder, StringComparison.Ordinal)))
        {
            using var stream = assembly.GetManifestResourceStream(name)!;
            yield return Parse<T>(name, stream);
        }
    }

    private static T Parse<T>(string name, Stream stream)
    {
        try
        {
            return JsonSerializer.Deserialize<T>(stream, TradeJson.Options)!;
        }
        catch (JsonException e)
        {
            throw new InvalidDataException($"{name}: {e.Message}", e);
        }
    }
}
