using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>The true limit is asked only where failing harms nobody.</summary>
public class LimitAskTests
{
    [Fact]
    public void Never_a_beginner_a_named_condition_a_support_a_bar_or_a_load_over_the_body() =>
        (from exercise in Gen.OneOf([.. Catalogue.Shipped.Exercises.Select(Gen.Const)])
         from level in Gen.Enum<Level>()
         from hold in Gen.Enum<Hold>()
         from loaded in Gen.Bool
         from supported in Gen.Bool
         from named in Gen.Bool
         select (exercise, level, hold, loaded, supported, named)).Sample(p =>
        {
            var client = People.Man with
            {
                Level = p.level,
                Health = new() { Answers = [new HealthAnswer(HealthQuestion.BloodPressure, p.named)] },
            };
            var line = Of(p.exercise) with
            {
                Load = Mass.FromKilograms(p.loaded ? 20 : 0),
                Kit = p.loaded ? "kit" : null,
                Hold = p.loaded ? p.hold : null,
                Supports = p.supported ? [new Support("chair", FixtureRole.Hands, Length.FromMetres(0.45))] : [],
            };
            if (LimitAsk.IsSafe(line, p.exercise, client))
            {
                p.level.ShouldNotBe(Level.Beginner);
                p.named.ShouldBeFalse();
                p.supported.ShouldBeFalse();
                p.exercise.OverHead.ShouldBeFalse();
                p.exercise.Pattern.ShouldNotBeOneOf(Pattern.Squat, Pattern.VerticalPress, Pattern.Dip, Pattern.Fly, Pattern.Jump, Pattern.VerticalPull);
                (p.loaded && p.hold is Hold.Bar or Hold.OnBack or Hold.AcrossHips).ShouldBeFalse();
            }
        });

    [Fact]
    public void One_line_a_session_the_least_known_and_not_again_for_ten_days()
    {
        var anchors = StrengthAnchors.Of(People.Man, Catalogue.Shipped);
        (int, Prescription)[] session = [(1, Of(People.Exercise("push-up"))), (2, Of(People.Exercise("one-arm-dumbbell-row")) with { Hold = Hold.OneHand, Kit = "k", Load = Mass.FromKilograms(12) })];
        int? asked = LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, null, _ => false);
        asked.ShouldNotBeNull();
        anchors.For(Catalogue.Shipped[session[asked.Value - 1].Item2.Exercise])!.Spread
            .ShouldBe(session.Max(s => anchors.For(Catalogue.Shipped[s.Item2.Exercise])!.Spread));
        LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, People.Today.AddDays(-9), _ => false).ShouldBeNull();
        LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, People.Today.AddDays(-10), _ => false).ShouldNotBeNull();
        LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, null, _ => true).ShouldBeNull();
    }

    private static Prescription Of(Exercise exercise) => new()
    {
        Exercise = exercise.Id,
        Name = exercise.Name,
        Count = CountKind.Repetitions,
        Counts = [10, 10, 10],
        TopOfRange = 10,
        PerSide = false,
        Load = Mass.Zero,
        LoadInWords = "own weight",
        Rest = Duration.FromSeconds(90),
        Geometry = new(),
    };
}
