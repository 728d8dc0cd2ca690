using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tests;

/// <summary>
/// Lines as coaches type them, each with the reading a coach would give it (lines.tsv: text, exercise ids divided by |, reading). A line is read
/// when all of the reading is there and nothing else is; what is not read must at least be told.
/// </summary>
public sealed partial class TypedLinesTests
{
    /// <summary>Of 100 lines so many are read; those that are not are listed in docs/formats.md.</summary>
    private const double Wanted = 98;

    [Fact]
    public void Nearly_all_are_read_and_none_is_misread_in_silence()
    {
        var lines = File.ReadLines(Path.Combine(Here(), "lines.tsv")).Where(l => l.Length > 0 && l[0] != '#').Select(l => l.Split('\t')).ToArray();
        var wrong = lines.Select(l => (Text: l[0], Why: Differences(l[0], l[1], l[2]), Told: IsTold(l[0]))).Where(l => l.Why.Count > 0).ToArray();
        string report = string.Join('\n', wrong.Select(l => $"{l.Text}: {string.Join("; ", l.Why)}"));
        wrong.Where(l => !l.Told).ShouldBeEmpty(report);
        (100.0 * (lines.Length - wrong.Length) / lines.Length).ShouldBeGreaterThanOrEqualTo(Wanted, report);
    }

    /// <summary>Two weights are twice one, or the lift that is done with two; which of them is told (common practice).</summary>
    [Theory]
    [InlineData("Bench press 4x8 2x30 kg", "dumbbell-bench-press", 30)]
    [InlineData("Squat 4x8 2 x 24 kg", "two-dumbbell-squat", 24)]
    [InlineData("Overhead press 3x8 20 kg per hand", "standing-dumbbell-press", 20)]
    [InlineData("Bicep curl 3x12 12 kg each hand", "dumbbell-curl", 12)]
    [InlineData("Chest-supported row 4x10 30 kg per hand", "chest-supported-row", 60)]
    [InlineData("Single-leg RDL 3x10 2x16 kg", "one-leg-romanian-deadlift", 32)]
    [InlineData("Swing 3x15 2x16 kg", "kettlebell-swing", 32)]
    public void Two_weights_are_told_as_two(string typed, string exercise, double kg)
    {
        var read = Read(typed);
        var line = LinesOf(read).Single();
        line.Exercise.ShouldBe(exercise);
        line.Intensity.Load!.Value.Kilograms.ShouldBe(kg, 0.01);
        read.Problems.ShouldContain(p => p.IsDoubt && p.Message.StartsWith("Two weights", StringComparison.Ordinal));
    }

    [Fact]
    public void Two_weights_in_blocks_are_two_in_each()
    {
        var line = LinesOf(Read("Single-leg RDL 2x8 @ 2x20 kg, 1x8 @ 2x16 kg")).Single();
        line.Sets.Select(s => s.Load!.Value.Kilograms).ShouldBe([40, 40, 32]);
        line.Intensity.Load!.Value.Kilograms.ShouldBe(40, 0.01);
    }

    /// <summary>What is done with two weights, or with one, is written for one hand and needs no telling.</summary>
    [Theory]
    [InlineData("Dumbbell bench press 4x8 2x30 kg", 30)]
    [InlineData("Split squat 3x10 2x16 kg", 16)]
    [InlineData("Bench press 4x8 60 kg", 60)]
    public void One_weight_is_told_as_it_stands(string typed, double kg)
    {
        var read = Read(typed);
        read.Problems.ShouldBeEmpty();
        LinesOf(read).Single().Intensity.Load!.Value.Kilograms.ShouldBe(kg, 0.01);
    }

    /// <summary>What has no one meaning, or none, is asked about and never chosen from.</summary>
    [Theory]
    [InlineData("Bench press 3x8 bw", "nothing without a load")]
    [InlineData("Curl 3x8 bw", "nothing without a load")]
    [InlineData("Back squat 3x8 @ 0 kg", "nothing without a load")]
    [InlineData("Bench press 3x8 -20 kg", "cannot be negative")]
    [InlineData("Bench press 3x8 @ 900 kg", "up to 600 kg")]
    [InlineData("Bench press 3x8 120 %", "5 to 110")]
    [InlineData("Bench press 3x8 rest -30", "cannot be negative")]
    [InlineData("Bench press 3x8 RPE 8, 4 left", "Said twice")]
    [InlineData("Bench press 3x8 @ 60 kg, 80 kg", "Said twice")]
    [InlineData("Plank x 3", "is held")]
    [InlineData("Squat 1x5 @ 100 kg, then 3x8", "second dose")]
    [InlineData("Squat 3x8 @ 75/80 %", "2 figures for 3 sets")]
    [InlineData("Squat W1: 3x8 70 %, W2: 3x8 75 %", "Only the first week")]
    [InlineData("Squat 3x5 @ 8", "Read as RPE 8")]
    [InlineData("Squat 12x5 @ 100 kg, then 12x8 @ 80 kg", "1 to 20")]
    public void What_cannot_be_right_is_named(string text, string says) =>
        Read(text).Problems.ShouldContain(p => p.Message.Contains(says, StringComparison.Ordinal), string.Join("; ", Read(text).Problems.Select(p => p.Message)));

