using Ingegno.Core.Clients;

namespace Ingegno.Core.Progression;

/// <summary>How far a set may lie from its forecast when the body is known.</summary>
internal static class SetError
{
    /// <summary>The larger of 1.5 repetitions and 15 percent (common practice).</summary>
    private const double Repetitions = 1.5, Share = 0.15;

    /// <summary>No client is steadier than this, repetitions (common practice).</summary>
    private const double LeastOwn = 0.75;

    /// <summary>Standard deviation of what is done and said to be left, repetitions.</summary>
    internal static double Of(double expected) => Math.Max(Repetitions, Share * expected);

    /// <summary>
    /// Variance that stays when the form of the day and the misjudging of what is left, a repetition, are taken out: both are counted for
    /// themselves.
    /// </summary>
    /// <param name="form">What the form of the day is worth here, repetitions.</param>
    internal static double Own(double expected, double form) => Math.Max(
        LeastOwn * LeastOwn, Square(Of(expected)) - Square(form) - Square(Learned.UsualUnsaidSpread));

    private static double Square(double value) => value * value;
}
