using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sheets;

namespace Ingegno.Core.Tests.Sheets;

/// <summary>What a client reads on paper: with what and where, without what is the coach's business.</summary>
public class SheetWritingTests
{
    private static SheetLine Written(string load, params ImmutableArray<string> placement)
    {
        var asked = new Prescription
        {
            Exercise = "push-up",
            Name = "Push-up",
            Count = CountKind.Repetitions,
            Counts = [8, 8],
            TopOfRange = 8,
            PerSide = false,
            Load = Mass.FromKilograms(8),
            LoadInWords = load,
            Rest = Duration.FromSeconds(90),
            Geometry = new Geometry(),
            Placement = placement,
            SetUp = ["One line from head to heel"],
        };
        var session = new PlannedSession("Monday", Duration.FromSeconds(900), [new PlannedLine(1, "", null, "Bench press 2 x 8", "", asked)]);
        return SheetWriting.Of(People.Man, "Ilse", Plan.Empty, [session], new Home { Name = "Loft" }, Catalogue.Shipped, new Dictionary<int, string>(), People.Today).Sessions[0].Lines[0];
    }

    [Theory]
    [InlineData("weight and band as 28.1 kg, roughly, give or take 0.4 kg. Rucksack: 2 big bottles, and Wide loop, choked up 20 cm", "Rucksack: 2 big bottles, and Wide loop, choked up 20 cm")]
    [InlineData("weight and band as 28.1 kg. Rucksack: 2 big bottles, and Wide loop, choked up 20 cm", "Rucksack: 2 big bottles, and Wide loop, choked up 20 cm")]
    [InlineData("as heavy as 12 kg, roughly. Green band: hands 140 cm from the anchor", "hands 140 cm from the anchor")]
    [InlineData("7.4 kg on the back, give or take 0.2 kg. Rucksack: 3 big bottles", "7.4 kg on the back. Rucksack: 3 big bottles")]
    public void With_what_and_not_what_it_is_worth(string load, string read) => Written(load).With.ShouldBe(read);

    [Theory]
    [InlineData("Feet: Kitchen chairs, 46 cm (5 cm lower than best for you)", "Feet: Kitchen chairs, 46 cm")]
    [InlineData("Hands: Bench, 46 cm (heels 140 cm beyond; 5 cm lower than best for you)", "Hands: Bench, 46 cm (heels 140 cm beyond)")]
    [InlineData("Hands: Bench, 46 cm (5 cm higher than best for you; heels 140 cm beyond)", "Hands: Bench, 46 cm (heels 140 cm beyond)")]
    [InlineData("Hands: Bench, 46 cm (5 cm higher than best for you: bend the knees)", "Hands: Bench, 46 cm (bend the knees)")]
    [InlineData("Hands: Bench, 46 cm", "Hands: Bench, 46 cm")]
    public void Where_and_not_how_it_compares(string placed, string read) =>
        Written("own weight", placed).SetUp.ShouldBe([read, "One line from head to heel"]);
}
