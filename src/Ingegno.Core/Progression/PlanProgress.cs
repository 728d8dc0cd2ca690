using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Progression;

/// <summary>Works out next week for every line of a plan.</summary>
public static class PlanProgress
{
    /// <summary>
    /// Lines of the place in use, then those that are done another way elsewhere: what is the same in both has one log and one step.
    /// </summary>
    /// <param name="places">All places of the client; those the plan was not rebuilt for are passed over.</param>
    public static ImmutableArray<LineProgress> Everywhere(
        ClientProfile client, Home home, IReadOnlyList<ClientPlace> places, HouseRules rules, Plan plan, Training training, DateOnly day)
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

    /// <summary>What was trained on lines that are not in the plan now; newest first.</summary>
    public static ImmutableArray<PastLine> Gone(ImmutableArray<LineProgress> lines, Training training, Catalogue catalogue)
    {
        var here = lines.Select(l => l.Line).ToHashSet();
        return
        [
            .. from set in training.Sets
               where !here.Contains(set.Line)
               group set by (set.Line, set.Exercise) into sets
               orderby sets.Max(s => s.On) descending, sets.Key.Line
               select new PastLine(sets.Key.Line, sets.Key.Exercise, catalogue.Find(sets.Key.Exercise)?.Name ?? sets.Key.Exercise, [.. sets]),
        ];
    }

