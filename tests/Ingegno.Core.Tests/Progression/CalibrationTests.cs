using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
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

    private static bool Finds(string exercise, Func<Prescription, Prescription>? change = null, ClientProfile? client = null)
    {
        var about = People.Exercise(exercise);
        Prescription line = new()
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
        return LimitAsk.Calibrates(change?.Invoke(line) ?? line, about, client ?? People.Man);
    }
}
