using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Review;

/// <summary>One line of a programme that was moved home.</summary>
/// <param name="Fit">0 where nothing stands in.</param>
/// <param name="Stands">As it is in force; moving changes nothing on it.</param>
/// <param name="Was">What it asks now, where moving changes that; null where it stands or is new.</param>
/// <param name="Becomes">What it would ask.</param>
public sealed record MovedLine(int Line, string Written, string? Done, Share Fit, bool Stands, string? Was, string? Becomes);

/// <summary>How a whole programme came through the move: enough to see whom to look at first.</summary>
/// <param name="Lines">In the order of the text.</param>
/// <param name="Worst">Lowest fit of a line; 0 where nothing stands in for one.</param>
/// <param name="Asked">Effective repetitions asked by all lines.</param>
/// <param name="Given">Effective repetitions given.</param>
/// <param name="Exceptions">What a coach must look at before it is sent, gravest first; empty where nothing is.</param>
public sealed record MovedProgramme(
    ImmutableArray<MovedLine> Lines, Share Worst, double Asked, double Given, Duration Longest, ImmutableArray<string> Exceptions)
{
    /// <param name="poorFit">A line under this fit is an exception.</param>
    /// <param name="inForce">What a line of the text asks now; null where it is new.</param>
    public static MovedProgramme Of(
        IReadOnlyList<RebuiltSession> sessions, Reviewed review, ClientProfile client, bool allGuessed, double poorFit, Func<int, Prescription?> inForce)
    {
        RebuiltLine[] lines = [.. sessions.SelectMany(s => s.Lines).Where(l => l.Outcome != LineOutcome.LeftOut)];
        ImmutableArray<MovedLine> moved =
        [
            .. lines.Select(l => new MovedLine(
                l.Written.Number, l.Written.ExerciseName, l.Chosen?.Prescription.Name, l.Chosen?.Fit.Score ?? Share.Zero, l.Stands,
                l.Stands ? null : Words(inForce(l.Written.Number)), Words(l.Chosen?.Prescription))),
        ];
        return new(
            moved,
            moved.IsEmpty ? Share.Zero : moved.Min(l => l.Fit),
            lines.Sum(l => l.Chosen?.Bridge?.Asked ?? 0),
            lines.Sum(l => l.Chosen?.Bridge?.Given ?? 0),
            sessions.Select(s => s.Whole).DefaultIfEmpty(Duration.Zero).Max(),
            [.. LookedAt(lines, moved, review, client, allGuessed, poorFit)]);
    }

    private static string? Words(Prescription? line) => line is null ? null : $"{line.Name}, {(line.Load == Mass.Zero ? "" : $"{line.Load}, ")}{line.CountInWords}";

    private static IEnumerable<string> LookedAt(
        RebuiltLine[] lines, ImmutableArray<MovedLine> moved, Reviewed review, ClientProfile client, bool allGuessed, double poorFit)
    {
        if (moved.IsEmpty)
        {
            yield return "Nothing is written yet.";
            yield break;
        }

        if (!SendingLeave.For(client).Allowed)
        {
            yield return SendingLeave.For(client).Why!;
        }

        foreach (var unknown in lines.Where(l => l.Outcome == LineOutcome.Unknown))
        {
            yield return $"Line {unknown.Written.Number}: \"{unknown.Written.ExerciseName}\" is not in the catalogue.";
        }

        foreach (var finding in review.Findings.Where(f => f.Severity == Severity.Mend))
        {
            yield return finding.Sentence;
        }

        foreach (var poor in moved.Where(l => l.Done is not null && l.Fit.Fraction < poorFit).OrderBy(l => l.Fit))
        {
            yield return $"Line {poor.Line}, {poor.Written}: {poor.Done} fits {poor.Fit.Fraction:0.00}.";
        }

        foreach (var finding in review.Findings.Where(f => f.Severity == Severity.Decide && f.Kind is FindingKind.PatternLost or FindingKind.MuscleLost))
        {
            yield return finding.Sentence;
        }

        if (allGuessed)
        {
            yield return "No lift is known: every load stands on a wide guess.";
        }
    }
}
