using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// What work has drained from a muscle's budget of 1, in three pools that refill at their own pace. Work drains
/// them 60 : 37 : 3; rest lets them fall by e^(-t/30 s), e^(-t/170 s) and e^(-t/30 min) (common practice;
/// re-estimated from the log). A value: every step gives a new one.
/// </summary>
public readonly record struct EffortBudget(double Quick, double Slow, double Lasting)
{
    private const double QuickShare = 0.60, SlowShare = 0.37, LastingShare = 0.03;
    private const double QuickSeconds = 30, SlowSeconds = 170, LastingSeconds = 30 * 60;

    /// <summary>Fully rested.</summary>
    public static EffortBudget Rested => default;

    /// <summary>0 when rested, 1 at failure.</summary>
    public double Drained => Quick + Slow + Lasting;

    /// <summary>What is left, 0 at failure.</summary>
    public double Left => Math.Max(0, 1 - Drained);

    /// <param name="amount">0 or more; may pass what is left when a logged set beat the forecast.</param>
    public EffortBudget AfterWork(double amount) =>
        new(Quick + (QuickShare * amount), Slow + (SlowShare * amount), Lasting + (LastingShare * amount));

    /// <summary>A rest, cut anywhere, restores the same as in one piece.</summary>
    public EffortBudget AfterRest(Duration rest) =>
        new(
            Quick * Math.Exp(-rest.Seconds / QuickSeconds),
            Slow * Math.Exp(-rest.Seconds / SlowSeconds),
            Lasting * Math.Exp(-rest.Seconds / LastingSeconds));
}
