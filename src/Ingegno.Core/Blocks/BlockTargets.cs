using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Blocks;

/// <summary>What one line asks in one week.</summary>
/// <param name="Raised">What went up since the last whole week; null where nothing did.</param>
/// <param name="What">Kind of the raise.</param>
public sealed record WeekTarget(Prescription Prescription, string? Raised, Raise? What)
{
    /// <summary>Behind us, under way, or ahead.</summary>
    public WeekTime When { get; init; } = WeekTime.Ahead;
}

/// <summary>Where a week lies, by the client's day.</summary>
public enum WeekTime
{
    Past,
    Now,
    Ahead,
}

/// <summary>How far training has come: weeks behind us show what was asked then, and the weeks ahead climb from what is in force and what the log says.</summary>
/// <param name="Waiting">The step the log proposes for a line, by its number in the text; null where it proposes none.</param>
/// <param name="AskedOn">What a line asked at the end of a day; null where it was not there.</param>
public sealed record SoFar(DateOnly Today, Func<int, Step?> Waiting, Func<int, DateOnly, Prescription?> AskedOn);

/// <summary>A line through all weeks of a block.</summary>
/// <param name="Line">Line number in the text.</param>
/// <param name="Session">Place of its session, from 0.</param>
/// <param name="Weeks">One a week, in order.</param>
public sealed record LineTargets(int Line, int Session, ImmutableArray<WeekTarget> Weeks);

/// <summary>
/// Each week's targets generated ahead: one thing raised a week on every line, by the progression order, as if each target were met. The log
/// decides in the end; this is the plan it is held against.
/// </summary>
public static class BlockTargets
{
    private const int DaysAWeek = 7;

    /// <param name="sessions">The week as rebuilt.</param>
    /// <param name="weeks">As laid out by <see cref="BlockCalendar"/>.</param>
    /// <param name="anchors">Maxima the week was rebuilt with.</param>
    /// <param name="soFar">Null where nothing was trained yet.</param>
    public static ImmutableArray<LineTargets> Of(
        IReadOnlyList<RebuiltSession> sessions, Block block, ImmutableArray<BlockWeek> weeks, ClientProfile client, PreparedHome home,
        Catalogue catalogue, StrengthAnchors anchors, HouseRules rules, SoFar? soFar = null)
    {
        rules = block.Over(rules).For(client);
        return
        [
            .. from s in Enumerable.Range(0, sessions.Count)
               from line in sessions[s].Lines
               where line.Chosen is not null
               select new LineTargets(line.Written.Number, s, [.. Through(line, line.Chosen!.Prescription)]),
        ];

        IEnumerable<WeekTarget> Through(RebuiltLine line, Prescription start)
        {
            var at = Climb(line, start, start);
            var waiting = soFar?.Waiting(line.Written.Number);
            // What the log waits with is taken at the first whole week there is.
            bool trained = waiting is not null;
            foreach (var week in weeks)
            {
                var when = TimeOf(week);
                if (when == WeekTime.Past)
                {
                    trained = true;
                    yield return new(Done(line, at, week), null, null) { When = when };
                    continue;
                }

                if (week.Kind != WeekKind.Full)
                {
                    // The easier week repeats what was reached, with fewer sets.
                    trained |= when == WeekTime.Now;
                    yield return new(Fewer(at.Line, week.Kind, rules), null, null) { When = when };
                    continue;
                }

                var raised = !trained || when == WeekTime.Now ? null
                    : waiting is { Next: { } next } ? new Raised(RaiseOf(waiting.Kind), waiting.Sentence, next)
                    : ProgressionOrder.After(at, ProgressionOrder.For(PurposeOf(week), rules), client, rules);
                var before = at.Line;
                if (raised is not null)
                {
                    bool anew = raised.What != Raise.Repetitions;
                    at = raised.What == Raise.Variation || raised.Next.Exercise != at.Line.Exercise
                        ? Climb(line, raised.Next, raised.Next)
                        : at with { Line = raised.Next, Base = anew ? raised.Next : at.Base };
                    waiting = null;
                }

                trained = true;
                yield return new(at.Line, raised?.Words, raised is null || IsBack(before, at.Line) ? null : raised.What) { When = when };
            }
        }

        // A step back is told, and is no raise.
        static bool IsBack(Prescription before, Prescription now) =>
            before.Exercise == now.Exercise && (now.Load < before.Load || (now.Load == before.Load && now.Counts.Length == before.Counts.Length && now.Counts.Sum() < before.Counts.Sum() && now.Style == before.Style));

        WeekTime TimeOf(BlockWeek week) =>
            soFar is null || week.Starts is not { } starts || soFar.Today < starts ? WeekTime.Ahead
            : soFar.Today.DayNumber - starts.DayNumber < DaysAWeek ? WeekTime.Now
            : WeekTime.Past;

        Prescription Done(RebuiltLine line, Climbing at, BlockWeek week) =>
            soFar!.AskedOn(line.Written.Number, week.Starts!.Value.AddDays(DaysAWeek - 1)) is { } asked
                ? week.Kind == WeekKind.Full ? asked : Fewer(asked, week.Kind, rules)
                : at.Line;

        Purpose PurposeOf(BlockWeek week) => week.Phase is { } phase ? block.Phases[phase].Purpose : Purpose.Growth;

        Climbing Climb(RebuiltLine line, Prescription now, Prescription from)
        {
            var exercise = catalogue[now.Exercise];
            return new(
                now, from, exercise, PlannedSetUp.Of(now, exercise, client, home, rules).Implement, anchors.For(exercise),
                [.. line.Alternatives.Select(a => a.Prescription).Where(p => exercise.Harder.Any(h => h.Exercise == p.Exercise))]);
        }
    }

    private static Raise RaiseOf(StepKind kind) => kind switch
    {
        StepKind.Load => Raise.Load,
        StepKind.Set => Raise.Set,
        StepKind.Variation => Raise.Variation,
        StepKind.Tempo => Raise.Tempo,
        StepKind.Pause => Raise.Pause,
        StepKind.Rest => Raise.Rest,
        _ => Raise.Repetitions,
    };

    /// <summary>The bouts of a rest-pause are one set and stay.</summary>
    private static Prescription Fewer(Prescription line, WeekKind kind, HouseRules rules) =>
        line.Form == SetForm.RestPause
            ? line
            : line with { Counts = line.Counts[..BlockCalendar.Sets(line.Counts.Length, kind, rules)], OptionalSets = 0 };
}
