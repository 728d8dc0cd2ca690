using Ingegno.Core.Exercises;
using Ingegno.Core.Practices;
using Ingegno.Core.Substitution;
using Ingegno.Core.Weeks;

namespace Ingegno.Core.Tests.Weeks;

/// <summary>The model of a week read off rebuilt sessions of the demo's members.</summary>
public class WeekReadingTests
{
    private static readonly string[] Lines = ["back-squat", "barbell-bench-press", "lat-pulldown", "romanian-deadlift", "barbell-curl"];

    private static RebuiltSession Session(Member member) => member.Session([.. Lines.Select(l => Member.Written(l, 3, 8))]);

    private static WeekModel Model(Member member, RebuiltSession session, bool pinned = false) =>
        WeekReading.Of([session], member.Client, Catalogue.Shipped, _ => pinned, null, new Practice(), People.Today);

    /// <summary>Minutes of the model are those of the session itself, whatever stands in.</summary>
    [Fact]
    public void The_models_minutes_are_the_sessions()
    {
        foreach (var member in Member.All())
        {
            var session = Session(member);
            var model = Model(member, session);
            int seconds = model.Overhead(0) + model.Slots.Sum(s => s.Options[PlaceNow(s, session)].Seconds);
            ((double)seconds).ShouldBe(session.Whole.Seconds, 20, member.Client.Name);
        }
    }

    [Fact]
    public void A_pinned_line_has_one_way_only()
    {
        var member = Member.All().First();
        Model(member, Session(member), pinned: true).Slots.ShouldAllBe(s => s.Options.Length == 1);
        Model(member, Session(member)).Slots.ShouldContain(s => s.Options.Length > 1);
    }

    [Fact]
    public void Every_option_was_on_offer_for_its_line()
    {
        foreach (var member in Member.All())
        {
            var session = Session(member);
            foreach (var slot in Model(member, session).Slots)
            {
                var line = session.Lines.Single(l => l.Written.Number == slot.Line);
                slot.Options.Select(o => o.Exercise).ShouldBe(line.Alternatives.Select(a => a.Prescription.Exercise));
            }
        }
    }

    [Fact]
    public void Obstacles_name_the_session_and_the_cheapest_way_out()
    {
        var member = Member.All().First();
        var model = Model(member, Session(member)) with { MostSeconds = 300 };
        WeekObstacles.Of(model, ["Monday"]).ShouldHaveSingleItem().ShouldStartWith("Monday takes at least");
        WeekObstacles.Of(model with { MostSeconds = null }, ["Monday"]).ShouldBeEmpty();
    }

    private static int PlaceNow(WeekSlot slot, RebuiltSession session)
    {
        string now = session.Lines.Single(l => l.Written.Number == slot.Line).Chosen!.Prescription.Exercise;
        return slot.Options.Select((o, i) => (o, i)).First(p => p.o.Exercise == now).i;
    }
}
