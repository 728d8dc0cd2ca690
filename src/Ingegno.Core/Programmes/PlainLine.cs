using System.Globalization;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Programmes;

/// <summary>
/// A written line in the notation's own plain form: what was read, in words that read back the same.
/// <code>
/// PlainLine.Of(line, Catalogue.Shipped) // "Goblet squat 3 x 8-12 a side, 24 kg, RIR 2, tempo 3-1-1-0, rest 90 s, 5 pulses"
/// </code>
/// </summary>
public static class PlainLine
{
    public static string Of(WrittenLine line, Catalogue catalogue)
    {
        string name = line.Exercise is { } id && catalogue.Find(id) is { } exercise ? exercise.Name : line.ExerciseName;
        string tag = line.Group is null ? "" : $"{line.Group}{(line.PlaceInGroup > 0 ? line.PlaceInGroup.ToString(CultureInfo.InvariantCulture) : ".")} ";
        var blocks = SetBlocks.Of(line);
        var parts = new List<string>();
        foreach (var block in blocks)
        {
            bool first = parts.Count == 0;
            parts.Add(first ? $"{tag}{name} {Sets(block)}" : Sets(block));
            Add(first && line.PerSide, line.Alternating ? "a side alternating" : "a side");
            Add(block.Intensity.Load is not null, $"{block.Intensity.Load?.Kilograms.ToString("0.###", CultureInfo.InvariantCulture)} kg");
            Add(block.Intensity.Percent is not null, $"{Figure(100 * block.Intensity.Percent?.Fraction)} %");
            Add(block.Intensity.Reserve is not null && block.Sets.All(s => s.Kind != CountKind.UntilEffort), $"RIR {Figure(block.Intensity.Reserve)}");
        }

        Add(line.Tempo is not null, $"tempo {line.Tempo}");
        Add(line.Rest is not null, $"rest {Figure(line.Rest?.Seconds)} s");
        Add(line.Purpose is not null, $"for {line.Purpose switch { Purpose.JointCare => "joint care", var purpose => purpose.ToString()!.ToLowerInvariant() }}");
        parts.AddRange(line.Techniques.Select(Technique));
        return string.Join(", ", parts);

        void Add(bool there, string part)
        {
            if (there)
            {
                parts.Add(part);
            }
        }
    }

    /// <summary>The dose alone, without name and place: "2 x 10, a side".</summary>
    public static string DoseOf(WrittenLine line) =>
        Of(line with { ExerciseName = "", Exercise = null, Group = null }, Catalogue.Shipped).Trim();

    private static string Sets(WrittenLine line)
    {
        string rounds = line.OptionalSets > 0 ? $"{line.Sets.Length - line.OptionalSets}-{line.Sets.Length}" : line.Sets.Length.ToString(CultureInfo.InvariantCulture);
        return line.Sets is [{ Kind: CountKind.Total } total] ? $"{total.Low} in total"
            : line.Sets.Distinct().Count() == 1
            ? $"{rounds} x {Count(line.Sets[0], line)}{Unit(line.Sets[0].Kind)}"
            : $"{line.Sets.Length} x {string.Join('/', line.Sets.Select(s => Count(s, line)))}{Unit(line.Sets[0].Kind)}";
    }

    private static string Count(SetTarget set, WrittenLine line) => set.Kind switch
    {
        CountKind.AsManyAsPossible => set.High > 0 ? $"max {set.Low}-{set.High}" : set.Low <= 1 ? "max" : $"{set.Low}+",
        CountKind.UpTo => $"up to {set.High}",
        CountKind.UntilGrip => "until grip",
        CountKind.UntilEffort => $"until {Figure(line.Intensity.Reserve)} left",
        _ => set.Low == set.High ? $"{set.Low}" : $"{set.Low}-{set.High}",
    };

    private static string Unit(CountKind kind) => kind switch
    {
        CountKind.Seconds => " s",
        CountKind.Metres => " m",
        CountKind.Breaths => " breaths",
        CountKind.Trips => " trips",
        CountKind.Steps => " steps",
        _ => "",
    };

    private static string Technique(WrittenTechnique technique) => technique.Kind switch
    {
        TechniqueKind.Pulses => $"{technique.FigureOrUsual} pulses",
        TechniqueKind.OneAndAHalf => "1.5 reps",
        TechniqueKind.OneAndAQuarter => "1.25 reps",
        TechniqueKind.Partials => "partials",
        TechniqueKind.HoldFirst => $"hold {technique.FigureOrUsual} s first",
        TechniqueKind.HoldLast => $"{technique.FigureOrUsual} s hold at the end",
        TechniqueKind.RestPause => technique.Figure is { } rest ? $"rest-pause {rest} s" : "rest-pause",
        TechniqueKind.DropSet => "drop set",
        TechniqueKind.Cluster => technique.Figure is { } between ? $"cluster {between} s" : "cluster",
        TechniqueKind.BandAdded => "band added",
        TechniqueKind.LoweringOnly => "lowering only",
        TechniqueKind.BackOff => technique.Figure is { } to ? $"then knees to {to}" : "then knees",
        _ => "EMOM",
    };

    private static string Figure(double? figure) => figure?.ToString("0.##", CultureInfo.InvariantCulture) ?? "";
}
