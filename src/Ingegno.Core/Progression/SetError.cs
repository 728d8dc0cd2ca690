using Ingegno.Core.Clients;
using Ingegno.Core.Effort;

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

    /// <summary>Fewer repetitions than this are reckoned as this many, where their logarithm is taken.</summary>
    internal const double Fewest = 0.5;

    /// <summary>
    /// Variance that stays when the form of the day and the misjudging of what is left, a repetition, are taken out: both are counted for
    /// themselves.
    /// </summary>
    /// <param name="form">What the form of the day is worth here, repetitions.</param>
    internal static double Own(double expected, double form) => Math.Max(
        LeastOwn * LeastOwn, Square(Of(expected)) - Square(form) - Square(Learned.UsualUnsaidSpread));

    /// <summary>Repetitions to failure, four of five times.</summary>
    /// <param name="variance">Of their logarithm, for all that is not known of the body.</param>
    /// <param name="form">What the form of the day is worth, of their logarithm.</param>
    /// <param name="unsteadiness">Of the client, 1 for most.</param>
    internal static RepetitionRange Range(double expected, double variance, double form, double unsteadiness)
    {
        double reach = StrengthAnchor.EightyPercent * Math.Sqrt(Math.Max(0, variance) + Square(form));
        return Range(expected, -reach, reach, 0, form, unsteadiness);
    }

    /// <summary>The same where what is not known of the body is worth more on one side than on the other.</summary>
    /// <param name="down">Of the logarithm of repetitions, four of five times: at most 0; <paramref name="up"/> at least 0.</param>
    /// <param name="shared">Variance of their logarithm for what partners take.</param>
    internal static RepetitionRange Range(double expected, double down, double up, double shared, double form, double unsteadiness)
    {
        double few = Math.Max(Fewest, expected);
        double own = Square(StrengthAnchor.EightyPercent) * (shared + (Own(expected, form * few) * Square(unsteadiness) / Square(few)));
        return new(expected * Math.Exp(-Math.Sqrt(Square(down) + own)), expected, few * Math.Exp(Math.Sqrt(Square(up) + own)));
    }

    private static double Square(double value) => value * value;
}
