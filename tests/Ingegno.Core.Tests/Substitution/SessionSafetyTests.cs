using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>
/// The independent reading of the rules carried on to whole sessions, weeks of a block and sessions made to fit: nothing that is prescribed
/// anywhere on the way breaks one.
/// </summary>
public class SessionSafetyTests
{
    /// <summary>A whole session takes as long as many lines.</summary>
    private static long Cases => Math.Max(20, Check.Iter / 5);

    private static readonly Gen<WrittenLine[]> Lines = Gen.Select(
        Gen.Int[0, SafetyPropertyTests.Written.Length - 1], Gen.Int[1, 20], Gen.Int[1, 5], Gen.Int[0, 2]).Array[2, 7]
        .Select(made => made.Select((m, i) => new WrittenLine
        {
            Number = i + 1,
            Text = $"line {i + 1}",
            ExerciseName = SafetyPropertyTests.Written[m.Item1].Name,
            Exercise = SafetyPropertyTests.Written[m.Item1].Id,
            Group = m.Item4 == 0 ? null : m.Item4 == 1 ? "A" : "B",
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, m.Item2, m.Item2 + 2), m.Item3)],
        }).ToArray());

    [Fact]
    public void Nothing_unsafe_is_prescribed_in_a_whole_session_its_weeks_or_its_short_form() =>
        Gen.Select(SafetyPropertyTests.Homes, SafetyPropertyTests.Clients, SafetyPropertyTests.Rules, Lines, Gen.Int[10, 45], Gen.Enum<Purpose>()).Sample(
            (home, client, rules, lines, minutes, purpose) =>
            {
                var session = new WrittenSession("generated", [.. lines]);
                var programme = new WrittenProgramme([session]);
                var rebuild = new SessionRebuild(client, home, Catalogue.Shipped, rules, People.Today, programme);
                var whole = rebuild.Rebuild(session, []);
                AllSafe(whole, client, home, rules);

                var shrunk = ShrinkToFit.Into(
                    Duration.FromMinutes(minutes), whole, rules.ShrinkOrder, home, Catalogue.Shipped,
                    changes => rebuild.Rebuild(session, LineChanges.On([], changes, programme)));
                AllSafe(shrunk.Session, client, home, rules);

                var block = new Block { Phases = [new("generated", purpose, 6)] };
                var weeks = BlockCalendar.Of(block, client, 1);
                foreach (var target in BlockTargets.Of([whole], block, weeks, client, new PreparedHome(home, People.Today), Catalogue.Shipped, rebuild.Anchors, rules)
                    .SelectMany(l => l.Weeks))
                {
                    Safe(target.Prescription, client, home, rules);
                }
            }, iter: Cases);

    private static void AllSafe(RebuiltSession session, ClientProfile client, Home home, HouseRules rules)
    {
        Prescription[] done = [.. session.Lines.SelectMany(l => l.Prescriptions())];
        foreach (var given in done)
        {
            Safe(given, client, home, rules);
        }

        foreach (var group in session.Lines.Where(l => l.Group is not null && l.Chosen is not null).GroupBy(l => l.Group))
        {
            foreach (var bag in group.Select(l => l.Chosen!.Prescription).Where(p => p.Kit == "rucksack" || p.Kit == "handles").GroupBy(p => p.Kit))
            {
                bag.Select(p => p.LoadInWords.Split(": ")[^1].Split(", and ")[0]).Distinct().Count().ShouldBe(1, $"{bag.Key} two ways in group {group.Key}");
            }
        }

        session.Lines.Select(l => l.TrainedAt).Order().ShouldBe(Enumerable.Range(1, session.Lines.Length), "every line has one place");
        string[] laid = [.. session.LayOut.Select(t => t.Thing)];
        foreach (string kit in done.Select(p => p.Kit).OfType<string>().Distinct())
        {
            laid.ShouldContain(name => kit == "bands" ? home.Kit.OfType<Band>().Any(b => b.Name == name) : home.Kit.First(k => k.Id == kit).Name == name, $"{kit} is laid out");
        }

        (session.Whole >= session.Length).ShouldBeTrue();
    }

    private static void Safe(Prescription given, ClientProfile client, Home home, HouseRules rules) =>
        SafetyPropertyTests.Breaches(given, client, home).Concat(SafetyPropertyTests.RuleBreaches(People.Exercise(given.Exercise), client, rules))
            .ShouldBeEmpty(given.Exercise);
}
