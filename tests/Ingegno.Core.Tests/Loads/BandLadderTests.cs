using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Loads;

public class BandLadderTests
{
    private static readonly Length Stature = Length.FromMetres(1.75);
    private static readonly Length Room = Length.FromMetres(3);

    private static readonly string[] BandExercises =
        [.. Catalogue.Shipped.Exercises.Where(e => e.Band is not null).Select(e => e.Id)];

    private static LoadLadder For(string exercise, params Band[] bands) =>
        BandLadder.For(bands, People.Exercise(exercise).Band!, Stature, Length.FromMetres(2.0), Room);

    private static readonly Band Mini = People.Loop("mini") with
    {
        Shape = BandShape.MiniLoop,
        RestLength = Length.FromMetres(0.3),
        Pulls = [new(Length.FromMetres(0.45), Force.FromNewtons(50)), new(Length.FromMetres(0.8), Force.FromNewtons(110))],
    };

    /// <summary>Rest length 1.04 m: no band in any recipe is ever longer than 3.5 times that (common practice).</summary>
    [Fact]
    public void No_setting_pulls_a_band_past_its_limit() =>
        Gen.Select(Gen.Int[0, BandExercises.Length - 1], Gen.Double[0.6, 1.6], Gen.Double[1.5, 2.1], Gen.Double[0.4, 6]).Sample((which, rest, stature, room) =>
        {
            var run = People.Exercise(BandExercises[which]).Band!;
            var band = Mini with { Shape = run.Hold == BandHold.AroundThighs ? BandShape.MiniLoop : BandShape.Loop, RestLength = Length.FromMetres(rest), Pulls = [new(Length.FromMetres(rest * 1.5), Force.FromNewtons(60))] };
            foreach (var rung in BandLadder.For([band], run, Length.FromMetres(stature), Length.FromMetres(2), Length.FromMetres(room)).Rungs)
            {
                // At the limit each strand pulls what the whole band does at 3.5 times its rest length, and never more.
                int strands = int.Parse(rung.Recipe.Pieces[0].Where, System.Globalization.CultureInfo.InvariantCulture);
                double most = strands * BandCurve.Fit(band).Curve!.At(band.RestLength * 3.5).AsMass().Kilograms;
                rung.Pull!.End.Kilograms.ShouldBeInRange(0, most + 1e-6);
                rung.Pull.Start.Kilograms.ShouldBeInRange(0, most + 1e-6);
            }
        });

    /// <summary>max(mean, end / 1.3) where the press eases off, max(mean, end) where the row does not (common practice).</summary>
    [Theory]
    [InlineData("band-overhead-press", 1.3)]
    [InlineData("band-standing-row", 1.0)]
    [InlineData("band-curl", 1.0)]
    public void What_counts_for_failure_is_the_mean_or_the_eased_end(string exercise, double eases)
    {
        var rungs = For(exercise, People.Loop()).Rungs;
        rungs.ShouldNotBeEmpty();
        foreach (var rung in rungs)
        {
            rung.Load.Kilograms.ShouldBe(Math.Max(rung.Pull!.Mean.Kilograms, rung.Pull.End.Kilograms / eases), 1e-9);
            rung.Pull.End.ShouldBeGreaterThan(rung.Pull.Start);
            rung.Pull.Mean.Kilograms.ShouldBeInRange(rung.Pull.Start.Kilograms, rung.Pull.End.Kilograms);
        }
    }

    /// <summary>Standing further away stretches more; the stance lengthens the path under the feet (common practice).</summary>
    [Theory]
    [InlineData("band-standing-row", "hands ", " cm from")]
    [InlineData("band-overhead-press", "feet ", " cm apart")]
    public void Further_and_wider_is_heavier(string exercise, string before, string after)
    {
        var single = For(exercise, People.Loop()).Rungs
            .Where(r => !r.Recipe.Text.Contains("folded", StringComparison.Ordinal) && !r.Recipe.Text.Contains("choked", StringComparison.Ordinal))
            .Select(r => (r.Load, At: int.Parse(r.Recipe.Text.Split(before)[1].Split(after)[0], System.Globalization.CultureInfo.InvariantCulture)))
            .OrderBy(r => r.At)
            .ToArray();
        single.Length.ShouldBeGreaterThan(5);
        single.Select(r => r.Load.Kilograms).ShouldBeInOrder();
    }

    [Fact]
    public void Two_bands_together_pull_as_much_as_both()
    {
        var one = For("band-standing-row", People.Loop("grey"));
        var both = For("band-standing-row", People.Loop("grey"), People.Loop("red", 2));
        var rung = both.Rungs.First(r => r.Recipe.Text.StartsWith("grey + red, hands 150 cm", StringComparison.Ordinal));
        var alone = one.Rungs.Single(r => r.Recipe.Text == "grey, hands 150 cm from the anchor at the start");
        rung.Load.Kilograms.ShouldBe(alone.Load.Kilograms * 3, 0.001);
        both.Rungs[^1].Load.ShouldBeGreaterThan(one.Rungs[^1].Load);
    }

    /// <summary>A sling takes most off at the bottom, a band from the bar least at the top, where each is hardest.</summary>
    [Fact]
    public void Help_is_what_is_left_at_the_hardest_position()
    {
        foreach (var rung in For("sling-push-up", People.Loop()).Rungs)
        {
            rung.Load.Kilograms.ShouldBe(-rung.Pull!.Start.Kilograms, 1e-9);
            rung.Pull.Start.ShouldBeGreaterThan(rung.Pull.End);
        }

        var hang = For("band-assisted-pull-up", People.Loop("stout", 3)).Rungs;
        hang.ShouldNotBeEmpty();
        hang.ShouldAllBe(r => Math.Abs(r.Load.Kilograms + r.Pull!.End.Kilograms) < 1e-9 && r.Pull.End < r.Pull.Start);
    }

    [Fact]
    public void Mini_bands_go_round_the_thighs_and_nowhere_else()
    {
        For("mini-band-side-step", Mini).Rungs.ShouldNotBeEmpty();
        For("mini-band-side-step", People.Loop()).Rungs.ShouldBeEmpty();
        For("band-curl", Mini).Rungs.ShouldBeEmpty();
    }

    /// <summary>Underfoot a loop may be folded in two; behind the back nobody folds it once more (common practice).</summary>
    [Fact]
    public void A_band_is_folded_only_where_people_fold_it()
    {
        For("band-curl", People.Loop()).Rungs.ShouldContain(r => r.Recipe.Text.Contains("folded", StringComparison.Ordinal));
        For("band-floor-press", People.Loop()).Rungs.ShouldAllBe(r => !r.Recipe.Text.Contains("folded", StringComparison.Ordinal));
    }

    [Fact]
    public void A_rough_curve_and_one_past_its_pulls_are_said_to_be_so()
    {
        var rough = People.Loop() with { Pulls = [new(Length.FromMetres(1.56), Force.FromNewtons(31))] };
        For("band-curl", rough).Rungs.ShouldAllBe(r => r.Pull!.Rough && r.Error > r.Load * 0.2);
        For("band-standing-row", rough).Rungs[^1].Pull!.PastMeasured.ShouldBeTrue();
    }

    /// <summary>A tube is held by both handles: under the feet it runs up twice, so it is never slack at the thigh.</summary>
    [Fact]
    public void A_tube_runs_twice()
    {
        var tube = People.Loop("tube") with { Shape = BandShape.Tube };
        For("band-curl", tube).Rungs[0].Pull!.Start.ShouldBeGreaterThan(Mass.Zero);
    }
}