    public static ImmutableArray<LineProgress> For(
        ClientProfile client, Home home, HouseRules rules, Plan plan, Training training, DateOnly day)
    {
        if (plan.Sessions.IsEmpty)
        {
            return [];
        }

        rules = plan.Block?.Over(rules) ?? rules;
        var anchors = StrengthAnchors.Of(client, rules.Catalogue, today: day);
        var prepared = new PreparedHome(home, day);
        var purpose = BlockCalendar.PurposeOn(plan.Block, day);
        return
        [
            .. from session in plan.Sessions
               from line in session.Lines
               where line.Prescription is not null
               select Progress(line, session, line.Prescription!),
        ];

        LineProgress Progress(PlannedLine line, PlannedSession session, Prescription prescription)
        {
            var partners = PartnersOf(line, session);
            AskedSet[] asked = [.. training.Asked.Where(a => a.Set.Line == line.Line && a.Set.Exercise == prescription.Exercise)];
            ImmutableArray<SetLog> logs = [.. asked.Select(a => a.Set)];
            var estimates = training.Digest.Of(prescription.Exercise);
            SetLog[] newest = logs.IsEmpty ? [] : [.. logs.Where(l => l.On == logs.Max(s => s.On)).OrderBy(l => l.SetNumber)];
            DateOnly[] exposures = [.. training.Sets.Where(s => s.Exercise == prescription.Exercise).Select(s => s.On).Distinct()];
            Step? step = null;
            if (rules.Catalogue.Find(prescription.Exercise) is { } exercise)
            {
                var today = PlannedSetUp.Of(prescription, exercise, client, prepared, rules);
                step = today.Against.IsEmpty
                    ? NextStep.For(new LineCase(
                        prescription, exercise, today.Implement, client, anchors.For(exercise), rules,
                        [.. logs.Where(l => l.Load.Grams == prescription.Load.Grams && (line.Since is not { } since || l.On >= since))])
                    {
                        AskedAs = asked.Where(a => a.As is not null).ToDictionary(a => a.Set.Id, a => a.As!),
                        Start = line.Start,
                        Today = day,
                        LeftSetsOutBefore = LeftSetsOut(asked),
                        FoundItsNumbers = newest is [var latest, ..] && exposures.Min() == latest.On && LimitAsk.Calibrates(prescription, exercise, client),
                        Exposures = exposures.Length,
                        Otherwise = newest.All(l => l.Load.Grams != prescription.Load.Grams && (line.Since is not { } from || l.On >= from)) ? [.. newest] : [],
                        Harder = exercise.Harder is [var up, ..] ? rules.Catalogue.Find(up.Exercise) : null,
                        Variations = [.. Variations(line, prescription, exercise)],
                        Pain = training.Pain,
                        ClearedThrough = training.ClearedThrough(prescription.Exercise),
                        Estimates = estimates,
                        Sore = training.SoreAfter(session.Title),
                        Week = logs.IsEmpty ? WeekKind.Full : BlockCalendar.KindOn(plan.Block, logs.Max(l => l.On)),
                        Purpose = prescription.Purpose ?? purpose,
                        Partners = partners,
                    })
                    : NextStep.NotAsPlanned(prescription, today.Against);
            }

            return new(
                line.Line, line.Tag, session.Title, prescription, logs, step, Plateau.Of(estimates),
                rules.Catalogue.Find(prescription.Exercise) is { } done ? Foreseen.Of(prescription, done, client, anchors.For(done), partners) : [])
            {
                Version = plan.VersionOf(line.Main),
                AskedOtherwise = [.. Otherwise(asked, prescription)],
                Former = [.. FormerOf(line, prescription)],
            };
        }

        ImmutableArray<PartnerSet> PartnersOf(PlannedLine line, PlannedSession session)
        {
            PlannedLine[] round = line.Group is null ? [] : [.. session.Lines.Where(l => l.Group == line.Group && l.Prescription is not null)];
            return Company.Of(Array.IndexOf(round, line), [.. round.Select(l => l.Prescription!)], client, rules.Catalogue, anchors);
        }

        // Before the newest day: a week that was to be lighter tells nothing.
        bool LeftSetsOut(AskedSet[] asked) => asked.GroupBy(a => a.Set.On).OrderByDescending(g => g.Key).Skip(1).Any(g =>
            g.Select(a => a.As).FirstOrDefault(p => p is not null) is { } was && g.Count() < was.Counts.Length - was.OptionalSets
            && BlockCalendar.KindOn(plan.Block, g.Key) == WeekKind.Full);

        static IEnumerable<AskedOn> Otherwise(AskedSet[] asked, Prescription now) =>
            from day in asked.GroupBy(a => a.Set.On)
            let was = day.Select(a => a.As).OfType<Prescription>().FirstOrDefault()
            where was is not null && !(was.Load == now.Load && was.Counts.SequenceEqual(now.Counts))
            select new AskedOn(day.Key, $"{was.CountInWords}{(was.Load == Mass.Zero ? "" : $" with {was.Load}")}");

        IEnumerable<FormerExercise> FormerOf(PlannedLine line, Prescription now) =>
            from set in training.Sets
            where (set.Line == line.Line && set.Exercise != now.Exercise) || (line.Follows is { } follows && set.Line == follows)
            group set by set.Exercise into sets
            let best = sets.OrderByDescending(s => s.Load).ThenByDescending(s => s.Repetitions).First()
            orderby sets.Max(s => s.On) descending
            select new FormerExercise(
                sets.Key, rules.Catalogue.Find(sets.Key)?.Name ?? sets.Key, sets.Min(s => s.On), sets.Max(s => s.On), sets.Count(),
                best.Load == Mass.Zero ? $"{best.Repetitions}" : $"{best.Repetitions} with {best.Load}");

        // A step must be feasible now: six tenths of where it starts at least (common practice).
        bool IsFeasible(Prescription harder, Exercise up) =>
            Foreseen.Of(harder, up, client, anchors.For(up)).Zip(harder.Counts).All(set => set.First.Middle >= RepetitionZone.EnoughOfTheCount * set.Second);

        // Another height of the same exercise first, then its neighbours; what does not stand today is no step.
        IEnumerable<Prescription> Variations(PlannedLine line, Prescription prescription, Exercise exercise)
        {
            if (MicroSteps.Above(prescription, exercise, client, prepared, rules) is { } micro && IsFeasible(micro, exercise))
            {
                yield return micro;
            }

            foreach (var harder in line.Harder)
            {
                if (harder.Exercise != exercise.Id && rules.Catalogue.Find(harder.Exercise) is { } up
                    && exercise.Harder.Any(h => h.Exercise == up.Id) && PlannedSetUp.Of(harder, up, client, prepared, rules).Against.IsEmpty
                    && IsFeasible(harder, up))
                {
                    yield return harder;
                }
            }
        }
    }
}
