using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>One resistance a home can give in a family.</summary>
/// <param name="Load">As many kilograms on the family's gym lift would ask the same.</param>
/// <param name="Words">Exercise and load as the client would set it up.</param>
public sealed record ReachRung(Mass Load, Demand Equivalent, string Exercise, string Words);

/// <summary>How far a home goes in a family.</summary>
public enum ReachVerdict
{
    /// <summary>No line of the programme asks it.</summary>
    NotAsked,

    Reached,

    /// <summary>The lighter lines are reached, the heaviest is not.</summary>
    Short,

    /// <summary>Not even the lightest line is reached.</summary>
    OutOfReach,
}

/// <summary>One strength family: what the home reaches against what the gym programme asks.</summary>
/// <param name="AskedFrom">Lightest line of the programme, in kilograms on the gym lift; null when no line asks this family.</param>
/// <param name="Short">How far the heaviest rung stays under the heaviest line; zero when it is reached.</param>
/// <param name="Rungs">Lightest first.</param>
/// <param name="Blocked">What keeps more from being reached, the commonest reason first; empty when nothing does.</param>
public sealed record FamilyReach(
    string Name, string Reference, Mass? AskedFrom, Mass? AskedTo, Mass Short, ReachVerdict Verdict, Mass Maximum,
    ImmutableArray<ReachRung> Rungs, ImmutableArray<string> Blocked);

/// <summary>
/// Per strength family one scale of resistance with every rung this home can give. A push-up, a dumbbell and a band are put
/// on one scale through equivalent demand: the kilograms on the gym lift that would allow the client as many repetitions.
/// </summary>
public sealed class ReachChart
{
    /// <summary>Rungs nearer than this in equivalent demand are drawn as one.</summary>
    private const double Grain = 0.004;

    /// <summary>A rung this much under a line, over it, still serves it; one more repetition makes it up (common practice).</summary>
    private const double NearEnough = 0.02;

    private const int MostBlocked = 3;

    private readonly ClientProfile _client;
    private readonly PreparedHome _home;
    private readonly Catalogue _catalogue;
    private readonly HouseRules _rules;
    private readonly StrengthAnchors _anchors;
    private readonly ImmutableArray<(Exercise Exercise, Demand Equivalent)> _asked;

    private ReachChart(
        ClientProfile client, Home home, Catalogue catalogue, HouseRules rules, DateOnly today, WrittenProgramme programme)
    {
        (_client, _catalogue, _rules) = (client, catalogue, rules);
        _home = new PreparedHome(home, today);
        _anchors = WrittenAnchors.Of(client, catalogue, rules, programme, today);
        _asked =
        [
            .. from session in programme.Sessions
               from line in session.Lines
               where line.Exercise is not null
               let exercise = catalogue[line.Exercise!]
               let intent = IntentReading.Read(
                   line, exercise, client, _anchors.For(exercise), rules, Supersets.Partners(line, session))
               where intent is not null
               select (exercise, intent.Equivalent),
        ];
    }

    /// <summary>Every family in drawing order; those without a reference maximum are left out.</summary>
    public static ImmutableArray<FamilyReach> Of(
        ClientProfile client, Home home, Catalogue catalogue, HouseRules rules, DateOnly today, WrittenProgramme programme)
    {
        var chart = new ReachChart(client, home, catalogue, rules, today, programme);
        return [.. ReachFamily.All.Select(chart.Family).OfType<FamilyReach>()];
    }

    private FamilyReach? Family(ReachFamily family)
    {
        if (_catalogue.Find(family.Reference) is not { } reference || _anchors.For(reference) is not { } anchor)
        {
            return null;
        }

        var scale = new ReferenceScale(new ExerciseEffort(reference, _client, anchor, new Geometry()));
        var asked = _asked.Where(a => family.Patterns.Contains(a.Exercise.Pattern)).Select(a => scale.LoadFor(a.Equivalent)).Order().ToArray();
        var (rungs, blocked) = Rungs(family, scale);
        var top = rungs.IsEmpty ? Mass.Zero : rungs[^1].Load;
        var missing = asked.Length > 0 && asked[^1] > top ? asked[^1] - top : Mass.Zero;
        return new FamilyReach(
            family.Name, reference.Name,
            asked.Length > 0 ? asked[0] : null, asked.Length > 0 ? asked[^1] : null, missing, VerdictOf(asked, top),
            scale.LoadFor(Demand.Of(1)), rungs, blocked);
    }

