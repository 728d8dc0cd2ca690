using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Review;

/// <summary>A week as the review reads it.</summary>
internal sealed record ReviewedWeek(
    ImmutableArray<TrainedSession> Sessions, ImmutableArray<RebuiltLine> Rebuilt, WeeklyLedger Ledger, ClientProfile Client, Catalogue Catalogue,
    ReviewThresholds Marks, DateOnly Today)
{
    public ImmutableArray<TrainedLine> Gym { get; init; } = [.. Sessions.SelectMany(s => s.Gym)];

    public ImmutableArray<TrainedLine> Home { get; } = [.. Sessions.SelectMany(s => s.Home)];

    /// <summary>Muscle groups some gym line is chosen for.</summary>
    public IEnumerable<MuscleGroup> Trained => Enum.GetValues<MuscleGroup>()
        .Where(g => g != MuscleGroup.Small && Gym.Any(l => LossFindings.CountsFor(l.Exercise, g)));

    /// <summary>The best alternative among these lines that is such an exercise; null where none is on offer.</summary>
    public Remedy? Taking(ImmutableArray<int> lines, Func<Exercise, bool> wanted) =>
        (from line in Rebuilt
         where lines.Contains(line.Written.Number)
         from offer in line.Alternatives
         where offer.Prescription.Exercise != line.Chosen?.Prescription.Exercise && wanted(Catalogue[offer.Prescription.Exercise])
         orderby offer.Fit.Score.Fraction descending
         select Take(line, offer)).FirstOrDefault();

    /// <summary>The best alternative of a line that is heavier in the way asked.</summary>
    public Remedy? Heavier(TrainedLine about, Func<Alternative, bool> wanted) =>
        Rebuilt.FirstOrDefault(l => l.Written.Number == about.Number) is { } line
        && line.Alternatives.FirstOrDefault(a => a.Prescription.Exercise != about.Exercise.Id && wanted(a)) is { } offer
            ? Take(line, offer)
            : null;

    /// <summary>Several remedies as one, each line changed once; null where there is none.</summary>
    public static Remedy? Together(IEnumerable<Remedy?> remedies)
    {
        LineChange[] changes = [.. remedies.OfType<Remedy>().SelectMany(r => r.Changes).DistinctBy(c => c.Line).OrderBy(c => c.Line)];
        Remedy[] given = [.. remedies.OfType<Remedy>()];
        return changes.Length == 0 ? null
            : given.Length == 1 ? given[0]
            : new($"{(changes.All(c => c.Sets is not null) ? given[0].Words.Split(" on ")[0] : "Change")} on {(changes.Length == 1 ? "line" : "lines")} {string.Join(", ", changes.Select(c => c.Line))}", [.. changes]);
    }

    private static Remedy Take(RebuiltLine line, Alternative offer) =>
        new($"{offer.Prescription.Name} on line {line.Written.Number}", [new(line.Written.Number, offer.Prescription.Exercise)]);

    /// <summary>A set more or fewer on the line that has most to give or to take; on all of them where asked.</summary>
    public static Remedy? Sets(IReadOnlyList<TrainedLine> lines, int by, int most, bool all = false)
    {
        TrainedLine[] able = [.. lines.Where(l => l.Counts.Length + by >= 1 && l.Counts.Length + by <= most)];
        TrainedLine[] chosen = all ? able : [.. (by > 0 ? able.OrderBy(l => l.Counts.Length) : able.OrderByDescending(l => l.Counts.Length)).Take(1)];
        return chosen.Length == 0 ? null : new(
            $"{(by > 0 ? "A set more" : "A set fewer")} on {(chosen.Length == 1 ? $"line {chosen[0].Number}" : $"lines {string.Join(", ", chosen.Select(l => l.Number))}")}",
            [.. chosen.Select(l => new LineChange(l.Number, Sets: l.Counts.Length + by))]);
    }
}

/// <summary>The ledger of a week with what the review makes of it.</summary>
/// <param name="Findings">Gravest first.</param>
public sealed record Reviewed(WeeklyLedger Ledger, ImmutableArray<Finding> Findings);

/// <summary>Is it a good plan? Marks of weak home plans, and what the move home has lost.</summary>
public static class ProgrammeReview
{
    /// <param name="sessions">All sessions of the week as rebuilt.</param>
    /// <param name="block">The weeks it is trained over; null where nothing is planned yet.</param>
    /// <param name="marks">From where it speaks up; null for the usual ones.</param>
    public static Reviewed Of(
        IReadOnlyList<RebuiltSession> sessions, ClientProfile client, Catalogue catalogue, DateOnly today, Block? block = null, ReviewThresholds? marks = null) =>
        Of([.. sessions.Select(s => TrainedSession.Of(s, catalogue))], [.. sessions.SelectMany(s => s.Lines)], client, catalogue, today, block, marks);

    /// <param name="lines">The rebuilt lines with their alternatives, from which remedies are taken; may be empty.</param>
    public static Reviewed Of(
        ImmutableArray<TrainedSession> sessions, ImmutableArray<RebuiltLine> lines, ClientProfile client, Catalogue catalogue, DateOnly today, Block? block = null,
        ReviewThresholds? marks = null)
    {
        marks ??= ReviewThresholds.Default;
        var ledger = WeeklyLedger.Of(sessions, client, marks, today);
        var week = new ReviewedWeek(sessions, lines, ledger, client, catalogue, marks, today);
        return new(ledger, [.. LossFindings.Of(week).Concat(DoseFindings.Of(week)).Concat(SessionFindings.Of(week)).Concat(BlockFindings.Of(week, block))
            .OrderByDescending(f => f.Severity)]);
    }
}
