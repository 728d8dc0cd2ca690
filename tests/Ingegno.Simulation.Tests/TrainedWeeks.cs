using System.Collections.Frozen;
using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Simulation.Tests;

/// <summary>A set as it was shown before, done and truly possible.</summary>
/// <param name="Shown">The range the client was shown before the session; null where none was.</param>
/// <param name="Truly">Whole repetitions to failure.</param>
/// <param name="Usually">What somebody who knows the body, but not the form of the day, would have foretold.</param>
internal sealed record TrainedOnce(
    int Client, int Session, int Line, SetKind Kind, int Planned, int Done, bool IsLast, RepetitionRange? Shown, int Truly, int Usually)
{
    internal bool IsNearFailure => Truly - Done <= 5;

    /// <summary>Truly left once the set is done as asked; under 0 where it cannot be.</summary>
    internal int Left => Truly - Planned;

    /// <summary>As near to failure as a working set is meant to be.</summary>
    internal bool Sits => Left is >= 0 and <= 4;
}

internal enum SetKind
{
    First,
    Later,
    FirstOverFifteen,
    LaterOverFifteen,
    Superset,
}

/// <summary>How somebody keeps a log.</summary>
internal enum Habit
{
    Plain,

    /// <summary>"2", whatever is left.</summary>
    AlwaysTwo,

    /// <summary>Two sets of three reach the log.</summary>
    HalfLogged,

    /// <summary>Three percent stronger every week.</summary>
    Gaining,

    /// <summary>From the sixth session on the last line comes first, and the first last.</summary>
    Reordered,
}

/// <summary>
/// Clients with a law of their own train ten sessions of six lines, two of them a superset on one muscle. The core doses the first session from
/// what is known, shows its ranges before each, learns from the logs and takes its own steps; nothing else decides.
/// </summary>
internal static class TrainedWeeks
{
    internal const int Sessions = 10, SixthSession = 5;

    private const double Changeover = 120;

    private sealed record LineOf(string Exercise, MuscleRegion Region, string Muscle, int Aimed, int Sets = 3, int Rest = 120, double Heaviest = 100, double Rung = 2, bool InSuperset = false);

    private static readonly LineOf[] Lines =
    [
        new("dumbbell-bench-press", MuscleRegion.Arms, "press", 10),
        new("one-arm-dumbbell-row", MuscleRegion.Arms, "pull", 12),
        new("goblet-squat", MuscleRegion.Knee, "legs", 12),
        new("dumbbell-romanian-deadlift", MuscleRegion.Hip, "hips", 11),
        // Many repetitions, by small rungs.
        new("dumbbell-curl", MuscleRegion.Elbow, "biceps", 20, Heaviest: 40, Rung: 0.5),
        new("seated-dumbbell-press", MuscleRegion.Arms, "press", 10, Rest: 60, InSuperset: true),
        new("push-up", MuscleRegion.Arms, "press", 8, Rest: 60, InSuperset: true),
    ];

    internal static ImmutableArray<TrainedOnce> Of(FatigueLaw law, int clients, Habit habit = Habit.Plain) =>
        [.. Enumerable.Range(0, clients).AsParallel().AsOrdered().SelectMany(n => Train(n, law, habit))];

    /// <summary>A client by number: levels, sexes, masses and lifts in turns.</summary>
    internal static ClientProfile Somebody(int number) => new()
    {
        Name = $"Simulated {number}",
        Level = number % 3 == 0 ? Level.Beginner : Level.Intermediate,
        Sex = number % 2 == 0 ? Core.Anatomy.Sex.Male : Core.Anatomy.Sex.Female,
        BodyMass = Mass.FromKilograms(60 + (number % 7 * 5)),
        Lifts =
        [
            new KnownLift("barbell-bench-press", Mass.FromKilograms(50 + (number % 5 * 8)), 6, 1),
            new KnownLift("back-squat", Mass.FromKilograms(70 + (number % 4 * 15)), 5, 1),
            new KnownLift("barbell-row", Mass.FromKilograms(45 + (number % 5 * 7)), 8, 1),
            new KnownLift("deadlift", Mass.FromKilograms(90 + (number % 4 * 15)), 5, 1),
        ],
    };