    private static ReachVerdict VerdictOf(Mass[] asked, Mass top) =>
        asked.Length == 0 ? ReachVerdict.NotAsked
        : Reaches(top, asked[^1]) ? ReachVerdict.Reached
        : Reaches(top, asked[0]) ? ReachVerdict.Short
        : ReachVerdict.OutOfReach;

    private static bool Reaches(Mass top, Mass asked) => top >= asked * (1 - NearEnough);

    private (ImmutableArray<ReachRung> Rungs, ImmutableArray<string> Blocked) Rungs(ReachFamily family, ReferenceScale scale)
    {
        var reached = new Dictionary<int, ReachRung>();
        var blocked = new List<string>();
        foreach (var exercise in _catalogue.Exercises.Where(e => e.Setting != Setting.Gym && family.Patterns.Contains(e.Pattern)))
        {
            if (_anchors.For(exercise) is not { } anchor)
            {
                continue;
            }

            var against = Gate.Against(exercise, _client, _home, _rules).ToArray();
            if (against.Length > 0)
            {
                blocked.AddRange(against.Select(r => r.Reason));
                continue;
            }

            var found = SetUpSearch.For(exercise, _client, _home, _rules);
            blocked.AddRange(found.Refusals.Where(r => r.Cause == RefusalCause.Safety).Select(r => r.Reason));
            foreach (var setUp in found.SetUps)
            {
                Add(exercise, anchor, setUp, scale, reached);
            }
        }

        return (
            [.. reached.Values.OrderBy(r => r.Equivalent)],
            [.. blocked.GroupBy(b => b).OrderByDescending(g => g.Count()).ThenBy(g => g.Key, StringComparer.Ordinal).Take(MostBlocked).Select(g => g.Key)]);
    }

    private void Add(Exercise exercise, StrengthAnchor anchor, SetUp setUp, ReferenceScale scale, Dictionary<int, ReachRung> reached)
    {
        var effort = new ExerciseEffort(exercise, _client, anchor, setUp.Geometry);
        foreach (var rung in setUp.Ladder.Rungs)
        {
            var demand = effort.DemandOf(rung.Load);
            if (demand < RepetitionCost.LeastDemand || demand > effort.MostDemand)
            {
                continue;
            }

            var equivalent = effort.EquivalentOf(demand);
            int cell = (int)Math.Round(equivalent.Value / Grain);
            if (equivalent.Value > 0 && !reached.ContainsKey(cell))
            {
                reached[cell] = new(scale.LoadFor(equivalent), equivalent, exercise.Name, $"{exercise.Name}: {LoadWords.Of(rung, setUp.Implement)}{Where(setUp)}");
            }
        }
    }

    private static string Where(SetUp setUp) =>
        string.Concat(setUp.Placed.Where(p => p.Fixture.Kind != FixtureKind.Wall).Select(p => $"; {p.Fixture.Name} {p.Height}"));

    /// <summary>Equivalent demand as kilograms on the reference lift; asked often, so kept.</summary>
    private sealed class ReferenceScale(ExerciseEffort reference)
    {
        private readonly Dictionary<int, Mass> _known = [];

        internal Mass LoadFor(Demand equivalent)
        {
            int cell = (int)Math.Round(equivalent.Value * 1000);
            if (!_known.TryGetValue(cell, out var load))
            {
                _known[cell] = load = reference.LoadFor(reference.DemandForEquivalent(Demand.Of(cell / 1000.0)));
            }

            return load;
        }
    }
}
