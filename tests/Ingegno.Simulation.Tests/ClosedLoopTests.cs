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

/// <summary>
/// Simulated clients train what the core prescribes, and the core learns from their logs. Their bodies follow another law than the
/// forecasts, so agreement means something; nothing here is tuned to them.
/// </summary>
public class ClosedLoopTests
{
    private const int Clients = 36, Sessions = 10, SixthSession = 5, Sets = 3;

    private static readonly (string Exercise, MuscleRegion Region, int Aimed)[] Lines =
    [
        ("dumbbell-bench-press", MuscleRegion.Arms, 10),
        ("one-arm-dumbbell-row", MuscleRegion.Arms, 12),
        ("goblet-squat", MuscleRegion.Knee, 13),
        ("dumbbell-romanian-deadlift", MuscleRegion.Hip, 11),
    ];

    private static readonly Lazy<ImmutableArray<Trained>> All = new(() => [.. Enumerable.Range(0, Clients).SelectMany(Train)]);

    private sealed record Trained(int Client, int Session, string Exercise, int Planned, RepetitionRange Forecast, int Truly, RepetitionRange Shown, bool First);

    /// <summary>
    /// The squat apart: its curve is a published one (LegWorkTests), and these bodies, made by another law, do not last so long in it.
    /// </summary>
    [Fact]
    public void By_the_sixth_session_forecasts_of_sets_of_15_or_fewer_miss_by_little_more_than_a_repetition()
    {
        var late = All.Value.Where(t => t.Session >= SixthSession).ToArray();
        foreach (var (exercise, _, _) in Lines)
        {
            Miss(late.Where(t => t.Exercise == exercise)).ShouldBeLessThanOrEqualTo(exercise == "goblet-squat" ? 3 : 1.3, exercise);
        }

        Miss(late).ShouldBeLessThan(Miss(All.Value.Where(t => t.Session == 0)));

        static double Miss(IEnumerable<Trained> sets) => sets.Where(t => t.Planned <= 15).Average(t => Math.Abs(t.Forecast.Middle - t.Truly));
    }

    [Fact]
    public void The_eighty_percent_range_holds_75_to_97_percent_of_sets() =>
        All.Value.Average(t => t.Truly >= t.Forecast.Low - 0.5 && t.Truly <= t.Forecast.High + 0.5 ? 1.0 : 0).ShouldBeInRange(0.75, 0.97);

    /// <summary>Bodies do whole repetitions; the late ranges hold as many of them without half a repetition of grace.</summary>
    [Fact]
    public void From_the_sixth_session_on_the_range_is_no_wider_than_it_has_to_be() =>
        All.Value.Where(t => t.Session >= SixthSession).Average(t => t.Truly >= t.Forecast.Low && t.Truly <= t.Forecast.High ? 1.0 : 0).ShouldBeInRange(0.75, 0.97);

    /// <summary>
    /// "Four of five times", as it is shown before the set: of first sets and of later ones, once something is known of a client. These clients do
    /// just what they are asked, so it holds more of them than of those in <see cref="BelievedForecastTests"/>. It is no wider than seven repetitions
    /// in the mean, so it says something too.
    /// </summary>
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void The_range_shown_before_a_set_holds_four_of_five(bool first)
    {
        var late = All.Value.Where(t => t.Session >= SixthSession && t.First == first).ToArray();
        late.Length.ShouldBeGreaterThan(400);
        late.Average(t => Holds(t.Shown, t.Truly)).ShouldBeInRange(0.75, 0.95);
        late.Average(t => t.Shown.High - t.Shown.Low).ShouldBeLessThan(7);
    }

    /// <summary>Whole repetitions against a range with fractions: a repetition that is half inside counts half.</summary>
    private static double Holds(RepetitionRange range, int truly) => Math.Clamp(Math.Min(range.High, truly + 0.5) - Math.Max(range.Low, truly - 0.5), 0, 1);

