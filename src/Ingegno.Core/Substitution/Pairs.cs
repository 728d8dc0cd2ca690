using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Substitution;

/// <summary>
/// Two or three exercises back to back where no single one covers what a line trains. Each covers a muscle as far as it
/// works it and as far as its dose gets; the parts of the hamstrings stand in for one another in part.
/// </summary>
internal static class Pairs
{
    /// <summary>A single exercise that covers this much is left alone; an added one must bring that much more (common practice).</summary>
    private const double EnoughAlone = 0.50, WorthAdding = 0.15;

    /// <summary>Helpers looked at, best first.</summary>
    internal const int Looked = 60;

    /// <summary>The weight from which an exercise is for a muscle; the other part of the hamstrings counts less.</summary>
    private const double PrimeMover = 0.65;

    private const int MostAdded = 2;

    /// <summary>One part of the hamstrings trained through the other joint (common practice).</summary>
    private const double OtherJoint = 0.7;

    /// <summary>Covered share of the written exercise's muscles, 0 to 1, by these exercises together.</summary>
    internal static double Coverage(Exercise written, IEnumerable<Candidate> done)
    {
        Candidate[] all = [.. done];
        double covered = written.Muscles.Weights.Sum(w => w.Value * all.Select(c => Covers(c, w.Key, w.Value)).DefaultIfEmpty(0).Max());
        return covered / written.Muscles.Weights.Values.Sum();
    }

    /// <summary>True where the chosen exercise leaves so much uncovered that a second one is looked for.</summary>
    internal static bool Wanted(Exercise written, Candidate chosen) =>
        chosen.Exercise.Id != written.Id && written.Kind == MovementKind.Compound && Coverage(written, [chosen]) < EnoughAlone;

    /// <summary>Trains a prime mover of the written exercise as its own.</summary>
    internal static bool MayHelp(Exercise written, Exercise helper) =>
        helper.IsForecast && written.Muscles.PrimeMovers.Any(m => Weight(helper, m) >= PrimeMover);

    /// <summary>What is done back to back with the chosen exercise; empty where nothing helps enough.</summary>
    /// <param name="helpers">Exercises that may help, whatever their likeness to the whole.</param>
    internal static IReadOnlyList<Candidate> Added(Exercise written, Candidate chosen, IReadOnlyList<Candidate> helpers)
    {
        var done = new List<Candidate> { chosen };
        double now = Coverage(written, done);

        while (done.Count <= MostAdded && now < EnoughAlone)
        {
            var best = helpers.Take(Looked).Where(c => c.StandIn.Class is not (CandidateClass.OutsideZone or CandidateClass.UnderFloor) && done.All(d => d.Exercise.Id != c.Exercise.Id) && c.Exercise.IsBallistic == written.IsBallistic)
                .Select(c => (candidate: c, coverage: Coverage(written, [.. done, c])))
                .OrderByDescending(p => Math.Round(p.coverage, 6)).ThenByDescending(p => p.candidate.Rank)
                .FirstOrDefault();
            if (best.candidate is null || best.coverage - now < WorthAdding)
            {
                break;
            }

            done.Add(best.candidate);
            now = best.coverage;
        }

        return done[1..];
    }

    private static double Covers(Candidate c, Muscle muscle, double asked) =>
        Math.Min(1, Weight(c.Exercise, muscle) / asked) * c.Fit[FitPart.Dose].Fraction;

    private static double Weight(Exercise e, Muscle muscle)
    {
        double own = e.Muscles.Weights.GetValueOrDefault(muscle);
        double other = muscle switch
        {
            Muscle.HamstringsHip => e.Muscles.Weights.GetValueOrDefault(Muscle.HamstringsKnee),
            Muscle.HamstringsKnee => e.Muscles.Weights.GetValueOrDefault(Muscle.HamstringsHip),
            _ => 0,
        };
        return Math.Max(own, OtherJoint * other);
    }
}
