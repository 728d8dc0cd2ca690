using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;

namespace Ingegno.Core.Tests.Progression;

public class ReturnToGymTests
{
    /// <summary>Half, then 30, 20 and 10 percent below (Caterisano et al. 2019, Strength Cond J 41(3):1-23; from memory): of ten sets 5, 7, 8 and 9.</summary>
    [Fact]
    public void Volume_comes_back_over_four_weeks()
    {
        ReturnToGym.Below.ShouldBe([0.5, 0.3, 0.2, 0.1]);
        Line(sets: 10).Weeks.Select(w => w.Sets).ShouldBe([5, 7, 8, 9]);
        Line(sets: 1).Weeks.ShouldAllBe(w => w.Sets == 1);
    }

    [Fact]
    public void The_first_load_is_a_whole_step_under_the_maximum_and_comes_with_its_story()
    {
        var line = Line(sets: 4);
        (line.FirstLoad!.Value.Kilograms % 2.5).ShouldBe(0, 1e-9);
        line.FirstLoad.Value.ShouldBeLessThan(line.Estimate!.Maximum);
        line.Story.ShouldContain("leaving 3");
    }

    private static ReturningLine Line(int sets)
    {
        var written = new WrittenLine
        {
            Number = 1,
            Text = "Bench press",
            ExerciseName = "Bench press",
            Exercise = "barbell-bench-press",
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, 8, 8), sets)],
        };
        return ReturnToGym.Of(
            new WrittenProgramme([new WrittenSession("Monday", [written])]), People.Man, Catalogue.Shipped, StrengthAnchors.Of(People.Man, Catalogue.Shipped),
            HouseRules.Default).Single();
    }
}
