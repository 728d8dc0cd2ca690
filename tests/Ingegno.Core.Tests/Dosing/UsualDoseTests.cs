using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Tests.Dosing;

public class UsualDoseTests
{
    [Fact]
    public void Nothing_in_the_catalogue_is_ever_blank()
    {
        foreach (var exercise in Catalogue.Shipped.Exercises)
        {
            foreach (var level in Enum.GetValues<Level>())
            {
                foreach (var purpose in Enum.GetValues<Purpose>())
                {
                    var dose = UsualDose.For(exercise, level, purpose);
                    dose.Sets.ShouldBeInRange(1, 6);
                    dose.Low.ShouldBeInRange(3, 45);
                    dose.High.ShouldBeGreaterThanOrEqualTo(dose.Low);
                    dose.PerSide.ShouldBe(exercise.Sides == Sides.OneAtATime);
                }
            }
        }
    }

    /// <summary>Haff and Triplett's goal table (from memory): strength 6 or fewer in 2 to 6 sets, growth 6 to 12 in 3 to 6.</summary>
    [Theory]
    [InlineData(Purpose.Strength, 1, 6)]
    [InlineData(Purpose.Growth, 6, 12)]
    [InlineData(Purpose.Conditioning, 12, 30)]
    public void A_compound_lift_keeps_to_the_goal_table(Purpose purpose, int from, int to)
    {
        var dose = UsualDose.For(People.Exercise("goblet-squat"), Level.Intermediate, purpose);
        dose.Low.ShouldBeInRange(from, to);
        dose.High.ShouldBeInRange(from, to);
    }

    [Fact]
    public void More_training_age_never_means_fewer_sets() =>
        Catalogue.Shipped.Exercises.ShouldAllBe(e =>
            UsualDose.For(e, Level.Beginner, Purpose.Growth).Sets <= UsualDose.For(e, Level.Intermediate, Purpose.Growth).Sets
            && UsualDose.For(e, Level.Intermediate, Purpose.Growth).Sets <= UsualDose.For(e, Level.Advanced, Purpose.Growth).Sets);
}
