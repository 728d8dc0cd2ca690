namespace Ingegno.Core.Progression;

/// <summary>
/// Watches whether what is said to be left follows the sets. The same answer to sets that were foreseen to leave now more, now less, tells a habit,
/// not a judgement: it weighs little then, and sets to failure and to the limit alone say how much is left. Who stops a set short judges.
/// </summary>
internal readonly record struct ConstantAnswer(double? Said, int Running, double LeastForeseen, double MostForeseen)
{
    /// <summary>So many answers alike, to sets foreseen to differ by so many repetitions left (common practice).</summary>
    private const int Enough = 12;

    private const double Apart = 1.5;

    internal static ConstantAnswer None { get; } = new(null, 0, 0, 0);

    internal static ConstantAnswer Always(double said) => new(said, Enough, 0, Apart);

    /// <summary>The answer that always comes; null for who judges.</summary>
    internal double? Habit => Running >= Enough && MostForeseen - LeastForeseen >= Apart ? Said : null;

    /// <param name="foreseenLeft">Repetitions the set was foreseen to leave, or is known to have left.</param>
    internal ConstantAnswer After(TrainedSet trained, double foreseenLeft) =>
        trained.Set is var set && (trained.IsByFeel || set.Reserve is not { IsOpen: false } reserve || reserve.Figure <= 0) ? this
        : reserve.Figure == Said ? new(Said, Running + 1, Math.Min(LeastForeseen, foreseenLeft), Math.Max(MostForeseen, foreseenLeft))
        : new(reserve.Figure, 1, foreseenLeft, foreseenLeft);
}
