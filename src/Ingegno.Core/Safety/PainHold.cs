using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Safety;

/// <summary>A coach has looked at the pain reported on an exercise: reports up to that day hold nothing back any more.</summary>
public sealed record PainClearance(string Exercise, DateOnly Through);

/// <summary>A report of pain that still holds something back.</summary>
/// <param name="At">Null when the client did not say where.</param>
public sealed record PainReport(string Exercise, string Name, DateOnly On, int Pain, Joint? At)
{
    public string InWords => $"pain {Pain} of 10{(At is { } joint ? $" at the {PlainWords.Of(joint)}" : "")} on {On:d MMM}, {PlainWords.InSentence(Name)}";
}

/// <summary>
/// The one rule of pain, for desk, link and phone. After pain over 5 the exercise, its neighbours on the ladder and everything that loads the joint
/// are held back until the coach clears it, whatever else hurts next; a swap answers a report, and then they may be trained again but are not made
/// harder. Bands of Thomee 1997, Phys Ther 77:1690-1703 (from memory).
/// </summary>
public sealed class PainHold
{
    /// <summary>Over the first an exercise stops; from the second it is held as it is.</summary>
    public const int Stops = 5, Holds = 3;

    /// <summary>So many reports from <see cref="Holds"/> up at one place within so many sessions ask for a swap.</summary>
    private const int Reports = 2, WithinSessions = 4;

    private readonly Catalogue _catalogue;
    private readonly ImmutableArray<PainReport> _stopping;
    private readonly ImmutableArray<PainReport> _unanswered;
    private readonly ImmutableArray<PainReport> _repeated;

    /// <param name="log">All sets of the client that may matter: the last weeks at least.</param>
    /// <param name="answered">Exercises given up for pain, and the day until which that answers their reports.</param>
    public PainHold(IEnumerable<SetLog> log, IEnumerable<PainClearance> cleared, IEnumerable<PainClearance> answered, Catalogue catalogue)
    {
        _catalogue = catalogue;
        var through = Latest(cleared);
        var until = Latest(answered);
        SetLog[] sets = [.. log];
        PainReport[] open =
        [
            .. sets.Where(s => s.Pain >= Holds && !(through.TryGetValue(s.Exercise, out var day) && s.On <= day))
                .OrderByDescending(s => s.On)
                .Select(s => new PainReport(s.Exercise, catalogue.Find(s.Exercise)?.Name ?? s.Exercise, s.On, s.Pain, s.PainAt)),
        ];
        _stopping = [.. open.Where(r => r.Pain > Stops)];
        _unanswered = [.. _stopping.Where(r => !(until.TryGetValue(r.Exercise, out var day) && r.On <= day))];
        var lately = sets.Select(s => s.On).Distinct().OrderDescending().Take(WithinSessions).ToHashSet();
        _repeated = [.. open.Where(r => r.At is not null && lately.Contains(r.On))];
    }

    private static Dictionary<string, DateOnly> Latest(IEnumerable<PainClearance> days) =>
        days.GroupBy(c => c.Exercise).ToDictionary(g => g.Key, g => g.Max(c => c.Through), StringComparer.Ordinal);

    /// <summary>What keeps this exercise from being made harder; null when nothing does.</summary>
    public PainReport? Against(Exercise exercise) => _stopping.FirstOrDefault(r => Touches(r.Exercise, r.At, exercise, _catalogue));

    /// <summary>
    /// What keeps this exercise from being trained at all until the coach has looked at it; null when nothing does. Of several reports one on the
    /// exercise itself is named first; none hides another.
    /// </summary>
    public PainReport? HeldBack(Exercise exercise) =>
        _unanswered.Where(r => Touches(r.Exercise, r.At, exercise, _catalogue)).OrderBy(r => r.Exercise == exercise.Id ? 0 : 1).FirstOrDefault();

    /// <summary>The latest of repeated reports at one place on this exercise, from different days; null where there are none.</summary>
    public PainReport? Repeated(Exercise exercise) => _repeated
        .Where(r => r.Exercise == exercise.Id)
        .FirstOrDefault(r => _repeated.Where(other => other.At == r.At).Select(other => other.On).Distinct().Count() >= Reports);

    /// <summary>Whether pain over 5 on one exercise holds another back.</summary>
    /// <param name="at">Where it hurts; null: nobody said, and all that the painful one loads counts.</param>
    public static bool Touches(string painful, Joint? at, Exercise exercise, Catalogue catalogue)
    {
        if (painful == exercise.Id)
        {
            return true;
        }

        var hurting = catalogue.Find(painful);
        bool neighbours = hurting is not null
            && (hurting.Harder.Any(h => h.Exercise == exercise.Id) || exercise.Harder.Any(h => h.Exercise == hurting.Id));
        IEnumerable<Joint> joints = at is { } joint ? [joint] : hurting?.Joints.Select(j => j.Joint) ?? [];
        return neighbours || joints.Any(j => exercise.Joints.Any(s => s.Joint == j));
    }
}
