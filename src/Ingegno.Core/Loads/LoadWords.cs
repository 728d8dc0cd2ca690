using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>A load as the client reads it: how much, held how, built from what.</summary>
public static class LoadWords
{
    /// <returns>"own weight", or "7.4 kg on the back. Rucksack: 3 big bottles + 2 books".</returns>
    public static string Of(Rung rung, HeldImplement? implement)
    {
        if (implement is null || rung.Load == Mass.Zero)
        {
            return "own weight";
        }

        string total = implement.Hold == Hold.Pair
            ? $"{rung.Load * 0.5} in each hand"
            : $"{rung.Load} {Words(implement.Hold)}";
        return $"{total}. {implement.Name}: {rung.Recipe.Text}";
    }

    private static string Words(Hold hold) => hold switch
    {
        Hold.OneHand => "in one hand",
        Hold.Pair => "in each hand",
        Hold.AtChest => "at the chest",
        Hold.BothHands => "in both hands",
        Hold.OnBack => "on the back",
        Hold.AcrossHips => "across the hips",
        _ => throw new ArgumentOutOfRangeException(nameof(hold)),
    };
}
