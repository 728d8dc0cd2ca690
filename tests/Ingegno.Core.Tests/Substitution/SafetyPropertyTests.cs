using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>
/// Generated clients, homes and lines; an independent reading of the rules, sharing no code with the selector, finds
/// nothing prescribed that breaks room, fixture, kit, screen, joint or house rule.
/// </summary>
public class SafetyPropertyTests
{
    internal static readonly Exercise[] Written = [.. Catalogue.Shipped.Exercises.Where(e => e.Setting != Setting.Home)];

    private static readonly Gen<FixtureCheck?> Checks = Gen.Select(Gen.Int[0, 4], Gen.Int[0, 200], (kind, ago) => kind switch
    {
        0 => null,
        1 => new FixtureCheck(CheckVerdict.Never, People.Today.AddDays(-ago), "coach"),
        2 => new FixtureCheck(CheckVerdict.NotPassed, People.Today.AddDays(-ago), "coach"),
        _ => new FixtureCheck(CheckVerdict.Passed, People.Today.AddDays(-ago), "coach"),
    });

    private static readonly Gen<Fixture> Fixtures = Gen.Select(
        Gen.Enum<FixtureKind>().Where(k => k != FixtureKind.Wall), Gen.Int[5, 230], Gen.Int[1, 2], Checks, Gen.Int[0, 250], Gen.Int[0, 1_000_000],
        (kind, height, count, check, bears, id) =>
            People.Fixture(kind, height / 100.0, count, check, bears < 20 ? null : bears) with { Id = $"{kind}-{id}" });

    internal static readonly Gen<Home> Homes = Gen.Select(
        Gen.Int[160, 300], Gen.Int[100, 400], Gen.Bool, Gen.Bool, Fixtures.Array[0, 5], Gen.Int[0, 2], Gen.Int[0, 20],
        (headroom, floor, slides, below, fixtures, handles, plates) => new Home
        {
            Room = new Room
            {
                Headroom = Length.FromCentimetres(headroom),
                FloorLength = Length.FromCentimetres(floor),
                Floors = [slides ? FloorKind.Wood : FloorKind.Rubber],
                NeighboursBelow = below,
            },
            Fixtures = [.. fixtures.DistinctBy(f => f.Id)],
            Kit = handles == 0 ? [] :
            [
                People.Handles(handles, 2, (2.5, plates)), People.Rucksack(1, 25, ("bottle", 1.5, plates)),
                People.Loop("loop", 1 + (plates / 4.0)), new Straps { Id = "straps", Name = "Straps", Bears = Mass.FromKilograms(10 * plates) },
                new Sliders { Id = "pads", Name = "Pads", Slider = SliderKind.SliderPad }, new Scale { Id = "scale", Name = "Scale" },
            ],
        });

    internal static readonly Gen<ClientProfile> Clients = Gen.Select(
        Gen.Enum<Level>(), Gen.Enum<Sex>(), Gen.Int[45, 130], Gen.Int[150, 200], Gen.Enum<Joint>(), Gen.Int[0, 10], Gen.Enum<Screen>(),
        (level, sex, mass, stature, joint, pain, screen) => People.Man with
        {
            Level = level,
            Sex = sex,
            BodyMass = Mass.FromKilograms(mass),
            Stature = Length.FromCentimetres(stature),
            SoreJoints = [new Soreness(joint, pain)],
            Screens = [new Screened(screen, ScreenResult.Failed), .. screen == Screen.ShoulderExtension ? [] : new[] { new Screened(Screen.ShoulderExtension, ScreenResult.Passed) }],
            Health = new HealthScreen { Answers = [new((HealthQuestion)(pain % 7), pain % 2 == 0)] },
        });

    /// <summary>Rules a generated practice works by: sides of the schools and bans.</summary>
    internal static readonly Gen<HouseRules> Rules = Gen.Select(
        Gen.Enum<Teaching>().Array[0, 4], Gen.Enum<ExerciseAttribute>().Array[0, 2],
        (sides, bans) => HouseRules.Default with { Teachings = [.. sides], Bans = [.. bans.Select(b => new Ban(null, b, "generated"))] });