    [Theory]
    [InlineData("Bench press\t3\t8\t80 kg\t90 s rest")]
    [InlineData("Bench press | 3 | 8 | 80 kg | rest 90 s")]
    [InlineData("☑ bench3x8@80kg, rest 90s")]
    [InlineData("2) Bench press – 3 × 8, 80 kg, 1' 30 rest: 90")]
    [InlineData("[ ] 3x8 bench press @ 80 kg (90 sec rest)")]
    [InlineData("Bench\u00A0press 3\u00A0×\u00A08 — 80\u00A0kg, 90″ rest")]
    public void One_line_from_a_phone_a_list_and_a_spreadsheet_is_one_line(string text)
    {
        var line = LinesOf(Read(text)).ShouldHaveSingleItem();
        (line.Exercise, line.Sets.Length, line.Sets[0].Low, line.Intensity.Load?.Kilograms).ShouldBe(("barbell-bench-press", 3, 8, 80.0));
        line.Rest!.Value.Seconds.ShouldBe(90);
    }

    /// <summary>Several exercises on one line are done in turn, each with its own sets or those beside another.</summary>
    [Theory]
    [InlineData("Push-up 3x10 superset with barbell row 3x12, rest 90 s", "push-up 10, barbell-row 12")]
    [InlineData("Curl / triceps pushdown 3x12 @ 20 kg", "barbell-curl 12, triceps-pushdown 12")]
    [InlineData("Push-ups and barbell rows 3x10", "push-up 10, barbell-row 10")]
    [InlineData("A1 Push-up 3x10 A2 Barbell row 3x8", "push-up 10, barbell-row 8")]
    [InlineData("Rope pushdown 3x12 + Hammer curl 3x12", "triceps-pushdown 12, hammer-curl 12")]
    [InlineData("Bench press 3x8 / Barbell row 3x10", "barbell-bench-press 8, barbell-row 10")]
    [InlineData("3 rounds: 10 push-ups, 15 squats, plank 30 s", "push-up 10, back-squat 15, plank 30")]
    [InlineData("3 rounds of 10 push-ups + 12 reverse lunges", "push-up 10, reverse-lunge 12")]
    public void Several_exercises_on_one_line_are_a_group(string text, string wanted)
    {
        var lines = LinesOf(Read(text + "\nFace pull 3x15"));
        string.Join(", ", lines.SkipLast(1).Select(l => $"{l.Exercise} {l.Sets[0].Low}")).ShouldBe(wanted);
        lines.SkipLast(1).ShouldAllBe(l => l.Group == "A" && l.TextLine == 2 && l.Sets.Length == 3);
        lines.Select(l => l.PlaceInGroup).ShouldBe([.. Enumerable.Range(1, lines.Length - 1), 0]);
        lines.Select(l => l.Number).ShouldBeUnique();
        (lines[^1].TextLine, lines[^1].Group).ShouldBe((3, null));
    }

    [Fact]
    public void Exercises_listed_on_one_line_are_no_group() =>
        LinesOf(Read("Push-up 3x10, plank 3x30 s")).Select(l => (l.Exercise, l.Group)).ShouldBe([("push-up", null), ("plank", null)]);

    [Theory]
    [InlineData("Clean and jerk 3x3")]
    [InlineData("Push-up 3x10 + 5 pulses")]
    [InlineData("Curl 3x10 + 1x20")]
    [InlineData("Bench press 3x8/side")]
    [InlineData("Squat 3x5, pause at the bottom and drive up")]
    public void What_only_looks_like_several_is_one(string text) => LinesOf(Read(text)).Length.ShouldBe(1);

