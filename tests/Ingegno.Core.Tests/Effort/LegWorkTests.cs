using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Effort;

/// <summary>Legs on one and on both, held against published means and what coaches see.</summary>
public class LegWorkTests
{
    /// <summary>
    /// Interpolation check: Shimano et al. 2006, J Strength Cond Res 20:819-823 (from memory), squats to failure at 60, 80 and 90 percent, come back
    /// for every strength, though the curve is read by demands the body counts in.
    /// </summary>
    [Theory]
    [InlineData(true, 0.60, 30)]
    [InlineData(true, 0.80, 12)]
    [InlineData(true, 0.90, 6)]
    [InlineData(false, 0.60, 36)]
    [InlineData(false, 0.80, 12)]
    [InlineData(false, 0.90, 6)]
    public void The_squat_lasts_as_it_was_measured(bool trained, double percent, double repetitions)
    {
        foreach (double over in new[] { 1.0, 1.5, 2.0 })
        {
            var client = People.Man with { Level = trained ? Level.Intermediate : Level.Beginner };
            var squat = Effort("back-squat", client, over);
            var load = client.BodyMass * (over * percent);
            squat.FreshRepetitions(squat.DemandOf(load)).ShouldBe(repetitions, 0.5, $"{over} body masses");
        }
    }

    /// <summary>What a lifter who squats 1.75 body masses does on one leg with the own weight (common practice).</summary>
    [Theory]
    [InlineData("free-one-leg-squat", 12, 20)]
    [InlineData("one-leg-squat-to-chair", 15, 25)]
    [InlineData("rear-foot-raised-split-squat", 25, 40)]
    public void One_leg_lasts_as_coaches_see_it(string exercise, double least, double most)
    {
        var effort = Effort(exercise, People.Man, 1.75);
        effort.FreshRepetitions(effort.DemandOf(Mass.Zero)).ShouldBeInRange(least, most);
    }

    /// <summary>A stronger squat never does fewer on one leg, and the estimate of the squat comes back from the one-leg set.</summary>
    [Fact]
    public void One_leg_follows_two_both_ways() =>
        Gen.Select(Gen.Double[0.8, 2.4], Gen.Double[0.8, 2.4]).Sample((a, b) =>
        {
            double One(double over) => Effort("free-one-leg-squat", People.Man, over) is var e ? e.FreshRepetitions(e.DemandOf(Mass.Zero)) : 0;
            (One(Math.Max(a, b)) >= One(Math.Min(a, b)) - 1e-9).ShouldBeTrue();
            var there = Anchors(People.Man, a).For(People.Exercise("free-one-leg-squat"))!;
            var back = StrengthAnchors.Of(People.Man with { Lifts = [] }, Catalogue.Shipped, [there with { Basis = AnchorBasis.Lifted }]);
            back.For(People.Exercise("back-squat"))!.Maximum.Kilograms.ShouldBe(a * People.Man.BodyMass.Kilograms, 0.01);
        });

    private static StrengthAnchors Anchors(ClientProfile client, double overBodyMass) =>
        StrengthAnchors.Of(client with { Lifts = [new KnownLift("back-squat", client.BodyMass * overBodyMass, 1)] }, Catalogue.Shipped);

    private static ExerciseEffort Effort(string exercise, ClientProfile client, double overBodyMass) =>
        new(People.Exercise(exercise), client, Anchors(client, overBodyMass).For(People.Exercise(exercise))!, new Geometry());
}
