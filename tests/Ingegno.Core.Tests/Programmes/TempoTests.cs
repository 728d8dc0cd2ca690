using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Tests.Programmes;

public class TempoTests
{
    [Theory]
    [InlineData("3-1-1-0", 3, 1, 1, 0, false)]
    [InlineData("3/1/1/0", 3, 1, 1, 0, false)]
    [InlineData("31X0", 3, 1, 0, 0, true)]
    [InlineData("2-0-x-1", 2, 0, 0, 1, true)]
    public void Reads_what_coaches_write(string text, int down, int low, int up, int high, bool fast)
    {
        Tempo.TryParse(text, out var tempo).ShouldBeTrue();
        tempo.ShouldBe(new Tempo(down, low, up, high, fast));
    }

    [Theory]
    [InlineData("")]
    [InlineData("3-1-1")]
    [InlineData("60-60-60-60")]
    [InlineData("X-0-1-0")]
    [InlineData("3--1-0")]
    public void Refuses_the_rest(string text) => Tempo.TryParse(text, out _).ShouldBeFalse();

    [Fact]
    public void Goes_to_text_and_back() =>
        Gen.Select(Gen.Int[0, 20], Gen.Int[0, 20], Gen.Int[0, 20], Gen.Int[0, 20], Gen.Bool).Sample((a, b, c, d, fast) =>
        {
            var tempo = new Tempo(a, b, fast ? 0 : c, d, fast);
            Tempo.TryParse(tempo.ToString(), out var back).ShouldBeTrue();
            back.ShouldBe(tempo);
        });

    /// <summary>Worked by hand: nothing is faster than a second down and a second up.</summary>
    [Fact]
    public void A_repetition_lasts_at_least_two_seconds() => new Tempo(0, 0, 0, 0).Seconds.ShouldBe(2);

    /// <summary>
    /// Worked by hand at 3 s a repetition: 5x4 with 180 s is 60 + 720; 3x9 a side with 75 s is 162 + 30 + 150; 4x14 with
    /// 45 s is 168 + 135; 2x20 with 60 s is 120 + 60; three changes of 45 s and four set-ups of 30 s make 255:
    /// 1860 s, 31 minutes.
    /// </summary>
    [Fact]
    public void Session_minutes_are_the_hand_worked_sum()
    {
        SessionLength.Part[] parts = [Part(5, 4, 180), Part(3, 9, 75, perSide: true), Part(4, 14, 45), Part(2, 20, 60)];
        SessionLength.Of(parts).Minutes.ShouldBe(31, 1e-9);
    }

    private static SessionLength.Part Part(int sets, int repetitions, double rest, bool perSide = false) => new(null, new Prescription
    {
        Exercise = "push-up",
        Name = "Push-up",
        Count = CountKind.Repetitions,
        Counts = [.. Enumerable.Repeat(repetitions, sets)],
        TopOfRange = repetitions,
        PerSide = perSide,
        Load = Mass.Zero,
        LoadInWords = "own weight",
        Tempo = Tempo.Reference,
        Rest = Duration.FromSeconds(rest),
        Geometry = new(),
    });
}
