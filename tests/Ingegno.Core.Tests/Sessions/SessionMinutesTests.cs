using System.Collections.Immutable;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Tests.Sessions;

/// <summary>Session minutes against sums worked by hand.</summary>
public class SessionMinutesTests
{
    private static SessionLength.Part Part(int sets, int count, double rest, bool perSide = false, string? group = null, Tempo? tempo = null) =>
        new(group, new Prescription
        {
            Exercise = "push-up",
            Name = "Push-up",
            Count = CountKind.Repetitions,
            Counts = [.. Enumerable.Repeat(count, sets)],
            TopOfRange = count,
            PerSide = perSide,
            Load = Mass.Zero,
            LoadInWords = "own weight",
            Tempo = tempo ?? Tempo.Reference,
            Rest = Duration.FromSeconds(rest),
            Geometry = new Geometry(),
        });

    /// <summary>
    /// 5x4 with 180 s, 3x9 a side with 75 s, 4x14 with 45 s and 2x20 with 60 s: 26 minutes without the last rests, 33 with them, at 3 s
    /// a repetition, before changeovers (worked by hand).
    /// </summary>
    [Fact]
    public void Four_lines_worked_by_hand_come_to_26_to_33_minutes()
    {
        var length = SessionLength.Of([Part(5, 4, 180), Part(3, 9, 75, perSide: true), Part(4, 14, 45), Part(2, 20, 60)]);
        double changeovers = (4 * 30) + (3 * 45) + (3 * 10);
        ((length.Seconds - changeovers) / 60).ShouldBeInRange(26, 33);
        length.Seconds.ShouldBe((60 + 720) + (162 + 150) + (168 + 135) + (120 + 60) + changeovers, 1e-9);
    }

    /// <summary>A superset saves the change between its halves; each still rests as written.</summary>
    [Fact]
    public void A_superset_saves_the_change_between_its_halves()
    {
        ImmutableArray<SessionLength.Part> apart = [Part(3, 10, 60), Part(3, 10, 60)], together = [Part(3, 10, 60, group: "A"), Part(3, 10, 60, group: "A")];
        (SessionLength.Of(together).Seconds - SessionLength.Of(apart).Seconds).ShouldBe(60 - 45, 1e-9);
    }

    [Fact]
    public void Slower_longer_rested_or_more_never_takes_less() =>
        Gen.Select(Gen.Int[1, 6], Gen.Int[1, 30], Gen.Int[0, 300], Gen.Bool).Sample((sets, count, rest, sides) =>
        {
            double plain = SessionLength.Of([Part(sets, count, rest, sides)]).Seconds;
            SessionLength.Of([Part(sets + 1, count, rest, sides)]).Seconds.ShouldBeGreaterThanOrEqualTo(plain);
            SessionLength.Of([Part(sets, count + 1, rest, sides)]).Seconds.ShouldBeGreaterThan(plain);
            SessionLength.Of([Part(sets, count, rest + 15, sides)]).Seconds.ShouldBeGreaterThanOrEqualTo(plain);
            SessionLength.Of([Part(sets, count, rest, sides, tempo: new Tempo(4, 1, 1, 0))]).Seconds.ShouldBeGreaterThan(plain);
        });
}
