using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>
/// Reads a session back as a plain sentence before it is sent: ten rounds of ten on four one-sided exercises and one two-sided one is nine hundred
/// repetitions, and a coach should see that.
/// </summary>
public static class ReadBack
{
    /// <param name="length">With warm-up and cool-down.</param>
    public static string Of(string title, Duration length, IReadOnlyCollection<Prescription> lines)
    {
        int sets = lines.Sum(l => l.Counts.Length);
        int repetitions = lines.Where(l => l.Count.IsRepetitions()).Sum(Total);
        int seconds = lines.Where(l => l.Count == CountKind.Seconds).Sum(Total);
        int oneSided = lines.Count(l => l.PerSide);
        string[] work =
        [
            .. repetitions > 0 ? [$"{repetitions} repetitions in all"] : Array.Empty<string>(),
            .. seconds > 0 ? [$"{seconds} s held"] : Array.Empty<string>(),
        ];
        string sides = oneSided == 0 ? "" : $", both sides counted on {(oneSided == lines.Count ? "every exercise" : $"{oneSided} of them")}";
        return $"{title}: {Counted(lines.Count, "exercise")}, {Counted(sets, "set")}, {string.Join(" and ", work)}{sides}, about {Math.Round(length.Minutes):0} minutes with warm-up and cool-down.";
    }

    private static int Total(Prescription line) => line.Counts.Sum() * (line.PerSide ? 2 : 1);

    private static string Counted(int count, string word) => count == 1 ? $"1 {word}" : $"{count} {word}s";
}
