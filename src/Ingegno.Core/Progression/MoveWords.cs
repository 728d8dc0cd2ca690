using System.Globalization;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Progression;

/// <summary>Tells why an estimate moved: by how much the last sets beat their forecast or fell short of it.</summary>
internal static class MoveWords
{
    /// <summary>A smaller move of the maximum is not worth a sentence.</summary>
    private const double WorthTelling = 0.01;

    /// <summary>Null where nothing worth telling moved.</summary>
    internal static string? Of(string name, TrainedSet[] done, SetHindsight[] foreseen, LearnedFactor before, LearnedFactor after)
    {
        double moved = (after.Factor / before.Factor) - 1;
        // A reserve of "7 or more", or none said, tells nothing where the forecast lies higher.
        int[] over =
        [
            .. foreseen.Select((f, i) => (done[i].Set, By: (int)Math.Round(f.Observed - f.ToFailure.Middle, MidpointRounding.AwayFromZero)))
                .Where(s => s.Set.EndedByMuscle && (s.By > 0 || s.Set.ToLimit || s.Set.Reserve is { IsOpen: false }))
                .Select(s => s.By),
        ];
        if (Math.Abs(moved) < WorthTelling || over.Length == 0 || (moved > 0 ? over.All(o => o <= 0) : over.All(o => o >= 0)))
        {
            return null;
        }

        string how = over.All(o => o >= 0) ? "beat the forecast by" : over.All(o => o <= 0) ? "fell short of the forecast by" : "came out against the forecast by";
        bool mixed = over.Any(o => o > 0) && over.Any(o => o < 0);
        string figures = string.Join(", ", over.Select(o => mixed ? o.ToString("+0;-0;0", CultureInfo.InvariantCulture) : Math.Abs(o).ToString(CultureInfo.InvariantCulture)));
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{name}: {(over.Length == 1 ? "the set" : $"the {over.Length} sets")} {how} {figures}; the estimate {(moved > 0 ? "rises" : "falls")} by {Math.Abs(moved) * 100:0.#} %.");
    }
}
