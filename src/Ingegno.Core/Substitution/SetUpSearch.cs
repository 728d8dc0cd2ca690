using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Substitution;

/// <summary>A home with its ladders worked out once, and the day it is used.</summary>
public sealed class PreparedHome(Home home, DateOnly today)
{
    /// <summary>A wall is everywhere and needs no entry.</summary>
    private static readonly Fixture Wall = new()
    {
        Id = "wall",
        Name = "Wall",
        Kind = FixtureKind.Wall,
        Height = Length.FromMetres(2),
    };

    public Home Home { get; } = home;

    public DateOnly Today { get; } = today;

    public ImmutableArray<HeldImplement> Implements { get; } = HomeLadders.Of(home);

    public ImmutableArray<Fixture> Fixtures { get; } = [.. home.Fixtures, Wall];
}

/// <summary>The set-ups of one exercise in one home, or why there are none.</summary>
public static class SetUpSearch
{
    /// <summary>Set-ups that passed, and the reasons for those that did not when none did.</summary>
    public sealed record Found(ImmutableArray<SetUp> SetUps, ImmutableArray<Refusal> Refusals);

    public static Found For(Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        var implements = Implements(exercise, home).ToArray();
        if (implements.Length == 0)
        {
            return new([], [new Refusal(RefusalCause.Kit, MissingLoad(exercise))]);
        }

        var refusals = new List<Refusal>();
        var placements = new List<ImmutableArray<PlacedFixture>> { ImmutableArray<PlacedFixture>.Empty };
        foreach (var need in exercise.Fixtures)
        {
            var usable = Usable(need, exercise, client, home, rules, refusals).ToArray();
            placements = [.. placements.SelectMany(p => usable.Select(f => p.Add(new PlacedFixture(need.Role, f))))];
        }

        if (placements.Count == 0)
        {
            return new([], [.. refusals]);
        }

        return new(
            [.. placements.SelectMany(
                placed => implements.Select(i => new SetUp(placed, WithinLimits(i, placed, exercise, client, home, rules))))
                .Where(s => s.Ladder.Rungs.Length > 0)],
            []);
    }

    /// <summary>Only the rungs under which every fixture still passes.</summary>
    private static HeldImplement? WithinLimits(
        HeldImplement? held, ImmutableArray<PlacedFixture> placed, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        if (held is null || placed.IsEmpty)
        {
            return held;
        }

        return held with
        {
            Ladder = new LoadLadder([.. held.Ladder.Rungs.Where(rung => placed.Zip(exercise.Fixtures).All(p =>
                SetupCheck.Of(
                    p.First.Fixture,
                    Borne(rung.Load, p.First.Fixture, p.Second, exercise, client),
                    p.Second.Motion,
                    home.Today,
                    rules.PassDays).Verdict == SetupVerdict.Pass))]),
        };
    }

    /// <summary>Every implement held in a way the exercise takes; null stands for body weight alone.</summary>
    private static IEnumerable<HeldImplement?> Implements(Exercise exercise, PreparedHome home)
    {
        if (!exercise.NeedsLoad)
        {
            yield return null;
        }

        foreach (var held in home.Implements.Where(h => exercise.Holds.Contains(h.Hold)))
        {
            yield return held;
        }
    }

    private static string MissingLoad(Exercise exercise) => exercise.Holds is [Hold.Pair]
        ? "needs a matched pair, and there is none here"
        : "needs a load that can be held this way, and there is none here";

    private static IEnumerable<Fixture> Usable(
        FixtureNeed need, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules, List<Refusal> refusals)
    {
        var right = home.Fixtures.Where(f => need.Kinds.Contains(f.Kind)).ToArray();
        if (right.Length == 0)
        {
            refusals.Add(new(RefusalCause.Kit, $"needs {Words(need)}"));
            yield break;
        }

        foreach (var fixture in right)
        {
            if (Unfit(fixture, need, client) is { } misfit)
            {
                refusals.Add(new(RefusalCause.Kit, misfit));
                continue;
            }

            var finding = SetupCheck.Of(fixture, Borne(Mass.Zero, fixture, need, exercise, client), need.Motion, home.Today, rules.PassDays);
            if (finding.Verdict == SetupVerdict.Pass)
            {
                yield return fixture;
            }
            else
            {
                refusals.Add(new(RefusalCause.Safety, finding.Reason));
            }
        }
    }

    private static string? Unfit(Fixture fixture, FixtureNeed need, ClientProfile client)
    {
        if (fixture.Count < need.Count)
        {
            return $"needs {need.Count} of {fixture.Name} at one height, there is {fixture.Count}";
        }

        if (fixture.Kind == FixtureKind.Wall)
        {
            return null;
        }

        var lowest = client.Stature * need.LowestOfStature.Fraction;
        var highest = client.Stature * need.HighestOfStature.Fraction;
        return fixture.Height < lowest ? $"{fixture.Name} at {fixture.Height} is too low, {lowest} to {highest} wanted"
            : fixture.Height > highest ? $"{fixture.Name} at {fixture.Height} is too high, {lowest} to {highest} wanted"
            : null;
    }

    /// <summary>What one fixture bears at rest, with an external load in the hands or on the back.</summary>
    private static Mass Borne(Mass load, Fixture fixture, FixtureNeed need, Exercise exercise, ClientProfile client)
    {
        var geometry = new SetUp([new PlacedFixture(need.Role, fixture)], null).Geometry;
        var share = need.Bears ?? Resistance.BodyMoved(exercise.Load, client, geometry);
        return share * (client.BodyMass + load) * (1.0 / need.Count);
    }

    private static string Words(FixtureNeed need)
    {
        string kinds = string.Join(" or ", need.Kinds.Where(k => k != FixtureKind.Wall).Select(Name));
        return need.Count > 1 ? $"{need.Count} of equal height: {kinds}" : kinds;
    }

    private static string Name(FixtureKind kind) => kind switch
    {
        FixtureKind.DoorAnchor => "a door anchor",
        FixtureKind.PullUpBar => "a pull-up bar",
        FixtureKind.Stairs => "stairs",
        _ => "a " + kind.ToString().ToLowerInvariant(),
    };
}
