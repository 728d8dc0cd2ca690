using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Review;

/// <summary>Marks of plans that go nowhere, each just below and just above its threshold (common practice).</summary>
public class BlockFindingTests
{
    private static Finding? Find(FindingKind kind, Block? block, params WrittenLine[] lines) => Find(kind, block, null, lines);

    private static Finding? Find(FindingKind kind, Block? block, ReviewThresholds? marks, params WrittenLine[] lines)
    {
        ImmutableArray<RebuiltLine> rebuilt = [.. lines.Select(l => new RebuiltLine { Written = l, Reading = "", Outcome = LineOutcome.Unchanged, Role = Role.Secondary })];
        return ProgrammeReview.Of([new TrainedSession("Monday", [], [], Duration.FromMinutes(30))], rebuilt, People.Man, Catalogue.Shipped, People.Today, block, marks)
            .Findings.FirstOrDefault(f => f.Kind == kind);
    }

    private static WrittenLine Same(int number) => Member.Written("back-squat", 3, 15, Intensity.NotWritten) with { Number = number };

    private static WrittenLine[] SameOn(int lines) => [.. Enumerable.Range(1, lines).Select(Same)];

    [Fact]
    public void No_phases_and_no_review_date_is_a_mark_and_its_remedy_sets_a_block()
    {
        var found = Find(FindingKind.NoPhases, null, Same(1))!;
        found.Remedy!.Block!.Phases.ShouldAllBe(p => p.Weeks >= 3 && p.Weeks <= 6 && p.EndsEasier);
        Find(FindingKind.NoPhases, found.Remedy.Block, Same(1)).ShouldBeNull();
        Find(FindingKind.NoPhases, new Block(), Same(1)).ShouldBeNull("an open end with a review date is a plan");
    }

    [Theory]
    [InlineData(6, false)]
    [InlineData(7, true)]
    public void More_than_six_full_weeks_running_want_an_easier_one(int weeks, bool found)
    {
        var block = new Block { FirstWeekLighter = false, Phases = [new("One", Purpose.Growth, weeks, EndsEasier: false)] };
        var finding = Find(FindingKind.NoEasierWeek, block, Same(1));
        (finding is not null).ShouldBe(found);
        if (finding is not null)
        {
            finding.Remedy!.Block!.Phases.Sum(p => p.Weeks).ShouldBe(weeks, "no week is lost");
            Find(FindingKind.NoEasierWeek, finding.Remedy.Block, Same(1)).ShouldBeNull();
        }
    }

    /// <summary>Wherever the coach puts the mark, what is offered clears what was found, and no week is lost.</summary>
    [Fact]
    public void The_remedy_clears_the_finding_wherever_the_mark_stands() =>
        Gen.Select(Gen.Int[2, 12], Gen.Int[1, 12].Array[0, 4], Gen.Int[1, 12], Gen.Bool).Sample((mark, phases, review, lighter) =>
        {
            var marks = new ReviewThresholds { FullWeeksRunning = mark };
            var block = new Block { FirstWeekLighter = lighter, ReviewEvery = review, Phases = [.. phases.Select((weeks, i) => new Phase($"{i}", Purpose.Growth, weeks, EndsEasier: false))] };
            if (Find(FindingKind.NoEasierWeek, block, marks, Same(1)) is { } finding)
            {
                var mended = finding.Remedy!.Block!;
                mended.Phases.Sum(p => p.Weeks).ShouldBe(phases.Sum());
                BlockProblems.Of(mended).ShouldBeEmpty();
                Find(FindingKind.NoEasierWeek, mended, marks, Same(1)).ShouldBeNull();
            }
        });

    [Fact]
    public void Two_short_phases_without_an_easier_week_run_on_into_each_other() =>
        Find(FindingKind.NoEasierWeek, new Block
        {
            FirstWeekLighter = false,
            Phases = [new("One", Purpose.Growth, 4, EndsEasier: false), new("Two", Purpose.Growth, 4, EndsEasier: false)],
        }, Same(1)).ShouldNotBeNull();

    [Theory]
    [InlineData(5, false)]
    [InlineData(6, true)]
    public void One_dose_for_everything_is_written_for_anybody(int lines, bool found) =>
        (Find(FindingKind.OneLevelForAll, new Block(), SameOn(lines)) is not null).ShouldBe(found);

    [Fact]
    public void One_line_that_differs_or_says_how_hard_it_is_takes_the_mark_away()
    {
        Find(FindingKind.OneLevelForAll, new Block(), [.. SameOn(6), Member.Written("back-squat", 3, 12, Intensity.NotWritten) with { Number = 7 }]).ShouldBeNull();
        Find(FindingKind.OneLevelForAll, new Block(), [.. SameOn(6), Member.Written("back-squat", 3, 15) with { Number = 7 }]).ShouldBeNull();
    }

    [Theory]
    [InlineData(2, false)]
    [InlineData(3, true)]
    public void More_sessions_than_days_are_told(int sessions, bool found)
    {
        var client = People.Man with { Days = [DayOfWeek.Monday, DayOfWeek.Friday] };
        ImmutableArray<TrainedSession> week = [.. Enumerable.Range(1, sessions).Select(i => new TrainedSession($"Day {i}", [], [], Duration.FromMinutes(30)))];
        bool Told(Block block) => ProgrammeReview.Of(week, [], client, Catalogue.Shipped, People.Today, block).Findings.Any(f => f.Kind == FindingKind.MoreSessionsThanDays);
        Told(new Block()).ShouldBe(found);
        Told(new Block { Rhythm = Rhythm.EverySecondDay }).ShouldBeFalse("sessions take turns");
    }
}
