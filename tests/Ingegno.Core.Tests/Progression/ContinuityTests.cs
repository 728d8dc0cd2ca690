using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>One line through gym and home, and bests in the right unit.</summary>
public class ContinuityTests
{
    private static readonly StrengthAnchors Anchors = StrengthAnchors.Of(People.Man, Catalogue.Shipped);

    [Fact]
    public void The_line_runs_on_when_a_stand_in_turns_out_far_better_than_its_ratio()
    {
        TrainedSet[] log =
        [
            .. Enumerable.Range(0, 8).SelectMany(i => Session("barbell-row", 50, 8, i * 3)),
            .. Enumerable.Range(8, 4).SelectMany(i => Session("bag-row", 45, 25, i * 3)),
        ];
        var line = Continuity.Of(Learning.From(People.Man, Catalogue.Shipped, Anchors, log), Anchors, Catalogue.Shipped).Single(c => c.Family == "Horizontal pull");
        line.Points.Length.ShouldBe(12);
        var (gym, home) = (line.Points[7], line.Points[8]);
        (gym.AtHome, home.AtHome).ShouldBe((false, true));
        (home.Maximum / gym.Maximum).ShouldBeInRange(0.93, 1.12);
        line.Points.ShouldAllBe(p => p.Low < p.Maximum && p.Maximum < p.High);
    }

    [Fact]
    public void Bests_are_told_in_the_unit_that_is_right_for_them()
    {
        string Best(params TrainedSet[] log) => PersonalBests.Of(log, Catalogue.Shipped).Single().InWords;
        Best(Set("one-arm-dumbbell-row", 24, 9, 0), Set("one-arm-dumbbell-row", 20, 15, 3)).ShouldBe("9 at 24 kg");
        Best(Set("plank", 0, 50, 0), Set("plank", 0, 62, 3)).ShouldBe("62 s");
        Best(Set("push-up", 0, 12, 0, hands: 0.72), Set("push-up", 0, 8, 3, hands: 0.42)).ShouldBe("8 with the hands at 42 cm");
        PersonalBests.Of([Set("plank", 0, 50, 0)], Catalogue.Shipped).ShouldBeEmpty();
        PersonalBests.Of([Set("plank", 0, 50, 0), Set("plank", 0, 90, 3, pain: 4)], Catalogue.Shipped).ShouldBeEmpty();
    }

    private static IEnumerable<TrainedSet> Session(string exercise, double load, int repetitions, int day) =>
        Enumerable.Range(1, 3).Select(number => Set(exercise, load, repetitions, day, number));

    private static TrainedSet Set(string exercise, double load, int repetitions, int day, int number = 1, double? hands = null, int pain = 0) => new(
        new SetLog(Guid.NewGuid(), 1, exercise, People.Today.AddDays(day), number, Mass.FromKilograms(load), repetitions, 1, pain),
        new Prescription
        {
            Exercise = exercise,
            Name = exercise,
            Count = CountKind.Repetitions,
            Counts = [repetitions],
            TopOfRange = repetitions,
            PerSide = false,
            Load = Mass.FromKilograms(load),
            LoadInWords = "",
            Rest = Duration.FromSeconds(120),
            Geometry = new Geometry(Hands: hands is { } metres ? Length.FromMetres(metres) : null),
        });
}
