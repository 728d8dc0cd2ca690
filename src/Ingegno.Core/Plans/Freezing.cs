using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Safety;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>
/// Freezes a plan into what the phone needs, every branch worked out: order of the sets, what to do instead, what pain leaves out. The phone
/// counts and picks, nothing more.
/// </summary>
public static class Freezing
{
    /// <param name="places">The client's places, for names and fixtures; the one in use first.</param>
    public static LinkProgramme Of(ClientProfile client, Plan plan, IReadOnlyList<ClientPlace> places, DateOnly today, HouseRules rules)
    {
        PlannedPlace[] planned = [new(plan.Place ?? places[0].Id, plan.PlaceName, plan.Sessions), .. plan.Elsewhere];
        return new(
            client.Name.Split(' ')[0],
            client.Unit,
            [.. from made in planned
                let place = places.FirstOrDefault(p => p.Id == made.Place)
                where place is not null
                select new LinkPlace(
                    made.Place, place.Home.Name, [.. made.Sessions.Where(s => !s.Lines.IsEmpty).Select(s => Session(s, place.Home, rules))], [.. ToCheck(place.Home, today, rules.PassDays)])],
            plan.Block is { Starts: not null } block ? [.. Weeks(BlockCalendar.Of(block, client, plan.Sessions.Length))] : [],
            [.. plan.Sessions.SelectMany(s => s.Lines).SelectMany(l => l.Prescription?.Cautions ?? []).Distinct()]);
    }

    /// <summary>After the last week all is done in full again.</summary>
    private static IEnumerable<LinkWeek> Weeks(ImmutableArray<BlockWeek> weeks) =>
        weeks.Select(w => new LinkWeek(w.Starts!.Value, w.Kind)).Append(new(weeks[^1].Starts!.Value.AddDays(7), WeekKind.Full));

    private static LinkSession Session(PlannedSession session, Home home, HouseRules rules)
    {
        PlannedLine[] lines = [.. session.Lines.Where(l => l.Prescription is not null)];
        return new(
            session.Title, session.Length, session.LayOut, session.WarmUp, session.CoolDown,
            [.. lines.Select(l => Line(l.Line, l.Tag, l.Prescription!, l.Instead, l.Behind, home, rules))],
            [.. lines.GroupBy(l => l.Group ?? $"+{l.Line}").SelectMany(Rounds)]);
    }

    /// <summary>Lines of a group take turns, a set each a round; a line alone does its sets one after the other.</summary>
    private static IEnumerable<LinkStep> Rounds(IEnumerable<PlannedLine> group)
    {
        PlannedLine[] lines = [.. group];
        for (int set = 0; set < lines.Max(l => l.Prescription!.Counts.Length); set++)
        {
            foreach (var line in lines.Where(l => set < l.Prescription!.Counts.Length))
            {
                var prescription = line.Prescription!;
                yield return new(
                    line.Line, set + 1, prescription.Counts[set], prescription.Rest, SessionLength.OfSet(prescription, set) + prescription.Rest);
            }
        }
    }

    private static LinkLine Line(
        int number, string tag, Prescription asked, ImmutableArray<Prescription> instead, ImmutableArray<GivenDrill> behind, Home home,
        HouseRules rules)
    {
        var line = SendingCheck.Spelled(asked);
        var exercise = rules.Catalogue.Find(line.Exercise);
        return new(
            number, tag, line,
            exercise is null ? [] : Pace.Of(line, exercise),
            exercise is null ? [] : [.. exercise.Joints.Select(j => j.Joint)],
            BlockCalendar.Sets(line.Counts.Length, WeekKind.Lighter, rules), BlockCalendar.Sets(line.Counts.Length, WeekKind.Easier, rules),
            [.. instead.Where(p => !SendingCheck.Blanks(SendingCheck.Spelled(p)).Any()).Select(p => Line(number, tag, p, [], [], home, rules))],
            [.. line.Supports.Select(s => home.Fixtures.FirstOrDefault(f => f.Id == s.Fixture)?.Name).OfType<string>().Distinct()],
            behind);
    }

    /// <summary>Fixtures never checked, or whose pass has run out: the client can do the pulling, the coach decides.</summary>
    private static IEnumerable<LinkFixture> ToCheck(Home home, DateOnly today, int passDays) => home.Fixtures
        .Where(f => SetupCheck.Standing(f, today, passDays) is { Verdict: SetupVerdict.NotPassed })
        .Select(f => new LinkFixture(f.Id, f.Name, FixtureSteps.For(f.Kind)));

    /// <summary>Why this may not be sent; empty when it may.</summary>
    public static IEnumerable<string> Against(ClientProfile client, Plan plan, IReadOnlyList<ClientPlace> places, HouseRules rules, DateOnly today)
    {
        if (SendingLeave.For(client) is { Allowed: false, Why: { } why })
        {
            yield return why;
        }

        if (plan.Sessions.IsEmpty)
        {
            yield return "Nothing is saved to send: rebuild the programme on the bench and save it.";
            yield break;
        }

        PlannedPlace[] planned = [new(plan.Place ?? places[0].Id, plan.PlaceName, plan.Sessions), .. plan.Elsewhere];
        if (planned[0].Place != places[0].Id)
        {
            yield return $"Nothing was rebuilt yet for {places[0].Home.Name}, where the training is now: open the bench there and save.";
            yield break;
        }

        if (plan.Sessions.All(s => s.Lines.IsEmpty))
        {
            yield return $"There is no exercise to train at {places[0].Home.Name}: write some on the bench and save.";
            yield break;
        }

        foreach (var made in planned)
        {
            if (places.FirstOrDefault(p => p.Id == made.Place) is not { } place)
            {
                continue;
            }

            var prepared = new PreparedHome(place.Home, today);
            foreach (var line in made.Sessions.SelectMany(s => s.Lines))
            {
                string where = planned.Length > 1 ? $" ({made.Name})" : "";
                if (line.Prescription is not { } prescription)
                {
                    yield return $"Nothing stands in for \"{line.Written}\" yet{where}: choose something, or take the line out.";
                    continue;
                }

                foreach (string blank in SendingCheck.Blanks(SendingCheck.Spelled(prescription)))
                {
                    yield return $"{blank}{where}.";
                }

                if (rules.Catalogue.Find(prescription.Exercise) is { } exercise
                    && PlannedSetUp.Of(prescription, exercise, client, prepared, rules).Against is [var against, ..])
                {
                    yield return $"{prescription.Name}{where}: {against}.";
                }
            }
        }
    }

    /// <summary>Read back session by session.</summary>
    public static string Sentence(Plan plan) => string.Join(
        ' ', plan.Sessions.Select(s => ReadBack.Of(s.Title, s.Length, [.. s.Lines.Select(l => l.Prescription).OfType<Prescription>()])));
}
