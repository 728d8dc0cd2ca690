using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Server.Clients;
using Ingegno.Storage;

namespace Ingegno.Server.Log;

/// <summary>The plan, what was done on it, and what comes next.</summary>
/// <param name="Lines">Of the place in use; behind them those done another way elsewhere.</param>
/// <param name="Today">By the server's clock; no set is logged for a later day.</param>
/// <param name="Moves">What the log taught lately, newest first.</param>
/// <param name="Hindsight">What was forecast of each set shown, when all before it was known.</param>
/// <param name="Overwritten">What sets said before they were corrected, or on another phone.</param>
/// <param name="Gone">What was trained on lines that are not in the plan now.</param>
/// <param name="Continuity">Estimated maximum per strength family through gym and home.</param>
public sealed record ProgressView(
    ImmutableArray<LineProgress> Lines, long PlanVersion, DateOnly Today, ImmutableArray<LearnedMove> Moves, ImmutableArray<SetHindsight> Hindsight,
    ImmutableArray<SessionNote> Notes, Learned Learned, ImmutableArray<Continuity> Continuity,
    ImmutableArray<PersonalBest> Bests, ImmutableArray<SetLog> Overwritten, ImmutableArray<SwapMark> Swaps,
    ImmutableArray<PastLine> Gone)
{
    /// <summary>What became of what was just saved besides that it was kept.</summary>
    public ImmutableArray<string> Told { get; init; } = [];
}

/// <summary>A day a line became another exercise, for the continuity line of their families.</summary>
public sealed record SwapMark(DateOnly On, string Was, string Became, ImmutableArray<string> Families);

/// <summary>How a client goes on: the plan, the log, what it taught and what follows.</summary>
internal sealed record Progress(
    ImmutableArray<LineProgress> Lines, Versioned<Plan> Plan, DateOnly Today, LogLesson Learned, ImmutableArray<SessionNote> Notes,
    ImmutableArray<Continuity> Continuity, ImmutableArray<PersonalBest> Bests, ImmutableArray<SetLog> Overwritten, ImmutableArray<SwapMark> Swaps,
    ImmutableArray<PastLine> Gone)
{
    private const int MostMoves = 12;

    internal ProgressView View => new(
        Lines, Plan.Version, Today, [.. Learned.Lesson.Moves.Reverse().Take(MostMoves)],
        [.. Lines.SelectMany(l => l.Logs).Select(s => Learned.Lesson.Hindsight.GetValueOrDefault(s.Id)).OfType<SetHindsight>()],
        Notes, Learned.Lesson.Learned, Continuity, Bests, Overwritten, Swaps, Gone);
}

/// <summary>Reads it.</summary>
internal sealed class Progresses(Cases cases, Storage.Plans plans, SetLogs logs, Trainings trainings, LogLessons lessons, TimeProvider clock)
{
    /// <param name="learned">Where the log was read already.</param>
    /// <returns>Null when the coach has no such client.</returns>
    internal async Task<Progress?> FindAsync(string coach, string client, LogLesson? learned = null)
    {
        if (await cases.FindAsync(coach, client) is not { } about)
        {
            return null;
        }

        var plan = (await plans.FindAsync(coach, client)).At(about.Place.Id);
        var (today, catalogue) = (about.Today(clock), about.Rules.Catalogue);
        var training = await trainings.OfClientAsync(coach, client, today, catalogue);
        var (lesson, trained) = learned ??= (await lessons.ReadAsync(coach, client))!;
        var lines = PlanProgress.Everywhere(about.Profile, about.Home, about.ClientPlaces, about.Rules, plan.Value, training, today);
        return new(
            lines, plan, today, learned, [.. training.Notes],
            Continuity.Of(lesson, StrengthAnchors.Of(about.Profile with { Learned = Learned.Nothing }, catalogue), catalogue),
            PersonalBests.Of(trained, catalogue),
            [.. await logs.OverwrittenAsync(coach, client, today.AddDays(-Training.Days))],
            [.. Swaps(await plans.ChangesAsync(coach, client), plan.Value.Place, catalogue)], PlanProgress.Gone(lines, training, catalogue));
    }

    private static IEnumerable<SwapMark> Swaps(IReadOnlyList<PlanChange> changes, string? place, Catalogue catalogue) =>
        (from change in changes
         from line in change.Lines
         where line.Place == place && line.Before?.Prescription is not null && line.After?.Prescription is not null
             && line.Before.Prescription.Exercise != line.After.Prescription.Exercise
         let exercises = new[] { line.Before!.Prescription!.Exercise, line.After!.Prescription!.Exercise }.Select(catalogue.Find).OfType<Exercise>()
         select new SwapMark(
             change.On, line.Before!.Prescription!.Name, line.After!.Prescription!.Name,
             [.. Core.Substitution.ReachFamily.All.Where(f => exercises.Any(e => f.Patterns.Contains(e.Pattern))).Select(f => f.Name)])).Distinct();
}
