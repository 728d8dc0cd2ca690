using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>What the Desk asks about a log that cannot be believed as it stands (common practice).</summary>
public class EvidenceTests
{
    private static readonly Exercise Row = People.Exercise("one-arm-dumbbell-row");

    private static readonly Prescription Line = new()
    {
        Exercise = Row.Id,
        Name = Row.Name,
        Count = CountKind.Repetitions,
        Counts = [10, 10, 10],
        TopOfRange = 10,
        PerSide = true,
        Load = Mass.FromKilograms(20),
        LoadInWords = "20 kg",
        Rest = Duration.FromSeconds(120),
        Reserve = 2,
        Geometry = new(),
    };

    private static readonly Plan Plan = new("", [new("Monday", Duration.FromSeconds(1800), [new(1, "", null, "Row 3 x 10", "", Line)])], null) { Place = "home" };

    [Theory]
    [InlineData(2, true)]
    [InlineData(3, false)]
    public void Who_leaves_sets_out_of_the_log_is_asked_about_once_a_month(int logged, bool asked)
    {
        var waits = Waits(Digest.Nothing, Sets(8, logged));
        waits.Any(p => p.Kind == ProposalKind.Evidence && p.Sentence.StartsWith("Sets are missing", StringComparison.Ordinal)).ShouldBe(asked);
        var answered = waits.Where(p => p.Kind == ProposalKind.Evidence).Select(p => new Decision("d", People.Today.AddDays(-2), p.About, "", Answer.Refused, false)).ToArray();
        Waits(Digest.Nothing, Sets(8, logged), answered).ShouldNotContain(p => p.Kind == ProposalKind.Evidence);
    }

    [Fact]
    public void Who_always_says_the_same_is_named_with_what_is_said() =>
        Waits(Digest.Nothing with { Learned = Learned.Nothing with { SaysAlways = 2 } }, Sets(2, 3))
            .Single(p => p.Kind == ProposalKind.Evidence).Sentence.ShouldStartWith("Says 2 left after every set");

    [Theory]
    [InlineData(7, "load lighter")]
    [InlineData(0, "load heavier")]
    public void A_forecast_that_keeps_missing_is_told_with_the_likely_cause(int above, string cause) =>
        Waits(Digest.Nothing with { Misses = [new(Row.Id, 7, above)] }, Sets(2, 3)).Single(p => p.Kind == ProposalKind.Evidence).Sentence.ShouldContain(cause);

    [Fact]
    public void A_load_in_pounds_is_asked_about_and_one_that_was_asked_for_is_not()
    {
        Waits(Digest.Nothing, Sets(2, 3)).ShouldNotContain(p => p.Kind == ProposalKind.Evidence);
        AskedSet[] slipped = [.. Sets(2, 3).Select(s => s with { Set = s.Set with { Load = Mass.FromKilograms(44.1) } })];
        Waits(Digest.Nothing, slipped).Where(p => p.Kind == ProposalKind.Evidence).ShouldAllBe(p => p.Sentence.EndsWith("Were pounds meant?", StringComparison.Ordinal));
        Waits(Digest.Nothing, slipped).ShouldContain(p => p.Kind == ProposalKind.Evidence);
    }

    /// <summary>One set in five lies outside by chance: a log that follows the forecast names nothing.</summary>
    [Fact]
    public void A_log_as_forecast_leaves_nothing_open()
    {
        var client = People.Man;
        var anchors = StrengthAnchors.Of(client, Catalogue.Shipped);
        var foreseen = Foreseen.Of(Line, Row, client, anchors.For(Row));
        var lesson = Learning.From(
            client, Catalogue.Shipped, anchors,
            Sets(6, 3).Select(a => new TrainedSet(a.Set with { Repetitions = 10, Reserve = Math.Max(0, Math.Round(foreseen[a.Set.SetNumber - 1].Middle - 10)) }, Line)));
        lesson.Misses.ShouldBeEmpty();
        lesson.Learned.SaysAlways.ShouldBeNull();
    }

