using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tests;

/// <summary>A text of several weeks: the first is trained, the others wait as they were typed.</summary>
public class WeeksOfTextTests
{
    [Fact]
    public void The_first_week_is_read_and_the_others_wait_to_the_letter()
    {
        var read = Read("Week 1\nMonday\nBack squat 3x8\nFriday\nRow 3x8\n\nWeek 2: heavier\nMonday\nBack squat 4x6 // belt\n\nFriday\nRow 3 x nonsense\n\nWk 3\nMonday\nBack squat 2x5\n");
        read.Programme.Week.ShouldBe(new("Week 1", 1));
        read.Programme.Sessions.Select(s => (s.Title, s.Lines.Single().Exercise)).ShouldBe([("Monday", "back-squat"), ("Friday", "barbell-row")], ignoreOrder: false, Told(read));
        read.Programme.Waiting.Select(w => (w.Number, w.Name, w.Lines)).ShouldBe([(2, "Week 2", 5), (3, "Week 3", 3)]);
        read.Programme.Waiting[0].Text.ShouldBe("Week 2: heavier\nMonday\nBack squat 4x6 // belt\n\nFriday\nRow 3 x nonsense");
        read.Problems.ShouldNotContain(p => p.Line > 5, "what waits is asked about when it is its turn");
    }

    /// <summary>Whatever the weeks: with the first taken off, the next is read as it would be alone.</summary>
    [Fact]
    public void Going_over_to_the_next_week_reads_it_as_if_it_had_stood_alone() => Gen.Int[1, 4].Select(Gen.Int[1, 5], Gen.Int[1, 9]).Array[2, 5].Sample(weeks =>
    {
        string[] texts = [.. weeks.Select((w, k) => $"Week {k + 1}\n{string.Concat(Enumerable.Range(1, w.Item1).Select(s => $"Day {s}\nBack squat {w.Item2}x{w.Item3}\n"))}".TrimEnd())];
        var read = Read(string.Join("\n\n", texts)).Programme;
        read.Waiting.Select(w => w.Text).ShouldBe(texts.Skip(1));
        var next = Read(string.Join("\n\n", read.Waiting.Select(w => w.Text))).Programme;
        next.Week!.Name.ShouldBe("Week 2");
        next.Sessions.SelectMany(s => s.Lines).Select(l => (l.Number, l.Text)).ShouldBe(Read(texts[1]).Programme.Sessions.SelectMany(s => s.Lines).Select(l => (l.Number, l.Text)));
        next.Waiting.Length.ShouldBe(texts.Length - 2);
    });

    /// <summary>Week and day in one heading, weeks under each day, a first week without a heading.</summary>
    [Theory]
    [InlineData("Week 1 Day 1\nSquat 3x8\nWeek 1 Day 2\nRow 3x8\nWeek 2 Day 1\nSquat 3x9\nWeek 2 Day 2\nRow 3x9", "Week 1", "Day 1|Day 2", 1)]
    [InlineData("W1D1\nSquat 3x8\n\nW1D2\nRow 3x8\n\nW2D1\nSquat 3x9", "Week 1", "D1|D2", 1)]
    [InlineData("# Week 1, Monday\nSquat 3x8\n# Week 1, Friday\nRow 3x8\n# Week 2, Monday\nSquat 3x9", "Week 1", "Monday|Friday", 1)]
    [InlineData("Week 1\nSquat 3x8\nWeek 2\nSquat 3x9\nWeek 1\nRow 3x8\nWeek 2\nRow 3x9", "Week 1", "Session 1|Session 2", 1)]
    [InlineData("Monday\nSquat 3x8\nWeek 2\nMonday\nSquat 3x9\nWeek 3\nMonday\nSquat 2x5", null, "Monday", 2)]
    [InlineData("Week 3 of 6 - deload\nMonday\nSquat 2x5", "Week 3", "Monday", 0)]
    [InlineData("Weeks 1-4: volume\nMonday\nSquat 3x8\n\nWeeks 5 to 8: strength\nMonday\nSquat 5x3", "Weeks 1 to 4", "Monday", 1)]
    [InlineData("WEEK ONE\nSquat 3x8\nWEEK TWO\nSquat 3x9", "Week 1", "Session 1", 1)]
    [InlineData("Week 1 (3 x a week)\nSquat 3x8\nWeek 2 (deload)\nSquat 2x5", "Week 1", "Session 1", 1)]
    [InlineData("1st week\nSquat 3x8\n\n2nd week\nSquat 3x9", "Week 1", "Session 1", 1)]
    [InlineData("Monday, week 1\nSquat 3x8\nFriday, week 1\nRow 3x8\nMonday, week 2\nSquat 3x9", "Week 1", "Monday|Friday", 1)]
    [InlineData("Block 1 Week 1\nSquat 3x8\nBlock 1 Week 2\nSquat 3x9\nBlock 2 Week 1\nSquat 5x3", "Block 1, week 1", "Session 1", 2)]
    [InlineData("Week 1\n\nWeek 2\nSquat 3x8\nWeek 3\nSquat 3x9", "Week 2", "Session 1", 1)]
    public void Headings_as_coaches_type_them(string text, string? week, string titles, int waiting)
    {
        var read = Read(text);
        (read.Programme.Week?.Name).ShouldBe(week);
        string.Join('|', read.Programme.Sessions.Select(s => s.Title)).ShouldBe(titles);
        read.Programme.Waiting.Length.ShouldBe(waiting);
        read.Problems.ShouldAllBe(p => p.IsDoubt, Told(read));
    }

    /// <summary>Lines with a dose, and weeks that take turns, open none.</summary>
    [Theory]
    [InlineData("Two weeks easy\nSquat 3x8\nRow 3x8")]
    [InlineData("Weekly minimum\nSquat 3x8\nRow 3x8")]
    [InlineData("Squat W1: 3x8, W2: 3x10\nRow 3x8")]
    public void What_opens_no_week(string text)
    {
        var read = Read(text).Programme;
        read.Week.ShouldBeNull();
        read.Waiting.ShouldBeEmpty();
        read.Sessions.Single().Lines.Length.ShouldBe(2);
    }

    private static ReadProgramme Read(string text) => ProgrammeReader.Read(text, Catalogue.Shipped, MassUnit.Kilogram);

    private static string Told(ReadProgramme read) => string.Join('\n', read.Problems.Select(p => $"{p.Line}: {p.Message}"));
}
