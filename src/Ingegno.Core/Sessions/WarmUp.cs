using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Sessions;

/// <summary>
/// The drills before a session: raise, loosen the joints used, steady, switch on; built from what the day trains. Half the
/// day's repetitions of the first exercise follow them.
/// </summary>
public static class WarmUp
{
    private static readonly ImmutableArray<(DrillKind Kind, int Most)> Phases =
        [(DrillKind.Raise, 1), (DrillKind.Loosen, 3), (DrillKind.Steady, 1), (DrillKind.SwitchOn, 2)];

    /// <summary>A fifth of the time there is, 3 to 10 minutes (common practice; coach).</summary>
    private static Duration? Most(ClientProfile client) =>
        client.SessionMinutes is { } minutes ? Duration.FromMinutes(Math.Clamp(minutes / 5.0, 3.5, 10)) : null;

    /// <param name="allowed">Drills this client may be given here.</param>
    /// <returns>Empty where nothing is trained, or the house rule gives one only as needed.</returns>
    public static ImmutableArray<GivenDrill> For(
        IReadOnlyCollection<Exercise> trained, ClientProfile client, IReadOnlyList<Drill> allowed, HouseRules rules)
    {
        if (trained.Count == 0 || !rules.Teaches(Teaching.WarmUpAlways))
        {
            return [];
        }

        var patterns = trained.GroupBy(e => e.Pattern).ToDictionary(g => g.Key, g => g.Count());
        return GivenDrill.Within(Phases.SelectMany(phase => allowed
            .Where(d => d.Kind == phase.Kind)
            .Select(d => (drill: d, worth: Worth(d)))
            .Where(p => p.worth > 0)
            .OrderByDescending(p => p.worth).ThenBy(p => p.drill.Id, StringComparer.Ordinal)
            .Take(phase.Most)
            .Select(p => GivenDrill.Of(p.drill, Why(p.drill)) with { AnswersTrait = Answers(p.drill) is not null })), Most(client));

        double Worth(Drill drill) =>
            (drill.Patterns.IsEmpty ? 0.5 : drill.Patterns.Sum(p => patterns.GetValueOrDefault(p)))
            + (Answers(drill) is null ? 0 : 10);

        string Why(Drill drill) => Answers(drill) is { } trait ? $"Trait: {PlainWords.Of(trait)}" : drill.Kind switch
        {
            DrillKind.Raise => "raises the pulse before the work",
            DrillKind.Loosen => "takes the joints of the day through their range",
            DrillKind.Steady => "steadies what will carry",
            _ => "wakes the muscles of the day",
        };

        Trait? Answers(Drill drill) => drill.For is { } trait && client.Traits.Contains(trait) ? trait : null;
    }
}
