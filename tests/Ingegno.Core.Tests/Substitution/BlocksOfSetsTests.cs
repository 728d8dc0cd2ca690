using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>A top set and its back-offs: a load for each block where the home has it, one dose for all sets where it has not.</summary>
public class BlocksOfSetsTests
{
    private static readonly KitItem Bells = new FixedWeights
    {
        Id = "bells",
        Name = "Bells",
        Shape = FixedWeightShape.Dumbbell,
        Weights = [new(Mass.FromKilograms(16), 1), new(Mass.FromKilograms(20), 1)],
    };

    [Fact]
    public void Each_block_goes_across_with_its_own_load()
    {
        var line = Home(Bells).Line(Written());
        Prescription[] given = [.. line.Prescriptions()];
        given.ShouldAllBe(p => p.Exercise == "goblet-squat");
        given.Select(p => (p.Counts.Length, p.Counts[0], p.Load.Kilograms)).ShouldBe([(1, 6, 20), (2, 10, 16)]);
        line.Written.Sets.Length.ShouldBe(3);
    }

    [Fact]
    public void Where_the_loads_do_not_differ_all_sets_are_dosed_as_one()
    {
        var line = Home().Line(Written());
        line.Added.ShouldBeEmpty();
        line.Chosen!.Prescription.Counts.Length.ShouldBe(3);
        line.Written.Sets.ShouldBe(Written().Sets);
    }

    /// <summary>The weekly ledger counts every set on both sides, whether the loads at home tell the blocks apart or not.</summary>
    [Fact]
    public void All_sets_are_in_the_ledger()
    {
        foreach (var member in new[] { Home(Bells), Home() })
        {
            var trained = Ingegno.Core.Review.TrainedSession.Of(member.Session([Written()]), Catalogue.Shipped);
            trained.Gym.Sum(l => l.Counts.Length).ShouldBe(3);
            trained.Gym.Select(l => l.Counts.Sum()).ShouldBe([6, 20]);
            trained.Home.Where(l => l.Exercise.Pattern == Pattern.Squat).Sum(l => l.Counts.Length).ShouldBe(3);
        }
    }

    /// <summary>The sets between them ask nothing but what was written: as many, on the same exercise.</summary>
    [Fact]
    public void No_set_is_lost_and_none_is_won_in_any_home()
    {
        foreach (var member in Member.All())
        {
            var line = member.Line(Written());
            if (line.Chosen is { } chosen && line.Added.All(a => a.Prescription.Exercise == chosen.Prescription.Exercise))
            {
                line.Prescriptions().Sum(p => p.Counts.Length).ShouldBe(3, member.Client.Name);
            }
        }
    }

    /// <summary>A man of eighty kilograms on his own floor.</summary>
    private static Member Home(params KitItem[] kit) => new Member(People.Man, new Home { Name = "Floor" }).WithKit(kit);

    private static WrittenLine Written() => new()
    {
        Number = 1,
        Text = "Goblet squat 1x6 @ 20 kg, then 2x10 @ 16 kg",
        ExerciseName = "Goblet squat",
        Exercise = "goblet-squat",
        Sets = [Of(6, 20), Of(10, 16), Of(10, 16)],
        Intensity = new(Load: Mass.FromKilograms(20)),
    };

    private static SetTarget Of(int count, double load) => new(CountKind.Repetitions, count, count) { Load = Mass.FromKilograms(load) };
}
