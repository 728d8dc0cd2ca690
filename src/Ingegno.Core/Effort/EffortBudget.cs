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

    /// <summary>What a hard push or pull of 20 to 30 s against something immovable drains (common practice; log).</summary>
    private const double PushQuick = 0.30, PushSlow = 0.20;

    /// <summary>Fully rested.</summary>
    public static EffortBudget Rested => default;

    /// <summary>0 when rested, 1 at failure.</summary>
    public double Drained => Quick + Slow + Lasting;

    /// <summary>What is left, 0 at failure.</summary>
    public double Left => Math.Max(0, 1 - Drained);

    /// <param name="amount">0 or more; may pass what is left when a logged set beat the forecast.</param>
    public EffortBudget AfterWork(double amount) =>
        new(Quick + (QuickShare * amount), Slow + (SlowShare * amount), Lasting + (LastingShare * amount));

    /// <summary>A maximal push before a set: the quick and the slow pool fill 30 : 20, and never past what is left.</summary>
    public EffortBudget AfterMaximalPush()
    {
        double part = Math.Min(1, Left / (PushQuick + PushSlow));
        return this with { Quick = Quick + (PushQuick * part), Slow = Slow + (PushSlow * part) };
    }

    /// <summary>A rest, cut anywhere, restores the same as in one piece.</summary>
    public EffortBudget AfterRest(Duration rest) => AfterRest(Recovery.Over(rest));

    /// <inheritdoc cref="AfterRest(Duration)"/>
    public EffortBudget AfterRest(Recovery recovery) =>
        new(Quick * recovery.Quick, Slow * recovery.Slow, Lasting * recovery.Lasting);
}

/// <summary>What is still drained of each pool after a rest, as a part of what was: worked out once, used for every set.</summary>
public readonly record struct Recovery(double Quick, double Slow, double Lasting)
{
    private const double QuickSeconds = 30, SlowSeconds = 170, LastingSeconds = 30 * 60;

    public static Recovery None { get; } = new(1, 1, 1);

    public static Recovery Over(Duration rest) => new(
        Math.Exp(-rest.Seconds / QuickSeconds),
        Math.Exp(-rest.Seconds / SlowSeconds),
        Math.Exp(-rest.Seconds / LastingSeconds));
}
