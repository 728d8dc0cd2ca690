using System.Globalization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>A set in a coach's words: "8 with 12 kg, 2 left".</summary>
public static class SetWords
{
    /// <param name="beside">Another account of it: what they share is left out. Null for all of it.</param>
    public static string Of(SetLog set, SetLog? beside = null)
    {
        var words = new List<string> { set.Repetitions.ToString(CultureInfo.InvariantCulture) + (set.OtherSide is { } other ? $" and {other} on the other side" : "") };
        Add(set.Load != beside?.Load && set.Load != Mass.Zero, $"with {set.Load}");
        Add(set.Reserve != beside?.Reserve && set.Reserve is not null, $"{set.Reserve} left");
        Add(set.Pain != (beside?.Pain ?? 0), set.Pain == 0 ? "no pain" : $"pain {set.Pain} of 10");
        Add(set.Finished != (beside?.Finished ?? 0), $"{set.Finished} on the easier variation");
        Add(set.Stopped != beside?.Stopped && set.Stopped is not null, $"stopped by {set.Stopped.ToString()!.ToLowerInvariant()}");
        return string.Join(", ", words);

        void Add(bool told, string word)
        {
            if (told)
            {
                words.Add(word);
            }
        }
    }
}
