using System.Collections.Concurrent;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Dosing;

/// <summary>The styles of every exercise for one client under one set of rules, each worked out when first asked for.</summary>
public sealed class StyleSpaces(ClientProfile client, HouseRules rules)
{
    private readonly ConcurrentDictionary<(string Exercise, bool Immovable), StyleSpace> _known = new();

    /// <param name="immovable">There is something that will not give to push or pull against.</param>
    public StyleSpace Of(Exercise exercise, bool immovable) => _known.GetOrAdd(
        (exercise.Id, immovable), key => new StyleSpace(exercise, rules, TechniqueLimits.Of(exercise, client, rules, key.Immovable)));
}
