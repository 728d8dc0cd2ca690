using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Tests.Dosing;

/// <summary>Which techniques are kept from whom, by the trade's usual cautions (common practice).</summary>
public class TechniqueLimitsTests
{
    private static readonly ClientProfile Pressure = People.Man with
    {
        Health = new HealthScreen { Answers = [new(HealthQuestion.BloodPressure, Applies: true)] },
    };

    private static ClientProfile Sore(Joint joint, int pain) => People.Man with { SoreJoints = [new(joint, pain)] };

    private static string? Against(Technique technique, string exercise, ClientProfile client, HouseRules? rules = null, bool immovable = true) =>
        TechniqueLimits.Of(People.Exercise(exercise), client, rules ?? HouseRules.Default, immovable).Against(technique);

    [Theory]
    [InlineData(Technique.SlowLowering, true)]
    [InlineData(Technique.Pause, true)]
    [InlineData(Technique.RestPause, false)]
    [InlineData(Technique.Pulses, false)]
    [InlineData(Technique.IsometricFirst, false)]
    public void Beginners_go_slower_and_pause_and_no_further(Technique technique, bool allowed) =>
        (Against(technique, "push-up", People.Man with { Level = Level.Beginner }) is null).ShouldBe(allowed);

    [Theory]
    [InlineData(Technique.IsometricFirst)]
    [InlineData(Technique.HoldToFatigue)]
    public void Hard_holds_are_kept_from_high_blood_pressure(Technique technique)
    {
        var offered = People.Exercise("push-up").Techniques.Contains(technique) ? "push-up"
            : Catalogue.Shipped.Exercises.First(e => e.Techniques.Contains(technique)).Id;
        Against(technique, offered, Pressure)!.ShouldContain("blood pressure");
        (Against(technique, offered, People.Man)?.Contains("blood pressure") ?? false).ShouldBeFalse();
    }

    /// <summary>3 of 10 is where pain asks to hold back: Thomee 1997, Phys Ther 77:1690-1703 (from memory).</summary>
    [Theory]
    [InlineData(2, true)]
    [InlineData(3, false)]
    public void A_sore_joint_is_not_held_or_pulsed_at_the_hard_end(int pain, bool allowed) =>
        (Against(Technique.Pulses, "split-squat", Sore(Joint.Knee, pain)) is null).ShouldBe(allowed);

    [Fact]
    public void Rest_pause_is_never_done_where_failing_is_risky()
    {
        foreach (var exercise in Catalogue.Shipped.Exercises.Where(e => e.OverHead || e.Holds.Contains(Core.Loads.Hold.Bar)))
        {
            TechniqueLimits.Of(exercise, People.Man, HouseRules.Default).Allows(Technique.RestPause).ShouldBeFalse(exercise.Id);
        }
    }

    [Fact]
    public void A_weak_grip_ends_pulls_before_the_back_does() =>
        Against(Technique.RestPause, "bag-row", People.Man with { Traits = [Trait.WeakGrip] })!.ShouldContain("grip");

    [Fact]
    public void A_push_first_needs_something_that_will_not_give() =>
        Against(Technique.IsometricFirst, "push-up", People.Man, immovable: false)!.ShouldContain("strap");

    [Fact]
    public void Holds_to_comfort_is_a_house_rule()
    {
        string held = Catalogue.Shipped.Exercises.First(e => e.Techniques.Contains(Technique.HoldToFatigue) && Against(Technique.HoldToFatigue, e.Id, People.Man) is null).Id;
        Against(Technique.HoldToFatigue, held, People.Man, HouseRules.Default with { Teachings = [Teaching.HoldsToComfort] })!.ShouldContain("house rule");
    }

    /// <summary>A coach's hand does not pass a limit either.</summary>
    [Fact]
    public void What_is_wished_against_a_limit_is_left_out()
    {
        var limits = TechniqueLimits.Of(People.Exercise("push-up"), People.Man with { Level = Level.Beginner }, HouseRules.Default);
        var wish = limits.Within(new DoseWish(Partial: PartialPart.AndAHalf, Pulses: 3, Form: SetForm.RestPause, Tempo: new Tempo(4, 0, 1, 0)));
        wish.ShouldBe(new DoseWish(Tempo: new Tempo(4, 0, 1, 0)));
    }

    [Fact]
    public void Every_technique_is_either_allowed_or_refused_with_a_reason()
    {
        foreach (var exercise in Catalogue.Shipped.Exercises)
        {
            var limits = TechniqueLimits.Of(exercise, Pressure, HouseRules.Default);
            foreach (var technique in Enum.GetValues<Technique>())
            {
                (limits.Against(technique) is null).ShouldBe(limits.Allows(technique), $"{exercise.Id} {technique}");
            }
        }
    }
}
