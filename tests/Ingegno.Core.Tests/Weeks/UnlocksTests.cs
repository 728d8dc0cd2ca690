using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;
using Ingegno.Core.Weeks;

namespace Ingegno.Core.Tests.Weeks;

/// <summary>What may be offered about a home, and how the home would stand with it.</summary>
public class UnlocksTests
{
    private static readonly Home Bare = new()
    {
        Kit =
        [
            new FixedWeights { Id = "sacks", Name = "Feed sacks", Shape = FixedWeightShape.Sack },
            new Container { Id = "bag", Name = "Rucksack", OwnMass = Mass.FromKilograms(1), MostInAll = Mass.FromKilograms(7) },
            new Container { Id = "pouch", Name = "Pouch", MostInAll = Mass.FromKilograms(1) },
            new Straps { Id = "straps", Name = "Straps" },
            new FixedWeights { Id = "bell", Name = "Bell", Weights = [new(Mass.FromKilograms(12), 1)] },
        ],
        Fixtures =
        [
            new Fixture { Id = "top", Name = "Galley top", Kind = FixtureKind.Counter, Height = Length.FromMetres(0.8) },
            new Fixture { Id = "glass", Name = "Glass table", Kind = FixtureKind.Table, Height = Length.FromMetres(0.8), Glass = true },
            new Fixture { Id = "chair", Name = "Chair", Kind = FixtureKind.Chair, Height = Length.FromMetres(0.8), Check = new(CheckVerdict.NotPassed, People.Today, "coach") },
        ],
    };

    private static UnlockOffer[] Free => [.. Unlocks.For(Bare, new Practice()).Where(o => o.Cost == 0)];

    [Fact]
    public void What_costs_nothing_comes_first_and_only_where_a_figure_or_a_check_is_missing()
    {
        Unlocks.For(Bare, new Practice()).Take(Free.Length).ShouldBe(Free);
        Free.Select(o => o.Words).ShouldBe(
        [
            "check the galley top", "weigh the feed sacks (if it has 20 kg)", "weigh what can go into the rucksack (if it is 2 pieces of 2.5 kg)",
            "find out what the straps may carry (if they carry 120 kg)",
        ]);
    }

    /// <summary>With the figure the thing gives loads where it gave none before; nothing else of the home changes.</summary>
    [Fact]
    public void A_thing_weighed_gives_loads_and_leaves_the_rest_alone()
    {
        foreach (var offer in Free.Where(o => o.Id is "measure:sacks" or "measure:bag"))
        {
            string id = offer.Id.Split(':')[1];
            var with = Unlocks.With(Bare, offer, People.Today).ShouldNotBeNull();
            HomeProblems.Of(with).ShouldBeEmpty();
            with.Kit.Where(k => k.Id != id).ShouldBe(Bare.Kit.Where(k => k.Id != id));
            with.Fixtures.ShouldBe(Bare.Fixtures);
            Heaviest(with, id).ShouldBeGreaterThan(Heaviest(Bare, id));
        }

        static double Heaviest(Home home, string id) =>
            HomeLadders.Of(home).Where(h => h.KitId == id).SelectMany(h => h.Ladder.Rungs).Select(r => r.Load.Kilograms).DefaultIfEmpty(0).Max();
    }

    [Fact]
    public void A_check_is_only_supposed_and_an_unknown_offer_changes_nothing()
    {
        Unlocks.With(Bare, Free[0], People.Today)!.Fixtures[0].Check!.By.ShouldBe("if it passes its check");
        Unlocks.With(Bare, new("check:none", "", 0, false, ""), People.Today).ShouldBeNull();
        Unlocks.With(Bare, new("measure:bell", "", 0, false, ""), People.Today).ShouldBeNull();
        Unlocks.With(Bare, new("something else", "", 9, false, ""), People.Today).ShouldBeNull();
    }
}
