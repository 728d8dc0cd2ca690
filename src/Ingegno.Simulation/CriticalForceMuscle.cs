namespace Ingegno.Simulation;

/// <summary>
/// A second law: a force that could be held for very long, and a finite capacity for all above it, which comes back at a rate of its own
/// (critical power carried over to force: Monod and Scherrer 1965, Ergonomics 8:329-338; its intermittent form: Skiba et al. 2012, Med Sci Sports
/// Exerc 44:1526-1532; both from memory). Strength left falls with the root of the capacity left. Another shape than the pools of the forecasts
/// and than <see cref="MuscleState"/>: easy work costs nothing at all, and everything recovers at one rate.
/// </summary>
/// <param name="critical">Force held without tiring, 0 to 1.</param>
/// <param name="capacity">Seconds at the full strength above it.</param>
/// <param name="recovers">Time constant, seconds.</param>
internal sealed class CriticalForceMuscle(double critical, double capacity, double recovers) : IMuscle
{
    private const double Step = 0.1;

    private double _spent;

    public double Left => critical + ((1 - critical) * Math.Sqrt(Math.Max(0, 1 - (_spent / capacity))));

    /// <summary>
    /// Chosen so that the mean body lies near the load charts, with the body counted (common practice): legs, which carry it, hold a larger part for long.
    /// </summary>
    /// <param name="endurance">Below 1 the capacity is smaller.</param>
    /// <param name="recovery">Below 1 it comes back slower.</param>
    internal static CriticalForceMuscle Of(MuscleRegion region, double endurance, double recovery)
    {
        var (critical, capacity, recovers) = region switch
        {
            MuscleRegion.Arms => (0.20, 18, 95),
            MuscleRegion.Elbow => (0.18, 17, 85),
            MuscleRegion.Knee => (0.42, 19, 100),
            MuscleRegion.Hip => (0.30, 18, 110),
            MuscleRegion.Ankle => (0.35, 24, 80),
            MuscleRegion.Trunk => (0.30, 22, 90),
            _ => throw new ArgumentOutOfRangeException(nameof(region)),
        };
        return new(critical, capacity * endurance, recovers / recovery);
    }

    public IMuscle Copy() => new CriticalForceMuscle(critical, capacity, recovers) { _spent = _spent };

    public bool Work(double activation, double seconds)
    {
        for (double done = 0; done < seconds - 1e-9; done += Step)
        {
            if (activation > Left + 1e-12)
            {
                return false;
            }

            double step = Math.Min(Step, seconds - done);
            _spent = activation > critical
                ? Math.Min(capacity, _spent + ((activation - critical) * step))
                : _spent * Math.Exp(-step / recovers);
        }

        return true;
    }

    public void Rest(double seconds) => _spent *= Math.Exp(-seconds / recovers);
}
