using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Progression;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Clients;

/// <summary>What waits for the coach on one client.</summary>
/// <param name="Rank">0 first.</param>
/// <param name="Sentence">The decision spelled out.</param>
/// <param name="View">Where it is made: profile, home, bench or log.</param>
/// <param name="Waits">False when there is nothing to decide.</param>
public sealed record DeskDecision(int Rank, string Sentence, string View, bool Waits);

/// <summary>Finds the first decision that waits, worst first.</summary>
internal static class Decisions
{
    internal static DeskDecision For(
        ClientProfile client, Home home, HouseRules rules, Plan plan, IReadOnlyList<SetLog> sets, DateOnly today)
    {
        var steps = NextSteps.For(client, home, rules, plan, sets, today).Where(l => l.Step is not null).ToArray();
        if (steps.FirstOrDefault(l => l.Step!.Kind == StepKind.Stop) is { } stop)
        {
            return new(0, stop.Step!.Sentence, "log", true);
        }

        if (home.Kit.IsEmpty && home.Fixtures.IsEmpty)
        {
            return new(1, "Describe the home: nothing is known of it yet.", "home", true);
        }

        if (plan.Sessions.IsEmpty)
        {
            return new(2, plan.Text.Length > 0 ? "Rebuild the written programme and save it." : "Paste the gym programme to rebuild.", "bench", true);
        }

        int lines = plan.Sessions.SelectMany(s => s.Lines).Count(l => l.Prescription is null);
        if (lines > 0)
        {
            return new(3, $"{lines} {(lines == 1 ? "line has" : "lines have")} no stand-in yet.", "bench", true);
        }

        if (!SendingLeave.For(client).Allowed)
        {
            return new(4, SendingLeave.For(client).Why!, "profile", true);
        }

        if (steps.FirstOrDefault(l => l.Step!.Kind == StepKind.Load) is { } load)
        {
            return new(5, $"{load.Prescription.Name}: {load.Step!.Sentence}", "log", true);
        }

        var waiting = steps.Where(l => l.Step!.Kind == StepKind.Repetitions).ToArray();
        return waiting.Length > 0
            ? new(6, waiting.Length == 1 ? $"{waiting[0].Prescription.Name}: {waiting[0].Step!.Sentence}" : $"{waiting.Length} lines are ready for their next step.", "log", true)
            : sets.Count == 0
            ? new(7, "Plan saved; nothing logged yet.", "log", false)
            : new(8, "Nothing waits.", "log", false);
    }
}
