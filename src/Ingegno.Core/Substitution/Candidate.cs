using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>An exercise that can stand in for a written line here, in its best set-up and dose.</summary>
/// <param name="Dose">Null where no load is modelled: the line's own count is kept.</param>
/// <param name="Anchor">The maximum the dose was worked out with; null where there is none.</param>
public sealed record Candidate(Exercise Exercise, SetUp SetUp, Dose? Dose, StrengthAnchor? Anchor, Fit Fit)
{
    /// <summary>A preferred exercise may fit this much worse and still come first (common practice).</summary>
    private const double PreferredIsWorth = 1.1;

    /// <summary>What a coach thinks of first and last may fit so much worse and better (common practice).</summary>
    private const double StapleIsWorth = 1.1, RareIsWorth = 0.75;

    /// <summary>On the preferred list of the practice or the client.</summary>
    public bool Preferred { get; init; }

    /// <summary>House rules and traits that lean on it.</summary>
    public ImmutableArray<Leaning> Leanings { get; init; } = [];

    /// <summary>What kind of stand-in it is, and how far off its zone.</summary>
    public required StandIn StandIn { get; init; }

    /// <summary>
    /// What candidates are ordered by: the class, inside it the distance from the zone, then the fit, leaned on by rules and traits, and of
    /// nearly equal fits the preferred.
    /// </summary>
    internal double Rank => RankOf(StandIn, Fit, Preferred, Leanings, StressOf(Exercise), Exercise.Usual);

    /// <summary>A class is a whole step; what stands inside it adds up to less than one, the zone before the fit before the joints.</summary>
    private const double OfZone = 0.5, OfFit = 0.45, OfKindness = 0.04;

    /// <summary>Stress on all joints together that counts as the most (common practice).</summary>
    private const double MostStress = 12;

    /// <summary>Higher is better; never the same for two classes.</summary>
    internal static double RankOf(StandIn standing, Fit fit, bool preferred, ImmutableArray<Leaning> leanings, double stress, Usualness usual)
    {
        double leaned = leanings.Aggregate(fit.Score.Fraction * (preferred ? PreferredIsWorth : 1) * WorthOf(usual), (rank, l) => rank * l.Worth);
        return (int)CandidateClass.UnderFloor - (int)ClassOf(standing, leanings) + (OfZone * (1 - standing.Off)) + (OfFit * Math.Min(1, leaned / MostLeaned)) + (OfKindness * (1 - stress));
    }

    /// <summary>What it asks of all joints together, 0 to 1: of two alike the kinder comes first.</summary>
    internal static double StressOf(Exercise exercise) => Math.Min(1, exercise.Joints.Sum(j => j.Level) / MostStress);

    private static double WorthOf(Usualness usual) => usual switch { Usualness.Staple => StapleIsWorth, Usualness.Rare => RareIsWorth, _ => 1 };

    /// <summary>The class it is ranked in: what speaks strongly against it takes it behind all that is in the zone.</summary>
    internal CandidateClass Class => ClassOf(StandIn, Leanings);

    private static CandidateClass ClassOf(StandIn standing, ImmutableArray<Leaning> leanings) =>
        standing.Class < CandidateClass.OutsideZone && leanings.Aggregate(1.0, (worth, l) => worth * l.Worth) < StronglyAgainst ? CandidateClass.OutsideZone : standing.Class;

    /// <summary>What speaks so strongly against it is no matter of a better fit any more.</summary>
    private const double StronglyAgainst = 0.65;

    /// <summary>No leanings together make more of a fit than this.</summary>
    private const double MostLeaned = 2;
}

/// <summary>An exercise that was looked at and not offered.</summary>
public sealed record Refused(Exercise Exercise, ImmutableArray<Refusal> Reasons, Share Likeness);

/// <summary>All that was found for one line, best fit first.</summary>
/// <param name="Refused">Most alike first; only those a coach would think of.</param>
public sealed record Choice(ImmutableArray<Candidate> Candidates, ImmutableArray<Refused> Refused);
