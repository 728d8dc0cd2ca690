using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>An exercise that can stand in for a written line here, in its best set-up and dose.</summary>
/// <param name="Dose">Null where no load is modelled: the line's own count is kept.</param>
/// <param name="Anchor">The maximum the dose was worked out with; null where there is none.</param>
/// <param name="ToFailure">First-set repetitions to failure over the 80 percent range of the maximum; null without a dose.</param>
public sealed record Candidate(
    Exercise Exercise, SetUp SetUp, Dose? Dose, StrengthAnchor? Anchor, Fit Fit, RepetitionRange? ToFailure)
{
    /// <summary>A preferred exercise may fit this much worse and still come first (common practice).</summary>
    private const double PreferredIsWorth = 1.1;

    /// <summary>On the preferred list of the practice or the client.</summary>
    public bool Preferred { get; init; }

    /// <summary>House rules and traits that lean on it.</summary>
    public ImmutableArray<Leaning> Leanings { get; init; } = [];

    /// <summary>What candidates are ordered by: the fit, leaned on by rules and traits, and of nearly equal fits the preferred.</summary>
    internal double Rank => RankOf(Fit, Preferred, Leanings);

    internal static double RankOf(Fit fit, bool preferred, ImmutableArray<Leaning> leanings) =>
        leanings.Aggregate(fit.Score.Fraction * (preferred ? PreferredIsWorth : 1), (rank, l) => rank * l.Worth);
}

/// <summary>An exercise that was looked at and not offered.</summary>
public sealed record Refused(Exercise Exercise, ImmutableArray<Refusal> Reasons, Share Likeness);

/// <summary>All that was found for one line, best fit first.</summary>
/// <param name="Refused">Most alike first; only those a coach would think of.</param>
public sealed record Choice(ImmutableArray<Candidate> Candidates, ImmutableArray<Refused> Refused);
