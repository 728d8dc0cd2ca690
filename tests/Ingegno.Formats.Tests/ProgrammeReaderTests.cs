using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tests;

public class ProgrammeReaderTests
{
    private static ReadProgramme Read(string text, MassUnit unit = MassUnit.Kilogram) =>
        ProgrammeReader.Read(text, Catalogue.Shipped, unit);

    private static WrittenLine Line(string text, MassUnit unit = MassUnit.Kilogram)
    {
        var read = Read(text, unit);
        read.Problems.Where(p => !p.IsDoubt).ShouldBeEmpty();
        return read.Programme.Sessions.ShouldHaveSingleItem().Lines.ShouldHaveSingleItem();
    }

    [Fact]
    public void Reads_a_line_with_everything()
    {
        var line = Line("B2) Seated cable row 3 x 8-12 @ 45 kg, RPE 8, tempo 3-1-X-0, rest 1:30");
        line.Group.ShouldBe("B");
        line.PlaceInGroup.ShouldBe(2);
        line.Exercise.ShouldBe("seated-cable-row");
        line.Sets.ShouldBe([.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, 8, 12), 3)]);
        line.Intensity.ShouldBe(new Intensity(null, Mass.FromKilograms(45), 2));
        line.Tempo.ShouldBe(new Tempo(3, 1, 0, 0, FastLifting: true));
        line.Rest.ShouldBe(Duration.FromSeconds(90));
    }

    public static TheoryData<string> SameLine() =>
    [
        "Front squat 4x6 @ 72.5kg rest 3:00",
        "front SQUAT   4 × 6   @72,5 kg   rest 180s",
        "Front Squats: 4 sets of 6 reps at 72.5 kilos, 3 min rest",
        "front-squat 4*6 72.5 kg rest: 3 min",
        "Front squat 6/6/6/6 @ 72.5 rest 3 min // knees feel fine",
    ];

    [Theory]
    [MemberData(nameof(SameLine))]
    public void Tolerates_case_spacing_and_the_ways_people_type(string text)
    {
        var line = Line(text);
        line.Exercise.ShouldBe("front-squat");
        line.Sets.Select(s => s.High).ShouldBe([6, 6, 6, 6]);
        line.Intensity.Load!.Value.Kilograms.ShouldBe(72.5, 1e-9);
        line.Rest!.Value.Seconds.ShouldBe(180);
    }

    /// <summary>160 lb are 72.57 kg (0.45359237 kg to the pound, by definition).</summary>
    [Theory]
    [InlineData("Front squat 4x6 @ 160 lb", MassUnit.Kilogram)]
    [InlineData("Front squat 4x6 160lbs", MassUnit.Kilogram)]
    [InlineData("Front squat 4x6 @ 160", MassUnit.Pound)]
    public void Pounds_are_pounds(string text, MassUnit unit) =>
        Line(text, unit).Intensity.Load!.Value.Kilograms.ShouldBe(72.575, 0.001);

    [Theory]
    [InlineData("Bench press 3x8 75 %", 0.75, null)]
    [InlineData("Bench press 3x8 @75%", 0.75, null)]
    [InlineData("Bench press 3x8 RPE 8.5", null, 1.5)]
    [InlineData("Bench press 3x8 RIR 2", null, 2.0)]
    [InlineData("Bench press 3x8 @ RPE8", null, 2.0)]
    [InlineData("Bench press 3x8, 2 left", null, 2.0)]
    public void Reads_percent_and_effort(string text, double? percent, double? reserve)
    {
        var intensity = Line(text).Intensity;
        (intensity.Percent?.Fraction).ShouldBe(percent);
        intensity.Reserve.ShouldBe(reserve);
    }

    [Fact]
    public void Reads_sets_that_differ()
    {
        Line("Leg curl 10/10/8").Sets.Select(s => s.High).ShouldBe([10, 10, 8]);
        Line("Leg curl 3x12/10/8-10").Sets[2].ShouldBe(new SetTarget(CountKind.Repetitions, 8, 10));
    }

    [Fact]
    public void Reads_holds_sides_and_as_many_as_possible()
    {
        Line("Plank 3 x 45 s").Sets[0].ShouldBe(new SetTarget(CountKind.Seconds, 45, 45));
        Line("Dead bug 3x8 each side").PerSide.ShouldBeTrue();
        Line("Split squat 3x8 per leg, 20 kg").PerSide.ShouldBeTrue();
        Line("Push-up 2 x max").Sets[0].Kind.ShouldBe(CountKind.AsManyAsPossible);
        Line("Push-up 3 x AMRAP").Sets.Length.ShouldBe(3);
    }

    public static TheoryData<string, SetTarget> Counts() => new()
    {
        { "Push-up 3 x up to 20", new(CountKind.UpTo, 1, 20) },
        { "Push-up 3 x max 10-50", new(CountKind.AsManyAsPossible, 10, 50) },
        { "Push-up 3 x 8+", new(CountKind.AsManyAsPossible, 8, 0) },
        { "Dead bug 3 x 5 breaths", new(CountKind.Breaths, 5, 5) },
        { "Two-hand carry 4 x 2 trips", new(CountKind.Trips, 2, 2) },
        { "Walking lunge 3 x 20 steps", new(CountKind.Steps, 20, 20) },
        { "Goblet squat 3 x until RPE 8", new(CountKind.UntilEffort, 1, 0) },
        { "Goblet squat 3 x until 2 left", new(CountKind.UntilEffort, 1, 0) },
        { "Scapular hang 3 x until the grip goes", new(CountKind.UntilGrip, 1, 0) },
    };

    [Theory]
    [MemberData(nameof(Counts))]
    public void Reads_every_way_a_set_can_end(string text, SetTarget target)
    {
        var line = Line(text);
        line.Sets.ShouldAllBe(s => s == target);
        line.Sets.Length.ShouldBeGreaterThanOrEqualTo(3);
        line.Intensity.Reserve.ShouldBe(text.Contains("until RPE") || text.Contains("until 2") ? 2.0 : null);
    }

    /// <summary>Alternating, an odd count leaves a side short: both get the larger half, and the coach is asked.</summary>
    [Theory]
    [InlineData("Reverse lunge 3 x 20 alternating", 10, true, false)]
    [InlineData("Reverse lunge 3 x 15 alternating", 8, true, true)]
    [InlineData("Reverse lunge 3 x 16 total", 8, false, false)]
    public void Counts_for_both_sides_become_counts_a_side(string text, int each, bool alternating, bool asked)
    {
        var read = Read(text);
        var line = read.Programme.Sessions[0].Lines[0];
        line.PerSide.ShouldBeTrue();
        line.Alternating.ShouldBe(alternating);
        line.Sets.ShouldAllBe(s => s.Low == each && s.High == each);
        read.Problems.Any(p => p.IsDoubt && p.Message.Contains("one side short")).ShouldBe(asked);
    }

    [Fact]
    public void Headings_open_sessions()
    {
        var read = Read("# Monday\nBench press 3x8\n\nThursday, legs\nBack squat 3x5\nLeg curl 3x10\n");
        read.Problems.ShouldBeEmpty();
        read.Programme.Sessions.Select(s => (s.Title, s.Lines.Length)).ShouldBe([("Monday", 1), ("Thursday, legs", 2)]);
        read.Programme.Sessions[1].Lines[0].Number.ShouldBe(5);
    }

    [Fact]
    public void An_unknown_name_is_kept_as_typed()
    {
        var line = Line("Flying dragon 3x8 @ 10 kg");
        line.ExerciseName.ShouldBe("Flying dragon");
        line.Exercise.ShouldBeNull();
        line.Text.ShouldBe("Flying dragon 3x8 @ 10 kg");
    }

    [Fact]
    public void A_name_may_hold_numbers() => Line("90 degree row 3x8").ExerciseName.ShouldBe("90 degree row");

    [Theory]
    [InlineData("Back squat 4 x 6 @ -60 kg", 18, "cannot be negative")]
    [InlineData("Bench press 3 x 8 @ 90 furlongs", 24, "Not understood")]
    [InlineData("Bench press 50 x 8", 13, "1 to 20")]
    [InlineData("Bench press 3 x 0", 13, "1 to 100")]
    [InlineData("Bench press 3 x 500", 13, "1 to 100")]
    [InlineData("Bench press 3 x 10/8", 13, "one count a set")]
    [InlineData("Bench press 3 x 8 tempo 60-60-60-60", 19, "no tempo")]
    [InlineData("Bench press 3 x 8 400 %", 19, "5 to 110")]
    [InlineData("Bench press 3 x 8 @ 5000 kg", 19, "up to 600 kg")]
    [InlineData("Bench press 3 x 8 RPE 14", 19, "RPE 1 to 10")]
    [InlineData("Bench press 3 x 8 rest 24:00:00", 31, "Not understood")]
    [InlineData("Bench press 3 x 8 rest 90 min", 19, "up to 30 minutes")]
    public void What_cannot_be_right_is_named_with_line_and_column_and_the_line_is_kept(string text, int column, string says)
    {
        var read = Read("Monday\n" + text);
        read.Problems.Length.ShouldBeGreaterThanOrEqualTo(1);
        var problem = read.Problems[0];
        problem.Line.ShouldBe(2);
        problem.Message.ShouldContain(says);
        if (says != "Not understood" || text.Contains("furlongs", StringComparison.Ordinal))
        {
            problem.Column.ShouldBe(column);
        }

        read.Programme.Sessions.ShouldHaveSingleItem().Lines.ShouldHaveSingleItem().ExerciseName.ShouldBe(text.Split(" 3 ")[0].Split(" 50 ")[0].Split(" 4 ")[0]);
    }

    [Fact]
    public void A_line_without_sets_in_the_middle_is_a_problem_not_a_session()
    {
        var read = Read("Monday\nBench press 3x8\nBack squat heavy");
        read.Problems.ShouldHaveSingleItem().Line.ShouldBe(3);
        read.Programme.Sessions.ShouldHaveSingleItem().Lines.Length.ShouldBe(1);
    }

    [Theory]
    [InlineData("")]
    [InlineData("   \n\n  ")]
    [InlineData("// only a comment")]
    public void An_empty_text_says_what_to_type(string text) =>
        Read(text).Problems.ShouldHaveSingleItem().Message.ShouldContain("Front squat 4 x 6");

    [Fact]
    public void Two_hundred_kilobytes_are_refused_in_words()
    {
        var read = Read(new string('a', 200_000));
        read.Programme.Sessions.ShouldBeEmpty();
        read.Problems.ShouldHaveSingleItem().Message.ShouldContain("Paste at most");
        Read(string.Concat(Enumerable.Repeat("Bench press 3x8\n", 2000))).Problems.ShouldHaveSingleItem().Message.ShouldContain("60");
        string days = string.Concat(Enumerable.Range(1, 40).Select(day => $"Day {day}\n{string.Concat(Enumerable.Repeat("Bench press 3x8\n", 20))}\n"));
        Read(days).Problems.ShouldHaveSingleItem().Message.ShouldContain("300");
    }

    /// <summary>Whatever is typed, reading ends, throws nothing, and every problem has a place inside the text.</summary>
    [Fact]
    public void Any_text_is_read_without_failing() =>
        Gen.OneOf(
            Gen.String,
            Gen.String[Gen.Char["abcdxX0123456789 @%/-:+.,kgRPE\n\t#()×"], 0, 200])
        .Sample(text =>
        {
            var read = Read(text);
            int lines = text.ReplaceLineEndings("\n").Split('\n').Length;
            read.Problems.ShouldAllBe(p => p.Line >= 1 && p.Line <= lines && p.Column >= 1 && p.Message.Length > 0);
            read.Programme.Sessions.SelectMany(s => s.Lines).ShouldAllBe(l => l.Sets.Length >= 1 && l.Sets.All(s => s.Low >= 1 && s.High <= 3600));
        });

    private static readonly Gen<string> Names = Gen.Int[0, Catalogue.Shipped.Exercises.Length - 1].Select(i => Catalogue.Shipped.Exercises[i].Name);

    [Fact]
    public void Every_catalogue_name_is_found_in_a_written_line() =>
        Gen.Select(Names, Gen.Int[1, 20], Gen.Int[1, 99], Gen.Int[1, 99], Gen.Int[0, 1799]).Sample((name, sets, low, high, rest) =>
        {
            var line = Line($"{name} {sets} x {Math.Min(low, high)}-{Math.Max(low, high)}, rest {rest / 60}:{rest % 60:00}");
            Catalogue.Shipped[line.Exercise!].Name.ShouldBe(name);
            line.Sets.Length.ShouldBe(sets);
            line.Sets[0].ShouldBe(new SetTarget(CountKind.Repetitions, Math.Min(low, high), Math.Max(low, high)));
            line.Rest!.Value.Seconds.ShouldBe(rest);
        });

    /// <summary>Names with commas and figures in them too: every one is read whole.</summary>
    [Fact]
    public void No_name_of_the_catalogue_breaks_a_line()
    {
        foreach (var exercise in Catalogue.Shipped.Exercises)
        {
            Line($"{exercise.Name} 3 x 8 RPE 8").Exercise.ShouldBe(exercise.Id);
        }
    }

    [Fact]
    public void A_word_with_two_meanings_is_read_and_asked_after()
    {
        var read = ProgrammeReader.Read("Leg press 3 x 12 @ 60 kg", Catalogue.Shipped, MassUnit.Kilogram);
        read.Programme.Sessions[0].Lines[0].Exercise.ShouldBe("leg-press");
        var doubt = read.Problems.ShouldHaveSingleItem();
        doubt.IsDoubt.ShouldBeTrue();
        (doubt.Line, doubt.Column, doubt.Length).ShouldBe((1, 1, 9));
        doubt.Message.ShouldContain("lying");
    }
}