    [Theory]
    [InlineData("Pull-ups 25 total reps", 25)]
    [InlineData("Push-ups 50 reps in as few sets as possible", 50)]
    [InlineData("100 push-ups in total", 100)]
    public void A_total_is_planned_in_even_sets(string text, int total)
    {
        var line = LinesOf(Read(text)).ShouldHaveSingleItem();
        line.Sets.ShouldHaveSingleItem().ShouldBe(new SetTarget(CountKind.Total, total, total));
        int[] planned = [.. line.Sets[0].Planned];
        planned.Sum().ShouldBe(total);
        (planned.Max() - planned.Min()).ShouldBeLessThan(2);
    }

    /// <summary>A top set and its back-offs, a climb, a figure for each set: every set has the load it was written with.</summary>
    [Theory]
    [InlineData("Squat 1x5 @ 100 kg, then 3x8 @ 80 kg", "5 100 | 8 80 | 8 80 | 8 80")]
    [InlineData("Squat top set of 5 @ 100, back off sets 3x8 @ 80", "5 100 | 8 80 | 8 80 | 8 80")]
    [InlineData("Bench 80kg 3x5, 60kg 2x12", "5 80 | 5 80 | 5 80 | 12 60 | 12 60")]
    [InlineData("Bench 100 kg x 5, 90 kg x 8", "5 100 | 8 90")]
    [InlineData("Bench press 10 @ 60, 8 @ 70, 6 @ 80", "10 60 | 8 70 | 6 80")]
    [InlineData("Squat 60%x5, 70%x5, 80%x5+", "5 60 % | 5 70 % | 5+ 80 %")]
    [InlineData("Bench 5/3/1+ @ 75/85/95 %", "5 75 % | 3 85 % | 1+ 95 %")]
    [InlineData("Barbell row 12/10/8 @ 40, 45, 50 kg", "12 40 | 10 45 | 8 50")]
    [InlineData("Press 3x5 RPE 7/8/9", "5 RIR 3 | 5 RIR 2 | 5 RIR 1")]
    [InlineData("Deadlift heavy single @ RPE 8, then 2x6 @ 75%", "1 RIR 2 | 6 75 % | 6 75 %")]
    [InlineData("Squat 2x5, 1x5+ @ 80 %", "5 | 5 | 5+")]
    public void Each_set_has_its_own_load(string text, string wanted)
    {
        var line = LinesOf(Read(text)).ShouldHaveSingleItem();
        string.Join(" | ", line.Sets.Select(s => string.Create(CultureInfo.InvariantCulture,
            $"{(s.Kind == CountKind.AsManyAsPossible ? $"{s.Low}+" : $"{s.Low}")}{(s.Load is { } load ? $" {load.Kilograms:0.#}" : "")}{(s.Percent is { } percent ? $" {percent.Fraction * 100:0.#} %" : "")}{(s.Reserve is { } left ? $" RIR {left:0.#}" : "")}"))).ShouldBe(wanted);
        Read(text).Problems.ShouldBeEmpty();
    }

    /// <summary>Ten sets of three, and a tempo with an X in it.</summary>
    [Theory]
    [InlineData("Bench 10x3", 10, 3, null)]
    [InlineData("Bench 12x5 @ 60 kg", 12, 5, null)]
    [InlineData("Bench 3x8 10X1", 3, 8, "1-0-X-1")]
    [InlineData("Bench 3x8 31X0", 3, 8, "3-1-X-0")]
    [InlineData("Bench 31X1 3x8", 3, 8, "3-1-X-1")]
    public void Sets_are_told_from_tempo(string text, int sets, int count, string? tempo)
    {
        var line = LinesOf(Read(text)).ShouldHaveSingleItem();
        (line.Sets.Length, line.Sets[0].Low, line.Tempo?.ToString()).ShouldBe((sets, count, tempo));
    }

    [Fact]
    public void A_cluster_is_the_sum_of_its_bouts()
    {
        var line = LinesOf(Read("Deadlift cluster 4 x 2+2+2, 20 s")).ShouldHaveSingleItem();
        (line.Sets.Length, line.Sets[0].Low, line.Rest).ShouldBe((4, 6, null));
        line.Techniques.ShouldBe([new WrittenTechnique(TechniqueKind.Cluster, 20)]);
    }

    /// <summary>Warm-up and stretches typed among the exercises are no exercises nobody knows.</summary>
    [Fact]
    public void Drills_are_read_as_drills_before_and_behind_the_work()
    {
        var read = Read("Cat cow 2x10\nLeg swings 2x12 each leg\nPush-up 3x8\nHip flexor stretch 2 x 30 s each side");
        read.Problems.ShouldBeEmpty();
        var session = read.Programme.Sessions.ShouldHaveSingleItem();
        session.Lines.ShouldHaveSingleItem().Exercise.ShouldBe("push-up");
        session.Drills.Select(d => (Catalogue.Shipped.Drills.Single(c => c.Id == d.Drill).Name, PlainLine.DoseOf(d.Line), d.Ends)).ShouldBe(
        [
            ("Back rounding and arching on hands and knees", "2 x 10", false),
            ("Leg swings", "2 x 12, a side", false),
            ("Hip-flexor stretch, half kneeling", "2 x 30 s, a side", true),
        ]);
    }

    [Fact]
    public void Drills_alone_are_kept_as_lines_and_said_to_be_drills()
    {
        var read = Read("Cat cow 2x10");
        LinesOf(read).ShouldHaveSingleItem().Exercise.ShouldBeNull();
        read.Problems.ShouldHaveSingleItem().Message.ShouldContain("drill");
    }

    /// <summary>What is an exercise stays one, also where a drill has a like name.</summary>
    [Theory]
    [InlineData("Bear crawl 3x20 m", "bear-crawl")]
    [InlineData("Bird dog 3x8", "bird-dog")]
    [InlineData("Glute bridge 3x12", "glute-bridge")]
    public void An_exercise_goes_before_a_drill(string text, string exercise) => LinesOf(Read(text)).ShouldHaveSingleItem().Exercise.ShouldBe(exercise);

    [Theory]
    [InlineData("Push-up 3x5 lowering only", "lowering-only-push-up", "5-0-1-0")]
    [InlineData("Pull-up 3x5 eccentric only", "lowering-only-chin-up", "5-0-1-0")]
    [InlineData("Bench press 3x5 80 kg negatives only", "barbell-bench-press", "5-0-1-0")]
    [InlineData("Push-up 3x5 3 s down lowering only", "lowering-only-push-up", "3-0-1-0")]
    public void What_is_lowered_only_is_that_exercise_where_there_is_one_and_slow(string text, string exercise, string tempo)
    {
        var line = LinesOf(Read(text)).ShouldHaveSingleItem();
        (line.Exercise, line.Tempo?.ToString()).ShouldBe((exercise, tempo));
        var again = LinesOf(Read(PlainLine.Of(line, Catalogue.Shipped))).ShouldHaveSingleItem();
        (again.Exercise, again.Tempo, again.Techniques.Length).ShouldBe((line.Exercise, line.Tempo, line.Techniques.Length));
    }

    /// <summary>Rows of marks and figures, as dividers and sums are typed: over at once, whatever they are taken for.</summary>
    [Theory]
    [InlineData("*")]
    [InlineData("1 *")]
    [InlineData("3 x")]
    [InlineData("sets of")]
    [InlineData("/ 5")]
    [InlineData("+ 2,")]
    public void A_row_of_marks_is_no_burden(string mark)
    {
        string row = string.Join(' ', Enumerable.Repeat(mark, 60));
        var read = Read($"{row}\nPush-up 3x8 and {row}\n3 rounds: {row}");
        (LinesOf(read).Length > 0 || !read.Problems.IsEmpty).ShouldBeTrue();
    }

    /// <summary>Lines of the list cut, doubled and stirred: read or named, never thrown at.</summary>
    [Fact]
    public void Anything_typed_is_read_or_named()
    {
        string[] lines = [.. File.ReadLines(Path.Combine(Here(), "lines.tsv")).Where(l => l.Length > 0 && l[0] != '#').Select(l => l.Split('\t')[0])];
        Gen.Select(Gen.Int[0, lines.Length - 1], Gen.Int[0, lines.Length - 1], Gen.Int[0, 60], Gen.Int[0, 60], Gen.Char["x+-/@%.,:;'\"()[]#0159 kgs\t\u200F½🏋"]).Sample((a, b, from, to, put) =>
        {
            string text = lines[a][..Math.Min(from, lines[a].Length)] + put + lines[b][Math.Min(to, lines[b].Length)..];
            var read = Read(text);
            (LinesOf(read).Length > 0 || !read.Problems.IsEmpty || string.IsNullOrWhiteSpace(text)).ShouldBeTrue(text);
            foreach (var problem in read.Problems)
            {
                problem.Column.ShouldBeGreaterThan(0);
            }
        });
    }

    /// <summary>What is written back reads back the same.</summary>
    [Fact]
    public void The_plain_form_of_a_line_reads_as_the_line()
    {
        foreach (string text in File.ReadLines(Path.Combine(Here(), "lines.tsv")).Where(l => l.Length > 0 && l[0] != '#').Select(l => l.Split('\t')[0]))
        {
            foreach (var line in LinesOf(Read(text)).Where(l => l.Exercise is not null))
            {
                string plain = PlainLine.Of(line, Catalogue.Shipped);
                var again = LinesOf(Read(plain)).ShouldHaveSingleItem(plain);
                PlainLine.Of(again, Catalogue.Shipped).ShouldBe(plain, text);
                (again.Exercise, again.PerSide, again.Alternating, again.Tempo, again.OptionalSets).ShouldBe((line.Exercise, line.PerSide, line.Alternating, line.Tempo, line.OptionalSets), plain);
                again.Sets.ShouldBe(line.Sets, plain);
                again.Techniques.ShouldBe(line.Techniques, plain);
            }
        }
    }

    private static ReadProgramme Read(string text) => ProgrammeReader.Read($"# Day\n{text}\n", Catalogue.Shipped, MassUnit.Kilogram);

    private static WrittenLine[] LinesOf(ReadProgramme read) => [.. read.Programme.Sessions.SelectMany(s => s.Lines)];

    private static bool IsTold(string text) =>
        Read(text) is var read && (!read.Problems.IsEmpty || LinesOf(read) is var lines && (lines.Length == 0 || lines.Any(l => l.Exercise is null)));

    private static List<string> Differences(string text, string ids, string reading)
    {
        string[] wanted = reading.Split(" && "), names = ids.Split(" && ");
        var lines = LinesOf(Read(text));
        return lines.Length != wanted.Length ? [$"{lines.Length} of {wanted.Length} exercises"] : [.. lines.SelectMany((l, i) => Differences(l, names[i], wanted[i]))];
    }

    private static IEnumerable<string> Differences(WrittenLine line, string ids, string reading)
    {
        if (!ids.Split('|').Contains(line.Exercise))
        {
            yield return $"exercise {line.Exercise}";
        }

        string[] parts = reading.Split("; ");
        if (!parts[0].Split('|').Any(p => SetsOf(p) == (string.Join(' ', line.Sets.Select(Shown)), line.OptionalSets)))
        {
            yield return $"sets {string.Join(' ', line.Sets.Select(Shown))}";
        }

        var said = new HashSet<string>(StringComparer.Ordinal);
        foreach (string part in parts[1..])
        {
            bool may = part.EndsWith(" ?", StringComparison.Ordinal);
            string[] words = (may ? part[..^2] : part).Split(' ', 2);
            string name = words[0], value = words.Length > 1 ? words[1] : "";
            said.Add(name);
            bool there = name switch
            {
                "per" => line.PerSide,
                "alternating" => line.Alternating,
                "load" => value.StartsWith("0 ", StringComparison.Ordinal) ? line.Intensity.Load is not { Kilograms: > 0 }
                    : AllNear([.. line.Sets.Select(s => (s.Load ?? line.Intensity.Load)?.Kilograms)], value.Replace(" kg", "", StringComparison.Ordinal), 0.3),
                "percent" => AllNear([.. line.Sets.Select(s => (s.Percent ?? line.Intensity.Percent)?.Fraction * 100)], value, 0.6),
                "RIR" => AllNear([.. line.Sets.Select(s => s.Reserve ?? line.Intensity.Reserve)], value, 0.05),
                "rest" => Near(line.Rest?.Seconds, value.Replace(" s", "", StringComparison.Ordinal), 0.5),
                "tempo" => line.Tempo is { } tempo && IsTempo(value, tempo.ToString()),
                "purpose" => string.Equals(line.Purpose?.ToString(), value, StringComparison.OrdinalIgnoreCase),
                "group" => line.Group is not null && (value is "any" or "same" || string.Equals($"{line.Group}{(line.PlaceInGroup > 0 ? line.PlaceInGroup : "")}", value, StringComparison.OrdinalIgnoreCase) || line.Group == value),
                "technique" => IsTechnique(value, line),
                _ => throw new InvalidDataException(part),
            };
            if (!there && !may)
            {
                yield return part;
            }
        }

        foreach (var (name, there) in new[]
        {
            ("per", line.PerSide), ("load", line.Intensity.Load is { Kilograms: > 0 }), ("percent", line.Intensity.Percent is not null), ("rest", line.Rest is not null), ("group", line.Group is not null),
            ("RIR", line.Intensity.Reserve is not null && line.Sets.All(s => s.Kind != CountKind.UntilEffort)), ("tempo", line.Tempo is not null && !said.Contains("technique")),
        })
        {
            if (there && !said.Contains(name))
            {
                yield return $"{name} read into it";
            }
        }
    }

    private static (string Sets, int Optional) SetsOf(string written)
    {
        var many = Many().Match(written);
        if (!many.Success)
        {
            return (string.Join(' ', written.Split('/').Select(s => s == "1+" ? "max" : s)), 0);
        }

        int most = int.Parse(many.Groups["most"].Success ? many.Groups["most"].Value : many.Groups["sets"].Value, CultureInfo.InvariantCulture);
        return (string.Join(' ', Enumerable.Repeat(many.Groups["each"].Value.Replace("1+", "max", StringComparison.Ordinal), most)), most - int.Parse(many.Groups["sets"].Value, CultureInfo.InvariantCulture));
    }

    /// <summary>A set as the readings write it.</summary>
    private static string Shown(SetTarget set) => set.Kind switch
    {
        CountKind.AsManyAsPossible => set.High > 0 ? $"max {set.Low}-{set.High}" : set.Low <= 1 ? "max" : $"{set.Low}+",
        CountKind.UpTo => $"up to {set.High}",
        CountKind.UntilGrip => "until grip",
        CountKind.UntilEffort => "until effort",
        var kind => (set.Low == set.High ? $"{set.Low}" : $"{set.Low}-{set.High}") + kind switch
        {
            CountKind.Seconds => " s",
            CountKind.Metres => " m",
            CountKind.Repetitions => "",
            CountKind.Total => " in total",
            _ => $" {kind.ToString().ToLowerInvariant()}",
        },
    };

    /// <summary>One figure for all sets, or one a set.</summary>
    private static bool AllNear(double?[] read, string written, double slack) =>
        written.Split('/') is { Length: > 1 } each ? each.Length == read.Length && read.Zip(each).All(p => Near(p.First, p.Second, slack)) : read.All(r => Near(r, written, slack));

    private static bool Near(double? read, string written, double slack)
    {
        string[] ends = written.Split('-');
        return double.TryParse(ends[0], NumberStyles.Float, CultureInfo.InvariantCulture, out double low)
            && read >= low - slack && read <= double.Parse(ends[^1], CultureInfo.InvariantCulture) + slack;
    }

    private static bool IsTempo(string written, string read) => written.Split('-').Zip(read.Split('-')).All(p =>
        p.First == "?" || (p.First.EndsWith('+') ? p.Second != "X" && int.Parse(p.Second, CultureInfo.InvariantCulture) >= int.Parse(p.First[..^1], CultureInfo.InvariantCulture) : p.First == p.Second));

    private static bool IsTechnique(string written, WrittenLine line)
    {
        var figure = Figure().Match(written);
        string name = (figure.Success ? written[..figure.Index] : written).Trim();
        var kind = name switch
        {
            "pulses" => TechniqueKind.Pulses,
            "one-and-a-half" => TechniqueKind.OneAndAHalf,
            "one-and-a-quarter" => TechniqueKind.OneAndAQuarter,
            "rest-pause" => TechniqueKind.RestPause,
            "drop set" => TechniqueKind.DropSet,
            "band" => TechniqueKind.BandAdded,
            "hold first" => TechniqueKind.HoldFirst,
            "hold last" => TechniqueKind.HoldLast,
            "cluster" => TechniqueKind.Cluster,
            "lowering only" => TechniqueKind.LoweringOnly,
            "partials" => TechniqueKind.Partials,
            "back-off" => TechniqueKind.BackOff,
            "EMOM" => TechniqueKind.EveryMinute,
            _ => throw new InvalidDataException(name),
        };
        return line.Techniques.FirstOrDefault(t => t.Kind == kind) is { } read && (!figure.Success || read.Figure == int.Parse(figure.Value, CultureInfo.InvariantCulture));
    }

    private static string Here([System.Runtime.CompilerServices.CallerFilePath] string path = "") => Path.GetDirectoryName(path)!;

    [GeneratedRegex(@"^(?<sets>\d+)(?:-(?<most>\d+))? x (?<each>.+)$")]
    private static partial Regex Many();

    [GeneratedRegex(@"\d+$")]
    private static partial Regex Figure();
}
