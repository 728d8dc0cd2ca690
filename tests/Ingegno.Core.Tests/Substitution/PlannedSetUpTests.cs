using System.Text.Json;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>A saved plan is frozen, a home is not.</summary>
public class PlannedSetUpTests
{
    private static readonly Exercise Split = People.Exercise("rear-foot-raised-split-squat");

    private static readonly Fixture Chair = People.Fixture(FixtureKind.Chair, 0.45, check: People.Passed);

    private static readonly Home Home = new() { Fixtures = [Chair], Kit = [People.Rucksack(1, 12, ("bottle", 1.5, 6))] };

    private static readonly Prescription Line = new()
    {
        Exercise = Split.Id,
        Name = Split.Name,
        Count = CountKind.Repetitions,
        Counts = [10, 10, 10],
        TopOfRange = 10,
        PerSide = true,
        Load = Mass.FromKilograms(10),
        Kit = "rucksack",
        Hold = Hold.OnBack,
        LoadInWords = "",
        Tempo = Tempo.Reference,
        Rest = Duration.FromSeconds(90),
        Geometry = new(),
    };

    private static PlannedSetUp Today(Home home, ClientProfile? client = null) =>
        PlannedSetUp.Of(Line, Split, client ?? People.Man, new PreparedHome(home, People.Today), HouseRules.Default);

    [Fact]
    public void Stands_while_nothing_changed()
    {
        Today(Home).Against.ShouldBeEmpty();
        Today(Home).Implement!.KitId.ShouldBe("rucksack");
    }

    public static TheoryData<string> Lines() =>
        ["back-squat", "barbell-bench-press", "lat-pulldown", "seated-cable-row", "overhead-press", "deadlift", "leg-curl", "barbell-curl", "chin-up"];

    /// <summary>Written to a file and read again, what was just proposed to any member of the demo still stands.</summary>
    [Theory]
    [MemberData(nameof(Lines))]
    public void What_was_just_saved_stands(string exercise)
    {
        foreach (var member in Member.All())
        {
            var home = new PreparedHome(member.Home, People.Today);
            foreach (var offered in member.Line(exercise, 3, 8).Alternatives)
            {
                var saved = JsonSerializer.Deserialize<Prescription>(JsonSerializer.Serialize(offered.Prescription, TradeJson.Options), TradeJson.Options)!;
                PlannedSetUp.Of(saved, People.Exercise(saved.Exercise), member.Client, home, HouseRules.Default)
                    .Against.ShouldBeEmpty($"{member.Client.Name}: {saved.Name}, {saved.LoadInWords}");
            }
        }
    }

    public static TheoryData<string, Home> Changes() => new()
    {
        { "ran out", Home with { Fixtures = [Chair with { Check = People.Passed with { On = People.Today.AddDays(-100) } }] } },
        { "did not pass", Home with { Fixtures = [Chair with { Check = new FixtureCheck(CheckVerdict.NotPassed, People.Today, "coach") }] } },
        { "never", Home with { Fixtures = [Chair with { Check = new FixtureCheck(CheckVerdict.Never, People.Today, "coach") }] } },
        { "needs a", Home with { Fixtures = [] } },
        { "cannot be built", Home with { Kit = [People.Rucksack(1, 12, ("bottle", 1.5, 2))] } },
        { "cannot be built", Home with { Fixtures = [Chair with { Bears = Mass.FromKilograms(28) }] } },
    };

    [Theory]
    [MemberData(nameof(Changes))]
    public void Falls_when_the_home_no_longer_gives_it(string says, Home home) =>
        Today(home).Against.ShouldHaveSingleItem().ShouldContain(says);

    /// <summary>Bottles get emptied: by hand a bag of 1 kg with the two that are left makes 4 kg.</summary>
    [Fact]
    public void A_recipe_whose_piece_is_gone_names_the_next_one() =>
        Today(Home with { Kit = [People.Rucksack(1, 12, ("bottle", 1.5, 2))] }).Against.Single()
            .ShouldEndWith("nearest now is 4 kg on the back. Rucksack: 2 bottles");

    [Fact]
    public void Falls_when_the_joint_it_loads_got_sore() =>
        Today(Home, People.Man with { SoreJoints = [new Soreness(Joint.Knee, 6)] }).Against.ShouldHaveSingleItem().ShouldContain("knee");
}
