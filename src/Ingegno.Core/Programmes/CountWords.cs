using Ingegno.Core.Effort;

namespace Ingegno.Core.Programmes;

/// <summary>A dose as a coach would write it.</summary>
public static class CountWords
{
    public static string Of(Prescription line)
    {
        string side = line.PerSide ? line.Alternating ? " a side, alternating" : " a side" : "";
        string counts = line.Counts.Distinct().Count() == 1 ? $"{line.Counts[0]}" : string.Join('/', line.Counts);
        string sets = line.OptionalSets > 0 ? $"{line.Counts.Length - line.OptionalSets} to {line.Counts.Length}" : $"{line.Counts.Length}";
        return line switch
        {
            { Form: SetForm.RestPause } => $"{line.Counts.Sum()}{side} in all: {string.Join(" + ", line.Counts)}",
            { Count: CountKind.AsManyAsPossible } => $"{sets} x as many as possible{side}, about {counts}",
            { Count: CountKind.UpTo } => $"{sets} x up to {line.TopOfRange}{side}{(line.Counts.All(c => c == line.TopOfRange) ? "" : $", about {counts}")}",
            { Count: CountKind.UntilEffort } => $"{sets} x until {line.Reserve:0.#} left{side}, about {counts}",
            { Count: CountKind.Total } => $"{line.Counts.Sum()} in total{side}, such as {string.Join('/', line.Counts)}",
            { Count: CountKind.UntilGrip } => $"{sets} x until the grip goes{side}",
            _ => $"{sets} x {counts}{Unit(line.Count)}{side}",
        };
    }

    /// <summary>What is counted, behind a number; nothing for repetitions.</summary>
    private static string Unit(CountKind kind) => kind switch
    {
        CountKind.Seconds => " s",
        CountKind.Breaths => " breaths",
        CountKind.Trips => " trips",
        CountKind.Steps => " steps",
        CountKind.Metres => " m",
        _ => "",
    };
}
