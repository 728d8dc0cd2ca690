using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>What weeks without training take off a line, and how it comes back (common practice).</summary>
public class LayOffTests
{
    private static readonly Exercise Row = People.Exercise("one-arm-dumbbell-row");

    private static readonly HeldImplement Handles =
        new("handles", "Handles", Hold.OneHand, LoadLadder.From(Enumerable.Range(5, 20).Select(i => new Rung(Mass.FromKilograms(2 * i), new Recipe([], $"{2 * i} kg")))));

    private static Prescription Line(int sets) => new()
    {
        Exercise = Row.Id,
        Name = Row.Name,
        Count = CountKind.Repetitions,
        Counts = [.. Enumerable.Repeat(10, sets)],
        TopOfRange = 10,
        PerSide = true,
        Load = Mass.FromKilograms(20),
        Kit = "handles",
        Hold = Hold.OneHand,
        LoadInWords = "20 kg",
        Tempo = Tempo.Reference,
        Rest = Duration.FromSeconds(120),
        Reserve = 2,
        Geometry = new(),
    };

    /// <param name="done">Sessions by days before today; what each was asked as is the line.</param>
    private static Step After(Prescription line, params int[] done)
    {
        SetLog[] logs =
        [
            .. from ago in done
               from set in Enumerable.Range(1, line.Counts.Length)
               select new SetLog(Guid.NewGuid(), 1, Row.Id, People.Today.AddDays(-ago), set, line.Load, 10, 2),
        ];
        return NextStep.For(new LineCase(
            line, Row, Handles, People.Man, StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(Row), HouseRules.Default, logs)
        {
            Start = line,
            Today = People.Today,
            AskedAs = logs.ToImmutableDictionary(l => l.Id, _ => line),
        })!;
    }

    [Theory]
    [InlineData(4, 28, 3)]
    [InlineData(4, 49, 2)]
    [InlineData(5, 49, 3)]
    [InlineData(3, 28, 2)]
    [InlineData(1, 49, 1)]
    public void Three_weeks_take_a_set_and_six_take_half_of_them(int sets, int days, int left)
    {
        var step = After(Line(sets), days);
        step.Kind.ShouldBe(StepKind.Back);
        step.Next!.Counts.Length.ShouldBe(left);
        step.Next.FullSets.ShouldBe(left < sets ? sets : 0);
        step.Next.Load.ShouldBeLessThan(Mass.FromKilograms(20));
        step.Sentence.ShouldContain(step.Next.CountInWords);
    }

    [Fact]
    public void The_sets_come_back_one_a_week_before_anything_else_is_raised()
    {
        var line = After(Line(4), 49).Next!;
        var day = 0;
        foreach (int sets in (int[])[3, 4])
        {
            After(line, day).Kind.ShouldBe(StepKind.Hold, "the week is not over");
            var step = After(line, day + 3, day + 7);
            step.Kind.ShouldBe(StepKind.Set);
            (step.Next!.Counts.Length, step.Next.Load).ShouldBe((sets, line.Load));
            line = step.Next;
        }

        line.FullSets.ShouldBe(0);
        After(line, 3, 7).Kind.ShouldNotBe(StepKind.Set);
    }

    [Fact]
    public void A_second_break_takes_no_more_than_half_of_what_was_full()
    {
        var line = After(Line(4), 49).Next!;
        After(line, 49).Next!.ShouldSatisfyAllConditions(next => next.Counts.Length.ShouldBe(2), next => next.FullSets.ShouldBe(4));
    }

    /// <summary>Longer away never asks for more sets or more load.</summary>
    [Fact]
    public void Longer_away_asks_for_no_more() => Gen.Select(Gen.Int[1, 6], Gen.Int[0, 120], Gen.Int[0, 120]).Sample((sets, one, other) =>
    {
        var line = Line(sets);
        var (sooner, later) = (After(line, Math.Min(one, other)), After(line, Math.Max(one, other)));
        later.Next!.Counts.Length.ShouldBeLessThanOrEqualTo(sooner.Next!.Counts.Length);
        later.Next.Load.ShouldBeLessThanOrEqualTo(sooner.Next.Load);
    });
}
