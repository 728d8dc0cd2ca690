using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Substitution;

/// <summary>The set-ups of one exercise in one home, or why there are none.</summary>
public static class SetUpSearch
{
    /// <summary>Where the heels may stand in a lean, from behind the grip to well in front of it (common practice).</summary>
    private static readonly ImmutableArray<Length> LeanDistances =
        [.. Enumerable.Range(-5, 10).Select(i => Length.FromCentimetres(i * 10))];

    /// <summary>Set-ups that passed, and the reasons for those that did not when none did.</summary>
    public sealed record Found(ImmutableArray<SetUp> SetUps, ImmutableArray<Refusal> Refusals);

    public static Found For(Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        if (MissingKit(exercise, home) is { } missing)
        {
            return new([], [new Refusal(RefusalCause.Kit, missing)]);
        }

        var refusals = new List<Refusal>();
        var placements = new List<ImmutableArray<PlacedFixture>> { ImmutableArray<PlacedFixture>.Empty };
        foreach (var need in exercise.Fixtures)
        {
            var usable = Usable(need, exercise, client, home, rules, refusals).ToArray();
            placements = [.. placements.SelectMany(p => usable.Select(p.Add))];
        }

        if (placements.Count == 0)
        {
            return new([], [.. refusals]);
        }

        SetUp[] setUps =
        [
            .. from placed in placements
               from held in Implements(exercise, placed, client, home, BandMayBeAdded(client, rules))
               let within = WithinLimits(held, placed, exercise, client, home, rules)
               where within is null || within.Ladder.Rungs.Length > 0
               from feetOut in FeetOut(exercise)
               select new SetUp(placed, within, feetOut),
        ];
        return setUps.Length > 0
            ? new([.. setUps], [])
            : new([], [new Refusal(RefusalCause.Kit, "nothing here loads it within what its fixtures and bands may take")]);
    }

