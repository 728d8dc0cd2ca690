using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Substitution;

/// <summary>
/// A house rule or a trait of the client that leans on one exercise: it ranks it lower or higher, adds a cue, or both. In
/// contrast to a <see cref="Refusal"/> it never takes the exercise away.
/// </summary>
/// <param name="Name">The rule or trait by name; stands on the changed line.</param>
/// <param name="Worth">What the fit is multiplied by; 1 for a cue alone.</param>
/// <param name="Cue">Told in place of the exercise's own cues that it contradicts, else beside them; null for none.</param>
/// <param name="Dose">What it changed in the dose, in words; null for nothing.</param>
public sealed record Leaning(string Name, double Worth = 1, string? Cue = null, string? Dose = null)
{
    /// <summary>Phrases that say the opposite of its cue.</summary>
    [JsonIgnore]
    public ImmutableArray<string> Overrules { get; init; } = [];

    /// <summary>All that lean on an exercise for this client under these rules.</summary>
    public static ImmutableArray<Leaning> On(Exercise exercise, ClientProfile client, HouseRules rules, DateOnly today) =>
        [.. SchoolLeanings.On(exercise, rules), .. TraitLeanings.On(exercise, client), .. CareLeanings.On(exercise, client, today)];
}
