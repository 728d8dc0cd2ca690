using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>A load typed in the wrong unit is asked about and not believed; a load that was another on purpose is.</summary>
public class UnitSlipTests
{
    private static readonly Prescription Curl = new()
    {
        Exercise = "hammer-curl",
        Name = "Hammer curl",
        Count = CountKind.Repetitions,
        Counts = [12, 12, 12],
        TopOfRange = 12,
        PerSide = false,
        Load = Mass.FromKilograms(20),
        Kit = "bells",
        Hold = Hold.BothHands,
        LoadInWords = "20 kg",
        Tempo = Tempo.Reference,
        Rest = Duration.FromSeconds(90),
        Reserve = 2,
        Geometry = new(),
    };

    private static TrainedSet Done(double kilograms, int repetitions, double? left, int daysAgo = 0, int set = 1) => new(
        new SetLog(Guid.NewGuid(), 1, Curl.Exercise, People.Today.AddDays(-daysAgo), set, Mass.FromKilograms(kilograms), repetitions, left), Curl);

    /// <summary>20 kg are 44.1 lb, and 20 lb are 9.1 kg (definition of the pound, 0.45359237 kg).</summary>
    [Theory]
    [InlineData(44, 12, 2, true)]
    [InlineData(44.1, 10, 1, true)]
    [InlineData(9, 12, 2, true)]
    [InlineData(0.02, 12, 2, true)]
    [InlineData(20, 12, 2, false)]
    [InlineData(22, 12, 2, false)]
    [InlineData(40, 12, 2, false)]
    [InlineData(44, 4, 0, false)]
    [InlineData(9, 12, 7, false)]
    [InlineData(9, 30, 2, false)]
    public void Only_a_load_that_is_the_asked_one_in_another_unit_for_about_as_many_is_doubted(double kilograms, int repetitions, double left, bool slip) =>
        Done(kilograms, repetitions, left).IsUnitSlip.ShouldBe(slip);

    [Fact]
    public void Nothing_is_learned_from_it_and_no_best_is_made_of_it()
    {
        TrainedSet[] honest = [.. Enumerable.Range(1, 3).Select(n => Done(20, 12, 2, daysAgo: 7, set: n)), .. Enumerable.Range(1, 3).Select(n => Done(20, 12, 2, daysAgo: 4, set: n))];
        TrainedSet[] slipped = [.. honest, .. Enumerable.Range(1, 3).Select(n => Done(44, 12, 2, set: n))];
        Learned(slipped).ShouldBe(Learned(honest));
        PersonalBests.Of(slipped, Catalogue.Shipped).ShouldBe(PersonalBests.Of(honest, Catalogue.Shipped));

        static double Learned(TrainedSet[] log) =>
            Learning.From(People.Man, Catalogue.Shipped, StrengthAnchors.Of(People.Man, Catalogue.Shipped), log).Learned.Anchors.Single().Maximum.Kilograms;
    }

    [Fact]
    public void The_step_asks_instead_of_taking_it_as_the_new_base()
    {
        var curl = People.Exercise(Curl.Exercise);
        SetLog[] sets = [.. Enumerable.Range(1, 3).Select(n => Done(44, 12, 2, set: n).Set)];
        var bells = new HeldImplement("bells", "Bells", Hold.BothHands, LoadLadder.From(new[] { 20.0, 44 }.Select(l => new Rung(Mass.FromKilograms(l), new Recipe([], $"{l} kg")))));
        var step = NextStep.For(new LineCase(
            Curl, curl, bells, People.Man, StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(curl), HouseRules.Default, [])
        {
            AskedAs = sets.ToDictionary(s => s.Id, _ => Curl),
            Otherwise = [.. sets],
        })!;
        step.Kind.ShouldBe(StepKind.Hold);
        step.Sentence.ShouldContain("Were pounds meant?");
        step.Next.ShouldBe(Curl);
    }
}
