using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>What was forecast of a set when all before it was known, the sets of the same day too.</summary>
/// <param name="ToFailure">Repetitions until failure, with their 80 percent range.</param>
/// <param name="Observed">Done and left, corrected for what this client leaves unsaid.</param>
public sealed record SetHindsight(Guid Set, RepetitionRange ToFailure, double Observed);

/// <summary>How the estimate of one exercise stood after a session.</summary>
/// <param name="Factor">What can be met ten times, over what was taken for it before anything was logged.</param>
/// <param name="Spread">Standard deviation of its logarithm.</param>
/// <param name="Family">The same of the first exercise ever logged of this pattern: moved by what is done on the others, it runs on through gym and home.</param>
public sealed record StrengthPoint(DateOnly On, string Exercise, double Factor, double Spread, LearnedFactor Family);

/// <summary>A session that moved what is believed of a client, in words.</summary>
public sealed record LearnedMove(DateOnly On, string Exercise, string Sentence);

/// <summary>What a whole log teaches.</summary>
public sealed record Lesson(
    Learned Learned, ImmutableArray<StrengthPoint> Points, ImmutableArray<LearnedMove> Moves, ImmutableDictionary<Guid, SetHindsight> Hindsight)
{
    /// <summary>Exercises whose last sets lie outside their ranges more than by chance.</summary>
    public ImmutableArray<ForecastMiss> Misses { get; init; } = [];

    /// <summary>How it stood before the last day, to be handed in again when more is logged.</summary>
    public required LearnedSoFar SoFar { get; init; }
}

/// <summary>What a log had taught by the end of a day. In contrast to a <see cref="Lesson"/> it is not shown but gone on from.</summary>
public sealed class LearnedSoFar
{
    internal LearnedSoFar(
        ImmutableArray<TrainedSet> sets, ImmutableArray<string> exercises, Belief belief, ImmutableArray<StrengthPoint> points, ImmutableArray<LearnedMove> moves,
        ImmutableDictionary<Guid, SetHindsight> hindsight) =>
        (Sets, Exercises, Belief, Points, Moves, Hindsight) = (sets, exercises, belief, points, moves, hindsight);

    internal ImmutableArray<TrainedSet> Sets { get; }

    internal ImmutableArray<string> Exercises { get; }

    internal Belief Belief { get; }

    internal ImmutableArray<StrengthPoint> Points { get; }

    internal ImmutableArray<LearnedMove> Moves { get; }

    internal ImmutableDictionary<Guid, SetHindsight> Hindsight { get; }

    /// <summary>Whether a log starts with just what was read, ends this day and brings no exercise that was not believed anything of.</summary>
    internal bool LeadsTo(ImmutableArray<TrainedSet> sets, ImmutableArray<string> exercises) =>
        sets.Length > Sets.Length && exercises.SequenceEqual(Exercises)
        && (Sets.IsEmpty || sets[Sets.Length].Set.On > Sets[^1].Set.On)
        && Sets.Select((set, i) => set.IsReadLike(sets[i])).All(same => same);
}

/// <summary>
/// Learns endurance, recovery, the maximum of each exercise and what the client leaves unsaid, by an extended Kalman filter over the log:
/// every set's repetitions and reserve against the forecast, in order. In contrast to <see cref="NextStep"/>, which reads the last
/// sessions of one line, this reads everything.
/// </summary>
public static class Learning
{
    /// <param name="client">Its own <see cref="ClientProfile.Learned"/> is not looked at: the log is read from the start.</param>
    /// <param name="anchors">Maxima before anything was logged.</param>
    /// <param name="log">Any order; sets of exercises without a model are passed over, and those logged in the wrong unit (<see cref="UnitSlip"/>).</param>
    /// <param name="before">
    /// Of the same client and anchors: gone on from where the log only grew after it, so that the answer is the same and sooner there. Anything
    /// else is read from the start.
    /// </param>
    public static Lesson From(
        ClientProfile client, Catalogue catalogue, StrengthAnchors anchors, IEnumerable<TrainedSet> log, LearnedSoFar? before = null)
    {
        ImmutableArray<TrainedSet> sets =
        [
            .. log.Where(s => !s.IsUnitSlip && s.As.Count.IsRepetitions() && (s.Set.Repetitions > 0 || s.IsToFailure) && catalogue.Find(s.Set.Exercise) is { IsForecast: true } e && anchors.For(e) is not null)
                .OrderBy(s => s.Set.On).ThenBy(s => s.Set.Line).ThenBy(s => s.Set.SetNumber),
        ];
        ImmutableArray<string> exercises = [.. sets.Select(s => s.Set.Exercise).Distinct()];
        return From(sets, exercises, catalogue, before?.LeadsTo(sets, exercises) == true ? before : Nothing(null), Nothing);

        LearnedSoFar Nothing(double? says) => new([], exercises, new Belief(client, catalogue, anchors, exercises, says), [], [], ImmutableDictionary<Guid, SetHindsight>.Empty);
    }

    private static Lesson From(ImmutableArray<TrainedSet> sets, ImmutableArray<string> exercises, Catalogue catalogue, LearnedSoFar start, Func<double?, LearnedSoFar> afresh)
    {
        var soFar = start;
        var belief = start.Belief.Copy();
        var points = start.Points.ToBuilder();
        var moves = start.Moves.ToBuilder();
        var hindsight = start.Hindsight.ToBuilder();
        int read = start.Sets.Length;
        foreach (var session in sets.Skip(read).GroupBy(s => s.Set.On))
        {
            if (session.Key == sets[^1].Set.On && read > start.Sets.Length)
            {
                soFar = new(sets[..read], exercises, belief.Copy(), points.ToImmutable(), moves.ToImmutable(), hindsight.ToImmutable());
            }

            read += session.Count();
            belief.Pass(session.Key);
            foreach (var line in session.GroupBy(s => (s.Set.Line, s.Set.Exercise)))
            {
                var done = SetRun.Of([.. line], session, catalogue);
                var was = belief.Of(line.Key.Exercise);
                var foreseen = new SetHindsight[done.Count];
                belief.Wake(done);
                for (int i = 0; i < done.Count; i++)
                {
                    foreseen[i] = belief.Foresee(done, i);
                    hindsight[done[i].Set.Id] = foreseen[i];
                    belief.Learn(done, i);
                    if (belief.Habit is { } always && !belief.IsToldOfHabit)
                    {
                        // What was believed on the strength of such answers is read anew.
                        return From(sets, exercises, catalogue, afresh(always), afresh);
                    }
                }

                var now = belief.Of(line.Key.Exercise);
                points.Add(new(session.Key, line.Key.Exercise, now.Factor, now.Spread, belief.OfFamily(line.Key.Exercise)));
                if (MoveWords.Of(catalogue[line.Key.Exercise].Name, done.Sets, foreseen, was, now) is { } sentence)
                {
                    moves.Add(new(session.Key, line.Key.Exercise, sentence));
                }
            }
        }

        return new(belief.Learned(), points.ToImmutable(), moves.ToImmutable(), hindsight.ToImmutable()) { Misses = ForecastMiss.Of(sets, hindsight), SoFar = soFar };
    }
}
