using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>What the log moves, and which way.</summary>
public class LearningTests
{
    private static readonly Exercise Row = People.Exercise("one-arm-dumbbell-row");

    private static readonly StrengthAnchors Anchors = StrengthAnchors.Of(People.Man, Catalogue.Shipped);

    /// <summary>Sessions of three sets, each so many repetitions better than the forecast of a fresh set says.</summary>
    private static Lesson After(int sessions, int better, SaidReserve? reserve = null, StopReason? stopped = null, double kilograms = 24)
    {
        var line = Line(kilograms);
        int fresh = Fresh(kilograms);
        return Learning.From(People.Man, Catalogue.Shipped, Anchors,
            from session in Enumerable.Range(0, sessions)
            from set in Enumerable.Range(0, 3)
            select new TrainedSet(
                new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(session * 3), set + 1, line.Load, Math.Max(1, fresh - (set * 2) + better), reserve ?? 0)
                {
                    Stopped = stopped,
                    RestBefore = set == 0 ? null : Duration.FromMinutes(5),
                },
                line));
    }

    private static int Fresh(double kilograms)
    {
        var effort = new ExerciseEffort(Row, People.Man, Anchors.For(Row)!, new());
        return (int)effort.FreshRepetitions(effort.DemandOf(Mass.FromKilograms(kilograms)));
    }

    [Fact]
    public void Better_sets_raise_the_maximum_worse_ones_lower_it_and_both_make_it_surer()
    {
        double before = Anchors.For(Row)!.Maximum.Kilograms;
        var up = After(4, 4).Learned.Anchors.Single();
        var down = After(4, -4).Learned.Anchors.Single();
        up.Maximum.Kilograms.ShouldBeGreaterThan(before);
        down.Maximum.Kilograms.ShouldBeLessThan(before);
        up.Spread.ShouldBeLessThan(Anchors.For(Row)!.Spread);
        up.Basis.ShouldBe(AnchorBasis.Learned);
    }

    /// <summary>The last set of three, as it is shown.</summary>
    private static RepetitionRange Shown(Lesson lesson) => Shown(lesson, 20)[^1];

    private static ImmutableArray<RepetitionRange> Shown(Lesson lesson, double kilograms)
    {
        var client = People.Man with { Learned = lesson.Learned };
        return Foreseen.Of(Line(kilograms), Row, client, StrengthAnchors.Of(client, Catalogue.Shipped).For(Row));
    }

    [Fact]
    public void The_range_of_a_forecast_tightens_from_session_to_session()
    {
        double[] widths = [.. Enumerable.Range(0, 6).Select(sessions => Shown(After(sessions, 0)) is var range ? Math.Log(range.High / range.Low) : 0)];
        widths.Zip(widths.Skip(1)).ShouldAllBe(next => next.Second <= next.First * 1.005);
        widths[5].ShouldBeLessThan(widths[0] * 0.75);
    }

    /// <summary>In a superset the phone times the rest after the partner; by its clock the muscle had 150 s.</summary>
    [Fact]
    public void A_partners_set_is_rest_for_the_muscle_in_hand()
    {
        var supersets = Rested(20, 150);
        var alone = Rested(150, null);
        var breathless = Rested(20, null);
        supersets.ShouldBe(alone, 1e-9);
        Math.Abs(breathless - alone).ShouldBeGreaterThan(0.001);

        double Rested(int timed, int? byTheClock) => Learning.From(
            People.Man, Catalogue.Shipped, Anchors,
            from session in Enumerable.Range(0, 4)
            from set in Enumerable.Range(0, 3)
            let line = Line(24)
            let work = (line.Style.Lasts * 8).Seconds
            select new TrainedSet(
                new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(session * 3), set + 1, line.Load, 8, 1)
                {
                    RestBefore = set == 0 ? null : Duration.FromSeconds(timed),
                    At = byTheClock is { } rest ? new DateTimeOffset(2026, 11, 23, 9, 0, 0, TimeSpan.Zero).AddSeconds(set * (rest + work)) : null,
                },
                line)).Learned.Recovery.Factor;
    }

    /// <summary>The same mean, one client always as forecast, the other five over and five under in turns.</summary>
    [Fact]
    public void A_steady_client_gets_a_narrower_range_than_one_whose_sets_scatter()
    {
        double Unsteadiness(int scatter) => Learning.From(
            People.Man, Catalogue.Shipped, Anchors,
            Enumerable.Range(0, 24).Select(i => new TrainedSet(
                new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(i * 3), 1, Line(20).Load, Fresh(20) + (i % 2 == 0 ? scatter : -scatter), 0), Line(20))))
            .Learned.Unsteadiness;
        Unsteadiness(0).ShouldBeLessThan(0.9);
        Unsteadiness(5).ShouldBeGreaterThan(1.1);
        var anchor = Anchors.For(Row)!;
        double Width(double unsteadiness)
        {
            var range = Foreseen.Of(Line(20), Row, People.Man with { Learned = Learned.Nothing with { Unsteadiness = unsteadiness } }, anchor)[0];
            return range.High - range.Low;
        }

        Width(0.6).ShouldBeLessThan(Width(1));
        Width(1).ShouldBeLessThan(Width(1.4));
    }

    /// <summary>
    /// One day typed in the other unit, or with a nought too many, moves a forecast by a third down or a half up at most; logged out of order it is
    /// the same as in order.
    /// </summary>
    [Theory]
    [InlineData(44, 10)]
    [InlineData(9, 10)]
    [InlineData(20, 400)]
    public void One_odd_day_is_not_believed_blindly(double kilograms, int repetitions)
    {
        TrainedSet[] honest =
        [
            .. from session in Enumerable.Range(0, 6)
               from set in Enumerable.Range(0, 3)
               select new TrainedSet(new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(session * 3), set + 1, Line(20).Load, 10, Fresh(20) - 10 - set), Line(20)),
        ];
        TrainedSet odd = new(new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(20), 1, Mass.FromKilograms(kilograms), repetitions, 2), Line(20));
        double before = Shown(Of(honest)).Middle, after = Shown(Of([.. honest, odd])).Middle;
        (after / before).ShouldBeInRange(0.67, 1.5);
        Shown(Of([odd, .. honest.Reverse()])).ShouldBe(Shown(Of([.. honest, odd])));

        static Lesson Of(TrainedSet[] log) => Learning.From(People.Man, Catalogue.Shipped, Anchors, log);
    }

    /// <summary>Tried and not done once is evidence; a set without a word is a set that was left out.</summary>
    [Fact]
    public void A_set_of_no_repetition_says_that_the_load_is_over_the_maximum()
    {
        Lesson Of(StopReason? stopped) => Learning.From(
            People.Man, Catalogue.Shipped, Anchors,
            [new TrainedSet(new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today, 1, Mass.FromKilograms(30), 0, stopped is null ? null : (SaidReserve)0) { Stopped = stopped }, Line(30))]);
        Fresh(30).ShouldBeGreaterThan(4);
        var tried = Of(StopReason.Muscle).Learned;
        Shown(Of(StopReason.Muscle), 30)[0].Middle.ShouldBeLessThan(Fresh(30) / 2.0);
        Shown(Of(StopReason.Muscle), 20)[0].Middle.ShouldBeLessThan(Fresh(20));
        tried.Anchors.Single().Maximum.ShouldBeLessThan(Anchors.For(Row)!.Maximum);
        Of(null).Learned.Anchors.ShouldBeEmpty();
    }

    /// <summary>As foreseen at one load, better or worse than foreseen at a heavier one: the next is foreseen by both.</summary>
    [Fact]
    public void How_steeply_an_exercise_falls_off_with_the_load_is_learned_from_two_loads()
    {
        double Steepness(int better) => At(better).Learned.Anchors.Single().Steepness;
        Steepness(4).ShouldBeGreaterThan(Steepness(0));
        Steepness(-3).ShouldBeLessThan(Steepness(0));
        Shown(At(4), 32)[0].Middle.ShouldBeGreaterThan(Shown(At(0), 32)[0].Middle);

        static Lesson At(int better) => Learning.From(
            People.Man, Catalogue.Shipped, Anchors,
            from session in Enumerable.Range(0, 6)
            let kilograms = session < 3 ? 20 : 28
            select new TrainedSet(
                new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(session * 3), 1, Mass.FromKilograms(kilograms), Fresh(kilograms) + (session < 3 ? 0 : better), 0) { Stopped = StopReason.Muscle },
                Line(kilograms)));
    }

    [Fact]
    public void A_set_the_grip_ended_is_no_proof_of_weakness()
    {
        var grip = After(4, -6, stopped: StopReason.Grip).Learned.Anchors.Single();
        var muscle = After(4, -6).Learned.Anchors.Single();
        grip.Maximum.Kilograms.ShouldBeGreaterThan(muscle.Maximum.Kilograms);
        grip.Maximum.Kilograms.ShouldBeGreaterThanOrEqualTo(Anchors.For(Row)!.Maximum.Kilograms * 0.999);
    }

    [Fact]
    public void Seven_or_more_left_is_a_floor_and_never_lowers_anything() =>
        After(3, -8, SaidReserve.OrMore(7)).Learned.Anchors.Single().Maximum.Kilograms.ShouldBeGreaterThanOrEqualTo(Anchors.For(Row)!.Maximum.Kilograms * 0.999);

    [Fact]
    public void Factors_stay_within_their_bounds_whatever_is_logged() =>
        Gen.Select(Gen.Int[-15, 60], Gen.Int[1, 12], Gen.Double[4, 40]).Sample((better, sessions, kilograms) =>
        {
            var learned = After(sessions, better, kilograms: kilograms).Learned;
            learned.Endurance.Factor.ShouldBeInRange(0.6 - 1e-9, 1.6 + 1e-9);
            learned.Recovery.Factor.ShouldBeInRange(0.4 - 1e-9, 2.5 + 1e-9);
            double.IsFinite(learned.Anchors.Single().Spread).ShouldBeTrue();
        }, iter: 60);

    [Fact]
    public void Every_move_worth_telling_is_told_in_the_direction_it_went()
    {
        foreach (var move in After(4, 5).Moves.Concat(After(4, -5).Moves))
        {
            bool rises = move.Sentence.Contains("rises", StringComparison.Ordinal);
            move.Sentence.Contains(rises ? "fell short" : "beat", StringComparison.Ordinal).ShouldBeFalse(move.Sentence);
        }

        After(4, 5).Moves.ShouldNotBeEmpty();
    }

    [Fact]
    public void What_was_learned_is_what_forecasts_start_from()
    {
        var learned = After(4, 5).Learned;
        var then = StrengthAnchors.Of(People.Man with { Learned = learned }, Catalogue.Shipped);
        then.For(Row)!.Maximum.Kilograms.ShouldBe(learned.Anchors.Single().Maximum.Kilograms, 0.001);
        // A neighbour without a log or a lift nearer than this one moves along, less sure.
        then = StrengthAnchors.Of(People.Man with { Learned = learned, Lifts = [] }, Catalogue.Shipped);
        var bar = People.Exercise("barbell-row");
        then.For(bar)!.Maximum.ShouldBeGreaterThan(Anchors.For(bar)!.Maximum);
        then.For(bar)!.Spread.ShouldBeGreaterThan(then.For(Row)!.Spread);
    }

    private static Prescription Line(double kilograms) => new()
    {
        Exercise = Row.Id,
        Name = Row.Name,
        Count = CountKind.Repetitions,
        Counts = [10, 10, 10],
        TopOfRange = 10,
        PerSide = true,
        Load = Mass.FromKilograms(kilograms),
        LoadInWords = "",
        Rest = Duration.FromSeconds(120),
        Geometry = new(),
    };

    private static readonly string[] Names = ["one-arm-dumbbell-row", "goblet-squat", "push-up"];

    private static readonly Gen<TrainedSet[]> Logs =
        Gen.Select(Gen.Int[0, 2].Select(i => Names[i]), Gen.Int[0, 14], Gen.Int[1, 20], Gen.Int[0, 6], Gen.Bool)
            .Array[1, 60].Select(sets => sets
                .GroupBy(s => (s.Item1, s.Item2))
                .SelectMany(g => g.Select((s, i) => new TrainedSet(
                    new SetLog(Guid.NewGuid(), Array.IndexOf(Names, s.Item1) + 1, s.Item1, People.Today.AddDays(s.Item2), i + 1, Of(s.Item1).Load, s.Item3, s.Item4 > 4 ? null : s.Item4) { ToLimit = s.Item5 && s.Item4 == 0 },
                    Of(s.Item1))))
                .ToArray());

    /// <summary>Deserialized anew each time, as a server reads them: nothing may hang on being the same object.</summary>
    private static Prescription Of(string exercise) => Line(exercise == "push-up" ? 0 : 16) with { Exercise = exercise };

    /// <summary>What was known before the last day is only a shorter way to the same answer, whatever came, was corrected or taken out since.</summary>
    [Fact]
    public void Going_on_from_what_was_learned_is_reading_from_the_start() =>
        Gen.Select(Logs, Gen.Int[0, 14], Gen.Int[0, 2], Gen.Int[0, 1000]).Sample((log, until, change, pick) =>
        {
            var before = Learning.From(People.Man, Catalogue.Shipped, Anchors, log.Where(s => s.Set.On <= People.Today.AddDays(until)));
            TrainedSet odd = log[pick % log.Length];
            TrainedSet[] now = change switch
            {
                0 => log,
                1 => [.. log.Select(s => s == odd ? s with { Set = s.Set with { Repetitions = s.Set.Repetitions + 1 } } : s)],
                _ => [.. log.Where(s => s != odd)],
            };
            var whole = Learning.From(People.Man, Catalogue.Shipped, Anchors, now);
            var shorter = Learning.From(People.Man, Catalogue.Shipped, Anchors, now, before.SoFar);
            shorter.Points.ShouldBe(whole.Points);
            shorter.Moves.ShouldBe(whole.Moves);
            shorter.Hindsight.OrderBy(h => h.Key).ShouldBe(whole.Hindsight.OrderBy(h => h.Key));
            shorter.Learned.Endurance.ShouldBe(whole.Learned.Endurance);
            shorter.Learned.Recovery.ShouldBe(whole.Learned.Recovery);
            shorter.Learned.Anchors.ShouldBe(whole.Learned.Anchors);
        }, iter: 60);

    /// <summary>
    /// Between rows somebody curls, or squats. The same repetitions in spite of curls, which want the same muscles, say quicker recovery; squats want
    /// others and are only rest.
    /// </summary>
    [Theory]
    [InlineData("one-arm-curl", true)]
    [InlineData("goblet-squat", false)]
    public void A_partner_that_shares_muscles_drains_and_one_that_does_not_is_rest(string partner, bool drains)
    {
        double between = Learned(At), apart = Learned(_ => null);
        if (drains)
        {
            between.ShouldBeGreaterThan(apart + 0.001);
        }
        else
        {
            between.ShouldBe(apart, 1e-9);
        }

        double Learned(Func<int, DateTimeOffset?> partnersClock) => Learning.From(
                People.Man, Catalogue.Shipped, Anchors,
                from session in Enumerable.Range(0, 4)
                from set in Enumerable.Range(0, 3)
                from line in Enumerable.Range(1, 2)
                let asked = line == 1 ? Line(24) : Line(12) with { Exercise = partner }
                select new TrainedSet(
                    // Every set of the partner is the first of its line: its own rests say nothing here.
                    new SetLog(Guid.NewGuid(), line == 1 ? 1 : 10 + set, asked.Exercise, People.Today.AddDays(session * 3), line == 1 ? set + 1 : 1, asked.Load, 8, line == 1 ? 0 : null)
                    {
                        RestBefore = set == 0 || line != 1 ? null : Duration.FromSeconds(60),
                        At = line == 1 ? At(set * 180) : partnersClock((set * 180) + 90),
                    },
                    asked)).Learned.Anchors.Single(a => a.Exercise == Row.Id).Recovery;

        static DateTimeOffset? At(int seconds) => new DateTimeOffset(2026, 11, 23, 9, 0, 0, TimeSpan.Zero).AddSeconds(seconds);
    }
}
