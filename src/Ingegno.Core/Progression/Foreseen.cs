using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>
/// What the next session of a line is forecast to allow, set by set, with what was learned so far. The range holds all that is not known: the
/// maximum, how long this client lasts and how soon they recover, the form of the day, and how far their sets lie from their forecasts.
/// </summary>
public static class Foreseen
{
    /// <summary>A small step of a logarithm, to see how the forecast bends.</summary>
    private const double Nudge = 0.01;

    /// <summary>Whether every set is forecast to reach its count with so many left over; false where nothing is forecast.</summary>
    public static bool Leaves(double reserve, Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor)
    {
        var sets = Middle(line, exercise, client, anchor);
        return !sets.IsEmpty && sets.Zip(line.Counts, (set, count) => set.ToFailure >= count + reserve).All(reached => reached);
    }

    /// <returns>Repetitions to failure of each set with their 80 percent range; empty where nothing is forecast.</returns>
    public static ImmutableArray<RepetitionRange> Of(Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor)
    {
        var middle = Middle(line, exercise, client, anchor);
        if (anchor is null || middle.IsEmpty)
        {
            return [];
        }

        // A factor on strength acts on all that is met, the body it moves counted.
        var body = anchor.IsTotal ? Mass.Zero : Resistance.BodyMoved(exercise.Load, client, new Geometry()) * client.BodyMass;
        var maximum = Bends(m => m.At(((m.Maximum + body) * Math.Exp(Nudge)) - body), m => m.At(((m.Maximum + body) * Math.Exp(-Nudge)) - body));
        var endurance = Bends(m => m with { Endurance = m.Endurance * Math.Exp(Nudge) }, m => m with { Endurance = m.Endurance * Math.Exp(-Nudge) });
        var recovery = Bends(m => m with { Recovery = m.Recovery * Math.Exp(Nudge) }, m => m with { Recovery = m.Recovery * Math.Exp(-Nudge) });
        var learned = client.Learned;
        return
        [
            .. middle.Select((set, i) =>
            {
                double form = maximum[i] * Belief.DayForm;
                double variance = Square(maximum[i] * anchor.Spread) + Square(endurance[i] * learned.Endurance.Spread) + Square(recovery[i] * learned.Recovery.Spread)
                    + (2 * maximum[i] * endurance[i] * anchor.WithEndurance)
                    + Square(form) + (SetError.Own(set.ToFailure, form) * Square(learned.Unsteadiness));
                double reach = StrengthAnchor.EightyPercent * Math.Sqrt(Math.Max(0, variance));
                return new RepetitionRange(Math.Max(0, set.ToFailure - reach), set.ToFailure, set.ToFailure + reach);
            }),
        ];

        double[] Bends(Func<StrengthAnchor, StrengthAnchor> up, Func<StrengthAnchor, StrengthAnchor> down) =>
            [.. Middle(line, exercise, client, up(anchor)).Zip(Middle(line, exercise, client, down(anchor)), (more, less) => (more.ToFailure - less.ToFailure) / (2 * Nudge))];
    }

    private static ImmutableArray<ForecastSet> Middle(Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor) =>
        anchor is null || !exercise.IsForecast || !line.Count.IsRepetitions()
            ? []
            : (new SetPlan(line.Counts, line.Load, line.Style, line.Rest, []) { Form = line.Form }).Forecast(new ExerciseEffort(exercise, client, anchor, line.Geometry));

    private static double Square(double value) => value * value;
}
