using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Loads;

public class FillingTests
{
    /// <summary>Handbook densities at room temperature, bulk where poured (from memory), kilograms a litre.</summary>
    [Theory]
    [InlineData(FillMaterial.Water, 0.998)]
    [InlineData(FillMaterial.Milk, 1.03)]
    [InlineData(FillMaterial.Sand, 1.6)]
    [InlineData(FillMaterial.Salt, 1.2)]
    [InlineData(FillMaterial.Sugar, 0.85)]
    [InlineData(FillMaterial.Rice, 0.80)]
    [InlineData(FillMaterial.Flour, 0.57)]
    public void A_litre_weighs_what_the_handbook_says(FillMaterial material, double kilograms) =>
        Filling.MassOf(Volume.FromLitres(1), Share.Of(1), material, Mass.Zero).Kilograms.ShouldBe(kilograms, 1e-9);

    /// <summary>1 US gallon of water weighs 3.78 kg, 8.3 lb (common reference value).</summary>
    [Fact]
    public void A_gallon_of_water_weighs_3_78_kg()
    {
        var gallon = Filling.MassOf(Volume.FromGallons(1), Share.Of(1), FillMaterial.Water, Mass.Zero);
        gallon.Kilograms.ShouldBe(3.78, 0.005);
        gallon.Pounds.ShouldBe(8.3, 0.05);
    }

    private static readonly Gen<Vessels> Jugs = Gen.Select(
        Gen.Double[0.3, 25], Gen.Double[0, 2], Gen.Enum<FillMaterial>(), (litres, own, material) => new Vessels
        {
            Id = "jug",
            Name = "Jug",
            Volume = Volume.FromLitres(litres),
            OwnMass = Mass.FromKilograms(own),
            Material = material,
        });

    [Fact]
    public void Filled_to_the_mark_it_weighs_what_was_wanted() =>
        Gen.Select(Jugs, Gen.Double[0, 1]).Sample((jug, share) =>
        {
            var wanted = Filling.MassOf(jug.Volume, Share.Of(share), jug.Material, jug.OwnMass);
            var mark = Filling.MarkFor(jug, wanted);
            Filling.AtMark(jug, mark, 1).Load.Kilograms.ShouldBe(wanted.Kilograms, 0.001);
            mark.Litres.ShouldBeInRange(0, jug.Volume.Litres + 1e-9);
        });

    [Fact]
    public void Marks_rise_from_empty_to_full_and_a_pair_weighs_twice_as_much() =>
        Jugs.Sample(jug =>
        {
            var one = Filling.Ladder(jug, 1).Rungs;
            one[0].Load.Grams.ShouldBe(jug.OwnMass.Grams);
            one[^1].Load.Kilograms.ShouldBe(Filling.MassOf(jug.Volume, Share.Of(1), jug.Material, jug.OwnMass).Kilograms, 0.001);
            var two = Filling.Ladder(jug, 2).Rungs;
            two.Select(r => r.Load.Grams).ShouldBe(one.Select(r => r.Load.Grams * 2));
        });

    [Fact]
    public void Outside_empty_and_full_the_nearest_mark_is_given()
    {
        var jug = new Vessels { Id = "j", Name = "Jug", Volume = Volume.FromLitres(5), OwnMass = Mass.FromKilograms(0.2) };
        Filling.MarkFor(jug, Mass.FromKilograms(0.1)).ShouldBe(Volume.Zero);
        Filling.MarkFor(jug, Mass.FromKilograms(50)).Litres.ShouldBe(5);
        Filling.AtMark(jug, Volume.FromLitres(3), 1).Recipe.Text.ShouldBe("filled to 3 l of water");
    }
}
