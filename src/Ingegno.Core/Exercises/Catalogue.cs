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
    private readonly ILookup<string, Exercise> _followers;

    /// <exception cref="InvalidDataException">The data contradicts itself; the message names the exercise.</exception>
    public Catalogue(IEnumerable<Exercise> exercises)
    {
        Exercises = [.. exercises.OrderBy(e => e.Id, StringComparer.Ordinal)];
        if (CatalogueFaults.Of(Exercises) is [var first, ..])
        {
            throw new InvalidDataException(first);
        }

        _byId = Exercises.ToFrozenDictionary(e => e.Id, StringComparer.Ordinal);
        _followers = Exercises.Where(e => e.Strength is not null).ToLookup(e => e.Strength!.Reference);
        _byName = Exercises
            .SelectMany(NameMatch.KeysOf, (e, key) => (key, e))
            .ToFrozenDictionary(p => p.key, p => p.e, StringComparer.Ordinal);
    }

    public ImmutableArray<Exercise> Exercises { get; }

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

    /// <summary>The exercises whose names come nearest to what was typed, best first.</summary>
    public ImmutableArray<Exercise> Nearest(string typed, int most = 3) =>
        [.. _byName
            .Select(p => (p.Value, Likeness: NameMatch.Likeness(NameMatch.Normalise(typed), p.Key)))
            .Where(p => p.Likeness >= 0.3)
            .OrderByDescending(p => p.Likeness)
            .ThenBy(p => p.Value.Id, StringComparer.Ordinal)
            .Select(p => p.Value)
            .DistinctBy(e => e.Id)
            .Take(most)];

    private static Catalogue ReadShipped()
    {
        var assembly = typeof(Catalogue).Assembly;
        return new Catalogue(assembly.GetManifestResourceNames()
            .Where(name => name.StartsWith("catalogue/", StringComparison.Ordinal))
            .SelectMany(name =>
            {
                using var stream = assembly.GetManifestResourceStream(name)!;
                try
                {
                    return JsonSerializer.Deserialize<ImmutableArray<Exercise>>(stream, TradeJson.Options);
                }
                catch (JsonException e)
                {
                    throw new InvalidDataException($"{name}: {e.Message}", e);
                }
            }));
    }
}
