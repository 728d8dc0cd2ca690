using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>What needs nothing stays: written exercises that a client can do in a home go across as they are.</summary>
public class WhatStaysTests
{
    private static readonly ClientProfile Fit = People.Man with
    {
        Level = Level.Advanced,
        Lifts =
        [
            new("back-squat", People.Man.BodyMass * 2, 1), new("barbell-bench-press", People.Man.BodyMass * 1.5, 1), new("deadlift", People.Man.BodyMass * 2.4, 1),
            new("pull-up", Mass.FromKilograms(40), 1), new("overhead-press", People.Man.BodyMass, 1), new("leg-curl", People.Man.BodyMass, 1),
        ],
        Screens = [.. Enum.GetValues<Screen>().Select(s => new Screened(s, ScreenResult.Passed))],
    };

    /// <summary>
    /// A body-weight exercise written without a load means own weight: never a load, a tempo or another count nobody wrote, and what was written
    /// for him is believed before an estimate from his other lifts.
    /// </summary>
    [Fact]
    public void Every_home_exercise_with_the_own_weight_is_kept_in_a_home_that_has_everything()
    {
        var home = FullHome();
        string[] lost =
        [
            .. from e in Catalogue.Shipped.Exercises
               where e is { Setting: not Setting.Gym, NeedsLoad: false, Counted: Ingegno.Core.Exercises.Counted.Repetitions, OffByDefault: null, IsLoweringOnly: false } && e.Band is null
               where !Gate.Against(e, Fit, new PreparedHome(home, People.Today), Ingegno.Core.Dosing.HouseRules.Default).Any()
               let line = new Member(Fit, home).Line(e.Id, 3, 5, intensity: new())
               let given = line.Chosen?.Prescription
               where given is null || given.Exercise != e.Id || !given.Counts.SequenceEqual([5, 5, 5]) || given.Load != Mass.Zero
               select $"{e.Id}: {given?.Exercise} {given?.CountInWords} {given?.LoadInWords}",
        ];
        lost.ShouldBeEmpty();
    }

    private static readonly string[] Loaded = ["goblet-squat", "dumbbell-curl", "lateral-raise", "one-arm-dumbbell-row", "dumbbell-floor-press"];

    /// <summary>A written load that is here within a twentieth goes across with count, rest and tempo.</summary>
    [Fact]
    public void A_written_load_that_is_here_is_kept() =>
        Gen.Select(Gen.Int[0, Loaded.Length - 1].Select(i => Loaded[i]), Gen.Int[5, 12], Gen.Int[0, 3]).Sample((exercise, count, step) =>
        {
            var load = Mass.FromKilograms(6 + step);
            var kit = new FixedWeights { Id = "bells", Name = "Bells", Shape = FixedWeightShape.Dumbbell, Weights = [new(load, 2)] };
            var given = new Member(Fit, FullHome() with { Kit = [kit] }).Line(exercise, 3, count, intensity: new(Load: load)).Chosen!.Prescription;
            given.Exercise.ShouldBe(exercise);
            given.Counts.ShouldBe([count, count, count]);
            given.Tempo!.Value.Seconds.ShouldBe(3);
        });

    /// <summary>A garage with rack, bar and bench needs no stand-in for the lifts of the bar, to the plate.</summary>
    [Theory]
    [InlineData("back-squat", 110)]
    [InlineData("front-squat", 85)]
    [InlineData("barbell-bench-press", 102.5)]
    [InlineData("stiff-leg-deadlift", 107.5)]
    [InlineData("push-press", 67.5)]
    public void Lifts_of_the_bar_stay_where_rack_bar_and_bench_are(string exercise, double kilograms)
    {
        var garage = new Home
        {
            Room = new Room { Headroom = Length.FromMetres(2.6), FloorLength = Length.FromMetres(4) },
            Fixtures = [People.Fixture(FixtureKind.Rack, 1.6, check: People.Passed, bears: 400), People.Fixture(FixtureKind.Bench, 0.43, check: People.Passed, bears: 300)],
            Kit = [new PlateLoadedBar { Id = "bar", Name = "Bar", Plates = [new Plates(Mass.FromKilograms(20), 6), new Plates(Mass.FromKilograms(10), 2), new Plates(Mass.FromKilograms(2.5), 2), new Plates(Mass.FromKilograms(1.25), 4)] }],
        };
        var given = new Member(Fit, garage).Line(exercise, 4, 5, intensity: new(Load: Mass.FromKilograms(kilograms))).Chosen!.Prescription;
        (given.Exercise, given.Load.Kilograms).ShouldBe((exercise, kilograms));
        given.Counts.ShouldBe([5, 5, 5, 5]);
    }