    private static IEnumerable<Trained> Train(int number)
    {
        var chance = new Random(number);
        var client = TrainedWeeks.Somebody(number);
        var anchors = StrengthAnchors.Of(client, Catalogue.Shipped);
        var body = new SimulatedBody(
            Lines.Select(l => Hidden(l.Exercise, l.Region, client, anchors, chance)),
            new HiddenNature(Scattered(0.2, 0.65, 1.5), Scattered(0.2, 0.65, 1.5), (chance.NextDouble() * 2) - 0.5),
            number);
        var log = new List<TrainedSet>();
        var day = new DateOnly(2026, 9, 7);
        for (int session = 0; session < Sessions; session++, day = day.AddDays(session % 2 == 0 ? 3 : 4))
        {
            var lesson = Learning.From(client, Catalogue.Shipped, anchors, log);
            var known = StrengthAnchors.Of(client with { Learned = lesson.Learned }, Catalogue.Shipped);
            body.Wakes();
            var today = new List<(TrainedSet Set, SetOutcome Outcome, int Planned, RepetitionRange Shown)>();
            for (int line = 0; line < Lines.Length; line++)
            {
                var asked = Prescribe(Lines[line].Exercise, Lines[line].Aimed, client, known);
                var shown = Foreseen.Of(asked, Catalogue.Shipped[asked.Exercise], client with { Learned = lesson.Learned }, known.For(Catalogue.Shipped[asked.Exercise]));
                for (int set = 0; set < Sets; set++)
                {
                    bool limit = session % 3 == 2 && set == Sets - 1 && client.Level != Level.Beginner;
                    var outcome = body.Does(new AskedSet(
                        asked.Exercise, asked.Load, asked.Counts[set], (int)asked.Reserve!, 2, 0, 1, 0,
                        set == 0 ? Duration.Zero : asked.Rest + (asked.PerSide ? SidePause(asked) : Duration.Zero), limit));
                    if (outcome.Repetitions > 0)
                    {
                        today.Add((new TrainedSet(
                            new SetLog(Guid.NewGuid(), line, asked.Exercise, day, set + 1, asked.Load, outcome.Repetitions, outcome.SaidLeft is { } said ? SaidReserve.Read(said) : null) { ToLimit = limit },
                            asked), outcome, asked.Counts[set], shown[set]));
                    }
                }
            }

            body.Grows();
            log.AddRange(today.Select(t => t.Set));
            var hindsight = Learning.From(client, Catalogue.Shipped, anchors, log).Hindsight;
            foreach (var (set, outcome, planned, shown) in today)
            {
                yield return new(number, session, set.Set.Exercise, planned, hindsight[set.Set.Id].ToFailure, outcome.TrulyToFailure, shown, set.Set.SetNumber == 1);
            }
        }

        double Scattered(double spread, double least, double most) => Math.Clamp(Math.Exp(spread * TrainedWeeks.Normal(chance)), least, most);
    }

    private static Duration SidePause(Prescription asked) => asked.Style.Lasts * asked.Counts[0];

    /// <summary>The truth lies around the estimate as far as the estimate says it may.</summary>
    private static HiddenExercise Hidden(string id, MuscleRegion region, ClientProfile client, StrengthAnchors anchors, Random chance)
    {
        var exercise = Catalogue.Shipped[id];
        var anchor = anchors.For(exercise)!;
        var moved = Resistance.BodyMoved(exercise.Load, client, new Geometry());
        return new(
            id, region, anchor.GreatestResistance(moved, client.BodyMass) * Math.Exp(anchor.Spread * TrainedWeeks.Normal(chance)),
            moved * client.BodyMass, exercise.Load.LoadCounts);
    }

    /// <summary>The heaviest load at which the forecast leaves two after the last set.</summary>
    private static Prescription Prescribe(string id, int aimed, ClientProfile client, StrengthAnchors known)
    {
        var exercise = Catalogue.Shipped[id];
        var effort = new ExerciseEffort(exercise, client, known.For(exercise)!, new Geometry());
        var rest = Duration.FromSeconds(120);
        ImmutableArray<int> counts = [.. Enumerable.Repeat(aimed, Sets)];
        var load = Enumerable.Range(1, 80).Select(i => Mass.FromKilograms(i * 2)).Reverse()
            .FirstOrDefault(l => new SetPlan(counts, l, RepetitionStyle.Plain, rest, []).Forecast(effort)[^1].Reserve >= 2, Mass.FromKilograms(1));
        return new Prescription
        {
            Exercise = id,
            Name = exercise.Name,
            Count = CountKind.Repetitions,
            Counts = counts,
            TopOfRange = aimed,
            PerSide = exercise.Sides == Sides.OneAtATime,
            Load = load,
            LoadInWords = load.ToString(),
            Rest = rest,
            Reserve = 2,
            Geometry = new Geometry(),
        };
    }
}
