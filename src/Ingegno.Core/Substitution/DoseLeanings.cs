using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Substitution;

/// <summary>The house rules that changed a dose, told from the dose itself.</summary>
internal static class DoseLeanings
{
    internal static IEnumerable<Leaning> On(Dose dose, Intent intent, Exercise exercise, WrittenLine line, ClientProfile client, HouseRules rules)
    {
        if (rules.Teaches(Teaching.RestShort) && dose.Rest < intent.Rest)
        {
            yield return Named(Teaching.RestShort, $"rest {intent.Rest} cut to {dose.Rest}");
        }

        if (rules.Teaches(Teaching.ToFailure) && line.Intensity.Reserve is null && client.Level != Level.Beginner)
        {
            yield return Named(Teaching.ToFailure, $"read as {rules.ReserveFor(client):0} left, ends with {Math.Max(0, dose.Reserve):0.#}");
        }

        if (rules.Teaches(Teaching.LiftFast) && dose.Tempo.FastLifting && line.Tempo is null)
        {
            yield return Named(Teaching.LiftFast, $"tempo {dose.Tempo}");
        }

        bool pausesHigh = !exercise.LoadedAfterLowering && exercise.LoadedAfterLifting;
        if (rules.Teaches(Teaching.PauseAtLong) && pausesHigh && dose.Tempo != intent.Tempo)
        {
            yield return Named(Teaching.PauseAtLong, "no pause at the top: slower instead");
        }

        if (Purposes.IsCapped(line.Purpose))
        {
            yield return new($"Purpose: {line.Purpose.ToString()!.ToLowerInvariant()}", Dose: $"load kept under {Purposes.CappedDemand:P0} of what could be lifted");
        }
    }

    private static Leaning Named(Teaching teaching, string dose) => new(School.Named(teaching), Dose: dose);
}
