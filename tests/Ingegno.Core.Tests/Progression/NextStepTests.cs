using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

public class NextStepTests
{
    private static readonly Exercise Press = People.Exercise("dumbbell-floor-press");

    private static Prescription Prescribed(double load, int top = 10, params int[] counts) => new()
    {
        Exercise = Press.Id,
        Name = Press.Name,
        Count = CountKind.Repetitions,
        Counts = [.. counts.Length == 0 ? [8, 8, 8] : counts],
        TopOfRange = top,
        PerSide = false,
        Load = Mass.FromKilograms(load),
        Kit = "handles",
        Hold = Hold.Pair,
        LoadInWords = "",
        Tempo = Tempo.Reference,
        Rest = Duration.FromSeconds(120),
        Reserve = 2,
        Geometry = new(),
    };

    private static HeldImplement Handles(params double[] loads) =>
        new("handles", "Handles", Hold.Pair, LoadLadder.From(loads.Select(l => new Rung(Mass.FromKilograms(l), new Recipe([], $"{l} kg")))));

    private static IEnumerable<SetLog> Session(int daysAgo, double load, int[] repetitions, double? lastReserve = 2, int pain = 0) =>
        repetitions.Select((r, i) => new SetLog(
            Guid.NewGuid(), 1, Press.Id, People.Today.AddDays(-daysAgo), i + 1, Mass.FromKilograms(load), r,
            i == repetitions.Length - 1 ? lastReserve : null, pain));

    private static Step? Next(Prescription line, HeldImplement? implement, params IEnumerable<SetLog>[] sessions) =>
        NextStep.For(new LineCase(
            line, Press, implement, People.Man, StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(Press),
            HouseRules.Default, [.. sessions.SelectMany(s => s)]));

    [Fact]
    public void Nothing_logged_is_no_step() => Next(Prescribed(40), Handles(40, 44)).ShouldBeNull();

    /// <summary>One good day is no two sessions running, however small the step (2-for-2, Haff and Triplett; from memory).</summary>
    [Fact]
    public void A_small_step_is_never_earned_in_one_session()
    {
        Next(Prescribed(40), Handles(40, 42), Session(0, 40, [10, 10, 10]))!.Kind.ShouldNotBe(StepKind.Load);
        Next(Prescribed(40), Handles(40, 42), Session(7, 40, [10, 10, 10]), Session(0, 40, [10, 10, 10]))!.Kind.ShouldBe(StepKind.Load);
    }

    [Fact]
    public void A_last_set_left_to_the_day_is_not_missed()
    {
        var line = Prescribed(40) with { OptionalSets = 1 };
        line.CountInWords.ShouldBe("2 to 3 x 8");
        Next(line, Handles(40), Session(0, 40, [8, 8]))!.Kind.ShouldBe(StepKind.Repetitions);
        Next(Prescribed(40), Handles(40), Session(0, 40, [8, 8]))!.Kind.ShouldBe(StepKind.Hold);
    }

    /// <summary>Pain bands of Thomee 1997, Phys Ther 77:1690-1703 (from memory): to 2 carry on, 3-5 hold, over 5 stop.</summary>
    [Theory]
    [InlineData(6, StepKind.Stop)]
    [InlineData(10, StepKind.Stop)]
    [InlineData(5, StepKind.Hold)]
    [InlineData(3, StepKind.Hold)]
    public void Pain_decides_before_anything(int pain, StepKind kind)
    {
        var step = Next(Prescribed(40), Handles(40, 42), Session(7, 40, [10, 10, 10]), Session(0, 40, [10, 10, 10], pain: pain))!;
        step.Kind.ShouldBe(kind);
        (step.Next is null).ShouldBe(kind == StepKind.Stop);
    }

    [Fact]
    public void After_pain_over_5_no_step_ever_raises_anything() =>
        Gen.Select(Gen.Int[6, 10], Gen.Int[1, 30].Array[3], Gen.Double[0, 9], Gen.Double[1, 40]).Sample((pain, reps, reserve, more) =>
            Next(Prescribed(40), Handles(40, 40 + more), Session(0, 40, reps, reserve, pain))!.Next.ShouldBeNull());

    /// <summary>2-for-2 (Haff and Triplett; from memory): two over the target in the last set, two sessions running; 40 to 44 is 10 percent.</summary>
    [Fact]
    public void Two_over_the_target_twice_running_earn_a_rung_within_10_percent()
    {
        var step = Next(Prescribed(40), Handles(36, 40, 44), Session(7, 40, [8, 8, 10]), Session(0, 40, [8, 8, 10]))!;
        step.Kind.ShouldBe(StepKind.Load);
        step.Next!.Load.Kilograms.ShouldBe(44);
        step.Sentence.ShouldContain("44 kg");
    }

    [Fact]
    public void Once_is_not_twice_and_says_what_is_missing()
    {
        var step = Next(Prescribed(40), Handles(40, 44), Session(7, 40, [8, 8, 8]), Session(0, 40, [8, 8, 10]))!;
        step.Next!.Load.Kilograms.ShouldBe(40);
        step.Sentence.ShouldBe("3 x 8/8/10, as was done; 2 over the target again earn 44 kg.");
    }

