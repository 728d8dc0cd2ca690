using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>
/// What the plain formulas say of the next rung: a second opinion beside the forecast, for external loads and counts to twelve, where they hold
/// (Epley; Brzycki; LeSuer et al. 1997, J Strength Cond Res 11:211-213; from memory).
/// </summary>
internal static class PlainFormulas
{
    private const int MostRepetitions = 12;

    /// <summary>Repetitions with another load by the lower of both, read off the last set of a session; null where they do not hold.</summary>
    internal static double? Repetitions(SetLog[] session, Prescription line, Exercise exercise, Rung next)
    {
        var set = session[^1];
        double done = Sides.Done(set) + (set.ToLimit ? 0 : set.Reserve?.Figure ?? 0);
        if (exercise.Load.Body != BodyModel.None || exercise.Band is not null || line.Style != Effort.RepetitionStyle.Plain || line.Counts.Max() > MostRepetitions
            || done is < 2 or > MostRepetitions || set.Load <= Quantities.Mass.Zero)
        {
            return null;
        }

        double ratio = next.Load / set.Load;
        double epley = 30 * (((1 + (done / 30)) / ratio) - 1), brzycki = 37 - ((37 - done) * ratio);
        return Math.Min(epley, brzycki);
    }
}
