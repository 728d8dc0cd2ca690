using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;

namespace Ingegno.Core.Tests.Review;

/// <summary>Every mark of the review just below and just above it. The marks are common practice unless a source stands at the test.</summary>
public class ReviewTests
{
    /// <summary>A line of so many sets of ten, each leaving so much at this demand.</summary>
    private static TrainedLine Line(string exercise, int sets, int count = 10, double demand = 0.7, double reserve = 1, double rest = 90, int number = 1) =>
        new()
        {
            Number = number,
            Exercise = People.Exercise(exercise),
            Count = CountKind.Repetitions,
            Counts = [.. Enumerable.Repeat(count, sets)],
            Each = Duration.FromSeconds(3),
            Rest = Duration.FromSeconds(rest),
            Demand = Demand.Of(demand),
            Equivalent = Demand.Of(demand),
            Forecast = [.. Enumerable.Repeat(new ForecastSet(count, count + reserve, SetForecast.Effective(count, count + reserve, Demand.Of(demand))), sets)],
        };

    private static TrainedLine Unmodelled(string exercise, int sets, int count) =>
        Line(exercise, sets, count) with { Demand = null, Equivalent = null, Forecast = [] };

    private static ImmutableArray<Finding> Findings(ClientProfile client, params TrainedSession[] week) =>
        ProgrammeReview.Of([.. week], [], client, Catalogue.Shipped, People.Today).Findings;

    private static TrainedSession Session(ImmutableArray<TrainedLine> gym, ImmutableArray<TrainedLine> home, double minutes = 40) =>
        new("Monday", gym, home, Duration.FromMinutes(minutes));

    private static bool Finds(FindingKind kind, ClientProfile client, params TrainedLine[] both) =>
        Findings(client, Session([.. both], [.. both])).Any(f => f.Kind == kind);

    private static readonly ClientProfile Growing = People.Man with { Goal = Goal.BuildMuscle };

    /// <summary>Ten weekly sets and over: Schoenfeld et al. 2017, J Sports Sci 35:1073-1082 (from memory); up to twenty: common practice.</summary>
    [Theory]
    [InlineData(9, FindingKind.TooFewSets, true)]
    [InlineData(10, FindingKind.TooFewSets, false)]
    [InlineData(20, FindingKind.TooManySets, false)]
    [InlineData(21, FindingKind.TooManySets, true)]
    public void Weekly_sets_to_grow(int sets, FindingKind kind, bool found) =>
        Finds(kind, Growing, Line("leg-extension", sets)).ShouldBe(found);

    /// <summary>A third keeps what there is: Bickel et al. 2011, Med Sci Sports Exerc 43:1177-1187 (from memory).</summary>
    [Theory]
    [InlineData(9, 3, false)]
    [InlineData(9, 2, true)]
    public void Weekly_sets_to_keep(int gym, int home, bool found) =>
        Findings(People.Man with { Goal = Goal.KeepMuscle }, Session([Line("leg-extension", gym)], [Line("leg-extension", home)]))
            .Any(f => f.Kind == FindingKind.TooFewSets).ShouldBe(found);

    /// <summary>Over sixty a half (common practice).</summary>
    [Theory]
    [InlineData(10, 5, false)]
    [InlineData(10, 4, true)]
    public void Weekly_sets_to_keep_over_sixty(int gym, int home, bool found) =>
        Findings(People.Man with { Goal = Goal.KeepMuscle, OverSixty = true }, Session([Line("leg-extension", gym)], [Line("leg-extension", home)]))
            .Any(f => f.Kind == FindingKind.TooFewSets).ShouldBe(found);

    [Theory]
    [InlineData(10, false)]
    [InlineData(11, true)]
    public void Hard_sets_for_one_muscle_in_a_session(int sets, bool found) =>
        Finds(FindingKind.PiledUp, People.Man, Line("leg-extension", sets)).ShouldBe(found);

    /// <summary>0.30: Lasevicius et al. 2018, Eur J Sport Sci 18:772-780 (from memory).</summary>
    [Theory]
    [InlineData(0.19, true)]
    [InlineData(0.29, false)]
    [InlineData(0.30, false)]
    public void The_load_floor(double demand, bool found) =>
        Finds(FindingKind.UnderTheLoadFloor, People.Man, Line("leg-extension", 3, demand: demand)).ShouldBe(found);

    [Theory]
    [InlineData(30, false)]
    [InlineData(31, true)]
    public void Repetitions_in_a_set(int count, bool found) =>
        Finds(FindingKind.TooManyRepetitions, People.Man, Line("push-up", 2, count)).ShouldBe(found);

    [Theory]
    [InlineData(0.4, true)]
    [InlineData(0.6, false)]
    public void A_beginner_keeps_off_failure(double reserve, bool found) =>
        Finds(FindingKind.FailureForBeginner, People.Man with { Level = Level.Beginner }, Line("push-up", 3, reserve: reserve)).ShouldBe(found);

    [Fact]
    public void Others_may_fail() => Finds(FindingKind.FailureForBeginner, People.Man, Line("push-up", 3, reserve: 0)).ShouldBeFalse();

