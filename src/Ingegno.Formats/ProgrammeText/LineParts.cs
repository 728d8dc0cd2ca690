using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Puts a part that was read onto its line, within bounds that make sense.</summary>
internal static class LineParts
{
    internal static WrittenLine Apply(
        WrittenLine line, LinePart part, MassUnit unit, (int Line, int Column, int Length) at, ImmutableArray<TextProblem>.Builder problems)
    {
        switch (part)
        {
            case LinePart.Percent { Value: >= 5 and <= 110 } percent:
                return line with { Intensity = line.Intensity with { Percent = Share.Of(percent.Value / 100), Load = null } };
            case LinePart.Percent percent:
                return Problem($"{Written(percent.Value)} % of the maximum cannot be right: 5 to 110.");
            case LinePart.Load load when MassOf(load, unit) is { Kilograms: >= 0 and <= 600 } mass:
                return line with { Intensity = line.Intensity with { Load = mass, Percent = null } };
            case LinePart.Load load:
                return Problem($"A load of {Written(load.Value)} {load.Unit ?? "kg"} cannot be right: up to 600 kg.");
            case LinePart.Reserve { Value: >= 0 and <= 9 } reserve:
                return line with { Intensity = line.Intensity with { Reserve = reserve.Value } };
            case LinePart.Reserve:
                return Problem("Effort goes from RPE 1 to 10, or 0 to 9 repetitions in reserve.");
            case LinePart.TempoText text when Tempo.TryParse(text.Text, out var tempo):
                return line with { Tempo = tempo };
            case LinePart.TempoText text:
                return Problem($"{text.Text} is no tempo: four counts of at most {Tempo.LongestPhase} s, lowering first, such as 3-1-1-0.");
            case LinePart.Rest { Seconds: >= 0 and <= 1800 } rest:
                return line with { Rest = Duration.FromSeconds(rest.Seconds) };
            case LinePart.Rest:
                return Problem("A rest lasts up to 30 minutes: write 90 s, 1:30 or 2 min.");
            case LinePart.PerSide:
                return line with { PerSide = true };
            case LinePart.OfBothSides { Alternating: true } when line.PerSide:
                return line with { Alternating = true };
            case LinePart.OfBothSides both:
                return ASide(line, both.Alternating);
            case LinePart.LastSet last:
                return line with { Sets = [.. line.Sets[..^1], last.Target with { Low = Math.Max(last.Target.Low, line.Sets[^1].Kind == CountKind.Repetitions && last.Target.Low <= 1 ? line.Sets[^1].Low : 1) }] };
            case LinePart.Phases { Lowering: null or <= Tempo.LongestPhase, Low: null or <= Tempo.LongestPhase, Lifting: null or <= Tempo.LongestPhase, High: null or <= Tempo.LongestPhase } phases:
                var was = line.Tempo ?? Tempo.Reference;
                return line with
                {
                    Tempo = new(
                        phases.Lowering ?? was.Lowering, phases.Low ?? was.AfterLowering, phases.Fast ? 0 : phases.Lifting ?? was.Lifting, phases.High ?? was.AfterLifting,
                        phases.Fast || (phases.Lifting is null && was.FastLifting)),
                };
            case LinePart.Phases:
                return Problem($"A phase of a repetition lasts at most {Tempo.LongestPhase} s: write a longer hold as seconds, such as 3 x 30 s.");
            case LinePart.NotYet not:
                return Problem(not.Why);
            case LinePart.Does does:
                return line.Techniques.Any(t => t.Kind == does.Technique.Kind) ? line : line with { Techniques = [.. line.Techniques, does.Technique] };
            case LinePart.For purpose:
                return line with { Purpose = purpose.Purpose };
            default:
                return line;
        }

        // Alternating, an odd count would leave a side one short: both get the larger half.
        WrittenLine ASide(WrittenLine whole, bool alternating)
        {
            if (whole.Sets.FirstOrDefault(s => (s.Low % 2) + (s.High % 2) > 0 && s.Kind.IsRepetitions() && !s.IsOpen) is { } odd)
            {
                problems.Add(new(at.Line, at.Column, at.Length,
                    $"{odd.High} for both sides together leaves one side short: read as {(odd.High + 1) / 2} a side.", IsDoubt: true));
            }

            return whole with
            {
                PerSide = true,
                Alternating = alternating,
                Sets = [.. whole.Sets.Select(s => s with { Low = Math.Max(1, (s.Low + 1) / 2), High = (s.High + 1) / 2 })],
            };
        }

        WrittenLine Problem(string message)
        {
            problems.Add(new(at.Line, at.Column, at.Length, message));
            return line;
        }
    }

    private static Mass MassOf(LinePart.Load load, MassUnit unit)
    {
        bool pounds = load.Unit is null ? unit == MassUnit.Pound : load.Unit[0] is 'l' or 'p';
        return pounds ? Mass.FromPounds(load.Value) : Mass.FromKilograms(load.Value);
    }

    private static string Written(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}