    [Fact]
    public void What_was_left_beyond_the_plan_counts_as_done()
    {
        var step = Next(Prescribed(40), Handles(40, 44), Session(7, 40, [8, 8, 8], 4), Session(0, 40, [8, 8, 8], 4))!;
        step.Kind.ShouldBe(StepKind.Load);
    }

    /// <summary>40 to 47.2 is 18 percent: over the 2-10 percent of ACSM 2009 (Med Sci Sports Exerc 41:687-708; from memory).</summary>
    [Fact]
    public void A_jump_of_18_percent_is_refused_and_the_repetitions_that_earn_it_are_named()
    {
        var step = Next(Prescribed(40), Handles(40, 47.2), Session(7, 40, [8, 8, 10]), Session(0, 40, [8, 8, 10]))!;
        step.Kind.ShouldBe(StepKind.Repetitions);
        step.Next!.Counts.ShouldBe([9, 9, 10], "never less than was done");
        step.Next.Load.Kilograms.ShouldBe(40);
        step.Sentence.ShouldContain("earn 47.2 kg");
        step.Arithmetic[0].ShouldContain("18 %");
    }

    /// <summary>
    /// Worked by hand on single sets with nothing left over: eight at 47.2 is 80 percent, a maximum of 59; 40 of 59 is
    /// 67.8 percent, where the load chart allows between ten (75) and fifteen (65): ln-linear 13.4, so thirteen.
    /// </summary>
    [Fact]
    public void The_earning_count_is_what_the_next_rung_reads_back_to()
    {
        var line = Prescribed(40, 10, 8) with { Reserve = 0 };
        var anchor = StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(Press)!;
        LoadStep.EarningCount(line, Press, Handles(47.2).Ladder.Rungs[0], People.Man, anchor, HouseRules.Default).ShouldBe(13);
    }

    [Fact]
    public void Reaching_the_earning_count_earns_the_rung()
    {
        var line = Prescribed(40, 20, 13, 13, 13);
        var step = Next(line, Handles(40, 47.2), Session(0, 40, [20, 20, 20]))!;
        step.Kind.ShouldBe(StepKind.Load);
    }

    [Fact]
    public void Missed_repetitions_or_sets_keep_the_line()
    {
        Next(Prescribed(40), Handles(40, 42), Session(0, 40, [8, 7, 6]))!.Sentence.ShouldContain("3 of 24 repetitions short");
        Next(Prescribed(40), Handles(40, 42), Session(0, 40, [8, 8]))!.Sentence.ShouldContain("2 of 3 sets");
    }

    [Fact]
    public void At_the_heaviest_load_repetitions_go_up_one_a_set_to_the_cap()
    {
        Next(Prescribed(40), Handles(36, 40), Session(0, 40, [8, 8, 8]))!.Next!.Counts.ShouldBe([9, 9, 9]);
        var capped = Prescribed(40, 30, 30, 30, 30);
        Next(capped, Handles(40), Session(0, 40, [30, 30, 30]))!.Kind.ShouldBe(StepKind.Set);
    }

    [Fact]
    public void A_load_step_is_never_over_10_percent_unless_earned_and_a_correction_never_over_a_fifth_unless_a_set_bears_it() =>
        Gen.Select(Gen.Double[5, 60], Gen.Double[0.01, 1], Gen.Int[8, 16].Array[3], Gen.Double[0, 6]).Sample((load, jump, reps, reserve) =>
        {
            var line = Prescribed(load);
            var implement = Handles(load, load * (1 + jump));
            var step = Next(line, implement, Session(7, load, reps, reserve), Session(0, load, reps, reserve))!;
            if (step.Kind != StepKind.Load || step.Next!.Load.Kilograms <= load * 1.1001)
            {
                return;
            }

            if (step.Sentence.StartsWith("Far too easy", StringComparison.Ordinal))
            {
                // Past a fifth only where the best set bears the counts there by Epley (from memory).
                if (step.Next.Load.Kilograms > load * 1.2001)
                {
                    (step.Next.Load.Kilograms / load * (1 + (line.Counts.Max() / 30.0))).ShouldBeLessThanOrEqualTo(1 + ((reps.Max() + reserve) / 30));
                }

                return;
            }

            var anchor = StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(Press)!;
            int? earning = LoadStep.EarningCount(line, Press, implement.Ladder.Rungs[1], People.Man, anchor, HouseRules.Default);
            reps.ShouldAllBe(r => r >= earning);
        });

    [Theory]
    [InlineData("x.repetitions", -1, 10, 0)]
    [InlineData("x.repetitions", 400, 10, 0)]
    [InlineData("x.load", 8, -3, 0)]
    [InlineData("x.pain", 8, 10, 11)]
    public void Figures_that_cannot_be_right_are_named(string path, int repetitions, double load, int pain) =>
        SetLogProblems.Of(new SetLog(Guid.NewGuid(), 1, Press.Id, People.Today, 1, Mass.FromKilograms(load), repetitions, null, pain), "x", Catalogue.Shipped)
            .Select(p => p.Path).ShouldBe([path]);
}
