using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>
/// A band beside the weight that is held: where the heaviest load made of weights alone is not enough, the rungs go on with it and a
/// band. What counts for failure is the weight plus what the band counts there; along the movement the two add up.
/// </summary>
public static class WeightPlusBand
{
    /// <summary>Bands at most; more rungs than this over the heaviest weight tell nothing.</summary>
    private const int MostRungs = 24;

    /// <summary>A band counts at most this many times the weight beside it: past that it is band work with something in the way (coach).</summary>
    private const double MostBand = 2;

    /// <param name="held">An implement with at least one rung.</param>
    /// <param name="bands">What bands give beside it, lightest first; may be empty.</param>
    public static HeldImplement On(HeldImplement held, LoadLadder bands)
    {
        var heaviest = held.Ladder.Rungs[^1];
        int every = Math.Max(1, (bands.Rungs.Length + MostRungs - 1) / MostRungs);
        return held with
        {
            Ladder = LoadLadder.From([.. held.Ladder.Rungs, .. bands.Rungs
                .Where((band, i) => i % every == 0 && band.Load <= heaviest.Load * MostBand)
                .Select(band => Together(heaviest, band))]),
        };
    }

    private static Rung Together(Rung weight, Rung band) => new(
        weight.Load + band.Load,
        new Recipe([.. weight.Recipe.Pieces, .. band.Recipe.Pieces], $"{weight.Recipe.Text}, and {band.Recipe.Text}"),
        Together(weight.Error, band.Error),
        band.Pull is { } pull
            ? pull with { Start = pull.Start + weight.Load, Middle = pull.Middle + weight.Load, End = pull.End + weight.Load, Mean = pull.Mean + weight.Load }
            : null);

    private static Mass? Together(Mass? one, Mass? other) =>
        one is null && other is null ? null
        : Mass.FromKilograms(double.Hypot((one ?? Mass.Zero).Kilograms, (other ?? Mass.Zero).Kilograms));
}
