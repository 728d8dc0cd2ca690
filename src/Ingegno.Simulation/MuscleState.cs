namespace Ingegno.Simulation;

/// <summary>
/// Motor units of one muscle group as parts of 1: resting, active, fatigued. What is active tires, what is tired recovers, and the whole
/// that is not tired is the strength left (Xia and Frey-Law 2008, J Biomech 41:3046-3052). Another law than the budget of pools the
/// forecasts use: here tiring depends on what is active, and rest works on what is tired at one rate.
/// </summary>
internal sealed class MuscleState(double fatigue, double recovery) : IMuscle
{
    private const double Step = 0.1;

    private double _fatigued;

    public double Left => 1 - _fatigued;

    /// <param name="endurance">Below 1 it tires faster.</param>
    /// <param name="recovery">Below 1 it recovers slower.</param>
    internal static MuscleState Of(MuscleRegion region, double endurance, double recovery)
    {
        var rates = FatigueRates.Of(region);
        return new(rates.Fatigue / endurance, rates.Recovery * recovery);
    }

    public IMuscle Copy() => new MuscleState(fatigue, recovery) { _fatigued = _fatigued };

    public bool Work(double activation, double seconds)
    {
        for (double done = 0; done < seconds - 1e-9; done += Step)
        {
            if (activation > Left + 1e-12)
            {
                return false;
            }

            double step = Math.Min(Step, seconds - done);
            _fatigued = Math.Clamp(_fatigued + (((fatigue * activation) - (recovery * _fatigued)) * step), 0, 1);
        }

        return true;
    }

    public void Rest(double seconds) => _fatigued *= Math.Exp(-recovery * FatigueRates.RestMultiplier * seconds);
}
