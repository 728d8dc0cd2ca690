using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tests;

/// <summary>Rounds as coaches leave them open: "2-3 x 10".</summary>
public class RoundsTests
{
    private static WrittenLine Line(string text)
    {
        var read = ProgrammeReader.Read(text, Catalogue.Shipped, MassUnit.Kilogram);
        read.Problems.ShouldBeEmpty(text);
        return read.Programme.Sessions.ShouldHaveSingleItem().Lines.ShouldHaveSingleItem();
    }

    [Theory]
    [InlineData("Goblet squat 2-3 x 10", 3, 1)]
    [InlineData("A1 Goblet squat 2-4 rounds of 10, rest 30 s", 4, 2)]
    [InlineData("Goblet squat 3 x 10", 3, 0)]
    [InlineData("Goblet squat 3 x 8-10", 3, 0)]
    public void A_range_of_rounds_leaves_the_last_to_the_day(string text, int sets, int optional)
    {
        var line = Line(text);
        line.ExerciseName.ShouldBe("Goblet squat");
        line.Sets.Length.ShouldBe(sets);
        line.OptionalSets.ShouldBe(optional);
    }
}
