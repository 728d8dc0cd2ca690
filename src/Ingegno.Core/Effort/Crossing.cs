using MathNet.Numerics.RootFinding;

namespace Ingegno.Core.Effort;

/// <summary>Where something that only rises reaches what is asked of it; every inverse of the forecast is one (Brent 1973, by MathNet).</summary>
internal static class Crossing
{
    /// <summary>Far under a gram and a hundredth of a repetition.</summary>
    private const double Accuracy = 1e-9;

    private const int MostTries = 200;

    /// <param name="over">How far it is over what is asked: rises from <paramref name="low"/> to <paramref name="high"/>, corners and level stretches allowed.</param>
    /// <returns>The end at which it is already over, or still under, where it is so all the way.</returns>
    internal static double Of(Func<double, double> over, double low, double high)
    {
        if (over(low) >= 0)
        {
            return low;
        }

        if (over(high) <= 0)
        {
            return high;
        }

        // At a jump it says that it cannot come nearer to nought; where it jumps is what is looked for.
        _ = Brent.TryFindRoot(over, low, high, Accuracy, MostTries, out double root);
        return root;
    }
}
