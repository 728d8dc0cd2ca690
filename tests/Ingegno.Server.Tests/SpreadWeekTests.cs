using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Server.Tests;

/// <summary>A written week over other days, against weeks worked by hand (common practice), through the reader of programmes.</summary>
public sealed class SpreadWeekTests
{
    private const string TwoDays = """
        Monday, upper
        Bench press 4 x 8 @ 80 kg, rest 2 min
        Seated cable row 4 x 10 RPE 8, rest 90 s
        A1 Lateral raise 2 x 15, rest 30 s
        A2 Barbell curl 2 x 12, rest 60 s

        Thursday, lower
        Back squat 4 x 6 @ 100 kg, rest 3 min
        Leg curl 10/10/8 RPE 8, rest 90 s
        Plank 2 x 40 s
        """;

    private static WrittenProgramme Read(string text)
    {
        var read = ProgrammeReader.Read(text, Catalogue.Shipped, MassUnit.Kilogram);
        read.Problems.ShouldBeEmpty(text);
        return read.Programme;
    }

    private static SpreadOutcome Over(int sessions, bool everySecondDay = false, params DayOfWeek[] days) =>
        SpreadWeek.Over(Read(TwoDays), sessions, everySecondDay, new ClientProfile { Name = "Somebody", Days = [.. days] }, Catalogue.Shipped);

    private static int Sets(WrittenProgramme week, string exercise) =>
        week.Sessions.Sum(s => s.Lines.Where(l => l.ExerciseName == exercise).Sum(l => l.Sets.Length));

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    public void Every_written_set_is_still_there_and_every_line_reads_as_before(int sessions)
    {
        var (before, after) = (Read(TwoDays), Read(Over(sessions).Text));
        after.Sessions.Length.ShouldBeLessThanOrEqualTo(sessions);
        foreach (var line in before.Sessions.SelectMany(s => s.Lines))
        {
            Sets(after, line.ExerciseName).ShouldBe(line.Sets.Length, line.Text);
            after.Sessions.SelectMany(s => s.Lines).Where(l => l.ExerciseName == line.ExerciseName)
                .ShouldAllBe(l => l.Intensity == line.Intensity && l.Rest == line.Rest && l.Group == line.Group);
        }
    }

    /// <summary>Four sets of bench over four days go two and two; counts that differ set by set are never split.</summary>
    [Fact]
    public void Four_sets_go_two_and_two_and_unlike_sets_stay_together()
    {
        var after = Read(Over(4, false, DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Thursday, DayOfWeek.Friday).Text);
        after.Sessions.SelectMany(s => s.Lines).Where(l => l.ExerciseName == "Bench press").Select(l => l.Sets.Length).ShouldBe([2, 2]);
        after.Sessions.SelectMany(s => s.Lines).Where(l => l.ExerciseName == "Leg curl").ShouldHaveSingleItem().Sets.Length.ShouldBe(3);
    }

    [Fact]
    public void Where_the_days_allow_no_muscle_comes_twice_within_48_hours() =>
        Over(4, false, DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Thursday, DayOfWeek.Friday).Crowded.ShouldBeEmpty();

    [Fact]
    public void Halves_of_a_pair_stay_in_one_session()
    {
        foreach (var session in Read(Over(3).Text).Sessions)
        {
            session.Lines.Count(l => l.ExerciseName == "Lateral raise").ShouldBe(session.Lines.Count(l => l.ExerciseName == "Barbell curl"));
        }
    }

    /// <summary>Two sessions in turn, seven halves a week: a line in both comes 3.5 times, one in one of them 1.75 times.</summary>
    [Fact]
    public void Every_second_day_keeps_the_weekly_sets_about_and_shows_how_often_each_muscle_comes()
    {
        var outcome = Over(0, everySecondDay: true);
        Read(outcome.Text).Sessions.Select(s => s.Title).ShouldBe(["A", "B"]);
        outcome.Crowded.ShouldBeEmpty();
        outcome.Muscles.ShouldAllBe(m => m.TimesAfter == 0 || m.TimesAfter == 1.75 || m.TimesAfter == 3.5);
        foreach (var muscle in outcome.Muscles.Where(m => m.SetsBefore >= 4))
        {
            (muscle.SetsAfter / muscle.SetsBefore).ShouldBeInRange(0.7, 1.8, muscle.Group.ToString());
        }
    }

    /// <summary>What was decided by hand is decided on wherever the line went, its sets apart: those are in the text.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(6)]
    public void Choices_follow_their_lines(int sessions)
    {
        var before = Read(TwoDays);
        LineChoice[] choices = [.. before.Sessions.SelectMany(s => s.Lines).Select(l => new LineChoice(l.Number, l.Text, Exercise: $"for {l.ExerciseName}", Pinned: true, Sets: 9))];
        var spread = SpreadWeek.Over(before, sessions, everySecondDay: false, new ClientProfile { Name = "Somebody" }, Catalogue.Shipped, choices);
        var after = Read(spread.Text);
        foreach (var line in after.Sessions.SelectMany(s => s.Lines))
        {
            var choice = spread.Choices.Single(c => c.Line == line.Number && c.Text == line.Text);
            choice.Exercise.ShouldBe($"for {line.ExerciseName}");
            choice.Pinned.ShouldBeTrue();
            choice.Sets.ShouldBeNull();
        }

        spread.Choices.Length.ShouldBe(after.Sessions.Sum(s => s.Lines.Length));
    }
}
