using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>Which lines may find their numbers by a last set without a count (common practice).</summary>
public class CalibrationTests
{
    [Fact]
    public void Any_plain_line_finds_its_numbers_by_leaving_what_is_meant_and_beginners_do_too()
    {
        Finds("one-arm-dumbbell-row").ShouldBeTrue();
        Finds("goblet-squat", client: People.Man with { Level = Level.Beginner }).ShouldBeTrue();
    }

    [Fact]
    public void Nothing_is_found_by_jumping_holding_lowering_or_leaving_nothing()
    {
        Finds("squat-jump").ShouldBeFalse();
        Finds("plank", line => line with { Count = CountKind.Seconds }).ShouldBeFalse();
        Finds("lowering-only-push-up").ShouldBeFalse();
        Finds("goblet-squat", line => line with { Reserve = 0 }).ShouldBeFalse();
        Finds("goblet-squat", line => line with { Form = SetForm.RestPause }).ShouldBeFalse();
    }

    [Fact]
    public void Who_named_something_on_the_health_screen_stays_at_the_count() =>
        Finds("goblet-squat", client: People.Man with { Health = new HealthScreen { Answers = [new HealthAnswer(HealthQuestion.BloodPressure, true)] } }).ShouldBeFalse();

    /// <summary>The count is done by feel where the answer is not; who judges is not asked again.</summary>
    [Fact]
    public void Whose_answers_tell_nothing_finds_the_numbers_again_until_they_are_known()
    {
        Again(2, 0.2).ShouldBeTrue();
        Again(null, 0.2).ShouldBeFalse();
        Again(2, 0.001).ShouldBeFalse("known well enough");
    }

    private static bool Again(double? always, double spread)
    {
        var about = People.Exercise("goblet-squat");
        var client = People.Man with { Learned = Learned.Nothing with { SaysAlways = always } };
        var anchor = StrengthAnchors.Of(client, Catalogue.Shipped).For(about)! with { Spread = spread, Doubt = new(spread, spread, 0, 0, 0, 0, 0, 0, 0) };
        return LimitAsk.CalibratesAgain(LineOf(about), about, client, anchor);
    }

    private static bool Finds(string exercise, Func<Prescription, Prescription>? change = null, ClientProfile? client = null)
    {
        var about = People.Exercise(exercise);
        return LimitAsk.Calibrates(change?.Invoke(LineOf(about)) ?? LineOf(about), about, client ?? People.Man);
    }

    private static Prescription LineOf(Exercise about) => new()
    {
        Exercise = about.Id,
        Name = about.Name,
        Count = CountKind.Repetitions,
        Counts = [10, 10, 10],
        TopOfRange = 10,
        PerSide = false,
        Load = Mass.FromKilograms(10),
        LoadInWords = "",
        Rest = Duration.FromSeconds(120),
        Reserve = 2,
        Geometry = new(),
    };
}
