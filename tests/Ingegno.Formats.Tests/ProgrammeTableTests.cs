using System.Text;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Formats.Tables;

namespace Ingegno.Formats.Tests;

/// <summary>Programmes as coaches lay them out in sheets (common practice), read as the text the editor reads.</summary>
public class ProgrammeTableTests
{
    [Fact]
    public void A_column_for_each_thing_becomes_a_line_for_each_exercise()
    {
        string text = Text("""
            Block two;;;;;;;
            Day;Order;Exercise;Sets;Reps;Weight (kg);Rest;Notes
            Monday;A1;Front squat;4;6;72,5;3;elbows up
            ;A2;Push press;5;4;40;180;
            Wednesday;;Leg curl;3;8-12;;90;
            """);
        text.ShouldBe("""
            # Monday
            A1 Front squat 4 x 6 @ 72.5 kg, rest 180 s // elbows up
            A2 Push press 5 x 4 @ 40 kg, rest 180 s

            # Wednesday
            Leg curl 3 x 8-12, rest 90 s

            """.ReplaceLineEndings("\n"));
        IsReadWhole(text, sessions: 2, lines: 3);
    }

    [Fact]
    public void A_letter_alone_in_the_order_is_no_part_of_the_name()
    {
        string text = Text("Order,Exercise,Sets,Reps\nA,Front squat,4,6\nB,Plank,3,30 s\nB,Push-up,3,12\n");
        text.ShouldBe("A. Front squat 4 x 6\nB. Plank 3 x 30 s\nB. Push-up 3 x 12\n");
        IsReadWhole(text, sessions: 1, lines: 3);
    }

    [Fact]
    public void Pounds_percent_effort_and_tempo_stand_where_their_columns_say()
    {
        string text = Text("Exercise,Sets,Reps,Weight (lbs),%1RM,RPE,Tempo\nBack squat,5,5,225,,8,3-1-1-0\nBench press,3,8,,0.75,,\nRomanian deadlift,3,8,,70%,RPE 7,\n");
        text.ShouldBe("Back squat 5 x 5 @ 225 lb, RPE 8, tempo 3-1-1-0\nBench press 3 x 8, 75 %\nRomanian deadlift 3 x 8, 70 %, RPE 7\n");
        IsReadWhole(text, sessions: 1, lines: 3);
    }

    [Fact]
    public void Days_across_become_sessions_one_after_the_other()
    {
        string text = Text("Monday\tThursday\nBack squat 5x5 @ 100 kg\tDeadlift 3x5 @ 120 kg\nPush-up 3x12\tPull-up 4x6\n");
        text.ShouldBe("# Monday\nBack squat 5x5 @ 100 kg\nPush-up 3x12\n\n# Thursday\nDeadlift 3x5 @ 120 kg\nPull-up 4x6\n");
        IsReadWhole(text, sessions: 2, lines: 4);
    }

    [Fact]
    public void One_cell_with_all_of_it_is_a_line_and_a_name_alone_is_a_heading()
    {
        Text("Upper\nBench press 4x8 RPE 8\nSeated cable row 4x10\n").ShouldBe("Upper\nBench press 4x8 RPE 8\nSeated cable row 4x10\n");
        Text("Exercise,Sets,Reps\nLower body,,\nBack squat,5,5\n").ShouldBe("# Lower body\nBack squat 5 x 5\n");
    }

    [Theory]
    [InlineData("utf-8")]
    [InlineData("utf-16")]
    [InlineData("windows-1252")]
    public void Letters_come_through_whatever_the_encoding(string name)
    {
        var encoding = CodePagesEncodingProvider.Instance.GetEncoding(name) ?? Encoding.GetEncoding(name);
        byte[] file = [.. encoding.GetPreamble(), .. encoding.GetBytes("Exercise;Sets;Reps;Notes\r\nLeg curl;3;8;Füße höher – langsam\r\n")];
        Only(file).Rows[1][3].ShouldBe("Füße höher – langsam");
    }

    /// <summary>RFC 4180: quoted separators, quotation marks doubled, lines inside a cell.</summary>
    [Fact]
    public void Quoted_cells_keep_separators_quotation_marks_and_line_ends() =>
        Only("a,\"b,c\",\"say \"\"up\"\"\"\r\n1,\"two\nlines\",3\r\n"u8.ToArray()).Rows.Select(r => string.Join('|', r)).ShouldBe(["a|b,c|say \"up\"", "1|two\nlines|3"]);

