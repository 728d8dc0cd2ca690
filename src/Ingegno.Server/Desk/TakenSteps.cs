using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Progression;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>Writes steps that were taken into a plan, with what it takes to undo them.</summary>
internal static class TakenSteps
{
    internal static (Plan Plan, Snapshot Before, Snapshot After) In(Plan plan, IReadOnlyCollection<LineProgress> taken)
    {
        var steps = taken.ToDictionary(l => (l.Place?.Id, l.Line));
        var before = Of(plan, (place, line) => steps.ContainsKey((place, line)));
        var next = Changed(plan, (place, line) => steps.TryGetValue((place, line.Line), out var step) ? Stepped(line, step) : line);
        return (next, before, Of(next, (place, line) => steps.ContainsKey((place, line))));
    }

    /// <summary>The lines of a snapshot put back.</summary>
    internal static Plan Back(Plan plan, Snapshot before)
    {
        var lines = before.Lines.ToDictionary(l => (l.Place, l.Line));
        return Changed(plan, (place, line) => lines.TryGetValue((place, line.Line), out var was)
            ? line with { Prescription = was.Prescription, Start = was.Start, Since = was.Since }
            : line);
    }

    /// <summary>These lines as they stand, in the order of the plan.</summary>
    /// <param name="wanted">By place (null for the one in use) and line.</param>
    internal static Snapshot Of(Plan plan, Func<string?, int, bool> wanted) => new()
    {
        Lines =
        [
            .. from part in plan.Elsewhere.Select(e => (Place: (string?)e.Place, e.Sessions)).Prepend((Place: null, plan.Sessions))
               from line in part.Sessions.SelectMany(s => s.Lines)
               where wanted(part.Place, line.Line)
               select new LineSnapshot(line.Line, line.Prescription, line.Start, line.Since, part.Place),
        ],
    };

    private static Plan Changed(Plan plan, Func<string?, PlannedLine, PlannedLine> change) => plan with
    {
        Sessions = Changed(plan.Sessions, line => change(null, line)),
        Elsewhere = [.. plan.Elsewhere.Select(e => e with { Sessions = Changed(e.Sessions, line => change(e.Place, line)) })],
    };

    private static ImmutableArray<PlannedSession> Changed(ImmutableArray<PlannedSession> sessions, Func<PlannedLine, PlannedLine> change) =>
        [.. sessions.Select(s => s with { Lines = [.. s.Lines.Select(change)] })];

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
        $"line {line.Key} {line.Step!.Kind} {line.Step.Next?.CountInWords} {line.Step.Next?.Load} {(line.Logs.IsEmpty ? "" : line.Logs[0].On.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture))}";

    /// <summary>The lines a proposal was made of.</summary>
    internal static IEnumerable<LineProgress> Lines(Proposal proposal, IEnumerable<LineProgress> lines)
    {
        string[] named = proposal.Subject.Split(';');
        return lines.Where(l => l.Step is not null && named.Contains(Of(l)));
    }
}