    [Fact]
    public void Nothing_unsafe_or_impossible_is_ever_prescribed() =>
        Gen.Select(Homes, Clients, Rules, Gen.Int[0, Written.Length - 1], Gen.Int[1, 20]).Sample((home, client, rules, which, repetitions) =>
        {
            var line = new WrittenLine
            {
                Number = 1,
                Text = "line",
                ExerciseName = Written[which].Name,
                Exercise = Written[which].Id,
                Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, repetitions, repetitions), 3)],
            };
            var session = new WrittenSession("generated", [line]);
            var rebuilt = new SessionRebuild(client, home, Catalogue.Shipped, rules, People.Today, new WrittenProgramme([session]))
                .Rebuild(session, [], People.AllExercises).Lines[0];
            foreach (var alternative in rebuilt.Alternatives.Concat(rebuilt.Added))
            {
                Breaches(alternative.Prescription, client, home).Concat(RuleBreaches(People.Exercise(alternative.Prescription.Exercise), client, rules))
                    .ShouldBeEmpty(alternative.Prescription.Exercise);
                if (rules.Bans.Any(b => b.Attribute == ExerciseAttribute.Bands))
                {
                    alternative.Ladder.ShouldAllBe(load => load.Pull == null, "a banned band beside a weight");
                }
            }
        });

    /// <summary>The rules read anew from the catalogue data and the prescription's own words.</summary>
    internal static IEnumerable<string> Breaches(Prescription given, ClientProfile client, Home home)
    {
        var exercise = Catalogue.Shipped[given.Exercise];
        double stature = client.Stature.Metres;
        if (exercise.Setting == Setting.Gym)
        {
            yield return "needs the gym";
        }

        if (exercise.WantsMiniBand && !home.Kit.OfType<Band>().Any(b => b.Shape == BandShape.MiniLoop))
        {
            yield return "a mini band nobody has";
        }

        if (exercise.Room.HeadroomOfStature.Fraction * stature > home.Room.Headroom!.Value.Metres + 1e-9
            || exercise.Room.FloorOfStature.Fraction * stature > home.Room.FloorLength!.Value.Metres + 1e-9
            || (exercise.Room.SlidingFloor && (home.Room.Floors[0] == FloorKind.Rubber || !home.Kit.OfType<Sliders>().Any()))
            || (exercise.Room.Noise == Noise.Loud && home.Room.NeighboursBelow))
        {
            yield return "room";
        }

        if (exercise.Screens.Contains(client.Screens[0].Screen))
        {
            yield return "screen";
        }

        var sore = client.SoreJoints[0];
        int stress = exercise.Joints.Where(j => j.Joint == sore.Joint).Select(j => j.Level).DefaultIfEmpty(0).Max();
        if ((sore.Pain > 5 && stress > 0) || (sore.Pain >= 3 && stress >= 3))
        {
            yield return "joint";
        }

        foreach (string breach in FixtureBreaches(given, exercise, client, home))
        {
            yield return breach;
        }

        if (given.Load != Mass.Zero && (given.Kit is null || !(exercise.Holds.Contains(given.Hold!.Value) || (given.Hold == Hold.Band && exercise.Band is not null))))
        {
            yield return "a load nobody can hold";
        }

        if (given.Hold == Hold.Pair && home.Kit.OfType<PlateLoadedHandles>().All(k => k.Handles < 2))
        {
            yield return "half a pair";
        }
    }

    /// <summary>House rules, bans and the health screen, each read anew from what the side says.</summary>
    internal static IEnumerable<string> RuleBreaches(Exercise e, ClientProfile client, HouseRules rules)
    {
        bool Side(Teaching usual, Teaching other) =>
            rules.Teachings.Where(t => t == usual || t == other).Select(t => t == other).FirstOrDefault();

        if (client.Health.Answers.Any(a => a.Applies && e.Conditions.Contains(a.Question)))
        {
            yield return "health";
        }

        bool behind = e.Id is "bench-dip" or "bent-knee-bench-dip";
        if (behind && !(Side(Teaching.BenchDipsOff, Teaching.BenchDipsWithScreen)
            && client.Screens.Any(s => s is { Screen: Screen.ShoulderExtension, Result: ScreenResult.Passed })))
        {
            yield return "a dip behind the body";
        }

        if ((e.KneesForward && Side(Teaching.KneesMayPass, Teaching.KneesBehindToes))
            || (e.Steadiness >= 3 && Side(Teaching.UnsteadyAsTool, Teaching.UnsteadyAvoided))
            || (e.Pattern == Pattern.TrunkFlexion && e.Range != HardestRange.Long && Side(Teaching.SpineMayFlex, Teaching.SpineLengthens))
            || (e.ThumbsDown && client.SoreJoints.Any(s => s is { Joint: Joint.Shoulder, Pain: > 0 })
                && !Side(Teaching.ThumbsDownOffWhenSore, Teaching.ThumbsDownAllowed)))
        {
            yield return "a house rule";
        }

        var rotation = rules.Teachings.FirstOrDefault(
            t => t is Teaching.RotationUnloaded or Teaching.RotationLoaded or Teaching.RotationOff, Teaching.RotationUnloaded);
        if (e.Pattern == Pattern.TrunkRotation && (rotation == Teaching.RotationOff || (rotation == Teaching.RotationUnloaded && e.NeedsLoad)))
        {
            yield return "rotation";
        }

        foreach (var ban in rules.Bans.Select(b => b.Attribute))
        {
            if ((ban == ExerciseAttribute.Bands && e.Band is not null) || (ban == ExerciseAttribute.Jumps && e.Room.Noise == Noise.Loud)
                || (ban == ExerciseAttribute.PressingOverhead && e.Pattern == Pattern.VerticalPress)
                || (ban == ExerciseAttribute.BehindTheBodyDips && behind) || (ban == ExerciseAttribute.SpinalFlexion && e.Pattern == Pattern.TrunkFlexion))
            {
                yield return "a ban";
            }
        }
    }

    private static IEnumerable<string> FixtureBreaches(Prescription given, Exercise exercise, ClientProfile client, Home home)
    {
        var needs = exercise.Fixtures.Where(n => !n.Kinds.Contains(FixtureKind.Wall)).ToArray();
        if (given.Placement.Length < needs.Length)
        {
            yield return "a fixture is needed and none is named";
        }

        foreach (var need in needs)
        {
            var named = given.Supports.Where(p => p.Role == need.Role)
                .Select(p => (support: p, fixture: home.Fixtures.Single(f => f.Id == p.Fixture))).ToArray();
            if (named.Length == 0 || !named.All(p => Holds(p.fixture, p.support, named.Length, need, given, client, home)))
            {
                yield return $"{need.Role} on something that was not passed, is too weak, or of the wrong height";
            }
        }
    }

    private static readonly FixtureKind[] LikeARail = [FixtureKind.Banister, FixtureKind.Gate, FixtureKind.Fence, FixtureKind.Beam];

    private static bool Holds(
        Fixture fixture, Support support, int things, FixtureNeed need, Prescription given, ClientProfile client, Home home)
    {
        bool passed = fixture.Check is { Verdict: CheckVerdict.Passed } check && check.On.AddDays(90) >= People.Today;
        double height = support.Height.Metres / client.Stature.Metres;
        bool rightHeight = need.Zone is not null
            || (height >= need.LowestOfStature.Fraction - 1e-9 && height <= need.HighestOfStature.Fraction + 1e-9);
        var plain = LikeARail.Contains(fixture.Kind) ? FixtureKind.Rail
            : fixture.Kind == FixtureKind.Tree ? FixtureKind.Post
            : fixture.Kind == FixtureKind.Ottoman ? FixtureKind.Sofa
            : fixture.Kind;
        bool hangs = plain is FixtureKind.Rail or FixtureKind.PullUpBar or FixtureKind.DoorAnchor or FixtureKind.Post;
        bool byHand = plain is FixtureKind.Post or FixtureKind.DoorAnchor;
        bool strapped = support.Height.Metres < fixture.Height.Metres - 1e-9 && need.Zone is null && !byHand;
        bool step = fixture.Kind == FixtureKind.Stairs && Math.Abs(Math.IEEERemainder(support.Height.Metres, fixture.Height.Metres)) < 1e-6 && support.Height.Metres < 1.6;
        bool leanedOn = fixture.BackHeight is { } back && support.Height == back && support.Role == FixtureRole.Hands && need.Bears is null;
        bool level = strapped ? hangs : step || leanedOn || Math.Abs((support.Height - fixture.Height).Metres) <= 0.02 + 1e-9 || need.Zone is not null || (byHand && support.Height < fixture.Height);
        double most = fixture.Bears?.Kilograms ?? (hangs ? 0 : 110);
        double strapMost = strapped && support.Role == FixtureRole.Grip ? home.Kit.OfType<Straps>().Max(s => s.Bears!.Value.Kilograms) : double.MaxValue;
        double factor = need.Motion switch { FixtureMotion.Still => 1, FixtureMotion.Moving => 1.3, _ => 2 };
        double carried = client.BodyMass.Kilograms + Math.Max(0, given.Load.Kilograms);
        double least = need.Bears is { } bears ? bears.Fraction * carried * factor / need.Count
            : support.Role == FixtureRole.Catch ? given.Load.Kilograms * 2
            : 0;
        return passed && rightHeight && level && need.Kinds.Contains(plain) && Math.Max(things, fixture.Count) >= need.Count
            && least <= Math.Min(most, strapMost) + 1e-6 && most > 0;
    }
}
