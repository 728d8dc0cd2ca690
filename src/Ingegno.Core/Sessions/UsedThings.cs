using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Sessions;

/// <summary>What a prescription is loaded with, thing by thing, each with its own part of the recipe.</summary>
internal static class UsedThings
{
    /// <summary>
    /// The weight by its id; bands by their names, as several may be used at once, alone or beside a weight ("the 8 kg bag, and Grey loop, choked up
    /// 20 cm").
    /// </summary>
    internal static IEnumerable<(KitItem Item, string Setting)> Of(Prescription line, Home home)
    {
        int recipe = line.LoadInWords.IndexOf(": ", StringComparison.Ordinal);
        string words = recipe < 0 ? "" : line.LoadInWords[(recipe + 2)..];
        var bands = line.Kit is null
            ? []
            : home.Kit.OfType<Band>()
                .Select(b => (Band: b, At: words.IndexOf(b.Name, StringComparison.Ordinal)))
                .Where(b => b.At >= 0)
                .OrderBy(b => b.At)
                .ToArray();
        if (home.Kit.FirstOrDefault(k => k.Id == line.Kit) is { } weight)
        {
            string own = bands.Length > 0 ? words[..bands[0].At] : words;
            yield return (weight, own.EndsWith(", and ", StringComparison.Ordinal) ? own[..^6] : own);
        }

        for (int i = 0; i < bands.Length; i++)
        {
            int from = bands[i].At + bands[i].Band.Name.Length, to = i + 1 < bands.Length ? bands[i + 1].At : words.Length;
            yield return (bands[i].Band, from >= to ? "" : words[from..to].Trim(',', ' '));
        }
    }
}