    [Fact]
    public void A_workbook_of_ours_is_read_back_by_another_library_and_by_us()
    {
        Table[] sheets = [new("Monday", [["Exercise", "Load"], ["Row", "12.5"], ["=1+1", "-5"], ["", "7", "", "end"]]), new("Monday", [["Week", "2"]])];
        byte[] file = TableWriter.ToWorkbook(sheets);
        // The other library asks for it.
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        using (var other = ExcelDataReader.ExcelReaderFactory.CreateReader(new MemoryStream(file)))
        {
            other.Name.ShouldBe("Monday");
            other.Read().ShouldBeTrue();
            other.GetString(0).ShouldBe("Exercise");
            other.Read().ShouldBeTrue();
            other.GetDouble(1).ShouldBe(12.5);
            other.Read().ShouldBeTrue();
            other.GetString(0).ShouldBe("'=1+1", "nothing that is written starts a formula");
            other.GetDouble(1).ShouldBe(-5);
            other.Read().ShouldBeTrue();
            other.GetString(3).ShouldBe("end");
            other.NextResult().ShouldBeTrue();
            other.Name.ShouldBe("Monday 2");
        }

        var ours = TableFile.Read(file);
        ours.Select(t => t.Name).ShouldBe(["Monday", "Monday 2"]);
        ours[0].Rows[1].ShouldBe(["Row", "12.5", "", ""]);
        ours[0].Rows[3].ShouldBe(["", "7", "", "end"], "an empty cell keeps its place");
    }

    [Fact]
    public void Exported_text_never_starts_a_formula()
    {
        string csv = Encoding.UTF8.GetString(TableWriter.ToCsv(new("", [["=HYPERLINK(1)", "+1 rep", "-5", "@x", "plain"]])));
        csv.TrimStart('\uFEFF').ShouldBe("'=HYPERLINK(1),'+1 rep,-5,'@x,plain\r\n");
    }

    [Theory]
    [InlineData("", "no rows")]
    [InlineData("\0\0\u0001binary", "no text file")]
    public void What_is_no_table_says_what_to_do(string content, string words) =>
        Should.Throw<UnreadableFileException>(() => TableFile.Read(Encoding.UTF8.GetBytes(content))).Message.ShouldContain(words);

    [Fact]
    public void Too_much_is_refused_with_its_place()
    {
        Refused(new string('a', TableFile.MostLetters + 1)).ShouldContain("Row 1, column 1");
        Refused(string.Concat(Enumerable.Repeat("a,b\n", TableFile.MostRows + 1))).ShouldContain("rows");
        Refused(string.Join(',', Enumerable.Repeat("a", 1000))).ShouldContain("columns");
        Should.Throw<UnreadableFileException>(() => TableFile.Read(new byte[TableFile.MostBytes + 1])).Message.ShouldContain("MB");
        Should.Throw<UnreadableFileException>(() => TableFile.Read([0xD0, 0xCF, 0x11, 0xE0, 0xA1])).Message.ShouldContain(".xlsx");

        static string Refused(string content) => Should.Throw<UnreadableFileException>(() => TableFile.Read(Encoding.UTF8.GetBytes(content))).Message;
    }

    /// <summary>A zip of nothing but zeros that unpacks to a hundred megabytes.</summary>
    [Fact]
    public void A_bomb_is_not_unpacked()
    {
        using var stream = new MemoryStream();
        using (var archive = new System.IO.Compression.ZipArchive(stream, System.IO.Compression.ZipArchiveMode.Create, leaveOpen: true))
        {
            using var entry = archive.CreateEntry("xl/workbook.xml").Open();
            byte[] zeros = new byte[1_000_000];
            for (int i = 0; i < 100; i++)
            {
                entry.Write(zeros);
            }
        }

        Should.Throw<UnreadableFileException>(() => TableFile.Read(stream.ToArray())).Message.ShouldContain("unpacks");
    }

