using System.Text;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Formats.Tables;

namespace Ingegno.Formats.Tests.Tables;

/// <summary>Logs as people keep them, read set by set; what cannot be read is told with its row.</summary>
public class LogTableTests
{
    private static readonly string[] Odd = ["Push-up", "2026-11-20", "8/8/8", "1e308", "=1+1", "60 kg", "99/99/9999", "3x9999"];

    private static readonly DateOnly Today = new(2026, 11, 23);

    private static ReadLog Read(string text, MassUnit unit = MassUnit.Kilogram) =>
        LogTable.Read(TableFile.Read(Encoding.UTF8.GetBytes(text))[0], NameReader.Shipped, Catalogue.Shipped, e => e == "push-up" ? 3 : null, unit, Today, "client");

    [Fact]
    public void A_set_a_row()
    {
        var read = Read("Date,Exercise,Set,Weight,Reps,RPE\n2026-11-20,Back squat,1,60,8,8\n2026-11-20,Back squat,2,62.5,7,9\n2026-11-20,Push-up,1,,20,\n");
        read.Doubts.ShouldBeEmpty();
        read.Sets.Select(s => (s.Exercise, s.SetNumber, s.Load.Kilograms, s.Repetitions, s.Reserve?.Figure)).ShouldBe(
            [("back-squat", 1, 60, 8, 2.0), ("back-squat", 2, 62.5, 7, 1.0), ("push-up", 1, 0, 20, null)]);
        read.Sets[2].Line.ShouldBe(3, "it is on a line of the plan");
    }

    /// <summary>Semicolons and decimal commas; a day and a name that go on; several sets in a cell; loads in each.</summary>
    [Fact]
    public void An_exercise_a_row()
    {
        var read = Read("Training log\n\nDate;Exercise;Sets;Reps;Weight (kg);RIR\n23.11.2026;Bench press;;8/8/7;60/60/57,5;2\n;Barbell row;3;10;45;\n;Push-up;;3x12;BW;1-2\n");
        read.Doubts.ShouldBeEmpty();
        read.Sets.Length.ShouldBe(9);
        read.Sets.Where(s => s.Exercise == "barbell-bench-press").Select(s => s.Load.Kilograms).ShouldBe([60, 60, 57.5]);
        read.Sets.Where(s => s.Exercise == "barbell-row").ShouldAllBe(s => s.Repetitions == 10 && s.Load.Kilograms == 45);
        // What was left is said of the last set.
        read.Sets.Where(s => s.Exercise == "push-up").Select(s => s.Reserve?.Figure).ShouldBe([null, null, 1.5]);
    }

    /// <summary>Dates are told apart by what can only be one way round; a workbook's count of days starts in 1900 (ECMA-376).</summary>
    [Theory]
    [InlineData("11/20/2026", "2026-11-20")]
    [InlineData("20/11/2026", "2026-11-20")]
    [InlineData("05/11/2026", "2026-11-05")]
    [InlineData("20.11.26", "2026-11-20")]
    [InlineData("46346", "2026-11-20")]
    [InlineData("2026-11-20T18:30:00", "2026-11-20")]
    [InlineData("Nov 20, 2026", "2026-11-20")]
    public void Days_however_they_are_written(string day, string expected) =>
        Read($"Date\tExercise\tReps\n{day}\tPush-up\t8\n").Sets.ShouldHaveSingleItem().On.ShouldBe(DateOnly.ParseExact(expected, "yyyy-MM-dd", null));

    [Fact]
    public void Pounds_by_the_column_or_by_the_client()
    {
        Read("Date,Exercise,Weight (lb),Reps\n2026-11-20,Back squat,135,8\n").Sets[0].Load.Pounds.ShouldBe(135, 0.01);
        Read("Date,Exercise,Weight,Reps\n2026-11-20,Back squat,135,8\n", MassUnit.Pound).Sets[0].Load.Pounds.ShouldBe(135, 0.01);
        Read("Date,Exercise,Weight kg,Reps\n2026-11-20,Back squat,60,8\n", MassUnit.Pound).Sets[0].Load.Kilograms.ShouldBe(60);
    }

    [Fact]
    public void What_cannot_be_taken_is_told_with_its_row()
    {
        var read = Read(
            "Date,Exercise,Weight,Reps,RPE\n2026-11-20,Back squat,60,400,8\nyesterday,Back squat,60,8,8\n2026-12-24,Back squat,60,8,8\n2026-11-20,Zercher flumph,60,8,8\n2026-11-20,Back squat,heavy,8,8\n2026-11-20,Back squat,60,8,42\n");
        read.Sets.ShouldHaveSingleItem();
        read.Doubts.Where(d => d.Left).Select(d => d.Row).ShouldBe([2, 3, 4, 6]);
        read.Doubts.ShouldContain(d => d.Row == 7 && !d.Left);
        read.Unknown.ShouldHaveSingleItem().ShouldBe(("Zercher flumph", 1));
    }

    [Fact]
    public void A_file_that_names_no_columns_is_told_what_to_do() =>
        Should.Throw<UnreadableFileException>(() => Read("a,b,c\n1,2,3\n")).Message.ShouldContain("Date, Exercise and Reps");

    [Fact]
    public void The_same_file_gives_the_same_sets()
    {
        const string File = "Date,Exercise,Reps\n2026-11-20,Push-up,8\n2026-11-20,Push-up,8\n";
        Read(File).Sets.Select(s => s.Id).ShouldBe(Read(File).Sets.Select(s => s.Id));
        Read(File).Sets.Select(s => s.Id).Distinct().Count().ShouldBe(2);
    }

    /// <summary>Whatever stands in the cells: sets within bounds, or told; never an error.</summary>
    [Fact]
    public void Anything_in_the_cells_is_taken_or_told() =>
        Gen.OneOf(
                Gen.Char[' ', '~'].Array[0, 12].Select(c => new string(c).Replace(",", "", StringComparison.Ordinal).Replace("\"", "", StringComparison.Ordinal)), Gen.Int[-5, 500].Select(i => $"{i}"),
                Gen.Int[0, Odd.Length - 1].Select(i => Odd[i]))
            .Array[5].Array[1, 6].Sample(rows =>
            {
                string text = "Date,Exercise,Weight,Reps,RPE\n2026-11-20,Push-up,,8,\n" + string.Concat(rows.Select(row => string.Join(',', row) + "\n"));
                Read(text).Sets.ShouldAllBe(s => s.On <= Today && s.Repetitions <= 200 && s.Load.Kilograms <= 500);
            });
}