    private static IEnumerable<TrainedOnce> Train(int number, FatigueLaw law, Habit habit)
    {
        var chance = new Random(number + 7919);
        var client = Somebody(number);
        var catalogue = Catalogue.Shipped;
        var anchors = StrengthAnchors.Of(client, catalogue);
        var body = new SimulatedBody(
            Lines.Select(l => Hidden(l, client, anchors, chance)),
            new HiddenNature(
                Scattered(0.2), Scattered(0.2), (chance.NextDouble() * 2) - 0.5, GainAWeek: habit == Habit.Gaining ? 0.03 : 0.005, Law: law,
                AlwaysSays: habit == Habit.AlwaysTwo ? 2 : null),
            number);
        var plan = Lines.Select(l => Start(l, client, anchors)).ToArray();
        var starts = plan.ToArray();
        var asked = new Dictionary<Guid, Prescription>();
        var log = new List<TrainedSet>();
        var estimates = Lines.Select(_ => new List<double>()).ToArray();
        DateOnly? lastLimit = null;
        var day = new DateOnly(2026, 9, 7);
        for (int session = 0; session < Sessions; session++, day = day.AddDays(session % 2 == 0 ? 3 : 4))
        {
            var knows = client with { Learned = Learning.From(client, catalogue, anchors, log).Learned };
            var known = StrengthAnchors.Of(knows, catalogue, today: day);
            var shown = plan.Select((p, i) => Foreseen.Of(p, catalogue[p.Exercise], knows, known.For(catalogue[p.Exercise]), PartnersOf(i, knows, known))).ToArray();
            // As the phone does: a line never done finds its numbers by its last set, and one to the limit is asked only of lines that were done.
            int? limit = session == 0 ? null : LimitAsk.Of(plan.Select((p, i) => (i, p)), knows, catalogue, known, day, lastLimit, _ => false);
            lastLimit = limit is null ? lastLimit : day;
            body.Wakes();
            var now = new DateTimeOffset(day.ToDateTime(new TimeOnly(17, 0)), TimeSpan.Zero);
            var today = new List<TrainedSet>();
            foreach (var (line, set) in Order(plan, habit == Habit.Reordered && session >= SixthSession))
            {
                var p = plan[line];
                bool isLast = set == p.Counts.Length - 1, toLimit = limit == line && isLast;
                bool finds = isLast && !toLimit && (log.All(s => s.Set.Line != line)
                    ? LimitAsk.Calibrates(p, catalogue[p.Exercise], knows)
                    : LimitAsk.CalibratesAgain(p, catalogue[p.Exercise], knows, known.For(catalogue[p.Exercise])));
                double side = p.PerSide && set > 0 ? p.Counts[set] * p.Style.Lasts.Seconds : 0;
                double rest = today.Count == 0 ? 0 : set == 0 && !(Lines[line].InSuperset && today[^1] is var before && Lines[before.Set.Line].InSuperset) ? Changeover : p.Rest.Seconds + side;
                var did = body.Does(new Simulation.AskedSet(p.Exercise, p.Load, p.Counts[set], (int?)p.Reserve, Seconds(p, 0), Seconds(p, 1), Seconds(p, 2), Seconds(p, 3), Duration.FromSeconds(rest), toLimit, finds));
                now += TimeSpan.FromSeconds(rest + (did.Repetitions * p.Style.Lasts.Seconds));
                yield return new(
                    number, session, line, KindOf(line, set, p.Counts[set]), p.Counts[set], did.Repetitions, set == p.Counts.Length - 1,
                    shown[line] is { IsEmpty: false } ranges ? ranges[set] : null, did.TrulyToFailure, did.UsuallyToFailure);
                if (!(habit == Habit.HalfLogged && set == p.Counts.Length - 1))
                {
                    var logged = new SetLog(Guid.NewGuid(), line, p.Exercise, day, set + 1, p.Load, did.Repetitions, did.SaidLeft is { } said ? SaidReserve.Read(said) : null)
                    {
                        ToLimit = toLimit,
                        Stopped = did.Failed ? StopReason.Muscle : null,
                        At = now,
                        RestBefore = set == 0 ? null : Duration.FromSeconds(rest),
                    };
                    asked[logged.Id] = p;
                    today.Add(new(logged, p));
                }
            }

            log.AddRange(today);
            if (session % 2 == 1)
            {
                body.Grows();
            }

            var lesson = Learning.From(client, catalogue, anchors, log);
            knows = client with { Learned = lesson.Learned };
            known = StrengthAnchors.Of(knows, catalogue, today: day.AddDays(1));
            for (int line = 0; line < plan.Length; line++)
            {
                var exercise = catalogue[plan[line].Exercise];
                estimates[line].AddRange(lesson.Points.Where(p => p.On == day && p.Exercise == exercise.Id).Select(p => p.Factor));
                var step = NextStep.For(new LineCase(
                    plan[line], exercise, Lines[line].Exercise == "push-up" ? null : Bells(Lines[line], exercise), knows, known.For(exercise), HouseRules.Default,
                    [.. log.Where(s => s.Set.Line == line && s.Set.Load == plan[line].Load).Select(s => s.Set)])
                {
                    AskedAs = asked.ToFrozenDictionary(),
                    Start = starts[line],
                    Today = day.AddDays(1),
                    Estimates = [.. estimates[line]],
                    Partners = PartnersOf(line, knows, known),
                    FoundItsNumbers = session == 0 && LimitAsk.Calibrates(plan[line], exercise, client),
                    Exposures = session + 1,
                    LeftSetsOutBefore = habit == Habit.HalfLogged && session > 0,
                });
                if (step?.Next is { } next && next != plan[line])
                {
                    if (next.Load != plan[line].Load || step.Kind is not StepKind.Repetitions)
                    {
                        starts[line] = next;
                    }

                    plan[line] = next;
                }
            }
        }

        ImmutableArray<PartnerSet> PartnersOf(int line, ClientProfile knows, StrengthAnchors known)
        {
            int[] round = [.. Enumerable.Range(0, Lines.Length).Where(i => Lines[i].InSuperset)];
            return Lines[line].InSuperset ? Company.Of(Array.IndexOf(round, line), [.. round.Select(i => plan[i])], knows, catalogue, known) : [];
        }

        double Scattered(double spread) => Math.Clamp(Math.Exp(spread * Normal(chance)), 0.65, 1.5);
    }