    private static IEnumerable<Length?> FeetOut(Exercise exercise) =>
        exercise.Load.Body == BodyModel.StandingLeanRow ? LeanDistances.Select(d => (Length?)d) : [null];

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
            Ladder = new LoadLadder([.. held.Ladder.Rungs.Where(rung => placed.Zip(exercise.Fixtures)
                .All(p => Findings(p.First, p.Second, rung, exercise, client, home, rules).All(f => f.Verdict == SetupVerdict.Pass)))]),
        };
    }

    /// <summary>Every implement held in a way the exercise takes; null stands for body weight alone.</summary>
    private static IEnumerable<HeldImplement?> Implements(
        Exercise exercise, ImmutableArray<PlacedFixture> placed, ClientProfile client, PreparedHome home, bool bandMayBeAdded)
    {
        if (!exercise.NeedsLoad || home.HelpsByFeel(exercise))
        {
            yield return null;
        }

        foreach (var held in home.Implements.Where(h => CanHold(h, exercise)).OrderBy(h => exercise.Holds.IndexOf(h.Hold)))
        {
            yield return Telling(bandMayBeAdded && exercise.AddedBand is { } added && !home.Bands.IsEmpty
                ? WeightPlusBand.On(held, home.BandsBeside(added, client.Stature))
                : held, exercise, client);
        }

        if (exercise.Band is { } run && !home.Bands.IsEmpty)
        {
            var anchor = placed.FirstOrDefault(p => p.Role is FixtureRole.Anchor or FixtureRole.Grip)?.Height;
            var ladder = BandLadder.For(home.Bands, run, client.Stature, anchor, home.Home.Room.FloorLengthOrUsual()).Offered();
            if (!ladder.Rungs.IsEmpty)
            {
                yield return new HeldImplement("bands", "Bands", Hold.Band, ladder);
            }
        }
    }

    /// <summary>Over body mass, the least that is worth picking up where the body is the load already (common practice).</summary>
    private const double WorthPickingUp = 0.02;

    /// <summary>Where the body is moved anyway, a can in the hand is no load.</summary>
    private static HeldImplement Telling(HeldImplement held, Exercise exercise, ClientProfile client) =>
        exercise.NeedsLoad || held.Hold == Hold.FootOnScale ? held
        : held with { Ladder = new LoadLadder([.. held.Ladder.Rungs.Where(r => r.Load.Kilograms >= WorthPickingUp * client.BodyMass.Kilograms)]) };

    /// <summary>A ban on bands keeps them from beside a weight too, not only out of band exercises.</summary>
    private static bool BandMayBeAdded(ClientProfile client, HouseRules rules) =>
        !rules.Bans.Concat(client.Bans).Any(b => b.Attribute == ExerciseAttribute.Bands);

    /// <summary>Held in a way the exercise takes; over the head nothing that may shift or fall out, swung nothing without a handle.</summary>
    private static bool CanHold(HeldImplement held, Exercise exercise) =>
        exercise.Holds.Contains(held.Hold) && !(exercise.OverHead && held.Shifts) && exercise.Wants switch { KitWanted.Bag => held.Shifts, KitWanted.Rigid => !held.Shifts, KitWanted.LeanedOn => held.BearsAHand, _ => true }
        && (!exercise.IsBallistic || held.HasHandle || held.Hold == Hold.Bar);

    private static string? MissingKit(Exercise exercise, PreparedHome home)
    {
        if (exercise.WantsMiniBand && home.Bands.All(b => b.Shape != BandShape.MiniLoop))
        {
            return "needs a mini band besides, and there is none here";
        }

        if (exercise.Wants == KitWanted.Straps && home.Straps is null)
        {
            return "needs straps or rings that are known to hold, and there are none here";
        }

        bool canHold = home.Implements.Any(h => CanHold(h, exercise));
        bool canBand = exercise.Band is { } run
            && home.Bands.Any(b => (b.Shape == BandShape.MiniLoop) == (run.Hold == BandHold.AroundThighs));
        return !exercise.NeedsLoad || canHold || canBand || home.HelpsByFeel(exercise) ? null
            : exercise.Band is not null && exercise.Holds.IsEmpty ? exercise.Band.Hold == BandHold.AroundThighs
                ? "needs a mini band, and there is none here"
                : "needs a band, and there is none here"
            : exercise.Wants == KitWanted.LeanedOn ? "needs two dumbbells or bells that stand flat to lean on, and there are none here"
            : exercise.Holds is [Hold.Pair] ? "needs a matched pair, and there is none here"
            : exercise.Holds is [Hold.Bar] ? "needs a bar with plates, and there is none here"
            : exercise.IsBallistic ? "is swung and needs a load with a sound handle, and there is none here"
            : exercise.Wants == KitWanted.Bag ? "needs a bag or sack, and there is none here"
            : exercise.OverHead ? "goes over the head and needs a load with a handle and a lid, and there is none here"
            : "needs a load that can be held this way, and there is none here";
    }

    private static IEnumerable<PlacedFixture> Usable(
        FixtureNeed need, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules, List<Refusal> refusals)
    {
        var right = home.Fixtures.Where(f => need.Kinds.Any(kind => FixtureKinds.Serves(f.Kind, kind))).ToArray();
        if (right.Length == 0)
        {
            refusals.Add(new(RefusalCause.Kit, $"needs {Words(need)}"));
            yield break;
        }

        foreach (var fixture in right)
        {
            var found = Placements.On(fixture, need, client, home);
            if (found.Misfit is { } misfit)
            {
                refusals.Add(new(RefusalCause.Kit, misfit));
            }

            foreach (var placed in found.Places)
            {
                var failed = Findings(placed, need, LoadLadder.BodyOnly.Rungs[0], exercise, client, home, rules)
                    .FirstOrDefault(f => f.Verdict != SetupVerdict.Pass);
                if (failed is null)
                {
                    yield return placed;
                }
                else if (refusals.All(r => r.Reason != failed.Reason))
                {
                    refusals.Add(new(RefusalCause.Safety, failed.Reason));
                }
            }
        }
    }

    /// <summary>The judgement of each fixture a placement leans on; of a strap too.</summary>
    private static IEnumerable<SetupFinding> Findings(
        PlacedFixture placed, FixtureNeed need, Rung rung, Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules)
    {
        var resting = FixtureLoad.AtRest(rung, placed, need, exercise, client);
        yield return SetupCheck.Of(placed.Fixture, resting, need.Motion, home.Today, rules.PassDays);
        if (placed.Partner is { } partner)
        {
            yield return SetupCheck.Of(partner, resting, need.Motion, home.Today, rules.PassDays);
        }

        if (need.Role == FixtureRole.Grip && placed.Height < placed.Fixture.Height && home.Straps is { } straps)
        {
            yield return SetupCheck.OfStraps(straps, resting, need.Motion);
        }
    }

    private static string Words(FixtureNeed need)
    {
        if (need.Zone is { } zone)
        {
            return $"a {zone.ToString().ToLowerInvariant()} anchor for the band";
        }

        string kinds = string.Join(" or ", need.Kinds.Where(k => k != FixtureKind.Wall).Select(Name));
        return need.Count > 1 ? $"{need.Count} of equal height: {kinds}" : kinds;
    }

    private static string Name(FixtureKind kind) => kind switch
    {
        FixtureKind.DoorAnchor => "a door anchor",
        FixtureKind.PullUpBar => "a pull-up bar",
        FixtureKind.CounterCorner => "a counter corner",
        FixtureKind.Stairs => "stairs",
        FixtureKind.Rack => "a rack with safety arms",
        _ => "a " + kind.ToString().ToLowerInvariant(),
    };
}
