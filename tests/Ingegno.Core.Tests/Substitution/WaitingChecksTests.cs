using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>A newcomer's home: nothing has passed yet, and what would open is told before anything is prescribed on it.</summary>
public class WaitingChecksTests
{
    private static readonly Home Newcomers = new()
    {
        Fixtures =
        [
            People.Fixture(FixtureKind.Table, 0.74), People.Fixture(FixtureKind.Chair, 0.46) with { Id = "chair-1" }, People.Fixture(FixtureKind.Chair, 0.47) with { Id = "chair-2" },
            People.Fixture(FixtureKind.Table, 0.40) with { Id = "glass", Glass = true },
            People.Fixture(FixtureKind.PullUpBar, 2.2, check: new(CheckVerdict.NotPassed, People.Today, "coach", "turns")),
        ],
    };

    private static readonly WrittenSession Programme = new("Monday",
    [
        .. new[] { "back-squat", "barbell-bench-press", "barbell-row", "romanian-deadlift", "overhead-press", "lat-pulldown", "parallel-bar-dip" }
            .Select((id, i) => Member.Written(id, 3, 8) with { Number = i + 1 }),
    ]);

    private static RebuiltSession[] Rebuilt(ClientProfile client, Home home) =>
        [new SessionRebuild(client, home, Catalogue.Shipped, HouseRules.Default, People.Today, new WrittenProgramme([Programme])).Rebuild(Programme, [])];

    private static WaitingCheck[] Waiting(ClientProfile client, Home home) =>
        [.. WaitingChecks.Of(home, People.Today, HouseRules.Default.PassDays, Rebuilt(client, home), richer => Rebuilt(client, richer))];

    /// <summary>A table opens rows under it (common practice); two chairs of nearly one height are checked together, a glass table and a bar that turned never offered.</summary>
    [Fact]
    public void Rows_wait_for_the_table_and_two_chairs_make_a_pair()
    {
        var waiting = Waiting(People.Man, Newcomers);
        waiting.Single(w => w.Fixtures.Contains("Table-0.74")).Lines.ShouldContain(l => l.Written == "barbell-row" && l.Name.Contains("row", StringComparison.OrdinalIgnoreCase));
        waiting.ShouldAllBe(w => w.Fixtures.All(f => f != "glass" && !f.StartsWith("PullUpBar", StringComparison.Ordinal)));
        waiting.SelectMany(w => w.Fixtures).Where(f => f.StartsWith("chair", StringComparison.Ordinal)).Order().ShouldBe(["chair-1", "chair-2"]);
    }

    [Fact]
    public void Nothing_waits_where_all_has_passed_and_a_pass_that_ran_out_waits_again()
    {
        Home Checked(FixtureCheck check) => Newcomers with { Fixtures = [.. Newcomers.Fixtures.Take(3).Select(f => f with { Check = check })] };
        Waiting(People.Man, Checked(People.Passed)).ShouldBeEmpty();
        Waiting(People.Man, Checked(People.Passed with { On = People.Today.AddDays(-200) })).ShouldAllBe(w => w.RanOut);
    }

    /// <summary>What is told comes in once it has passed, and the order is by what it gains.</summary>
    [Fact]
    public void What_is_told_is_what_passing_it_brings()
    {
        foreach (var member in Member.All().Take(3))
        {
            var home = member.Home with { Fixtures = [.. member.Home.Fixtures.Select(f => f with { Check = null })] };
            foreach (var waiting in Waiting(member.Client, home))
            {
                var passed = home with { Fixtures = [.. home.Fixtures.Select(f => waiting.Fixtures.Contains(f.Id) ? f with { Check = People.Passed } : f)] };
                var after = Rebuilt(member.Client, passed)[0];
                foreach (var opened in waiting.Lines)
                {
                    after.Lines[opened.Line - 1].Chosen!.Prescription.Name.ShouldBe(opened.Name);
                }
            }
        }
    }

    /// <summary>However little there is: hardly a line that leaves ten and more, so that the first session already trains.</summary>
    [Fact]
    public void A_first_session_is_no_row_of_sets_that_leave_many()
    {
        foreach (var client in Member.All().Select(m => m.Client).Append(People.Man))
        {
            Rebuilt(client, Newcomers)[0].Lines.Count(l => l.Chosen?.Prescription.Reserve >= 10).ShouldBeLessThanOrEqualTo(1, client.Name);
        }
    }
}
