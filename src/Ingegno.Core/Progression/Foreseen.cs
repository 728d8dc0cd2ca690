using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>
/// What the next session of a line is forecast to allow, set by set, with what was learned so far. The range holds what is not known of the
/// maximum and how far this client's sets lie from their forecasts.
/// </summary>
public static class Foreseen
{
    /// <summary>Whether every set is forecast to reach its count with so many left over; false where nothing is forecast.</summary>
    public static bool Leaves(double reserve, Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor)
    {
        var sets = Of(line, exercise, client, anchor);
        return !sets.IsEmpty && sets.Zip(line.Counts, (range, count) => range.Middle >= count + reserve).All(reached => reached);
    }

    /// <returns>Repetitions to failure of each set with their 80 percent range; empty where nothing is forecast.</returns>
    public static ImmutableArray<RepetitionRange> Of(Prescription line, Exercise exercise, ClientProfile client, StrengthAnchor? anchor)
    {
        if (anchor is null || !exercise.IsForecast || !line.Count.IsRepetitions())
        {
            return [];
        }

        var plan = new SetPlan(line.Counts, line.Load, line.Style, line.Rest, []) { Form = line.Form };
        var (low, middle, high) = (At(anchor.At(anchor.Low)), At(anchor), At(anchor.At(anchor.High)));
        return
        [
            .. Enumerable.Range(0, middle.Length).Select(i =>
            {
                double expected = middle[i].ToFailure, own = StrengthAnchor.EightyPercent * client.Learned.Unsteadiness * Math.Sqrt(SetError.Own(expected, 0));
                return new RepetitionRange(
                    Math.Max(0, expected - double.Hypot(expected - low[i].ToFailure, own)), expected, expected + double.Hypot(high[i].ToFailure - expected, own));
            }),
        ];

        ImmutableArray<ForecastSet> At(StrengthAnchor maximum) => plan.Forecast(new ExerciseEffort(exercise, client, maximum, line.Geometry));
    }
}
