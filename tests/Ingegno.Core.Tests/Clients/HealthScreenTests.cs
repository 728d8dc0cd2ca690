using Ingegno.Core.Clients;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Clients;

public class HealthScreenTests
{
    private static ClientProfile Answered(params HealthQuestion[] applies) => People.Man with
    {
        Health = new HealthScreen { Answers = [.. Enum.GetValues<HealthQuestion>().Select(q => new HealthAnswer(q, applies.Contains(q)))] },
    };

    [Fact]
    public void Nothing_is_sent_before_the_screen_was_asked() => SendingLeave.For(People.Man with { Health = new() }).Allowed.ShouldBeFalse();

    [Fact]
    public void One_question_left_open_blocks_and_is_named()
    {
        var client = Answered();
        var leave = SendingLeave.For(client with { Health = client.Health with { Answers = client.Health.Answers.RemoveAt(0) } });
        leave.Allowed.ShouldBeFalse();
        leave.Why!.ShouldContain("heart");
    }

    [Fact]
    public void All_answered_no_may_be_sent() => SendingLeave.For(Answered()).ShouldBe(new SendingLeave(true, null));

    [Fact]
    public void Whatever_applies_blocks_and_refers_until_a_professional_cleared_it() =>
        Gen.Enum<HealthQuestion>().Sample(question =>
        {
            var client = Answered(question);
            var leave = SendingLeave.For(client);
            leave.Allowed.ShouldBeFalse();
            leave.Why!.ShouldContain("physician or physiotherapist");
            SendingLeave.For(client with { Health = client.Health with { ClearedBy = "Dr Bell" } }).Allowed.ShouldBeFalse();
            SendingLeave.For(client with { Health = client.Health with { ClearedBy = " ", ClearedOn = People.Today } }).Allowed.ShouldBeFalse();
            SendingLeave.For(client with { Health = client.Health with { ClearedBy = "Dr Bell", ClearedOn = People.Today } }).Allowed.ShouldBeTrue();
        });

    /// <summary>Closeness rises with level and with nearness of a competition; who only wants muscle has none (common practice).</summary>
    [Fact]
    public void Required_closeness_rises_with_level_and_nearness() =>
        Gen.Select(Gen.Int[0, 300], Gen.Int[1, 60], Gen.Enum<Goal>(), Gen.Enum<Level>()).Sample((days, more, goal, level) =>
        {
            var near = People.Man with { Goal = goal, Level = level, CompetitionOn = People.Today.AddDays(days) };
            var far = near with { CompetitionOn = People.Today.AddDays(days + more) };
            RequiredCloseness.Of(near, People.Today).ShouldBeGreaterThanOrEqualTo(RequiredCloseness.Of(far, People.Today));
            RequiredCloseness.Of(near with { Level = Level.Advanced }, People.Today)
                .ShouldBeGreaterThanOrEqualTo(RequiredCloseness.Of(near, People.Today));
            RequiredCloseness.Of(near, People.Today).Fraction.ShouldBeInRange(0, 1);
        });

    [Fact]
    public void Who_only_wants_muscle_has_none() =>
        RequiredCloseness.Of(People.Man with { Goal = Goal.BuildMuscle, Level = Level.Advanced, CompetitionOn = null }, People.Today).ShouldBe(Share.Zero);
}
