using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Loads;

public class WeighingTests
{
    private static Mass Kilograms(double kilograms) => Mass.FromKilograms(kilograms);

    /// <summary>Two independent readings of one step each: the error adds as root two (general error propagation).</summary>
    [Fact]
    public void The_difference_is_off_by_the_step_times_root_two()
    {
        var weighed = Weighing.ByDifference(Kilograms(73.4), Kilograms(66.1), Weighing.UsualStep).Weighed!;
        weighed.Mass.Kilograms.ShouldBe(7.3, 1e-9);
        weighed.Error.Kilograms.ShouldBe(0.1414, 0.0001);
        weighed.Advice.ShouldBeNull();
    }

    [Theory]
    [InlineData(2.9, 0.1, true)]
    [InlineData(3.0, 0.1, false)]
    [InlineData(2.9, 0.005, false)]
    public void Under_3_kg_a_finer_scale_is_suggested(double kilograms, double step, bool advised) =>
        (Weighing.ByDifference(Kilograms(70 + kilograms), Kilograms(70), Kilograms(step)).Weighed!.Advice is not null).ShouldBe(advised);

    [Theory]
    [InlineData(66, 66.1, 0.1, "with")]
    [InlineData(66, 66, 0.1, "with")]
    [InlineData(0, 0, 0.1, "with")]
    [InlineData(70, 66, 0, "step")]
    [InlineData(10_000, 66, 0.1, "with")]
    public void Readings_that_cannot_be_right_are_refused(double with, double without, double step, string path)
    {
        var (weighed, problems) = Weighing.ByDifference(Kilograms(with), Kilograms(without), Kilograms(step));
        weighed.ShouldBeNull();
        problems.Single().Path.ShouldBe(path);
    }

    /// <summary>Like pieces were weighed once, so three of them are off three times as much; unlike ones add by squares.</summary>
    [Fact]
    public void The_error_of_a_recipe_follows_its_pieces()
    {
        var bag = People.Rucksack(0, null) with
        {
            Contents = [new("bottle", Kilograms(1.5), 3, Error: Kilograms(0.1)), new("brick", Kilograms(2.2), 1, Error: Kilograms(0.4))],
        };
        var ladder = Packing.Ladder(bag);
        ladder.At(Kilograms(4.5))!.Error!.Value.Kilograms.ShouldBe(0.3, 1e-9);
        ladder.At(Kilograms(6.7))!.Error!.Value.Kilograms.ShouldBe(0.5, 1e-9);
        ladder.At(Kilograms(0))!.Error.ShouldBeNull();
    }
}
