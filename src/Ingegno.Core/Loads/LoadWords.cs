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

        string total = implement.Hold switch
        {
            not Hold.Band when rung.Pull is { } pull => $"weight and band as {rung.Load}{(pull.Rough ? ", roughly" : "")}",
            Hold.Pair => $"{rung.Load * 0.5} in each hand",
            Hold.Band when rung.Load < Mass.Zero => $"{rung.Load * -1} taken off by the band",
            Hold.Band => $"as heavy as {rung.Load}{(rung.Pull is { Rough: true } ? ", roughly" : "")}",
            Hold.FootOnScale => $"{rung.Load * -1} taken off by a foot",
            _ => $"{rung.Load} {Words(implement.Hold)}",
        };
        string error = rung.Error is { } off && implement.Hold is not (Hold.Band or Hold.FootOnScale) ? $", give or take {Tenths(off)}" : "";
        return $"{total}{error}. {implement.Name}: {rung.Recipe.Text}";
    }

    /// <summary>Nobody feels a tenth of a kilogram more or less in an error; fine ones are told to the gram scale's digit.</summary>
    private static Mass Tenths(Mass error) =>
        error < Mass.FromKilograms(1) ? error : Mass.FromKilograms(Math.Round(error.Kilograms, 1));

    private static string Words(Hold hold) => hold switch
    {
        Hold.OneHand => "in one hand",
        Hold.Pair => "in each hand",
        Hold.AtChest => "at the chest",
        Hold.BothHands => "in both hands",
        Hold.OnBack => "on the back",
        Hold.AcrossHips => "across the hips",
        Hold.Bar => "on the bar",
        _ => throw new ArgumentOutOfRangeException(nameof(hold)),
    };
}
