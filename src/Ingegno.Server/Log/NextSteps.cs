using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;
using Ingegno.Storage;

namespace Ingegno.Server.Log;

/// <summary>A line of the plan with what was logged on it and what comes next.</summary>
/// <param name="Line">Its number in the text; a line rebuilt for several places has one at each.</param>
/// <param name="Place">Where it is done so, where that is not the place in use; null there.</param>
/// <param name="Logs">Sets of this line's exercise, newest day first.</param>
/// <param name="Step">Null when nothing was logged at this prescription; a stop, logged or not, when it may not be trained as planned.</param>
/// <param name="Forecast">Repetitions to failure of each set next time, with their range; empty where none is forecast.</param>
/// <param name="Trend">Whether its smoothed estimate still rises.</param>
public sealed record LineProgress(
    int Line, string Tag, string Session, Prescription Prescription, ImmutableArray<SetLog> Logs, Step? Step, Trend Trend,
    ImmutableArray<RepetitionRange> Forecast, LinePlace? Place = null)
{
    /// <summary>Names the line among all places: "3", or "3@" and the id of the place.</summary>
    public string Key => Place is null ? $"{Line}" : $"{Line}@{Place.Id}";
}

/// <summary>Another place of the client.</summary>
public sealed record LinePlace(string Id, string Name);

/// <summary>Works out next week for every line of a plan.</summary>
internal static class NextSteps
{
    /// <summary>
    /// Lines of the place in use, then those that are done another way elsewhere: what is the same in both has one log and one step.
    /// </summary>
    /// <param name="places">All places of the client; those the plan was not rebuilt for are passed over.</param>
    internal static ImmutableArray<LineProgress> Everywhere(
        ClientProfile client, Home home, IReadOnlyList<StoredPlace> places, HouseRules rules, Plan plan, Training training, DateOnly day)
    {
        var here = For(client, home, rules, plan, training, day);
        var same = here.Select(l => (l.Line, l.Prescription.Exercise, l.Prescription.Load.Grams)).ToHashSet();
        return Apart(
        [
            .. here,
            .. from there in plan.Elsewhere
               let place = places.FirstOrDefault(p => p.Id == there.Place)
               where place is not null
               from line in For(client, place.Home, rules, plan.At(place.Id), training, day)
               where !same.Contains((line.Line, line.Prescription.Exercise, line.Prescription.Load.Grams))
               select line with { Place = new(place.Id, place.Home.Name) },
        ]);
    }

    /// <summary>Where a line asks one exercise at two loads, each place shows the sets of its load; the place in use the others too.</summary>
    private static ImmutableArray<LineProgress> Apart(ImmutableArray<LineProgress> lines)
    {
        var ways = lines.ToLookup(l => (l.Line, l.Prescription.Exercise), l => l.Prescription.Load.Grams);
        return
        [
            .. lines.Select(line => ways[(line.Line, line.Prescription.Exercise)].ToHashSet() is { Count: > 1 } loads
                ? line with { Logs = [.. line.Logs.Where(s => s.Load.Grams == line.Prescription.Load.Grams || (line.Place is null && !loads.Contains(s.Load.Grams)))] }
                : line),
        ];
    }

    internal static ImmutableArray<LineProgress> For(
        ClientProfile client, Home home, HouseRules rules, Plan plan, Training training, DateOnly day)
    {
        if (plan.Sessions.IsEmpty)
        {
            return [];
        }

        rules = plan.Block?.Over(rules) ?? rules;
        var anchors = StrengthAnchors.Of(client, Catalogue.Shipped);
        var prepared = new PreparedHome(home, day);
        var purpose = BlockCalendar.PurposeOn(plan.Block, day);
        return
        [
            .. from session in plan.Sessions
               from line in session.Lines
               where line.Prescription is not null
               select Progress(line, session.Title, line.Prescription!),
        ];

        LineProgress Progress(PlannedLine line, string session, Prescription prescription)
        {
            ImmutableArray<SetLog> logs = [.. training.Sets.Where(s => s.Line == line.Line && s.Exercise == prescription.Exercise)];
            var estimates = training.Digest.Of(prescription.Exercise);
            Step? step = null;
            if (Catalogue.Shipped.Find(prescription.Exercise) is { } exercise)
            {
                var today = PlannedSetUp.Of(prescription, exercise, client, prepared, rules);
                step = today.Against.IsEmpty
                    ? NextStep.For(new LineCase(
                        prescription, exercise, today.Implement, client, anchors.For(exercise), rules,
                        [.. logs.Where(l => l.Load.Grams == prescription.Load.Grams && (line.Since is not { } since || l.On >= since))])
                    {
                        Start = line.Start,
                        Harder = exercise.Harder is [var up, ..] ? Catalogue.Shipped.Find(up.Exercise) : null,
                        Variations = [.. Variations(line, prescription, exercise)],
                        Pain = training.Pain,
                        ClearedThrough = training.ClearedThrough(prescription.Exercise),
                        Estimates = estimates,
                        Sore = training.SoreAfter(session),
                        Week = logs.IsEmpty ? WeekKind.Full : BlockCalendar.KindOn(plan.Block, logs.Max(l => l.On)),
                        Purpose = prescription.Purpose ?? purpose,
                    })
                    : NextStep.NotAsPlanned(prescription, today.Against);
            }

            return new(
                line.Line, line.Tag, session, prescription, logs, step, Plateau.Of(estimates),
                Catalogue.Shipped.Find(prescription.Exercise) is { } done ? Foreseen.Of(prescription, done, client, anchors.For(done)) : []);
        }

        // Another height of the same exercise first, then its neighbours; what does not stand today is no step.
        IEnumerable<Prescription> Variations(PlannedLine line, Prescription prescription, Exercise exercise)
        {
            if (MicroSteps.Above(prescription, exercise, client, prepared, rules) is { } micro)
            {
                yield return micro;
            }

            foreach (var harder in line.Harder)
            {
                if (harder.Exercise != exercise.Id && Catalogue.Shipped.Find(harder.Exercise) is { } up
                    && exercise.Harder.Any(h => h.Exercise == up.Id) && PlannedSetUp.Of(harder, up, client, prepared, rules).Against.IsEmpty)
                {
                    yield return harder;
                }
            }
        }
    }
}
