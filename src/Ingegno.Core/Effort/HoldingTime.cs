using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// How long a steady contraction can be held. Rohmert 1960, Int Z angew Physiol 18:123-164:
/// minutes = -1.5 + 2.1/k - 0.6/k^2 + 0.1/k^3, falling for every k above zero.
/// </summary>
public static class HoldingTime
{
    /// <param name="demand">Force over the greatest force, above 0.</param>
    public static Duration At(Demand demand)
    {
        double u = 1 / demand.Value;
        return Duration.FromMinutes(-1.5 + (2.1 * u) - (0.6 * u * u) + (0.1 * u * u * u));
    }
}
