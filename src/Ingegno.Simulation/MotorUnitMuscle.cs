namespace Ingegno.Simulation;

/// <summary>
/// A third law: motor units from weak to strong, called on in that order as the force asks for them (Henneman's size principle); each tires while it
/// works, the strong ones faster, and comes back while it does not (after Potvin and Fuglevand 2017, PLoS Comput Biol 13:e1005581, with far fewer units
/// and one rate of recovery; from memory). In contrast to <see cref="MuscleState"/> and <see cref="CriticalForceMuscle"/> no single number says how
/// tired the muscle is: light work spends the weak units and spares the strong.
/// </summary>
/// <param name="tires">Part of its strength the strongest unit loses a second of work.</param>
/// <param name="recovers">Time constant, seconds.</param>
internal sealed class MotorUnitMuscle(double tires, double recovers) : IMuscle
{
    private const double Step = 0.1;

    /// <summary>The strongest unit has so many times the force of the weakest, and the loss goes with the root of the force.</summary>
    private const double Span = 30, LossWithForce = 0.5;

    private static readonly double[] Forces = Shares(24);

    /// <summary>What a unit loses as a part of what the strongest does.</summary>
    private static readonly double[] Losses = [.. Forces.Select(f => Math.Pow(f / Forces[^1], LossWithForce))];

    private readonly double[] _left = [.. Enumerable.Repeat(1.0, Forces.Length)];

    public double Left
    {
        get
        {
            double left = 0;
            for (int i = 0; i < _left.Length; i++)
            {
                left += Forces[i] * _left[i];
            }

            return left;
        }
    }

    /// <summary>
    /// Chosen so that the mean body lies near the load charts, with the body counted: presses eight or nine repetitions at 80 percent and about twenty at 60
    /// (Hoeger et al. 1990, J Appl Sport Sci Res 4:47-54, from memory), legs more.
    /// </summary>
    /// <param name="endurance">Below 1 units tire faster.</param>
    /// <param name="recovery">Below 1 they come back slower.</param>
    internal static MotorUnitMuscle Of(MuscleRegion region, double endurance, double recovery)
    {
        double tires = region switch
        {
            MuscleRegion.Arms => 0.022,
            MuscleRegion.Elbow => 0.025,
            MuscleRegion.Knee => 0.014,
            MuscleRegion.Hip => 0.018,
            MuscleRegion.Ankle => 0.012,
            MuscleRegion.Trunk => 0.016,
            _ => throw new ArgumentOutOfRangeException(nameof(region)),
        };
        return new(tires / endurance, 130 / recovery);
    }

    public IMuscle Copy()
    {
        var copy = new MotorUnitMuscle(tires, recovers);
        _left.CopyTo(copy._left, 0);
        return copy;
    }

    public bool Work(double activation, double seconds)
    {
        for (double done = 0; done < seconds - 1e-9; done += Step)
        {
            if (activation > Left + 1e-12)
            {
                return false;
            }

            Pass(activation, Math.Min(Step, seconds - done));
        }

        return true;
    }

    public void Rest(double seconds)
    {
        for (int i = 0; i < _left.Length; i++)
        {
            _left[i] = 1 - ((1 - _left[i]) * Math.Exp(-seconds / recovers));
        }
    }

    /// <summary>The weakest work first; the last one called works as far as it is needed.</summary>
    private void Pass(double needed, double seconds)
    {
        for (int i = 0; i < _left.Length; i++)
        {
            double there = Forces[i] * _left[i], part = there > 0 ? Math.Clamp(needed / there, 0, 1) : needed > 0 ? 1 : 0;
            needed -= part * there;
            double back = (1 - _left[i]) * (1 - part) / recovers, lost = tires * Losses[i] * part * _left[i];
            _left[i] = Math.Clamp(_left[i] + ((back - lost) * seconds), 0, 1);
        }
    }

    private static double[] Shares(int units)
    {
        double[] forces = [.. Enumerable.Range(0, units).Select(i => Math.Pow(Span, i / (units - 1.0)))];
        double all = forces.Sum();
        return [.. forces.Select(f => f / all)];
    }
}
