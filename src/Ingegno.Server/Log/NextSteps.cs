using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;
using Ingegno.Storage;

namespace Ingegno.Server.Log;

/// <summary>A line of the plan with what was logged on it and what comes next.</summary>
/// <param name="Logs">Sets of this line's exercise, newest day first.</param>
/// <param name="Step">Null when nothing was logged at this prescription; a stop, logged or not, when it may not be trained as planned.</param>
public sealed record LineProgress(
    int Line, string Tag, string Session, Prescription Prescription, ImmutableArray<SetLog> Logs, Step? Step);

/// <summary>Works out next week for every line of a plan.</summary>
internal static class NextSteps
{
    internal static ImmutableArray<LineProgress> For(
        ClientProfile client, Home home, HouseRules rules, Plan plan, IReadOnlyList<SetLog> sets, DateOnly day)
    {
        if (plan.Sessions.IsEmpty)
        {
            return [];
        }

        rules = plan.Block?.Over(rules) ?? rules;
        var anchors = StrengthAnchors.Of(client, Catalogue.Shipped);
        var prepared = new PreparedHome(home, day);
        return
        [
            .. from session in plan.Sessions
               from line in session.Lines
               where line.Prescription is not null
               select Progress(line, session.Title, line.Prescription!),
        ];

        LineProgress Progress(PlannedLine line, string session, Prescription prescription)
        {
            ImmutableArray<SetLog> logs = [.. sets.Where(s => s.Line == line.Line && s.Exercise == prescription.Exercise)];
            Step? step = null;
            if (Catalogue.Shipped.Find(prescription.Exercise) is { } exercise)
            {
                var today = PlannedSetUp.Of(prescription, exercise, client, prepared, rules);
                step = today.Against.IsEmpty
                    ? NextStep.For(
                        prescription, exercise, today.Implement, client, anchors.For(exercise), rules,
                        [.. logs.Where(l => l.Load.Grams == prescription.Load.Grams)],
                        exercise.Harder is [var up, ..] ? Catalogue.Shipped.Find(up.Exercise) : null)
                    : NextStep.NotAsPlanned(prescription, today.Against);
            }

            return new(line.Line, line.Tag, session, prescription, logs, step);
        }
    }
}