    /// <summary>Cut, flipped and stuffed files: read, or refused in words; nothing else ever comes out.</summary>
    [Fact]
    public void A_damaged_file_is_read_or_refused_and_never_breaks_anything()
    {
        byte[] workbook = TableWriter.ToWorkbook([new("Monday", [["Exercise", "Sets", "Reps"], ["Back squat", "5", "5"], ["Row", "3", "10"]])]);
        byte[] csv = Encoding.UTF8.GetBytes("Exercise;Sets;Reps\nBack squat;5;5\n\"Row\";3;10\n");
        Gen.Select(Gen.Bool, Gen.Int[0, 20_000], Gen.Int[0, 8], Gen.Byte.Array[0, 12]).Sample((isBook, place, kind, bytes) =>
        {
            byte[] good = isBook ? workbook : csv;
            int at = place % good.Length;
            byte[] bad = kind < 3 ? good[..at] : kind < 6 ? [.. good[..at], .. bytes, .. good[at..]] : [.. good[..at], .. bytes, .. good[Math.Min(good.Length, at + bytes.Length)..]];
            try
            {
                foreach (var table in TableFile.Read(bad))
                {
                    ProgrammeTable.ToText(table, ColumnGuess.Of(table), MassUnit.Kilogram).ShouldNotBeNull();
                }
            }
            catch (UnreadableFileException refused)
            {
                refused.Message.ShouldNotBeEmpty();
            }
        }, iter: 400);
    }

    private static Table Only(byte[] file) => TableFile.Read(file).ShouldHaveSingleItem();

    [Fact]
    public void Sheets_are_sessions_under_their_names_and_columns_put_right_on_one_hold_on_all_that_are_laid_out_alike()
    {
        var lower = new Table("Lower", [["Exercise", "Sets", "Reps", "How heavy"], ["Back squat", "4", "6", "100"]]);
        var upper = new Table("Upper", [["exercise", "sets", "reps", "how heavy"], ["Bench press", "4", "8", "60"]]);
        var other = new Table("Arms", [["Friday"], ["Hammer curl 3x12"]]);
        var guess = ColumnGuess.Of(lower) with { Columns = [ColumnRole.Exercise, ColumnRole.Sets, ColumnRole.Repetitions, ColumnRole.Load] };
        string text = ProgrammeBook.ToText([lower, upper, other], lower, guess, MassUnit.Kilogram);
        text.ShouldBe("# Lower\nBack squat 4 x 6 @ 100 kg\n\n# Upper\nBench press 4 x 8 @ 60 kg\n\n# Arms\nFriday\nHammer curl 3x12\n");
        IsReadWhole(text.Replace("Friday\n", "", StringComparison.Ordinal), sessions: 3, lines: 3);
    }

    /// <summary>Weeks side by side: a dose a week, several columns a week under one name, loads alone beside fixed sets, and down the sheet.</summary>
    [Theory]
    [InlineData("Day,Exercise,Week 1,Week 2,Rest\nMonday,Back squat,3x8 @ 100 kg,4x6 @ 110 kg,180\n,Leg curl,3x12,,90\nFriday,Row,3x8,3x10,\n",
        "# Week 1\n\n# Monday\nBack squat 3x8 @ 100 kg, rest 180 s\nLeg curl 3x12, rest 90 s\n\n# Friday\nRow 3x8\n\n# Week 2\n\n# Monday\nBack squat 4x6 @ 110 kg, rest 180 s\n\n# Friday\nRow 3x10\n", 1, 2, 3)]
    [InlineData(",Week 1,,,Week 2 (deload),,\nExercise,Sets,Reps,kg,Sets,Reps,kg\nBack squat,3,8,100,2,5,90\nLeg curl,3,12,40,2,10,\n",
        "# Week 1\nBack squat 3 x 8 @ 100 kg\nLeg curl 3 x 12 @ 40 kg\n\n# Week 2 (deload)\nBack squat 2 x 5 @ 90 kg\nLeg curl 2 x 10\n", 1, 1, 2)]
    [InlineData("Exercise,Sets,Reps,W1,W2,W3\nBack squat,3,8,100,102.5,105\nBench press,3,8,60,62.5,\n",
        "# W1\nBack squat 3 x 8 @ 100 kg\nBench press 3 x 8 @ 60 kg\n\n# W2\nBack squat 3 x 8 @ 102.5 kg\nBench press 3 x 8 @ 62.5 kg\n\n# W3\nBack squat 3 x 8 @ 105 kg\nBench press 3 x 8\n", 2, 1, 2)]
    [InlineData("Week,Day,Exercise,Sets,Reps\n1,Monday,Back squat,3,8\n,Friday,Row,3,8\n2,Monday,Back squat,4,6\n,Friday,Row,3,10\n",
        "# Week 1\n\n# Monday\nBack squat 3 x 8\n\n# Friday\nRow 3 x 8\n\n# Week 2\n\n# Monday\nBack squat 4 x 6\n\n# Friday\nRow 3 x 10\n", 1, 2, 2)]
    public void Weeks_across_or_down_stand_one_after_the_other_and_the_first_is_read(string csv, string text, int waiting, int sessions, int lines)
    {
        Text(csv).ShouldBe(text);
        ProgrammeReader.Read(text, Catalogue.Shipped, MassUnit.Kilogram).Programme.Waiting.Length.ShouldBe(waiting);
        IsReadWhole(text, sessions, lines);
    }

