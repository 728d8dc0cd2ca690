namespace Ingegno.Simulation;

/// <summary>One figure on a device's display.</summary>
/// <param name="At">Since the measurement began.</param>
/// <param name="Value">In the device's own unit: newtons, kilograms, degrees.</param>
/// <param name="Steady">The display has settled: near enough to itself for half a second.</param>
public readonly record struct DisplayedValue(TimeSpan At, double Value, bool Steady);

/// <summary>
/// What a cheap measuring device shows while somebody pulls, stands or holds: a rise, an overshoot that creeps back, noise,
/// a slow drift, and the display's own step. Same seed, same figures.
/// </summary>
public sealed class Signal(int seed, double step, double noise, double driftPerSecond)
{
    private const double Rise = 0.35, Creep = 0.02, CreepTime = 0.8;
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);
    private const int Count = 28, SettledAfter = 17;

    /// <summary>About three seconds of figures towards a true value.</summary>
    public IEnumerable<DisplayedValue> Towards(double truth)
    {
        var chance = new Random(seed);
        for (int i = 0; i < Count; i++)
        {
            double t = i * Between.TotalSeconds;
            double settled = truth * (1 - Math.Exp(-t / Rise)) * (1 + (Creep * Math.Exp(-t / CreepTime)));
            double shown = settled + (driftPerSecond * t) + (noise * Normal(chance));
            yield return new(i * Between, Math.Round(Math.Max(0, shown) / step) * step, i >= SettledAfter);
        }
    }

    /// <summary>Standard normal, by Box and Muller.</summary>
    private static double Normal(Random chance) =>
        Math.Sqrt(-2 * Math.Log(1 - chance.NextDouble())) * Math.Cos(2 * Math.PI * chance.NextDouble());
}
