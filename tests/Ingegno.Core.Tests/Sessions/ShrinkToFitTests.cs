using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Sessions;

/// <summary>Sessions of the demo members made to fit the minutes there are.</summary>
public class ShrinkToFitTests
{
    private static readonly string[] Asked =
        ["back-squat", "barbell-row", "barbell-bench-press", "romanian-deadlift", "lateral-raise", "barbell-curl", "calf-raise-machine", "plank"];

    private static readonly int[] Minutes = [15, 30, 60];

    private static Shrunk Fit(Member member, double minutes, ImmutableArray<ShrinkMeans>? order = null, int sets = 4, bool stopped = false)
    {
        var written = new WrittenSession("Day", [.. Asked.Select((e, i) => Member.Written(
            e, sets, e == "plank" ? 30 : 10, kind: e == "plank" ? CountKind.Seconds : CountKind.Repetitions) with { Number = i + 1, Rest = Duration.FromSeconds(90) })]);
        var programme = new WrittenProgramme([written]);
        var rebuild = new SessionRebuild(
            member.Client with { SessionMinutes = (int)minutes }, member.Home, Catalogue.Shipped, HouseRules.Default, People.Today, programme);
        return ShrinkToFit.Into(
            Duration.FromMinutes(minutes), rebuild.Rebuild(written, []), order ?? HouseRules.Default.ShrinkOrder, member.Home, Catalogue.Shipped,
            changes => rebuild.Rebuild(written, LineChanges.On([], changes, programme)), new(stopped));
    }

    [Theory]
    [InlineData(15)]
    [InlineData(20)]
    [InlineData(30)]
    [InlineData(45)]
    public void It_fits_or_says_that_the_main_work_alone_is_longer(int minutes)
    {
        foreach (var member in Member.All())
        {
            var shrunk = Fit(member, minutes);
            shrunk.Fits.ShouldBe(shrunk.Session.Whole.Minutes <= minutes, member.Client.Name);
            (shrunk.WhyLonger is null).ShouldBe(shrunk.Fits);
            if (!shrunk.Fits)
            {
                shrunk.WhyLonger!.ShouldContain("the main work alone");
                // Of a pair neither goes alone where the partner's rest would then be longer than what it saves.
                shrunk.Session.Lines.Where(l => l.Chosen is not null && l.Role != Role.Main).Select(l => l.Group ?? $"{l.Written.Number}").Distinct().Count()
                    .ShouldBeLessThanOrEqualTo(1, "everything that may go has gone");
            }

            shrunk.Session.Lines.Where(l => l.Role == Role.Main).ShouldAllBe(l => l.Outcome != LineOutcome.LeftOut);
            shrunk.Session.Lines.SelectMany(l => l.Prescriptions()).ShouldAllBe(p => p.Counts.Length >= 2);
        }
    }

    /// <summary>Told to stop looking, it does not say that the main work is all that is left.</summary>
    [Fact]
    public void Stopped_before_it_fits_it_says_so_and_asks_to_be_asked_again()
    {
        var shrunk = Fit(Member.All().First(), 20, stopped: true);
        shrunk.Steps.ShouldBeEmpty();
        shrunk.WhyLonger!.ShouldContain("no time to look further");
        Fit(Member.All().First(), 240, stopped: true).WhyLonger.ShouldBeNull();
    }

    [Fact]
    public void Enough_time_changes_nothing()
    {
        var shrunk = Fit(Member.All().First(), 240);
        shrunk.Changes.ShouldBeEmpty();
        shrunk.Steps.ShouldBeEmpty();
    }

    [Fact]
    public void More_minutes_never_keep_fewer_lines()
    {
        foreach (var member in Member.All())
        {
            int[] kept = [.. Minutes.Select(m => Fit(member, m).Session.Lines.Count(l => l.Chosen is not null))];
            kept.SequenceEqual(kept.Order()).ShouldBeTrue(member.Client.Name);
        }
    }

    /// <summary>The order is the coach's: what may come last is only used once the others have run out.</summary>
    [Fact]
    public void The_means_come_in_the_order_that_was_set()
    {
        var member = Member.All().First();
        var mild = Fit(member, 40);
        var dropping = Fit(member, 40, [ShrinkMeans.Drop, ShrinkMeans.Shorten, ShrinkMeans.Pair]);
        mild.Steps[0].ShouldContain("back to back");
        dropping.Steps.ShouldAllBe(s => s.Contains("left out", StringComparison.Ordinal) || s.Contains("sets instead", StringComparison.Ordinal));
        dropping.Steps[0].ShouldContain("left out");
    }

    [Fact]
    public void Lines_paired_for_time_share_no_muscle_to_speak_of_and_fight_over_nothing()
    {
        foreach (var member in Member.All())
        {
            var session = Fit(member, 45).Session;
            foreach (var group in session.Lines.Where(l => l.Group is not null && l.Chosen is not null).GroupBy(l => l.Group))
            {
                Prescription[] done = [.. group.Select(l => l.Chosen!.Prescription)];
                Exercise[] exercises = [.. done.Select(p => People.Exercise(p.Exercise))];
                if (done.Length == 2)
                {
                    exercises[0].Muscles.OverlapWith(exercises[1].Muscles).Fraction.ShouldBeLessThanOrEqualTo(0.25);
                    SetUpNeeds.Of(done[0], exercises[0], member.Home).Against(SetUpNeeds.Of(done[1], exercises[1], member.Home)).ShouldBeNull();
                }
            }
        }
    }

    /// <summary>A choice follows its line when the text above it grows; of two lines typed alike each keeps its own.</summary>
    [Fact]
    public void Leaving_out_one_of_two_lines_typed_alike_leaves_the_other()
    {
        var first = Member.Written("plank", 2, 30, kind: CountKind.Seconds) with { Number = 2 };
        var programme = new WrittenProgramme([new("One", [first]), new("Two", [first with { Number = 5 }])]);
        var member = Member.All().First();
        var rebuild = new SessionRebuild(member.Client, member.Home, Catalogue.Shipped, HouseRules.Default, People.Today, programme);
        LineChoice[] choices = [new(5, first.Text, LeftOut: true)];
        rebuild.Rebuild(programme.Sessions[0], choices).Lines[0].Outcome.ShouldNotBe(LineOutcome.LeftOut);
        rebuild.Rebuild(programme.Sessions[1], choices).Lines[0].Outcome.ShouldBe(LineOutcome.LeftOut);
        LineChoice[] moved = [new(9, first.Text, LeftOut: true)];
        rebuild.Rebuild(programme.Sessions[0], moved).Lines[0].Outcome.ShouldBe(LineOutcome.LeftOut, "its line is not at 9 any more");
    }
}
