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

    /// <summary>Candidates looked at, best first.</summary>
    private const int Looked = 40;

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

    /// <summary>What is done back to back with the chosen exercise; empty where it is enough alone or nothing helps.</summary>
    internal static IReadOnlyList<Candidate> Added(Exercise written, Candidate chosen, Choice found)
    {
        var done = new List<Candidate> { chosen };
        double now = Coverage(written, done);
        if (chosen.Exercise.Id == written.Id || now >= EnoughAlone || written.Kind != MovementKind.Compound)
        {
            return [];
        }

        while (done.Count <= MostAdded && now < EnoughAlone)
        {
            var best = found.Candidates.Take(Looked).Where(c => !done.Contains(c) && c.Exercise.IsBallistic == written.IsBallistic)
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