    /// <summary>Advice never names a rung the client is kept from, nor one with no place here.</summary>
    [Fact]
    public void What_is_too_easy_names_only_a_next_rung_that_is_possible()
    {
        var strong = new Member(Fit, FullHome()).Line("push-up", 3, 5, intensity: new()).Chosen!;
        strong.Reason.ShouldContain("Easy: about");
        strong.Reason.ShouldContain("next rung");
        var careful = new Member(Fit with { OverSixty = true, Lifts = [.. Fit.Lifts, new("push-up", Mass.Zero, 40)] }, FullHome() with { Fixtures = [], Kit = [] });
        foreach (var e in Catalogue.Shipped.Exercises.Where(e => e is { Setting: not Setting.Gym, NeedsLoad: false, IsForecast: true }))
        {
            string reason = careful.Line(e.Id, 3, 5, intensity: new()).Chosen?.Reason ?? "";
            if (reason.Split("the next rung is the ") is [_, var named])
            {
                var next = Catalogue.Shipped.Named(named.TrimEnd('.'));
                Gate.Against(next!, careful.Client, new PreparedHome(careful.Home, People.Today), Ingegno.Core.Dosing.HouseRules.Default).ShouldBeEmpty($"{e.Id}: {named}");
            }
        }
    }

    /// <summary>A foot that helps stands on something that was passed; without a scale by feel, with nothing to stand on not at all.</summary>
    [Fact]
    public void Help_of_a_foot_needs_a_seat_that_was_passed()
    {
        var bar = People.Fixture(FixtureKind.PullUpBar, 2.2, 1, People.Passed);
        var weak = new Member(People.Man, new Home { Fixtures = [bar, People.Fixture(FixtureKind.Chair, 0.45, 1, People.Passed)] });
        weak.Line("lat-pulldown", 3, 8).Alternatives.ShouldContain(a => a.Prescription.Exercise == "foot-assisted-pull-up" && a.Prescription.Load == Mass.Zero);
        foreach (var home in new[] { new Home { Fixtures = [bar] }, new Home { Fixtures = [bar, People.Fixture(FixtureKind.Chair, 0.45)] } })
        {
            (weak with { Home = home }).Line("lat-pulldown", 3, 8).Alternatives.ShouldNotContain(a => a.Prescription.Exercise == "foot-assisted-pull-up");
        }
    }

    private static Home FullHome() => new()
    {
        Room = new Room { Headroom = Length.FromMetres(3.2), FloorLength = Length.FromMetres(6), FloorWidth = Length.FromMetres(4), Floors = [FloorKind.Wood] },
        Fixtures =
        [
            .. from kind in new[] { (FixtureKind.Counter, 0.9), (FixtureKind.CounterCorner, 0.9), (FixtureKind.Table, 0.75), (FixtureKind.Chair, 0.45), (FixtureKind.Sofa, 0.42), (FixtureKind.Bed, 0.5), (FixtureKind.Bench, 0.43), (FixtureKind.Step, 0.2), (FixtureKind.Stairs, 0.17), (FixtureKind.Rail, 0.95), (FixtureKind.Rail, 2.2), (FixtureKind.DoorAnchor, 2.0), (FixtureKind.Post, 2.4), (FixtureKind.PullUpBar, 2.4) }
               select People.Fixture(kind.Item1, kind.Item2, 2, People.Passed),
        ],
        Kit = [new Straps { Id = "straps", Name = "Straps", LongestDrop = Length.FromMetres(2.2), Bears = Mass.FromKilograms(300) }, new Sliders { Id = "sliders", Name = "Sliders", Count = 4 }, new Band { Id = "mini", Name = "Mini band", Shape = BandShape.MiniLoop, RestLength = Length.FromMetres(0.3), Pulls = [new(Length.FromMetres(0.45), Force.FromNewtons(50))] }, new Scale { Id = "scale", Name = "Scale", Measures = ScaleKind.Bathroom }],
    };
}
