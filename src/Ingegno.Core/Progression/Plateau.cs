namespace Ingegno.Core.Progression;

/// <summary>Whether a smoothed estimate still rises.</summary>
public enum Trend
{
    /// <summary>Too few exposures to say: "no change yet" is all that may be said.</summary>
    TooEarly,
    Rising,

    /// <summary>Not above its value four exposures ago by more than its own noise.</summary>
    Flat,

    /// <summary>Clearly under it.</summary>
    Falling,
}

/// <summary>Reads a plateau off the estimates of one exercise, an exposure each.</summary>
public static class Plateau
{
    /// <summary>Weight of the newest, exposures looked back over, and the fewest that allow a judgement (coach).</summary>
    public const double Newest = 0.3;

    public const int Back = 4, Fewest = 7;

    /// <summary>A rise of less is noise, a fall of more is no flat line any more (common practice).</summary>
    private const double ClearRise = 0.01, ClearFall = 0.03;

    /// <summary>
    /// Of the scatter round the smoothed line so much may move it by chance, one time in ten: 1.28 times the standard deviation of the difference
    /// of two smoothed values (variance of an exponential mean a / (2 - a); Brown 1963, from memory).
    /// </summary>
    private static readonly double ByChance = 1.28 * Math.Sqrt(2 * Newest / (2 - Newest));

    /// <param name="estimates">Oldest first.</param>
    public static Trend Of(IReadOnlyList<double> estimates)
    {
        if (estimates.Count < Fewest)
        {
            return Trend.TooEarly;
        }

        double[] smooth = Smoothed(estimates);
        double now = smooth[^1], then = smooth[^(Back + 1)];
        double noise = ByChance * Math.Sqrt(estimates.Skip(1).Zip(smooth, (seen, before) => Math.Pow(seen - before, 2)).TakeLast(Fewest).Average() * (2 - Newest) / 2);
        return now - then > Math.Max(then * ClearRise, noise) ? Trend.Rising : then - now > Math.Max(then * ClearFall, noise) ? Trend.Falling : Trend.Flat;
    }

    /// <summary>Exponential smoothing from the first value on.</summary>
    public static double[] Smoothed(IReadOnlyList<double> estimates)
    {
        double[] smooth = [.. estimates];
        for (int i = 1; i < smooth.Length; i++)
        {
            smooth[i] = (Newest * estimates[i]) + ((1 - Newest) * smooth[i - 1]);
        }

        return smooth;
    }
}
