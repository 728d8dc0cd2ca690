using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Homes;

/// <summary>Slips of the unit are asked about, with what it would be (1 lb = 0.45359237 kg, by definition).</summary>
public class InputDoubtsTests
{
    private static InputDoubt? Doubt(KitItem item) => InputDoubts.Of(new Home { Kit = [item] }).SingleOrDefault();

    [Theory]
    [InlineData(45, 20.41)]
    [InlineData(35, 15.88)]
    public void Plates_as_heavy_as_no_plate_are_read_as_pounds(double typed, double instead)
    {
        var doubt = Doubt(People.Handles(2, 2, (typed, 4)))!;
        doubt.Path.ShouldBe("kit[0].plates[0].mass");
        doubt.Instead.Kilograms.ShouldBe(instead, 0.01);
    }

    [Theory]
    [InlineData(25)]
    [InlineData(1.25)]
    public void Ordinary_plates_raise_no_doubt(double typed) => Doubt(People.Handles(2, 2, (typed, 4))).ShouldBeNull();

    /// <summary>Nothing on a kitchen shelf is denser than wet sand: 3.3 "kg" in a bottle of 1.5 l were pounds.</summary>
    [Fact]
    public void A_bottle_denser_than_sand_is_read_as_pounds()
    {
        var bag = People.Rucksack(1, null) with { Contents = [new("bottle", Mass.FromKilograms(3.3), 2, Volume.FromLitres(1.5))] };
        Doubt(bag)!.Instead.Kilograms.ShouldBe(1.497, 0.001);
    }

    [Fact]
    public void A_dumbbell_of_10_g_was_10_kg()
    {
        var doubt = Doubt(new FixedWeights { Id = "w", Name = "Weights", Weights = [new(Mass.FromGrams(10), 2)] })!;
        doubt.Instead.Kilograms.ShouldBe(10, 1e-9);
        doubt.Message.ShouldContain("10 kg");
    }

    [Fact]
    public void A_piece_of_10_t_cannot_be_right() =>
        HomeProblems.Of(new Home { Kit = [new FixedWeights { Id = "w", Name = "Weights", Weights = [new(Mass.FromKilograms(10_000), 1)] }] })
            .Single().Path.ShouldBe("kit[0].weights[0].mass");
}
