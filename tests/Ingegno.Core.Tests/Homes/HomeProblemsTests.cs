using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Homes;

public class HomeProblemsTests
{
    [Fact]
    public void A_home_with_nothing_in_it_is_fine_and_makes_no_load()
    {
        HomeProblems.Of(new Home()).ShouldBeEmpty();
        HomeLadders.Of(new Home()).ShouldBeEmpty();
    }

    public static TheoryData<string, Home> Wrong() => new()
    {
        { "room.headroom", new Home { Room = new Room { Headroom = Length.FromMetres(183) } } },
        { "fixtures[0].height", new Home { Fixtures = [People.Fixture(FixtureKind.Chair, 0)] } },
        { "fixtures[0].height", new Home { Fixtures = [People.Fixture(FixtureKind.Chair, double.NaN)] } },
        { "fixtures[0].bears", new Home { Fixtures = [People.Fixture(FixtureKind.Chair, 0.45, bears: -5)] } },
        { "fixtures", new Home { Fixtures = [People.Fixture(FixtureKind.Chair, 0.45), People.Fixture(FixtureKind.Chair, 0.45)] } },
        { "kit[0].handles", new Home { Kit = [People.Handles(3, 2)] } },
        { "kit[0].plates[0].mass", new Home { Kit = [People.Handles(1, 2, (10_000, 2))] } },
        { "kit[0].plates[0].mass", new Home { Kit = [People.Handles(1, 2, (0, 2))] } },
        { "kit[0].plates[0].count", new Home { Kit = [People.Handles(1, 2, (5, -2))] } },
        { "kit[0].mostInAll", new Home { Kit = [People.Rucksack(5, 3)] } },
        { "kit[0].contents[0].mass", new Home { Kit = [People.Rucksack(1, null, ("bottle", -1, 2))] } },
        { "kit[0].contents[0].name", new Home { Kit = [People.Rucksack(1, null, (" ", 1, 2))] } },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void Figures_that_cannot_be_right_are_named_with_their_place(string path, Home home)
    {
        var problem = HomeProblems.Of(home).ShouldHaveSingleItem();
        problem.Path.ShouldBe(path);
        problem.Message.Length.ShouldBeGreaterThan(20);
    }

    [Fact]
    public void Ten_grams_and_half_a_tonne_are_still_a_load() =>
        HomeProblems.Of(new Home { Kit = [People.Handles(1, 0.01, (0.01, 2), (500, 2))] }).ShouldBeEmpty();
}
