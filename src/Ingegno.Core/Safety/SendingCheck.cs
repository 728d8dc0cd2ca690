using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Safety;

/// <summary>What is still blank in a prescription. A client alone with a phone cannot ask: sets, rest, tempo and load must all stand there.</summary>
public static class SendingCheck
{
    public static IEnumerable<string> Blanks(Prescription line)
    {
        if (line.Counts.IsEmpty || line.Counts.Any(c => c < 1))
        {
            yield return $"{line.Name}: no sets";
        }

        if (line.Counts.Length > 1 && line.Rest <= Duration.Zero)
        {
            yield return $"{line.Name}: no rest between sets";
        }

        if (line.Count.IsRepetitions() && line.Tempo is null)
        {
            yield return $"{line.Name}: no tempo";
        }

        if (string.IsNullOrWhiteSpace(line.LoadInWords) || (line.Load != Mass.Zero && line.Kit is null))
        {
            yield return $"{line.Name}: no load, or not what it is made of";
        }
    }

    /// <summary>The line with what goes without saying said: an unhurried two seconds down and one up where no tempo is given.</summary>
    public static Prescription Spelled(Prescription line) =>
        line.Count.IsRepetitions() && line.Tempo is null ? line with { Tempo = Tempo.Reference } : line;
}