    [Fact]
    public void Days_side_by_side_with_columns_of_their_own_are_sessions()
    {
        string text = Text("Monday,,,,Thursday,,,\nOrder,Exercise,Sets,Reps,Order,Exercise,Sets,Reps\nA,Back squat,5,5,A,Deadlift,3,5\n,,,,B,Pull-up,4,6\n");
        text.ShouldBe("# Monday\nA. Back squat 5 x 5\n\n# Thursday\nA. Deadlift 3 x 5\nB. Pull-up 4 x 6\n");
        IsReadWhole(text, sessions: 2, lines: 3);
    }

    /// <summary>A column to write into, a plan of targets beside the dose, and one that comes twice by itself are no weeks.</summary>
    [Theory]
    [InlineData("Exercise,Sets,Reps,Week 1,Week 2\nBack squat,3,8,,\n", "Back squat 3 x 8\n")]
    [InlineData("Exercise,Sets,Reps,Load,\"Week 1, 30 Nov\",\"Week 2, 7 Dec\"\nBack squat,3,8,100,\"3 x 8, 100 kg\",\"3 x 9, 100 kg\"\n", "Back squat 3 x 8 @ 100 kg\n")]
    [InlineData("Exercise,Sets,Reps,Load,Load\nBack squat,3,8,100,95\n", "Back squat 3 x 8 @ 100 kg\n")]
    public void What_only_looks_like_weeks_is_one_programme(string csv, string text) => Text(csv).ShouldBe(text);

    [Fact]
    public void Sheets_that_are_weeks_wait_behind_the_first_and_others_are_passed_over()
    {
        Table[] sheets =
        [
            new("Read me", [["Warm up first"]]),
            new("Week 1", [["Exercise", "Sets", "Reps"], ["Back squat", "3", "8"]]),
            new("Week 2 deload", [["Exercise", "Sets", "Reps"], ["Back squat", "2", "5"]]),
        ];
        string text = ProgrammeBook.ToText([.. sheets], sheets[1], ColumnGuess.Of(sheets[1]), MassUnit.Kilogram);
        text.ShouldBe("# Week 1\nBack squat 3 x 8\n\n# Week 2 deload\nBack squat 2 x 5\n");
    }

    [Theory]
    [InlineData(true, "Week 1", "Week 2", "Week 3")]
    [InlineData(true, "W1", "W2", "Notes")]
    [InlineData(true, "wk 1", "wk 2")]
    [InlineData(false, "Day 1", "Day 2")]
    [InlineData(false, "Push", "Pull", "Legs")]
    [InlineData(false, "Week 1")]
    public void Sheets_that_are_weeks_are_known_by_their_names(bool weeks, params string[] names) =>
        ProgrammeBook.IsWeekByWeek([.. names.Select(n => new Table(n, [["Push-up 3x8"]]))]).ShouldBe(weeks);

    private static string Text(string csv)
    {
        var table = Only(Encoding.UTF8.GetBytes(csv));
        return ProgrammeTable.ToText(table, ColumnGuess.Of(table), MassUnit.Kilogram);
    }

    private static void IsReadWhole(string text, int sessions, int lines)
    {
        var read = ProgrammeReader.Read(text, Catalogue.Shipped, MassUnit.Kilogram);
        read.Problems.Where(p => !p.IsDoubt).ShouldBeEmpty();
        read.Programme.Sessions.Length.ShouldBe(sessions);
        read.Programme.Sessions.Sum(s => s.Lines.Length).ShouldBe(lines);
    }
}