    /// <summary>Lowering, held low, lifting, held high.</summary>
    private static double Seconds(Prescription line, int phase) =>
        double.TryParse(line.Tempo?.ToString().Split('-')[phase] ?? "", out double seconds) ? seconds : phase % 2 == 0 ? 2 - (phase / 2) : 0;

    private static SetKind KindOf(int line, int set, int count) =>
        Lines[line].InSuperset ? SetKind.Superset
        : (set, count) switch { (0, <= 15) => SetKind.First, (0, _) => SetKind.FirstOverFifteen, (_, <= 15) => SetKind.Later, _ => SetKind.LaterOverFifteen };

    /// <summary>Line after line, the superset in rounds.</summary>
    private static IEnumerable<(int Line, int Set)> Order(Prescription[] plan, bool turned) =>
        InTurn(turned, Lines.Select((l, i) => (l.InSuperset, Line: i)).GroupBy(l => l.InSuperset ? Lines.Length : l.Line, l => l.Line)).SelectMany(lines =>
            from round in Enumerable.Range(0, lines.Max(l => plan[l].Counts.Length))
            from line in lines
            where round < plan[line].Counts.Length
            select (line, round));

    private static IEnumerable<T> InTurn<T>(bool turned, IEnumerable<T> rounds) => turned ? rounds.Reverse() : rounds;

    /// <summary>The truth lies around the estimate as far as the estimate says it may.</summary>
    private static HiddenExercise Hidden(LineOf line, ClientProfile client, StrengthAnchors anchors, Random chance)
    {
        var exercise = Catalogue.Shipped[line.Exercise];
        var anchor = anchors.For(exercise)!;
        var moved = Resistance.BodyMoved(exercise.Load, client, new Geometry());
        return new(
            line.Exercise, line.Region, anchor.GreatestResistance(moved, client.BodyMass) * Math.Exp(anchor.Spread * Normal(chance)),
            moved * client.BodyMass, exercise.Load.LoadCounts)
        {
            Muscle = line.Muscle,
        };
    }

    private static HeldImplement Bells(LineOf line, Exercise exercise) => new(
        "handles", "Handles", exercise.Sides == Sides.OneAtATime ? Hold.OneHand : Hold.Pair,
        LoadLadder.From(Enumerable.Range(1, (int)(line.Heaviest / line.Rung)).Select(i => new Rung(Mass.FromKilograms(i * line.Rung), new Recipe([], $"{i * line.Rung} kg")))));

    /// <summary>The heaviest load at which the forecast leaves two after the last set; of a push-up the most that do.</summary>
    private static Prescription Start(LineOf line, ClientProfile client, StrengthAnchors known)
    {
        var exercise = Catalogue.Shipped[line.Exercise];
        var loads = line.Exercise == "push-up" ? [Mass.Zero] : Bells(line, exercise).Ladder.Rungs.Select(r => r.Load).Reverse().ToArray();
        var best = (from count in line.Exercise == "push-up" ? Enumerable.Range(3, 25).Reverse() : [line.Aimed]
                    from load in loads
                    let p = Asked(count, load)
                    where Foreseen.Leaves(2, p, exercise, client, known.For(exercise))
                    select p).FirstOrDefault();
        return best ?? Asked(line.Aimed, loads[^1]);

        Prescription Asked(int count, Mass load) => new()
        {
            Exercise = line.Exercise,
            Name = exercise.Name,
            Count = CountKind.Repetitions,
            Counts = [.. Enumerable.Repeat(count, line.Sets)],
            TopOfRange = count,
            PerSide = exercise.Sides == Sides.OneAtATime,
            Load = load,
            LoadInWords = load.ToString(),
            Rest = Duration.FromSeconds(line.Rest),
            Reserve = 2,
            Geometry = new Geometry(),
        };
    }

    /// <summary>Standard normal, by Box and Muller.</summary>
    internal static double Normal(Random chance) =>
        Math.Sqrt(-2 * Math.Log(1 - chance.NextDouble())) * Math.Cos(2 * Math.PI * chance.NextDouble());
}