    /// <summary>Landings in a session: Potach and Chu in Haff and Triplett (from memory).</summary>
    [Theory]
    [InlineData(Level.Beginner, 80, false)]
    [InlineData(Level.Beginner, 81, true)]
    [InlineData(Level.Intermediate, 100, false)]
    [InlineData(Level.Intermediate, 101, true)]
    [InlineData(Level.Advanced, 120, false)]
    [InlineData(Level.Advanced, 121, true)]
    public void Landings(Level level, int contacts, bool found) =>
        Finds(FindingKind.JumpContacts, People.Man with { Level = level }, Unmodelled("squat-jump", 1, contacts)).ShouldBe(found);

    [Fact]
    public void The_untrained_do_not_jump() =>
        Finds(FindingKind.JumpContacts, People.Man with { Level = Level.Beginner, Lifts = [] }, Unmodelled("squat-jump", 1, 1)).ShouldBeTrue();

    /// <summary>Over half the working time under 0.4 with less rest than work. A set of ten works 30 s.</summary>
    [Theory]
    [InlineData(0.39, 29, 2, 1, true)]
    [InlineData(0.41, 29, 2, 1, false)] // heavy enough
    [InlineData(0.39, 30, 2, 1, false)] // rest as long as the work
    [InlineData(0.39, 29, 2, 2, false)] // just half of the time
    public void Strength_or_conditioning(double demand, double rest, int lightSets, int heavySets, bool found) =>
        Finds(FindingKind.Conditioning, People.Man,
            Line("body-weight-squat", lightSets, demand: demand, rest: rest), Line("push-up", heavySets, rest: 120, number: 2)).ShouldBe(found);

    [Fact]
    public void Conditioning_is_what_endurance_wants() =>
        Findings(People.Man with { Goal = Goal.StrengthEndurance }, Session([], [Line("body-weight-squat", 3, demand: 0.3, rest: 10)]))
            .Single(f => f.Kind == FindingKind.Conditioning).Severity.ShouldBe(Severity.Note);

    [Theory]
    [InlineData(45, false)]
    [InlineData(45.1, true)]
    public void Session_minutes(double minutes, bool found)
    {
        var line = Line("push-up", 3);
        Findings(People.Man with { SessionMinutes = 45 }, Session([line], [line], minutes)).Any(f => f.Kind == FindingKind.TooLong).ShouldBe(found);
    }

    [Theory]
    [InlineData(8, 4, false)]
    [InlineData(9, 4, true)]
    [InlineData(3, 0, false)] // too few to weigh
    public void Push_against_pull(int push, int pull, bool found) =>
        Finds(FindingKind.Unbalanced, People.Man, [Line("push-up", push), .. pull > 0 ? new[] { Line("table-row", pull, number: 2) } : []]).ShouldBe(found);

    /// <summary>The table of movements counts its sets: it is not said that none is left.</summary>
    [Fact]
    public void A_movement_that_is_there_without_its_load_is_named()
    {
        var lost = Findings(People.Man, Session([Line("barbell-curl", 3)], [Line("towel-self-curl", 3)])).Single(f => f.Kind == FindingKind.PatternLost);
        lost.Sentence.ShouldBe("No loaded elbow flexion is left in the week: curl resisted by the own leg has the movement only.");
        Findings(People.Man, Session([Line("barbell-curl", 3)], [Line("push-up", 3)])).Single(f => f.Kind == FindingKind.PatternLost)
            .Sentence.ShouldBe("No elbow flexion is left in the week.");
    }

    /// <summary>A converted session that loses its only hinge and its only vertical pull is caught.</summary>
    [Fact]
    public void The_only_hinge_and_the_only_vertical_pull_lost_are_caught()
    {
        ImmutableArray<TrainedLine> gym = [Line("back-squat", 3), Line("romanian-deadlift", 3, number: 2), Line("lat-pulldown", 3, number: 3)];
        ImmutableArray<TrainedLine> home = [Line("goblet-squat", 3), Line("body-weight-squat", 3, number: 2), Line("table-row", 3, number: 3)];
        var lost = Findings(People.Man, Session(gym, home)).Where(f => f.Kind == FindingKind.PatternLost).ToArray();
        lost.Length.ShouldBe(2);
        lost.ShouldContain(f => f.Sentence.Contains("hinge") && f.Lines.Single() == 2);
        lost.ShouldContain(f => f.Sentence.Contains("vertical pull") && f.Lines.Single() == 3);
        Findings(People.Man, Session(gym, gym)).ShouldNotContain(f => f.Kind == FindingKind.PatternLost);
    }

    [Fact]
    public void Lost_range_grip_side_and_muscle_are_told()
    {
        ImmutableArray<TrainedLine> gym =
        [
            Line("barbell-curl", 3), Line("split-squat", 3, number: 2), Line("lateral-raise", 3, number: 3), Line("chin-up", 3, number: 4), Line("pull-up", 3, number: 5),
        ];
        ImmutableArray<TrainedLine> home = [Line("push-up", 3), Line("pull-up", 3, number: 5)];
        var kinds = Findings(People.Man, Session(gym, home)).Select(f => f.Kind).ToHashSet();
        kinds.ShouldContain(FindingKind.MuscleLost);
        kinds.ShouldContain(FindingKind.OneLimbLost);
        kinds.ShouldContain(FindingKind.GripLost);
        kinds.ShouldContain(FindingKind.PlaneLost);
    }

