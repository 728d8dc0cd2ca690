using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>Every gate just below and just above its threshold.</summary>
public class GateTests
{
    private static readonly Exercise Press = People.Exercise("standing-dumbbell-press");

    private static RefusalCause[] Against(Exercise exercise, ClientProfile? client = null, Room? room = null) =>
        [.. Gate.Against(exercise, client ?? People.Man, new PreparedHome(new Home { Room = room ?? new Room() }, People.Today), HouseRules.Default).Select(r => r.Cause)];

    /// <summary>1.27 of 1.80 m is 2.286 m.</summary>
    [Theory]
    [InlineData(2.28, true)]
    [InlineData(2.29, false)]
    public void Headroom(double headroom, bool refused) =>
        Against(Press, room: new Room { Headroom = Length.FromMetres(headroom) }).Contains(RefusalCause.Room).ShouldBe(refused);

    [Fact]
    public void Outdoors_there_is_no_ceiling() =>
        Against(Press, room: new Room { Headroom = Length.FromMetres(1.8), Outdoors = true }).ShouldBeEmpty();

    [Fact]
    public void A_room_not_measured_is_an_ordinary_one()
    {
        Against(Press).ShouldBeEmpty();
        Against(Press, People.Man with { Stature = Length.FromMetres(2.05) }).ShouldBe([RefusalCause.Room]);
    }

    /// <summary>Lying takes 1.1 of 1.80 m: 1.98 m.</summary>
    [Theory]
    [InlineData(1.97, true)]
    [InlineData(1.99, false)]
    public void Clear_floor(double floor, bool refused) =>
        Against(People.Exercise("push-up"), room: new Room { FloorLength = Length.FromMetres(floor) }).Contains(RefusalCause.Room).ShouldBe(refused);

    [Fact]
    public void No_jumps_over_neighbours()
    {
        var jump = People.Exercise("bag-squat") with { Room = new RoomNeed { Noise = Noise.Loud } };
        Against(jump, room: new Room { NeighboursBelow = true }).ShouldBe([RefusalCause.Room]);
        Against(jump, room: new Room()).ShouldBeEmpty();
        Against(jump, room: new Room { NeighboursBelow = true, Outdoors = true }).ShouldBeEmpty();
    }

    /// <summary>Bands of Thomee 1997 (from memory): to 2 carry on, 3-5 spare the joint what is hard on it, over 5 leave it alone. A forward lunge asks 3 of the knee, 1 of the hip; a split squat 2 of the knee.</summary>
    [Theory]
    [InlineData("forward-lunge", Joint.Knee, 2, false)]
    [InlineData("forward-lunge", Joint.Knee, 3, true)]
    [InlineData("split-squat", Joint.Knee, 5, false)]
    [InlineData("split-squat", Joint.Knee, 6, true)]
    [InlineData("forward-lunge", Joint.Hip, 5, false)]
    [InlineData("forward-lunge", Joint.Hip, 6, true)]
    [InlineData("forward-lunge", Joint.Neck, 10, false)]
    public void Sore_joints(string exercise, Joint joint, int pain, bool refused) =>
        Against(People.Exercise(exercise), People.Man with { SoreJoints = [new Soreness(joint, pain)] })
            .Contains(RefusalCause.Joint).ShouldBe(refused);

    [Fact]
    public void The_worst_of_two_reports_of_a_joint_counts() =>
        Against(People.Exercise("split-squat"), People.Man with { SoreJoints = [new Soreness(Joint.Knee, 1), new Soreness(Joint.Knee, 6)] })
            .ShouldContain(RefusalCause.Joint);

    [Theory]
    [InlineData(Level.Beginner, 2, false)]
    [InlineData(Level.Beginner, 3, true)]
    [InlineData(Level.Intermediate, 3, false)]
    [InlineData(Level.Intermediate, 4, true)]
    [InlineData(Level.Advanced, 4, false)]
    public void Skill_and_balance_by_level(Level level, int asked, bool refused)
    {
        var client = People.Man with { Level = level };
        Against(People.Exercise("push-up") with { Skill = asked }, client).Contains(RefusalCause.Skill).ShouldBe(refused);
        Against(People.Exercise("push-up") with { Steadiness = asked }, client).Contains(RefusalCause.Skill).ShouldBe(refused);
    }

    [Fact]
    public void A_failed_screen_refuses_a_passed_or_untaken_one_does_not()
    {
        Screened Wrist(ScreenResult result) => new(Screen.Wrist, result);
        Against(People.Exercise("push-up"), People.Man with { Screens = [Wrist(ScreenResult.Failed)] }).ShouldBe([RefusalCause.Screen]);
        Against(People.Exercise("push-up"), People.Man with { Screens = [Wrist(ScreenResult.Passed)] }).ShouldBeEmpty();
        Against(People.Exercise("push-up")).ShouldBeEmpty();
    }
}
