using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

/// <summary>How steeply one client's repetitions fall off with the load on one exercise, whatever the log says it is.</summary>
public class SteepnessTests
{
    private static readonly Gen<double> Any = Gen.Double[-0.6, 0.6];

    private static ExerciseEffort With(string exercise, double steepness, double pivot)
    {
        var about = People.Exercise(exercise);
        var anchor = StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(about)!;
        return new(about, People.Man, anchor with { Steepness = steepness, Pivot = Mass.FromKilograms(pivot) }, new Geometry());
    }

    [Theory]
    [InlineData("one-arm-dumbbell-row")]
    [InlineData("goblet-squat")]
    [InlineData("dumbbell-curl")]
    public void More_load_is_never_easier(string exercise) =>
        Gen.Select(Any, Gen.Double[10, 80], Gen.Double[1, 60], Gen.Double[0.01, 20]).Sample((steepness, pivot, load, more) =>
        {
            var effort = With(exercise, steepness, pivot);
            effort.DemandOf(Mass.FromKilograms(load + more)).ShouldBeGreaterThan(effort.DemandOf(Mass.FromKilograms(load)));
        });

    [Theory]
    [InlineData("one-arm-dumbbell-row")]
    [InlineData("goblet-squat")]
    public void The_load_for_a_demand_meets_it(string exercise) =>
        Gen.Select(Any, Gen.Double[10, 80], Gen.Double[1, 60]).Sample((steepness, pivot, load) =>
        {
            var effort = With(exercise, steepness, pivot);
            effort.LoadFor(effort.DemandOf(Mass.FromKilograms(load))).Kilograms.ShouldBe(load, 0.01);
        });

    [Fact]
    public void At_the_load_it_was_first_logged_with_steepness_changes_nothing()
    {
        var plain = With("one-arm-dumbbell-row", 0, 20);
        With("one-arm-dumbbell-row", 0.5, 20).DemandOf(Mass.FromKilograms(20)).Value.ShouldBe(plain.DemandOf(Mass.FromKilograms(20)).Value, 1e-9);
        With("one-arm-dumbbell-row", 0.5, 20).DemandOf(Mass.FromKilograms(30)).ShouldBeLessThan(plain.DemandOf(Mass.FromKilograms(30)));
        With("one-arm-dumbbell-row", 0.5, 20).DemandOf(Mass.FromKilograms(10)).ShouldBeGreaterThan(plain.DemandOf(Mass.FromKilograms(10)));
    }
}
