using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Blocks;

/// <summary>The weeks of the demo members generated ahead, held to the rules of a block.</summary>
public class BlockTargetsTests
{
    private static readonly string[] Asked = ["back-squat", "barbell-bench-press", "barbell-row", "romanian-deadlift", "overhead-press", "plank"];

    private static (ImmutableArray<BlockWeek> Weeks, ImmutableArray<LineTargets> Targets, RebuiltSession Session) LaidOut(Member member, Block block)
    {
        var session = new WrittenSession("Day 1", [.. Asked.Select((e, i) => Member.Written(
            e, 3, e == "plank" ? 30 : 8, kind: e == "plank" ? CountKind.Seconds : CountKind.Repetitions) with { Number = i + 1 })]);
        var rebuild = new SessionRebuild(member.Client, member.Home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]));
        var rebuilt = rebuild.Rebuild(session, []);
        var weeks = BlockCalendar.Of(block, member.Client, 1);
        return (weeks, BlockTargets.Of(
            [rebuilt], block, weeks, member.Client, new PreparedHome(member.Home, People.Today), Catalogue.Shipped, rebuild.Anchors, HouseRules.Default), rebuilt);
    }

    /// <summary>Five weeks in: behind lies what was asked, now what is in force, ahead what the log waits with and what comes after it.</summary>
    [Fact]
    public void Weeks_behind_show_what_was_asked_and_weeks_ahead_take_what_the_log_waits_with()
    {
        var member = Member.Named("maren-ostholt");
        var block = new Block { Starts = People.Today.AddDays(-28), Phases = [new("One", Purpose.Growth, 9)], FirstWeekLighter = false };
        var session = new WrittenSession("Day 1", [Member.Written("goblet-squat", 3, 8) with { Number = 1 }]);
        var rebuild = new SessionRebuild(member.Client, member.Home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([session]));
        var rebuilt = rebuild.Rebuild(session, []);
        var now = rebuilt.Lines[0].Chosen!.Prescription;
        var then = now with { Counts = [.. now.Counts.Select(c => c - 2)] };
        var back = now with { Counts = [.. now.Counts.Select(c => c - 1)] };
        var weeks = BlockCalendar.Of(block, member.Client, 1);
        var asked = BlockTargets.Of(
            [rebuilt], block, weeks, member.Client, new PreparedHome(member.Home, People.Today), Catalogue.Shipped, rebuild.Anchors, HouseRules.Default,
            new SoFar(People.Today, _ => new Step(StepKind.Back, "Back to what is done.", [], back), (_, day) => day < People.Today ? then : now))[0].Weeks;
        asked.Select(w => w.When).ShouldBe([WeekTime.Past, WeekTime.Past, WeekTime.Past, WeekTime.Past, WeekTime.Now, WeekTime.Ahead, WeekTime.Ahead, WeekTime.Ahead, WeekTime.Ahead]);
        asked.Take(4).ShouldAllBe(w => w.Prescription == then);
        asked[4].Prescription.ShouldBe(now);
        (asked[5].Prescription, asked[5].Raised, asked[5].What).ShouldBe((back, "Back to what is done.", null));
        asked[6].What.ShouldNotBeNull();
    }

    public static TheoryData<Purpose> Purposes => [.. Enum.GetValues<Purpose>()];

    [Theory]
    [MemberData(nameof(Purposes))]
    public void Lighter_and_easier_weeks_keep_the_load_and_full_weeks_raise_one_thing(Purpose purpose)
    {
        var block = new Block { Phases = [new("One", purpose, 5), new("Two", purpose, 5)] };
        foreach (var member in Member.All())
        {
            var (weeks, targets, session) = LaidOut(member, block);
            foreach (var line in targets)
            {
                var start = session.Lines.Single(l => l.Written.Number == line.Line).Chosen!.Prescription;
                line.Weeks.Length.ShouldBe(weeks.Length);
                line.Weeks[0].Prescription.Load.ShouldBe(start.Load, "the first week is lighter in sets alone");
                line.Weeks[1].Prescription.ShouldBe(start, "the second is the plan as rebuilt");
                for (int w = 2; w < weeks.Length; w++)
                {
                    Follows(line.Weeks[w], line.Weeks[w - 1], weeks[w].Kind, weeks[w - 1].Kind);
                }
            }
        }
    }

    private static void Follows(WeekTarget now, WeekTarget before, WeekKind kind, WeekKind kindBefore)
    {
        if (kind != WeekKind.Full)
        {
            now.Raised.ShouldBeNull("nothing is raised in an easier week");
            now.Prescription.Load.ShouldBe(before.Prescription.Load);
            now.Prescription.Exercise.ShouldBe(before.Prescription.Exercise);
            now.Prescription.Counts.Length.ShouldBeLessThanOrEqualTo(before.Prescription.Counts.Length);
        }
        else if (now.What is null && kindBefore == WeekKind.Full)
        {
            now.Prescription.ShouldBe(before.Prescription);
        }
        else if (now.What == Raise.Repetitions)
        {
            now.Prescription.Load.ShouldBe(before.Prescription.Load);
            now.Prescription.Counts.Max().ShouldBeLessThanOrEqualTo(before.Prescription.Counts.Max() + (now.Prescription.Count == CountKind.Seconds ? 5 : 1));
        }
    }

    [Fact]
    public void A_load_taken_is_one_the_home_can_build_and_goes_back_to_the_counts_it_started_from()
    {
        var block = new Block { Phases = [new("Long", Purpose.Growth, 12, EndsEasier: false)], FirstWeekLighter = false };
        int loads = 0;
        foreach (var member in Member.All())
        {
            var (_, targets, session) = LaidOut(member, block);
            foreach (var line in targets)
            {
                var rungs = session.Lines.Single(l => l.Written.Number == line.Line).Chosen!.Ladder.Select(r => r.Load).ToHashSet();
                foreach (var (before, now) in line.Weeks.Zip(line.Weeks.Skip(1)).Where(p => p.Second.What == Raise.Load))
                {
                    loads++;
                    now.Prescription.Load.ShouldBeGreaterThan(before.Prescription.Load);
                    now.Prescription.Counts.Sum().ShouldBeLessThan(before.Prescription.Counts.Sum());
                    (before.Prescription.Counts.Min() - now.Prescription.Counts.Max()).ShouldBeGreaterThanOrEqualTo(LoadStep.OverTarget);
                    if (now.Prescription.Exercise == line.Weeks[0].Prescription.Exercise && line.Weeks[0].Prescription.Load > Mass.Zero)
                    {
                        rungs.ShouldContain(now.Prescription.Load, "a rung of what the line is loaded with");
                    }
                }
            }
        }

        loads.ShouldBeGreaterThan(5, "the demo homes have ladders to climb");
    }

    [Fact]
    public void Milestones_of_a_block_stand_over_the_house_rule()
    {
        var (_, first, _) = LaidOut(Member.All().First(), new Block { Phases = [new("One", Purpose.Growth, 6)] });
        var (_, density, _) = LaidOut(Member.All().First(), new Block { Phases = [new("One", Purpose.Growth, 6)], Progress = Teaching.Density });
        first.SelectMany(l => l.Weeks).ShouldNotContain(w => w.What == Raise.Rest);
        density.SelectMany(l => l.Weeks).ShouldContain(w => w.What == Raise.Rest);
    }
}