    [Fact]
    public void A_good_plain_week_passes_with_notes_at_most()
    {
        ImmutableArray<TrainedLine> week =
        [
            Line("push-up", 4), Line("table-row", 4, number: 2), Line("split-squat", 4, number: 3), Line("one-leg-romanian-deadlift", 4, number: 4),
            Unmodelled("plank", 3, 30) with { Count = CountKind.Seconds, Number = 5 },
        ];
        Findings(People.Man with { SessionMinutes = 45 }, Session(week, week)).ShouldAllBe(f => f.Severity == Severity.Note);
    }

    /// <summary>min(1, effective repetitions / 3): two left of ten is whole, three left two thirds, five left nothing.</summary>
    [Theory]
    [InlineData(2, 1)]
    [InlineData(3, 2.0 / 3)]
    [InlineData(5, 0)]
    public void A_set_counts_by_how_near_failure_it_is(double reserve, double counts) =>
        Line("push-up", 1, reserve: reserve).EffectiveSets.ShouldBe(counts, 1e-9);

    /// <summary>Prime movers whole, helpers half (common practice).</summary>
    [Fact]
    public void A_set_counts_for_prime_movers_whole_and_for_helpers_half()
    {
        var sets = WeeklyLedger.ByGroup([Line("barbell-bench-press", 4)]);
        sets[Core.Anatomy.MuscleGroup.Chest].ShouldBe(4);
        sets[Core.Anatomy.MuscleGroup.Triceps].ShouldBe(2);
    }

    [Fact]
    public void More_reserve_or_fewer_sets_never_raise_the_ledger() =>
        Gen.Select(Gen.Int[1, 8], Gen.Double[0, 6], Gen.Double[0, 3]).Sample((sets, reserve, more) =>
        {
            var plain = WeeklyLedger.ByGroup([Line("push-up", sets, reserve: reserve)]);
            foreach (var (group, counted) in WeeklyLedger.ByGroup([Line("push-up", sets, reserve: reserve + more)]))
            {
                counted.ShouldBeLessThanOrEqualTo(plain[group] + 1e-9);
            }
        });

    [Fact]
    public void Gravest_comes_first_and_every_finding_says_why() =>
        Findings(People.Man with { Level = Level.Beginner, SessionMinutes = 20 }, Session(
                [Line("back-squat", 3), Line("lat-pulldown", 3, number: 2)],
                [Line("push-up", 12, 31, demand: 0.2, reserve: 0, rest: 5)]))
            .ShouldSatisfyAllConditions(
                f => f.Select(x => x.Severity).ShouldBeInOrder(SortDirection.Descending),
                f => f.ShouldAllBe(x => x.Why.Length > 15 && x.Sentence.Length > 15));

    /// <summary>The mark is the coach's: the same week is told or not told by where it stands.</summary>
    [Theory]
    [InlineData(10, false)]
    [InlineData(9, true)]
    public void A_moved_mark_moves_where_the_review_speaks_up(double mark, bool found)
    {
        TrainedLine[] ten = [Line("leg-extension", 10)];
        ProgrammeReview.Of([Session([.. ten], [.. ten])], [], People.Man, Catalogue.Shipped, People.Today, marks: new ReviewThresholds { HardSetsInSession = mark })
            .Findings.Any(f => f.Kind == FindingKind.PiledUp).ShouldBe(found);
    }

    /// <summary>Stricter marks never silence anything that was told under looser ones.</summary>
    [Fact]
    public void Stricter_marks_find_no_less() =>
        Gen.Select(Gen.Int[1, 25], Gen.Int[5, 40], Gen.Double[0.1, 0.9], Gen.Double[0, 1]).Sample((sets, count, demand, strictness) =>
        {
            ReviewThresholds loose = ReviewThresholds.Default, strict = loose with
            {
                HardSetsInSession = loose.HardSetsInSession * strictness,
                RepetitionsInSet = (int)(loose.RepetitionsInSet * strictness),
                MostInWeek = loose.MostInWeek * strictness,
                LightDemand = 1 - (strictness * (1 - loose.LightDemand)),
                ConditioningShare = loose.ConditioningShare * strictness,
            };
            TrainedLine[] lines = [Line("leg-extension", sets, count, demand, rest: 20), Line("push-up", 3, number: 2)];
            Kinds(loose).IsSubsetOf(Kinds(strict)).ShouldBeTrue();

            HashSet<FindingKind> Kinds(ReviewThresholds marks) =>
                [.. ProgrammeReview.Of([Session([.. lines], [.. lines])], [], Growing, Catalogue.Shipped, People.Today, marks: marks).Findings.Select(f => f.Kind)];
        });
}