    /// <summary>Twelve sets, first and last alike: nobody leaves just two after all of them.</summary>
    [Fact]
    public void The_same_answer_to_sets_that_differ_is_a_habit_and_an_open_one_is_not()
    {
        Habit(2).ShouldBe(2);
        Habit(SaidReserve.OrMore(7)).ShouldBeNull();
        Habit(0).ShouldBeNull();

        static double? Habit(SaidReserve said) => Learning.From(
            People.Man, Catalogue.Shipped, StrengthAnchors.Of(People.Man, Catalogue.Shipped),
            Sets(5, 3).Select(a => new TrainedSet(a.Set with { Repetitions = 10, Reserve = said }, Line with { Rest = Duration.FromSeconds(40) }))).Learned.SaysAlways;
    }

    /// <summary>A set stopped short is by feel, and no judgement of the others; two other answers are.</summary>
    [Fact]
    public void A_habit_lasts_through_sets_by_feel_and_ends_with_other_answers()
    {
        Said(10, (10, 2)).ShouldBe(2);
        Said(10, (9, 2)).ShouldBe(2);
        Said(10, (10, 4), (10, 3)).ShouldBeNull();

        static double? Said(int sessions, params (int Done, double Left)[] last) => Learning.From(
            People.Man, Catalogue.Shipped, StrengthAnchors.Of(People.Man, Catalogue.Shipped),
            Sets(sessions, 3).Select(a => new TrainedSet(a.Set, Line with { Rest = Duration.FromSeconds(40) }))
                .Concat(last.Select((l, i) => new TrainedSet(new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today, i + 1, Line.Load, l.Done, l.Left), Line)))).Learned.SaysAlways;
    }

    /// <summary>Ten and "two left", then, less fresh, eighteen: the two were never two, and weigh no more than no answer.</summary>
    [Fact]
    public void A_later_set_that_did_far_more_refutes_what_was_said()
    {
        double refuted = Maximum(2, 18), silent = Maximum(null, 18), believed = Maximum(2, 12);
        refuted.ShouldBeInRange(0.98 * silent, 1.02 * silent);
        believed.ShouldBeLessThan(0.95 * refuted);

        static double Maximum(double? said, int last) => Learning.From(
            People.Man, Catalogue.Shipped, StrengthAnchors.Of(People.Man, Catalogue.Shipped),
            Enumerable.Range(0, 3).Select(i => new TrainedSet(
                new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today, i + 1, Line.Load, i < 2 ? 10 : last, i < 2 ? said : 2), Line))).Learned.Anchors.Single(a => a.Exercise == Row.Id).Maximum.Kilograms;
    }

    private static AskedSet[] Sets(int sessions, int logged) =>
    [
        .. from session in Enumerable.Range(0, sessions)
           from set in Enumerable.Range(0, logged)
           select new AskedSet(new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(-1 - (3 * session)), set + 1, Line.Load, 10, 2), Line),
    ];

    private static ImmutableArray<Proposal> Waits(Digest digest, AskedSet[] sets, params Decision[] decisions) => Proposals.For(
        new DeskCase(
            People.Man, [new ClientPlace("home", new Home { Name = "Home" })], HouseRules.Default, Plan, 1,
            new Training(sets, [], [], [], digest, Catalogue.Shipped), [], [], decisions, People.Today, 1),
        [], People.Today);

    /// <summary>Short of its count with none left is a set that failed, whoever logs it; pain, grip, breath and form are other reasons.</summary>
    [Fact]
    public void A_set_short_of_its_count_with_none_left_failed()
    {
        Failed(set => set).ShouldBeTrue();
        Failed(set => set with { Repetitions = 0 }).ShouldBeTrue();
        Failed(set => set with { Repetitions = Line.Counts[0] }).ShouldBeFalse("at its count nobody knows whether one more would have gone");
        Failed(set => set with { Repetitions = Line.Counts[0], Stopped = StopReason.Muscle }).ShouldBeTrue();
        Failed(set => set with { Reserve = 1 }).ShouldBeFalse();
        Failed(set => set with { Reserve = null }).ShouldBeFalse();
        Failed(set => set with { Stopped = StopReason.Grip }).ShouldBeFalse();
        Failed(set => set with { Pain = 3 }).ShouldBeFalse();
        Failed(set => set with { Reserve = null, ToLimit = true }).ShouldBeTrue();
    }

    private static bool Failed(Func<SetLog, SetLog> change) =>
        new TrainedSet(change(new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today, 1, Line.Load, Line.Counts[0] - 2, 0)), Line).IsToFailure;
}
