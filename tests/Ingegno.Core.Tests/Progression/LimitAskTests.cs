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
    public void One_line_a_session_the_least_known_and_not_again_for_some_days()
    {
        var anchors = StrengthAnchors.Of(People.Man, Catalogue.Shipped);
        (int, Prescription)[] session = [(1, Of(People.Exercise("push-up"))), (2, Of(People.Exercise("one-arm-dumbbell-row")) with { Hold = Hold.OneHand, Kit = "k", Load = Mass.FromKilograms(12) })];
        int? asked = LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, null, _ => false);
        asked.ShouldNotBeNull();
        double Width(Prescription line) =>
            Foreseen.Of(line, Catalogue.Shipped[line.Exercise], People.Man, anchors.For(Catalogue.Shipped[line.Exercise]))[^1] is var range ? Math.Log(range.High / range.Low) : 0;
        Width(session[asked.Value - 1].Item2).ShouldBe(session.Max(s => Width(s.Item2)));
        LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, People.Today.AddDays(-3), _ => false).ShouldBeNull();
        LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, People.Today.AddDays(-4), _ => false).ShouldNotBeNull();
        LimitAsk.Of(session, People.Man, Catalogue.Shipped, anchors, People.Today, null, _ => true).ShouldBeNull();
    }

    /// <summary>What is known to a repetition or two is not asked, however long ago it was.</summary>
    [Fact]
    public void Nothing_is_asked_where_enough_is_known()
    {
        var row = People.Exercise("one-arm-dumbbell-row");
        var line = Of(row) with { Hold = Hold.OneHand, Kit = "k", Load = Mass.FromKilograms(26) };
        var known = People.Man with
        {
            Learned = Learned.Nothing with
            {
                Anchors = [StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(row)! with { Basis = AnchorBasis.Learned, Spread = 0.02, Doubt = new(0.03, 0.03) }],
            },
        };
        LimitAsk.Of([(1, line)], known, Catalogue.Shipped, StrengthAnchors.Of(known, Catalogue.Shipped), People.Today, null, _ => false).ShouldBeNull();
        LimitAsk.Of([(1, line)], People.Man, Catalogue.Shipped, StrengthAnchors.Of(People.Man, Catalogue.Shipped), People.Today, null, _ => false).ShouldBe(1);
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
