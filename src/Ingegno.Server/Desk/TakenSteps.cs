using System.Collections.Immutable;
using Ingegno.Core.Progression;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>Writes steps that were taken into a plan, with what it takes to undo them.</summary>
internal static class TakenSteps
{
    internal static (Plan Plan, Snapshot Before, Snapshot After) In(Plan plan, IReadOnlyCollection<LineProgress> taken)
    {
        var steps = taken.ToDictionary(l => l.Line);
        var lines = plan.Sessions.SelectMany(s => s.Lines).Where(l => steps.ContainsKey(l.Line)).ToArray();
        PlannedLine[] next = [.. lines.Select(l => Stepped(l, steps[l.Line]))];
        return (With(plan, next), Of(lines), Of(next));
    }

    internal static Plan With(Plan plan, IReadOnlyCollection<PlannedLine> changed)
    {
        var lines = changed.ToDictionary(l => l.Line);
        return plan with { Sessions = [.. plan.Sessions.Select(s => s with { Lines = [.. s.Lines.Select(l => lines.GetValueOrDefault(l.Line, l))] })] };
    }

    internal static Snapshot Of(IEnumerable<PlannedLine> lines) =>
        new() { Lines = [.. lines.Select(l => new LineSnapshot(l.Line, l.Prescription, l.Start, l.Since))] };

    /// <summary>Repetitions climb from where they started; anything else starts anew.</summary>
    private static PlannedLine Stepped(PlannedLine line, LineProgress taken) => line with
    {
        Prescription = taken.Step!.Next,
        Start = taken.Step.Kind == StepKind.Repetitions ? line.Start ?? line.Prescription : taken.Step.Next,
        Since = taken.Logs.IsEmpty ? line.Since : taken.Logs.Max(l => l.On).AddDays(1),
    };
}

/// <summary>Names of what is decided on: the same for the same proposal on the same log.</summary>
internal static class Subjects
{
    internal static string Of(LineProgress line) =>
        $"line {line.Line} {line.Step!.Kind} {line.Step.Next?.CountInWords} {line.Step.Next?.Load} {(line.Logs.IsEmpty ? "" : line.Logs[0].On.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture))}";
}
